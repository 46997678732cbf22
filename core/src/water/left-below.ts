import type { Container, FilledPot } from '../media';
import { memoBy } from '../memo';
import { columnOf } from './column';
import { dry, evenly, fillOf, wetnessAt } from './drying';
import { DRY_TO_TOUCH } from './school';

/** A summer's day on the bench, mm: how a pot dries from the top hardly hangs on it. */
const DRYING_MM = 3;
const FINGER_MM = 25;
/** Every pot dries to a finger's first joint within these, days. */
const WITHIN_DAYS = 120;

/**
 * What a pot without roots still holds, of what it held after draining, on the morning on which a finger's first joint
 * finds it dry. In grit, and in deep pots, the top dries long before the rest.
 * @returns 0–1
 * @example 0.44 of a 7 cm pot of pumice and grit, 0.28 of a tray 4 cm deep
 */
export const leftBelow = (pot: FilledPot): number =>
  known(pot.container, `${pot.depthMm}/${pot.waterMl}/${pot.footMm}/${pot.wetG}`, () => {
    const column = columnOf(pot);
    const joint = Math.min(FINGER_MM, column.depthMm * 0.9);
    let wetness = evenly(column, 1);
    for (let day = 0; day < WITHIN_DAYS && wetnessAt(column, wetness, joint) >= DRY_TO_TOUCH; day++)
      wetness = dry(column, wetness, DRYING_MM, 1).wetness;
    return fillOf(column, wetness);
  });

const known = memoBy<Container, number>(40);
