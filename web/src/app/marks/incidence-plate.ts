import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { AalenJohansen, IncidenceStep } from '@hypogeon/core/stats';

export interface PlateGroup {
  readonly name: string;
  readonly curve: AalenJohansen;
}

const WIDTH = 720;
const LEFT = 52;
const RIGHT = 150;
const UP = 150;
const DOWN = 110;
const TOP = 16;
const LINE = TOP + UP;
const HEIGHT = LINE + DOWN + 34;
const PLOT = WIDTH - LEFT - RIGHT;
/** About two standard errors. */
const Z = 1.96;

/**
 * Two ways on one soil line: the share that has roots rises above it, the share that is lost goes down below, by days
 * since the cut, each with its band. The first is drawn solid, the second dashed.
 */
@Component({
  selector: 'hy-incidence-plate',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="v.says">
        @for (line of v.grid; track line.y) {
          <path class="grid" [attr.d]="'M' + left + ' ' + line.y + 'H' + v.right" />
          <text class="axis" [attr.x]="left - 6" [attr.y]="line.y + 4">{{ line.says }}</text>
        }
        @for (g of v.groups; track g.name) {
          <path [attr.class]="'band roots ' + g.kind" [attr.d]="g.rootsBand" />
          <path [attr.class]="'band lost ' + g.kind" [attr.d]="g.lostBand" />
        }
        @for (g of v.groups; track g.name) {
          <path [attr.class]="'edge roots ' + g.kind" [attr.d]="g.roots" />
          <path [attr.class]="'edge lost ' + g.kind" [attr.d]="g.lost" />
          <text class="name" [attr.x]="v.right + 8" [attr.y]="g.labelY">{{ g.name }}</text>
          <text [attr.x]="v.right + 8" [attr.y]="g.labelY + 15">{{ g.label }}</text>
        }
        <path class="soil" [attr.d]="'M' + left + ' ' + line + 'H' + (v.right + 4)" />
        @for (tick of v.ticks; track tick.x) {
          <text class="day" [attr.x]="tick.x" [attr.y]="height - 8">{{ tick.day }}</text>
        }
        <text [attr.x]="v.right + 8" [attr.y]="height - 8">days</text>
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
      max-width: 900px;
      height: auto;
    }
    .grid {
      stroke: var(--line);
    }
    .band {
      opacity: 0.3;
    }
    .band.roots {
      fill: var(--living);
    }
    .band.lost {
      fill: var(--rot);
    }
    .band.second {
      opacity: 0.16;
    }
    .edge {
      fill: none;
      stroke-width: 2.4;
      stroke-linejoin: round;
    }
    .edge.roots {
      stroke: var(--living);
    }
    .edge.lost {
      stroke: var(--rot);
    }
    .edge.second {
      stroke-dasharray: 6 4;
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
    .day {
      text-anchor: middle;
    }
    .name {
      font-weight: 650;
      fill: var(--ink);
    }
    @media (max-width: 760px) {
      text {
        font-size: 19px;
      }
    }
  `,
})
export class IncidencePlate {
  readonly groups = input.required<readonly PlateGroup[]>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly left = LEFT;
  protected readonly line = LINE;

  protected readonly view = computed(() => {
    const groups = this.groups().slice(0, 2);
    const lastDay = Math.max(
      1,
      ...groups.flatMap((g) => [...g.curve.causes.values()].map((s) => s.at(-1)?.time ?? 0)),
    );
    const right = LEFT + PLOT;
    const x = (day: number): number => LEFT + (day / lastDay) * PLOT;
    const up = (share: number): number => LINE - Math.min(1, Math.max(0, share)) * UP;
    const down = (share: number): number => LINE + Math.min(1, Math.max(0, share)) * DOWN;
    const drawn = groups.map((g, i) => {
      const roots = g.curve.causes.get('rooted') ?? [];
      const lost = lostOf(g.curve);
      return {
        name: g.name,
        kind: i === 0 ? 'first' : 'second',
        roots: stairs(roots, x, up, lastDay),
        lost: stairs(lost, x, down, lastDay),
        rootsBand: band(roots, x, up, lastDay),
        lostBand: band(lost, x, down, lastDay),
        rooted: roots.at(-1)?.incidence ?? 0,
        gone: lost.at(-1)?.incidence ?? 0,
        labelY: up(roots.at(-1)?.incidence ?? 0),
        label: `${percent(roots.at(-1)?.incidence ?? 0)} rooted, ${percent(lost.at(-1)?.incidence ?? 0)} lost`,
      };
    });
    // Labels stand apart.
    const [first, second] = drawn;
    if (first && second && Math.abs(first.labelY - second.labelY) < 38) {
      const upper = first.labelY <= second.labelY ? first : second;
      const lower = upper === first ? second : first;
      lower.labelY = upper.labelY + 38;
    }
    const step = [7, 14, 28, 56, 112, 224].find((s) => lastDay / s <= 9) ?? 365;
    return {
      right,
      groups: drawn,
      grid: [
        { y: up(1), says: '100 %' },
        { y: up(0.5), says: '50 %' },
        { y: down(0.5), says: '50 %' },
        { y: down(1), says: '100 %' },
      ],
      ticks: Array.from({ length: Math.floor(lastDay / step) + 1 }, (_, i) => ({
        day: i * step,
        x: x(i * step),
      })),
      says: drawn
        .map(
          (g) =>
            `${g.name}: ${percent(g.rooted)} rooted and ${percent(g.gone)} lost by day ${lastDay}`,
        )
        .join('; '),
    };
  });
}

/** All losses together, their errors added as if they were apart: a little too wide, never too narrow. */
function lostOf({ causes }: AalenJohansen): readonly IncidenceStep[] {
  const parts = [...causes].filter(([cause]) => cause !== 'rooted').map(([, steps]) => steps);
  return (parts[0] ?? []).map(({ time }, i) => ({
    time,
    incidence: parts.reduce((sum, steps) => sum + steps[i]!.incidence, 0),
    se: parts.reduce((sum, steps) => sum + steps[i]!.se, 0),
  }));
}

type Scale = (n: number) => number;

function stairs(steps: readonly IncidenceStep[], x: Scale, y: Scale, last: number): string {
  let d = `M${x(0)} ${y(0)}`;
  for (const s of steps) d += `H${x(s.time).toFixed(1)}V${y(s.incidence).toFixed(1)}`;
  return `${d}H${x(last)}`;
}

function band(steps: readonly IncidenceStep[], x: Scale, y: Scale, last: number): string {
  const high = stairs(
    steps.map((s) => ({ ...s, incidence: s.incidence + Z * s.se })),
    x,
    y,
    last,
  );
  let back = '';
  for (let i = steps.length - 1; i >= 0; i--) {
    const s = steps[i]!;
    back += `V${y(s.incidence - Z * s.se).toFixed(1)}H${x(s.time).toFixed(1)}`;
  }
  return `${high}${back}V${y(0)}Z`;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
