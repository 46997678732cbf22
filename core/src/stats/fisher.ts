import { assertCount } from '../assert';
import { logChoose } from './beta-binomial';
import { bisect } from '../bisect';

/** Two groups and what became of them: successes and failures of each. */
export interface TwoByTwo {
  readonly a: { readonly yes: number; readonly no: number };
  readonly b: { readonly yes: number; readonly no: number };
}

export interface FisherTest {
  /** Two-sided: of all tables with these margins the share no likelier than this one. */
  readonly p: number;
  /** Conditional maximum-likelihood estimate of the odds ratio; 0 or infinite at the ends. */
  readonly oddsRatio: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The two-sided p of Fisher's exact test alone, for many tables at once.
 * @returns null where a margin is empty
 */
export function fisherP(table: TwoByTwo): number | null {
  const reference = referenceSet(table);
  return reference && twoSided(reference.at(0), reference.seen);
}

/** Odds ratios are looked for between e^−LIMIT and e^LIMIT. */
const LIMIT = 60;

/**
 * Fisher's exact test of two shares, with the conditional odds ratio and its exact interval.
 * @returns null where a margin is empty: then nothing can be told apart
 * Source: Fisher 1935, J. R. Stat. Soc. 98:39; the non-central hypergeometric as in R 4.2.2, fisher.test.
 */
export function fisherExact(table: TwoByTwo, confidence = 0.95): FisherTest | null {
  const reference = referenceSet(table);
  if (!reference) return null;
  const { support, at, seen, low, high } = reference;
  const yes = table.a.yes;
  const mean = (logOdds: number): number => at(logOdds).reduce((s, d, i) => s + d * support[i]!, 0);
  const atLeast = (logOdds: number): number =>
    at(logOdds).reduce((s, d, i) => (i >= seen ? s + d : s), 0);
  const atMost = (logOdds: number): number =>
    at(logOdds).reduce((s, d, i) => (i <= seen ? s + d : s), 0);
  const tail = (1 - confidence) / 2;
  const root = (of: (logOdds: number) => number): number => Math.exp(bisect(of, -LIMIT, LIMIT));
  return {
    p: twoSided(at(0), seen),
    oddsRatio: yes === low ? 0 : yes === high ? Infinity : root((t) => mean(t) - yes),
    low: yes === low ? 0 : root((t) => atLeast(t) - tail),
    high: yes === high ? Infinity : root((t) => tail - atMost(t)),
  };
}

/** All tables with the margins of this one, and how likely they are at given odds. */
function referenceSet({ a, b }: TwoByTwo) {
  for (const [name, n] of Object.entries({ a: a.yes, 'a no': a.no, b: b.yes, 'b no': b.no }))
    assertCount(name, n);
  const m = a.yes + a.no;
  const n = b.yes + b.no;
  const k = a.yes + b.yes;
  if (m === 0 || n === 0) return null;
  const low = Math.max(0, k - n);
  const high = Math.min(k, m);
  const support = Array.from({ length: high - low + 1 }, (_, i) => low + i);
  const logs = support.map((x) => logChoose(m, x) + logChoose(n, k - x));
  const at = (logOdds: number): readonly number[] => {
    const weights = logs.map((l, i) => l + logOdds * support[i]!);
    const most = weights.reduce((x, y) => Math.max(x, y), -Infinity);
    const raw = weights.map((w) => Math.exp(w - most));
    const total = raw.reduce((s, w) => s + w, 0);
    return raw.map((w) => w / total);
  };
  return { support, at, seen: a.yes - low, low, high };
}

function twoSided(likely: readonly number[], seen: number): number {
  const limit = likely[seen]! * (1 + 1e-7);
  return Math.min(
    1,
    likely.reduce((s, d) => (d <= limit ? s + d : s), 0),
  );
}
