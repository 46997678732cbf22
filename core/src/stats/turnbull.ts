import { assertTimed, type Timed } from './timed';

/** Share of all that lies between two times; where in between, nobody can say. */
export interface Mass {
  readonly from: number;
  /** Infinite for those to whom it may never happen. */
  readonly to: number;
  readonly share: number;
}

export interface Turnbull {
  readonly count: number;
  /** In order of time; shares add up to 1. */
  readonly masses: readonly Mass[];
  /** How far from the best the shares are: 0 is the best there is. */
  readonly gap: number;
}

/** Gentleman & Geyer 1994, Biometrika 81:618: at the best no share could grow and gain. */
const GAP = 1e-7;
const MOST_ROUNDS = 20_000;
/** Shares smaller than this are none. */
const NONE = 1e-10;

/**
 * The distribution of a time that is only known to lie between two looks: the maximum-likelihood shares on
 * the innermost intervals, by expectation and maximisation with squared steps.
 * Source: Turnbull 1976, J. R. Stat. Soc. B 38:290; steps by Varadhan & Roland 2008, Scand. J. Stat. 35:335.
 */
export function turnbull(rows: readonly Timed[]): Turnbull {
  assertTimed(rows);
  const groups = distinct(rows);
  const count = groups.reduce((n, g) => n + g.count, 0);
  const inner = innermost(groups);
  if (count === 0 || inner.length === 0) return { count, masses: [], gap: 0 };
  const spans = groups.map((g) => {
    // Interval (left, right] holds (from, to] where left ≤ from and to ≤ right; a known time holds itself.
    const first = inner.findIndex((m) => m.from >= g.left && m.to <= g.right && fits(m, g));
    let last = first;
    while (last + 1 < inner.length && inner[last + 1]!.to <= g.right) last++;
    return { first, last, count: g.count };
  });
  const m = inner.length;
  const gradient = new Float64Array(m);
  const gradientAt = (p: Float64Array): void => {
    gradient.fill(0);
    const sums = new Float64Array(m + 1);
    for (let j = 0; j < m; j++) sums[j + 1] = sums[j]! + p[j]!;
    // Add a weight over a span by its ends, then sum up.
    const ends = new Float64Array(m + 1);
    for (const { first, last, count: n } of spans) {
      const weight = n / (sums[last + 1]! - sums[first]!);
      ends[first]! += weight;
      ends[last + 1]! -= weight;
    }
    let run = 0;
    for (let j = 0; j < m; j++) gradient[j] = run += ends[j]!;
  };
  const step = (p: Float64Array): Float64Array => {
    gradientAt(p);
    const next = new Float64Array(m);
    let total = 0;
    for (let j = 0; j < m; j++) total += next[j] = (p[j]! * gradient[j]!) / count;
    for (let j = 0; j < m; j++) next[j]! /= total;
    return next;
  };
  let p: Float64Array = new Float64Array(m).fill(1 / m);
  let gap = Infinity;
  for (let round = 0; round < MOST_ROUNDS && gap > GAP; round++) {
    const one = step(p);
    gap = gradient.reduce((most, g) => Math.max(most, g / count - 1), 0);
    if (gap <= GAP) break;
    const two = step(one);
    p = leap(p, one, two) ?? two;
    p = step(p);
  }
  gradientAt(p);
  gap = gradient.reduce((most, g) => Math.max(most, g / count - 1), 0);
  return {
    count,
    gap,
    masses: inner.flatMap((span, j) => (p[j]! > NONE ? [{ ...span, share: p[j]! }] : [])),
  };
}

const fits = (m: { from: number; to: number }, g: { left: number; right: number }): boolean =>
  // A known time is its own interval; an open one does not hold its left end.
  !(m.from === m.to && m.from === g.left && g.left < g.right);

/** A squared step, if it stays a distribution. */
function leap(p: Float64Array, one: Float64Array, two: Float64Array): Float64Array | null {
  let [rr, vv] = [0, 0];
  for (let j = 0; j < p.length; j++) {
    const r = one[j]! - p[j]!;
    const v = two[j]! - one[j]! - r;
    rr += r * r;
    vv += v * v;
  }
  if (vv === 0) return null;
  const alpha = -Math.sqrt(rr / vv);
  const out = new Float64Array(p.length);
  let total = 0;
  for (let j = 0; j < p.length; j++) {
    const r = one[j]! - p[j]!;
    const v = two[j]! - one[j]! - r;
    const x = p[j]! - 2 * alpha * r + alpha * alpha * v;
    if (x < 0) return null;
    total += out[j] = x;
  }
  for (let j = 0; j < p.length; j++) out[j]! /= total;
  return out;
}

function distinct(
  rows: readonly Timed[],
): readonly { readonly left: number; readonly right: number; readonly count: number }[] {
  const groups = new Map<string, { left: number; right: number; count: number }>();
  for (const { left, right, count = 1 } of rows) {
    if (count === 0) continue;
    const key = `${left}/${right}`;
    const group = groups.get(key);
    if (group) group.count += count;
    else groups.set(key, { left, right, count });
  }
  return [...groups.values()];
}

/** Intervals from a left end to the next right end with no other end between: only there can shares lie. */
function innermost(
  groups: readonly { readonly left: number; readonly right: number }[],
): readonly { readonly from: number; readonly to: number }[] {
  // A known time is closed on the left: its left end comes before right ends at the same time.
  const ends = groups.flatMap(({ left, right }) => [
    { at: left, rank: left === right ? 0 : 2, isLeft: true },
    { at: right, rank: 1, isLeft: false },
  ]);
  ends.sort((a, b) => a.at - b.at || a.rank - b.rank);
  const inner: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < ends.length; i++)
    if (ends[i]!.isLeft && !ends[i + 1]!.isLeft)
      inner.push({ from: ends[i]!.at, to: ends[i + 1]!.at });
  return inner;
}

/** Bounds on the share that has had it by a time: surely, and at most. */
export function turnbullBy(
  { masses }: Turnbull,
  time: number,
): { readonly sure: number; readonly possible: number } {
  let [sure, possible] = [0, 0];
  for (const { from, to, share } of masses) {
    if (to <= time) sure += share;
    if (from < time || (from === to && to <= time)) possible += share;
  }
  return { sure: Math.min(1, sure), possible: Math.min(1, possible) };
}

/** The interval in which half have had it; null where fewer than half ever have. */
export function turnbullMedian({
  masses,
}: Turnbull): { readonly from: number; readonly to: number } | null {
  let sum = 0;
  for (const { from, to, share } of masses) {
    sum += share;
    if (sum >= 0.5 - 1e-9) return to === Infinity ? null : { from, to };
  }
  return null;
}
