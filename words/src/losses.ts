import { findingWords, type Finding, type LossBar } from '@hypogeon/core/ledger';
import * as say from '@hypogeon/messages/losses';
import { points } from './compare';

const lostIn = ({ of }: LossBar): number => of.rotted + of.dried + of.lost;

/** By which week most of what is lost was lost: `three in four by week 4`. Empty where nothing was lost. */
export function lostByText(weeks: readonly LossBar[]): string {
  const all = weeks.reduce((sum, w) => sum + lostIn(w), 0);
  if (all === 0) return '';
  let lost = 0;
  const by = weeks.find((w) => (lost += lostIn(w)) >= 0.75 * all)!;
  return say.threeInFourWere({ name: by.name });
}

/** The sentence of the page: the strongest finding, or that there is none and when most is lost. */
export function lossHeadline(findings: readonly Finding[], weeks: readonly LossBar[]): string {
  const [first] = findings;
  if (first) return findingWords(first);
  const by = lostByText(weeks);
  return say.nothingStandsOutFrom({ what: by === '' ? '' : say.afterTheCut({ by }) });
}

/** `18 points more, −5 to 45.` */
export const findingRange = ({ difference: d }: Finding): string =>
  say.of100MoreTo({
    points: points(d.difference),
    points2: points(d.low),
    points3: points(d.high),
  });

/** How many comparisons were made, and what came nearest where none stood out. */
export function lossWorking(
  looked: number,
  nearest: Finding | null,
  found: readonly Finding[],
): string {
  if (looked === 0) return say.thereIsTooLittle();
  if (found.length > 0) return say.comparisonsWereMade({ looked });
  const near = nearest
    ? say.nearestMoreBatchesWould({
        findingWords: findingWords(nearest),
        findingRange: findingRange(nearest),
      })
    : '';
  return say.comparisonsWereMadeAnd({ looked, near });
}
