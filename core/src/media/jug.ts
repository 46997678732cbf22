import * as say from '@hypogeon/messages/core-jug';
import { bisect } from '../bisect';
import { AS_MODELLED, fillPot, porosity, type Correction } from './filled-pot';
import type { Container } from './container';
import type { Medium } from './mix';

/** A drain test as it is read off the jug. */
export interface JugTest {
  /** Volume of the filling, mL, and its depth, mm. */
  readonly potMl: number;
  readonly depthMm: number;
  /** Water poured until it stood at the surface, mL. */
  readonly soakedMl: number;
  /** Water that ran out afterwards, mL. */
  readonly drainedMl: number;
  /** Dry weight of the filling, g, where there is a scale. */
  readonly dryG?: number | undefined;
  /** Seconds until ponded water was gone. */
  readonly pondedSeconds?: number | undefined;
}

export interface JugResult {
  /** Shares of the volume, 0–1. */
  readonly porosity: number;
  readonly air: number;
  readonly water: number;
  readonly densityGPerL: number | null;
}

export type JugField = keyof JugTest;

/** What cannot be right in a test, by field, in the grower's words. */
export function jugProblems(test: JugTest): Readonly<Partial<Record<JugField, string>>> {
  const { potMl, depthMm, soakedMl, drainedMl, dryG, pondedSeconds } = test;
  const problems: Partial<Record<JugField, string>> = {};
  if (!(potMl > 0)) problems.potMl = say.howMuchDoesThe();
  if (!(depthMm > 0)) problems.depthMm = say.howDeepIsThe();
  if (!(soakedMl > 0)) problems.soakedMl = say.howMuchWaterUntil();
  else if (soakedMl > potMl) problems.soakedMl = say.moreWaterThanThe();
  if (!(drainedMl >= 0)) problems.drainedMl = say.howMuchRanOut();
  else if (drainedMl > soakedMl) problems.drainedMl = say.moreCameOutThan();
  if (dryG !== undefined && !(dryG > 0)) problems.dryG = say.theDryWeightIs();
  if (pondedSeconds !== undefined && !(pondedSeconds > 0))
    problems.pondedSeconds = say.secondsUntilTheStanding();
  return problems;
}

/**
 * The standard drain test: what it took is the porosity, what ran out was air space.
 * @throws RangeError if a figure cannot be right
 * Source: porometer arithmetic as in Yeager et al., BMP Guide for Producing Container-Grown Plants
 * (from memory): total porosity = soaked / volume, air-filled porosity = drained / volume, container
 * capacity the difference.
 */
export function readJug(test: JugTest): JugResult {
  const [problem] = Object.values(jugProblems(test));
  if (problem) throw new RangeError(`jug test: ${problem}`);
  const porosity = test.soakedMl / test.potMl;
  const air = test.drainedMl / test.potMl;
  return {
    porosity,
    air,
    water: porosity - air,
    densityGPerL: test.dryG === undefined ? null : (test.dryG / test.potMl) * 1000,
  };
}

export interface Averaged {
  readonly mean: number;
  /** Standard deviation between tests; null for a single one. */
  readonly spread: number | null;
  readonly tests: number;
}

/** Repeated tests of one mix together; null without any. */
export function averageJugs(
  tests: readonly JugTest[],
): Readonly<Record<'porosity' | 'air' | 'water', Averaged>> | null {
  if (tests.length === 0) return null;
  const results = tests.map(readJug);
  const of = (key: 'porosity' | 'air' | 'water'): Averaged => average(results.map((r) => r[key]));
  return { porosity: of('porosity'), air: of('air'), water: of('water') };
}

export function average(values: readonly number[]): Averaged {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const spread =
    values.length < 2
      ? null
      : Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (values.length - 1));
  return { mean, spread, tests: values.length };
}

/** Water times so much fills the pores of any mix nearly to the top: further there is nothing to correct. */
const MOST_WATER = 6;

/**
 * How measured and modelled water differ, so that a test in one pot corrects the mix in every other, and the mix gives
 * back its own test: the foot of a pot cannot hold more than its pores, so that a mix wetter than modelled takes more
 * than the ratio of the two. Pores and weight are held between a half and double: beyond that the test is doubted, not
 * the model.
 */
export function correctionBy(medium: Medium, tests: readonly JugTest[]): Correction {
  if (tests.length === 0) return AS_MODELLED;
  const pores = tests.map((test) => readJug(test).porosity / porosity(medium));
  const weights = tests.flatMap((test) => {
    const { densityGPerL } = readJug(test);
    return densityGPerL === null ? [] : [densityGPerL / medium.densityGPerL];
  });
  const dry = { ...AS_MODELLED, pores: held(average(pores).mean) };
  const pots = tests.map(jugPot);
  const measured = average(tests.map((test) => readJug(test).water)).mean;
  const short = (water: number): number =>
    average(pots.map((pot) => fillPot(medium, pot, { ...dry, water }).water)).mean - measured;
  return {
    ...dry,
    water: short(MOST_WATER) <= 0 ? MOST_WATER : bisect(short, 0, MOST_WATER),
    weight: weights.length === 0 ? 1 : held(average(weights).mean),
  };
}

const held = (ratio: number): number => Math.min(Math.max(ratio, 0.5), 2);

/** A straight pot with the volume and depth of the test. */
export function jugPot({ potMl, depthMm }: Pick<JugTest, 'potMl' | 'depthMm'>): Container {
  const side = Math.sqrt((potMl * 1000) / depthMm);
  return {
    id: 'jug',
    name: say.jugTest(),
    shape: 'square',
    topMm: side,
    bottomMm: side,
    heightMm: depthMm,
    freeboardMm: 0,
    wall: 'plastic',
    holes: true,
  };
}
