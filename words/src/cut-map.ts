import type { PieceProblem } from '@hypogeon/core/plan';
import * as say from '@hypogeon/messages/cut-map';
import { lengthText } from './quantities';
import type { Speech } from './speech';

/** What is wrong with a piece whose cut was moved by hand; empty where nothing is. */
export function pieceProblemText(problem: PieceProblem | null, { length, locale }: Speech): string {
  switch (problem?.lacks) {
    case undefined:
      return '';
    case 'any node':
      return say.noNodeOnIt();
    case 'nodes':
      return say.onlyOfNodesIt({ has: problem.has, least: problem.least });
    case 'length':
      return say.onlyOfTooShort({
        length: lengthText(problem.hasMm, length, locale),
        length2: lengthText(problem.leastMm, length, locale),
      });
  }
}

/** Why a stem is too short to be cut, in the grower's unit. */
export function tooShortText(
  { stumpMm, crownMm }: { readonly stumpMm: number; readonly crownMm: number },
  { length, locale }: Speech,
): string {
  const told = (mm: number): string => lengthText(mm, length, locale);
  return say.tooShortAStump({
    stump: told(stumpMm),
    crown: told(crownMm),
    both: told(stumpMm + crownMm),
  });
}
