import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Milestone, MilestoneId } from '@hypogeon/core/bench';
import type { Piece } from '@hypogeon/core/botany';
import type { Day } from '@hypogeon/core/days';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { CuttingMark } from './cutting-mark';
import { FRESH, type MarkState } from './mark-state';

const LOOKS: Readonly<Record<MilestoneId, MarkState>> = {
  cut: FRESH,
  callused: { ...FRESH, closure: 0.75 },
  stuck: { ...FRESH, closure: 0.9 },
  gate: { ...FRESH, closure: 1 },
  water: { ...FRESH, closure: 1 },
  roots: { ...FRESH, closure: 1, roots: 1 },
  pups: { ...FRESH, closure: 1, roots: 2, pup: true },
  potted: { ...FRESH, closure: 1, roots: 2, potted: true },
};

/** The life of a batch along one soil line: what was, solid; what is ahead, as a ghost with its range. */
@Component({
  selector: 'hy-life-strip',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (stop of stops(); track stop.milestone.id) {
        <li [class]="stop.milestone.is">
          <hy-mark [piece]="piece()" [state]="stop.look" [size]="60" />
          <span class="text">
            <strong>{{ stop.milestone.name }}</strong>
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
    li.open::before {
      border-top: 2px dotted var(--hold);
    }
    .ahead hy-mark,
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
  private readonly today = inject(Today).day;
  readonly milestones = input.required<readonly Milestone[]>();
  readonly piece = input.required<Piece>();

  protected readonly stops = computed(() =>
    this.milestones().map((milestone) => ({
      milestone,
      look: LOOKS[milestone.id],
      when:
        milestone.is === 'open'
          ? 'not to be said yet'
          : this.when(milestone.is, milestone.from, milestone.to),
    })),
  );

  private when(is: 'done' | 'ahead', from: Day, to: Day): string {
    const due = is === 'ahead' && to <= this.today();
    return due ? `due since ${this.words.shortDay(to)}` : this.words.span(from, to);
  }
}
