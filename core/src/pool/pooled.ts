import { timeWithin, type MethodId, type TaxonMethod } from '../botany';
import type { BenchRecord, CountsRow, State } from '../journal';
import { memoBy } from '../memo';
import { effectiveSize } from '../stats';
import type { Counted } from './binomial-normal';
import { paceOfRows } from './bench-pace';
import { predicted, type Prediction } from './prediction';
import { betweenStudies, type Study } from './between-studies';

/** What other benches have counted of a plant taken one way. */
export interface Pooled {
  /** How many benches it rests on. */
  readonly benches: number;
  readonly cuttings: number;
  /** Chances of a bench that nobody has seen yet, on the log-odds. */
  readonly chance: Prediction;
  /** ln of how many times as long as the guide's window it takes there; null where fewer than two benches tell. */
  readonly pace: { readonly mean: number; readonly sd: number } | null;
}

/** Counts of one bench of one plant and way. */
export interface BenchOf {
  readonly bench: string;
  readonly record: BenchRecord;
  readonly rows: readonly CountsRow[];
  /** Of settled batches, as many as they are worth: cuttings of one tray share their luck. */
  readonly counted: Counted;
  readonly rooted: number;
  readonly told: number;
}

/** What one bench told of a plant and way, as it lies in its file. */
interface RowsOf {
  readonly record: BenchRecord;
  readonly rows: CountsRow[];
}

const byWay = memoBy<State['benches'], ReadonlyMap<string, readonly RowsOf[]>>(1);
const benchesBy = memoBy<State['benches'], readonly BenchOf[]>(2000);

const nobody: readonly BenchOf[] = [];

/** What benches have told of a plant and way, largest first. */
export function benchesOf(
  { benches, settings }: State,
  taxon: string,
  method: MethodId,
): readonly BenchOf[] {
  if (benches.size === 0) return nobody;
  const own = settings.bench ?? '';
  const key = `${taxon}/${method}`;
  // Of fifty files a screen asks for a few ways: only those are worked out.
  return benchesBy(benches, `${own}/${key}`, () =>
    (waysIn(benches, own).get(key) ?? [])
      .map(({ record, rows }) => benchOf(record, rows))
      .sort((a, b) => b.told - a.told || (a.bench < b.bench ? -1 : 1)),
  );
}

/** The rows of benches whose counts are taken in and not taken out again, by plant and way. */
const waysIn = (benches: State['benches'], own: string): ReadonlyMap<string, readonly RowsOf[]> =>
  byWay(benches, own, () => {
    const ways = new Map<string, RowsOf[]>();
    for (const record of benches.values()) {
      // One's own, come back, are counted here already.
      if (record.out === true || record.id === own) continue;
      for (const row of record.rows ?? []) {
        const key = `${row.taxon}/${row.method}`;
        const known = ways.get(key);
        // Rows of one bench come one after the other.
        const last = known?.at(-1);
        if (last?.record === record) last.rows.push(row);
        else if (known) known.push({ record, rows: [row] });
        else ways.set(key, [{ record, rows: [row] }]);
      }
    }
    return ways;
  });

/** Before a bench says how its trays differ: one in ten, as the product supposes of every bench. */
const USUAL_CORRELATION = 0.1;

function benchOf(record: BenchRecord, rows: readonly CountsRow[]): BenchOf {
  const settled = rows.filter((r) => r.settled);
  const sum = (of: (row: CountsRow) => number): number => settled.reduce((n, r) => n + of(r), 0);
  const [set, rooted] = [sum((r) => r.set), sum((r) => r.rooted)];
  const trays = settled.flatMap(({ batches, set: all }) =>
    Array.from({ length: batches }, () => all / batches),
  );
  const worth = effectiveSize(trays, record.correlation?.value ?? USUAL_CORRELATION);
  return {
    bench: record.id,
    record,
    rows,
    counted: { of: worth, yes: set === 0 ? 0 : (worth * rooted) / set },
    rooted,
    told: set,
  };
}

const pooledWays = memoBy<State['benches'], Pooled | null>(2000);

/** What other benches teach of a plant and way; null where none has counted it to its end. */
export function pooledFor(state: State, taxon: string, way: TaxonMethod): Pooled | null {
  if (state.benches.size === 0) return null;
  const of = benchesOf(state, taxon, way.method);
  if (of.length === 0) return null;
  return pooledWays(
    state.benches,
    `${state.settings.bench ?? ''}/${taxon}/${way.method}/${way.roots.from}/${way.roots.to}`,
    () => poolOf(of, way),
  );
}

/** The same of benches that are at hand: what leaving one out would change. */
export function poolOf(of: readonly BenchOf[], way: Pick<TaxonMethod, 'roots'>): Pooled | null {
  const told = of.filter((b) => b.counted.of > 0);
  const chance = predicted(told.map((b) => b.counted));
  if (chance === null) return null;
  return {
    benches: told.length,
    cuttings: told.reduce((sum, b) => sum + b.told, 0),
    chance,
    pace: paceOf(of, timeWithin(way.roots).shape),
  };
}

/** Paces of two benches and more; benches that agree by luck are not all there are. */
const LEAST_SPREAD = 0.15;

function paceOf(of: readonly BenchOf[], shape: number): Pooled['pace'] {
  const studies = of
    .map((b) => paceOfRows(b.rows, shape))
    .filter((s): s is Study => s !== null)
    // As with shares: a sum must not hang on its order.
    .sort((a, b) => a.y - b.y || a.v - b.v);
  if (studies.length < 2) return null;
  const { mean, se, tau2 } = betweenStudies(studies);
  return { mean, sd: Math.sqrt(Math.max(tau2, LEAST_SPREAD ** 2) + se * se) };
}
