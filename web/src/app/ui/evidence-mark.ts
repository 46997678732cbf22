import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { say } from '@hypogeon/messages/evidence-mark';

/** How firm the ground under a figure is: the fuller the mark, the firmer. */
const MARK = {
  published: { path: 'M4 4h10v10H4z', word: 'published' },
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
} as const;

type Ground = keyof typeof MARK;

/** What the words of a figure’s evidence come to. */
export function groundOf(text: string): Ground {
  if (text.startsWith('common practice')) return 'practice';
  if (text.startsWith('working assumption') || text.startsWith('from memory')) return 'guess';
  return /here|bench|your own/i.test(text) ? 'here' : 'published';
}

/**
 * What a figure rests on: one small mark, its words on demand.
 *
 * @example <dd>14–28 days <hy-evidence of="Roots" text="common practice, no source" /></dd>
 */
@Component({
  selector: 'hy-evidence',
  imports: [MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline-flex flex-wrap items-center align-middle' },
  template: `
    @if (text()) {
      <button
        class="-my-3 -mx-2"
        type="button"
        matIconButton
        [attr.aria-label]="say.whatItRestsOn({ of: of() })"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
        (keydown.escape)="open.set(false)"
      >
        <svg viewBox="0 0 18 18" aria-hidden="true" [class]="ground()">
          <path fill-rule="evenodd" [attr.d]="mark().path" />
        </svg>
      </button>
      @if (open()) {
        <span class="words ml-1.5 quiet small" role="status">{{ text() }}</span>
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
  readonly text = input.required<string>();

  protected readonly open = signal(false);
  protected readonly ground = computed(() => groundOf(this.text()));
  protected readonly mark = computed(() => MARK[this.ground()]);
}

/** What the marks mean, once a page. */
export const EVIDENCE_LEGEND = (['published', 'here', 'practice', 'guess'] as const).map((id) => ({
  id,
  ...MARK[id],
}));
