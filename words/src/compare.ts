import {
  GROUPING_NAME,
  type Comparison,
  type Confounding,
  type GroupSummary,
} from '@hypogeon/core/ledger';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/compare';
import { decimal } from './numbers';
import { percent, percentSpan } from './shares';

/** Points of a hundred, with a true minus: `−12`. @param share −1–1 */
export const points = (share: number): string => String(Math.round(share * 100)).replace('-', '−');

/** `p 0.031`, `p below 0.001`. @param p 0–1 */
export const pText = (p: number): string =>
  p < 0.001 ? say.pBelow0001() : say.p({ what: p.toFixed(p < 0.1 ? 3 : 2) });

/** Days until half of those that root have roots: `13–14`; `13 or later` while so many wait that it may lie any time ahead. */
export function halfDays({ from, to }: NonNullable<GroupSummary['half']>): string {
  const [first, last] = [Math.round(from), to === null ? null : Math.round(to)];
  if (last === null) return say.orLater({ first });
  return first === last ? `${last}` : `${first}–${last}`;
}

/** The answer in one sentence, as sure as the counts are; what it rests on is told by {@link comparisonWorking}. */
export function comparisonHeadline({ a, b, difference, strength }: Comparison): string {
  if (!difference) {
    const open = a.settledBatches === 0 ? a : b;
    return say.tooEarlyToTell({ name: inSentence(open.name) });
  }
  const [more, less] = difference.difference >= 0 ? [a, b] : [b, a];
  const few = [a, b].find((g) => g.settledBatches < 2);
  if (few) return say.tooLittleToTell({ name: inSentence(few.name) });
  switch (strength) {
    case 'strong':
      return say.rootsMoreOftenThan({ name: more.name, name2: inSentence(less.name) });
    case 'some':
      return say.seemsToRootMore({ name: more.name, name2: inSentence(less.name) });
    case 'weak':
      return say.noClearDifferenceBetween({
        name: inSentence(a.name),
        name2: inSentence(b.name),
      });
  }
}

/** How many of which, for those who look twice: `Leaf: 246 of 333 rooted, 62–83%`. */
export const groupShare = ({ name, count, told, rooted }: GroupSummary): string =>
  rooted
    ? say.ofRooted({ name, rooted: count.rooted, told, percentSpan: percentSpan(rooted) })
    : say.noneSettledYet({ name });

/** The figures behind the sentence, one to a line. */
export function comparisonWorking(c: Comparison, locale: string): readonly string[] {
  const { a, b, difference, chance, p, within, times } = c;
  const half = ({ name, half: h }: GroupSummary): string =>
    h
      ? say.days({ name: inSentence(name), halfDays: halfDays(h) })
      : say.none({ name: inSentence(name) });
  const times1 = (n: number): string => decimal(n, 1, locale);
  return [
    `${groupShare(a)}; ${groupShare(b)}.`,
    ...turned(c),
    ...(difference
      ? [
          say.theDifferenceIsOf({
            points: points(difference.difference),
            points2: points(difference.low),
            points3: points(difference.high),
            p: pText(p),
            name: inSentence(a.name),
            name2: inSentence(b.name),
            percent: percent(chance),
          }),
        ]
      : []),
    say.halfOfThoseThat({ half: half(a), half2: half(b) }),
    ...(times.test
      ? [
          say.timesToRootsBy({
            what: times.test.p < 0.05 ? say.theyDiffer() : say.noClearDifference(),
            p: pText(times.test.p),
          }),
        ]
      : []),
    ...(within
      ? [
          say.withinTheSamePlants({
            strata: within.strata,
            times1: times1(within.oddsRatio),
            times12: times1(within.low),
            times13: times1(within.high),
          }),
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
    say.ofAllPiecesTogether({
      percent: percent(crude(a)),
      name: inSentence(a.name),
      percent2: percent(crude(b)),
      name2: inSentence(b.name),
    }),
  ];
}

/** What else they differ in, so that nobody takes it for a fair race; empty where they differ in nothing that is known. */
export function unfairText({ confounded }: Comparison): string {
  if (confounded.length === 0) return '';
  const things =
    confounded.length === 1
      ? say.oneOtherThing()
      : say.otherThings({ confoundedCount: confounded.length });
  return say.theyDifferInToo({ things });
}

/** What a fair trial of the two would need. */
export const fairTrial = ({ trialOf }: Comparison): string =>
  trialOf === null ? say.theyAreSoAlike() : say.aFairTrialTakes({ trialOf });

/** What else two groups differ in: `in mother: mostly the blue one against the tall one`. */
export const confoundingText = (c: Confounding): string =>
  c.by === 'season'
    ? say.inSeasonCutAt()
    : say.inMostlyAgainst({
        by: inSentence(GROUPING_NAME[c.by]),
        most: c.most,
        against: c.against,
      });
