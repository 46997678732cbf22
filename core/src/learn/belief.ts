import type { TaxonMethod } from '../botany';
import type { State } from '../journal';
import { memo, memoBy, memoOnce } from '../memo';
import {
  BATCH_CELLS,
  BATCH_LOGITS,
  BATCH_PACES,
  CELLS,
  logitOf,
  PACE_SD,
  PACE_STRIDE,
  PACE_MARGIN,
  PACE_REACH,
  PACE_SPREAD,
  PACES,
  PLANT_PACE_SD,
  shareAt,
  SHIFTS,
} from './cure-grid';
import { logDensity, pooledFor, type Pooled } from '../pool';
import { refined } from './refine';
import { genusOf, toldIn, vectorOf, type GenusEvidence, type RootEvidence } from './told';
import { correlationFrom, USUAL_CORRELATION } from './tray-correlation';
import { betaWeights, traySpreads } from './tray-spread';

/** What other plants of the genus weigh against the plant's own records. Working assumption; 0.1–0.5. */
export const GENUS_WEIGHT = 0.3;

/** So many cuttings of settled and waiting batches, and what became of them. */
export interface Told {
  readonly batches: number;
  readonly cuttings: number;
  readonly lived: number;
  readonly waiting: number;
}

/** What is believed of a plant and way on this bench, of its chance and its pace at once. */
export interface Belief {
  /** Chance that one roots in the end, of the plant in the long run: the same mean and variance as Beta(a, b). */
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly a: number;
  readonly b: number;
  /** How many times as long as the window says a batch to come takes; eight times in ten between the two. */
  readonly pace: { readonly factor: number; readonly low: number; readonly high: number };
  /** Of two cuttings of a tray. */
  readonly correlation: number;
  readonly catalogue: { readonly mean: number; readonly worth: number };
  readonly own: Told;
  readonly genus: Told;
  /** What other benches have counted of it; null where nothing was taken in. */
  readonly pooled: Pooled | null;
  /** Weights of chance and pace of one batch to come, over the grid of batches; they sum to 1. */
  readonly batch: Float64Array;
}

/** The correlation of cuttings of one tray, learned over all plants and ways of this bench. */
export const correlationOf = (state: State): number => correlationIn(toldIn(state));

const correlationIn = memo((told: ReadonlyMap<string, GenusEvidence>): number => {
  const plants = [...told.values()].flatMap(({ own }) => [...own.values()]);
  // One tray of a kind says nothing of how trays differ.
  const several = plants.filter((p) => p.told.length > 1);
  if (several.length === 0) return USUAL_CORRELATION;
  return correlationFrom(several.map((p) => ({ ...p.told[0]!, sum: p.trays() })));
});

/** The belief of a plant and way: the guide's figures, moved by what became of this grower's batches. */
export function beliefOf(state: State, taxon: string, way: TaxonMethod): Belief {
  const correlation = correlationOf(state);
  const told = evidenceFor(state, taxon, way);
  const pooled = pooledFor(state, taxon, way);
  const beside = pooled ? `/${numberOf(pooled)}` : '';
  if (told === null)
    return untold(way, `${correlation}${beside}`, () => believe(way, correlation, null, pooled));
  const { mean, worth } = way.success;
  const name = `${taxon}/${correlation}/${mean}/${worth}${beside}`;
  return learned(told, name, () =>
    believe(
      way,
      correlation,
      {
        sum: sumFor(told, taxon, correlation),
        own: toldBy(told, (t) => t === taxon),
        genus: toldBy(told, (t) => t !== taxon),
      },
      pooled,
    ),
  );
}

const numbers = new WeakMap<Pooled, number>();
let latestNumber = 0;

/** A number for each pool of counts, by which what hangs on it is kept. */
function numberOf(pooled: Pooled): number {
  const known = numbers.get(pooled) ?? ++latestNumber;
  numbers.set(pooled, known);
  return known;
}

/** What the genus of a plant has told of a way; null where nothing. */
export const evidenceFor = (
  state: State,
  taxon: string,
  { method }: TaxonMethod,
): GenusEvidence | null => toldIn(state).get(`${genusOf(state, taxon)}/${method}`) ?? null;

/** Its own evidence whole, that of the genus beside it as much as it weighs. */
export function sumFor(told: GenusEvidence, taxon: string, correlation: number): Float64Array {
  const all = told.sumAt(correlation);
  const own = told.own.get(taxon)?.sumAt(correlation);
  const sum = new Float64Array(all.length);
  for (let i = 0; i < sum.length; i++)
    sum[i] = GENUS_WEIGHT * all[i]! + (own ? (1 - GENUS_WEIGHT) * own[i]! : 0);
  return sum;
}

const untold = memoBy<TaxonMethod, Belief>(4);
const learned = memoBy<GenusEvidence, Belief>(200);

function toldBy({ own }: GenusEvidence, is: (taxon: string) => boolean): Told {
  const all = [...own].flatMap(([taxon, { told }]) => (is(taxon) ? told : []));
  const sum = (of: (t: (typeof all)[number]) => number): number =>
    all.reduce((n, t) => n + of(t), 0);
  const waiting = sum((t) => t.waits.reduce((n, w) => n + w.count, 0));
  const lived = sum((t) => t.lived);
  return { batches: all.length, cuttings: lived + waiting + sum((t) => t.lost), lived, waiting };
}

const NOBODY: Told = { batches: 0, cuttings: 0, lived: 0, waiting: 0 };
const UNTOLD = { own: NOBODY, genus: NOBODY };

/**
 * The belief of a way from its figures and what batches have told.
 * @param told null where nothing was; its sum as of {@link sumFor}
 * @param pooled counts of other benches, which stand before one's own instead of the guide's figure alone
 */
export function believe(
  way: Pick<TaxonMethod, 'success'>,
  correlation: number,
  told: { readonly sum: Float64Array; readonly own: Told; readonly genus: Told } | null,
  pooled: Pooled | null = null,
): Belief {
  const { mean, worth } = way.success;
  const { own, genus } = told ?? UNTOLD;
  const logit = logitOf(mean);
  const sum = told?.sum ?? (pooled ? NOTHING_TOLD : null);
  const learned = sum && plantBelief(logit, worth, sum, own.batches + genus.batches, pooled);
  const batch = learned
    ? batchBelief(logit, learned, correlation)
    : guideBelief(mean, worth, correlation);
  const chance = learned ? chanceOf(logit, learned) : guideChance(mean, worth);
  return Object.assign(chance, {
    pace: paceIn(batch),
    correlation,
    catalogue: { mean, worth },
    own,
    genus,
    pooled,
    batch,
  });
}

/** Where nothing was told, chance and pace know nothing of each other: the guide's figures as they are. */
export function guideBelief(mean: number, worth: number, correlation: number): Float64Array {
  // About every chance of the plant that is possible its trays have theirs.
  const plants = betaWeights(mean * worth, (1 - mean) * worth);
  const trays = traySpreads(BATCH_LOGITS, 0, correlation);
  const chances = new Float64Array(BATCH_LOGITS.length);
  for (let x = 0; x < plants.length; x++)
    for (let p = 0; p < chances.length; p++) chances[p]! += plants[x]! * trays[x]![p]!;
  const out = new Float64Array(BATCH_CELLS);
  for (let p = 0, at = 0; p < chances.length; p++)
    for (let y = 0; y < BATCH_PACES.length; y++, at++) out[at] = chances[p]! * GUIDE_PACES[y]!;
  return out;
}

const GUIDE_PACES: readonly number[] = (() => {
  const raw = BATCH_PACES.map((pace) => Math.exp(-0.5 * (pace / PACE_SD) ** 2));
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((w) => w / sum);
})();

function guideChance(
  mean: number,
  worth: number,
): Pick<Belief, 'mean' | 'low' | 'high' | 'a' | 'b'> {
  const [a, b] = [mean * worth, (1 - mean) * worth];
  const weights = memoOnce(() => betaWeights(a, b));
  const quantile = (probability: number): number =>
    shareAt(quantileOf(weights(), BATCH_LOGITS, probability));
  return {
    mean,
    a,
    b,
    get low() {
      return quantile(0.1);
    },
    get high() {
      return quantile(0.9);
    },
  };
}

/** How finely the belief of a plant is told: what many batches have told is sharp. */
interface Fineness {
  readonly shifts: number;
  readonly paces: number;
}
const COARSE: Fineness = { shifts: 2, paces: 1 };
const FINE: Fineness = { shifts: 4, paces: 2 };
/** From so many batches on it is told finely. */
const SHARP = 12;

/** Weights over chances and paces of a plant, by rows of one chance; sum 1. */
interface PlantBelief {
  readonly shifts: readonly number[];
  readonly paces: readonly number[];
  readonly weights: Float64Array;
}

function plantBelief(
  logit: number,
  worth: number,
  sum: Float64Array,
  batches: number,
  pooled: Pooled | null,
): PlantBelief {
  const fine = batches < SHARP && !pooled ? COARSE : FINE;
  const shifts = refined(SHIFTS, fine.shifts);
  const paces = refined(PACES, fine.paces);
  const evidence = refinedSum(sum, fine);
  const mean = shareAt(logit);
  const pacePrior = pooled?.pace
    ? paces.map(mixedPace(pooled.pace))
    : paces.map((pace) => -0.5 * (pace / PLANT_PACE_SD) ** 2);
  const guideAt = (p: number): number =>
    -worth * (mean * Math.log1p(Math.exp(-p)) + (1 - mean) * Math.log1p(Math.exp(p)));
  const guide = pooled && logSumOf(shifts, (shift) => guideAt(logit + shift));
  const weights = new Float64Array(shifts.length * paces.length);
  let most = -Infinity;
  for (let x = 0, at = 0; x < shifts.length; x++) {
    const p = logit + shifts[x]!;
    // In log-odds: Beta(a, b) has the density pᵃ(1 − p)ᵇ.
    let chance = guideAt(p);
    if (pooled) chance = mixedLog(logDensity(pooled.chance, p), chance - guide!);
    for (let y = 0; y < paces.length; y++, at++) {
      weights[at] = chance + pacePrior[y]! + evidence[at]!;
      if (weights[at]! > most) most = weights[at]!;
    }
  }
  let all = 0;
  for (let i = 0; i < weights.length; i++)
    all += weights[i] = weights[i]! < most - 40 ? 0 : Math.exp(weights[i]! - most);
  for (let i = 0; i < weights.length; i++) weights[i]! /= all;
  return { shifts, paces, weights };
}

/**
 * Counts of other benches with the guide's vague figure beside them, so that a bench unlike the others is not drowned:
 * what is counted here moves the weights.
 * Source: robust mixture priors, Schmidli et al. 2014, Biometrics 70, 1023–1032.
 */
const VAGUE = 0.2;

const mixedLog = (counted: number, guide: number): number => {
  const most = Math.max(counted, guide);
  return most + Math.log((1 - VAGUE) * Math.exp(counted - most) + VAGUE * Math.exp(guide - most));
};

/** ln of what a density that is not yet one sums up to over a grid. */
function logSumOf(at: readonly number[], log: (x: number) => number): number {
  const logs = at.map(log);
  const most = Math.max(...logs);
  const step = at[1]! - at[0]!;
  return most + Math.log(step * logs.reduce((sum, l) => sum + Math.exp(l - most), 0));
}

const logNormal = (x: number, mean: number, sd: number): number =>
  -0.5 * ((x - mean) / sd) ** 2 - Math.log(sd);

const mixedPace =
  ({ mean, sd }: NonNullable<Pooled['pace']>) =>
  (pace: number): number =>
    mixedLog(logNormal(pace, mean, sd), logNormal(pace, 0, PLANT_PACE_SD));

const NOTHING_TOLD = new Float64Array(CELLS);

/** A sum of evidence, as finely as it is to be told. */
function refinedSum(sum: Float64Array, fine: Fineness): Float64Array {
  const columns = PACES.length;
  const wide = SHIFTS.map((_, x) =>
    refined(sum.subarray(x * columns, (x + 1) * columns), fine.paces),
  );
  const width = wide[0]!.length;
  const out = new Float64Array(((SHIFTS.length - 1) * fine.shifts + 1) * width);
  const column = new Float64Array(SHIFTS.length);
  for (let y = 0; y < width; y++) {
    for (let x = 0; x < column.length; x++) column[x] = wide[x]![y]!;
    refined(column, fine.shifts).forEach((value, x) => (out[x * width + y] = value));
  }
  return out;
}

/** The long-run chance by itself. */
function chanceOf(
  logit: number,
  { shifts, paces, weights: plant }: PlantBelief,
): Pick<Belief, 'mean' | 'low' | 'high' | 'a' | 'b'> {
  const shares = shifts.map((shift) => shareAt(logit + shift));
  const weights = shares.map((_, x) => {
    let sum = 0;
    for (let y = 0; y < paces.length; y++) sum += plant[x * paces.length + y]!;
    return sum;
  });
  const mean = weights.reduce((sum, w, x) => sum + w * shares[x]!, 0);
  const variance = weights.reduce((sum, w, x) => sum + w * (shares[x]! - mean) ** 2, 0);
  const worth = Math.max((mean * (1 - mean)) / Math.max(variance, 1e-12) - 1, 0.1);
  return {
    mean,
    low: quantileOf(weights, shares, 0.1),
    high: quantileOf(weights, shares, 0.9),
    a: mean * worth,
    b: (1 - mean) * worth,
  };
}

/** Between two points of a grid as far as its weight goes. @param values rising */
export function quantileOf(
  weights: ArrayLike<number>,
  values: readonly number[],
  probability: number,
): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) {
    const next = sum + weights[i]!;
    if (next >= probability) {
      const half = values[Math.min(i + 1, values.length - 1)]! - values[Math.max(i - 1, 0)]!;
      return values[i]! + (half / 2) * ((probability - sum) / weights[i]! - 0.5);
    }
    sum = next;
  }
  return values.at(-1)!;
}

/** What is believed of one batch to come: about its plant's chance and pace it has its own. */
function batchBelief(
  logit: number,
  { shifts, paces, weights }: PlantBelief,
  correlation: number,
): Float64Array {
  const spreads = traySpreads(shifts, logit, correlation);
  const columns = paces.length;
  const stride = Math.round((PACE_STRIDE * (PACES.length - 1)) / (columns - 1));
  const out = new Float64Array(BATCH_CELLS);
  const row = new Float64Array(columns);
  for (let p = 0; p < BATCH_LOGITS.length; p++) {
    row.fill(0);
    for (let x = 0; x < shifts.length; x++) {
      const weight = spreads[x]![p]!;
      if (weight < 1e-9) continue;
      for (let y = 0, at = x * columns; y < columns; y++, at++) row[y]! += weight * weights[at]!;
    }
    const from = p * BATCH_PACES.length + PACE_MARGIN;
    for (let y = 0; y < columns; y++) {
      if (row[y] === 0) continue;
      const at = from + stride * y;
      for (let k = -PACE_REACH; k <= PACE_REACH; k++)
        out[at + k]! += PACE_SPREAD[k + PACE_REACH]! * row[y]!;
    }
  }
  return out;
}

/** The paces that are believed of a batch. */
export function paceIn(batch: Float64Array): Belief['pace'] {
  const weights = new Float64Array(BATCH_PACES.length);
  for (let at = 0; at < BATCH_CELLS;)
    for (let y = 0; y < weights.length; y++, at++) weights[y]! += batch[at]!;
  const mean = weights.reduce((sum, w, y) => sum + w * BATCH_PACES[y]!, 0);
  return {
    factor: Math.exp(mean),
    low: Math.exp(quantileOf(weights, BATCH_PACES, 0.1)),
    high: Math.exp(quantileOf(weights, BATCH_PACES, 0.9)),
  };
}

/** Of more batches of a plant than this one less changes little: it is not taken out of the belief of all. */
const MANY = 4;

/** What is believed of one batch without what it told itself. @param told by it */
export function batchWithout(
  group: GenusEvidence,
  taxon: string,
  way: TaxonMethod,
  belief: Belief,
  told: RootEvidence,
): Float64Array {
  const own = group.own.get(taxon);
  if (!own?.told.includes(told) || own.told.length > MANY) return belief.batch;
  const { correlation } = belief;
  if (group.all.length === 1) return untoldBatch(way, correlation, belief.pooled);
  const vector = vectorOf(told, correlation);
  const sum = sumFor(group, taxon, correlation).map((all, i) => all - vector[i]!);
  const logit = logitOf(way.success.mean);
  return batchBelief(
    logit,
    plantBelief(logit, way.success.worth, sum, 1, belief.pooled),
    correlation,
  );
}

const untoldBatch = (way: TaxonMethod, correlation: number, pooled: Pooled | null): Float64Array =>
  untold(way, `${correlation}${pooled ? `/${numberOf(pooled)}` : ''}`, () =>
    believe(way, correlation, null, pooled),
  ).batch;
