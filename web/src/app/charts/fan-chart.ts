import type { RootsFan } from '@hypogeon/core/learn';
import { fanOn, fanText } from '@hypogeon/words';
import { band, dayTicks, NARROW, soilLine, type ChartModel } from './chart-model';

/**
 * Roots that were to be expected of a batch, eight times in ten within the light band; what is to be expected from its
 * last count on, within the dark one; and the counts themselves.
 */
export function fanChart(fan: RootsFan): ChartModel {
  const { expected, ahead, counted, of, today } = fan;
  const last = expected.at(-1)?.day ?? 1;
  const stood = (day: number): number | undefined => counted.findLast((c) => c.day === day)?.rooted;
  return {
    says: fanText(fan),
    stops: expected.map((e) => ({ x: e.day, y: e.mean, says: fanOn(e, stood(e.day)) })),
    table: {
      header: ['Day', 'Expected', 'At least', 'At most', 'Counted'],
      rows: [
        ...expected.map((e) => [e.day, Math.round(e.mean), e.low, e.high, stood(e.day) ?? '']),
        ...counted
          .filter((c) => !expected.some((e) => e.day === c.day))
          .map((c) => [c.day, '', '', '', c.rooted]),
      ].sort((a, b) => Number(a[0]) - Number(b[0])),
    },
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      const fanOf = (name: string, days: RootsFan['expected'], opacity: number): object[] =>
        band(
          name,
          days.map((e) => [e.day, e.low]),
          days.map((e) => [e.day, e.high]),
          { color: ink('--living'), opacity },
        );
      const line = { type: 'line', silent: true, symbol: 'none' };
      return {
        grid: { left: 36, right: 20, top: 18, bottom: 32 },
        xAxis: {
          type: 'value',
          min: 0,
          max: last,
          splitLine: { show: false },
          axisLabel: {
            customValues: dayTicks(last, narrow ? 5 : 9),
            formatter: (day: number) => (day === 0 ? 'cut' : `day ${day}`),
          },
        },
        yAxis: { type: 'value', min: 0, max: of, minInterval: 1, splitNumber: 3 },
        series: [
          ...fanOf('expected', expected, 0.16),
          ...fanOf('ahead', ahead, 0.34),
          {
            ...line,
            z: 3,
            data: (ahead.length > 0 ? ahead : expected).map((e) => [e.day, e.mean]),
            lineStyle: { color: ink('--living'), width: 2, type: [6, 4] },
          },
          {
            ...line,
            z: 5,
            data: [
              [Math.min(today, last), 0],
              [Math.min(today, last), of],
            ],
            lineStyle: { color: ink('--ink2'), width: 1, type: [2, 3] },
          },
          soilLine(ink, 0, last),
          {
            type: 'scatter',
            silent: true,
            z: 8,
            clip: false,
            symbolSize: 11,
            itemStyle: { color: ink('--root'), borderColor: ink('--paper'), borderWidth: 1.5 },
            data: counted.map((c) => [c.day, c.rooted]),
          },
        ],
      };
    },
  };
}
