import { clockOf, figuresOf, gateOpen, mixOf, plantOf, waterSchoolOf, containerOf } from '../bench';
import { METHOD } from '../botany';
import type { Batch, State } from '../journal';
import { FIRST_WATER, WATER_SCHOOL } from '../water';
import { AID, WOUND_SCHOOL } from '../wound';

/** What batches can be told apart by. */
export const GROUPINGS = [
  'method',
  'plant',
  'genus',
  'school',
  'place of callus',
  'gate',
  'first water',
  'watering',
  'aid',
  'mix',
  'pot',
  'space',
  'mother',
] as const;
export type Grouping = (typeof GROUPINGS)[number];

export const GROUPING_NAME: Readonly<Record<Grouping, string>> = {
  method: 'Method',
  plant: 'Plant',
  genus: 'Genus',
  school: 'School of wound care',
  'place of callus': 'Where it callused',
  gate: 'Water and the gate',
  'first water': 'First water',
  watering: 'Watering',
  aid: 'Aid on the wound',
  mix: 'Mix',
  pot: 'Pot',
  space: 'Place',
  mother: 'Mother',
};

/** The group of a batch, by name; null where it is not told. */
export function groupOf(state: State, batch: Batch, by: Grouping): string | null {
  switch (by) {
    case 'method':
      return METHOD[batch.method].name;
    case 'plant':
      return plantOf(state, batch.taxon)?.name ?? null;
    case 'genus':
      return plantOf(state, batch.taxon)?.taxon.name.split(' ')[0] ?? null;
    case 'school':
      return figuresOf(state, batch)?.wound ? WOUND_SCHOOL[batch.school].name : null;
    case 'place of callus':
      return figuresOf(state, batch)?.wound
        ? batch.callusAt === 'rack'
          ? 'Bare, on a rack'
          : 'In dry medium'
        : null;
    case 'gate':
      return gateGroup(state, batch);
    case 'first water':
      return FIRST_WATER[batch.firstWater ?? 'with-gate'].name;
    case 'watering':
      return batch.mix === undefined ? null : WATER_SCHOOL[waterSchoolOf(state, batch)].name;
    case 'aid':
      return AID[batch.aid ?? 'none'].name;
    case 'mix':
      return batch.mix === undefined ? null : (mixOf(state, batch.mix)?.name ?? null);
    case 'pot':
      return potGroup(state, batch);
    case 'space':
      return state.spaces.get(batch.standSpace)?.name ?? null;
    case 'mother':
      return batch.mother === undefined ? null : (state.mothers.get(batch.mother)?.name ?? null);
  }
}

function gateGroup(state: State, batch: Batch): string | null {
  if (!figuresOf(state, batch)?.wound) return null;
  const [first] = batch.waterings;
  if (!first) return null;
  if (batch.waterings.some((w) => w.breach !== undefined)) return 'Water before the gate';
  const clock = clockOf(state, batch);
  return gateOpen(clock, first.day) ? 'Water after the gate' : 'Water before the gate';
}

function potGroup(state: State, batch: Batch): string | null {
  const pot = batch.container === undefined ? null : containerOf(state, batch.container);
  if (!pot) return null;
  return pot.wall === 'clay' ? 'Clay' : pot.wall === 'glass' ? 'Glass' : 'Plastic or glazed';
}

/** Batches by the name of their group; those that do not tell are left out. */
export function gather(
  state: State,
  batches: readonly Batch[],
  by: Grouping,
): ReadonlyMap<string, readonly Batch[]> {
  const groups = new Map<string, Batch[]>();
  for (const batch of batches) {
    const name = groupOf(state, batch, by);
    if (name === null) continue;
    const group = groups.get(name);
    if (group) group.push(batch);
    else groups.set(name, [batch]);
  }
  return groups;
}

/** Batches that have a result: looked at since they were cut. */
export function hasResult(batch: Batch): boolean {
  return batch.cut !== null && batch.tallies.length > 0 && batch.excluded === undefined;
}

/**
 * Nothing of it is still open: only then do its shares say what came of it. While cuttings wait, roots and losses have
 * come to different parts of their course, and a young batch would pass for a bad one.
 */
export function isSettled(batch: Batch): boolean {
  return hasResult(batch) && (batch.stage === 'done' || batch.waiting === 0);
}
