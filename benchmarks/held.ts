import { HARSH, held, STATED } from '@hypogeon/core/testing';
import type { Figure } from './figure';

const BENCHES = 3000;

/** How often what is said of roots holds, over simulated benches: as supposed, and harsher than that. */
export function heldFigures(): readonly Figure[] {
  return [
    { name: 'as supposed', world: STATED, batches: 0 },
    { name: 'as supposed', world: STATED, batches: 10 },
    { name: 'harsher', world: HARSH, batches: 10 },
  ].flatMap(({ name, world, batches }) => {
    const { reached, inTime, range } = held(world, batches, BENCHES, 1);
    const figure = (what: string, share: number): Figure => ({
      name: `${what}, ${name}, ${batches} batches counted`,
      value: 100 * share,
      unit: '%',
    });
    return [
      figure('“nine in ten” reached', reached),
      figure('“nine in ten” in time', inTime),
      figure('“eight in ten” holds', range),
    ];
  });
}
