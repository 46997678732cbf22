import type { Trial } from '../journal';
import { alphaOf, chanceToFind } from './design';
import { needsTrays } from './trays';
import { HARM, type ArmAgainst, type TrialResult } from './judge';

/** `5 times in 100`. @param alpha 0–1 */
export const fewIn = (alpha: number): string => `${Number((100 * alpha).toFixed(1))} times in 100`;

const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** What was agreed before the first cut, in sentences. */
export function stopRules(trial: Trial, day: (iso: string) => string): readonly string[] {
  const arms = trial.arms?.length ?? 2;
  const alpha = alphaOf(arms);
  return [
    `Judged once: when no cutting waits any more, by ${trial.judgeOn ? day(trial.judgeOn) : 'the day set'} at the latest.`,
    `What counts is roots on a living cutting that day; one that still waits has none.`,
    ...(needsTrays(trial.factor)
      ? []
      : [
          `Alike groups are called different at most ${fewIn(alpha)}${arms > 2 ? ', shared out over the comparisons' : ''}.`,
          `Stopped before for harm only: losses so uneven that chance would do it less than once in ${1 / HARM} times.`,
        ]),
    `No score is read on the way: who stops when ahead finds differences that are not there.`,
  ];
}

/** Why so many. */
export function sizeWords(trial: Trial): string {
  const { each, usual, better, arms } = trial;
  if (!each || usual === undefined || better === undefined || !arms) return '';
  if (needsTrays(trial.factor)) return '';
  const chance = chanceToFind(each, { arms: arms.length, usual, better, power: 0.8 });
  return `${each} each find ${percent(usual)} against ${percent(better)} with a chance of ${percent(chance)}.`;
}

/** The answer in plain words first. */
export function verdictWords(trial: Trial, result: TrialResult): string {
  switch (result.stage) {
    case 'planned':
      return 'Not cut yet.';
    case 'running':
      return result.harm.length > 0 ? harmWords(result) : 'Running. Count as usual; judge later.';
    case 'due':
      return result.harm.length > 0
        ? harmWords(result)
        : 'The day to judge has come: count every group once more.';
    case 'stopped':
      return `Given up: ${trial.stopped ?? ''}`;
    case 'judged':
      return result.against.map((a) => againstWords(result, a)).join(' ');
  }
}

function harmWords({ arms, harm }: TrialResult): string {
  const name = arms[harm[0]!.arm]!.name;
  return `${name} loses far more than chance explains: stop the trial for harm.`;
}

function againstWords(
  { arms }: TrialResult,
  { arm, found, difference, trays }: ArmAgainst,
): string {
  const [first, other] = [arms[0]!, arms[arm]!];
  const [a, b] = [other.name, first.name.toLowerCase()];
  if (!difference && trays === null) return `${a} against ${b}: nothing was set.`;
  if (!found || !difference) return `${a} and ${b} show no clear difference.`;
  return difference.difference > 0
    ? `${a} rooted more often than ${b}.`
    : `${a} rooted less often than ${b}.`;
}
