import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { seasonSpells, type SeasonDay, type SeasonSpell } from '@hypogeon/core/bench';
import { addDays, daysBetween, type Day } from '@hypogeon/core/days';
import { Words } from '../data/words';

const PHONE = matchMedia('(max-width: 760px)');
const WIDE = { width: 760, left: 44, months: 1 };
const NARROW = { width: 380, left: 40, months: 2 };
const TOP = 14;
const AIR = 130;
const SOIL = TOP + AIR;
const STRIP = 26;
const LIGHT = 58;
const HEIGHT = SOIL + STRIP + LIGHT + 28;

const WORD: Readonly<Record<SeasonSpell['state'], string>> = {
  active: 'grows',
  marginal: 'edge',
  resting: 'rests',
  frost: 'frost',
};

/**
 * A plant's year in one place: the day's mean over the soil line with the band it grows in, on the line
 * what follows from it, under it the hours of light.
 */
@Component({
  selector: 'hy-season-year',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg [attr.viewBox]="'0 0 ' + v.width + ' ' + height" role="img" [attr.aria-label]="v.says">
        <rect
          class="band"
          [attr.x]="v.left"
          [attr.y]="v.bandTop"
          [attr.width]="v.width - v.left"
          [attr.height]="v.bandTall"
        />
        @for (line of v.degrees; track line.y) {
          <path class="grid" [attr.d]="'M' + v.left + ' ' + line.y + 'H' + v.width" />
          <text class="axis" [attr.x]="v.left - 6" [attr.y]="line.y + 4">{{ line.says }}</text>
        }
        <path class="temp" [attr.d]="v.temp" />
        @for (spell of v.spells; track spell.x) {
          <rect
            [attr.class]="'spell ' + spell.state"
            [attr.x]="spell.x"
            [attr.y]="soil"
            [attr.width]="spell.wide"
            height="26"
          />
          @if (spell.word) {
            <text
              [attr.class]="'word ' + spell.state"
              [attr.x]="spell.x + spell.wide / 2"
              [attr.y]="soil + 18"
            >
              {{ spell.word }}
            </text>
          }
        }
        <path class="soil" [attr.d]="'M' + v.left + ' ' + soil + 'H' + v.width" />
        @if (v.light) {
          <path class="light" [attr.d]="v.light" />
          @for (line of v.hours; track line.y) {
            <text class="axis" [attr.x]="v.left - 6" [attr.y]="line.y + 4">{{ line.says }}</text>
          }
        }
        <path class="today" [attr.d]="'M' + v.left + ' ' + (soil - 8) + 'v42'" />
        @for (tick of v.ticks; track tick.x) {
          <path class="grid" [attr.d]="'M' + tick.x + ' ' + (soil + 26) + 'v6'" />
          <text class="month" [attr.x]="tick.x + 3" [attr.y]="height - 6">{{ tick.says }}</text>
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
      max-width: 980px;
      height: auto;
    }
    .band {
      fill: var(--living-soft);
      opacity: 0.55;
    }
    .grid {
      stroke: var(--line);
    }
    .temp {
      fill: none;
      stroke: var(--do);
      stroke-width: 2.2;
      stroke-linejoin: round;
    }
    .light {
      fill: var(--callus-soft);
      stroke: var(--callus);
      stroke-width: 1.4;
    }
    .spell.active {
      fill: var(--living);
    }
    .spell.marginal {
      fill: var(--callus-soft);
    }
    .spell.resting {
      fill: url(#hy-dried);
    }
    .spell.frost {
      fill: var(--water);
    }
    .soil,
    .today {
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
    .word {
      text-anchor: middle;
      fill: var(--ink);
      font-weight: 600;
      paint-order: stroke;
    }
    .word.active,
    .word.frost {
      fill: var(--paper);
    }
    .word.resting {
      stroke: var(--paper);
      stroke-width: 5px;
    }
  `,
})
export class SeasonYear {
  private readonly words = inject(Words);
  /** Day by day, as core works it out. */
  readonly year = input.required<readonly SeasonDay[]>();
  readonly fromC = input.required<number>();
  readonly toC = input.required<number>();

  protected readonly soil = SOIL;
  protected readonly height = HEIGHT;
  private readonly phone = signal(PHONE.matches);

  constructor() {
    const turn = (): void => this.phone.set(PHONE.matches);
    PHONE.addEventListener('change', turn);
    inject(DestroyRef).onDestroy(() => PHONE.removeEventListener('change', turn));
  }

  protected readonly view = computed(() => {
    const year = this.year();
    const first = year[0]?.day;
    if (first === undefined) return null;
    const { width, left, months } = this.phone() ? NARROW : WIDE;
    const x = (day: Day): number => left + (daysBetween(first, day) / year.length) * (width - left);
    const temps = year.map((d) => d.tempC);
    const low = Math.min(...temps, this.fromC()) - 2;
    const high = Math.max(...temps, this.toC()) + 2;
    const y = (tempC: number): number => TOP + ((high - tempC) / (high - low)) * AIR;
    const line = (of: (d: SeasonDay) => number): string =>
      year
        .map((d, i) => `${i === 0 ? 'M' : 'L'}${x(d.day).toFixed(1)} ${of(d).toFixed(1)}`)
        .join('');
    const base = SOIL + STRIP + LIGHT;
    const hoursY = (hours: number): number => base - ((hours - 6) / 12) * (LIGHT - 8);
    const lit = year.every((d) => d.dayHours !== undefined);
    const spells = seasonSpells(year);
    return {
      width,
      left,
      bandTop: y(this.toC()),
      bandTall: y(this.fromC()) - y(this.toC()),
      degrees: [this.fromC(), this.toC()].map((t) => ({
        y: y(t),
        says: this.words.temperature(t).replace(/ .*$/, '°'),
      })),
      temp: line((d) => y(d.tempC)),
      spells: spells.map(({ state, from, to }) => {
        const at = x(from);
        const wide = x(addDays(to, 1)) - at;
        return { state, x: at, wide, word: wide > 44 ? WORD[state] : '' };
      }),
      light: lit
        ? `${line((d) => hoursY(Math.min(18, Math.max(6, d.dayHours ?? 6))))}L${width} ${base}H${left}Z`
        : '',
      hours: [8, 16].map((h) => ({ y: hoursY(h), says: `${h} h` })),
      ticks: monthStarts(year, months)
        .map((day) => ({ x: x(day), says: this.words.month(day) }))
        .filter((tick) => tick.x < width - 30),
      says: `The year from ${this.words.day(first)}: ${spells
        .map((s) => `${WORD[s.state]} ${this.words.span(s.from, s.to)}`)
        .join(', ')}.`,
    };
  });
}

function monthStarts(year: readonly SeasonDay[], every: number): readonly Day[] {
  const firsts = year.map((d) => d.day).filter((day) => day.endsWith('-01'));
  return firsts.filter((_, i) => i % every === 0);
}
