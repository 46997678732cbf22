import { hazardBy, logShareOver, type WeibullTime } from '../botany';
import { logBetaRatio } from '../stats';
import {
  BATCH_CELLS,
  BATCH_LOGITS,
  BATCH_PACES,
  CELLS,
  LOG_NOT,
  LOG_SHARE,
  PACE_MARGIN,
  PACE_REACH,
  PACE_SPREAD,
  PACE_STRIDE,
  PACES,
  SHARE,
  shareAt,
  SHIFTS,
} from './cure-grid';
import { LEAST_CORRELATION, traySpreads } from './tray-spread';

/*
 * What a batch says of the chance that its plant roots and of how long that takes, both at once: a mixture cure model,
 * in which a piece that still waits may be slow or may never root. Worked out once a batch, and added up.
 *
 * Source: Boag 1949, J. R. Stat. Soc. B 11, 15–53; Berkson & Gage 1952, J. Am. Stat. Assoc. 47, 501–515.
 */

/** Seen between two looks, as growth since the cut, for so many cuttings. */
export interface SeenBetween {
  readonly sign: 'roots' | 'pups';
  readonly after: number;
  readonly by: number;
  readonly count: number;
}

/** Had nothing at their last look, after so much growth. */
export interface Waits {
  readonly growth: number;
  readonly count: number;
}

/** What the pieces of one batch have shown. */
export interface CureEvidence {
  /** Log-odds of its plant's own figures, and its windows: each batch is measured by its own. */
  readonly logit: number;
  readonly roots: WeibullTime;
  readonly pups: WeibullTime | null;
  readonly seen: readonly SeenBetween[];
  /** That have roots and live, and that were lost. */
  readonly lived: number;
  readonly lost: number;
  readonly waits: readonly Waits[];
}

/** ln likelihood of a batch at every cell of the grid of its plant, its best cell 0. */
export type CureVector = Float64Array;

/** What is next to impossible is told so by a number that can be added and taken away again. */
const FLOOR = -600;
const capped = (hazard: number): number => Math.min(hazard, 1e200);
/**
 * More cuttings of one batch than this sharpen nothing that its tray has not blurred, and the grid would be too coarse
 * for them: they are counted at that weight.
 */
const MOST_TOLD = 60;

/** Share and wait are smooth along the paces: every second one is worked out, those between are drawn through them. */
const STRIDE = 2;
const COARSE = (BATCH_PACES.length + 1) / STRIDE;

/** ln likelihood of what became of its pieces at every chance and every second pace, by rows of one chance. */
function chanceLikelihood(evidence: CureEvidence, weight: number): Float64Array {
  const { lived, lost, waits, roots } = evidence;
  const late = waits.map(({ growth, count }) => ({
    weight: weight * count,
    shares: sharesBy(roots, growth),
  }));
  const out = new Float64Array(BATCH_LOGITS.length * COARSE);
  for (let p = 0, at = 0; p < BATCH_LOGITS.length; p++) {
    const told = weight * (lived * LOG_SHARE[p]! + lost * LOG_NOT[p]!);
    const share = SHARE[p]!;
    for (let y = 0; y < COARSE; y++, at++) {
      let sum = told;
      for (const { weight: of, shares } of late) sum += of * Math.log(1 - share * shares[y]!);
      out[at] = sum;
    }
  }
  return out;
}

/** Between the points of a row of every second pace: cubic, as in `refined`. */
function between(row: Float64Array, from: number, y: number): number {
  const half = y >> 1;
  if ((y & 1) === 0) return row[from + half]!;
  const [one, two] = [row[from + half]!, row[from + half + 1]!];
  if (half === 0 || half === COARSE - 2) return (one + two) / 2;
  return (9 * (one + two) - row[from + half - 1]! - row[from + half + 2]!) / 16;
}

/**
 * ln likelihood of a batch at every chance and pace of its own, up to a constant.
 * @param among weights of them: where there is next to none, nothing is worked out
 * @param out where it is written
 * @returns −∞ there
 */
export function ownLikelihood(
  evidence: CureEvidence,
  among: Float64Array | null = null,
  out = new Float64Array(BATCH_CELLS),
): Float64Array {
  const weight = weightOf(evidence);
  const paces = paceLikelihood(evidence, weight);
  const chances = chanceLikelihood(evidence, weight);
  for (let p = 0, at = 0; p < BATCH_LOGITS.length; p++)
    for (let y = 0; y < BATCH_PACES.length; y++, at++)
      out[at] =
        among && among[at]! < NEXT_TO_NONE
          ? -Infinity
          : between(chances, p * COARSE, y) + paces[y]!;
  return out;
}
const NEXT_TO_NONE = 1e-7;

const weightOf = ({ lived, lost, waits }: CureEvidence): number =>
  Math.min(1, MOST_TOLD / waits.reduce((n, w) => n + w.count, Math.max(1, lived + lost)));

/** ln likelihood of what was seen at every pace. */
function paceLikelihood({ roots, pups, seen }: CureEvidence, weight: number): Float64Array {
  const out = new Float64Array(BATCH_PACES.length);
  for (const { sign, after, by, count } of seen) {
    const time = sign === 'pups' ? (pups ?? roots) : roots;
    const [from, to] = [hazardBy(time, after), hazardBy(time, by)];
    // A pace stretches the scale: each hazard is its own at pace 1, times one factor for all.
    for (let y = 0; y < out.length; y++) {
      const stretch = Math.exp(-time.shape * BATCH_PACES[y]!);
      out[y]! += weight * count * logShareOver(capped(from * stretch), capped(to * stretch));
    }
  }
  return out;
}

/** Share of those that root which has roots after so much growth, at every second pace; a hair below all. */
function sharesBy(time: WeibullTime, growth: number): Float64Array {
  const hazard = hazardBy(time, growth);
  const out = new Float64Array(COARSE);
  for (let y = 0; y < COARSE; y++) {
    const stretch = Math.exp(-time.shape * BATCH_PACES[STRIDE * y]!);
    out[y] = Math.min(1 - 1e-12, -Math.expm1(-hazard * stretch));
  }
  return out;
}

/**
 * What one batch says of its plant: its own chance and pace are not known, only how they lie about the plant's.
 * @param correlation of two cuttings of a tray
 */
export function cureVector(evidence: CureEvidence, correlation: number): CureVector {
  const rho = Math.max(correlation, LEAST_CORRELATION);
  const vector = evidence.waits.length === 0 ? settled(evidence, rho) : waiting(evidence, rho);
  let most = -Infinity;
  for (const v of vector) if (v > most) most = v;
  for (let i = 0; i < CELLS; i++) vector[i] = Math.max(vector[i]! - most, FLOOR);
  return vector;
}

/** All have shown what becomes of them: chance and pace are told apart, and the chance has a closed form. */
function settled(evidence: CureEvidence, correlation: number): CureVector {
  const { lived, lost, logit } = evidence;
  const worth = 1 / correlation - 1;
  const paces = blurred(paceLikelihood(evidence, weightOf(evidence)));
  const vector = new Float64Array(CELLS);
  for (let x = 0; x < SHIFTS.length; x++) {
    const mean = shareAt(logit + SHIFTS[x]!);
    const [a, b] = [mean * worth, (1 - mean) * worth];
    const chance = logBetaRatio(lived, lost, a, b);
    for (let y = 0; y < PACES.length; y++) vector[x * PACES.length + y] = chance + paces[y]!;
  }
  return vector;
}

function waiting(evidence: CureEvidence, correlation: number): CureVector {
  const weight = weightOf(evidence);
  const paces = paceLikelihood(evidence, weight);
  const own = chanceLikelihood(evidence, weight);
  const rows = BATCH_LOGITS.length;
  // Each pace by its own best chance, so that nothing is too unlikely to be told apart.
  const best = new Float64Array(COARSE).fill(-Infinity);
  for (let p = 0, at = 0; p < rows; p++)
    for (let y = 0; y < COARSE; y++, at++) if (own[at]! > best[y]!) best[y] = own[at]!;
  for (let p = 0, at = 0; p < rows; p++)
    for (let y = 0; y < COARSE; y++, at++) own[at] = Math.exp(own[at]! - best[y]!);
  const vector = new Float64Array(CELLS);
  const coarse = new Float64Array(COARSE);
  const row = new Float64Array(BATCH_PACES.length);
  const spreads = traySpreads(SHIFTS, evidence.logit, correlation);
  for (let x = 0; x < SHIFTS.length; x++) {
    const spread = spreads[x]!;
    coarse.fill(0);
    for (let p = 0; p < rows; p++) {
      const of = spread[p]!;
      if (of < 1e-14) continue;
      for (let y = 0, at = p * COARSE; y < COARSE; y++, at++) coarse[y]! += of * own[at]!;
    }
    for (let y = 0; y < COARSE; y++) coarse[y] = Math.log(coarse[y]! + 1e-300) + best[y]!;
    for (let y = 0; y < row.length; y++) row[y] = between(coarse, 0, y) + paces[y]!;
    vector.set(blurred(row), x * PACES.length);
  }
  return vector;
}

/** ln of the mean likelihood over the paces that batches have about each pace of their plant. */
function blurred(row: Float64Array): Float64Array {
  let best = -Infinity;
  for (const log of row) if (log > best) best = log;
  const likely = row.map((log) => Math.exp(log - best));
  const out = new Float64Array(PACES.length);
  for (let y = 0; y < out.length; y++) {
    const middle = PACE_MARGIN + PACE_STRIDE * y;
    let sum = 0;
    for (let k = -PACE_REACH; k <= PACE_REACH; k++)
      sum += PACE_SPREAD[k + PACE_REACH]! * likely[middle + k]!;
    out[y] = sum > 1e-200 ? best + Math.log(sum) : farBlurred(row, middle);
  }
  return out;
}

/** The same where all of it is too unlikely beside the best to be told as a plain number. */
function farBlurred(row: Float64Array, middle: number): number {
  let most = -Infinity;
  for (let k = -PACE_REACH; k <= PACE_REACH; k++)
    if (row[middle + k]! > most) most = row[middle + k]!;
  let sum = 0;
  for (let k = -PACE_REACH; k <= PACE_REACH; k++)
    sum += PACE_SPREAD[k + PACE_REACH]! * Math.exp(row[middle + k]! - most);
  return most + Math.log(sum);
}

/** Vectors in one, each with its weight. */
export function sumOf(
  vectors: Iterable<{ readonly vector: Float64Array; readonly weight: number }>,
  size = CELLS,
): Float64Array {
  const sum = new Float64Array(size);
  for (const { vector, weight } of vectors)
    for (let i = 0; i < size; i++) sum[i]! += weight * vector[i]!;
  return sum;
}
