import { yearGuessed } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import { FURTHEST_DAYS, growthOf, type GrowthChange, type GrowthLine } from '../growth';
import { spaceOn, type Batch, type State } from '../journal';
import { chanceBy, type Awaited } from './awaited';

/** A batch's growth were the guessed months of its places warm, and cold: one chance in ten each. */
export interface AirAround {
  readonly warm: GrowthLine;
  readonly cold: GrowthLine;
}

/** Nine in ten of a normal spread lie below so many standard deviations. */
const Z90 = 1.2816;

/** @returns null where the year of every place it lies in is told: then its dates hang on the plant alone */
export function airAround(state: State, batch: Batch, change?: GrowthChange): AirAround | null {
  const places = new Set([
    spaceOn(batch, batch.cutOn, false),
    spaceOn(batch, batch.cutOn, true),
    ...batch.moves.map(({ day }) => spaceOn(batch, day, true)),
  ]);
  if (![...places].some((space) => yearGuessed(state, space))) return null;
  const warm = growthOf(state, batch, { ...change, guessesBy: Z90 });
  const cold = growthOf(state, batch, { ...change, guessesBy: -Z90 });
  return warm && cold && { warm, cold };
}

/**
 * The day by whose morning a share of its kind has it. Where months are guessed, the first and the last of them spread
 * further: the plant's own spread and that of the air are of each other's making in nothing, so squares add.
 * @param growth that it takes for a share, days of growth
 * @param since no day before this, whatever the air was: the cut, or the last look that did not see it
 * @returns null where that is beyond three years
 */
export function dayOfShare(
  { line, around }: { readonly line: GrowthLine; readonly around: AirAround | null },
  growth: (share: number) => number,
  share: number,
  since: Day,
): Day | null {
  const own = line.dayFor(growth(share));
  const half = around && line.dayFor(growth(0.5));
  if (own === null || !half || share === 0.5) return own;
  const { warm, cold } = around;
  const other = (share < 0.5 ? warm : cold).dayFor(growth(0.5)) ?? addDays(half, FURTHEST_DAYS);
  const off = Math.round(Math.hypot(daysBetween(half, own), daysBetween(half, other)));
  const day = addDays(half, share < 0.5 ? -off : off);
  return day < since ? since : day;
}

/** A growth that a day may have, and how likely that is. */
export interface GrowthMayBe {
  readonly growth: number;
  readonly weight: number;
}

/** So much for each of the outer of three lines: then their spread is that of the normal they stand for. */
const OUTER = 1 / (2 * Z90 ** 2);

/** The growth of a day as it may be; where no month is guessed, as it is. Weights sum to 1. */
export function growthsOn(
  { line, around }: { readonly line: GrowthLine; readonly around: AirAround | null },
  day: Day,
): readonly GrowthMayBe[] {
  const growth = line.at(day);
  if (!around) return [{ growth, weight: 1 }];
  return [
    { growth: around.cold.at(day), weight: OUTER },
    { growth, weight: 1 - 2 * OUTER },
    { growth: around.warm.at(day), weight: OUTER },
  ];
}

/**
 * Of a piece that waits: chance, and mean square of the chance its batch gives it, to have it by the morning of a day.
 * @param later days of growth from then to what is asked for
 */
export function chanceOn(
  air: { readonly line: GrowthLine; readonly around: AirAround | null },
  awaited: Awaited,
  day: Day,
  later = 0,
): ReturnType<typeof chanceBy> {
  let [mean, square] = [0, 0];
  for (const { growth, weight } of growthsOn(air, day)) {
    const by = chanceBy(awaited, growth - later);
    mean += weight * by.mean;
    square += weight * by.square;
  }
  return { mean, square };
}
