import type { AnewWrong, CutDayWrong } from '@hypogeon/core/bench';
import type { State } from '@hypogeon/core/journal';
import * as say from '@hypogeon/messages/put-right';
import { dayText } from './days';
import { logLine } from './log-line';
import type { Speech } from './speech';

/** Why a day cannot be the day of the cut: what stands against it, and what to do. */
export function cutDayWrongText(state: State, wrong: CutDayWrong, speech: Speech): string {
  if (wrong.why === 'ahead') return say.itIsCutAlready();
  const { entry } = wrong;
  return say.wasRecordedForThe({
    logLine: logLine(state, entry, speech),
    day: dayText(entry.day, speech),
  });
}

/** Why an entry cannot be told so. */
export function anewWrongText(state: State, wrong: AnewWrong, speech: Speech): string {
  switch (wrong.why) {
    case 'to-come':
      return say.thatDayIsStill();
    case 'uncut':
      return say.itWasCutOn({ day: dayText(wrong.cutOn, speech) });
    case 'too-many':
      return say.areToldButThe({ told: wrong.told, of: wrong.of, of2: wrong.told - wrong.of });
    case 'nothing':
      return say.nothingIsLeftOf();
    default:
      return cutDayWrongText(state, wrong, speech);
  }
}
