import type { WaterSays } from '@hypogeon/core/care';
import type { Batch } from '@hypogeon/core/journal';
import type { WaterVerdict } from '@hypogeon/core/water';
import { drinkText } from '@hypogeon/words';
import type { Words } from './words';

/** A verdict as a glance takes it in: `no water until Sun 12 Apr`, `water, about 45 mL each`. */
export function verdictWords(words: Words, batch: Batch, verdict: WaterVerdict): string {
  switch (verdict.kind) {
    case 'closed':
      return verdict.opens ? `no water until ${words.near(verdict.opens)}` : 'no water here';
    case 'hold':
      if (verdict.poolMl > 0 && verdict.due === null && verdict.reason.why === 'pool')
        return 'no water: the base stands wet';
      return verdict.due ? `no water until ${words.near(verdict.due.likely)}` : 'no water for now';
    case 'water':
      return `water, ${drinkWords(words, batch, verdict)}`;
    case 'overdue':
      return `water, overdue: ${drinkWords(words, batch, verdict)}`;
  }
}

/** Whether a pot itself asks for water. */
export const isThirsty = (verdict: WaterVerdict | null): boolean =>
  verdict?.kind === 'water' || verdict?.kind === 'overdue';

/** What is said of its water everywhere, at a glance; empty where nothing is. */
export function waterGlance(
  words: Words,
  batch: Batch,
  says: WaterSays,
  verdict: WaterVerdict,
): string {
  if (says.is === 'free') return '';
  if (says.is === 'now' && isThirsty(verdict)) return verdictWords(words, batch, verdict);
  if (says.is === 'now') return words.ask(says.ask).toLowerCase();
  return says.leave?.reason.why === 'verdict'
    ? verdictWords(words, batch, verdict)
    : `no water until ${words.near(says.day)}`;
}

export function drinkWords(words: Words, batch: Batch, { drink }: WaterVerdict): string {
  return drink.manner === 'misted'
    ? 'a mist'
    : drinkText(drink.ml, batch.containers ?? 1, words.lengthUnit());
}
