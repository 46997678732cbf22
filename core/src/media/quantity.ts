import { filledLitres, type Container } from './container';
import type { FilledPot } from './filled-pot';
import type { Component } from './component';
import type { Medium } from './mix';

/** Lost between the bag and the pot, share. Working assumption; 0.02–0.15 make sense. */
export const SPILL = 0.05;
/** Heavier than this is not lifted alone without thought, kg. Common practice, no source. */
export const LIFT_KG = 15;

export interface Ingredient {
  readonly component: Component;
  /** Litres out of the bag, loose and dry. */
  readonly litres: number;
  readonly kg: number;
  /** Share of the heaps, 0–1. */
  readonly share: number;
  /** In the grower's own money; null where no price is known. */
  readonly cost: number | null;
  /** Litres to buy beyond what is in the shed; null where the stock is not kept. */
  readonly toBuy: number | null;
}

export interface Quantity {
  /** Mix needed, litres, spill counted in. */
  readonly litres: number;
  readonly ingredients: readonly Ingredient[];
  readonly cost: number | null;
  /** Components whose price is not known: the cost leaves them out. */
  readonly unpriced: readonly Component[];
}

/** What is in the shed and what a litre costs, by component id. */
export type Shed = ReadonlyMap<
  string,
  { readonly litres?: number | undefined; readonly pricePerL?: number | undefined }
>;

/**
 * How much of everything fills so many containers.
 * @param count containers, 1 or more
 * @param spill share lost on the way
 * @throws RangeError if the count is not a whole number of 1 or more
 */
export function quantityFor(
  medium: Medium,
  container: Container,
  count: number,
  shed: Shed = new Map(),
  spill = SPILL,
): Quantity {
  if (!Number.isSafeInteger(count) || count < 1)
    throw new RangeError(`count must be a whole number of 1 or more, got ${count}`);
  const litres = filledLitres(container) * count * (1 + spill);
  const heap = medium.parts.reduce((sum, p) => sum + p.parts, 0);
  const ingredients = medium.parts.map(({ component, parts }): Ingredient => {
    const share = parts / heap;
    const needed = (litres / medium.yield) * share;
    const { pricePerL, litres: stock } = shed.get(component.id) ?? {};
    return {
      component,
      litres: needed,
      kg: (needed * component.densityGPerL) / 1000,
      share,
      cost: pricePerL === undefined ? null : needed * pricePerL,
      toBuy: stock === undefined ? null : Math.max(0, needed - stock),
    };
  });
  const priced = ingredients.filter((i) => i.cost !== null);
  return {
    litres,
    ingredients,
    cost: priced.length === 0 ? null : priced.reduce((sum, i) => sum + i.cost!, 0),
    unpriced: ingredients.filter((i) => i.cost === null).map((i) => i.component),
  };
}

/** Scoops of a size that make up so many litres; a hand measures quarters. @param scoopMl mL */
export function scoops(litres: number, scoopMl: number): number {
  return (litres * 1000) / scoopMl;
}

/** Measures that stand in any kitchen, mL: spoon, egg cup, cup, jug. */
const HANDY_ML = [15, 50, 125, 250, 500, 1000] as const;

/**
 * A measure that gives every part in whole quarters that a hand can fill, where the scoop is too big for the least of
 * them; null where the scoop does.
 * @param litres of each part
 */
export function handierMl(litres: readonly number[], scoopMl: number): number | null {
  const least = Math.min(...litres.filter((l) => l > 0)) * 1000;
  if (!(least < scoopMl / 2) || least === Infinity) return null;
  return HANDY_ML.findLast((ml) => ml <= least && ml < scoopMl) ?? null;
}

/** What a full tray of so many pots weighs, kg: as filled, and after watering. */
export function loadKg(
  pot: FilledPot,
  count: number,
): { readonly dry: number; readonly wet: number } {
  return { dry: (pot.dryG * count) / 1000, wet: (pot.wetG * count) / 1000 };
}
