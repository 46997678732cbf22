import type { Day } from '@hypogeon/core/days';
import type { NeededCurve } from '@hypogeon/core/plan';
import { nearDay, neededOnText, neededText, shortDay, type DayStyle } from '@hypogeon/words';
import { say } from '@hypogeon/messages/needed-chart';
import { HATCH, NARROW, type ChartModel } from './chart-model';

/** Beyond this many times the fewest the eye need not follow. */
const FOLLOWED = 5;

/**
 * How many to take against the day of cutting: it rises as time runs out; the last sensible day stands out.
 * Null where no number would do on any day.
 */
export function neededChart(
  curve: NeededCurve,
  { by, cutOn }: { readonly by: Day; readonly cutOn: Day },
  style: DayStyle,
): ChartModel | null {
  const { days, latest } = curve;
  const reached = days.flatMap((d) => (d.needed === null ? [] : [d.needed]));
  if (reached.length === 0) return null;
  const fewest = Math.min(...reached);
  const most = Math.min(Math.max(...reached), fewest * FOLLOWED);
  const at = (day: Day): number => {
    const i = days.findIndex((d) => d.day >= day);
    return i < 0 ? days.length - 1 : i;
  };
  const marks = [...new Set([fewest, Math.round(fewest * 2), Math.round(fewest * 4)])].filter(
    (n) => n <= most,
  );
  return {
    says: neededText(curve, style),
    stops: days.map((d, i) => ({
      x: i,
      y: Math.min(d.needed ?? most, most),
      says: neededOnText(d, style),
    })),
    table: {
      header: [say.cutOn(), say.take(), say.season()],
      rows: days.map((d) => [d.day, d.needed ?? say.noneWouldDo(), d.season]),
    },
    option: (ink, wide) => {
      const middle = Math.floor((days.length - 1) / 2);
      const names = days.map((d, i) => {
        if (i === 0) return nearDay(d.day, style);
        if (i === days.length - 1) return shortDay(by, style);
        return i === middle ? shortDay(d.day, style) : '';
      });
      const chosen = at(cutOn);
      const asked = latest === null ? null : at(latest);
      return {
        grid: { left: 38, right: wide < NARROW ? 26 : 34, top: 28, bottom: 30 },
        xAxis: {
          type: 'category',
          boundaryGap: false,
          data: days.map((d) => d.day),
          axisLine: { show: true, lineStyle: { color: ink('--ink'), width: 2 } },
          axisLabel: {
            interval: (i: number) => names[i] !== '',
            formatter: (_: string, i: number) => names[i],
            hideOverlap: false,
          },
        },
        yAxis: {
          type: 'value',
          min: 0,
          max: most * 1.05,
          axisLabel: { customValues: marks },
          axisTick: { customValues: marks },
          splitLine: { show: false },
        },
        series: [
          {
            type: 'custom',
            silent: true,
            z: 0,
            data: days.flatMap((d, i) => (d.season === 'active' ? [] : [[i, d.season]])),
            encode: { x: 0 },
            renderItem: seasonBand(days, ink),
          },
          {
            type: 'line',
            silent: true,
            symbol: 'none',
            z: 2,
            data: days.map((d, i) => [i, d.needed === null || d.needed > most ? null : d.needed]),
            lineStyle: { color: ink('--living'), width: 2.4 },
            areaStyle: { color: ink('--living-soft'), opacity: 1 },
            markLine: {
              silent: true,
              symbol: 'none',
              data: [
                ...marks.map((n) => ({
                  yAxis: n,
                  lineStyle: { color: ink('--line'), type: 'solid', width: 1 },
                  label: { show: false },
                })),
                ...(asked === null
                  ? []
                  : [
                      {
                        xAxis: asked,
                        lineStyle: { color: ink('--do'), width: 2, type: [5, 3] },
                        label: {
                          show: true,
                          position: 'end',
                          align: asked > days.length * 0.6 ? 'right' : 'left',
                          formatter: say.cutBy({ shortDay: shortDay(latest!, style) }),
                          color: ink('--ink'),
                          fontWeight: 650,
                          fontSize: 13,
                        },
                      },
                    ]),
              ],
            },
          },
          {
            type: 'scatter',
            silent: true,
            z: 6,
            symbol: 'rect',
            symbolSize: [2, 14],
            itemStyle: { color: ink('--ink') },
            data: [[chosen, 0]],
          },
        ],
      };
    },
  };
}

/** What a custom series is given to draw one item with. */
interface Pen {
  value(dim: number): number;
  coord(point: readonly number[]): number[];
}
interface Around {
  readonly coordSys: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  };
}

/** The days on which the plant hardly grows, or rests: shaded, and hatched. */
function seasonBand(days: NeededCurve['days'], ink: (token: string) => string) {
  return ({ coordSys: plot }: Around, pen: Pen): object => {
    const i = pen.value(0);
    const step = plot.width / Math.max(days.length - 1, 1);
    const x = Math.max(plot.x, pen.coord([i, 0])[0]! - step / 2);
    const rests = days[i]?.season === 'resting';
    return {
      type: 'rect',
      shape: {
        x,
        y: plot.y,
        width: Math.min(step + 0.5, plot.x + plot.width - x),
        height: plot.height,
      },
      style: rests
        ? { fill: ink('--paper'), decal: { ...HATCH.dried, color: ink('--ink2') }, opacity: 0.6 }
        : { fill: ink('--callus-soft'), opacity: 0.5 },
    };
  };
}
