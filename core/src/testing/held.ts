import { chancesAfter, chancesOf, numberNeeded } from '../plan';
import { awaitedRoots, chanceBy, chanceOfAtMost } from '../learn';
import { beliefFrom, growthBy, lookedAt, plantIn, type World } from './rooting-world';

/** Ways of the guide: quick and sure, slow and middling, fickle. */
export const WAYS = [
  { mean: 0.92, worth: 8, window: { from: 14, to: 28 } },
  { mean: 0.7, worth: 8, window: { from: 21, to: 60 } },
  { mean: 0.45, worth: 4, window: { from: 60, to: 240 } },
] as const;

/** How often what the product said held, over many benches of a world. */
export interface Held {
  /** The wanted number was reached with the number it said, “nine in ten”. */
  readonly reached: number;
  /** … and by a day. */
  readonly inTime: number;
  /** The number that rooted by then lay within its eight in ten. */
  readonly range: number;
  readonly benches: number;
}

/**
 * Plays benches of which so many batches were counted before, and holds what is said of the next against it.
 * @param batches of the plant that went before
 */
export function held(world: World, batches: number, benches: number, seed: number): Held {
  const all = { reached: 0, inTime: 0, range: 0 };
  for (let n = 0; n < benches; n++) {
    const way = WAYS[n % WAYS.length]!;
    const plant = plantIn(world, way, seed + 7919 * n);
    const figures = { mean: way.mean, time: plant.time };
    const looks = [0.2, 0.5, 0.8, 0.97].map((share) => growthBy(plant.time, share));
    const history = Array.from({ length: batches }, () =>
      lookedAt(plant.batch(12 + ((n * 7) % 30)), [...looks, 3 * looks[3]!], figures, true),
    );
    const belief = beliefFrom(way, history);
    // Spread over what is asked, so that no step of whole cuttings decides.
    const wanted = 8 + (n % 17);
    const by = growthBy(plant.time, 0.9) * 1.5;
    const rooted = (count: number, until: number): number =>
      plant.batch(count).filter((g) => Number.isFinite(g) && g <= until).length;
    const need = numberNeeded(wanted, 0.9, chancesOf(belief), 4000);
    all.reached += need !== null && rooted(need, Infinity) >= wanted ? 1 : 0;
    const soon = numberNeeded(wanted, 0.9, chancesAfter(belief, plant.time, by), 4000);
    all.inTime += soon !== null && rooted(soon, by) >= wanted ? 1 : 0;
    const of = 20 + (n % 30);
    const chance = chanceBy(awaitedRoots(belief.batch, plant.time, 0), by);
    const came = rooted(of, by);
    // Where in its distribution it came, whole numbers shared out evenly: between one and nine tenths.
    const below = came === 0 ? 0 : chanceOfAtMost(came - 1, of, chance);
    const at = below + ((n * 0.6180339887) % 1) * (chanceOfAtMost(came, of, chance) - below);
    all.range += at >= 0.1 && at <= 0.9 ? 1 : 0;
  }
  return {
    reached: all.reached / benches,
    inTime: all.inTime / benches,
    range: all.range / benches,
    benches,
  };
}
