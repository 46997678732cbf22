import { plantOf, seasonYear } from '@hypogeon/core/bench';
import { addDays } from '@hypogeon/core/days';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import {
  emergence,
  ledgerCases,
  lossesByWeek,
  pooledEmergence,
  type Emergence,
} from '@hypogeon/core/ledger';
import { aalenJohansen, type Timed } from '@hypogeon/core/stats';
import { speechFor } from '@hypogeon/words';
import { DAY } from '../../testing/mount';
import { airChart, airPoints } from './air-chart';
import type { ChartModel } from './chart-model';
import { emergenceChart, lossLayers } from './emergence-chart';
import { spread } from './end-labels';
import { incidenceChart } from './incidence-chart';
import { lossChart } from './loss-chart';
import { neededChart } from './needed-chart';
import { rangesChart } from './ranges-chart';
import { seasonChart } from './season-chart';
import { namedFills, waterChart } from './water-chart';

const state = fold(demoJournal(DAY));
const style = { locale: 'en', today: DAY };
const speech = speechFor(state, style);
const ink = (token: string): string => token;

interface Drawn {
  readonly type: string;
  readonly data: readonly (readonly number[])[];
  readonly stack?: string;
  readonly lineStyle?: { readonly color?: string };
  readonly areaStyle?: { readonly origin?: string };
  readonly itemStyle?: { readonly decal?: object };
}
const seriesOf = (model: ChartModel, wide = 900): readonly Drawn[] =>
  model.option(ink, wide).series as readonly Drawn[];
const by = (model: ChartModel, color: string): Drawn =>
  seriesOf(model).find((s) => s.lineStyle?.color === color)!;

describe('the emergence chart', () => {
  const batch = state.batches.get('b-02')!;
  const plate = emergence(batch, DAY);
  const model = emergenceChart(plate);

  it('lets pups rise above the line and roots go down below it, each only ever further', () => {
    const roots = by(model, '--root').data.map(([, y]) => y!);
    const pups = by(model, '--living').data.map(([, y]) => y!);
    expect(Math.min(...roots)).toBeCloseTo(-20 / 40, 9);
    expect(Math.max(...pups)).toBeCloseTo(batch.counts.pupped / 40, 9);
    expect(roots).toEqual([...roots].sort((a, b) => b - a));
    expect(pups).toEqual([...pups].sort((a, b) => a - b));
  });

  it('closes losses in from both edges, hatched, as far as cuttings were lost', () => {
    const edges = seriesOf(model).filter((s) => s.areaStyle?.origin);
    expect(edges.map((s) => s.areaStyle!.origin)).toEqual([
      'end',
      'start',
      'end',
      'start',
      'end',
      'start',
    ]);
    expect(edges.every((s) => s.itemStyle?.decal)).toBe(true);
    for (let i = 0; i < edges.length; i += 2)
      expect(edges[i]!.data.at(-1)![1]! + edges[i + 1]!.data.at(-1)![1]!).toBeCloseTo(0, 9);
    // Rotted, dried and lost stack up to all 20 that were lost; the widest is drawn first.
    expect(lossLayers(plate).map((l) => l.cause)).toEqual(['lost', 'dried', 'rotted']);
    expect(lossLayers(plate)[0]!.points.at(-1)![1]).toBeCloseTo(0.5, 9);
  });

  it('says everything in words, and any day of it', () => {
    expect(model.says).toContain(
      `of 40, 20 rooted, ${batch.counts.pupped} with pups, 17 rotted, 2 dried up, 1 lost otherwise`,
    );
    expect(model.stops).toHaveLength(plate.lastDay + 1);
    expect(model.stops[0]!.says).toMatch(/^Day 0, of 40: .* rooted, 0 with pups, none lost\.$/);
    expect(model.stops.at(-1)!.says).toContain('20 rooted');
    expect(model.table.rows).toHaveLength(plate.waiting.length);
  });

  it('names what shows of a piece that has taken as its way does', () => {
    const seeds = emergenceChart(plate, false, 'true-leaves');
    expect(seeds.says).toContain('with true leaves');
    expect(seeds.stops.at(-1)!.says).toContain('with true leaves');
    expect(seeds.table.header).toContain('With true leaves');
    const drawn = JSON.stringify(seriesOf(seeds));
    expect(drawn).toContain('true leaves ');
    expect(drawn + seeds.says).not.toContain('pups');
  });

  it('of all together puts no share to an estimate, and surely never more than possibly', () => {
    const pooled = pooledEmergence(ledgerCases(state))!;
    expect(JSON.stringify(seriesOf(emergenceChart(pooled, true)))).not.toMatch(/rooted \d+%/);
    expect(JSON.stringify(seriesOf(emergenceChart(pooled)))).toMatch(/rooted \d+%/);
    for (const step of [...pooled.roots, ...pooled.pups])
      expect(step.sure).toBeLessThanOrEqual(step.possible + 1e-9);
  });

  it('of nothing yet draws the bare line', () => {
    const fresh: Emergence = emergence(state.batches.get('b-25')!, DAY);
    const text = JSON.stringify(emergenceChart(fresh).option(ink, 900));
    expect(text).not.toMatch(/null|NaN/);
    expect(seriesOf(emergenceChart(fresh)).filter((s) => s.areaStyle?.origin)).toEqual([]);
  });

  it('writes fewer days where there is less room', () => {
    const pooled = emergenceChart(pooledEmergence(ledgerCases(state))!);
    const days = (wide: number): number => {
      const { xAxis } = pooled.option(ink, wide) as {
        xAxis: { axisLabel: { customValues: number[] } };
      };
      return xAxis.axisLabel.customValues.length;
    };
    expect(days(360)).toBeLessThan(days(980));
  });
});

describe('words at the ends of curves', () => {
  it('never stand on each other, whatever the ends', () => {
    const labels = [0.5, 0.49, 0.52, -0.1, -0.1].map((y, i) => ({ y, text: String(i) }));
    const apart = spread(labels, 0.14).map((l) => l.y);
    for (let i = 1; i < apart.length; i++)
      expect(apart[i - 1]! - apart[i]!).toBeGreaterThanOrEqual(0.14 - 1e-9);
    expect(apart[0]).toBe(0.52);
  });
});

describe('two ways against each other', () => {
  const cases = (rooted: number, lost: number): readonly Timed[] => [
    ...Array.from({ length: rooted }, (_, i) => ({ left: 10 + i, right: 10 + i, cause: 'rooted' })),
    ...Array.from({ length: lost }, (_, i) => ({ left: 5 + i, right: 5 + i, cause: 'rotted' })),
  ];
  const model = incidenceChart([
    { name: 'Leaf', curve: aalenJohansen(cases(8, 2)) },
    { name: 'Crown', curve: aalenJohansen(cases(3, 7)) },
  ]);

  it('says the shares, and shows them above and below', () => {
    expect(model.says).toBe(
      'Leaf: 80% rooted and 20% lost by day 17; Crown: 30% rooted and 70% lost by day 17',
    );
    expect(by(model, '--living').data.at(-1)).toEqual([17, expect.closeTo(0.8, 9)]);
    expect(by(model, '--rot').data.at(-1)).toEqual([17, expect.closeTo(-0.2, 9)]);
    expect(model.stops[0]!.says).toContain('Leaf: 0% rooted, 0% lost');
  });

  it('keeps its bands within nothing and all', () => {
    const bands = seriesOf(model).filter((s) => s.stack);
    expect(bands).toHaveLength(8);
    for (let i = 0; i < bands.length; i += 2)
      bands[i]!.data.forEach(([, low], at) => {
        const high = low! + bands[i + 1]!.data[at]![1]!;
        expect(Math.abs(low!)).toBeLessThanOrEqual(1);
        expect(Math.abs(high)).toBeLessThanOrEqual(1);
      });
  });
});

describe('losses by the week', () => {
  const weeks = lossesByWeek(ledgerCases(state));
  const model = lossChart(weeks);

  it('stacks to all that were lost, and names the worst week', () => {
    const drawn = seriesOf(model).flatMap((s) => s.data as unknown as (number | null)[]);
    const all = weeks.reduce((sum, w) => sum + w.of.rotted + w.of.dried + w.of.lost, 0);
    expect(drawn.reduce<number>((sum, n) => sum + (n ?? 0), 0)).toBeCloseTo(all, 1);
    expect(model.says).toMatch(/^Losses by week: most in week \d+, \d+\.$/);
    expect(lossChart([]).says).toBe('Losses by week: none.');
  });
});

describe('how many to take by the day of cutting', () => {
  const day = (i: number, needed: number | null) => ({
    day: addDays(DAY, i),
    needed,
    season: i > 8 ? ('resting' as const) : ('active' as const),
  });
  const when = { by: addDays(DAY, 10), cutOn: DAY };
  const curve = {
    days: [12, 12, 13, 14, 16, 20, 30, 80, null, null].map((n, i) => day(i, n)),
    latest: addDays(DAY, 4),
  };

  it('says the fewest and until when, follows it to five times the fewest, reads every day', () => {
    const model = neededChart(curve, when, style)!;
    expect(model.says).toMatch(/12 at best, sensible until .*13/);
    expect(by(model, '--living').data.map(([, n]) => n)).toEqual([
      12,
      12,
      13,
      14,
      16,
      20,
      30,
      null,
      null,
      null,
    ]);
    expect(model.stops[8]!.says).toContain('no number would do');
    expect(model.stops[9]!.says).toContain('It rests then');
  });

  it('of no day at all is nothing', () => {
    expect(neededChart({ days: [day(0, null)], latest: null }, when, style)).toBeNull();
  });
});

describe('a plant’s year', () => {
  const mother = state.mothers.get('m-gra2')!;
  const taxon = plantOf(state, mother.taxon!)!.taxon;
  const year = seasonYear(state, taxon, 'leanto', DAY);

  it('says its spells, has a row a month and every day to read', () => {
    const model = seasonChart(year, taxon.season, speech)!;
    expect(model.says).toMatch(/^The year from .*: grows .*, edge .*/);
    expect(model.stops).toHaveLength(year.length);
    expect(model.table.rows).toHaveLength(13);
    expect(model.option(ink, 900).grid).toHaveLength(3);
  });

  it('leaves the light out where the place has no latitude', () => {
    const dark = year.map((d) => ({ ...d, dayHours: undefined }));
    const model = seasonChart(dark, taxon.season, speech)!;
    expect(model.option(ink, 900).grid).toHaveLength(2);
    expect(model.table.rows[0]![4]).toBe('not known');
    expect(seasonChart([], taxon.season, speech)).toBeNull();
  });
});

describe('the water in a pot', () => {
  const days = Array.from({ length: 20 }, (_, i) => ({
    day: addDays(DAY, i - 10),
    fill: 1 - i * 0.04,
    low: 1 - i * 0.05,
    high: 1 - i * 0.03,
    evaporationMm: 2,
  }));
  const marks = [
    { day: addDays(DAY, -10), kind: 'watered' as const, says: 'Mar 30: poured' },
    { day: addDays(DAY, -2), kind: 'weighed' as const, fill: 0.7, says: 'Apr 7: 640 g' },
  ];
  const given = { days, today: DAY, marks, limit: 0.3 };

  it('has the past full and the days ahead as a fan that never crosses', () => {
    const model = waterChart(given, speech)!;
    expect(model.says).toMatch(/^Water in the pot over 20 days: 1 drink, 60% left today\.$/);
    const [low, wide] = seriesOf(model).filter((s) => s.stack === 'fan');
    low!.data.forEach(([x], i) => {
      expect(x).toBeGreaterThanOrEqual(10);
      expect(wide!.data[i]![1]).toBeGreaterThanOrEqual(0);
    });
    expect(model.stops[0]!.says).toMatch(/100% of its water.*took.*Poured\./);
    expect(model.stops.at(-1)!.says).toMatch(/24% of its water \(5% to 43%\).*would take/);
  });

  it('is full on top, and names the line that matters where two names would touch', () => {
    const { yAxis } = waterChart(given, speech)!.option(ink, 900) as unknown as {
      yAxis: readonly { inverse?: boolean }[];
    };
    expect(yAxis[0]!.inverse).not.toBe(true);
    expect(namedFills(0.5)).toEqual([0, 0.5, 1]);
    expect(namedFills(0.08)).toEqual([0.08, 1]);
    expect(namedFills(0.95)).toEqual([0, 0.95]);
    expect(namedFills(null)).toEqual([0, 1]);
  });

  it('opens on a phone at the days around today', () => {
    const zoom = (wide: number) =>
      (waterChart(given, speech)!.option(ink, wide) as { dataZoom: { startValue: number }[] })
        .dataZoom[0]!.startValue;
    expect(zoom(900)).toBe(0);
    const long = {
      ...given,
      days: [...Array(60)].map((_, i) => ({ ...days[0]!, day: addDays(DAY, i - 40) })),
    };
    const narrow = waterChart(long, speech)!.option(ink, 360) as {
      dataZoom: { startValue: number; endValue: number }[];
    };
    expect(narrow.dataZoom[0]).toMatchObject({ startValue: 26, endValue: 52 });
    expect(waterChart({ ...given, days: [] }, speech)).toBeNull();
  });
});

describe('readings of a place', () => {
  it('break where weeks are without one, and speak every day in the grower’s degrees', () => {
    const readings = [0, 1, 20].map((i) => ({ day: addDays(DAY, i), tempC: 20, rh: 0.5 }));
    const points = airPoints({ minutes: [], columns: {} }, readings, null);
    expect(points.map((p) => p.tempC)).toEqual([20, 20, null, 20]);
    const model = airChart('Lean-to', points, readings, { ...speech, temperature: 'F' });
    expect(model.stops[0]!.says).toMatch(/68.* 50% humidity/);
    expect(model.table.rows).toHaveLength(3);
  });
});

describe('figures with their ranges', () => {
  it('say the likely, the range, and what was said before', () => {
    const model = rangesChart(
      [
        { name: 'Leaf', low: 0.6, likely: 0.73, high: 0.8, before: 0.7 },
        { name: 'Crown', low: 0.8, likely: 0.9, high: 0.95 },
      ],
      { title: 'Success', figure: (v) => `${v * 100}%`, before: 'the guide' },
    );
    expect(model.says).toBe(
      'Success. Leaf: 73%, 60% to 80%; the guide 70%. Crown: 90%, 80% to 95%.',
    );
    expect(model.table.rows[1]).toEqual(['Crown', '90%', '80%', '95%', '']);
  });
});
