import * as say from '@hypogeon/messages/core-planned-wound';
import { placesIn } from './empty-place';
import { methodOf, type MethodId } from '../botany';
import { COURSE, type CourseId } from '../course';
import type { Day } from '../days';
import type { State } from '../journal';
import {
  hydraulicWidth,
  WOUND_SCHOOL,
  WOUND_SCHOOLS,
  woundClock,
  type CallusPlace,
  type WoundClock,
  type WoundSchoolId,
} from '../wound';
import { airOf } from './air-of';
import { pacePriorFor } from './pace-of';
import { plantOf } from './plant';
import { BARE_DAYS } from './wound-input';

/** A cut that is being planned: enough to run its wound clock. */
export interface PlannedWound {
  readonly taxon: string;
  readonly method: MethodId;
  readonly cutOn: Day;
  readonly widthMm: number;
  readonly thicknessMm?: number | undefined;
  readonly school: WoundSchoolId;
  readonly callusAt: CallusPlace;
  /** Where it dries, and where it stands once stuck. */
  readonly callusSpace: string;
  readonly space: string;
  /** How it is grown, and days to dry of the grower’s own. */
  readonly course?: CourseId | undefined;
  readonly dryDays?: number | undefined;
}

/** The clock of a planned cut; null where nothing is cut that could rot, or the plant is unknown. */
export function plannedClock(state: State, plan: PlannedWound): WoundClock | null {
  const plant = plantOf(state, plan.taxon);
  const wound = plant && methodOf(plant.taxon, plan.method)?.wound;
  if (!wound) return null;
  const bare = plan.course !== undefined && COURSE[plan.course].setWhen !== 'dried';
  return woundClock({
    cutOn: plan.cutOn,
    widthMm: hydraulicWidth(plan.widthMm, plan.thicknessMm),
    tissue: wound.tissue,
    school: WOUND_SCHOOL[plan.school],
    callusAt: plan.school === 'straight-in' && !bare ? 'medium' : plan.callusAt,
    dryDays: bare ? BARE_DAYS : plan.dryDays,
    air: (day, stuck) => airOf(state, stuck ? plan.space : plan.callusSpace, day),
    prior: pacePriorFor(state),
  });
}

/** One thing changed, all else as planned. */
export interface Variant {
  readonly name: string;
  /** It is what the plan says. */
  readonly chosen: boolean;
  readonly clock: WoundClock;
}

export interface WhatMoves {
  readonly school: readonly Variant[];
  readonly width: readonly Variant[];
  readonly air: readonly Variant[];
}

/** How the gate moves with the school, the width of the cut and the air it calluses in. */
export function whatMoves(
  state: State,
  plan: PlannedWound,
  nameWidth: (mm: number) => string,
): WhatMoves {
  const variants = (
    list: readonly { name: string; chosen: boolean; over: Partial<PlannedWound> }[],
  ): readonly Variant[] =>
    list.flatMap(({ name, chosen, over }) => {
      const clock = plannedClock(state, { ...plan, ...over });
      return clock ? [{ name, chosen, clock }] : [];
    });
  return {
    school: variants(
      WOUND_SCHOOLS.map((school) => ({
        name: WOUND_SCHOOL[school].name,
        chosen: school === plan.school,
        over: { school },
      })),
    ),
    width: variants(
      [0.5, 1, 2].map((times) => ({
        name: nameWidth(plan.widthMm * times),
        chosen: times === 1,
        over: { widthMm: plan.widthMm * times },
      })),
    ),
    air: variants(
      placesIn(state).map((space) => ({
        name: space.name ?? say.bench(),
        chosen: space.id === plan.callusSpace,
        over: { callusSpace: space.id },
      })),
    ),
  };
}
