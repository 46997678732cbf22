import {
  DAMPEST_BY,
  isApart,
  lostOf,
  WARMEST_C,
  type Choice,
  type Difference,
  type Estimate,
  type Matter,
  type Outcome,
  type PlanProblem,
  type RotCalibration,
  type StrategyProblem,
} from '@hypogeon/core/rehearse';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/rehearsal';
import { percent, percentSpan } from './shares';
import type { Speech } from './speech';
import { warmthStep } from './ways';

/** Ninety-five times in a hundred. */
const Z = 1.96;

const hundred = (share: number): number => Math.round(100 * share);

/** `88 of 100 rooted (86–90)`; without a range where its ends are alike. */
export function ofHundred({ share, se }: Estimate, what: string): string {
  const [low, high] = [hundred(Math.max(0, share - Z * se)), hundred(Math.min(1, share + Z * se))];
  const range = low === high ? '' : ` (${low}–${high})`;
  return say.of100({ hundred: hundred(share), what, range });
}

/** What became of the others: `5 rotted, 1 dried up, 6 still without roots`. */
export function othersText({ rotted, dried, waiting, counts }: Outcome): string {
  return [
    [hundred(rotted.share), say.rotted()],
    [hundred(dried.share), say.driedUp()],
    [
      hundred(waiting.share),
      counts === 'plants' ? say.stillWithoutAYoungPlant() : say.stillWithoutRoots(),
    ],
  ]
    .filter(([n]) => (n as number) > 0)
    .map(([n, word]) => `${n} ${word}`)
    .join(', ');
}

/** `88 of 100 rooted (86–90)`; of leaves and sections those with a young plant. */
export const livedText = ({ rooted, counts }: Outcome): string =>
  ofHundred(rooted, counts === 'plants' ? say.withAYoungPlant() : say.rooted());

/** `Roots on day 15–34, half by day 22.`, of those that root; of leaves and sections the days of their young plants. */
export function rootDaysText({ days, counts }: Outcome): string {
  if (!days) return counts === 'plants' ? say.noneMakesAPlant() : say.noneRoots();
  const span = days.early === days.late ? `${days.early}` : `${days.early}–${days.late}`;
  return counts === 'plants'
    ? say.youngPlantsOnDay({ span, half: days.half })
    : say.onDayHalfBy({ span, half: days.half });
}

/** `Since their roots: growth on 84% of their days.`: dry, they stand still. */
export const grownText = ({ grown }: Outcome): string =>
  grown === null ? '' : say.sinceTheirRoots({ percent: percent(grown) });

/** Two strategies against each other, in plain words with what chance alone may do. */
export function differenceText(difference: Difference, a: string, b: string): string {
  const { rooted } = difference;
  const [low, high] = [
    hundred(rooted.share - Z * rooted.se),
    hundred(rooted.share + Z * rooted.se),
  ];
  const n = hundred(rooted.share);
  if (!isApart(difference)) return say.andNoDifferenceTo({ a, b: inSentence(b) });
  const more = n > 0;
  const [from, to] = more ? [low, high] : [-high, -low];
  const range = from === to ? '' : ` (${from}–${to})`;
  return say.bringsOnOf100({
    a,
    abs: Math.abs(n),
    what: more ? say.more() : say.fewer(),
    b: inSentence(b),
    range,
  });
}

/** Where the one that brings on more of two loses more than that: what waits alive may still root. Else empty. */
export function dearText(
  difference: Difference,
  a: Outcome,
  b: Outcome,
  nameOf: (outcome: Outcome) => string,
): string {
  const [more, other] = difference.rooted.share > 0 ? [a, b] : [b, a];
  const lost = lostOf(more) - lostOf(other);
  if (!isApart(difference) || lost <= Math.abs(difference.rooted.share)) return '';
  return say.butLosesMore({ name: inSentence(nameOf(more)), lost: hundred(lost) });
}

const CHOICE: Readonly<
  Record<Exclude<Choice, 'warmth'>, () => readonly [name: string, low: string, high: string]>
> = {
  width: () => [say.theWidthOfThe(), say.halfAsWide(), say.twiceAsWide()],
  dry: () => [say.howLongTheyDry(), say.setAtOnce(), say.afterThreeWeeks()],
  first: () => [say.theFirstWater(), say.onTheDayThey(), say.threeWeeksLater()],
  air: () => [
    say.humidity(),
    say.pointsLess({ dampestBy: Math.round(100 * DAMPEST_BY) }),
    say.asManyMore(),
  ],
  mix: () => [say.theMix(), say.inTheOneOf(), say.inTheAiriest()],
};

/** `The first water: on the day they are set 31 of 100 root, three weeks later 88. By itself 55–67% of what these choices can do.` */
export function matterText({ choice, low, high, share }: Matter, speech: Speech): string {
  const step = warmthStep(WARMEST_C, speech);
  const [name, atLow, atHigh] =
    choice === 'warmth'
      ? [say.warmth(), say.cooler({ step }), say.warmer({ step })]
      : CHOICE[choice]();
  // Eight in ten of such samples.
  const [least, most] = [share.share - 1.28 * share.se, share.share + 1.28 * share.se];
  const range = { low: Math.max(0, least), high: Math.min(1, most) };
  const part = least >= 0.05 ? say.byItselfOfWhat({ percentSpan: percentSpan(range) }) : '';
  return say.of100Root({
    name,
    atLow,
    hundred: hundred(low),
    atHigh,
    hundred2: hundred(high),
    part,
  });
}

/** What the play would say, were wounds the least and the most ready to rot that makes sense. */
export function reachText(
  low: Estimate,
  high: Estimate,
  range: RotCalibration,
  figure: (n: number) => string,
): string {
  const [few, many] = [hundred(high.share), hundred(low.share)];
  return few === many
    ? say.howReadyWoundsRot({ many })
    : say.howReadyWoundsRotNobody({
        figure: figure(range.low),
        many,
        figure2: figure(range.high),
        few,
      });
}

/** Why it cannot be rehearsed. */
export const REHEARSAL_PROBLEM: Readonly<Record<PlanProblem | StrategyProblem, string>> = {
  get 'unknown plant'() {
    return say.thisPlantIsNot();
  },
  get 'no pot'() {
    return say.chooseWhatTheyGo();
  },
  get 'no mix'() {
    return say.chooseWhatItIs();
  },
  get 'not set in a mix'() {
    return say.onlyCuttingsThatAre();
  },
  get 'does not close here'() {
    return say.theCutDoesNot();
  },
  get 'too short'() {
    return say.aRehearsalTakesA();
  },
  get 'water before it is set'() {
    return say.waterBeforeItIs();
  },
  get 'no air'() {
    return say.theAirOfIts();
  },
};
