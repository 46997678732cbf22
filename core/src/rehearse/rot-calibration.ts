import { figuresOf, teaches, wateredEarly } from '../bench';
import { daysBetween } from '../days';
import { settleAll } from '../faults';
import type { Batch, State } from '../journal';
import { memoAround } from '../memo';
import { USUAL_CORRELATION } from '../learn';
import { gridPosterior, weightInCluster } from '../stats';
import { Z80 } from './assumptions';
import { asItWent } from './as-it-went';
import { playBench } from './bench-run';
import type { BenchLuck } from './luck';

/** What one batch tells of how ready wounds rot. */
export interface RotCase {
  /** For wounds of several paces: the hazard by water on the open wound as assumed, and what else there was. */
  readonly wounds: readonly {
    readonly weight: number;
    readonly wet: number;
    readonly other: number;
  }[];
  readonly cuttings: number;
  readonly rotted: number;
  /** Its first water came before the gate; null where there was none or no telling. */
  readonly early: boolean | null;
}

/** How ready wounds rot here in wet medium, against what is assumed. */
export interface RotCalibration {
  /** Times the assumed hazard: the middle, and eight times in ten between low and high. */
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  readonly batches: number;
  /** How much narrower it became by them, 0–1: 0 is the assumption alone. */
  readonly told: number;
  readonly early: Tally;
  readonly late: Tally;
}

interface Tally {
  readonly cuttings: number;
  readonly rotted: number;
}

/** Spread of what is assumed, sd of the log: 0.03–0.25 a day round 0.1, eight times in ten. */
const PRIOR_SD = 0.83;
/**
 * Some rot for no reason that is played: how many is not known, and must not pass for readiness of wounds. About three
 * in a hundred, a third to three times as many. Working assumption.
 */
const UNEXPLAINED = Array.from({ length: 9 }, (_, i) => {
  const at = (i - 4) / 1.6;
  return { share: 0.03 * Math.exp(0.9 * at), weight: Math.exp(-0.5 * at * at) };
});
/** So many of the last batches are asked: a bench changes. */
const MOST_BATCHES = 120;
const LONGEST_DAYS = 120;

/** Gauss–Hermite, five points, for a standard normal. Source: Abramowitz & Stegun 1964, table 25.10. */
const NODES = [
  { at: -2.8569700138728056, weight: 0.011257411327720693 },
  { at: -1.3556261799742659, weight: 0.22207592200561266 },
  { at: 0, weight: 0.5333333333333333 },
  { at: 1.3556261799742659, weight: 0.22207592200561266 },
  { at: 2.8569700138728056, weight: 0.011257411327720693 },
] as const;

const STILL = { tempSd: 0, rhSd: 0, persistence: 0 };
const kept = memoAround<Batch, RotCase | null>();

/** The batches that may tell something of rot, the last cut first. */
export const rotBatches = (state: State): readonly Batch[] =>
  [...state.batches.values()]
    .filter((b) => b.cut !== null && b.stuck !== null && b.tallies.length > 0 && teaches(state, b))
    .sort((a, b) => (a.cutOn < b.cutOn ? 1 : -1))
    .slice(0, MOST_BATCHES);

/** What batches tell of rot; one that cannot be worked out is passed over. */
export const rotCases = (
  state: State,
  batches: readonly Batch[] = rotBatches(state),
): readonly RotCase[] => settleAll(batches, (batch) => rotCase(state, batch) ?? []).results.flat();

/** What a batch tells; null where it had no wound, or pot, mix or way are not told. */
export function rotCase(state: State, batch: Batch): RotCase | null {
  const { settings, spaces, air, containers, mixes, components, ownTaxa } = state;
  const around = [settings, spaces, air, containers, mixes, components, ownTaxa];
  return kept(batch, around, () => caseOf(state, batch));
}

function caseOf(state: State, batch: Batch): RotCase | null {
  const last = batch.tallies.at(-1);
  if (last === undefined || !figuresOf(state, batch)?.wound) return null;
  const days = Math.min(LONGEST_DAYS, Math.max(1, daysBetween(batch.cutOn, last)));
  const went = asItWent(state, batch, days);
  if ('problem' in went || went.widthMm === null) return null;
  const { cuttings } = playBench(went, immune(days), STILL, days);
  return {
    wounds: cuttings.map(({ hazard, exposed }, i) => ({
      weight: NODES[i]!.weight,
      wet: exposed,
      other: hazard - exposed,
    })),
    cuttings: batch.count,
    rotted: batch.counts.rotted,
    early: wateredEarly(state, batch),
  };
}

/** A bench of wounds of every pace to which nothing happens: what they went through is read off. */
const immune = (days: number): BenchLuck => ({
  normals: new Float64Array(2 * days + 2),
  pot: 0,
  pace: 0.5,
  chance: 0.5,
  rot: 0,
  whims: Float64Array.of(0.5),
  cuttings: NODES.map(({ at }) => ({
    wound: at,
    reserve: 20,
    roots: 1 - Number.EPSILON,
    dud: 0,
    infection: Infinity,
  })),
});

/** ln of the factor: far enough for any bench. */
const GRID = Array.from({ length: 81 }, (_, i) => -4 + i / 10);

/**
 * How ready wounds rot on this bench, from its own losses: rot among those watered early against late, each by what
 * its wounds went through in a play of its own days.
 * @param correlation of two cuttings of a tray, as learned
 * @returns the shipped assumption, with its range, where nothing tells
 * @example calibrateRot(rotCases(state)).factor // 1 is as assumed
 * Source: a grid posterior (Gelman et al. 2013, ch. 10.1); a batch counts as a cluster (Kish 1965, ch. 5).
 */
export function calibrateRot(
  cases: readonly RotCase[],
  correlation = USUAL_CORRELATION,
): RotCalibration {
  const told = cases.filter((c) => c.cuttings > 0);
  const { sd, quantile } = gridPosterior(GRID, (ln) => {
    const rots = told.map((one) => rotShare(one, Math.exp(ln)));
    const logs = UNEXPLAINED.map(
      ({ share, weight }) =>
        Math.log(weight) +
        told.reduce((sum, one, i) => sum + likelihood(one, rots[i]!, share, correlation), 0),
    );
    const most = Math.max(...logs);
    const prior = -0.5 * (ln / PRIOR_SD) ** 2;
    return prior + most + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - most), 0));
  });
  const tally = (early: boolean): Tally => {
    const mine = told.filter((c) => c.early === early);
    const sum = (of: (c: RotCase) => number): number => mine.reduce((n, c) => n + of(c), 0);
    return { cuttings: sum((c) => c.cuttings), rotted: sum((c) => c.rotted) };
  };
  return {
    factor: told.length === 0 ? 1 : Math.exp(quantile(0.5)),
    low: Math.exp(told.length === 0 ? -Z80 * PRIOR_SD : quantile(0.1)),
    high: Math.exp(told.length === 0 ? Z80 * PRIOR_SD : quantile(0.9)),
    batches: told.length,
    told: told.length === 0 ? 0 : Math.max(0, 1 - sd / PRIOR_SD),
    early: tally(true),
    late: tally(false),
  };
}

/** Share that the play lets rot, were wounds so many times as ready to. */
function rotShare({ wounds }: RotCase, factor: number): number {
  const spared = wounds.reduce(
    (sum, { weight, wet, other }) => sum + weight * Math.exp(-(factor * wet + other)),
    0,
  );
  return Math.min(1, Math.max(0, 1 - spared));
}

/** ln likelihood of what rotted of a batch, where such a share is played to rot and another rots anyway. */
function likelihood(
  { cuttings, rotted }: RotCase,
  played: number,
  unexplained: number,
  correlation: number,
): number {
  const p = Math.min(1 - 1e-9, unexplained + (1 - unexplained) * played);
  const weight = weightInCluster(cuttings, correlation);
  return weight * (rotted * Math.log(p) + (cuttings - rotted) * Math.log(1 - p));
}
