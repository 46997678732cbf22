import * as say from '@hypogeon/messages/core-grouping';
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
  get method() {
    return say.method();
  },
  get plant() {
    return say.plant();
  },
  get genus() {
    return say.genus();
  },
  get school() {
    return say.howLongTheCut();
  },
  get 'place of callus'() {
    return say.whereItDried();
  },
  get gate() {
    return say.wateredEarlyOrNot();
  },
  get 'first water'() {
    return say.firstWater();
  },
  get 'medium or water'() {
    return say.mediumOrWater();
  },
  get 'days to dry'() {
    return say.daysToDry();
  },
  get 'days to water'() {
    return say.daysFromCutTo();
  },
  get watering() {
    return say.watering();
  },
  get aid() {
    return say.aidOnTheWound();
  },
  get opening() {
    return say.takenOff();
  },
  get firmness() {
    return say.firmness();
  },
  get depth() {
    return say.depth();
  },
  get length() {
    return say.pieceLength();
  },
  get leaves() {
    return say.leaves();
  },
  get mix() {
    return say.mix();
  },
  get pot() {
    return say.pot();
  },
  get space() {
    return say.place();
  },
  get air() {
    return say.airOfThePlace();
  },
  get neighbours() {
    return say.rotCloseBy();
  },
  get season() {
    return say.seasonOfTheCut();
  },
  get year() {
    return say.yearOfTheCut();
  },
  get mother() {
    return say.mother();
  },
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
          ? say.bareOnARack()
          : say.inDryMedium()
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
        : depths().at([15, 35].findIndex((mm) => batch.stemMm! <= mm))!;
    case 'length':
      return batch.lengthMm === undefined
        ? null
        : lengths().at([50, 100].findIndex((mm) => batch.lengthMm! <= mm))!;
    case 'mix':
      return batch.mix === undefined ? null : (mixOf(state, batch.mix)?.name ?? null);
    case 'pot':
      return potGroup(state, batch);
    case 'space':
      return state.spaces.get(batch.standSpace)?.name ?? null;
    case 'air':
      return airGroup(state, batch);
    case 'neighbours':
      return rotBeside(state, batch) ? say.rotCloseByBefore() : say.noRotCloseBy();
    case 'days to water':
      return waterGroup(batch);
    case 'season':
      return seasons()[seasonIndex(state, batch.cutOn)]!;
    case 'year':
      return batch.cutOn.slice(0, 4);
    case 'mother':
      return batch.mother === undefined ? null : (state.mothers.get(batch.mother)?.name ?? null);
  }
}

/** What its roots grew in. */
const MEDIUM_GROUP: Readonly<Record<Course['medium'], string>> = {
  get water() {
    return say.inWater();
  },
  get air() {
    return say.bareUntilRoots();
  },
  get mix() {
    return say.inMedium();
  },
};

const OPENING_GROUP: Readonly<Record<Opening, string>> = {
  get cut() {
    return say.cut();
  },
  get snapped() {
    return say.snapped();
  },
  get parted() {
    return say.byItself();
  },
  get broken() {
    return say.broken();
  },
};
/** To 15 mm, to 35 mm, deeper; and to 50 mm, to 100 mm, longer. */
const depths = (): readonly string[] => [say.shallow(), say.middling(), say.deep()];
const lengths = (): readonly string[] => [say.small(), say.medium(), say.long()];

const dryDays = (): readonly string[] => [
  say.setTheSameDay(),
  say.dried13(),
  say.dried47(),
  say.dried814(),
  say.driedMoreThan14(),
];

/** How long it lay before it was set. */
function dryGroup({ cutOn, settings: [first] }: Batch): string | null {
  if (!first) return null;
  const days = daysBetween(cutOn, first.day);
  return dryDays()[days < 1 ? 0 : days <= 3 ? 1 : days <= 7 ? 2 : days <= 14 ? 3 : 4]!;
}

function gateGroup(state: State, batch: Batch): string | null {
  const early = wateredEarly(state, batch);
  return early === null ? null : early ? say.wateredBeforeItWas() : say.wateredOnceItWas();
}

function potGroup(state: State, batch: Batch): string | null {
  const pot = batch.container === undefined ? null : containerOf(state, batch.container);
  if (!pot) return null;
  return pot.wall === 'clay'
    ? say.clay()
    : pot.wall === 'glass'
      ? say.glass()
      : say.plasticOrGlazed();
}

export const waterGaps = (): readonly string[] => [
  say.withinADay(),
  say.after23(),
  say.after47(),
  say.after814(),
  say.afterMoreThan14(),
];

/** Days from the cut to the first water, however gentle; null while it had none. */
function waterGroup({ cutOn, waterings: [first] }: Batch): string | null {
  if (!first) return null;
  const days = daysBetween(cutOn, first.day);
  return waterGaps().at([1, 3, 7, 14].findIndex((most) => days <= most))!;
}

/** Relative humidity below which air is called dry, and from which damp. Working assumptions. */
const DRY_BELOW = 0.5;
const DAMP_FROM = 0.65;

function airGroup(state: State, batch: Batch): string | null {
  const space = batch.callusSpace ?? batch.standSpace;
  // Of a place nobody described nothing is known.
  if (!state.spaces.has(space)) return null;
  const { rh } = airOf(state, space, batch.cutOn);
  return rh < DRY_BELOW ? say.dryUnder50() : rh < DAMP_FROM ? say.middlingAir() : say.dampOver65();
}

const seasons = (): readonly string[] => [say.spring(), say.summer(), say.autumn(), say.winter()];

/** The quarter of the year, turned round south of the equator: for reading back, never for advice. */
function seasonIndex(state: State, day: string): number {
  const north = Math.floor(((Number(day.slice(5, 7)) + 9) % 12) / 3);
  return (state.settings.latitude ?? 1) < 0 ? (north + 2) % 4 : north;
}
