import type { AgendaLine } from '@hypogeon/core/round';
import type { Ask, Do } from '@hypogeon/core/care';
import { METHOD } from '@hypogeon/core/botany';
import { volumeText } from './amounts';
import { askText, lateText } from './care';
import { counted, NOUN } from './plural';
import type { Speech } from './speech';

/**
 * A line of the day's work, short, with how much: `Water 3 batches, about 2.0 L in all`. For a single batch it is
 * what is asked of that batch.
 */
export function agendaTitle(line: AgendaLine, speech: Speech): string {
  const [first] = line.items;
  if (line.items.length === 1) return askText(first, speech);
  const batches = counted(line.items.length, NOUN.batch);
  switch (line.kind) {
    case 'water':
    case 'first-water':
    case 'pot-water': {
      const name = {
        water: 'Water',
        'first-water': 'First water for',
        'pot-water': 'First drink in the pot for',
      }[line.kind];
      const all = line.items.map(drinkOf);
      const told = all.filter((ml) => ml !== null).reduce((sum, ml) => sum + ml, 0);
      // An amount of some only would be read as that of all.
      const amount =
        all.includes(null) || told === 0
          ? ''
          : `, about ${volumeText(told, speech.length, speech.locale)} in all`;
      return `${name} ${batches}${amount}`;
    }
    case 'mist':
      return `Mist ${batches}`;
    case 'stick':
      return first.reason.why === 'into-jar'
        ? `Into the jar: ${pieces(line)}`
        : first.band === 'do' && first.onto
          ? `Lay ${pieces(line)} on the mix`
          : `Set ${pieces(line)} in the mix`;
    case 'wean':
      return `Move ${pieces(line)} from the jar into the mix`;
    case 'pot-on':
      return `Pot on ${pieces(line)}`;
    case 'cut':
      return `Cut ${pieces(line)}`;
    case 'water-mother':
      return `Water ${counted(line.items.length, NOUN.mother)}`;
    case 'light':
      return `More light for ${batches}`;
    case 'air':
      return `More air for ${batches}`;
    case 'feed':
      return `Feed ${batches} at half strength`;
    case 'jar-change':
      return `Change the water of ${batches}`;
    case 'jar-stir':
      return `Move the water of ${batches}`;
    case 'jar-feed':
      return `Feed ${batches} in the jar`;
    case 'roots':
      return `Look for roots: ${batches}`;
    case 'pups':
      return `Look for new growth: ${batches}`;
    case 'wound':
      return `Touch one wound in each of ${batches}`;
    case 'overdue':
      return `Long without roots: ${batches}`;
    case 'again':
      return `Look again: ${batches}`;
    case 'alive':
      return `Do they still live? ${batches}`;
    case 'neighbour':
      return `Rot near them: ${batches}`;
    case 'stopped':
      return `Wounds stand still: ${batches}`;
    case 'pool':
      return `Water stands at the base: ${batches}`;
    case 'leaf-off':
      return `Are the old leaves crisp? ${batches}`;
  }
}

/** `12 days late`, of the one that waits longest. */
export const agendaLate = (line: AgendaLine): string =>
  line.items.length === 1 ? lateText(line) : line.late < 3 ? '' : `up to ${lateText(line)}`;

/** Pieces of one kind by their name, of several as cuttings. */
function pieces({ items, count }: AgendaLine): string {
  const [first] = items;
  const alike = items.every((i) => i.batch.method === first.batch.method);
  const { one, many } = METHOD[first.batch.method];
  return `${count} ${alike ? (count === 1 ? one : many) : count === 1 ? 'cutting' : 'cuttings'}`;
}

const drinkOf = (ask: Ask): number | null => {
  const { drink, batch } = ask as Do;
  return drink && drink.manner !== 'misted' ? drink.ml * (batch.containers ?? 1) : null;
};
