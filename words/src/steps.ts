import type { Young } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { Step, StepId } from '@hypogeon/core/care';
import type { Batch } from '@hypogeon/core/journal';
import { AID, WOUND_SCHOOL } from '@hypogeon/core/wound';
import * as say from '@hypogeon/messages/steps';
import { capital } from './capital';
import { FIRST_SAYS, rootSpan } from './reasons';
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
      return say.notToBeSaid();
    case 'skipped':
      return say.skipped();
    case 'due':
    case 'late':
      return step.from >= speech.today
        ? say.today()
        : say.dueSince({ daySpan: daySpan(step.from, step.from, speech) });
    default:
      return daySpan(step.from, step.to, speech);
  }
}

/** What is to be known of them. Common practice, no source. */
const YOUNG_WHY: Readonly<Record<Young, string>> = {
  get pups() {
    return say.theOldLeafFeeds();
  },
  get shoots() {
    return say.fromTheSoilBeside();
  },
  get heads() {
    return say.newHeads();
  },
  get joints() {
    return say.newJointsAtThe();
  },
  get plantlets() {
    return say.alongItsEdgeTaken();
  },
  get 'true-leaves'() {
    return say.thenTheyMayBe();
  },
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
      return say.aPlumpPieceLives();
    case 'cut': {
      const rule = ruleText(ruleOf(batch), length);
      return aid === undefined || aid === 'none'
        ? rule
        : say.onTheCut({ rule, name: AID[aid].name });
    }
    case 'callused':
      return say.dryAndFirmOr();
    case 'stick':
      return COURSE_WORDS[course].setWhy ?? say.intoDryMixNo({ name: WOUND_SCHOOL[school].name });
    case 'gate':
      return say.notSoonerWetMix();
    case 'first-water':
      return `${FIRST_SAYS[firstWater]}.`;
    case 'roots':
      return COURSE_WORDS[course].rootsWhy ?? say.aLightTugAt();
    case 'wean':
      return say.atOfRootMoist({ rootSpan: rootSpan(length) });
    case 'pups':
      return YOUNG_WHY[wayOf(batch).young];
    case 'light':
      return say.byStepsOverTwo();
    case 'feed':
      return say.everyTwoWeeksWhile();
    case 'pot-on':
      return say.atOfRootOr({ rootSpan: rootSpan(length) });
  }
}
