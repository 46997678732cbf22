import * as say from '@hypogeon/messages/core-order';
import type { Batch, EntryDraft, Order, State } from '../journal';
import type { Day } from '../days';
import { hadRoots, leaveEntries } from '../bench';
import { allotted } from './allot';
import { byDue, fitting, handedOver, isOpen, rootsIn } from './open-orders';

/** How an order stands against what is on the bench. */
export interface OrderStanding {
  readonly wanted: number;
  /** Has gone to whoever ordered. */
  readonly handed: number;
  /** With roots: set aside, or promised to nobody. */
  readonly ready: number;
  /** Set aside, without roots as yet. */
  readonly growing: number;
  /** Neither; more are to be raised. */
  readonly short: number;
}

/**
 * An order held against the batches set aside for it. Where several orders lean on one batch, the earlier due
 * are served first.
 */
export function shortfall(state: State, order: Order): OrderStanding {
  const wanted = order.count ?? 0;
  const handed = Math.min(wanted, handedOver(state, order));
  const open = wanted - handed;
  let ready = 0;
  let growing = 0;
  for (const { batch: id, count } of allotted(state, order)) {
    const batch = state.batches.get(id);
    if (!batch) continue;
    const before = promisedBefore(state, order, id);
    const { withRoots, without } = rootsIn(state, batch);
    const rooted = Math.min(count, Math.max(0, withRoots - before));
    ready += rooted;
    const waiting = Math.max(0, without - Math.max(0, before - withRoots));
    growing += Math.min(count - rooted, batch.stage === 'planned' ? 0 : waiting);
  }
  ready = Math.min(ready, open);
  growing = Math.min(growing, open - ready);
  return { wanted, handed, ready, growing, short: open - ready - growing };
}

function promisedBefore(state: State, order: Order, batch: string): number {
  let sum = 0;
  for (const other of state.orders.values()) {
    if (other.id === order.id || !isOpen(other) || byDue(other, order) > 0) continue;
    for (const part of other.from ?? []) if (part.batch === batch) sum += part.count;
  }
  return sum;
}

/** What of a batch no open order has been promised yet. */
export function unpromised(state: State, batch: Batch): number {
  let left = batch.here.rooted + batch.here.pupped + batch.here.waiting;
  for (const order of state.orders.values())
    if (isOpen(order))
      for (const part of order.from ?? []) if (part.batch === batch.id) left -= part.count;
  return Math.max(0, left);
}

/** Sets aside what there is, the rooted first, until the order is served. */
export function setAside(state: State, order: Order): NonNullable<Order['from']> {
  let left = order.count ?? 0;
  const from: { batch: string; count: number }[] = [];
  const without: State = {
    ...state,
    orders: new Map([...state.orders].filter(([id]) => id !== order.id)),
  };
  for (const batch of fitting(state, order)) {
    const count = Math.min(left, unpromised(without, batch));
    if (count > 0) from.push({ batch: batch.id, count });
    left -= count;
    if (left <= 0) break;
  }
  return from;
}

/**
 * Handing over what is set aside: it leaves its batches, pups and rooted ones first; those without roots go too
 * where that is wanted. What is sold may have a price for each. What stays is set aside still, and the order closes only when all of it has gone.
 */
export function handOver(
  state: State,
  order: Order,
  day: Day,
  why: 'given' | 'sold',
  unrootedToo = false,
  priceEach?: number,
): readonly EntryDraft[] {
  let open = (order.count ?? 0) - handedOver(state, order);
  const stays: { batch: string; count: number }[] = [];
  const parts: EntryDraft[] = [];
  for (const { batch: id, count } of allotted(state, order)) {
    const batch = state.batches.get(id);
    if (!batch) continue;
    const most = Math.min(count, Math.max(0, open));
    const pupped = Math.min(most, batch.here.pupped);
    const rooted = Math.min(most - pupped, batch.here.rooted);
    const unrooted = unrootedToo || hadRoots(state, batch);
    const waiting = unrooted ? Math.min(most - pupped - rooted, batch.here.waiting) : 0;
    const gone = pupped + rooted + waiting;
    if (count > gone) stays.push({ batch: id, count: count - gone });
    if (gone === 0) continue;
    open -= gone;
    const about = {
      order: order.id,
      ...(priceEach === undefined || why !== 'sold' ? {} : { priceEach }),
      ...(order.who ? { text: say.forWord({ who: order.who }) } : {}),
    };
    parts.push(...leaveEntries(batch, { taken: { pupped, rooted, waiting } }, day, why, about));
  }
  if (parts.length === 0) return [];
  const fields = open <= 0 ? { doneOn: day } : { from: stays };
  return [...parts, { kind: 'put', record: 'order', key: order.id, day, fields }];
}
