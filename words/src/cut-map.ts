import type { PieceProblem } from '@hypogeon/core/plan';
import { lengthText } from './quantities';
import type { Speech } from './speech';

/** What is wrong with a piece whose cut was moved by hand; empty where nothing is. */
export function pieceProblemText(problem: PieceProblem | null, { length, locale }: Speech): string {
  switch (problem?.lacks) {
    case undefined:
      return '';
    case 'any node':
      return 'No node on it: it never shoots.';
    case 'nodes':
      return `Only ${problem.has} of ${problem.least} nodes: it seldom takes.`;
    case 'length':
      return `Only ${lengthText(problem.hasMm, length, locale)} of ${lengthText(problem.leastMm, length, locale)}: too short.`;
  }
}

/** Why a stem is too short to be cut, in the grower's unit. */
export function tooShortText(
  { stumpMm, crownMm }: { readonly stumpMm: number; readonly crownMm: number },
  { length, locale }: Speech,
): string {
  const say = (mm: number): string => lengthText(mm, length, locale);
  return `Too short: a stump of ${say(stumpMm)} stays, and this plant’s top takes from ${say(crownMm)}; that is ${say(stumpMm + crownMm)}. Wait, or take another way.`;
}
