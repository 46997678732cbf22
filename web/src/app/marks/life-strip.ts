import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import type { CourseId } from '@hypogeon/core/course';
import type { Step, StepId } from '@hypogeon/core/care';
import type { Batch } from '@hypogeon/core/journal';
import { Words } from '../data/words';
import { CuttingMark } from './cutting-mark';
import { FRESH, type MarkState } from './mark-state';

const LOOKS: Readonly<Record<StepId, MarkState>> = {
  'water-mother': FRESH,
  cut: FRESH,
  callused: { ...FRESH, closure: 0.75 },
  stick: { ...FRESH, closure: 0.9 },
  gate: { ...FRESH, closure: 1 },
  'first-water': { ...FRESH, closure: 1 },
  roots: { ...FRESH, closure: 1, roots: 1 },
  pups: { ...FRESH, closure: 1, roots: 2, pup: true },
  wean: { ...FRESH, closure: 1, roots: 2 },
  light: { ...FRESH, closure: 1, roots: 2 },
  feed: { ...FRESH, closure: 1, roots: 2 },
  'pot-on': { ...FRESH, closure: 1, roots: 2, potted: true },
};

/** The life of a batch along one soil line: what was, solid; what is ahead, as a ghost with its range. */
@Component({
  selector: 'hy-life-strip',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (stop of stops(); track stop.step.id) {
        <li [class]="stop.step.is">
          <hy-mark [piece]="piece()" [state]="stop.look" [size]="60" />
          <span class="text">
            <strong>{{ stop.name }}</strong>
            <span>{{ stop.when }}</span>
          </span>
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
      display: flex;
    }
    li {
      flex: 1;
      min-width: 0;
      display: flex;
      flex-direction: column;
      align-items: flex-start;
      gap: 0.35rem;
      position: relative;
    }
    /* One line through all marks: y = 36 of 64, at 60 px. */
    li::before {
      content: '';
      position: absolute;
      left: 0;
      right: 0;
      top: 33px;
      border-top: 2px solid var(--ink);
    }
    li.ahead::before,
    li.skipped::before,
    li.open::before {
      border-top: 2px dotted var(--hold);
    }
    .ahead hy-mark,
    .skipped hy-mark,
    .open hy-mark {
      opacity: 0.42;
    }
    .text {
      display: grid;
      font-size: 0.875rem;
      line-height: 1.25;
      padding-right: 0.5rem;
    }
    .text span,
    .ahead strong,
    .open strong {
      color: var(--ink2);
    }
    .ahead strong,
    .open strong {
      font-weight: 500;
    }
    .due strong,
    .late strong {
      color: var(--do);
    }
    @media (max-width: 760px) {
      ol {
        flex-wrap: wrap;
        row-gap: 0.75rem;
      }
      li {
        flex: 0 0 25%;
      }
      .text {
        font-size: 0.8rem;
      }
    }
  `,
})
export class LifeStrip {
  private readonly words = inject(Words);
  readonly steps = input.required<readonly Step[]>();
  readonly course = input.required<CourseId>();
  readonly piece = input.required<Drawn | Part>();
  readonly batch = input.required<Batch>();

  protected readonly stops = computed(() =>
    this.steps()
      .filter((step) => STATIONS.has(step.id))
      .map((step) => ({
        step,
        look: LOOKS[step.id],
        name: this.words.stepName(step, this.course(), this.batch()),
        when: this.words.stepWhen(step),
      })),
  );
}

/** What is drawn: light and feed are said where they are asked. */
const STATIONS: ReadonlySet<StepId> = new Set([
  'cut',
  'callused',
  'stick',
  'gate',
  'first-water',
  'roots',
  'wean',
  'pups',
  'pot-on',
]);
