import * as z from 'zod';
import type { MethodId } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { Day } from '@hypogeon/core/days';
import type { Forecast } from '@hypogeon/core/rehearse';
import type { Size } from '@hypogeon/core/plan';
import type { Disinfectant } from '@hypogeon/core/safety';
import type { FirstWaterId, WaterSchoolId } from '@hypogeon/core/water';
import type { AidId, WoundSchoolId } from '@hypogeon/core/wound';
import { say } from '@hypogeon/messages/plan-draft';
import { shapeOf } from '../data/draft-shape';

/** So many by a day; as many as the mother gives safely; or what lies on the bench already. */
export const PURPOSES = ['want', 'safe', 'have'] as const;
export type Purpose = (typeof PURPOSES)[number];
export const PURPOSE_WORD: Readonly<Record<Purpose, string>> = {
  get want() {
    return say.iWant();
  },
  get safe() {
    return say.allItCanSpare();
  },
  get have() {
    return say.iHave();
  },
};

/** What the blade is wiped with. */
export const DISINFECTANT_WORD: Readonly<Record<Disinfectant, string>> = {
  get alcohol() {
    return say.alcohol70();
  },
  get bleach() {
    return say.diluteBleachRinsed();
  },
  get none() {
    return say.cleanIsEnough();
  },
};

export interface PlanDraft {
  readonly mother: string;
  readonly method: MethodId | '';
  readonly count: string;
  /** As typed; empty is the usual width of the cut. */
  readonly width: string;
  readonly thickness: string;
  readonly school: WoundSchoolId | '';
  readonly callusAt: 'rack' | 'medium';
  readonly callusSpace: string;
  readonly space: string;
  readonly place: string;
  /** Empty is today. */
  readonly cutOn: Day;
  readonly disinfectant: Disinfectant;
  readonly container: string;
  readonly containers: string;
  readonly mix: string;
  readonly waterSchool: WaterSchoolId | '';
  readonly aid: AidId;
  readonly firstWater: FirstWaterId;
  /** How it is grown; empty is the usual course of its plant and way. */
  readonly course: CourseId | '';
  /** Days to dry of the grower’s own, as typed. */
  readonly dryDays: string;
  /** What it is for: so many, so large, by a day, so sure; empty where nobody asked. */
  readonly purpose: Purpose;
  readonly want: string;
  /** Pieces that lie there already: of which kind, how many. */
  readonly haveMethod: MethodId | '';
  readonly have: string;
  readonly size: Size;
  readonly by: Day;
  readonly sure: string;
  /** Several ways together, where one is not enough. */
  readonly together: boolean;
  /** What a rehearsal said of it as it stands. */
  readonly forecast: Forecast | null;
}

export const BLANK_PLAN: PlanDraft = {
  mother: '',
  method: '',
  count: '',
  width: '',
  thickness: '',
  school: '',
  callusAt: 'rack',
  callusSpace: '',
  space: '',
  place: '',
  cutOn: '',
  disinfectant: 'alcohol',
  container: '',
  containers: '',
  mix: '',
  waterSchool: '',
  aid: 'none',
  firstWater: 'with-gate',
  course: '',
  dryDays: '',
  purpose: 'want',
  haveMethod: '',
  have: '',
  want: '',
  size: 'rooted',
  by: '',
  sure: '80',
  together: false,
  forecast: null,
};

const share = z.number().min(0).max(1);
/** What is read back of a kept draft. */
export const planShape = shapeOf(BLANK_PLAN, {
  forecast: z
    .object({
      days: z.int(),
      cuttings: z.int(),
      rooted: share,
      low: share,
      high: share,
      rotted: share,
      dried: share,
      half: z.number().nullable(),
    })
    .nullable(),
});

/** The plan turned to another mother: what is wanted, and where and with what one works, stays as it was asked. */
export function ofMother(
  {
    space,
    callusSpace,
    disinfectant,
    container,
    mix,
    waterSchool,
    purpose,
    want,
    size,
    by,
    sure,
  }: PlanDraft,
  mother: string,
): PlanDraft {
  const works = { space, callusSpace, disinfectant, container, mix, waterSchool };
  return { ...BLANK_PLAN, mother, ...works, purpose, want, size, by, sure };
}
