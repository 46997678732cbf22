import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/core-cost';
import { containerOf, figuresOf, mixOf, shedOf } from '../bench';
import type { MethodId } from '../botany';
import type { Batch, State } from '../journal';
import { areaAt, quantityFor, type Container } from '../media';
import { beliefOf } from '../learn';
import { MINUTES } from './minutes';

/** What a batch takes, in the grower's own money; what has no price is null and left out of the sum. */
export interface Cost {
  readonly medium: number | null;
  readonly containers: number | null;
  readonly labels: number | null;
  readonly hands: number | null;
  /** Null where nothing has a price. */
  readonly total: number | null;
  /** Of every plant that is to be expected; null as above, or where none is. */
  readonly perPlant: number | null;
  readonly unpriced: readonly string[];
}

export interface Costed {
  readonly method: MethodId;
  readonly taken: number;
  /** Plants to be expected of them. */
  readonly plants: number;
  readonly container?: string | undefined;
  readonly containers?: number | undefined;
  readonly mix?: string | undefined;
}

/** A cutting on its own wants so much room in a tray or large pot, mm each way. Working assumption. */
const ROOM_MM = 45;

/** How many containers so many cuttings fill: one to a cell, at their distance in trays and large pots. */
export function containersFor(container: Container, count: number): number {
  const each =
    container.cells ??
    Math.max(1, Math.floor(areaAt(container, container.heightMm) / ROOM_MM ** 2 / 2));
  const small =
    container.shape !== 'tray' && container.cells === undefined && container.topMm <= 90;
  return Math.max(1, Math.ceil(count / (small ? 1 : each)));
}

/** What a batch costs before anything is known of it: plants as many as its chance of success promises. */
export function costOfBatch(state: State, batch: Batch): Cost | null {
  const figures = figuresOf(state, batch);
  if (!figures) return null;
  const { mean } = beliefOf(state, batch.taxon, figures);
  return costOf(state, {
    method: batch.method,
    taken: batch.count,
    plants: batch.count * mean,
    container: batch.container,
    containers: batch.containers,
    mix: batch.mix,
  });
}

export function costOf(state: State, plan: Costed): Cost {
  const { labelPrice, hourPrice } = state.settings;
  const container = plan.container === undefined ? null : containerOf(state, plan.container);
  const mix = plan.mix === undefined ? null : mixOf(state, plan.mix);
  const count = plan.containers ?? 1;
  const quantity =
    container && mix ? quantityFor(mix.medium, container, count, shedOf(state)) : null;
  const each =
    plan.container === undefined ? undefined : state.containers.get(plan.container)?.price;
  const priced = {
    medium: quantity?.cost ?? null,
    containers: each === undefined ? null : each * count,
    // One stake to a batch, and one to every container.
    labels: labelPrice === undefined ? null : labelPrice * Math.max(1, container ? count : 1),
    hands: hourPrice === undefined ? null : (hourPrice * plan.taken * MINUTES[plan.method]) / 60,
  };
  const known = Object.values(priced).filter((v) => v !== null);
  const total = known.length === 0 ? null : known.reduce((sum, v) => sum + v, 0);
  return {
    ...priced,
    total,
    perPlant: total === null || plan.plants <= 0 ? null : total / plan.plants,
    unpriced: [
      ...(quantity === null ? [] : quantity.unpriced.map((c) => inSentence(c.name))),
      ...(container && priced.containers === null ? [inSentence(container.name)] : []),
      ...(priced.labels === null ? ['labels'] : []),
      ...(priced.hands === null ? [say.yourHours()] : []),
    ],
  };
}
