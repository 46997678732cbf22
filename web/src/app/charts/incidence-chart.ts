import { incidenceBy, type AalenJohansen, type IncidenceStep } from '@hypogeon/core/stats';
import { percent } from '@hypogeon/words';
import { band, dayTicks, NARROW, soilLine, stairs, type ChartModel } from './chart-model';
import { endLabels } from './end-labels';

export interface IncidenceGroup {
  readonly name: string;
  readonly curve: AalenJohansen;
}

/** About two standard errors. */
const Z = 1.96;
const within = (share: number): number => Math.min(1, Math.max(0, share));

/**
 * Two ways on one soil line: the share that has roots rises above it, the share that is lost goes down below, by days
 * since the cut, each with its band. The first is drawn solid, the second dashed.
 */
export function incidenceChart(all: readonly IncidenceGroup[]): ChartModel {
  const groups = all.slice(0, 2).map(({ name, curve }) => ({
    name,
    roots: curve.causes.get('rooted') ?? [],
    lost: lostOf(curve),
  }));
  const lastDay = Math.max(1, ...groups.flatMap((g) => [...g.roots, ...g.lost].map((s) => s.time)));
  const end = (steps: readonly IncidenceStep[]): number => steps.at(-1)?.incidence ?? 0;
  const days = [...new Set(groups.flatMap((g) => g.roots.map((s) => s.time)))].sort(
    (a, b) => a - b,
  );
  return {
    says: groups
      .map(
        (g) =>
          `${g.name}: ${percent(end(g.roots))} rooted and ${percent(end(g.lost))} lost by day ${lastDay}`,
      )
      .join('; '),
    stops: Array.from({ length: lastDay + 1 }, (_, day) => ({
      x: day,
      says: `Day ${day}. ${groups
        .map((g) => {
          const { incidence } = incidenceBy(g.roots, day);
          return `${g.name}: ${percent(incidence)} rooted, ${percent(incidenceBy(g.lost, day).incidence)} lost`;
        })
        .join('; ')}.`,
    })),
    table: {
      header: ['Day', ...groups.map((g) => `${g.name}: rooted`)],
      rows: days.map((day) => [
        day,
        ...groups.map((g) => percent(incidenceBy(g.roots, day).incidence)),
      ]),
    },
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      const drawn = groups.flatMap((g, i) =>
        (
          [
            ['roots', g.roots, 1, '--living'],
            ['lost', g.lost, -1, '--rot'],
          ] as const
        ).flatMap(([what, steps, side, token]) => {
          const at = (times: number): readonly (readonly [number, number])[] =>
            stairs(
              [
                [0, 0],
                ...steps.map((s) => [s.time, side * within(s.incidence + times * s.se)] as const),
              ],
              lastDay,
            ) as unknown as readonly (readonly [number, number])[];
          return [
            ...band(`${what}${i}`, at(-Z), at(Z), {
              color: ink(token),
              opacity: i === 0 ? 0.28 : 0.14,
              step: 'end',
            }),
            {
              type: 'line',
              step: 'end',
              symbol: 'none',
              silent: true,
              z: 3,
              data: at(0),
              lineStyle: { color: ink(token), width: 2.4, type: i === 0 ? 'solid' : [6, 4] },
            },
          ];
        }),
      );
      return {
        grid: { left: 52, right: narrow ? 16 : 190, top: narrow ? 56 : 12, bottom: 34 },
        xAxis: {
          type: 'value',
          min: 0,
          max: lastDay,
          name: narrow ? '' : 'days',
          nameLocation: 'end',
          axisLine: { onZero: false },
          splitLine: { show: false },
          axisLabel: { customValues: dayTicks(lastDay, narrow ? 5 : 9) },
        },
        yAxis: {
          type: 'value',
          min: -1,
          max: 1,
          interval: 0.5,
          axisLabel: { formatter: (share: number) => percent(Math.abs(share)) },
        },
        series: [
          ...drawn,
          soilLine(ink, 0, lastDay),
          ...(narrow
            ? []
            : [
                endLabels(
                  groups.map((g) => ({
                    y: end(g.roots),
                    text: g.name,
                    note: `${percent(end(g.roots))} rooted, ${percent(end(g.lost))} lost`,
                  })),
                  lastDay,
                  0.3,
                  ink,
                ),
              ]),
        ],
        ...(narrow
          ? {
              title: {
                text: groups
                  .map(
                    (g, i) =>
                      `${i === 0 ? '—' : '- -'} ${g.name}: ${percent(end(g.roots))} rooted, ${percent(end(g.lost))} lost`,
                  )
                  .join('\n'),
                textStyle: { fontSize: 13, fontWeight: 400, color: ink('--ink'), lineHeight: 18 },
                left: 0,
                top: 0,
                padding: 0,
              },
            }
          : {}),
      };
    },
  };
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
