import { daysBetween, type Day } from '@hypogeon/core/days';
import { dayText, evaporationText, percent, shortDay, type Speech } from '@hypogeon/words';
import { say } from '@hypogeon/messages/water-chart';
import { sliderZoom } from './zoom';
import { band, NARROW, type ChartModel, type Ink } from './chart-model';

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

export interface CourseGiven {
  readonly days: readonly CourseDay[];
  readonly today: Day;
  readonly marks: readonly CourseMark[];
  /** The share of water at which the school asks, where it has one. */
  readonly limit: number | null;
}

/** Where it pools the drawing stops. */
const MOST_FILL = 1.08;
/** Room for half a date. */
const LEFT = 24;
/** Two names closer than this share of the height would lie on each other. */
const APART = 0.16;
const DROP = 'path://M0 -9c3.5 5 5 7 5 9.5a5 5 0 0 1 -10 0c0 -2.5 1.5 -4.5 5 -9.5z';
const SCALE = 'path://M-5 4h10l-2.5 -8h-5z';

/**
 * The water in a pot under the soil line, full on top as in a jug: what the air took above the line, drinks as drops.
 * Past solid; the days to come as a fan between slow and fast.
 */
/** What was done, in the table. */
const DONE: Readonly<Record<CourseMark['kind'], () => string>> = {
  watered: say.watered,
  misted: say.misted,
  weighed: say.weighed,
  felt: say.felt,
};

export function waterChart(given: CourseGiven, speech: Speech): ChartModel | null {
  const { days, today, marks, limit } = given;
  const first = days[0];
  if (!first) return null;
  const at = (day: Day): number => daysBetween(first.day, day);
  const now = days.find((d) => d.day === today);
  const drinks = marks.filter((m) => m.kind === 'watered' || m.kind === 'misted').length;
  const most = Math.max(0.5, ...days.map((d) => d.evaporationMm));
  const capped = (fill: number): number => Math.min(Math.max(fill, 0), MOST_FILL);
  return {
    says: say.waterInThePot({
      daysCount: days.length,
      drinks,
      what: now ? say.leftToday({ percent: percent(Math.min(now.fill, 1)) }) : '.',
    }),
    stops: days.map((d, i) => ({ x: i, says: dayWords(d, given, speech) })),
    table: {
      header: [say.day(), say.waterLeft(), say.atLeast(), say.atMost(), say.airTook(), say.done()],
      rows: days.map((d) => [
        d.day,
        percent(d.fill),
        d.low === undefined ? '' : percent(d.low),
        d.high === undefined ? '' : percent(d.high),
        evaporationText(d.evaporationMm, speech.length, speech.locale),
        marks
          .filter((m) => m.day === d.day)
          .map((m) => DONE[m.kind]())
          .join(', '),
      ]),
    },
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      const right = narrow ? 98 : 104;
      const past = days.filter((d) => d.day <= today).map((d) => [at(d.day), capped(d.fill)]);
      const ahead = days.filter((d) => d.day >= today);
      const points = (of: (d: CourseDay) => number): (readonly [number, number])[] =>
        ahead.map((d) => [at(d.day), capped(of(d))]);
      const soilAxis = { xAxisIndex: 0, yAxisIndex: 0 };
      const airAxis = { xAxisIndex: 1, yAxisIndex: 1 };
      const dates = days.map((d) => d.day);
      const axis = { type: 'category', data: dates, boundaryGap: true } as const;
      const window = narrow
        ? { startValue: Math.max(0, at(today) - 14), endValue: at(today) + 12 }
        : { startValue: 0, endValue: days.length - 1 };
      return {
        axisPointer: { link: [{ xAxisIndex: 'all' }] },
        grid: [
          {
            left: 8,
            right,
            top: 76,
            height: 156,
            show: true,
            backgroundColor: ink('--soil-soft'),
            borderWidth: 0,
          },
          { left: LEFT, right, top: 14, height: 52 },
        ],
        dataZoom: [sliderZoom(ink, { xAxisIndex: [0, 1], ...window, height: 22 })],
        xAxis: [
          {
            ...axis,
            axisLabel: { formatter: (day: string) => shortDay(day, speech) },
          },
          {
            ...axis,
            gridIndex: 1,
            axisLine: { show: true, lineStyle: { color: ink('--ink'), width: 2 } },
            axisLabel: { show: false },
          },
        ],
        yAxis: [
          {
            type: 'value',
            min: 0,
            max: MOST_FILL,
            position: 'right',
            axisLabel: {
              customValues: namedFills(limit),
              formatter: (fill: number) =>
                fill === 0 ? say.empty() : fill === 1 ? say.fullDrained() : say.asksHere(),
              color: ink('--ink'),
              hideOverlap: true,
            },
            splitLine: { show: false },
          },
          {
            type: 'value',
            min: 0,
            max: most,
            gridIndex: 1,
            position: 'right',
            axisLabel: {
              customValues: [most / 2],
              formatter: () =>
                say.airTook2({ evaporation: evaporationText(most, speech.length, speech.locale) }),
              color: ink('--ink'),
              lineHeight: 16,
            },
            splitLine: { show: false },
          },
        ],
        series: [
          {
            type: 'bar',
            ...airAxis,
            silent: true,
            barCategoryGap: '28%',
            data: days.map((d) => ({
              value: d.evaporationMm,
              itemStyle:
                d.day > today
                  ? {
                      color: 'transparent',
                      borderColor: ink('--callus'),
                      borderWidth: 0.8,
                      borderType: [2, 2],
                    }
                  : { color: ink('--callus-soft'), borderColor: ink('--callus'), borderWidth: 0.8 },
            })),
          },
          {
            type: 'line',
            ...soilAxis,
            silent: true,
            symbol: 'none',
            z: 2,
            data: past,
            lineStyle: { opacity: 0 },
            areaStyle: { color: ink('--water'), opacity: 0.72, origin: 0 },
          },
          ...(ahead.length < 2
            ? []
            : band(
                'fan',
                points((d) => d.low ?? d.fill),
                points((d) => d.high ?? d.fill),
                { color: ink('--water'), opacity: 0.22 },
              )),
          {
            type: 'line',
            ...soilAxis,
            silent: true,
            symbol: 'none',
            z: 3,
            data: points((d) => d.fill),
            lineStyle: { color: ink('--water'), width: 2, type: [5, 3] },
            markLine: {
              silent: true,
              symbol: 'none',
              label: { show: false },
              data: [
                { xAxis: at(today), lineStyle: { color: ink('--ink'), width: 1.2, type: 'solid' } },
                ...(limit === null
                  ? []
                  : [
                      { yAxis: limit, lineStyle: { color: ink('--do'), width: 1.3, type: [2, 4] } },
                    ]),
              ],
            },
          },
          {
            type: 'scatter',
            ...soilAxis,
            silent: true,
            z: 8,
            clip: false,
            data: marks
              .filter((m) => m.day >= first.day && m.day <= days.at(-1)!.day)
              .map((m) => ({
                value: [at(m.day), m.fill === undefined ? 1 : capped(m.fill)],
                ...markStyle(m.kind, ink),
              })),
          },
        ],
      };
    },
  };
}

/** Where the water has a name: empty, where it is asked for, full; the one that matters stays where two would touch. */
export function namedFills(limit: number | null): readonly number[] {
  if (limit === null) return [0, 1];
  return [...(limit >= APART ? [0] : []), limit, ...(limit <= 1 - APART ? [1] : [])];
}

function markStyle(kind: CourseMark['kind'], ink: Ink): object {
  switch (kind) {
    case 'watered':
      return {
        symbol: DROP,
        symbolSize: [11, 16],
        itemStyle: { color: ink('--water'), borderColor: ink('--paper'), borderWidth: 1.2 },
      };
    case 'misted':
      return {
        symbol: DROP,
        symbolSize: [11, 16],
        itemStyle: { color: ink('--paper'), borderColor: ink('--water'), borderWidth: 1.4 },
      };
    case 'weighed':
      return {
        symbol: SCALE,
        symbolSize: [12, 10],
        itemStyle: { color: ink('--face'), borderColor: ink('--ink'), borderWidth: 1.4 },
      };
    case 'felt':
      return { symbol: 'rect', symbolSize: [2.4, 14], itemStyle: { color: ink('--ink') } };
  }
}

/** `3 May 2026: 40% of its water (30–52%), the air takes 2.1 mm. Watered.` */
function dayWords(d: CourseDay, { marks, today }: CourseGiven, speech: Speech): string {
  const done = marks.filter((m) => m.day === d.day).map((m) => m.says.replace(/^[^:]*: /, ''));
  const range =
    d.day > today && d.low !== undefined && d.high !== undefined
      ? say.to({
          percent: percent(Math.min(d.low, d.high)),
          percent2: percent(Math.max(d.low, d.high)),
        })
      : '';
  return [
    say.ofItsWaterThe({
      day: dayText(d.day, speech),
      percent: percent(d.fill),
      range,
      what: d.day > today ? say.wouldTake() : say.took(),
      evaporation: evaporationText(d.evaporationMm, speech.length, speech.locale),
    }),
    ...done.map((says) => `${says[0]!.toUpperCase()}${says.slice(1)}.`),
  ].join(' ');
}
