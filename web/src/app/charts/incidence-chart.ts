import { incidenceBy, type AalenJohansen, type IncidenceStep } from '@hypogeon/core/stats';
import { percent } from '@hypogeon/words';
import { say } from '@hypogeon/messages/incidence-chart';
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
      .map((g) =>
        say.rootedAndLostBy({
          name: g.name,
          percent: percent(end(g.roots)),
          percent2: percent(end(g.lost)),
          lastDay,
        }),
      )
      .join('; '),
    stops: Array.from({ length: lastDay + 1 }, (_, day) => ({
      x: day,
      says: say.day({
        day,
        groups: groups
          .map((g) => {
            const { incidence } = incidenceBy(g.roots, day);
            return say.rootedLost({
              name: g.name,
              percent: percent(incidence),
              percent2: percent(incidenceBy(g.lost, day).incidence),
            });
          })
          .join('; '),
      }),
    })),
    table: {
      header: [say.day2(), ...groups.map((g) => say.rooted({ name: g.name }))],
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
          name: narrow ? '' : say.days(),
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
                    note: say.rootedLost2({
                      percent: percent(end(g.roots)),
                      percent2: percent(end(g.lost)),
                    }),
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
                  .map((g, i) =>
                    say.rootedLost3({
                      what: i === 0 ? '—' : '- -',
                      name: g.name,
                      percent: percent(end(g.roots)),
                      percent2: percent(end(g.lost)),
                    }),
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
