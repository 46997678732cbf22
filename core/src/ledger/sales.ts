import { takenCount } from '../bench';
import type { Batch } from '../journal';

/** What was sold of a batch. */
export interface Sales {
  readonly count: number;
  /** Those of them whose price was told. */
  readonly priced: number;
  /** What the priced ones brought; in the grower's currency. */
  readonly income: number;
}

export const NO_SALES: Sales = { count: 0, priced: 0, income: 0 };

export function salesOf({ entries }: Pick<Batch, 'entries'>): Sales {
  return entries.reduce((sum, entry) => {
    if (entry.kind !== 'parted' || entry.why !== 'sold') return sum;
    const count = takenCount(entry.taken);
    const { priceEach } = entry;
    return addSales(sum, {
      count,
      priced: priceEach === undefined ? 0 : count,
      income: (priceEach ?? 0) * count,
    });
  }, NO_SALES);
}

export const addSales = (a: Sales, b: Sales): Sales => ({
  count: a.count + b.count,
  priced: a.priced + b.priced,
  income: a.income + b.income,
});
