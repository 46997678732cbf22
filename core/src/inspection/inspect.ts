import { daysBetween, type Day } from '../days';
import type { Batch, State } from '../journal';
import { longFrom, outlookOf } from '../learn';
import { BEFORE, CAUSE_IDS, CAUSES, ELSEWHERE, SIGN_IDS, type CauseId, type SignId } from './odds';

/** What was seen so far; what is not there was not looked at. */
export type Seen = Readonly<Partial<Record<SignId, boolean>>>;

export interface Ranked {
  readonly cause: CauseId;
  /** 0–1; all together are 1. */
  readonly chance: number;
}

/** Parts by cause, any scale: what is likely before anyone looks. */
export type Before = Readonly<Record<CauseId, number>>;

const shows = (cause: CauseId, sign: SignId): number => CAUSES[cause].shows[sign] ?? ELSEWHERE;

/**
 * Likely causes of what is seen, the likeliest first. Signs are taken as independent given the cause.
 * Source: Bayes' theorem; the table in `odds.ts`.
 */
export function likelyCauses(seen: Seen, before: Before = BEFORE): readonly Ranked[] {
  const parts = CAUSE_IDS.map((cause) => ({
    cause,
    part: SIGN_IDS.reduce((part, sign) => {
      const saw = seen[sign];
      if (saw === undefined) return part;
      return part * (saw ? shows(cause, sign) : 1 - shows(cause, sign));
    }, before[cause]),
  }));
  const total = parts.reduce((sum, p) => sum + p.part, 0);
  return parts
    .map(({ cause, part }) => ({ cause, chance: total > 0 ? part / total : 0 }))
    .sort((a, b) => b.chance - a.chance);
}

/** Uncertainty of a ranking, bits: 0 where one cause is sure. Source: Shannon 1948, Bell Syst. Tech. J. 27:379. */
export function entropyOf(ranked: readonly Ranked[]): number {
  return ranked.reduce(
    (sum, { chance }) => (chance > 0 ? sum - chance * Math.log2(chance) : sum),
    0,
  );
}

/**
 * The sign not looked at yet that is expected to tell most, with the bits it takes away on average.
 * @returns null where everything was looked at
 */
export function mostTelling(
  seen: Seen,
  before: Before = BEFORE,
): { readonly sign: SignId; readonly bits: number } | null {
  const ranked = likelyCauses(seen, before);
  const now = entropyOf(ranked);
  let best: { sign: SignId; bits: number } | null = null;
  for (const sign of SIGN_IDS) {
    if (seen[sign] !== undefined) continue;
    const yes = ranked.reduce((sum, { cause, chance }) => sum + chance * shows(cause, sign), 0);
    const after =
      yes * entropyOf(likelyCauses({ ...seen, [sign]: true }, before)) +
      (1 - yes) * entropyOf(likelyCauses({ ...seen, [sign]: false }, before));
    const bits = now - after;
    if (!best || bits > best.bits) best = { sign, bits };
  }
  return best;
}

/** So many times likelier where the batch's own story speaks for it, or against. Working assumptions. */
const TIMES = 4;

/** Where nothing is known of the plant. Working assumption. */
const LATE_DAYS = 90;

/** What is likely before anyone looks at this batch: its days, its water and its counts are known already. */
export function beforeLooking(state: State, batch: Batch, today: Day): Before {
  const before = { ...BEFORE };
  const days = daysBetween(batch.cutOn, today);
  const outlook = outlookOf(state, batch);
  const long = outlook && longFrom(batch, outlook);
  const late = long ? daysBetween(batch.cutOn, long) : LATE_DAYS;
  const rooted = batch.counts.rooted + batch.counts.pupped;
  if (rooted === 0 && days > late) {
    before.stalled *= TIMES;
    before.reserves /= TIMES;
  }
  if (rooted === 0 && days < late / 3) before.rooted /= TIMES;
  if (rooted > 0) {
    before.rooted *= TIMES;
    before.reserves /= TIMES;
    before.callus /= TIMES;
  } else before.bound /= TIMES;
  if (batch.counts.pupped > 0 && batch.method === 'leaf') before.feeding *= TIMES;
  if (batch.method !== 'leaf') before.feeding /= TIMES;
  if (batch.counts.rotted > 0 || batch.waterings.some((w) => w.breach !== undefined))
    before.rot *= 2;
  if (batch.waterings.length === 0) before.gnats /= TIMES;
  return before;
}
