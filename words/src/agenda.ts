import type { AgendaLine } from '@hypogeon/core/round';
import type { Ask, Do } from '@hypogeon/core/care';
import { METHOD } from '@hypogeon/core/botany';
import * as say from '@hypogeon/messages/agenda';
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
      const title = {
        water: say.water,
        'first-water': say.firstWaterFor,
        'pot-water': say.firstDrinkInThe,
      }[line.kind];
      const all = line.items.map(drinkOf);
      const told = all.filter((ml) => ml !== null).reduce((sum, ml) => sum + ml, 0);
      // An amount of some only would be read as that of all.
      const amount =
        all.includes(null) || told === 0
          ? ''
          : say.aboutInAll({ volume: volumeText(told, speech.length, speech.locale) });
      return title({ batches, amount });
    }
    case 'mist':
      return say.mist({ batches });
    case 'stick':
      return first.reason.why === 'into-jar'
        ? say.intoTheJar({ pieces: pieces(line) })
        : first.band === 'do' && first.onto
          ? say.layOnTheMix({ pieces: pieces(line) })
          : say.setInTheMix({ pieces: pieces(line) });
    case 'wean':
      return say.moveFromTheJar({ pieces: pieces(line) });
    case 'pot-on':
      return say.potOn({ pieces: pieces(line) });
    case 'cut':
      return say.cut({ pieces: pieces(line) });
    case 'water-mother':
      return say.waterMother({ itemsCount: line.items.length });
    case 'light':
      return say.moreLightFor({ batches });
    case 'air':
      return say.moreAirFor({ batches });
    case 'feed':
      return say.feedAtHalfStrength({ batches });
    case 'jar-change':
      return say.changeTheWaterOf({ batches });
    case 'jar-stir':
      return say.moveTheWaterOf({ batches });
    case 'jar-feed':
      return say.feedInTheJar({ batches });
    case 'roots':
      return say.lookForRoots({ batches });
    case 'pups':
      return say.lookForNewGrowth({ batches });
    case 'wound':
      return say.touchOneWoundIn({ batches });
    case 'overdue':
      return say.longWithoutRoots({ batches });
    case 'again':
      return say.lookAgain({ batches });
    case 'alive':
      return say.doTheyStillLive({ batches });
    case 'neighbour':
      return say.rotNearThem({ batches });
    case 'stopped':
      return say.woundsStandStill({ batches });
    case 'pool':
      return say.waterStandsAtThe({ batches });
    case 'leaf-off':
      return say.areTheOldLeaves({ batches });
  }
}

/** `12 days late`, of the one that waits longest. */
export const agendaLate = (line: AgendaLine): string =>
  line.items.length === 1
    ? lateText(line)
    : line.late < 3
      ? ''
      : say.upTo({ late: lateText(line) });

/** Pieces of one kind by their name, of several as cuttings. */
function pieces({ items, count }: AgendaLine): string {
  const [first] = items;
  const alike = items.every((i) => i.batch.method === first.batch.method);
  const { one, many } = METHOD[first.batch.method];
  return `${count} ${alike ? (count === 1 ? one : many) : count === 1 ? say.cutting() : say.cuttings()}`;
}

const drinkOf = (ask: Ask): number | null => {
  const { drink, batch } = ask as Do;
  return drink && drink.manner !== 'misted' ? drink.ml * (batch.containers ?? 1) : null;
};
