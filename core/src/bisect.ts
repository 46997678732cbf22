/**
 * Where a rising function of one number passes zero, by halving.
 * @param low, high between which it does
 */
export function bisect(of: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 200 && b - a > 1e-14 * Math.max(1, Math.abs(a), Math.abs(b)); i++) {
    const middle = (a + b) / 2;
    if (of(middle) < 0) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
