import type { AnewWrong, CutDayWrong } from '@hypogeon/core/bench';
import type { State } from '@hypogeon/core/journal';
import { dayText } from './days';
import { logLine } from './log-line';
import type { Speech } from './speech';

/** Why a day cannot be the day of the cut: what stands against it, and what to do. */
export function cutDayWrongText(state: State, wrong: CutDayWrong, speech: Speech): string {
  if (wrong.why === 'ahead') return 'It is cut already, and that day is still to come.';
  const { entry } = wrong;
  return `“${logLine(state, entry, speech)}” was recorded for ${dayText(entry.day, speech)}: the cut cannot be later. Undo that in its log first.`;
}

/** Why an entry cannot be told so. */
export function anewWrongText(state: State, wrong: AnewWrong, speech: Speech): string {
  switch (wrong.why) {
    case 'to-come':
      return 'That day is still to come. What is done is recorded on its day.';
    case 'uncut':
      return `It was cut on ${dayText(wrong.cutOn, speech)}: nothing was done to it before. Put the day of the cut right first.`;
    case 'too-many':
      return `${wrong.told} are told, but the batch had ${wrong.of}. Take ${wrong.told - wrong.of} off.`;
    case 'nothing':
      return 'Nothing is left of it so. Undo it instead.';
    default:
      return cutDayWrongText(state, wrong, speech);
  }
}
