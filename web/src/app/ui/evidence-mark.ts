import { ChangeDetectionStrategy, Component, input, signal } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import type { Ground, RestsOn } from '@hypogeon/words';
import { say } from '@hypogeon/messages/evidence-mark';

/** How firm the ground under a figure is: the fuller the mark, the firmer. */
const MARK = {
  published: {
    path: 'M4 4h10v10H4z',
    get word() {
      return say.published();
    },
  },
  here: {
    path: 'M9 3.5a5.5 5.5 0 1 1 0 11a5.5 5.5 0 1 1 0-11',
    get word() {
      return say.measuredOnThisBench();
    },
  },
  practice: {
    path: 'M9 3.5a5.5 5.5 0 1 1 0 11a5.5 5.5 0 1 1 0-11M9 6a3 3 0 1 0 0 6a3 3 0 1 0 0-6',
    get word() {
      return say.commonPractice();
    },
  },
  guess: {
    path: 'M9 4a5 5 0 1 1 0 10a5 5 0 1 1 0-10',
    get word() {
      return say.aWorkingAssumption();
    },
  },
} as const satisfies Readonly<Record<Ground, { readonly path: string; readonly word: string }>>;

/**
 * What a figure rests on: one small mark, its words on demand.
 *
 * @example <dd>14–28 days <hy-evidence of="Roots" [on]="restsOn('common practice')" /></dd>
 */
@Component({
  selector: 'hy-evidence',
  imports: [MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline-flex flex-wrap items-center align-middle' },
  template: `
    @if (on(); as rests) {
      <button
        class="-my-3 -mx-2"
        type="button"
        matIconButton
        [attr.aria-label]="say.whatItRestsOn({ of: of() })"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
        (keydown.escape)="open.set(false)"
      >
        <svg viewBox="0 0 18 18" aria-hidden="true" [class]="rests.ground">
          <path fill-rule="evenodd" [attr.d]="mark[rests.ground].path" />
        </svg>
      </button>
      @if (open()) {
        <span class="words ml-1.5 quiet small" role="status">{{ rests.text }}</span>
      }
    }
  `,
  styles: `
    svg {
      width: 16px;
      fill: var(--ink2);
    }
    .here {
      fill: var(--living);
    }
    .guess {
      fill: none;
      stroke: var(--ink2);
      stroke-width: 1.8;
      stroke-dasharray: 2 2;
    }
  `,
})
export class EvidenceMark {
  protected readonly say = say;

  /** Which figure: for those who hear it. */
  readonly of = input.required<string>();
  /** Nothing where the figure rests on nothing told. */
  readonly on = input.required<RestsOn | null>();

  protected readonly open = signal(false);
  protected readonly mark = MARK;
}

/** What the marks mean, once a page. */
export const evidenceLegend = () =>
  (['published', 'here', 'practice', 'guess'] as const).map((id) => ({
    id,
    path: MARK[id].path,
    word: MARK[id].word,
  }));
