import { capacityOf, type Column } from './column';
import { fillOf, type Wetness } from './drying';

export const WATER_MANNERS = ['poured', 'misted', 'soaked', 'bottom'] as const;
export type WaterManner = (typeof WATER_MANNERS)[number];

/** What a misting leaves on the surface, mm. Working assumption; 0.5–1.5 make sense. */
export const MIST_MM = 0.8;
/**
 * Bone-dry medium sheds a can: so much of the room is filled, the rest runs through. Only a soak wets
 * it. Working assumption; 0.5–0.9 make sense.
 */
const SHEDS = 0.75;
const SHEDS_BELOW = 0.15;

export interface Watered {
  readonly wetness: Wetness;
  /** Ran out of the holes or over the rim, mm³. */
  readonly runOffMm3: number;
}

/**
 * A pot after it was watered.
 * @param ml of one container; without it poured and soaked pots are taken as filled and drained
 */
export function water(column: Column, start: Wetness, manner: WaterManner, ml?: number): Watered {
  const shed = manner === 'poured' && fillOf(column, start) < SHEDS_BELOW ? SHEDS : 1;
  const amount = ml === undefined ? usualAmount(column, start, manner) : ml * 1000;
  return pour(column, start, amount, shed, manner === 'bottom' ? 'from below' : 'from above');
}

/** Rain on an open pot. @param rainMm ≥ 0 */
export function rain(column: Column, start: Wetness, rainMm: number): Watered {
  return pour(column, start, rainMm * column.surfaceMm2, 1, 'from above');
}

function usualAmount(column: Column, start: Wetness, manner: WaterManner): number {
  if (manner === 'misted') return MIST_MM * column.surfaceMm2;
  const room = column.capacity.reduce(
    (sum, c, i) => sum + Math.max(0, 1 - start.layers[i]!) * c,
    0,
  );
  // Through the holes runs more than enough; without them nobody pours more than it takes up.
  return column.drains ? room + capacityOf(column) : room;
}

function pour(
  column: Column,
  start: Wetness,
  amount: number,
  shed: number,
  way: 'from above' | 'from below',
): Watered {
  const layers = Float64Array.from(start.layers);
  let left = amount;
  for (let k = 0; k < layers.length && left > 0; k++) {
    const i = way === 'from above' ? k : layers.length - 1 - k;
    const room = Math.max(0, 1 - layers[i]!) * column.capacity[i]! * shed;
    const taken = Math.min(room, left);
    layers[i]! += taken / column.capacity[i]!;
    left -= taken;
  }
  if (column.drains) return { wetness: { layers, poolMm3: start.poolMm3 }, runOffMm3: left };
  const pooled = Math.min(left, Math.max(0, column.poolMax - start.poolMm3));
  return { wetness: { layers, poolMm3: start.poolMm3 + pooled }, runOffMm3: left - pooled };
}
