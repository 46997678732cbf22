import { memo } from '../memo';
import type { Batch, Order, State } from '../journal';
import { fitting, handedOver, openOrders, rootsIn } from './open-orders';

/** Of a leaf or a section its young is the plant; of all else what has roots. */
const plantsIn = (state: State, batch: Batch): number =>
  batch.method === 'leaf' || batch.method === 'leaf-section'
    ? batch.here.pupped
    : rootsIn(state, batch).withRoots;

type Aside = NonNullable<Order['from']>;

/**
 * What stands ready for each open order: what was set aside for it, and what has roots and nobody was promised, the
 * order that falls due first served first.
 */
const allotments = memo((state: State): ReadonlyMap<string, Aside> => {
  const open = openOrders(state);
  const free = new Map<string, number>();
  const freeOf = (batch: Batch): number => {
    let left = free.get(batch.id);
    if (left === undefined) {
      left = plantsIn(state, batch);
      for (const { from } of open)
        for (const part of from ?? []) if (part.batch === batch.id) left -= part.count;
      left = Math.max(0, left);
    }
    return left;
  };
  return new Map(
    open.map((order) => {
      const from = [...(order.from ?? [])];
      const aside = from.reduce((sum, { count }) => sum + count, 0);
      let missing = (order.count ?? 0) - handedOver(state, order) - aside;
      for (const batch of missing > 0 ? fitting(state, order) : []) {
        const count = Math.min(missing, freeOf(batch));
        if (count <= 0) continue;
        free.set(batch.id, freeOf(batch) - count);
        missing -= count;
        const known = from.findIndex((f) => f.batch === batch.id);
        if (known < 0) from.push({ batch: batch.id, count });
        else from[known] = { batch: batch.id, count: from[known]!.count + count };
      }
      return [order.id, from] as const;
    }),
  );
});

/** What of the bench is there for an order: set aside, or rooted and promised to nobody. */
export const allotted = (state: State, order: Order): Aside =>
  allotments(state).get(order.id) ?? order.from ?? [];
