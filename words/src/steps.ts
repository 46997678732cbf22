import type { Young } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { Step, StepId } from '@hypogeon/core/care';
import type { Batch } from '@hypogeon/core/journal';
import { AID, WOUND_SCHOOL } from '@hypogeon/core/wound';
import { capital } from './capital';
import { FIRST_SAYS, rootSpan } from './care';
import { daySpan } from './days';
import { ruleText } from './quantities';
import type { Speech } from './speech';
import { COURSE_WORDS } from './courses';
import { STEP_NAME, YOUNG_NAME } from './tasks';

/**
 * What a step is called on the way of one batch: a jar is no mix, seed is gathered, a strap brings shoots.
 * @param young what its piece brings; pups where nobody says
 */
export function stepName(
  { id }: Pick<Step, 'id'>,
  course: CourseId,
  young: Young = 'pups',
): string {
  const { cutName, setName, firstWater, rootsName } = COURSE_WORDS[course];
  const named: Partial<Record<StepId, string | undefined>> = {
    cut: cutName,
    stick: setName,
    'first-water': firstWater,
    roots: rootsName,
    pups: capital(YOUNG_NAME[young]),
  };
  return named[id] ?? STEP_NAME[id];
}

/** When it was, is or will be: `5–9 Apr`, `due since 3 Apr`, `skipped`. */
export function stepWhen(step: Step, speech: Speech): string {
  switch (step.is) {
    case 'open':
      return 'not to be said yet';
    case 'skipped':
      return 'skipped';
    case 'due':
    case 'late':
      return step.from >= speech.today
        ? 'today'
        : `due since ${daySpan(step.from, step.from, speech)}`;
    default:
      return daySpan(step.from, step.to, speech);
  }
}

/** What is to be known of them. Common practice, no source. */
const YOUNG_WHY: Readonly<Record<Young, string>> = {
  pups: 'The old leaf feeds them: leave it on until it is crisp.',
  shoots: 'From the soil beside the old piece, which never grows on itself.',
  heads: 'New heads.',
  joints: 'New joints at the tip.',
  plantlets: 'Along its edge; taken with two or three roots each.',
  'true-leaves': 'Then they may be moved, not sooner.',
};

/** What is to be done, with how many: `Cut 12 crowns`. */
export function stepTitle(
  step: Step,
  batch: Batch,
  course: CourseId,
  { wayOf }: Pick<Speech, 'wayOf'>,
): string {
  const { one, many, young } = wayOf(batch);
  const name = stepName(step, course, young);
  const count = step.count ?? batch.count;
  return step.id === 'cut' || step.id === 'stick'
    ? `${name}: ${count} ${count === 1 ? one : many}`
    : name;
}

/** Why, in one sentence. */
export function stepWhy(
  { id }: Step,
  batch: Batch,
  course: CourseId,
  { length, ruleOf, wayOf }: Speech,
): string {
  const { aid, school, firstWater = 'with-gate' } = batch;
  switch (id) {
    case 'water-mother':
      return 'A plump piece lives off itself until it roots.';
    case 'cut': {
      const rule = ruleText(ruleOf(batch), length);
      return aid === undefined || aid === 'none' ? rule : `${rule} ${AID[aid].name} on the cut.`;
    }
    case 'callused':
      return 'Dry and firm, or still tacky? Either answer moves the date.';
    case 'stick':
      return (
        COURSE_WORDS[course].setWhy ?? `${WOUND_SCHOOL[school].name}: into dry mix, no water yet.`
      );
    case 'gate':
      return 'Not sooner: wet mix rots an open cut.';
    case 'first-water':
      return `${FIRST_SAYS[firstWater]}.`;
    case 'roots':
      return (
        COURSE_WORDS[course].rootsWhy ?? 'A light tug at two or three. Each look sets them back.'
      );
    case 'wean':
      return `At ${rootSpan(length)} of root; moist for two weeks, then drier by steps.`;
    case 'pups':
      return YOUNG_WHY[wayOf(batch).young];
    case 'light':
      return 'By steps, over two weeks; shade at noon if it bleaches.';
    case 'feed':
      return 'Every two weeks while it grows; none in its rest.';
    case 'pot-on':
      return `At ${rootSpan(length)} of root, or when the old leaf is gone.`;
  }
}
