import { growthBy, lookedAt, plantIn, beliefFrom, STATED } from './rooting-world';

/** How far what is learned lies from what is true, in the mean of many benches. */
export interface Bias {
  /** Of ln pace. */
  readonly pace: number;
  /** Of the chance to root, 0–1. */
  readonly chance: number;
}

const WAY = { mean: 0.6, worth: 8, window: { from: 21, to: 60 } };

/**
 * What batches that still wait teach: looked at until a third of those that will root have, none of them settled.
 * @param batches on each bench
 */
export function biasOfOpen(batches: number, benches: number, seed: number): Bias {
  let [pace, chance] = [0, 0];
  for (let n = 0; n < benches; n++) {
    const plant = plantIn(STATED, WAY, seed + 7919 * n);
    const figures = { mean: WAY.mean, time: plant.time };
    const looks = [0.15, 0.35].map((share) => growthBy(plant.time, share));
    const open = Array.from({ length: batches }, () =>
      lookedAt(plant.batch(30), looks, figures, false),
    );
    const belief = beliefFrom(WAY, open);
    pace += Math.log(belief.pace.factor) - plant.lnPace;
    chance += belief.mean - plant.chance;
  }
  return { pace: pace / benches, chance: chance / benches };
}
