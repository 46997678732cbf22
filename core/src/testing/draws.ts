import { randomFrom } from '../stats';

/** Draws of one seeded source, for simulations that are judged by. */
export function drawsOf(seed: number) {
  const random = randomFrom(seed);
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  /** Source: Marsaglia & Tsang 2000, ACM TOMS 26, 363–372; below one by the power of a uniform. */
  const gamma = (shape: number): number => {
    if (shape < 1) return gamma(shape + 1) * (1 - random()) ** (1 / shape);
    const d = shape - 1 / 3;
    for (;;) {
      const z = normal();
      const v = (1 + z / Math.sqrt(9 * d)) ** 3;
      if (v > 0 && Math.log(1 - random()) < 0.5 * z ** 2 + d - d * v + d * Math.log(v))
        return d * v;
    }
  };
  const beta = (a: number, b: number): number => {
    const [x, y] = [gamma(a), gamma(b)];
    return x + y === 0 ? a / (a + b) : x / (x + y);
  };
  /** The chance of one tray of a plant whose long-run chance that is. @param correlation of two cuttings of a tray */
  const tray = (chance: number, correlation: number): number => {
    const p = Math.min(Math.max(chance, 1e-9), 1 - 1e-9);
    const worth = 1 / Math.max(correlation, 1e-4) - 1;
    return beta(p * worth, (1 - p) * worth);
  };
  return { random, normal, beta, tray };
}
