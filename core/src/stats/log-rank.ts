import jStat from 'jstat';
import { chiSquareTest, type ChiSquareTest } from './chi-square';
import { assertTimed, isCensored, seenAt, type Timed } from './timed';

export interface RankRow extends Timed {
  /** Which of the groups, from 0. */
  readonly group: number;
  /** Compared only within it. */
  readonly stratum?: string | number | undefined;
}

export interface RankTest {
  /** Null where the groups cannot be told apart: nothing happened, or there is one group. */
  readonly test: ChiSquareTest | null;
  readonly observed: readonly number[];
  readonly expected: readonly number[];
}

/**
 * Whether times differ between groups.
 * @param rho 0 is the log-rank test; 1 weighs early times more (Peto & Peto's Wilcoxon)
 * Source: Peto & Peto 1972, J. R. Stat. Soc. A 135:185; Harrington & Fleming 1982, Biometrika 69:553; as R
 * survival 3.5-3, survdiff.
 */
export function rankTest(rows: readonly RankRow[], rho: 0 | 1 = 0): RankTest {
  assertTimed(rows);
  const groups = rows.reduce((most, r) => Math.max(most, r.group + 1), 0);
  const observed = Array<number>(groups).fill(0);
  const expected = Array<number>(groups).fill(0);
  const variance = observed.map(() => Array<number>(groups).fill(0));
  const strata = new Map<string | number, RankRow[]>();
  for (const row of rows) {
    const stratum = strata.get(row.stratum ?? '');
    if (stratum) stratum.push(row);
    else strata.set(row.stratum ?? '', [row]);
  }
  for (const stratum of strata.values()) addStratum(stratum, rho, observed, expected, variance);
  const used = expected.flatMap((e, g) => (e > 0 ? [g] : []));
  const [, ...rest] = used;
  if (rest.length === 0) return { test: null, observed, expected };
  const gap = rest.map((g) => observed[g]! - expected[g]!);
  const matrix = rest.map((g) => rest.map((h) => variance[g]![h]!));
  if (rest.some((g) => variance[g]![g] === 0)) return { test: null, observed, expected };
  const inverse = jStat.inv(matrix);
  const statistic = gap.reduce(
    (sum, a, i) => sum + gap.reduce((inner, b, j) => inner + a * b * inverse[i]![j]!, 0),
    0,
  );
  return { test: chiSquareTest(statistic, rest.length), observed, expected };
}

function addStratum(
  rows: readonly RankRow[],
  rho: 0 | 1,
  observed: number[],
  expected: number[],
  variance: number[][],
): void {
  const groups = observed.length;
  const atRisk = Array<number>(groups).fill(0);
  const byTime = new Map<number, { had: number[]; left: number[] }>();
  for (const row of rows) {
    const n = row.count ?? 1;
    atRisk[row.group]! += n;
    const time = seenAt(row);
    let at = byTime.get(time);
    if (!at)
      byTime.set(
        time,
        (at = { had: Array<number>(groups).fill(0), left: Array<number>(groups).fill(0) }),
      );
    at.left[row.group]! += n;
    if (!isCensored(row)) at.had[row.group]! += n;
  }
  let survival = 1;
  for (const [, { had, left }] of [...byTime].sort(([a], [b]) => a - b)) {
    const d = had.reduce((a, b) => a + b, 0);
    const n = atRisk.reduce((a, b) => a + b, 0);
    if (d > 0) {
      const weight = rho === 0 ? 1 : survival;
      for (let g = 0; g < groups; g++) {
        const share = atRisk[g]! / n;
        observed[g]! += weight * had[g]!;
        expected[g]! += weight * d * share;
        if (n === 1) continue;
        const spread = (weight ** 2 * d * (n - d)) / (n - 1);
        for (let h = 0; h < groups; h++)
          variance[g]![h]! += spread * share * ((g === h ? 1 : 0) - atRisk[h]! / n);
      }
      survival *= 1 - d / n;
    }
    for (let g = 0; g < groups; g++) atRisk[g]! -= left[g]!;
  }
}
