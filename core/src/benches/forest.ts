import jStat from 'jstat';
import { methodOf, type MethodId, type Taxon } from '../botany';
import { plantOf } from '../bench';
import type { CountsRow, State } from '../journal';
import { beliefOf, correlationOf } from '../learn';
import {
  benchesOf,
  poolOf,
  quantileOfPieces,
  roughly,
  type BenchOf,
  type Counted,
  type Prediction,
} from '../pool';
import { effectiveSize } from '../stats';
import { countsOf } from './give';

/** A share with where it lies, eight times in ten; 0–1. */
export interface Ranged {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** Benches of a plant and way side by side. */
export interface Forest {
  readonly taxon: string;
  readonly method: MethodId;
  readonly benches: readonly (Ranged & {
    readonly bench: string;
    readonly name: string | undefined;
    readonly rooted: number;
    readonly told: number;
    /** How far the middle of a new bench would move without it, points 0–1; null where it stands alone. */
    readonly without: number | null;
  })[];
  /** Where a bench that nobody has seen yet would lie. */
  readonly fresh: Ranged;
  /** This bench, from what is settled; null where nothing is. */
  readonly own: (Ranged & { readonly rooted: number; readonly told: number }) | null;
  /** What is believed here, of one's own counts and theirs. */
  readonly believed: Ranged;
  readonly against: Against | null;
}

/** Where this bench lies among the others. */
export interface Against {
  /** So many of them root more, as counted. */
  readonly above: number;
  readonly of: number;
  /** Theirs less one's own, points 0–1, with where it lies eight times in ten. */
  readonly difference: number;
  readonly low: number;
  readonly high: number;
  /** Nineteen times in twenty it is not chance. */
  readonly sure: boolean;
  /** What they do mostly where this bench does something else. */
  readonly differs: readonly {
    readonly in: 'course' | 'half';
    readonly theirs: string;
    readonly own: string;
  }[];
}

const shareAt = (logit: number): number => 1 / (1 + Math.exp(-logit));
const Z80 = 1.2815515655446004;

/** What benches and this one have counted of a plant and way; null where no other has. */
export function forestOf(state: State, taxon: string, method: MethodId): Forest | null {
  const plant = plantOf(state, taxon);
  const way = plant && methodOf(plant.taxon, method);
  const of = benchesOf(state, taxon, method).filter((b) => b.counted.of > 0);
  const pooled = way && poolOf(of, way);
  if (!plant || !way || !pooled) return null;
  const ownRows = countsOf(state, 'own', 1).rows.filter(
    (r) => r.taxon === taxon && r.method === method && r.settled,
  );
  const own = ownRows.length === 0 ? null : ownCounted(ownRows, correlationOf(state));
  const belief = beliefOf(state, taxon, way);
  const middle = quantileOfPieces(pooled.chance, 0.5);
  return {
    taxon,
    method,
    benches: of.map((b) => {
      const rest = poolOf(
        of.filter((o) => o !== b),
        way,
      );
      return {
        bench: b.bench,
        name: b.record.name,
        rooted: b.rooted,
        told: b.told,
        ...rangeOf(b.counted),
        without: rest ? shareAt(quantileOfPieces(rest.chance, 0.5)) - shareAt(middle) : null,
      };
    }),
    fresh: rangeOfPieces(pooled.chance),
    own: own && { ...own, ...rangeOf(own.counted) },
    believed: { share: belief.mean, low: belief.low, high: belief.high },
    against: own && against(of, own, ownRows),
  };
}

/** Plants and ways that other benches have counted to the end, by name. */
export function pooledWays(
  state: State,
): readonly { readonly taxon: Taxon; readonly method: MethodId; readonly benches: number }[] {
  const keys = new Map<string, readonly [string, MethodId]>();
  for (const record of state.benches.values())
    if (record.out !== true && record.id !== state.settings.bench)
      for (const row of record.rows ?? [])
        if (row.settled) keys.set(`${row.taxon}/${row.method}`, [row.taxon, row.method]);
  return [...keys.values()]
    .flatMap(([id, method]) => {
      const taxon = plantOf(state, id)?.taxon;
      return taxon && methodOf(taxon, method)
        ? [
            {
              taxon,
              method,
              benches: benchesOf(state, id, method).filter((b) => b.counted.of > 0).length,
            },
          ]
        : [];
    })
    .sort((a, b) => b.benches - a.benches || (a.taxon.name < b.taxon.name ? -1 : 1));
}

interface Own {
  readonly rooted: number;
  readonly told: number;
  readonly counted: Counted;
}

function ownCounted(rows: readonly CountsRow[], correlation: number): Own {
  const sum = (of: (r: CountsRow) => number): number => rows.reduce((n, r) => n + of(r), 0);
  const [told, rooted] = [sum((r) => r.set), sum((r) => r.rooted)];
  const worth = effectiveSize(
    rows.flatMap((r) => Array.from({ length: r.batches }, () => r.set / r.batches)),
    correlation,
  );
  return { told, rooted, counted: { of: worth, yes: (worth * rooted) / told } };
}

function rangeOf(counted: Counted): Ranged {
  const { y, v } = roughly(counted);
  const reach = Z80 * Math.sqrt(v);
  return { share: counted.yes / counted.of, low: shareAt(y - reach), high: shareAt(y + reach) };
}

const rangeOfPieces = (chance: Prediction): Ranged => ({
  share: shareAt(quantileOfPieces(chance, 0.5)),
  low: shareAt(quantileOfPieces(chance, 0.1)),
  high: shareAt(quantileOfPieces(chance, 0.9)),
});

/** Against the mean of the others, each bench as much as the next: a large one has no more ways than a small one. */
function against(of: readonly BenchOf[], own: Own, ownRows: readonly CountsRow[]): Against | null {
  if (of.length < 2) return null;
  const mine = own.counted.yes / own.counted.of;
  const theirs = of.map((b) => b.counted.yes / b.counted.of);
  const mean = theirs.reduce((a, b) => a + b, 0) / of.length;
  const scatter = theirs.reduce((sum, s) => sum + (s - mean) ** 2, 0) / (of.length - 1);
  const smoothed = (own.counted.yes + 0.5) / (own.counted.of + 1);
  // Their mean is known so far, and one's own share so far. Few benches say little of how they scatter: Welch 1947,
  // Biometrika 34, 28–35.
  const ofMean = scatter / of.length;
  const variance = ofMean + (smoothed * (1 - smoothed)) / own.counted.of;
  const sd = Math.sqrt(variance);
  const degrees = ofMean === 0 ? 1e6 : ((of.length - 1) * variance ** 2) / ofMean ** 2;
  const t = (two: number): number => jStat.studentt.inv(0.5 + two / 2, Math.min(degrees, 1e6));
  const difference = mean - mine;
  return {
    above: theirs.filter((s) => s > mine).length,
    of: of.length,
    difference,
    low: difference - t(0.8) * sd,
    high: difference + t(0.8) * sd,
    sure: Math.abs(difference) > t(0.95) * sd,
    differs: (['course', 'half'] as const).flatMap((at) => {
      const [other, own] = [
        mostly(
          of.flatMap((b) => b.rows),
          at,
        ),
        mostly(ownRows, at),
      ];
      return other !== own ? [{ in: at, theirs: other, own }] : [];
    }),
  };
}

/** What most cuttings of these rows had. */
function mostly(rows: readonly CountsRow[], at: 'course' | 'half'): string {
  const sums = new Map<string, number>();
  for (const row of rows) sums.set(row[at], (sums.get(row[at]) ?? 0) + row.set);
  return [...sums].sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1))[0]?.[0] ?? '';
}
