import { findingWords, type Finding, type LossBar } from '@hypogeon/core/ledger';
import { points } from './compare';

const lostIn = ({ of }: LossBar): number => of.rotted + of.dried + of.lost;

/** By which week most of what is lost was lost: `three in four by week 4`. Empty where nothing was lost. */
export function lostByText(weeks: readonly LossBar[]): string {
  const all = weeks.reduce((sum, w) => sum + lostIn(w), 0);
  if (all === 0) return '';
  let lost = 0;
  const by = weeks.find((w) => (lost += lostIn(w)) >= 0.75 * all)!;
  return `three in four were lost by week ${by.name}`;
}

/** The sentence of the page: the strongest finding, or that there is none and when most is lost. */
export function lossHeadline(findings: readonly Finding[], weeks: readonly LossBar[]): string {
  const [first] = findings;
  if (first) return findingWords(first);
  const by = lostByText(weeks);
  return `Nothing stands out from chance${by === '' ? '' : `; ${by} after the cut`}.`;
}

/** `18 points more, −5 to 45.` */
export const findingRange = ({ difference: d }: Finding): string =>
  `${points(d.difference)} of 100 more, ${points(d.low)} to ${points(d.high)}.`;

/** How many comparisons were made, and what came nearest where none stood out. */
export function lossWorking(
  looked: number,
  nearest: Finding | null,
  found: readonly Finding[],
): string {
  if (looked === 0) return 'There is too little yet to compare.';
  if (found.length > 0) return `${looked} comparisons were made.`;
  const near = nearest
    ? ` Nearest: ${findingWords(nearest)} ${findingRange(nearest)} More batches would tell.`
    : '';
  return `${looked} comparisons were made, and with so many looks something always seems odd.${near}`;
}
