/** Nodes and weights of an integral of e^(−t²) f(t) over the line. */
export interface Quadrature {
  readonly nodes: readonly number[];
  readonly weights: readonly number[];
}

const known = new Map<number, Quadrature>();

/**
 * Gauss–Hermite quadrature: exact for polynomials up to degree 2n − 1.
 * @param n how many nodes, 2–40
 * Source: Press et al. 2007, Numerical Recipes, 3rd ed., 4.6 (roots by Newton, orthonormal recurrence).
 */
export function gaussHermite(n: number): Quadrature {
  const had = known.get(n);
  if (had) return had;
  const nodes = new Array<number>(n);
  const weights = new Array<number>(n);
  let z = 0;
  for (let i = 0; i < (n + 1) >> 1; i++) {
    z = firstGuess(i, n, z, nodes);
    let slope = 1;
    for (let round = 0; round < 100; round++) {
      let [p1, p2] = [Math.PI ** -0.25, 0];
      for (let j = 0; j < n; j++)
        [p1, p2] = [z * Math.sqrt(2 / (j + 1)) * p1 - Math.sqrt(j / (j + 1)) * p2, p1];
      slope = Math.sqrt(2 * n) * p2;
      const step = p1 / slope;
      z -= step;
      if (Math.abs(step) < 1e-14) break;
    }
    nodes[i] = z;
    nodes[n - 1 - i] = -z;
    weights[i] = weights[n - 1 - i] = 2 / (slope * slope);
  }
  const made = { nodes, weights };
  known.set(n, made);
  return made;
}

function firstGuess(i: number, n: number, z: number, nodes: readonly number[]): number {
  if (i === 0) return Math.sqrt(2 * n + 1) - 1.85575 * (2 * n + 1) ** (-1 / 6);
  if (i === 1) return z - (1.14 * n ** 0.426) / z;
  if (i === 2) return 1.86 * z - 0.86 * nodes[0]!;
  if (i === 3) return 1.91 * z - 0.91 * nodes[1]!;
  return 2 * z - nodes[i - 2]!;
}
