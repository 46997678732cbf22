import * as say from '@hypogeon/messages/core-wound-school';
import type { Tissue } from './tissue';

/** How long growers let a wound dry before medium and before water. */
export const WOUND_SCHOOLS = ['straight-in', 'short-dry', 'dry-to-touch', 'long-cure'] as const;

export type WoundSchoolId = (typeof WOUND_SCHOOLS)[number];

export type StickRule =
  | { readonly when: 'after days'; readonly days: number }
  | { readonly when: 'closed with chance'; readonly chance: number };

export interface WoundSchool {
  readonly id: WoundSchoolId;
  readonly name: string;
  readonly says: string;
  readonly stick: StickRule;
  /** Water may touch the wound once it is closed with this probability … */
  readonly gateChance: number;
  /** … and never sooner than this after the cut. */
  readonly leastDays: number;
  /** The word for its temper, shown beside the name. */
  readonly temper: 'bold' | 'cautious';
}

/** Practice of each school: common practice, no source. The chances are working assumptions. */
export const WOUND_SCHOOL: Readonly<Record<WoundSchoolId, WoundSchool>> = {
  'straight-in': {
    id: 'straight-in',
    get name() {
      return say.potAtOnceNo();
    },
    get says() {
      return say.freshIntoDryMix();
    },
    stick: { when: 'after days', days: 0 },
    gateChance: 0.5,
    leastDays: 1,
    temper: 'bold',
  },
  'short-dry': {
    id: 'short-dry',
    get name() {
      return say.aDay();
    },
    get says() {
      return say.aDayInThe();
    },
    stick: { when: 'after days', days: 1 },
    gateChance: 0.5,
    leastDays: 1,
    temper: 'bold',
  },
  'dry-to-touch': {
    id: 'dry-to-touch',
    get name() {
      return say.dryToTheTouch();
    },
    get says() {
      return say.inTheAirUntil();
    },
    stick: { when: 'closed with chance', chance: 0.5 },
    gateChance: 0.9,
    leastDays: 1,
    temper: 'cautious',
  },
  'long-cure': {
    id: 'long-cure',
    get name() {
      return say.longCure();
    },
    get says() {
      return say.aWeekAtLeast();
    },
    stick: { when: 'closed with chance', chance: 0.9 },
    gateChance: 0.95,
    leastDays: 7,
    temper: 'cautious',
  },
};

export interface SchoolAdvice {
  readonly school: WoundSchoolId;
  readonly reason: string;
}

/** Rot cannot be undone and a thirsty cutting recovers, so the default leans dry. */
export function defaultSchool(tissue: Tissue): SchoolAdvice {
  switch (tissue) {
    case 'cactus body':
      return {
        school: 'long-cure',
        reason: say.thickRibbedOrPadded(),
      };
    case 'tuber':
    case 'rhizome':
      return {
        school: 'long-cure',
        reason: say.aCutStoreRoot(),
      };
    default:
      return {
        school: 'dry-to-touch',
        reason: say.rotCannotBeUndone(),
      };
  }
}

/**
 * How long a cut dries where nobody says: as the grower usually has it, else as its tissue asks.
 * @param wound what is cut; null or nothing where nothing is: then nothing dries
 * @param own the grower's habit, where one is told
 */
export function usualSchool(
  wound: { readonly tissue: Tissue } | null | undefined,
  own?: WoundSchoolId,
): WoundSchoolId {
  return own ?? (wound ? defaultSchool(wound.tissue).school : 'straight-in');
}

const LONGER: Readonly<Record<WoundSchoolId, WoundSchoolId>> = {
  'straight-in': 'dry-to-touch',
  'short-dry': 'dry-to-touch',
  'dry-to-touch': 'long-cure',
  'long-cure': 'long-cure',
};

/** After rot a wound dries longer than the first time: common practice, no source. */
export const longerSchool = (first: WoundSchoolId): WoundSchoolId => LONGER[first];
