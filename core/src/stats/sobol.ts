import { randomFrom } from './random';

/** A share that was sampled: what it is, 0–1, and its standard error. */
export interface SampledShare {
  readonly share: number;
  readonly se: number;
}

/**
 * First-order Sobol indices: what share of the variance of an outcome each input makes by itself, all inputs uniform
 * on 0–1 and independent.
 * @param of the outcome of one row of inputs
 * @param inputs how many, at least 1
 * @param rows of the design; `of` is called `rows · (inputs + 2)` times
 * @returns a share an input; all 0 where nothing makes a difference
 * Source: Saltelli et al. 2010, Comput. Phys. Commun. 181:259–270, the first-order estimator of table 2 (from memory).
 */
export function sobolFirst(
  of: (row: readonly number[]) => number,
  inputs: number,
  rows: number,
  seed: number,
): readonly SampledShare[] {
  const random = randomFrom(seed);
  const draw = (): readonly (readonly number[])[] =>
    Array.from({ length: rows }, () => Array.from({ length: inputs }, () => random()));
  const [a, b] = [draw(), draw()];
  const [fa, fb] = [a.map(of), b.map(of)];
  const all = [...fa, ...fb];
  const mean = all.reduce((s, y) => s + y, 0) / all.length;
  const variance = all.reduce((s, y) => s + (y - mean) ** 2, 0) / all.length;
  if (variance < 1e-12) return Array<SampledShare>(inputs).fill({ share: 0, se: 0 });
  return Array.from({ length: inputs }, (_, i) => {
    const terms = a.map((row, j) => {
      const mixed = row.map((x, k) => (k === i ? b[j]![k]! : x));
      return ((fb[j]! - mean) * (of(mixed) - fa[j]!)) / variance;
    });
    const share = terms.reduce((s, t) => s + t, 0) / rows;
    const spread = terms.reduce((s, t) => s + (t - share) ** 2, 0) / Math.max(1, rows - 1);
    return { share: Math.min(1, Math.max(0, share)), se: Math.sqrt(spread / rows) };
  });
}
