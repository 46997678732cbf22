import { gaussHermite, type Quadrature } from './quadrature';

/*
 * Counts of several benches, each with a share of its own about a common one: binomial within, normal on the log-odds
 * between. The likelihood is that of the counts themselves, so that benches where all or none rooted need no correction.
 *
 * Source: Hamza, van Houwelingen & Stijnen 2008, J. Clin. Epidemiol. 61, 41–51; adaptive quadrature: Pinheiro & Bates
 * 1995, J. Comput. Graph. Stat. 4, 12–35.
 */

/** So many of so many; what is effective need not be whole. 0 ≤ yes ≤ of, of > 0. */
export interface Counted {
  readonly yes: number;
  readonly of: number;
}

/** ln likelihood of a count at a log-odds, up to its constant. */
const logCount = ({ yes, of }: Counted, logit: number): number =>
  yes * logit -
  of * (logit > 0 ? logit + Math.log1p(Math.exp(-logit)) : Math.log1p(Math.exp(logit)));

/** Where a count alone would lie on the log-odds, and with what variance: half a cutting is added to each side. */
export function roughly({ yes, of }: Counted): { readonly y: number; readonly v: number } {
  const [a, b] = [yes + 0.5, of - yes + 0.5];
  return { y: Math.log(a / b), v: 1 / a + 1 / b };
}

/** A count with its rough place, so that it is worked out once. */
export interface Placed extends Counted {
  readonly y: number;
  readonly v: number;
}
export const placed = (count: Counted): Placed => ({ ...count, ...roughly(count) });

/**
 * ln likelihood of one count where shares lie about `mean` on the log-odds with sd `tau`.
 * @param points of the quadrature
 */
export function logMarginal(count: Placed, mean: number, tau: number, points: number): number {
  if (tau === 0) return logCount(count, mean);
  const { yes, of, y, v } = count;
  const { nodes, weights } = spreadOver(points);
  const about = 1 / (tau * tau);
  // The top of the integrand and its width, by Newton from the rough place.
  let centre = (y / v + mean * about) / (1 / v + about);
  let bend = 0;
  for (let round = 0; round < 3; round++) {
    const share = 1 / (1 + Math.exp(-centre));
    bend = of * share * (1 - share) + about;
    const step = (yes - of * share - (centre - mean) * about) / bend;
    centre += step > 2 ? 2 : step < -2 ? -2 : step;
    if (step < 1e-2 && step > -1e-2) break;
  }
  const scale = Math.SQRT2 / Math.sqrt(bend);
  // Against its top no term can be too large for a number.
  const top = logCount(count, centre) - 0.5 * about * (centre - mean) ** 2;
  let sum = 0;
  for (let k = 0; k < points; k++) {
    const logit = centre + scale * nodes[k]!;
    const off = logit - mean;
    sum += weights[k]! * Math.exp(logCount(count, logit) - 0.5 * about * off * off - top);
  }
  return top + Math.log((sum * scale) / (tau * ROOT_TWO_PI));
}

const ROOT_TWO_PI = Math.sqrt(2 * Math.PI);

const spreads = new Map<number, Quadrature>();

/** Nodes with the weight that stands before f itself, not before e^(−t²) f. */
function spreadOver(points: number): Quadrature {
  let known = spreads.get(points);
  if (!known) {
    const { nodes, weights } = gaussHermite(points);
    known = { nodes, weights: weights.map((w, k) => w * Math.exp(nodes[k]! ** 2)) };
    spreads.set(points, known);
  }
  return known;
}

export const logLikelihood = (
  counts: readonly Placed[],
  mean: number,
  tau: number,
  points: number,
): number => counts.reduce((sum, c) => sum + logMarginal(c, mean, tau, points), 0);

/**
 * The likeliest mean and spread of the log-odds.
 * @param counts two at least, each of 1 or more
 * @returns mean on the log-odds, tau its sd between benches
 */
export function binomialNormal(
  counts: readonly Counted[],
  points = 25,
): { readonly mean: number; readonly tau: number; readonly logLikelihood: number } {
  if (counts.length < 2) throw new RangeError('two benches at least are needed');
  const all = counts.map(placed);
  const best = (tau: number) => highest((m) => logLikelihood(all, m, tau, points), -8, 8);
  const tau = highest((t) => best(t).value, 0, 4);
  const mean = best(tau.at);
  return { mean: mean.at, tau: tau.at, logLikelihood: mean.value };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The top of a curve that has one, by golden section to 1e-9 of its stretch. */
function highest(f: (x: number) => number, from: number, to: number) {
  let [low, high] = [from, to];
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [fa, fb] = [f(a), f(b)];
  for (let round = 0; round < 44; round++) {
    if (fa > fb) {
      [high, b, fb] = [b, a, fa];
      a = high - GOLDEN * (high - low);
      fa = f(a);
    } else {
      [low, a, fa] = [a, b, fb];
      b = low + GOLDEN * (high - low);
      fb = f(b);
    }
  }
  const at = (low + high) / 2;
  return { at, value: f(at) };
}
