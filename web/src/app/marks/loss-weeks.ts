import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LossBar } from '@hypogeon/core/ledger';

const WIDTH = 720;
const LEFT = 40;
const RIGHT = 76;
const TOP = 14;
const TALL = 150;
const SOIL = TOP + TALL;
const HEIGHT = SOIL + 30;
const CAUSES = ['rotted', 'dried', 'lost'] as const;
const WORD = { rotted: 'rotted', dried: 'dried up', lost: 'otherwise' } as const;

/** Losses stacked by the week in which they came, rot hatched from the line up; drawn over a soil line. */
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
        <text [attr.x]="v.right + 12" [attr.y]="height - 8">week</text>
      </svg>
    }
    <p class="keys" aria-hidden="true">
      @for (c of causes; track c) {
        <span
          ><svg width="18" height="14">
            <rect [attr.class]="'bar ' + c" width="18" height="14" /></svg
          >{{ word[c] }}</span
        >
      }
    </p>
  `,
  styles: `
    :host {
      display: block;
    }
    svg[role] {
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
    .keys {
      display: flex;
      flex-wrap: wrap;
      gap: 0.2rem 1.2rem;
      color: var(--ink2);
      font-size: 0.9rem;
    }
    .keys span {
      display: inline-flex;
      gap: 0.45rem;
      align-items: center;
    }
    @media (max-width: 760px) {
      text {
        font-size: 19px;
      }
    }
  `,
})
export class LossWeeks {
  /** What the numbers under the line are, for who hears them. */
  readonly unit = input('week');
  readonly weeks = input.required<readonly LossBar[]>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly left = LEFT;
  protected readonly soil = SOIL;
  protected readonly causes = CAUSES;
  protected readonly word = WORD;

  protected readonly view = computed(() => {
    const weeks = this.weeks();
    const sum = (w: LossBar): number => w.of.rotted + w.of.dried + w.of.lost;
    const most = Math.max(1, ...weeks.map(sum));
    const right = WIDTH - RIGHT;
    const step = (right - LEFT) / Math.max(weeks.length, 1);
    const tall = (n: number): number => (n / most) * TALL;
    const bars = weeks.flatMap((w, i) => {
      let y = SOIL;
      return CAUSES.flatMap((cause) => {
        const h = tall(w.of[cause]);
        y -= h;
        return h < 0.5 ? [] : [{ cause, x: LEFT + i * step + step * 0.12, y, tall: h }];
      });
    });
    const worst = weeks.reduce<LossBar | null>(
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
        .map((w, i) => ({ week: w.name, x: LEFT + (i + 0.5) * step }))
        .filter((_, i) => i % Math.ceil(weeks.length / 13) === 0),
      says: `Losses by ${this.unit()}: most in ${this.unit()} ${worst?.name ?? ''}, ${worst ? sum(worst).toFixed(0) : 0}.`,
    };
  });
}
