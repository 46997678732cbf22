import { airOf, courseOf, teaches } from '../bench';
import { CATALOGUE } from '../botany';
import type { Day } from '../days';
import type { Batch, BenchCounts, CountsRow, State } from '../journal';
import { correlationOf, toldOf } from '../learn';

/** From so many degrees on the air is called warm, and from so much humidity on damp. Working assumptions. */
const WARM_C = 18;
const DAMP_RH = 0.55;
/** Growth is told in twentieths of the time in which half are expected to have roots: no finer than a look can tell. */
const GROWTH_STEPS = 20;
const MOST_GROWTH = 100;

const SHIPPED = new Set(CATALOGUE.map((t) => t.id));

/**
 * The counts of this bench as others may have them: of plants of the guide, by way, course and half-year. No mother, no
 * place, no note, no day. What was left out of learning is left out here too.
 * @param bench the number by which others know this bench
 * @param edition goes up each time they are given
 */
export function countsOf(state: State, bench: string, edition: number): BenchCounts {
  const rows = new Map<string, CountsRow>();
  for (const batch of state.batches.values()) {
    const row = rowOf(state, batch);
    if (!row) continue;
    const key = [
      row.taxon,
      row.method,
      row.course,
      row.year,
      row.half,
      row.settled,
      row.temperature,
      row.damp,
    ].join('/');
    const known = rows.get(key);
    rows.set(key, known ? added(known, row) : row);
  }
  const list = [...rows].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, row]) => row);
  const trays = list.filter((r) => r.settled).reduce((sum, r) => sum + r.batches, 0);
  return { bench, edition, correlation: { value: correlationOf(state), trays }, rows: list };
}

function rowOf(state: State, batch: Batch): CountsRow | null {
  if (batch.cut === null || batch.lastLook === null) return null;
  if (!SHIPPED.has(batch.taxon) || !teaches(state, batch)) return null;
  const told = toldOf(state, batch);
  if (!told) return null;
  const { rooted, pupped, rotted, dried, lost } = batch.counts;
  const waiting = batch.waiting;
  const set = rooted + pupped + rotted + dried + lost + waiting;
  if (set === 0) return null;
  const { tempC, rh } = airOf(state, batch.space, batch.cutOn);
  const { shape, scale } = told.roots;
  const half = scale * Math.LN2 ** (1 / shape);
  const share = (growth: number): number =>
    Math.min(MOST_GROWTH, Math.round((GROWTH_STEPS * growth) / half) / GROWTH_STEPS);
  return {
    taxon: batch.taxon,
    method: batch.method,
    course: courseOf(state, batch),
    ...halfYearOf(batch.cutOn, (state.settings.latitude ?? 50) < 0),
    settled: waiting === 0,
    temperature: tempC >= WARM_C ? 'warm' : 'cool',
    damp: rh >= DAMP_RH ? 'damp' : 'dry',
    batches: 1,
    set,
    rooted: rooted + pupped,
    pupped,
    rotted,
    dried,
    lost,
    waiting,
    roots: together(
      told.seen
        .filter((s) => s.sign === 'roots' && s.by > s.after)
        .map(({ after, by, count }) => ({
          after: share(after),
          by: Math.max(share(by), 1 / GROWTH_STEPS),
          count,
        })),
    ),
  };
}

/** The half of the year a day lies in, and the year in which that half began. */
export function halfYearOf(day: Day, south: boolean): Pick<CountsRow, 'year' | 'half'> {
  const month = Number(day.slice(5, 7));
  const year = Number(day.slice(0, 4));
  const summer = month >= 4 && month <= 9;
  // What began in October goes on until March of the next year.
  return { year: month <= 3 ? year - 1 : year, half: summer !== south ? 'warm' : 'cold' };
}

type Between = CountsRow['roots'][number];

function together(roots: readonly Between[]): Between[] {
  const kept = new Map<string, Between>();
  for (const r of roots) {
    const key = `${r.after}/${r.by}`;
    kept.set(key, { ...r, count: r.count + (kept.get(key)?.count ?? 0) });
  }
  return [...kept.values()].sort((a, b) => a.after - b.after || a.by - b.by).slice(0, 200);
}

const added = (a: CountsRow, b: CountsRow): CountsRow => ({
  ...a,
  batches: a.batches + b.batches,
  set: a.set + b.set,
  rooted: a.rooted + b.rooted,
  pupped: a.pupped + b.pupped,
  rotted: a.rotted + b.rotted,
  dried: a.dried + b.dried,
  lost: a.lost + b.lost,
  waiting: a.waiting + b.waiting,
  roots: together([...a.roots, ...b.roots]),
});
