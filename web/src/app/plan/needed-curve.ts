import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { daysBetween, type Day } from '@hypogeon/core/days';
import type { NeededCurve as Curve } from '@hypogeon/core/plan';
import { Words } from '../data/words';

const WIDTH = 560;
const TALL = 150;
const TOP = 22;
const LEFT = 34;
const SOIL = TOP + TALL;

/** How many to take against the day of cutting: it rises as time runs out; the last sensible day stands out. */
@Component({
  selector: 'hy-needed-curve',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg
        [attr.viewBox]="'0 0 ' + width + ' ' + (soil + 30)"
        role="img"
        [attr.aria-label]="v.says"
      >
        @for (rest of v.rests; track rest.x) {
          <rect
            [attr.class]="rest.kind"
            [attr.x]="rest.x"
            [attr.width]="rest.wide"
            y="22"
            height="150"
          />
        }
        @for (line of v.grid; track line.y) {
          <path class="grid" [attr.d]="'M34 ' + line.y + 'H' + width" />
          <text x="28" [attr.y]="line.y + 4" text-anchor="end">{{ line.n }}</text>
        }
        <path class="area" [attr.d]="v.area" />
        <path class="curve" [attr.d]="v.curve" />
        @if (v.latest; as l) {
          <path class="latest" [attr.d]="'M' + l.x + ' 12V' + soil" />
          <text
            class="strong"
            [attr.x]="l.x + (l.left ? -6 : 6)"
            y="16"
            [attr.text-anchor]="l.left ? 'end' : 'start'"
          >
            cut by {{ l.says }}
          </text>
        }
        <path class="soil" [attr.d]="'M30 ' + soil + 'H' + width" />
        <path class="chosen" [attr.d]="'M' + v.chosen + ' ' + (soil - 6) + 'v12'" />
        @for (tick of v.ticks; track tick.x) {
          <text [attr.x]="tick.x" [attr.y]="soil + 20" [attr.text-anchor]="tick.anchor">
            {{ tick.says }}
          </text>
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .grid {
      stroke: var(--line);
    }
    .area {
      fill: var(--living-soft);
    }
    .curve {
      fill: none;
      stroke: var(--living);
      stroke-width: 2.4;
      stroke-linejoin: round;
    }
    .latest {
      stroke: var(--do);
      stroke-width: 2;
      stroke-dasharray: 5 3;
    }
    .soil,
    .chosen {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .marginal {
      fill: var(--callus-soft);
      opacity: 0.5;
    }
    .resting {
      fill: url(#hy-dried);
      opacity: 0.6;
    }
    text {
      font: 13px var(--text-face);
      fill: var(--ink2);
    }
    .strong {
      font-weight: 650;
      fill: var(--ink);
    }
    @media (max-width: 760px) {
      text {
        font-size: 17px;
      }
    }
  `,
})
export class NeededCurve {
  private readonly words = inject(Words);
  readonly curve = input.required<Curve>();
  readonly by = input.required<Day>();
  readonly cutOn = input.required<Day>();

  protected readonly width = WIDTH;
  protected readonly soil = SOIL;

  protected readonly view = computed(() => {
    const { days, latest } = this.curve();
    const first = days[0]?.day;
    const reached = days.filter((d) => d.needed !== null);
    if (first === undefined || reached.length === 0) return null;
    const span = Math.max(1, daysBetween(first, this.by()));
    const fewest = Math.min(...reached.map((d) => d.needed!));
    // Beyond five times the fewest the eye need not follow.
    const most = Math.min(Math.max(...reached.map((d) => d.needed!)), fewest * 5);
    const x = (day: Day): number => LEFT + (daysBetween(first, day) / span) * (WIDTH - LEFT);
    const y = (n: number): number => SOIL - (Math.min(n, most) / most) * (TALL - 14);
    const shown = reached.filter((d) => d.needed! <= most);
    const curve = shown
      .map((d, i) => `${i === 0 ? 'M' : 'L'}${x(d.day).toFixed(1)} ${y(d.needed!).toFixed(1)}`)
      .join('');
    const end = x(shown.at(-1)!.day).toFixed(1);
    const wide = (WIDTH - LEFT) / days.length + 0.5;
    const middle = days[Math.floor(days.length / 2)]!.day;
    const fits = (n: number): boolean => n <= most;
    return {
      curve,
      area: `${curve}L${end} ${SOIL}H${x(shown[0]!.day)}Z`,
      rests: days
        .filter((d) => d.season !== 'active')
        .map((d) => ({ x: x(d.day), wide, kind: d.season })),
      grid: [...new Set([fewest, Math.round(fewest * 2), Math.round(fewest * 4)])]
        .filter(fits)
        .map((n) => ({ n, y: y(n) })),
      latest:
        latest === null
          ? null
          : { x: x(latest), left: x(latest) > WIDTH * 0.6, says: this.words.shortDay(latest) },
      chosen: x(this.cutOn()),
      ticks: [
        { x: LEFT, says: this.words.near(first), anchor: 'start' },
        { x: x(middle), says: this.words.shortDay(middle), anchor: 'middle' },
        { x: WIDTH, says: this.words.shortDay(this.by()), anchor: 'end' },
      ],
      says:
        `Cuttings needed against the day of cutting: ${fewest} at best` +
        (latest === null ? '.' : `, sensible until ${this.words.day(latest)}.`),
    };
  });
}
