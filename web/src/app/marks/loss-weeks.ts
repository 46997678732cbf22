import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LossWeek } from '@hypogeon/core';

const WIDTH = 720;
const LEFT = 40;
const RIGHT = 110;
const TOP = 14;
const TALL = 150;
const SOIL = TOP + TALL;
const HEIGHT = SOIL + 30;
const CAUSES = ['rotted', 'dried', 'lost'] as const;
const WORD = { rotted: 'rotted', dried: 'dried up', lost: 'otherwise' } as const;

/** Losses stacked by the week in which they came, rot hatched from the line up; with a table twin. */
@Component({
  selector: 'hy-loss-weeks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="v.says">
        @for (bar of v.bars; track $index) {
          <rect
            [attr.class]="'bar ' + bar.cause"
            [attr.x]="bar.x"
            [attr.y]="bar.y"
            [attr.width]="v.wide"
            [attr.height]="bar.tall"
          />
        }
        <path class="soil" [attr.d]="'M' + left + ' ' + soil + 'H' + v.right" />
        <text class="axis" [attr.x]="left - 6" [attr.y]="v.topY + 4">{{ v.most }}</text>
        <text class="axis" [attr.x]="left - 6" [attr.y]="soil + 4">0</text>
        @for (tick of v.ticks; track tick.week) {
          <text class="week" [attr.x]="tick.x" [attr.y]="height - 8">{{ tick.week }}</text>
        }
        @for (key of v.keys; track key.word) {
          <rect
            [attr.class]="'bar ' + key.cause"
            [attr.x]="v.right + 12"
            [attr.y]="key.y - 11"
            width="16"
            height="14"
          />
          <text [attr.x]="v.right + 34" [attr.y]="key.y">{{ key.word }}</text>
        }
        <text [attr.x]="v.right + 12" [attr.y]="height - 8">week</text>
      </svg>
    }
    <details>
      <summary>The same as a table</summary>
      <div class="scroll" tabindex="0" role="region" aria-label="Losses by week as a table">
        <table>
          <thead>
            <tr>
              <th scope="col">Week</th>
              @for (c of causes; track c) {
                <th scope="col" class="number">{{ word[c] }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (w of weeks(); track w.week) {
              <tr>
                <th scope="row">{{ w.week + 1 }}</th>
                @for (c of causes; track c) {
                  <td class="number">{{ w.of[c].toFixed(1) }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      max-width: 900px;
      height: auto;
    }
    .bar {
      stroke: var(--rot);
      stroke-width: 1;
    }
    .rotted {
      fill: url(#hy-rot);
    }
    .dried {
      fill: url(#hy-dried);
    }
    .lost {
      fill: url(#hy-lost);
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    text {
      font: 13px var(--text-face);
      fill: var(--ink2);
    }
    .axis {
      text-anchor: end;
    }
    .week {
      text-anchor: middle;
    }
    table {
      max-width: 32rem;
    }
    @media (max-width: 760px) {
      text {
        font-size: 19px;
      }
    }
  `,
})
export class LossWeeks {
  readonly weeks = input.required<readonly LossWeek[]>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly left = LEFT;
  protected readonly soil = SOIL;
  protected readonly causes = CAUSES;
  protected readonly word = WORD;

  protected readonly view = computed(() => {
    const weeks = this.weeks();
    const sum = (w: LossWeek): number => w.of.rotted + w.of.dried + w.of.lost;
    const most = Math.max(1, ...weeks.map(sum));
    const right = WIDTH - RIGHT;
    const step = (right - LEFT) / Math.max(weeks.length, 1);
    const tall = (n: number): number => (n / most) * TALL;
    const bars = weeks.flatMap((w) => {
      let y = SOIL;
      return CAUSES.flatMap((cause) => {
        const h = tall(w.of[cause]);
        y -= h;
        return h < 0.5 ? [] : [{ cause, x: LEFT + w.week * step + step * 0.12, y, tall: h }];
      });
    });
    const worst = weeks.reduce<LossWeek | null>(
      (a, b) => (a === null || sum(b) > sum(a) ? b : a),
      null,
    );
    return {
      right,
      bars,
      wide: step * 0.76,
      most: most.toFixed(0),
      topY: TOP,
      ticks: weeks
        .filter((w) => w.week % Math.ceil(weeks.length / 13) === 0)
        .map((w) => ({ week: w.week + 1, x: LEFT + (w.week + 0.5) * step })),
      keys: CAUSES.map((cause, i) => ({ cause, word: WORD[cause], y: TOP + 16 + i * 24 })),
      says: `Losses by week since the cut: most in week ${(worst?.week ?? 0) + 1}, ${worst ? sum(worst).toFixed(0) : 0}.`,
    };
  });
}
