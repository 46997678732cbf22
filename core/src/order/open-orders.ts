import { hadRoots, takenCount } from '../bench';
import type { Batch, Order, State } from '../journal';

/** Pieces that stand with roots, counted or their own, and those without. */
export function rootsIn(
  state: State,
  batch: Batch,
): { readonly withRoots: number; readonly without: number } {
  const { rooted, pupped, waiting } = batch.here;
  const own = hadRoots(state, batch) ? waiting : 0;
  return { withRoots: rooted + pupped + own, without: waiting - own };
}

/** Pieces that went out under an order so far. */
export function handedOver({ batches }: State, { id }: Pick<Order, 'id'>): number {
  let sum = 0;
  for (const batch of batches.values())
    for (const entry of batch.entries)
      if (entry.kind === 'parted' && entry.order === id) sum += takenCount(entry.taken);
  return sum;
}

export const isOpen = (order: Order): boolean =>
  order.doneOn === undefined && order.calledOff === undefined;

/** In the order they fall due; those without a day last. */
export function openOrders(state: State): readonly Order[] {
  return [...state.orders.values()].filter(isOpen).sort(byDue);
}

export const byDue = (a: Order, b: Order): number => {
  const [x, y] = [a.by ?? '9999-12-31', b.by ?? '9999-12-31'];
  return x < y ? -1 : x > y ? 1 : a.id < b.id ? -1 : 1;
};

/** Batches that could serve an order, the most forward first. */
export function fitting(state: State, order: Order): readonly Batch[] {
  const alive = (b: Batch): number => rootsIn(state, b).withRoots;
  return [...state.batches.values()]
    .filter((b) => b.taxon === order.taxon && (!order.method || b.method === order.method))
    .filter((b) => b.ended === null && b.stage !== 'planned')
    .filter((b) => b.here.rooted + b.here.pupped + b.here.waiting > 0)
    .sort((a, b) => alive(b) - alive(a) || (a.cutOn < b.cutOn ? -1 : 1));
}
