import * as say from '@hypogeon/messages/core-done';
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
        word: say.watered(),
        said: say.motherWatered(),
      };
    case 'cut': {
      const word = batch.method === 'seed' ? say.gathered() : say.cut();
      return { entries: [{ kind: 'cut', batch: id }], word, said: word };
    }
    case 'stick': {
      // Those with roots only: the others stay where they lie.
      const part = reason.why === 'roots-on-rack' && count < batch.count ? { count } : {};
      const jar = reason.why === 'into-jar';
      const sown = reason.why === 'sow';
      return {
        entries: [{ kind: 'stuck', batch: id, ...part }],
        word: jar ? say.inTheJar() : sown ? say.sown() : say.setWord(),
        said: jar ? say.inTheJar() : sown ? say.sown() : say.setWord(),
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
      const word = how === 'misted' ? say.misted() : say.watered();
      return { entries: [{ kind: 'watered', batch: id, how, ...ml }], word, said: word };
    }
    case 'pot-on':
      return {
        entries: [{ kind: 'potted', batch: id, count }],
        word: say.potted(),
        said: say.pottedOn(),
      };
    case 'jar-stir':
      return tended(id, kind, say.moved(), say.waterMoved());
    case 'jar-change':
      return tended(id, kind, say.changed(), say.waterChanged());
    case 'jar-feed':
      return tended(id, kind, say.fed(), say.fedInTheJar());
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
        word: say.inTheMix(),
        said: say.movedIntoTheMix(),
      };
    case 'light':
      return tended(id, kind, say.brighter(), say.aStepMoreLight());
    case 'feed':
      return tended(id, kind, say.fed(), say.fed());
    case 'air':
      return tended(id, kind, say.moreAir(), say.aStepMoreAir());
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
