import type { EntryDraft } from '../journal';
import type { Do } from './item';

/** What one tap on a task records, what the button says, and what is said once it is saved. */
export interface TaskDone {
  readonly entries: readonly EntryDraft[];
  readonly word: string;
  readonly said: string;
}

export function taskDone({ kind, batch: { id: batch, method }, count, drink }: Do): TaskDone {
  switch (kind) {
    case 'cut':
      return { entries: [{ kind: 'cut', batch }], word: 'Cut', said: 'Cut' };
    case 'stick':
      return { entries: [{ kind: 'stuck', batch }], word: 'Stuck', said: 'Stuck' };
    case 'first-water':
    case 'water':
    case 'mist': {
      const usual = kind === 'mist' || (method === 'leaf' && kind === 'first-water');
      const how = drink?.manner ?? (usual ? 'misted' : 'poured');
      // What runs through need not be measured, and a mist is a mist.
      const ml =
        drink && !drink.through && how !== 'misted'
          ? { ml: Math.max(1, Math.round(drink.ml)) }
          : {};
      const word = how === 'misted' ? 'Misted' : 'Watered';
      return { entries: [{ kind: 'watered', batch, how, ...ml }], word, said: word };
    }
    case 'pot-on':
      return { entries: [{ kind: 'potted', batch, count }], word: 'Potted', said: 'Potted on' };
    case 'jar-stir':
      return {
        entries: [{ kind: 'tended', batch, what: kind }],
        word: 'Moved',
        said: 'Water moved',
      };
    case 'jar-change':
      return {
        entries: [{ kind: 'tended', batch, what: kind }],
        word: 'Changed',
        said: 'Water changed',
      };
    case 'wean':
      return {
        entries: [
          {
            kind: 'put',
            record: 'batch',
            key: batch,
            fields: { tray: null, cells: null, rootedInWater: true },
          },
          { kind: 'stuck', batch },
        ],
        word: 'In soil',
        said: 'Moved to soil',
      };
    case 'light':
      return {
        entries: [{ kind: 'tended', batch, what: kind }],
        word: 'Brighter',
        said: 'A step more light',
      };
    case 'feed':
      return { entries: [{ kind: 'tended', batch, what: kind }], word: 'Fed', said: 'Fed' };
  }
}
