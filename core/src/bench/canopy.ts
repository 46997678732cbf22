import type { MethodId } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { isRooted, type Batch } from '../journal';
import { dressingLeaves, type Column } from '../water';
import { potting } from './potting';

/**
 * Ground that one piece with roots covers, mm²: its crown breathes water out over it. Working assumptions, from the size
 * at which such pieces are usually taken; half to twice as much makes sense.
 */
const CROWN_MM2: Readonly<Record<MethodId, number>> = {
  leaf: 300,
  'leaf-section': 2000,
  crown: 2500,
  segment: 800,
  trailing: 1200,
  branch: 3000,
  pad: 4000,
  column: 4000,
  offset: 1200,
  'rooted-offset': 2000,
  division: 5000,
  plantlet: 300,
  'root-cutting': 300,
  bulbil: 600,
  'flower-stalk': 600,
  seed: 50,
  culture: 500,
};

/** A new root drinks little: all that its crown can from four weeks on. Working assumption; 2–6 weeks. */
const ROOTS_FULL_DAYS = 28;
const AT_FIRST = 0.25;

/** What roots drink some days after they came, against grown ones, 0–1. */
export const drinksAfter = (days: number): number =>
  days < 0 ? 0 : Math.min(1, AT_FIRST + ((1 - AT_FIRST) * days) / ROOTS_FULL_DAYS);

/** Share of a container's surface that so many pieces cover once their roots are grown. @param apiece pieces in one */
export const coverOf = (
  { method, topDress }: Pick<Batch, 'method' | 'topDress'>,
  { surfaceMm2 }: Column,
  apiece: number,
): number =>
  // Told against the evaporation that is left under a dressing; what is dressed breathes as freely as before.
  Math.min(1, (apiece * CROWN_MM2[method]) / surfaceMm2) / dressingLeaves(topDress);

/**
 * The cover of those that have roots, day by day from one on.
 * @param had it came with roots of its own
 */
export function coverOn(
  batch: Batch,
  column: Column,
  had: boolean,
  from: Day,
  days: number,
): readonly number[] {
  const living = batch.cuttings.filter((c) => !c.left && (isRooted(c) || c.outcome === 'waiting'));
  const since = new Map<Day, number>();
  for (const { rooted } of living) {
    const by = rooted?.by ?? (had ? (batch.stuck ?? undefined) : undefined);
    if (by !== undefined) since.set(by, (since.get(by) ?? 0) + 1);
  }
  if (since.size === 0) return [];
  const { last } = potting(batch);
  const all = coverOf(batch, column, last ? 1 : living.length / (batch.containers ?? 1));
  return Array.from({ length: days }, (_, n) => {
    const day = addDays(from, n);
    let drinking = 0;
    for (const [by, count] of since) drinking += count * drinksAfter(daysBetween(by, day));
    return (all * drinking) / living.length;
  });
}
