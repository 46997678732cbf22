import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { addDays, daysBetween, type Day } from '@hypogeon/core/days';
import { Words } from '../data/words';

const PHONE = matchMedia('(max-width: 760px)');

/** One morning of a pot. */
export interface CourseDay {
  readonly day: Day;
  /** Water against drained, 0–1 and above where it pools. */
  readonly fill: number;
  readonly low?: number;
  readonly high?: number;
  readonly evaporationMm: number;
}

export interface CourseMark {
  readonly day: Day;
  readonly kind: 'watered' | 'misted' | 'weighed' | 'felt';
  /** Where a reading puts the water, 0–1; left out where it says nothing of it. */
  readonly fill?: number | undefined;
  readonly says: string;
}

const AIR = 54;
const SOIL = 62;
const DEPTH = 150;
const LEFT = 6;
const HEIGHT = SOIL + DEPTH + 30;
/** Drawn wide, or narrow with fewer days for a phone. */
const WIDE = { width: 760, right: 96, back: 60, ahead: 60 };
const NARROW = { width: 400, right: 92, back: 14, ahead: 12 };

/**
 * The water in a pot, hung under the soil line: what the air took above it, drinks as drops on it, what
 * is left below it. Past solid; the days to come as a fan between slow and fast.
 */
@Component({
  selector: 'hy-water-course',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg
        [attr.viewBox]="'0 0 ' + size().width + ' ' + height"
        role="img"
        [attr.aria-label]="says()"
      >
        @for (bar of v.bars; track bar.x) {
          <rect
            class="air"
            [attr.x]="bar.x"
            [attr.y]="soil - bar.tall - 3"
            [attr.width]="v.step * 0.72"
            [attr.height]="bar.tall"
            [class.ahead]="bar.ahead"
          />
        }
        <path class="room" [attr.d]="v.room" />
        <path class="fan" [attr.d]="v.fan" />
        <path class="water" [attr.d]="v.past" />
        <path class="likely" [attr.d]="v.likely" />
        @if (v.limit !== null) {
          <path class="limit" [attr.d]="'M6 ' + v.limit + 'H' + v.plotRight" />
          <text class="end" [attr.x]="v.plotRight + 8" [attr.y]="v.limit + 4">asks here</text>
        }
        <path class="soil" [attr.d]="'M0 ' + soil + 'H' + (v.plotRight + 4)" />
        <path class="today" [attr.d]="'M' + v.today + ' ' + (soil - 40) + 'V' + (soil + 152)" />
        @for (mark of v.marks; track $index) {
          <g [attr.transform]="'translate(' + mark.x + ' ' + mark.y + ')'">
            <title>{{ mark.says }}</title>
            @switch (mark.kind) {
              @case ('weighed') {
                <path class="scale" d="M-5 4h10l-2.500 -8h-5z" />
              }
              @case ('felt') {
                <path class="felt" d="M0 5v-12" />
              }
              @default {
                <path
                  class="drop"
                  [class.mist]="mark.kind === 'misted'"
                  d="M0 -9c3.500 5 5 7 5 9.500a5 5 0 0 1 -10 0c0 -2.500 1.500 -4.500 5 -9.500z"
                />
              }
            }
          </g>
        }
        @for (tick of v.ticks; track tick.x) {
          <text
            class="day"
            [attr.x]="tick.x"
            [attr.y]="height - 8"
            [attr.text-anchor]="tick.anchor"
          >
            {{ tick.says }}
          </text>
        }
        <text class="end" [attr.x]="v.plotRight + 8" [attr.y]="soil + 12">empty</text>
        <text class="end" [attr.x]="v.plotRight + 8" [attr.y]="soil + 150">full, drained</text>
        <text class="end" [attr.x]="v.plotRight + 8" [attr.y]="soil - 22">air took</text>
        <text class="end quiet" [attr.x]="v.plotRight + 8" [attr.y]="soil - 7">
          {{ v.most }} mm/day
        </text>
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
      max-width: 980px;
      height: auto;
    }
    .air {
      fill: var(--callus-soft);
      stroke: var(--callus);
      stroke-width: 0.7;
    }
    .air.ahead {
      fill: none;
      stroke-dasharray: 2 2;
    }
    .room {
      fill: var(--soil-soft);
    }
    .water {
      fill: var(--water);
      opacity: 0.72;
    }
    .fan {
      fill: var(--water);
      opacity: 0.2;
    }
    .likely {
      fill: none;
      stroke: var(--water);
      stroke-width: 2;
      stroke-dasharray: 5 3;
    }
    .limit {
      stroke: var(--do);
      stroke-width: 1.3;
      stroke-dasharray: 2 4;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .today {
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    .drop {
      fill: var(--water);
      stroke: var(--paper);
      stroke-width: 1.2;
    }
    .drop.mist {
      fill: var(--paper);
      stroke: var(--water);
    }
    .scale {
      fill: var(--face);
      stroke: var(--ink);
      stroke-width: 1.4;
      stroke-linejoin: round;
    }
    .felt {
      stroke: var(--ink);
      stroke-width: 2.4;
      stroke-linecap: round;
    }
    text {
      font: 12.5px var(--text-face);
      fill: var(--ink2);
    }
    .end {
      fill: var(--ink);
    }
    .quiet {
      fill: var(--ink2);
    }
    @media (max-width: 760px) {
      text {
        font-size: 14px;
      }
    }
  `,
})
export class WaterCourse {
  private readonly words = inject(Words);
  readonly days = input.required<readonly CourseDay[]>();
  readonly today = input.required<Day>();
  readonly marks = input<readonly CourseMark[]>([]);
  /** The share of water at which the school asks, where it has one. */
  readonly limit = input<number | null>(null);

  private readonly narrow = signal(PHONE.matches);
  protected readonly size = computed(() => (this.narrow() ? NARROW : WIDE));
  protected readonly height = HEIGHT;
  protected readonly soil = SOIL;

  protected readonly view = computed(() => {
    const { width, right, back, ahead: far } = this.size();
    const from = addDays(this.today(), -back);
    const to = addDays(this.today(), far);
    const days = this.days().filter((d) => d.day >= from && d.day <= to);
    const first = days[0];
    if (!first) return null;
    const plotRight = width - right;
    const step = (plotRight - LEFT) / Math.max(days.length - 1, 1);
    const x = (day: Day): number => LEFT + daysBetween(first.day, day) * step;
    const y = (fill: number): number => SOIL + Math.min(Math.max(fill, 0), 1.08) * DEPTH;
    const today = x(this.today());
    const most = Math.max(0.5, ...days.map((d) => d.evaporationMm));
    const past = days.filter((d) => d.day <= this.today());
    const ahead = days.filter((d) => d.day >= this.today());
    const line = (list: readonly CourseDay[], of: (d: CourseDay) => number): string =>
      list.map((d, i) => `${i === 0 ? 'M' : 'L'}${n(x(d.day))} ${n(y(of(d)))}`).join('');
    const area = (list: readonly CourseDay[]): string =>
      list.length === 0 ? '' : `${line(list, (d) => d.fill)}V${SOIL}H${n(x(list[0]!.day))}Z`;
    const fan =
      ahead.length < 2
        ? ''
        : `${line(ahead, (d) => d.high ?? d.fill)}${line([...ahead].reverse(), (d) => d.low ?? d.fill).replace('M', 'L')}Z`;
    const every = days.length > 60 ? 14 : days.length > 30 || this.narrow() ? 7 : 4;
    const limit = this.limit();
    return {
      step,
      plotRight,
      today,
      most: most.toFixed(1),
      room: `M${LEFT} ${SOIL}H${plotRight}V${SOIL + DEPTH}H${LEFT}Z`,
      bars: days.map((d) => ({
        x: x(d.day) - step * 0.36,
        tall: (d.evaporationMm / most) * (AIR - 12),
        ahead: d.day > this.today(),
      })),
      past: area(past),
      fan,
      likely: line(ahead, (d) => d.fill),
      limit: limit === null ? null : y(limit),
      marks: this.marks()
        .filter((m) => m.day >= first.day && m.day <= days.at(-1)!.day)
        .map((m) => ({ ...m, x: x(m.day), y: m.fill === undefined ? SOIL - 2 : y(m.fill) })),
      ticks: Array.from({ length: Math.floor((days.length - 1) / every) + 1 }, (_, i) => {
        const day = addDays(first.day, i * every);
        return { x: x(day), says: this.words.shortDay(day), anchor: i === 0 ? 'start' : 'middle' };
      }),
    };
  });

  constructor() {
    const look = (): void => this.narrow.set(PHONE.matches);
    PHONE.addEventListener('change', look);
    inject(DestroyRef).onDestroy(() => PHONE.removeEventListener('change', look));
  }

  protected readonly says = computed(() => {
    const now = this.days().find((d) => d.day === this.today());
    const drinks = this.marks().filter((m) => m.kind === 'watered' || m.kind === 'misted').length;
    return (
      `Water in the pot over ${this.days().length} days: ${drinks} drinks` +
      (now ? `, ${this.words.percent(Math.min(now.fill, 1))} left today.` : '.')
    );
  });
}

const n = (value: number): string => value.toFixed(1);
