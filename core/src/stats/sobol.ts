import { randomFrom } from './random';

/**
 * First-order Sobol indices: what share of the variance of an outcome each input makes by itself, all inputs uniform
 * on 0–1 and independent.
 * @param of the outcome of one row of inputs
 * @param inputs how many, at least 1
 * @param rows of the design; `of` is called `rows · (inputs + 2)` times
 * @returns a share an input, 0–1; all 0 where nothing makes a difference
 * Source: Saltelli et al. 2010, Comput. Phys. Commun. 181:259–270, the first-order estimator of table 2 (from memory).
 */
export function sobolFirst(
  of: (row: readonly number[]) => number,
  inputs: number,
  rows: number,
  seed: number,
): readonly number[] {
  const random = randomFrom(seed);
  const draw = (): readonly (readonly number[])[] =>
    Array.from({ length: rows }, () => Array.from({ length: inputs }, () => random()));
  const [a, b] = [draw(), draw()];
  const [fa, fb] = [a.map(of), b.map(of)];
  const all = [...fa, ...fb];
  const mean = all.reduce((s, y) => s + y, 0) / all.length;
  const variance = all.reduce((s, y) => s + (y - mean) ** 2, 0) / all.length;
  if (variance < 1e-12) return Array<number>(inputs).fill(0);
  return Array.from({ length: inputs }, (_, i) => {
    const part =
      a.reduce((sum, row, j) => {
        const mixed = row.map((x, k) => (k === i ? b[j]![k]! : x));
        return sum + (fb[j]! - mean) * (of(mixed) - fa[j]!);
      }, 0) / rows;
    return Math.min(1, Math.max(0, part / variance));
  });
}
