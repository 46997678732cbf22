import * as say from '@hypogeon/messages/core-clump';
import { leastOf, type TaxonMethod } from '../botany';
import { addDays, type Day } from '../days';

/** A young one beside its mother, or a pad on another. */
export interface Offset {
  /** Height or width, whichever is larger, mm. */
  readonly sizeMm: number;
  readonly ownRoots: boolean;
  /** Rings of leaves it has; left out where nobody counted. */
  readonly rings?: number | undefined;
}

/** What an offset must be before it is taken. */
export interface OffsetRules {
  /** Share of the mother's size. */
  readonly share: number;
  /** Or this tall, whatever the mother; null where only the share counts. */
  readonly tallMm: number | null;
  /** It is taken only with roots of its own: by its way, or because this kind grows them on her first. */
  readonly rooted: boolean;
}

export type OffsetVerdict = {
  /** Its size against what it should have, 1 and above is enough. */
  readonly of: number;
  readonly reason: string;
} & (
  | { readonly is: 'take'; readonly with: 'roots' | 'cut' }
  | { readonly is: 'wait'; readonly from: Day; readonly likely: Day; readonly to: Day | null }
  | { readonly is: 'leave' }
);

/** A third of the mother's size. Common practice, no source. */
const OFFSET_SHARE = 1 / 3;
/** Without roots it has several rings of leaves. Common practice, no source. */
const LEAST_RINGS = 3;
/** A pad is taken when it is nearly full-grown, against a full one. Working assumption; 0.5–0.9. */
const PAD_SHARE = 2 / 3;

/** What is asked of a young one that is taken this way. */
export function offsetRules(way: TaxonMethod): OffsetRules {
  if (way.method === 'pad') return { share: PAD_SHARE, tallMm: null, rooted: false };
  return {
    share: OFFSET_SHARE,
    tallMm: leastOf(way).tallMm ?? null,
    // What is measured by its height comes up beside her on a rhizome, and feeds on her until it has roots.
    rooted: way.method === 'rooted-offset' || leastOf(way).tallMm !== undefined,
  };
}

/** An offset doubles its size in so many days at 22 °C in season. Working assumption; 120–400 make sense. */
const DOUBLES_DAYS = 200;
/** Some grow half as fast again, some at two thirds of it. Working assumption. */
const PACES = { fast: 1.5, slow: 1 / 1.5 } as const;
/** Further off than this nobody plans. */
const MOST_DAYS = 730;

/**
 * Take an offset now, wait, or leave it.
 * @param motherMm size of the mother, mm, > 0
 * @param growthOn what a day gives, in days at 22 °C in season, counted from today
 */
export function judgeOffset(
  offset: Offset,
  motherMm: number,
  rules: OffsetRules,
  today: Day,
  growthOn: (daysAhead: number) => number,
): OffsetVerdict {
  const enough = Math.min(motherMm * rules.share, rules.tallMm ?? Infinity);
  const of = offset.sizeMm / enough;
  if (of >= 1) {
    if (offset.ownRoots)
      return {
        is: 'take',
        with: 'roots',
        of,
        reason: say.largeEnoughWithRoots(),
      };
    // With one or two rings of leaves it feeds on her still, however large.
    const young = offset.rings !== undefined && offset.rings < LEAST_RINGS;
    if (!rules.rooted && !young)
      return { is: 'take', with: 'cut', of, reason: say.largeEnoughOneClean() };
    return {
      is: 'leave',
      of,
      reason: say.largeEnoughButWith(),
    };
  }
  const needed = DOUBLES_DAYS * Math.log2(1 / of);
  const day = (pace: number): Day | null => {
    let grown = 0;
    for (let n = 0; n <= MOST_DAYS; n++) {
      if (grown * pace >= needed) return addDays(today, n);
      grown += growthOn(n);
    }
    return null;
  };
  const [from, likely, to] = [day(PACES.fast), day(1), day(PACES.slow)];
  const tall = rules.tallMm !== null && rules.tallMm < motherMm * rules.share;
  const size = say.ofTheToTake({
    of: Math.round(of * 100),
    what: tall ? say.height() : say.size(),
  });
  if (from === null || likely === null)
    return { is: 'leave', of, reason: say.onlyYearsAway({ size }) };
  return {
    is: 'wait',
    from,
    likely,
    to,
    of,
    reason: say.onlyItStillLives({ size }),
  };
}

/** What is wrong with a clump as typed, in the grower's words; empty if nothing. */
export function clumpProblem(motherMm: number, sizes: readonly number[]): string {
  if (!(motherMm > 0)) return say.howLargeIsThe();
  if (sizes.length === 0) return say.noOffsetIsListed();
  if (sizes.some((s) => !(s > 0))) return say.anOffsetHasA();
  if (sizes.some((s) => s > motherMm * 1.5)) return say.anOffsetLargerThan();
  return '';
}
