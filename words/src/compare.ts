import type { Comparison, GroupSummary } from '@hypogeon/core/ledger';
import { decimal } from './numbers';
import { percent, percentSpan } from './shares';

/** Points of a hundred, with a true minus: `−12`. @param share −1–1 */
export const points = (share: number): string => String(Math.round(share * 100)).replace('-', '−');

/** `p 0.031`, `p below 0.001`. @param p 0–1 */
export const pText = (p: number): string =>
  p < 0.001 ? 'p below 0.001' : `p ${p.toFixed(p < 0.1 ? 3 : 2)}`;

/** Days until half of those that root have roots: `13–14`; `13 or later` while so many wait that it may lie any time ahead. */
export function halfDays({ from, to }: NonNullable<GroupSummary['half']>): string {
  const [first, last] = [Math.round(from), to === null ? null : Math.round(to)];
  if (last === null) return `${first} or later`;
  return first === last ? `${last}` : `${first}–${last}`;
}

/** The answer in one sentence, as sure as the counts are; what it rests on is told by {@link comparisonWorking}. */
export function comparisonHeadline({ a, b, difference, strength }: Comparison): string {
  if (!difference) {
    const open = a.settledBatches === 0 ? a : b;
    return `Too early to tell: nothing of ${open.name.toLowerCase()} has come to its end.`;
  }
  const [more, less] = difference.difference >= 0 ? [a, b] : [b, a];
  const few = [a, b].find((g) => g.settledBatches < 2);
  if (few) return `Too little to tell: of ${few.name.toLowerCase()} there is one batch so far.`;
  switch (strength) {
    case 'strong':
      return `${more.name} roots more often than ${less.name.toLowerCase()}.`;
    case 'some':
      return `${more.name} seems to root more often than ${less.name.toLowerCase()}; more batches would tell.`;
    case 'weak':
      return `No clear difference between ${a.name.toLowerCase()} and ${b.name.toLowerCase()}.`;
  }
}

/** How many of which, for those who look twice: `Leaf: 246 of 333 rooted, 62–83%`. */
export const groupShare = ({ name, count, told, rooted }: GroupSummary): string =>
  rooted
    ? `${name}: ${count.rooted} of ${told} rooted, ${percentSpan(rooted)}`
    : `${name}: none settled yet`;

/** The figures behind the sentence, one to a line. */
export function comparisonWorking(c: Comparison, locale: string): readonly string[] {
  const { a, b, difference, chance, p, within, times } = c;
  const half = ({ name, half: h }: GroupSummary): string =>
    h ? `${name.toLowerCase()} ${halfDays(h)} days` : `${name.toLowerCase()} none`;
  const times1 = (n: number): string => decimal(n, 1, locale);
  return [
    `${groupShare(a)}; ${groupShare(b)}.`,
    ...turned(c),
    ...(difference
      ? [
          `The difference is ${points(difference.difference)} of 100 (${points(difference.low)} to ${points(difference.high)}), ${pText(p)}. Chance that ${a.name.toLowerCase()} roots more often than ${b.name.toLowerCase()}: ${percent(chance)}.`,
        ]
      : []),
    `Half of those that root have roots after: ${half(a)}, ${half(b)}.`,
    ...(times.test
      ? [
          `Times to roots: ${times.test.p < 0.05 ? 'they differ' : 'no clear difference'} (by the looks they lie between, ${pText(times.test.p)}).`,
        ]
      : []),
    ...(within
      ? [
          `Within the same plants (${within.strata}): odds of rooting ${times1(within.oddsRatio)} times (${times1(within.low)} to ${times1(within.high)}).`,
        ]
      : []),
  ];
}

/**
 * Where the shares of all pieces together run the other way than what is judged by: a large tray counts there as if its
 * pieces were many trays.
 */
function turned({ a, b, difference }: Comparison): readonly string[] {
  if (!difference || a.told === 0 || b.told === 0) return [];
  const crude = ({ count, told }: GroupSummary): number => count.rooted / told;
  if ((crude(a) - crude(b)) * difference.difference >= 0) return [];
  return [
    `Of all pieces together it is the other way round (${percent(crude(a))} of ${a.name.toLowerCase()}, ${percent(crude(b))} of ${b.name.toLowerCase()}): one large tray weighs much there. It is judged by trays.`,
  ];
}

/** What else they differ in, so that nobody takes it for a fair race; empty where they differ in nothing that is known. */
export function unfairText({ confounded }: Comparison): string {
  if (confounded.length === 0) return '';
  const things = confounded.length === 1 ? 'one other thing' : `${confounded.length} other things`;
  return `They differ in ${things} too, so this was no fair race.`;
}

/** What a fair trial of the two would need. */
export const fairTrial = ({ trialOf }: Comparison): string =>
  trialOf === null
    ? 'They are so alike that no trial of a sensible size would tell them apart.'
    : `A fair trial takes about ${trialOf} cuttings each: the same plant, day and tray, in a random layout.`;
