import { countLedger, type LedgerCount } from './count';
import { sizeOf } from './effective';
import { successRange } from '../stats';
import type { LedgerCase } from './case';
import { gather } from './filter';
import type { Grouping } from './grouping';
import { addSales, NO_SALES, type Sales } from './sales';

/** What a group of batches took in money and minutes, and what its losses were worth. */
export interface MoneyRow {
  readonly name: string;
  readonly batches: number;
  readonly count: LedgerCount;
  /** Plants that made it. */
  readonly plants: number;
  /** Null where none of its batches has a price. */
  readonly total: number | null;
  readonly perCutting: number | null;
  readonly perPlant: MoneyRange | null;
  readonly minutesPerPlant: MoneyRange | null;
  readonly lostValue: LostValue;
  /** Of all its batches, settled or not: what is sold is sold. */
  readonly sold: Sales;
  /** What has no price and is left out. */
  readonly unpriced: readonly string[];
}

/** A figure with the range it is believed in, eight times in ten. */
export interface MoneyRange {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Losses in money: what was spent on them, and what the plants would have been worth. */
export interface LostValue {
  readonly cuttings: number;
  readonly spent: number | null;
  readonly forgone: number | null;
}

/** Another ten of the same would give so many plants: Jeffreys' prior on the share that makes it. */
const PRIOR = 0.5;

export function moneyBy(
  cases: readonly LedgerCase[],
  by: Grouping,
  correlation: number,
  plantPrice?: number,
): readonly MoneyRow[] {
  const groups = gather(
    cases.filter((c) => c.settled),
    by,
  );
  return [...groups]
    .map(([name, members]) => moneyOf(name, members, correlation, plantPrice))
    .sort((a, b) => b.count.stuck - a.count.stuck || (a.name < b.name ? -1 : 1));
}

/**
 * Of settled batches: what still waits has cost its minutes and has not said yet what it gives.
 * @param correlation of two cuttings of a tray, 0–1
 */
export function moneyOf(
  name: string,
  cases: readonly LedgerCase[],
  correlation: number,
  plantPrice?: number,
): MoneyRow {
  const settled = cases.filter((c) => c.settled);
  const count = countLedger(settled);
  const plants = count.rooted;
  const priced = settled.filter((c) => c.cost.total !== null);
  const spent = priced.reduce((sum, c) => sum + c.cost.total!, 0);
  const stuck = priced.reduce((sum, c) => sum + c.count, 0);
  const total = priced.length === 0 ? null : spent;
  const perCutting = total === null || stuck === 0 ? null : total / stuck;
  const minutes = settled.reduce((sum, c) => sum + c.cost.minutes, 0);
  const told = count.stuck - count.waiting;
  const lost = told - plants;
  const size = sizeOf(
    settled.map((c) => c.count - c.waiting),
    correlation,
  );
  const forEach = (each: number): MoneyRange | null => forPlant(each, { plants, told, size });
  return {
    name,
    batches: settled.length,
    count,
    plants,
    total,
    perCutting,
    perPlant: perCutting === null ? null : forEach(perCutting),
    minutesPerPlant: count.stuck === 0 ? null : forEach(minutes / count.stuck),
    lostValue: {
      cuttings: lost,
      spent: perCutting === null ? null : perCutting * lost,
      forgone: plantPrice === undefined ? null : plantPrice * lost,
    },
    sold: cases.map((c) => c.sold).reduce(addSales, NO_SALES),
    unpriced: [...new Set(settled.flatMap((c) => c.cost.unpriced))].sort(),
  };
}

/** What a cutting takes, for each plant that comes of it; null where none did, for then there is no figure. */
function forPlant(
  each: number,
  { plants, told, size }: { readonly plants: number; readonly told: number; readonly size: number },
): MoneyRange | null {
  if (plants === 0 || told === 0) return null;
  const worth = size + 2 * PRIOR;
  const { low, high } = successRange({ mean: ((plants / told) * size + PRIOR) / worth, worth });
  return { value: (each * told) / plants, low: each / high, high: each / low };
}
