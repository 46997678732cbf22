/**
 * A smooth row of numbers, so many times as fine: cubic between the points, which themselves stay.
 * @param values evenly spaced, at least two
 * @returns (n − 1) · times + 1 values
 * @example refined([0, 1, 2], 2) // [0, 0.5, 1, 1.5, 2]
 * Source: Catmull & Rom 1974, in Computer Aided Geometric Design, 317–326.
 */
export function refined(values: ArrayLike<number>, times: number): number[] {
  const n = values.length;
  const at = (i: number): number =>
    i < 0 ? 2 * values[0]! - values[1]! : i >= n ? 2 * values[n - 1]! - values[n - 2]! : values[i]!;
  const out: number[] = [];
  for (let i = 0; i < n - 1; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let k = 0; k < times; k++) {
      const t = k / times;
      out.push(
        p1 +
          0.5 * t * (p2 - p0 + t * (2 * p0 - 5 * p1 + 4 * p2 - p3 + t * (3 * (p1 - p2) + p3 - p0))),
      );
    }
  }
  out.push(values[n - 1]!);
  return out;
}
