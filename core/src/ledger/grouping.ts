import {
  airOf,
  containerOf,
  figuresOf,
  FIRMED_NAME,
  LEAVES_NAME,
  mixOf,
  plantOf,
  rowOf,
  wateredEarly,
  waterSchoolOf,
} from '../bench';
import { rotBeside } from '../care';
import { METHOD } from '../botany';
import type { Course } from '../course';
import { daysBetween } from '../days';
import type { Batch, Opening, State } from '../journal';
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
  'medium or water',
  'days to dry',
  'days to water',
  'watering',
  'aid',
  'opening',
  'firmness',
  'depth',
  'length',
  'leaves',
  'mix',
  'pot',
  'space',
  'air',
  'neighbours',
  'season',
  'year',
  'mother',
] as const;
export type Grouping = (typeof GROUPINGS)[number];

export const GROUPING_NAME: Readonly<Record<Grouping, string>> = {
  method: 'Method',
  plant: 'Plant',
  genus: 'Genus',
  school: 'How long the cut dried',
  'place of callus': 'Where it dried',
  gate: 'Watered early or not',
  'first water': 'First water',
  'medium or water': 'Medium or water',
  'days to dry': 'Days to dry',
  'days to water': 'Days from cut to water',
  watering: 'Watering',
  aid: 'Aid on the wound',
  opening: 'Taken off',
  firmness: 'Firmness',
  depth: 'Depth',
  length: 'Piece length',
  leaves: 'Leaves',
  mix: 'Mix',
  pot: 'Pot',
  space: 'Place',
  air: 'Air of the place when cut',
  neighbours: 'Rot close by',
  season: 'Season of the cut',
  year: 'Year of the cut',
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
    case 'medium or water':
      return MEDIUM_GROUP[rowOf(state, batch).medium];
    case 'days to dry':
      return dryGroup(batch);
    case 'watering':
      return batch.mix === undefined ? null : WATER_SCHOOL[waterSchoolOf(state, batch)].name;
    case 'aid':
      return AID[batch.aid ?? 'none'].name;
    case 'opening':
      return batch.opening === undefined ? null : OPENING_GROUP[batch.opening];
    case 'firmness':
      return batch.firmed === undefined ? null : FIRMED_NAME[batch.firmed];
    case 'leaves':
      return batch.leaves === undefined ? null : LEAVES_NAME[batch.leaves];
    case 'depth':
      return batch.stemMm === undefined
        ? null
        : (DEPTHS[[15, 35].findIndex((mm) => batch.stemMm! <= mm)] ?? DEPTHS[2]);
    case 'length':
      return batch.lengthMm === undefined
        ? null
        : (LENGTHS[[50, 100].findIndex((mm) => batch.lengthMm! <= mm)] ?? LENGTHS[2]);
    case 'mix':
      return batch.mix === undefined ? null : (mixOf(state, batch.mix)?.name ?? null);
    case 'pot':
      return potGroup(state, batch);
    case 'space':
      return state.spaces.get(batch.standSpace)?.name ?? null;
    case 'air':
      return airGroup(state, batch);
    case 'neighbours':
      return rotBeside(state, batch) ? 'Rot close by before its own' : 'No rot close by';
    case 'days to water':
      return waterGroup(batch);
    case 'season':
      return SEASONS[seasonIndex(state, batch.cutOn)]!;
    case 'year':
      return batch.cutOn.slice(0, 4);
    case 'mother':
      return batch.mother === undefined ? null : (state.mothers.get(batch.mother)?.name ?? null);
  }
}

/** What its roots grew in. */
const MEDIUM_GROUP: Readonly<Record<Course['medium'], string>> = {
  water: 'In water',
  air: 'Bare until roots',
  mix: 'In medium',
};

const OPENING_GROUP: Readonly<Record<Opening, string>> = {
  cut: 'Cut',
  snapped: 'Snapped',
  parted: 'By itself',
  broken: 'Broken',
};
/** To 15 mm, to 35 mm, deeper; and to 50 mm, to 100 mm, longer. */
const DEPTHS = ['Shallow', 'Middling', 'Deep'] as const;
const LENGTHS = ['Small', 'Medium', 'Long'] as const;

export const DRY_DAYS = [
  'Set the same day',
  'Dried 1–3 days',
  'Dried 4–7 days',
  'Dried 8–14 days',
  'Dried more than 14 days',
] as const;

/** How long it lay before it was set. */
function dryGroup({ cutOn, settings: [first] }: Batch): string | null {
  if (!first) return null;
  const days = daysBetween(cutOn, first.day);
  return DRY_DAYS[days < 1 ? 0 : days <= 3 ? 1 : days <= 7 ? 2 : days <= 14 ? 3 : 4];
}

function gateGroup(state: State, batch: Batch): string | null {
  const early = wateredEarly(state, batch);
  return early === null ? null : early ? 'Watered before it was safe' : 'Watered once it was safe';
}

function potGroup(state: State, batch: Batch): string | null {
  const pot = batch.container === undefined ? null : containerOf(state, batch.container);
  if (!pot) return null;
  return pot.wall === 'clay' ? 'Clay' : pot.wall === 'glass' ? 'Glass' : 'Plastic or glazed';
}

export const WATER_GAPS = [
  'Within a day',
  'After 2–3 days',
  'After 4–7 days',
  'After 8–14 days',
  'After more than 14 days',
] as const;

/** Days from the cut to the first water, however gentle; null while it had none. */
function waterGroup({ cutOn, waterings: [first] }: Batch): string | null {
  if (!first) return null;
  const days = daysBetween(cutOn, first.day);
  return WATER_GAPS[[1, 3, 7, 14].findIndex((most) => days <= most)] ?? WATER_GAPS[4];
}

/** Relative humidity below which air is called dry, and from which damp. Working assumptions. */
const DRY_BELOW = 0.5;
const DAMP_FROM = 0.65;

function airGroup(state: State, batch: Batch): string | null {
  const space = batch.callusSpace ?? batch.standSpace;
  // Of a place nobody described nothing is known.
  if (!state.spaces.has(space)) return null;
  const { rh } = airOf(state, space, batch.cutOn);
  return rh < DRY_BELOW ? 'Dry, under 50%' : rh < DAMP_FROM ? 'Middling, 50–65%' : 'Damp, over 65%';
}

export const SEASONS = ['Spring', 'Summer', 'Autumn', 'Winter'] as const;

/** The quarter of the year, turned round south of the equator: for reading back, never for advice. */
function seasonIndex(state: State, day: string): number {
  const north = Math.floor(((Number(day.slice(5, 7)) + 9) % 12) / 3);
  return (state.settings.latitude ?? 1) < 0 ? (north + 2) % 4 : north;
}
