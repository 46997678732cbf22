import { capacityOf } from './column';
import { wetnessAt } from './drying';
import { runPot, type PotDay } from './run';
import { DRY_TO_TOUCH } from './school';
import type { CaseTouch, WaterCase } from './case';

/** Spread of a pot's evaporation against the modelled one, sd of the log. Working assumption; 0.2–0.4. */
export const PACE_OF_DRYING_SD = 0.25;
/** What a kitchen scale and the model together miss: g, and a share of the pot's water. */
const SCALE_G = 1;
const MODEL_SHARE = 0.02;
/** How well a finger tells dry from moist, in wetness. Working assumption. */
const FINGER = 0.1;
/** Without a tare the container may weigh this much more or less than nothing known, g. */
const UNKNOWN_TARE_G = 150;
const TARE_SHARE = 0.12;

const POINTS = 17;
const HALF_SPAN = 3 * PACE_OF_DRYING_SD;

/** What is believed of a pot's own pace of drying and of its weight when all water is gone. */
export interface PotPace {
  /** Evaporation against the modelled one: one in ten below `low`, one in ten above `high`. */
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  /** sd of the log. */
  readonly sd: number;
  readonly weighings: number;
  readonly touches: number;
  /** Weight with no water in it, g; null without a weighing. */
  readonly dryWeightG: number | null;
  /** What the last weighing makes of the modelled water on that day; null without one that can tell. */
  readonly correction: { readonly at: number; readonly by: number } | null;
}

const Z90 = 1.2816;

/** Before anything is weighed or felt. */
export const UNKNOWN_PACE: PotPace = {
  low: Math.exp(-Z90 * PACE_OF_DRYING_SD),
  likely: 1,
  high: Math.exp(Z90 * PACE_OF_DRYING_SD),
  sd: PACE_OF_DRYING_SD,
  weighings: 0,
  touches: 0,
  dryWeightG: null,
  correction: null,
};

/**
 * Fits a pot's pace of drying to its weighings and touches: least squares of weight over a grid of
 * paces, the dry weight fitted along with each; a finger counts for little beside a scale.
 */
export function fitPace(given: WaterCase): PotPace {
  const { weighings, touches } = given;
  if (weighings.length === 0 && touches.length === 0) return UNKNOWN_PACE;
  const until = Math.max(...weighings.map((w) => w.at), ...touches.map((t) => t.at)) + 1;
  const capacityMl = capacityOf(given.column) / 1000;
  const noise = (SCALE_G + MODEL_SHARE * capacityMl) ** 2;
  const tareMean = given.dryG + (given.emptyG ?? 0);
  const tareVariance =
    (TARE_SHARE * given.dryG + (given.emptyG === null ? UNKNOWN_TARE_G : 0)) ** 2 || 1;

  const points = Array.from({ length: POINTS }, (_, i) => {
    const x = -HALF_SPAN + (2 * HALF_SPAN * i) / (POINTS - 1);
    const days = runPot(given, { pace: Math.exp(x), until });
    const fit = tareFit(
      weighings.map(({ at, grams }) => grams - days[at]!.waterMl),
      tareMean,
      tareVariance,
      noise,
    );
    const logWeight =
      -0.5 * (x / PACE_OF_DRYING_SD) ** 2 - fit.misfit / 2 + touchLog(given, days, touches);
    return { x, logWeight, tare: fit.tare, days };
  });

  const top = Math.max(...points.map((p) => p.logWeight));
  const weights = points.map((p) => Math.exp(p.logWeight - top));
  const total = weights.reduce((a, b) => a + b, 0);
  const mean = (of: (p: (typeof points)[number]) => number): number =>
    points.reduce((sum, p, i) => sum + of(p) * weights[i]!, 0) / total;
  const centre = mean((p) => p.x);
  const step = (2 * HALF_SPAN) / (POINTS - 1);
  // A grid cannot be surer than its own step.
  const sd = Math.sqrt(mean((p) => (p.x - centre) ** 2) + step ** 2 / 12);
  const tare = mean((p) => p.tare);
  const last = weighings.at(-1);
  const predicted = last ? mean((p) => p.days[last.at]!.waterMl) : 0;
  return {
    low: Math.exp(centre - Z90 * sd),
    likely: Math.exp(centre),
    high: Math.exp(centre + Z90 * sd),
    sd,
    weighings: weighings.length,
    touches: touches.length,
    dryWeightG: last ? tare : null,
    correction:
      last && weighings.length >= 2 && predicted > 1
        ? { at: last.at, by: Math.min(Math.max((last.grams - tare) / predicted, 0.2), 1.6) }
        : null,
  };
}

/** The dry weight that fits best, drawn towards what is expected of it, and how badly it fits. */
function tareFit(
  differences: readonly number[],
  mean: number,
  variance: number,
  noise: number,
): { readonly tare: number; readonly misfit: number } {
  const n = differences.length;
  const sum = differences.reduce((a, b) => a + b, 0);
  const tare = (mean / variance + sum / noise) / (1 / variance + n / noise);
  const misfit =
    (tare - mean) ** 2 / variance + differences.reduce((s, d) => s + (d - tare) ** 2, 0) / noise;
  return { tare, misfit };
}

function touchLog(
  given: WaterCase,
  days: readonly PotDay[],
  touches: readonly CaseTouch[],
): number {
  return touches.reduce((sum, { at, depthMm, seen }) => {
    const wet = wetnessAt(given.column, days[at]!.wetness, depthMm);
    const above = (limit: number): number => 1 / (1 + Math.exp(-(wet - limit) / FINGER));
    const chance =
      seen === 'dry'
        ? 1 - above(DRY_TO_TOUCH)
        : seen === 'wet'
          ? above(0.8)
          : above(DRY_TO_TOUCH) * (1 - above(0.8));
    return sum + Math.log(0.05 + 0.9 * chance);
  }, 0);
}
