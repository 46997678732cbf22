import { slowed, timeWithin, type Window, type WeibullTime } from '../botany';
import {
  BATCH_PACE_SD,
  believe,
  correlationFrom,
  correlationVector,
  CORRELATION_CELLS,
  cureVector,
  logitOf,
  PLANT_PACE_SD,
  shareAt,
  sumOf,
  type Belief,
  type CureEvidence,
} from '../learn';
import { drawsOf } from './draws';

/** How benches, plants and trays differ in a simulated world. */
export interface World {
  /** Correlation of two cuttings of a tray. */
  readonly correlation: number;
  /** What benches differ by in the chance of a plant, on the log-odds; null for as much as the guide is unsure. */
  readonly benchSd: number | null;
}

/** As the product supposes, and a harsher one. */
export const STATED: World = { correlation: 0.1, benchSd: null };
export const HARSH: World = { correlation: 0.25, benchSd: 0.5 };

/** A plant on a bench that is not known: what is true of it, and batches of it. */
export function plantIn(
  world: World,
  way: {
    readonly mean: number;
    readonly worth: number;
    readonly window: Pick<Window, 'from' | 'to'>;
  },
  seed: number,
) {
  const { random, normal, beta, tray } = drawsOf(seed);
  const { mean, worth, window } = way;
  const time = timeWithin(window);
  const chance =
    world.benchSd === null
      ? beta(mean * worth, (1 - mean) * worth)
      : shareAt(logitOf(mean) + world.benchSd * normal());
  const pace = PLANT_PACE_SD * normal();
  /** Growth at which each of so many cuttings of a batch roots; infinite where it never does. */
  const batch = (count: number): readonly number[] => {
    const own = tray(chance, world.correlation);
    const its = slowed(time, Math.exp(pace + BATCH_PACE_SD * normal()));
    return Array.from({ length: count }, () =>
      random() < own ? its.scale * (-Math.log(1 - random())) ** (1 / its.shape) : Infinity,
    );
  };
  return { time, chance, lnPace: pace, batch };
}

/** What looks after so much growth tell of a batch; at the last one it is settled where `settles`. */
export function lookedAt(
  batch: readonly number[],
  looks: readonly number[],
  figures: { readonly mean: number; readonly time: WeibullTime },
  settles: boolean,
): CureEvidence {
  const edges = [0, ...looks];
  const seen = looks.map((by, i) => ({
    sign: 'roots' as const,
    after: edges[i]!,
    by,
    count: batch.filter((g) => g > edges[i]! && g <= by).length,
  }));
  const lived = seen.reduce((n, s) => n + s.count, 0);
  const rest = batch.length - lived;
  return {
    logit: logitOf(figures.mean),
    roots: figures.time,
    pups: null,
    seen: seen.filter((s) => s.count > 0),
    lived,
    lost: settles ? rest : 0,
    waits: settles || rest === 0 ? [] : [{ growth: looks.at(-1)!, count: rest }],
  };
}

/** What the product makes of a history: the correlation learned, chance and pace believed. */
export function beliefFrom(
  success: { readonly mean: number; readonly worth: number },
  history: readonly CureEvidence[],
): Belief {
  const way = { success: { ...success, evidence: 'working assumption' as const } };
  const settled = history.filter((h) => h.waits.length === 0 && h.lived + h.lost > 1);
  const correlation =
    history.length < 2
      ? 0.1
      : correlationFrom([
          {
            logit: logitOf(success.mean),
            worth: success.worth,
            sum: sumOf(
              settled.map((t) => ({ vector: correlationVector(t), weight: 1 })),
              CORRELATION_CELLS,
            ),
          },
        ]);
  if (history.length === 0) return believe(way, correlation, null);
  const cuttings = history.reduce((n, h) => n + h.lived + h.lost, 0);
  const told = { batches: history.length, cuttings, lived: cuttings, waiting: 0 };
  return believe(way, correlation, {
    sum: sumOf(history.map((h) => ({ vector: cureVector(h, correlation), weight: 1 }))),
    own: told,
    genus: { batches: 0, cuttings: 0, lived: 0, waiting: 0 },
  });
}

/** Growth by which such a share of what roots has roots, were its window the truth. */
export const growthBy = (time: WeibullTime, share: number): number =>
  time.scale * (-Math.log1p(-share)) ** (1 / time.shape);
