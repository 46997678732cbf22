import {
  DAMPEST_BY,
  isApart,
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
import { percentSpan } from './shares';
import type { Speech } from './speech';
import { warmthStep } from './ways';

/** Ninety-five times in a hundred. */
const Z = 1.96;

const hundred = (share: number): number => Math.round(100 * share);

/** `88 of 100 rooted (86–90)`; without a range where its ends are alike. */
export function ofHundred({ share, se }: Estimate, what: string): string {
  const [low, high] = [hundred(Math.max(0, share - Z * se)), hundred(Math.min(1, share + Z * se))];
  const range = low === high ? '' : ` (${low}–${high})`;
  return `${hundred(share)} of 100 ${what}${range}`;
}

/** What became of the others: `5 rotted, 1 dried up, 6 wait`. */
export function othersText({ rotted, dried, waiting }: Outcome): string {
  return [
    [hundred(rotted.share), 'rotted'],
    [hundred(dried.share), 'dried up'],
    [hundred(waiting.share), 'still without roots'],
  ]
    .filter(([n]) => (n as number) > 0)
    .map(([n, word]) => `${n} ${word}`)
    .join(', ');
}

/** `On day 15–34, half by 22.`: of leaves it is the pup that makes a plant */
export function rootDaysText({ days }: Outcome): string {
  if (!days) return 'None roots.';
  const span = days.early === days.late ? `${days.early}` : `${days.early}–${days.late}`;
  return `On day ${span}, half by ${days.half}.`;
}

/** Two strategies against each other, in plain words with what chance alone may do. */
export function differenceText(difference: Difference, a: string, b: string): string {
  const { rooted } = difference;
  const [low, high] = [
    hundred(rooted.share - Z * rooted.se),
    hundred(rooted.share + Z * rooted.se),
  ];
  const n = hundred(rooted.share);
  if (!isApart(difference)) return `${a} and ${b.toLowerCase()}: no difference to speak of.`;
  const more = n > 0;
  const [from, to] = more ? [low, high] : [-high, -low];
  const range = from === to ? '' : ` (${from}–${to})`;
  return `${a} roots ${Math.abs(n)} ${more ? 'more' : 'fewer'} of 100 than ${b.toLowerCase()}${range}.`;
}

const CHOICE: Readonly<
  Record<Exclude<Choice, 'warmth'>, readonly [name: string, low: string, high: string]>
> = {
  width: ['The width of the wound', 'half as wide', 'twice as wide'],
  dry: ['How long they dry', 'set at once', 'after three weeks'],
  first: ['The first water', 'on the day they are set', 'three weeks later'],
  air: ['Humidity', `${Math.round(100 * DAMPEST_BY)} points less`, 'as many more'],
  mix: ['The mix', 'in the one of yours that stays wettest', 'in the airiest'],
};

/** `The first water: on the day they are set 31 of 100 root, three weeks later 88. By itself 55–67% of what these choices can do.` */
export function matterText({ choice, low, high, share }: Matter, speech: Speech): string {
  const step = warmthStep(WARMEST_C, speech);
  const [name, atLow, atHigh] =
    choice === 'warmth' ? ['Warmth', `${step} cooler`, `${step} warmer`] : CHOICE[choice];
  // Eight in ten of such samples.
  const [least, most] = [share.share - 1.28 * share.se, share.share + 1.28 * share.se];
  const range = { low: Math.max(0, least), high: Math.min(1, most) };
  const part =
    least >= 0.05 ? ` By itself ${percentSpan(range)} of what these choices can do.` : '';
  return `${name}: ${atLow} ${hundred(low)} of 100 root, ${atHigh} ${hundred(high)}.${part}`;
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
    ? `How ready wounds rot makes no difference here: ${many} of 100 root either way.`
    : `How ready wounds rot nobody has measured: at ${figure(range.low)} times what is assumed ${many} of 100 root, at ${figure(range.high)} times ${few}.`;
}

/** Why it cannot be rehearsed. */
export const REHEARSAL_PROBLEM: Readonly<Record<PlanProblem | StrategyProblem, string>> = {
  'unknown plant': 'This plant is not in the guide: choose another way or plant.',
  'no pot': 'Choose what they go into: how wet the mix stays hangs on the pot.',
  'no mix': 'Choose what it is filled with: how wet it stays hangs on the mix.',
  'not set in a mix':
    'Only cuttings that are set in or on a mix can be played yet: choose another way to grow them.',
  'does not close here': 'The cut does not close where it dries: choose another place.',
  'too short': 'A rehearsal takes a day at least.',
  'water before it is set': 'Water before it is set cannot be: set it sooner, or water later.',
  'no air': 'The air of its place is not known for so long.',
};
