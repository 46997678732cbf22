import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ANY_LOOK } from '@hypogeon/core/botany';
import type { Look, Marking } from '@hypogeon/core/look';
import type { StrapPlan } from '@hypogeon/core/plan';
import { say } from '@hypogeon/messages/strap-drawing';
import { Words } from '../data/words';

const TOP = 20;
const TALL = 400;
const BASE = TOP + TALL;
const LEAF = 34;
const GAP = 60;
/** More leaves than this are told in words only. */
const MOST = 6;

/** Straps side by side to scale, base at the soil line: every section with its number and its arrow to the tip. */
@Component({
  selector: 'hy-strap-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg
        [style.--strap-fill]="v.fill"
        [style.--strap-line]="v.line"
        [attr.viewBox]="'0 0 ' + v.width + ' ' + (base + 30)"
        role="img"
        [attr.aria-label]="v.says"
      >
        @for (leaf of v.leaves; track $index) {
          <path class="leaf" [attr.d]="leaf" />
        }
        @for (s of v.sections; track s.name) {
          <path class="section" [attr.d]="s.d" />
          <path class="arrow" [attr.d]="s.arrow" />
          <text [attr.x]="s.x + 24" [attr.y]="s.middle + 5">{{ s.name }}</text>
        }
        @for (band of v.bands; track $index) {
          <path class="band" [class.spot]="v.spotted" [attr.d]="band" />
        }
        @for (cut of v.cuts; track $index) {
          <path class="cut" [attr.d]="cut" />
        }
        <path class="soil" [attr.d]="'M0 ' + base + 'H' + v.width" />
        @if (v.more) {
          <text x="4" [attr.y]="base + 22">{{ say.andMoreLeavesLike({ more: v.more }) }}</text>
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
      align-self: start;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .leaf {
      fill: var(--strap-fill);
      stroke: var(--strap-line);
      stroke-width: 1.4;
      opacity: 0.5;
    }
    .band {
      fill: none;
      stroke: var(--strap-line);
      stroke-width: 1.6;
      opacity: 0.55;
    }
    .band.spot {
      stroke: var(--face);
      stroke-width: 4;
      stroke-linecap: round;
      opacity: 0.8;
    }
    .section {
      fill: var(--strap-fill);
      stroke: var(--strap-line);
      stroke-width: 1.8;
      stroke-linejoin: round;
    }
    .arrow {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.8;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .cut {
      stroke: var(--do);
      stroke-width: 2;
      stroke-dasharray: 6 3;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 2;
    }
    text {
      font: 600 13px var(--text-face);
      fill: var(--ink);
    }
  `,
})
export class StrapDrawing {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly lengths = input.required<readonly number[]>();
  readonly plan = input.required<StrapPlan>();
  /** Whose straps they are. */
  readonly look = input<Look>(ANY_LOOK);
  protected readonly base = BASE;

  protected readonly view = computed(() => {
    const lengths = this.lengths().slice(0, MOST);
    const scale = TALL / Math.max(...lengths);
    const y = (mm: number): number => BASE - mm * scale;
    const x = (leaf: number): number => 40 + leaf * (LEAF + GAP);
    const half = LEAF / 2;
    const shown = this.plan().sections.filter((s) => s.leaf < MOST);
    const { fill = 'green', edge, mark } = this.look();
    return {
      fill: `var(--plant-${fill})`,
      line: `var(--plant-${edge ?? fill}-ink)`,
      bands: lengths.flatMap((mm, i) => marksOf(mark, x(i), half, y(0), y(mm))),
      spotted: mark !== 'bands',
      width: Math.max(360, x(lengths.length - 1) + 80),
      leaves: lengths.map((mm, i) => strap(x(i), half, y(0), y(mm))),
      sections: shown.map((s) => {
        const middle = (y(s.fromMm) + y(s.toMm)) / 2;
        const reach = Math.min(16, ((s.toMm - s.fromMm) * scale) / 3);
        return {
          name: s.name,
          x: x(s.leaf),
          middle,
          d: s.tip
            ? strap(x(s.leaf), half, y(s.fromMm), y(s.toMm))
            : `M${x(s.leaf) - half} ${y(s.fromMm)}V${y(s.toMm)}H${x(s.leaf) + half}V${y(s.fromMm)}Z`,
          arrow: `M${x(s.leaf)} ${middle + reach}V${middle - reach}M${x(s.leaf) - 5} ${middle - reach + 6}L${x(s.leaf)} ${middle - reach}L${x(s.leaf) + 5} ${middle - reach + 6}`,
        };
      }),
      cuts: shown.map((s) => `M${x(s.leaf) - 28} ${y(s.fromMm)}H${x(s.leaf) + 28}`),
      more: this.lengths().length - lengths.length,
      says: say.leavesCutIntoSections({
        sectionsCount: this.plan().sections.length,
        shown: shown.map((s) => `${s.name}, ${this.words.length(s.toMm - s.fromMm)}`).join('; '),
      }),
    };
  });
}

/** A strap from its base up, drawn out to a point. */
function strap(x: number, half: number, from: number, to: number): string {
  const shoulder = to + Math.min(40, (from - to) * 0.5);
  return `M${x - half} ${from}V${shoulder}Q${x - half} ${to + 8} ${x} ${to}Q${x + half} ${to + 8} ${x + half} ${shoulder}V${from}Z`;
}

const BAND_EVERY = 22;

/** What runs across a strap, from the base to where it narrows: bands as waves, spots as spots. */
function marksOf(
  mark: Marking | undefined,
  x: number,
  half: number,
  from: number,
  to: number,
): readonly string[] {
  if (mark === undefined || !ACROSS.has(mark)) return [];
  const shoulder = to + Math.min(40, (from - to) * 0.5);
  const count = Math.max(0, Math.floor((from - shoulder) / BAND_EVERY));
  return Array.from({ length: count }, (_, i) => {
    const y = from - (i + 0.6) * BAND_EVERY;
    if (mark !== 'bands')
      return [-0.55, 0, 0.55].map((at) => `M${x + at * half} ${y + at * 6}h0.1`).join('');
    return `M${x - half + 2} ${y}q${half / 2} -5 ${half - 2} 0q${half / 2} 5 ${half - 2} 0`;
  });
}

const ACROSS: ReadonlySet<Marking> = new Set(['bands', 'warts', 'dots']);
