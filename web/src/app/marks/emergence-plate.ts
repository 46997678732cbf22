import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import type { Emergence, EmergenceStep } from '@hypogeon/core/ledger';

const WIDTH = 720;
const HALF = 130;
const LEFT = 8;
const RIGHT = 118;
const PLOT = WIDTH - LEFT - RIGHT;
const LINE_Y = HALF + 14;
const HEIGHT = 2 * HALF + 58;

interface Curve {
  readonly band: string;
  readonly edge: string;
}

/**
 * What came of a batch over the days since the cut: pups rise above the soil line, roots go down
 * below it, losses close in from both edges. Bands reach from what was surely there at a check to what
 * may have come right after the one before.
 */
@Component({
  selector: 'hy-emergence-plate',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + height"
      role="img"
      [attr.aria-label]="says()"
      (pointermove)="point($event)"
      (pointerdown)="point($event)"
    >
      <g class="losses">
        @for (loss of losses(); track loss.cause) {
          <path [attr.class]="loss.cause" [attr.d]="loss.top" />
          <path [attr.class]="loss.cause" [attr.d]="loss.bottom" />
          <path class="edge" [attr.d]="loss.topEdge" />
          <path class="edge" [attr.d]="loss.bottomEdge" />
        }
      </g>
      <path class="pups band" [attr.d]="pups().band" />
      <path class="pups fill" [attr.d]="area(plate().pups, -1)" />
      <path class="pups edge" [attr.d]="pups().edge" />
      <path class="roots band" [attr.d]="roots().band" />
      <path class="roots fill" [attr.d]="area(plate().roots, 1)" />
      <path class="roots edge" [attr.d]="roots().edge" />
      <path class="soil" [attr.d]="'M0 ' + lineY + 'H' + (plotRight + 6)" />
      @for (check of checks(); track check.x) {
        <path class="tick" [attr.d]="'M' + check.x + ' ' + (lineY - 6) + 'v12'" />
        @if (check.shown) {
          <text [attr.x]="check.x" [attr.y]="height - 24" text-anchor="middle">
            {{ check.day }}
          </text>
          <text [attr.x]="check.x" [attr.y]="height - 6" text-anchor="middle" class="waiting">
            {{ check.waiting }}
          </text>
        }
      }
      @for (label of labels(); track label.text) {
        <text [attr.x]="plotRight + 10" [attr.y]="label.y" [attr.class]="'end ' + label.kind">
          {{ label.text }}
        </text>
      }
      @if (reading(); as r) {
        <path class="hair" [attr.d]="'M' + r.x + ' 6V' + (height - 40)" />
      }
      <text [attr.x]="plotRight + 24" [attr.y]="height - 24" class="end quiet">day</text>
      <text [attr.x]="plotRight + 24" [attr.y]="height - 6" class="end quiet">waiting</text>
    </svg>
    <div class="read no-print">
      <input
        type="range"
        min="0"
        step="1"
        aria-label="Day to read"
        [max]="plate().lastDay"
        [value]="reading()?.day ?? plate().lastDay"
        [attr.aria-valuetext]="reading()?.says ?? null"
        (input)="day.set(+slide.value)"
        #slide
      />
      <output>{{ reading()?.says ?? 'Point at a day, or slide, to read it.' }}</output>
    </div>
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
    .fill.pups {
      fill: var(--living-soft);
    }
    .band.pups {
      fill: var(--living-soft);
      opacity: 0.5;
    }
    .edge.pups {
      stroke: var(--living);
    }
    .fill.roots {
      fill: var(--callus-soft);
    }
    .band.roots {
      fill: var(--callus-soft);
      opacity: 0.5;
    }
    .edge.roots {
      stroke: var(--root);
    }
    .edge {
      fill: none;
      stroke-width: 2.2;
      stroke-linejoin: round;
    }
    .losses .edge {
      stroke: var(--rot);
      stroke-width: 1.2;
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
    .hair {
      stroke: var(--ink);
      stroke-dasharray: 3 3;
    }
    .read {
      display: grid;
      gap: 0.2rem;
      max-width: 900px;
    }
    .read input {
      /* Under the days of the plate, which leaves room for words at its right. */
      width: 83%;
      margin: 0;
      padding: 0;
      border: 0;
      background: none;
      accent-color: var(--living);
    }
    output {
      min-height: 1.5em;
    }
    .soil,
    .tick {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .tick {
      stroke-width: 1.4;
    }
    text {
      font: 13px var(--text-face);
      fill: var(--ink2);
    }
    .end {
      font-weight: 600;
      fill: var(--ink);
    }
    .end.quiet {
      font-weight: 400;
      fill: var(--ink2);
    }
    @media (max-width: 760px) {
      text {
        font-size: 19px;
      }
    }
  `,
})
export class EmergencePlate {
  readonly plate = input.required<Emergence>();
  /** Of several batches: their ends are estimates, and no shares are put to them. */
  readonly pooled = input(false);

  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly lineY = LINE_Y;
  protected readonly plotRight = LEFT + PLOT;

  protected readonly pups = computed(() => this.curve(this.plate().pups, -1));
  protected readonly roots = computed(() => this.curve(this.plate().roots, 1));

  /** Losses are stacked from the outer edges inward, half above and half below the line. */
  protected readonly losses = computed(() => {
    const { rotted, dried, lost } = this.plate().losses;
    const layers = [
      { cause: 'rotted', steps: rotted },
      { cause: 'dried', steps: dried },
      { cause: 'lost', steps: lost },
    ];
    return layers
      .map(({ cause, steps }, i) => {
        const under = layers.slice(0, i).map((l) => l.steps);
        const before = (day: number): number => under.reduce((sum, list) => sum + at(list, day), 0);
        const inner = (day: number): number => before(day) + at(steps, day);
        const days = [
          ...new Set([...layers.flatMap((l) => l.steps.map((s) => s.day)), this.plate().lastDay]),
        ].sort((a, b) => a - b);
        return {
          cause,
          any: (steps.at(-1)?.sure ?? 0) > 0,
          top: this.ring(days, before, inner, -1),
          bottom: this.ring(days, before, inner, 1),
          topEdge: this.outline(days, inner, -1),
          bottomEdge: this.outline(days, inner, 1),
        };
      })
      .filter((layer) => layer.any);
  });

  protected readonly checks = computed(() => {
    let lastX = -Infinity;
    return this.plate().waiting.map(({ day, count }) => {
      const x = this.x(day);
      // Wide enough for three figures of a phone’s size.
      const shown = x - lastX > 44;
      if (shown) lastX = x;
      return { day, x, shown, waiting: count };
    });
  });

  protected readonly labels = computed(() => {
    const { count, pups, roots, losses } = this.plate();
    const end = (steps: readonly EmergenceStep[]): number => steps.at(-1)?.sure ?? 0;
    // Of several batches the ends are estimates for all, and no shares of what was counted.
    const share = (n: number): string =>
      this.pooled() ? '' : ` ${Math.round((n / count) * 100)} %`;
    const gone = end(losses.rotted) + end(losses.dried) + end(losses.lost);
    const labels = [
      {
        kind: 'pups',
        text: `pups${share(end(pups))}`,
        y: LINE_Y - this.tall(end(pups)),
        on: end(pups) > 0,
      },
      {
        kind: 'roots',
        text: `rooted${share(end(roots))}`,
        y: LINE_Y + this.tall(end(roots)),
        on: true,
      },
      { kind: 'loss', text: `lost${share(gone)}`, y: LINE_Y - HALF + 10, on: gone > 0 },
    ];
    return labels
      .filter((l) => l.on)
      .map((l) => ({ ...l, y: Math.min(Math.max(l.y + 4, 14), LINE_Y + HALF + 2) }))
      .map((l, _i, all) => {
        const loss = all.find((o) => o.kind === 'loss');
        return l.kind === 'pups' && loss && l.y - loss.y < 20 ? { ...l, y: loss.y + 20 } : l;
      });
  });

  /** The day that is read; null while nobody points. */
  protected readonly day = signal<number | null>(null);
  protected readonly reading = computed(() => {
    const day = this.day();
    if (day === null || day > this.plate().lastDay) return null;
    const { count, pups, roots, losses } = this.plate();
    const span = (steps: readonly EmergenceStep[]): string => {
      const step = steps.findLast((s) => s.day <= day);
      const [low, high] = [Math.round(step?.sure ?? 0), Math.round(step?.possible ?? 0)];
      return high > low ? `${low}–${high}` : String(low);
    };
    const lost = at(losses.rotted, day) + at(losses.dried, day) + at(losses.lost, day);
    return {
      day,
      x: this.x(day),
      says: `Day ${day}, of ${count}: ${span(roots)} rooted, ${span(pups)} with pups, ${Math.round(lost)} lost.`,
    };
  });

  protected readonly says = computed(() => {
    const { count, pups, roots, losses, lastDay } = this.plate();
    const end = (steps: readonly EmergenceStep[]): number => Math.round(steps.at(-1)?.sure ?? 0);
    return (
      `Emergence over ${lastDay} days: of ${count}, ${end(roots)} rooted, ${end(pups)} with pups, ` +
      `${end(losses.rotted)} rotted, ${end(losses.dried)} dried up, ${end(losses.lost)} lost otherwise.`
    );
  });

  protected point(event: PointerEvent): void {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * WIDTH;
    const day = Math.round(((x - LEFT) / PLOT) * this.plate().lastDay);
    this.day.set(Math.min(this.plate().lastDay, Math.max(0, day)));
  }

  protected area(steps: readonly EmergenceStep[], side: 1 | -1): string {
    return `${this.path(steps, 'sure', side)}V${LINE_Y}H${LEFT}Z`;
  }

  private curve(steps: readonly EmergenceStep[], side: 1 | -1): Curve {
    return {
      band: `${this.path(steps, 'possible', side)}V${LINE_Y}H${LEFT}Z`,
      edge: this.path(steps, 'sure', side),
    };
  }

  private path(steps: readonly EmergenceStep[], of: 'sure' | 'possible', side: 1 | -1): string {
    let d = `M${LEFT} ${LINE_Y}`;
    for (const step of steps) d += `H${this.x(step.day)}V${LINE_Y + side * this.tall(step[of])}`;
    return `${d}H${this.x(this.plate().lastDay)}`;
  }

  private ring(
    days: readonly number[],
    outer: (day: number) => number,
    inner: (day: number) => number,
    side: 1 | -1,
  ): string {
    return `${this.outline(days, inner, side)}L${this.reverse(days, outer, side)}Z`;
  }

  private outline(days: readonly number[], of: (day: number) => number, side: 1 | -1): string {
    let d = `M${LEFT} ${this.edgeY(0, side)}`;
    for (const day of days) d += `H${this.x(day)}V${this.edgeY(of(day), side)}`;
    return d;
  }

  private reverse(days: readonly number[], of: (day: number) => number, side: 1 | -1): string {
    const back = [...days].reverse();
    let d = `${this.x(back[0] ?? 0)} ${this.edgeY(of(back[0] ?? 0), side)}`;
    back.forEach((day, i) => {
      const earlier = back[i + 1];
      d += `H${this.x(day)}V${this.edgeY(earlier === undefined ? 0 : of(earlier), side)}`;
    });
    return `${d}H${LEFT}`;
  }

  /** Losses share the height of both halves: all lost would meet at the line. */
  private edgeY(count: number, side: 1 | -1): number {
    return LINE_Y + side * (HALF - this.tall(count));
  }

  private tall(count: number): number {
    return (count / this.plate().count) * HALF;
  }

  private x(day: number): number {
    return LEFT + (day / this.plate().lastDay) * PLOT;
  }
}

function at(steps: readonly EmergenceStep[], day: number): number {
  return steps.findLast((s) => s.day <= day)?.sure ?? 0;
}
