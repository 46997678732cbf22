import { fitPace, type PotPace } from './pace';
import { runPot, type PotDay } from './run';
import type { WaterCase } from './case';

/** A morning of a pot: what was, or what is to come if nobody waters. */
export interface CourseStep {
  /** Days from the case's first. */
  readonly at: number;
  readonly fill: number;
  /** One in ten is below, one in ten above; the same as `fill` for the past. */
  readonly low: number;
  readonly high: number;
}

export interface Course {
  readonly steps: readonly CourseStep[];
  /** The pot today, layer by layer from the surface: lower edge in mm, wetness against drained. */
  readonly layers: readonly { readonly toMm: number; readonly wetness: number }[];
  readonly pace: PotPace;
}

/**
 * The water of a pot from its first day on, and ahead without another drink.
 * @param ahead days beyond today
 */
export function courseOf(given: WaterCase, ahead: number): Course {
  const pace = fitPace(given);
  const correction = pace.correction ?? undefined;
  const until = Math.min(given.today + ahead + 1, given.evaporation.length);
  const run = (at: number): readonly PotDay[] =>
    runPot(given, { pace: at, until, settledOn: given.today, correction });
  const [slow, likely, fast] = [run(pace.low), run(pace.likely), run(pace.high)];
  const steps = likely.map(({ fill }, at) => {
    const past = at < given.today;
    return {
      at,
      fill,
      low: past ? fill : Math.min(fill, fast[at]!.fill),
      high: past ? fill : Math.max(fill, slow[at]!.fill),
    };
  });
  const now = likely[given.today]!;
  let depth = 0;
  const layers = given.column.thick.map((thick, i) => ({
    toMm: (depth += thick),
    wetness: now.wetness.layers[i]!,
  }));
  return { steps, layers, pace };
}
