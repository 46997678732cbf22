import { plantOf } from '../bench';
import type { MethodId } from '../botany';
import type { State } from '../journal';
import type { Spare } from './spare';
import { wayOf, type Way } from './way';
import type { Wish } from './wish';
import { yieldOf, type Yield } from './yields';

/** What pieces that are already there, or that it can spare, come to. */
export interface Giving {
  readonly way: Way;
  readonly taken: number;
  readonly plants: Yield;
  readonly spare: Spare | null;
}

/**
 * What so many pieces of each kind give by the day.
 * @param pieces how many of each; null for as many as it can spare
 */
export function givingOf(
  state: State,
  wish: Wish,
  pieces: Readonly<Partial<Record<MethodId, number>>> | null,
): readonly Giving[] {
  const plant = plantOf(state, wish.taxon);
  return (plant?.taxon.methods ?? []).flatMap((figures): readonly Giving[] => {
    const way = wayOf(state, wish, figures);
    const taken = pieces === null ? way.spare?.count : pieces[figures.method];
    if (taken === undefined) return [];
    const plants = yieldOf(taken, way.chances);
    return [{ way, taken, plants, spare: pieces === null ? way.spare : null }];
  });
}
