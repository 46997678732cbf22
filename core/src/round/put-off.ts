import type { Day } from '../days';
import type { Batch } from '../journal';
import type { RoundItem } from './item';

/** Without the tasks the grower has put off to a later day, or dropped. A shut gate cannot be put off. */
export function asked(batch: Batch, items: readonly RoundItem[], today: Day): readonly RoundItem[] {
  if (batch.putOff.size === 0) return items;
  return items.filter((item) => {
    if (item.band === 'leave') return true;
    const put = batch.putOff.get(item.kind);
    return put === undefined || (put.until !== undefined && put.until <= today);
  });
}
