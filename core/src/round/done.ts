import type { Do, Look } from '../care';
import type { EntryDraft } from '../journal';

/** What one tap on a task records, what the button says, and what is said once it is saved. */
export interface TaskDone {
  readonly entries: readonly EntryDraft[];
  readonly word: string;
  readonly said: string;
}

export function taskDone({ kind, batch, count, manner, drink, reason }: Do): TaskDone {
  const { id } = batch;
  switch (kind) {
    case 'water-mother':
      return {
        entries:
          batch.mother === undefined
            ? []
            : [{ kind: 'mothered', mother: batch.mother, what: 'watered' }],
        word: 'Watered',
        said: 'Mother watered',
      };
    case 'cut': {
      const word = batch.method === 'seed' ? 'Gathered' : 'Cut';
      return { entries: [{ kind: 'cut', batch: id }], word, said: word };
    }
    case 'stick': {
      // Those with roots only: the others stay where they lie.
      const part = reason.why === 'roots-on-rack' && count < batch.count ? { count } : {};
      const jar = reason.why === 'into-jar';
      const sown = reason.why === 'sow';
      return {
        entries: [{ kind: 'stuck', batch: id, ...part }],
        word: jar ? 'In the jar' : sown ? 'Sown' : 'Set',
        said: jar ? 'In the jar' : sown ? 'Sown' : 'Set',
      };
    }
    case 'first-water':
    case 'water':
    case 'pot-water':
    case 'mist': {
      const how = drink?.manner ?? manner ?? (kind === 'mist' ? 'misted' : 'poured');
      // What runs through need not be measured, and a mist is a mist.
      const ml =
        drink && !drink.through && how !== 'misted'
          ? { ml: Math.max(1, Math.round(drink.ml)) }
          : {};
      const word = how === 'misted' ? 'Misted' : 'Watered';
      return { entries: [{ kind: 'watered', batch: id, how, ...ml }], word, said: word };
    }
    case 'pot-on':
      return { entries: [{ kind: 'potted', batch: id, count }], word: 'Potted', said: 'Potted on' };
    case 'jar-stir':
      return tended(id, kind, 'Moved', 'Water moved');
    case 'jar-change':
      return tended(id, kind, 'Changed', 'Water changed');
    case 'jar-feed':
      return tended(id, kind, 'Fed', 'Fed in the jar');
    case 'wean':
      return {
        entries: [
          {
            kind: 'put',
            record: 'batch',
            key: id,
            fields: { tray: null, cells: null, rootedInWater: true },
          },
          { kind: 'stuck', batch: id },
        ],
        word: 'In the mix',
        said: 'Moved into the mix',
      };
    case 'light':
      return tended(id, kind, 'Brighter', 'A step more light');
    case 'feed':
      return tended(id, kind, 'Fed', 'Fed');
    case 'air':
      return tended(id, kind, 'More air', 'A step more air');
  }
}

const tended = (
  batch: string,
  what: Extract<EntryDraft, { kind: 'tended' }>['what'],
  word: string,
  said: string,
): TaskDone => ({ entries: [{ kind: 'tended', batch, what }], word, said });

export const LOOK_ANSWERS = ['firm', 'tacky', 'fine', 'soft', 'alive', 'leaf-off'] as const;
export type LookAnswer = (typeof LOOK_ANSWERS)[number];

/** What a look can be answered with by one tap; none where it is a count or asks for more than a word. */
export function answersTo({ kind }: Look): readonly LookAnswer[] {
  switch (kind) {
    case 'wound':
      return ['firm', 'tacky'];
    case 'neighbour':
    case 'again':
      return ['fine', 'soft'];
    case 'alive':
      return ['alive', 'soft'];
    case 'leaf-off':
      return ['leaf-off'];
    default:
      return [];
  }
}

/** The entry that an answer to a look is. */
export function answered({ batch }: Pick<Look, 'batch'>, answer: LookAnswer): EntryDraft {
  return answer === 'leaf-off'
    ? { kind: 'tended', batch: batch.id, what: 'leaf-off' }
    : { kind: 'inspected', batch: batch.id, seen: answer === 'alive' ? 'fine' : answer };
}
