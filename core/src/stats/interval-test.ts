import { chiSquareTest, type ChiSquareTest } from './chi-square';
import { assertTimed, type Timed } from './timed';
import { turnbull, type Mass } from './turnbull';

export interface IntervalRow extends Timed {
  /** 0 or 1. */
  readonly group: 0 | 1;
  /** Compared only within it. */
  readonly stratum?: string | undefined;
  /** What one of the row counts for, 0–1: less than 1 where it shares its fate with others. */
  readonly weight?: number | undefined;
}

export interface IntervalTest {
  /** Null where nothing can be told apart: one group alone, or nothing happened. */
  readonly test: ChiSquareTest | null;
  /** Sum of the scores of group 0 against what both share: above 0 where it is earlier. */
  readonly score: number;
}

/**
 * Whether a time known only to lie between two looks differs between two groups. How often one looked is no
 * difference: each row is scored by what its own interval says under the distribution both share, and that score is
 * nought on the mean however wide the interval.
 * Source: Finkelstein 1986, Biometrics 42:845, the score test under proportional hazards on the shared Turnbull
 * estimate; its variance from each group’s own scores, so that groups looked at by different calendars may be compared.
 * @throws RangeError for rows that cannot be
 */
export function intervalTest(rows: readonly IntervalRow[]): IntervalTest {
  assertTimed(rows);
  const strata = new Map<string, IntervalRow[]>();
  for (const row of rows) {
    if (row.count === 0) continue;
    const stratum = strata.get(row.stratum ?? '');
    if (stratum) stratum.push(row);
    else strata.set(row.stratum ?? '', [row]);
  }
  let [score, variance] = [0, 0];
  for (const stratum of strata.values()) {
    const sums = [0, 0];
    const scores = [0, 0];
    const squares = [0, 0];
    const { masses } = turnbull(stratum);
    for (const row of stratum) {
      const n = (row.count ?? 1) * (row.weight ?? 1);
      const c = scoreOf(row, masses);
      sums[row.group]! += n;
      scores[row.group]! += n * c;
      squares[row.group]! += n * c * c;
    }
    const all = sums[0]! + sums[1]!;
    if (sums[0] === 0 || sums[1] === 0) continue;
    const share = sums[0]! / all;
    score += (1 - share) * scores[0]! - share * scores[1]!;
    variance += (1 - share) ** 2 * squares[0]! + share ** 2 * squares[1]!;
  }
  return { score, test: variance > 0 ? chiSquareTest(score ** 2 / variance, 1) : null };
}

/** ln of what is left, on the mean over the interval: a row’s score under proportional hazards. */
function scoreOf({ left, right }: Timed, masses: readonly Mass[]): number {
  // What is left alive after each end. A known time lies in its own mass.
  const after = (time: number, own: boolean): number =>
    masses.reduce(
      (sum, { from, to, share }) =>
        to > time || (own && from === to && to === time) ? sum + share : sum,
      0,
    );
  const [high, low] = [after(left, left === right), right === Infinity ? 0 : after(right, false)];
  const xlogx = (s: number): number => (s <= 0 ? 0 : s * Math.log(s));
  return high - low <= 0 ? 0 : (xlogx(high) - xlogx(low)) / (high - low);
}
