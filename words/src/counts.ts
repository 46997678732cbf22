import type { Against } from '@hypogeon/core/benches';
import { METHOD, type MethodId } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { CountsProblem, CountsReason } from '@hypogeon/core/formats';
import type { Doubt } from '@hypogeon/core/pool';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/counts';
import { points } from './compare';
import { COURSE_WORDS } from './courses';

/** Why a file of counts was refused: where, what and why. */
export function countsProblemText({ line, field, reason }: CountsProblem): string {
  const where = [line === undefined ? '' : say.line({ line }), field ?? '']
    .filter(Boolean)
    .join(', ');
  const sentence = refusalText(reason);
  return where === '' ? sentence : `${where}: ${sentence}`;
}

function refusalText(reason: CountsReason): string {
  switch (reason.is) {
    case 'too large':
      return say.thisFileHasMb({ megabytes: reason.megabytes.toFixed(0), most: reason.most });
    case 'too deep':
      return say.thisFileIsNested();
    case 'broken':
      return say.thisIsNoJson();
    case 'another file':
      return say.thisIsNoFile();
    case 'newer':
      return say.thisFileIsOf({ version: reason.version, known: reason.known });
    case 'rows':
      return say.thisFileHasRows({ rows: reason.rows, most: reason.most });
    case 'unknown fields':
      return say.holdsWhichCountsDo({ fields: reason.fields.slice(0, 3).join(', ').slice(0, 80) });
    case 'field':
      return fieldText(reason.says);
  }
}

/** A rule with its numbers in words; what a field's own check said stands as it is. */
function fieldText(says: string): string {
  const [rule, a = '', b = ''] = says.split('|');
  switch (rule) {
    case 'over-set':
      return say.isMoreThanThe({ a, b });
    case 'over-rooted':
      return say.isMoreThanTheWith({ a, b });
    case 'sum':
      return say.isButWhatBecame({ a, b });
    case 'settled':
      return say.isYetTheRow({ a });
    case 'roots':
      return say.tellOfMoreThan({ a });
    case 'backwards':
      return say.endsBeforeItBegins();
    case 'bench':
      return say.mustBe8To();
    default:
      return `${says.slice(0, 200)}.`;
  }
}

/** Why counts may not be what they say. @param name what a bench is called here */
export function doubtText(doubt: Doubt, name: (bench: string) => string): string {
  switch (doubt.is) {
    case 'own':
      return say.theseAreYourOwn();
    case 'all rooted':
      return say.allRootedNoBench({ set: doubt.set });
    case 'unknown plants':
      return doubt.rows === 1 ? say.oneRowIsOf() : say.rowsAreOfPlants({ rows: doubt.rows });
    case 'same as':
      return say.rowByRowThe({ name: name(doubt.bench) });
    case 'not newer':
      return doubt.edition === doubt.known
        ? say.youHaveTheseAlready()
        : say.youHaveNewerOnes({ known: doubt.known, edition: doubt.edition });
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
  const by = say.of100To({
    points: points(Math.abs(difference)),
    points2: points(near),
    points3: points(far),
  });
  const lead = sure
    ? say.yourRootThanAt({ many, what: less ? say.less() : say.more(), benches, of, by })
    : say.yourRootAboutAs({ many, of, by });
  return [lead, ...(sure ? differs.map(differText) : [])].join(' ');
}

function differText({ in: at, theirs, own }: Against['differs'][number]): string {
  if (at === 'half') return say.theirsWereMostlyCut({ theirs, own });
  const name = (id: string): string => inSentence(COURSE_WORDS[id as CourseId].name);
  return say.theirsMostlyYours({ name: name(theirs), name2: name(own) });
}

/** `counted on 11 benches`, `counted on one bench`. */
export const benchesText = (benches: number): string =>
  say.countedOn({ what: benches === 1 ? say.oneOtherBench() : say.otherBenches({ benches }) });
