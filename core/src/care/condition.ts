import * as say from '@hypogeon/messages/core-condition';
import { plantOf, seasonNow, seasonYear, type SeasonNow } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import type { CutReason, Examination, Mother, State } from '../journal';
import { motherRestOf, type MotherRest } from './mother';

/** Something about a mother, and what follows from it. */
export interface ConditionNote {
  readonly weight: 'stop' | 'wait' | 'note' | 'good';
  readonly says: string;
  readonly then: string;
}

/** Whether a mother may be cut today. */
export interface Condition {
  readonly verdict: 'cut' | 'wait' | 'stop';
  /** Waiting: the day it may be otherwise; null where that cannot be said. */
  readonly until: Day | null;
  /** Gravest first. */
  readonly notes: readonly ConditionNote[];
  readonly looked: Examination | null;
  /** What was seen of her lately is enough to go by: whether she is plump, and whether she is clean. */
  readonly fresh: boolean;
  /** Why one would cut her, as lately seen. */
  readonly reasons: readonly CutReason[];
}

/** A look at a mother holds so long. Working assumption; 5–14 make sense. */
const LOOK_HOLDS_DAYS = 10;
/** A drink fills leaves within a day or two, and they stay full for so long. Common practice, no source. */
const TURGID_AFTER_DAYS = 1;
const TURGID_FOR_DAYS = 7;
/** Clean for so long after pests before it is cut. Common practice, no source. */
const CLEAN_FOR_DAYS = 14;

/**
 * What is known of a mother before she is cut, and what follows. The rules are common practice, no source:
 * growing, well watered a day or two before, clean, not flowering, and allowed.
 */
export function conditionOf(state: State, mother: Mother, today: Day): Condition {
  const looks = (state.examinations.get(mother.id) ?? []).filter((e) => e.day <= today);
  const looked = looks.at(-1) ?? null;
  const lately = latelySeen(looks, today);
  const beside = [
    ...allowed(mother),
    ...pests(looks, today),
    ...rests(motherRestOf(state, mother, today), today),
    ...look(looked, lately, today),
    ...seasonNotes(seasonOfMother(state, mother, today)),
  ];
  const free = beside.every((n) => n.weight !== 'stop' && n.weight !== 'wait');
  const notes = [...(looked ? seen(lately ?? looked, today, free) : []), ...beside];
  const rank = { stop: 0, wait: 1, note: 2, good: 3 } as const;
  const sorted = notes.toSorted((a, b) => rank[a.weight] - rank[b.weight]);
  const verdict = sorted.some((n) => n.weight === 'stop')
    ? 'stop'
    : sorted.some((n) => n.weight === 'wait')
      ? 'wait'
      : 'cut';
  const days = notes.flatMap((n) => (n.weight === 'wait' && n.until ? [n.until] : []));
  return {
    verdict,
    until: verdict === 'wait' ? (days.sort().at(-1) ?? null) : null,
    notes: sorted,
    looked,
    fresh: lately !== null && unseen(lately).length === 0,
    reasons: lately?.reasons ?? [],
  };
}

/** Pests seen stop a cut; clean again, she waits until she has been so for long enough. */
function pests(looks: readonly Examination[], today: Day): readonly Note[] {
  const last = looks.findLast((e) => e.clean !== undefined);
  if (last?.clean === false)
    return [
      {
        weight: 'stop',
        says: say.pestsOrRot(),
        then: say.theyTravelWithEvery({ cleanForDays: CLEAN_FOR_DAYS }),
      },
    ];
  const had = looks.findLast((e) => e.clean === false);
  if (!last || !had) return [];
  // Clean since the first look that found her so after the last that did not.
  const since = looks.find((e) => e.clean === true && e.day >= had.day)?.day ?? last.day;
  const until = addDays(since, CLEAN_FOR_DAYS);
  if (until <= today) return [];
  return [
    {
      weight: 'wait',
      says: say.cleanAgainButNot(),
      then: say.eggsHatchItShould({ cleanForDays: CLEAN_FOR_DAYS }),
      until,
    },
  ];
}

/** What was cut of her grows again first; what was parted or moved takes hold. */
function rests(rest: MotherRest | null, today: Day): readonly Note[] {
  if (rest === null) return [];
  const ago = daysBetween(rest.on, today);
  return [
    {
      weight: 'wait',
      ...(rest.what === 'cut'
        ? { says: say.cutDaysAgo({ ago }), then: say.itsStumpsGrowFirst() }
        : {
            says:
              rest.what === 'divided' ? say.partedDaysAgo({ ago }) : say.repottedDaysAgo({ ago }),
            then: say.itsRootsTakeHoldFirst(),
          }),
      until: rest.until,
    },
  ];
}

/** The season of a mother where she stands; null while plant or place are not told. */
function seasonOfMother(state: State, mother: Mother, today: Day): SeasonNow | null {
  const plant = mother.taxon === undefined ? null : plantOf(state, mother.taxon);
  if (!plant || mother.space === undefined || !state.spaces.has(mother.space)) return null;
  return seasonNow(seasonYear(state, plant.taxon, mother.space, today));
}

type Note = ConditionNote & { readonly until?: Day };

function allowed(mother: Mother): readonly Note[] {
  const notes: Note[] = [];
  if ((mother.permission ?? 'unknown') === 'unknown')
    notes.push({
      weight: 'stop',
      says: say.nobodyGaveLeave(),
      then: say.askItsOwnerBefore(),
    });
  if (mother.protectedVariety)
    notes.push({
      weight: 'stop',
      says: say.perhapsAProtectedVariety(),
      then: say.breedersRightsOrA(),
    });
  return notes;
}

/** @param free nothing else holds the knife back */
function seen(look: Examination, today: Day, free: boolean): readonly Note[] {
  const notes: Note[] = [];
  const watered = look.wateredOn;
  const ago = watered === undefined ? null : daysBetween(watered, today);
  // How full she is changes in days: an old look says nothing of it.
  if (look.turgid === false && isFresh(look, today))
    notes.push({
      weight: 'wait',
      says: say.limp(),
      then: say.aCuttingLivesOff(),
      until: addDays(today, TURGID_AFTER_DAYS + 1),
    });
  else if (ago !== null && ago > TURGID_FOR_DAYS)
    notes.push({
      weight: 'note',
      says: say.lastWateredDaysAgo({ ago }),
      then: say.waterTheMotherA(),
    });
  else if (ago !== null && ago < TURGID_AFTER_DAYS)
    notes.push({
      weight: 'note',
      says: say.wateredToday(),
      then: say.tomorrowItsLeavesAre(),
    });
  if (look.growing === false)
    notes.push({
      weight: 'note',
      says: say.notGrowing(),
      then: say.rootsComeSlowlyWhatever(),
    });
  if (look.flowering)
    notes.push({
      weight: 'note',
      says: say.inFlower(),
      then: say.takeTheStalkOff(),
    });
  if (notes.length === 0 && look.turgid && look.clean)
    notes.push({
      weight: 'good',
      says: say.plumpAndClean(),
      then: free ? say.nothingSpeaksAgainstA() : '',
    });
  return notes;
}

/** What several looks of late say together: each answer as it was given last. @returns null without a recent look */
function latelySeen(looks: readonly Examination[], today: Day): Examination | null {
  const recent = looks.filter((e) => isFresh(e, today));
  const [first, ...later] = recent;
  if (!first) return null;
  return later.reduce<Examination>((all, e) => {
    const told = Object.entries(e).filter(([, value]) => value !== undefined);
    return { ...all, ...(Object.fromEntries(told) as Partial<Examination>) };
  }, first);
}

/** Without these nobody knows whether she may be cut. */
const DECIDE = {
  get turgid() {
    return say.plumpAndFirm();
  },
  get clean() {
    return say.noPestsNoRot();
  },
} as const;

const unseen = (look: Examination): readonly string[] =>
  (Object.keys(DECIDE) as (keyof typeof DECIDE)[]).flatMap((q) =>
    look[q] === undefined ? [DECIDE[q]] : [],
  );

const isFresh = (looked: Examination | null, today: Day): boolean =>
  looked !== null && daysBetween(looked.day, today) <= LOOK_HOLDS_DAYS;

function look(looked: Examination | null, lately: Examination | null, today: Day): readonly Note[] {
  if (lately) {
    const missing = unseen(lately);
    return missing.length === 0
      ? []
      : [
          {
            weight: 'note',
            says: say.onlyHalfLookedOver(),
            then: say.stillToSee({ missing: missing.join('; ') }),
          },
        ];
  }
  return [
    {
      weight: 'note',
      says: looked
        ? say.lastLookedAtDays({ daysBetween: daysBetween(looked.day, today) })
        : say.notLookedAtYet(),
      then: say.lookItOverBefore(),
    },
  ];
}

function seasonNotes(season: SeasonNow | null): readonly Note[] {
  if (season === null)
    return [
      {
        weight: 'note',
        says: say.itsPlaceIsNot(),
        then: say.sayWhereItStands(),
      },
    ];
  switch (season.state) {
    case 'active':
      return [
        { weight: 'good', says: say.inSeason(), then: say.itsPlaceIs({ reason: season.reason }) },
      ];
    case 'marginal':
      return [
        {
          weight: 'note',
          says: say.atTheEdgeOf(),
          then: say.itIsRootsTake({ reason: season.reason }),
        },
      ];
    case 'resting':
      return [
        {
          weight: 'wait',
          says: say.resting(),
          then: `${capital(season.reason)}.`,
          ...(season.opens === null ? {} : { until: season.opens }),
        },
      ];
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
