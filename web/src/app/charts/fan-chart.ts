import type { RootsFan } from '@hypogeon/core/learn';
import { fanAhead, fanOn, fanText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/fan-chart';
import { band, dayTicks, NARROW, soilLine, type ChartModel, type Ink } from './chart-model';

/**
 * Roots that were to be expected of a batch, eight times in ten within the light band; what is to be expected from its
 * last count on, within the dark one; and the counts themselves.
 * @param dated a day from the cut as the date it is, short
 */
export function fanChart(fan: RootsFan, dated: (day: number) => string): ChartModel {
  const { expected, ahead, counted, of, today } = fan;
  const last = expected.at(-1)?.day ?? 1;
  const end = (ahead.length > 0 ? ahead : expected).at(-1);
  const seen = counted.at(-1);
  const stood = (day: number): number | undefined => counted.findLast((c) => c.day === day)?.rooted;
  return {
    says: fanText(fan),
    stops: expected.map((e) => ({ x: e.day, y: e.mean, says: fanOn(e, stood(e.day)) })),
    table: {
      header: [say.day(), say.expected(), say.atLeast(), say.atMost(), say.counted()],
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
        grid: { left: 36, right: 20, top: 22, bottom: 32 },
        xAxis: {
          type: 'value',
          min: 0,
          max: last,
          splitLine: { show: false },
          axisLabel: {
            customValues: dayTicks(last, narrow ? 4 : 6),
            formatter: (day: number) => dated(day),
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
          said(
            ink,
            say.today(),
            [Math.min(today, last), of],
            today < last / 2 ? 'left' : 'right',
            '--ink2',
          ),
          ...(end
            ? [said(ink, fanAhead(fan, dated(last)), [last, end.mean], 'right', '--ink')]
            : []),
          ...(seen && seen.rooted > 0
            ? [
                said(
                  ink,
                  `${seen.rooted}`,
                  [seen.day, seen.rooted],
                  seen.day < last / 2 ? 'left' : 'right',
                  '--ink',
                ),
              ]
            : []),
        ],
      };
    },
  };
}

/** A word at a place of the chart; `align` is the side of it that stands there. */
const said = (
  ink: Ink,
  text: string,
  at: readonly [number, number],
  align: 'left' | 'right',
  token: string,
): object => ({
  type: 'scatter',
  silent: true,
  z: 9,
  clip: false,
  symbolSize: 0.1,
  data: [[...at]],
  label: {
    show: true,
    formatter: text,
    position: 'top',
    align,
    distance: 6,
    color: ink(token),
    fontWeight: token === '--ink2' ? 400 : 650,
    textBorderColor: ink('--paper'),
    textBorderWidth: 3,
  },
});
