import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/core-words';
import type { Trial } from '../journal';
import { alphaOf, chanceToFind } from './design';
import { needsTrays } from './trays';
import { HARM, type ArmAgainst, type TrialResult } from './judge';
import { perCent } from '../units';

/** `5 times in 100`. @param alpha 0–1 */
export const fewIn = (alpha: number): string =>
  say.timesIn100({ number: Number((100 * alpha).toFixed(1)) });

const percent = (share: number): string => perCent(Math.round(share * 100));

/** What was agreed before the first cut, in sentences. */
export function stopRules(trial: Trial, day: (iso: string) => string): readonly string[] {
  const arms = trial.arms?.length ?? 2;
  const alpha = alphaOf(arms);
  return [
    say.judgedOnceWhenNo({ what: trial.judgeOn ? day(trial.judgeOn) : say.theDaySet() }),
    say.whatCountsIsRoots(),
    ...(needsTrays(trial.factor)
      ? []
      : [
          say.alikeGroupsAreCalled({
            fewIn: fewIn(alpha),
            what: arms > 2 ? say.sharedOutOverThe() : '',
          }),
          say.stoppedBeforeForHarm({ harm: 1 / HARM }),
        ]),
    say.noScoreIsRead(),
  ];
}

/** Why so many. */
export function sizeWords(trial: Trial): string {
  const { each, usual, better, arms } = trial;
  if (!each || usual === undefined || better === undefined || !arms) return '';
  if (needsTrays(trial.factor)) return '';
  const chance = chanceToFind(each, { arms: arms.length, usual, better, power: 0.8 });
  return say.eachFindAgainstWith({
    each,
    percent: percent(usual),
    percent2: percent(better),
    percent3: percent(chance),
  });
}

/** The answer in plain words first. */
export function verdictWords(trial: Trial, result: TrialResult): string {
  switch (result.stage) {
    case 'planned':
      return say.notCutYet();
    case 'running':
      return result.harm.length > 0 ? harmWords(result) : say.runningCountAsUsual();
    case 'due':
      return result.harm.length > 0 ? harmWords(result) : say.theDayToJudge();
    case 'stopped':
      return say.givenUp({ stopped: trial.stopped ?? '' });
    case 'judged':
      return result.against.map((a) => againstWords(result, a)).join(' ');
  }
}

function harmWords({ arms, harm }: TrialResult): string {
  const name = arms[harm[0]!.arm]!.name;
  return say.losesFarMoreThan({ name });
}

function againstWords(
  { arms }: TrialResult,
  { arm, found, difference, trays }: ArmAgainst,
): string {
  const [first, other] = [arms[0]!, arms[arm]!];
  const [a, b] = [other.name, inSentence(first.name)];
  if (!difference && trays === null) return say.againstNothingWasSet({ a, b });
  if (!found || !difference) return say.andShowNoClear({ a, b });
  return difference.difference > 0
    ? say.rootedMoreOftenThan({ a, b })
    : say.rootedLessOftenThan({ a, b });
}
