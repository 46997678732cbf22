import type { Cell } from '@hypogeon/core/formats';
import type { EChartsCoreOption } from 'echarts/core';

/** Colours of the page by name, `--water`: a drawing that leaves the page knows no CSS. */
export type Ink = (token: string) => string;

/** A place along the first x axis where the chart can be read: by pointer, thumb or arrow keys. */
export interface Stop {
  /** On the first x axis: a value, a time in ms, or the index of a category. */
  readonly x: number;
  /** On the first y axis, within what it shows; 0 where left out. */
  readonly y?: number;
  readonly says: string;
}

/** The same as a table. */
export interface ChartTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** All that a chart is, as data: what it says, where it can be read, its table, and how it is drawn. */
export interface ChartModel {
  /** What somebody hears who does not see it. */
  readonly says: string;
  readonly stops: readonly Stop[];
  readonly table: ChartTable;
  /** What the CSV holds where it is to be read by machines: bare numbers under plain names. */
  readonly file?: ChartTable;
  /** @param wide room in CSS pixels; labels thin out on a phone */
  readonly option: (ink: Ink, wide: number) => EChartsCoreOption;
}

/** Below this a phone holds the chart. */
export const NARROW = 560;

/** The line that everything stands on: the ground. */
export function soilLine(ink: Ink, from: number, to: number): object {
  return {
    type: 'line',
    silent: true,
    symbol: 'none',
    z: 6,
    data: [
      [from, 0],
      [to, 0],
    ],
    lineStyle: { color: ink('--ink'), width: 2 },
  };
}

/** Hatchings, so that nothing hangs on colour alone: one way for rot, the other for dried, dots for the rest. */
export const HATCH = {
  rotted: { dashArrayX: [1, 0], dashArrayY: [2.2, 3], rotation: Math.PI / 4 },
  dried: { dashArrayX: [1, 0], dashArrayY: [1.2, 5], rotation: -Math.PI / 4 },
  lost: { symbol: 'circle', symbolSize: 0.6, dashArrayX: [[4, 4]], dashArrayY: [4, 4] },
} as const;

export type Hatched = keyof typeof HATCH;

/** A hatching on the page's own ground. */
export function hatched(kind: Hatched, ink: Ink): object {
  return {
    color: ink('--paper'),
    decal: { ...HATCH[kind], color: ink(kind === 'rotted' ? '--rot' : '--ink2') },
  };
}

/** A curve that stands until the next step. */
export const stairs = (
  points: readonly (readonly [number, number])[],
  last: number,
): number[][] => {
  const end = points.at(-1);
  const all = end && end[0] < last ? [...points, [last, end[1]] as const] : points;
  return all.map(([x, y]) => [x, y]);
};

/** The band between two curves on one grid of places: two layers, the lower unseen. */
export function band(
  name: string,
  low: readonly (readonly [number, number])[],
  high: readonly (readonly [number, number])[],
  style: { readonly color: string; readonly opacity: number; readonly step?: 'end' },
): object[] {
  const base = {
    type: 'line',
    stack: name,
    stackStrategy: 'all',
    silent: true,
    symbol: 'none',
    z: 1,
    lineStyle: { opacity: 0 },
    ...(style.step ? { step: style.step } : {}),
  };
  return [
    { ...base, data: low.map(([x, y]) => [x, y]) },
    {
      ...base,
      data: high.map(([x, y], i) => [x, y - low[i]![1]]),
      areaStyle: { color: style.color, opacity: style.opacity },
    },
  ];
}

/** Whole days to mark on an axis, so many that they can be read. */
export function dayTicks(last: number, most: number): readonly number[] {
  const step = [1, 2, 7, 14, 28, 56, 112, 224].find((s) => last / s <= most) ?? 365;
  return Array.from({ length: Math.floor(last / step) + 1 }, (_, i) => i * step);
}
