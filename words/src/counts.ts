import type { Against } from '@hypogeon/core/benches';
import { METHOD, type MethodId } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { CountsProblem, CountsReason } from '@hypogeon/core/formats';
import type { Doubt } from '@hypogeon/core/pool';
import { points } from './compare';
import { COURSE_WORDS } from './courses';

/** Why a file of counts was refused: where, what and why. */
export function countsProblemText({ line, field, reason }: CountsProblem): string {
  const where = [line === undefined ? '' : `Line ${line}`, field ?? ''].filter(Boolean).join(', ');
  const sentence = refusalText(reason);
  return where === '' ? sentence : `${where}: ${sentence}`;
}

function refusalText(reason: CountsReason): string {
  switch (reason.is) {
    case 'too large':
      return `This file has ${reason.megabytes.toFixed(0)} MB; counts have ${reason.most} at most. Ask for the file of counts, not for the journal.`;
    case 'too deep':
      return 'This file is nested deeper than counts are. Ask for the file as it was saved.';
    case 'broken':
      return 'This is no JSON, or it broke off on the way. Ask for the file again.';
    case 'another file':
      return 'This is no file of counts. One begins with “hypogeon-counts”.';
    case 'newer':
      return `This file is of version ${reason.version}; this Hypogeon knows ${reason.known}. Update it, then take the file in again.`;
    case 'rows':
      return `This file has ${reason.rows} rows; a bench has ${reason.most} at most.`;
    case 'unknown fields':
      return `holds ${reason.fields.slice(0, 3).join(', ').slice(0, 80)}, which counts do not.`;
    case 'field':
      return fieldText(reason.says);
  }
}

/** A rule with its numbers in words; what a field's own check said stands as it is. */
function fieldText(says: string): string {
  const [rule, a = '', b = ''] = says.split('|');
  switch (rule) {
    case 'over-set':
      return `is ${a}, more than the ${b} that were set.`;
    case 'over-rooted':
      return `is ${a}, more than the ${b} with roots.`;
    case 'sum':
      return `is ${a}, but what became of them adds up to ${b}.`;
    case 'settled':
      return `is ${a}, yet the row says that nothing waits.`;
    case 'roots':
      return `tell of more than the ${a} that were set.`;
    case 'backwards':
      return 'ends before it begins.';
    case 'bench':
      return 'must be 8 to 40 small letters and digits.';
    default:
      return `${says.slice(0, 200)}.`;
  }
}

/** Why counts may not be what they say. @param name what a bench is called here */
export function doubtText(doubt: Doubt, name: (bench: string) => string): string {
  switch (doubt.is) {
    case 'own':
      return 'These are your own counts: they are kept, and not counted a second time.';
    case 'all rooted':
      return `All ${doubt.set} rooted. No bench loses nothing: ask whether losses were counted.`;
    case 'unknown plants':
      return doubt.rows === 1
        ? 'One row is of a plant your guide does not know: it tells nothing here.'
        : `${doubt.rows} rows are of plants your guide does not know: they tell nothing here.`;
    case 'same as':
      return `Row by row the counts of ${name(doubt.bench)}: one bench under two numbers counts twice.`;
    case 'not newer':
      return doubt.edition === doubt.known
        ? 'You have these already.'
        : `You have newer ones of this bench: edition ${doubt.known}, this is ${doubt.edition}.`;
  }
}

/** How this bench stands among the others, in a sentence, and what they do otherwise. */
export function againstText(
  { above, of, difference, low, high, sure, differs }: Against,
  method: MethodId,
): string {
  const many = METHOD[method].many;
  const less = difference >= 0;
  const benches = less ? above : of - above;
  const [near, far] = less ? [low, high] : [-high, -low];
  const by = `${points(Math.abs(difference))} of 100, ${points(near)} to ${points(far)}`;
  const lead = sure
    ? `Your ${many} root ${less ? 'less' : 'more'} than at ${benches} of ${of} benches, by more than chance: ${by}.`
    : `Your ${many} root about as often as at the other ${of} benches: what they differ by (${by}) may be chance.`;
  return [lead, ...(sure ? differs.map(differText) : [])].join(' ');
}

function differText({ in: at, theirs, own }: Against['differs'][number]): string {
  if (at === 'half')
    return `Theirs were mostly cut in the ${theirs} half of the year, yours in the ${own}.`;
  const name = (id: string): string => COURSE_WORDS[id as CourseId].name.toLowerCase();
  return `Theirs mostly: ${name(theirs)}; yours: ${name(own)}.`;
}

/** `counted on 11 benches`, `counted on one bench`. */
export const benchesText = (benches: number): string =>
  `counted on ${benches === 1 ? 'one other bench' : `${benches} other benches`}`;
