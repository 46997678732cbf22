import type { TruthDay } from '@hypogeon/core/practice';
import { percent } from '@hypogeon/words';
import { say } from '@hypogeon/messages/truth-chart';
import { dayTicks, NARROW, soilLine, type ChartModel } from './chart-model';
import { endLabels } from './end-labels';

const CURVES = [
  {
    key: 'closure',
    get name() {
      return say.woundsClosed();
    },
    ink: '--callus',
    dash: 'solid',
  },
  {
    key: 'wet',
    get name() {
      return say.stemsWet();
    },
    ink: '--water',
    dash: [6, 3],
  },
  {
    key: 'reserves',
    get name() {
      return say.reserves();
    },
    ink: '--soil',
    dash: [2, 3],
  },
  {
    key: 'rooted',
    get name() {
      return say.rooted();
    },
    ink: '--living',
    dash: 'solid',
  },
  {
    key: 'rotted',
    get name() {
      return say.rotted();
    },
    ink: '--rot',
    dash: [8, 2, 2, 2],
  },
] as const;

/**
 * What was true on every day and nobody could see: wounds, wet, reserves, roots, rot, as shares.
 * @param watered days on which it had a drink: drops on the line
 */
export function truthChart(truth: readonly TruthDay[], watered: readonly number[]): ChartModel {
  const last = truth.at(-1)?.day ?? 0;
  const told = (t: TruthDay): string =>
    CURVES.map(({ key, name }) => `${name} ${percent(t[key])}`).join(', ');
  return {
    says: say.theTruthOverDays({
      last,
      what: truth.length > 0 ? told(truth.at(-1)!) : say.nothing(),
    }),
    stops: truth.map((t) => ({
      x: t.day,
      says: say.day({
        day: t.day,
        told: told(t),
        what: watered.includes(t.day) ? say.wateredToo() : '',
      }),
    })),
    table: {
      header: [say.day2(), ...CURVES.map((c) => c.name), say.watered()],
      rows: truth.map((t) => [
        t.day,
        ...CURVES.map(({ key }) => percent(t[key])),
        watered.includes(t.day) ? say.yes() : '',
      ]),
    },
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      return {
        grid: { left: 46, right: narrow ? 100 : 120, top: 14, bottom: 32 },
        xAxis: {
          type: 'value',
          min: 0,
          max: Math.max(1, last),
          splitLine: { show: false },
          axisLabel: {
            customValues: dayTicks(Math.max(1, last), narrow ? 5 : 9),
            formatter: (day: number) => (day === 0 ? 'day 0' : `${day}`),
          },
        },
        yAxis: { type: 'value', min: 0, max: 1, interval: 0.5, axisLabel: { formatter: percent } },
        series: [
          ...CURVES.map(({ key, ink: token, dash }) => ({
            type: 'line',
            silent: true,
            symbol: 'none',
            z: 3,
            data: truth.map((t) => [t.day, t[key]]),
            lineStyle: { color: ink(token), width: 2.2, type: dash },
          })),
          soilLine(ink, 0, last),
          {
            type: 'scatter',
            silent: true,
            z: 8,
            clip: false,
            symbol: 'path://M0 -9c3.5 5 5 7 5 9.5a5 5 0 0 1 -10 0c0 -2.5 1.5 -4.5 5 -9.5z',
            symbolSize: [10, 15],
            itemStyle: { color: ink('--water'), borderColor: ink('--paper'), borderWidth: 1.2 },
            data: watered.map((day) => [day, 0]),
          },
          endLabels(
            CURVES.map(({ key, name }) => ({ y: truth.at(-1)?.[key] ?? 0, text: name })),
            last,
            0.075,
            ink,
          ),
        ],
      };
    },
  };
}
