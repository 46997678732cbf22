import { say } from '@hypogeon/messages/ranges-chart';
import { NARROW, type ChartModel } from './chart-model';

/** One thing with its figure and the range it lies in; beside it, where there is one, what was said before. */
export interface RangeRow {
  readonly name: string;
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  readonly before?: number;
}

export interface RangeWords {
  /** What it is about: `Cost of a plant`. */
  readonly title: string;
  readonly figure: (value: number) => string;
  /** What the hollow mark is: `the guide`. */
  readonly before?: string;
  /** Where the axis ends; the greatest high where left out. */
  readonly most?: number;
  /** Losses are told in the colour of rot. */
  readonly colour?: '--living' | '--rot';
}

const ROW = 40;

/** Room that so many rows need, in CSS pixels. */
export const rangesTall = (rows: number): number => rows * ROW + 44;

/** Figures under each other, each a dot on its range: the likely one full, what was said before hollow. */
export function rangesChart(rows: readonly RangeRow[], words: RangeWords): ChartModel {
  const { figure, colour = '--living' } = words;
  const told = (r: RangeRow): string =>
    say.to({
      name: r.name,
      figure: figure(r.likely),
      figure2: figure(r.low),
      figure3: figure(r.high),
      what:
        r.before === undefined || words.before === undefined
          ? ''
          : `; ${words.before} ${figure(r.before)}`,
    });
  return {
    says: `${words.title}. ${rows.map(told).join('. ')}.`,
    stops: rows.map((r, i) => ({ x: r.likely, y: i, says: `${told(r)}.` })),
    table: {
      header: [
        words.title,
        say.likely(),
        say.low(),
        say.high(),
        ...(words.before === undefined ? [] : [words.before]),
      ],
      rows: rows.map((r) => [
        r.name,
        figure(r.likely),
        figure(r.low),
        figure(r.high),
        ...(words.before === undefined ? [] : [r.before === undefined ? '' : figure(r.before)]),
      ]),
    },
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      return {
        grid: { left: narrow ? 12 : 230, right: narrow ? 60 : 90, top: 6, bottom: 34 },
        xAxis: {
          type: 'value',
          min: 0,
          max: words.most ?? Math.max(...rows.map((r) => r.high)) * 1.02,
          splitNumber: narrow ? 3 : 5,
          axisLabel: { formatter: figure, showMaxLabel: words.most !== undefined },
        },
        yAxis: {
          type: 'category',
          inverse: true,
          data: rows.map((r) => r.name),
          splitLine: { show: false },
          axisLabel: narrow
            ? {
                inside: true,
                align: 'left',
                verticalAlign: 'bottom',
                padding: [0, 0, 11, 0],
                color: ink('--ink'),
              }
            : { width: 220, overflow: 'break', color: ink('--ink') },
        },
        series: [
          {
            type: 'custom',
            silent: true,
            data: rows.map((r, i) => [r.low, i, r.high, r.likely, r.before ?? NaN]),
            encode: { x: [0, 2], y: 1 },
            renderItem: (_: unknown, pen: Pen): object => {
              const i = pen.value(1);
              const at = (value: number): number[] => pen.coord([value, i]);
              const [low, y] = at(pen.value(0)) as [number, number];
              const high = at(pen.value(2))[0]!;
              const before = pen.value(4);
              return {
                type: 'group',
                children: [
                  {
                    type: 'rect',
                    shape: { x: low, y: y - 4, width: Math.max(high - low, 1), height: 8 },
                    style:
                      colour === '--rot'
                        ? { fill: ink(colour), opacity: 0.35 }
                        : { fill: ink('--living-soft') },
                  },
                  ...(Number.isNaN(before)
                    ? []
                    : [
                        {
                          type: 'circle',
                          shape: { cx: at(before)[0], cy: y, r: 5.5 },
                          style: { fill: ink('--paper'), stroke: ink('--ink2'), lineWidth: 1.6 },
                        },
                      ]),
                  {
                    type: 'circle',
                    shape: { cx: at(pen.value(3))[0], cy: y, r: 5 },
                    style: { fill: ink(colour) },
                  },
                  {
                    type: 'text',
                    style: {
                      text: figure(pen.value(3)),
                      x: Math.max(high, at(pen.value(3))[0]! + 5) + 8,
                      y,
                      verticalAlign: 'middle',
                      fontSize: 13,
                      fontFamily: ink('--text-face'),
                      fill: ink('--ink'),
                    },
                  },
                ],
              };
            },
          },
        ],
      };
    },
  };
}

interface Pen {
  value(dim: number): number;
  coord(point: readonly number[]): number[];
}
