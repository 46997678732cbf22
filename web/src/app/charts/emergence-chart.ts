import type { Young } from '@hypogeon/core/botany';
import type { Emergence, EmergenceStep } from '@hypogeon/core/ledger';
import { emergenceOn, emergenceText, LOSS_CAUSES, YOUNG_NAME } from '@hypogeon/words';
import { say } from '@hypogeon/messages/emergence-chart';
import { hatched, NARROW, soilLine, stairs, type ChartModel, type ChartTable } from './chart-model';
import { endLabels } from './end-labels';
import { perCent } from '@hypogeon/core/units';

type Steps = readonly EmergenceStep[];
const surely = (steps: Steps, day: number): number =>
  steps.findLast((s) => s.day <= day)?.sure ?? 0;

/**
 * What came of a batch over the days since the cut: pups rise above the soil line, roots go down below it, losses
 * close in from both edges. Bands reach from what was surely there at a look to what may have come right after the
 * one before.
 * @param pooled of several batches: their ends are estimates, and no shares are put to them
 * @param young what shows of a piece that has taken
 */
export function emergenceChart(
  plate: Emergence,
  pooled = false,
  young: Young = 'pups',
): ChartModel {
  const { lastDay } = plate;
  return {
    says: emergenceText(plate, young),
    table: emergenceTable(plate, young),
    stops: Array.from({ length: lastDay + 1 }, (_, day) => ({
      x: day,
      says: emergenceOn(plate, day, young),
    })),
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      const right = narrow ? 92 : 112;
      const shown = spaced(plate, Math.max(wide - right - 20, 100));
      const waiting = new Map(plate.waiting.map((w) => [w.day, w.count]));
      const share = (steps: Steps, of: 'sure' | 'possible', side: 1 | -1): number[][] =>
        stairs(
          [[0, 0], ...steps.map((s) => [s.day, (side * s[of]) / plate.count] as const)],
          lastDay,
        );
      const line = { type: 'line', step: 'end', symbol: 'none', silent: true };
      const grown = (steps: Steps, side: 1 | -1, edge: string, fill: string): object[] => [
        {
          ...line,
          z: 2,
          data: share(steps, 'possible', side),
          lineStyle: { opacity: 0 },
          areaStyle: { color: ink(fill), opacity: 0.5 },
        },
        {
          ...line,
          z: 3,
          data: share(steps, 'sure', side),
          lineStyle: { color: ink(edge), width: 2.2 },
          areaStyle: { color: ink(fill), opacity: 1 },
        },
      ];
      return {
        grid: { left: 12, right, top: 12, bottom: 52 },
        xAxis: {
          type: 'value',
          min: 0,
          max: lastDay,
          name: say.dayWaiting(),
          nameLocation: 'end',
          nameTextStyle: {
            align: 'left',
            verticalAlign: 'top',
            lineHeight: 18,
            padding: [8, 0, 0, 16],
          },
          axisLine: { onZero: false },
          splitLine: { show: false },
          axisLabel: {
            customValues: shown,
            formatter: (day: number) => `${day}\n${waiting.get(day) ?? ''}`,
            lineHeight: 18,
            hideOverlap: false,
          },
        },
        yAxis: {
          type: 'value',
          min: -1,
          max: 1,
          axisLabel: { show: false },
          splitLine: { show: false },
        },
        series: [
          ...lossLayers(plate).flatMap(({ cause, points }) =>
            ([1, -1] as const).map((side) => ({
              ...line,
              z: 1,
              data: stairs(points, lastDay).map(([day, y]) => [day, side * y!]),
              lineStyle: { color: ink('--rot'), width: 1.2 },
              itemStyle: hatched(cause, ink),
              areaStyle: { origin: side === 1 ? 'end' : 'start', opacity: 1 },
            })),
          ),
          ...grown(plate.pups, 1, '--living', '--living-soft'),
          ...grown(plate.roots, -1, '--root', '--callus-soft'),
          soilLine(ink, 0, lastDay),
          {
            type: 'scatter',
            silent: true,
            z: 6,
            symbol: 'rect',
            symbolSize: [1.5, 12],
            itemStyle: { color: ink('--ink') },
            data: plate.waiting.map(({ day }) => [day, 0]),
          },
          endLabels(labelsOf(plate, pooled, young), lastDay, 0.14, ink),
        ],
      };
    },
  };
}

/** What was surely there at each look. */
function emergenceTable({ roots, pups, losses, waiting }: Emergence, young: Young): ChartTable {
  const at = (steps: Steps, day: number): number => Math.round(surely(steps, day));
  return {
    header: [
      ...[say.day(), say.rooted(), say.withWord({ youngName: YOUNG_NAME[young] })],
      ...[say.rotted(), say.driedUp(), say.lostOtherwise(), say.waiting()],
    ],
    rows: waiting.map(({ day, count }) => [
      day,
      at(roots, day),
      at(pups, day),
      ...LOSS_CAUSES.map((c) => at(losses[c], day)),
      count,
    ]),
  };
}

/**
 * Losses stacked from the outer edge inward, the widest first, so that the next is drawn over it: what is left of the
 * half at each step, from 1 to 0 at the line where all are lost.
 */
export function lossLayers({ losses, count }: Emergence): readonly {
  readonly cause: (typeof LOSS_CAUSES)[number];
  readonly points: readonly (readonly [number, number])[];
}[] {
  const days = [...new Set([0, ...LOSS_CAUSES.flatMap((c) => losses[c].map((s) => s.day))])].sort(
    (a, b) => a - b,
  );
  return LOSS_CAUSES.map((cause, i) => {
    const under = LOSS_CAUSES.slice(0, i + 1);
    return {
      cause,
      any: (losses[cause].at(-1)?.sure ?? 0) > 0,
      points: days.map(
        (day) =>
          [day, 1 - under.reduce((sum, c) => sum + surely(losses[c], day), 0) / count] as const,
      ),
    };
  })
    .filter(({ any }) => any)
    .reverse();
}

function labelsOf({ count, pups, roots, losses }: Emergence, pooled: boolean, young: Young) {
  const end = (steps: Steps): number => steps.at(-1)?.sure ?? 0;
  const share = (n: number): string => (pooled ? '' : ` ${perCent(Math.round((n / count) * 100))}`);
  const gone = LOSS_CAUSES.reduce((sum, c) => sum + end(losses[c]), 0);
  return [
    ...(gone > 0 ? [{ y: 0.93, text: say.lost({ share: share(gone) }) }] : []),
    ...(end(pups) > 0
      ? [{ y: end(pups) / count, text: `${YOUNG_NAME[young]}${share(end(pups))}` }]
      : []),
    { y: -end(roots) / count, text: say.rooted2({ share: share(end(roots)) }) },
  ];
}

/** Looks whose day can be written without touching the one before. */
function spaced({ waiting, lastDay }: Emergence, room: number): number[] {
  let last = -Infinity;
  return waiting.flatMap(({ day }) => {
    const x = (day / Math.max(lastDay, 1)) * room;
    if (x - last < 38) return [];
    last = x;
    return [day];
  });
}
