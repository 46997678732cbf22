import { alphaOf, trayTest, type TrayCount } from '../trial';
import { drawsOf } from './draws';

const PER_TRAY = 10;

/** Of trials by trays whose two arms are alike, the share in which they are called different. */
export function alikeCalledDifferent(
  { trays, chance, correlation }: { trays: number; chance: number; correlation: number },
  trials: number,
  seed: number,
): number {
  const { random, tray } = drawsOf(seed);
  const arm = (): readonly TrayCount[] =>
    Array.from({ length: trays }, () => {
      const own = tray(chance, correlation);
      let rooted = 0;
      for (let i = 0; i < PER_TRAY; i++) if (random() < own) rooted++;
      return { rooted, stuck: PER_TRAY };
    });
  let called = 0;
  for (let n = 0; n < trials; n++) if (trayTest(arm(), arm(), 2).p <= alphaOf(2)) called++;
  return called / trials;
}
