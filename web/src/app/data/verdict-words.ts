import type { WaterSays } from '@hypogeon/core/care';
import type { Batch } from '@hypogeon/core/journal';
import type { WaterVerdict } from '@hypogeon/core/water';
import { drinkText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/verdict-words';
import type { Words } from './words';

/** A verdict as a glance takes it in: `no water until Sun 12 Apr`, `water, about 45 mL each`. */
export function verdictWords(words: Words, batch: Batch, verdict: WaterVerdict): string {
  switch (verdict.kind) {
    case 'closed':
      return verdict.opens
        ? say.noWaterUntil({ near: words.near(verdict.opens) })
        : say.noWaterHere();
    case 'hold':
      if (verdict.poolMl > 0 && verdict.due === null && verdict.reason.why === 'pool')
        return say.noWaterTheBase();
      return verdict.due
        ? say.noWaterUntil({ near: words.near(verdict.due.likely) })
        : say.noWaterForNow();
    case 'water':
      return say.water({ drinkWords: drinkWords(words, batch, verdict) });
    case 'overdue':
      return say.waterOverdue({ drinkWords: drinkWords(words, batch, verdict) });
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
    : say.noWaterUntil({ near: words.near(says.day) });
}

export function drinkWords(words: Words, batch: Batch, { drink }: WaterVerdict): string {
  return drink.manner === 'misted'
    ? say.aMist()
    : drinkText(drink.ml, batch.containers ?? 1, words.lengthUnit());
}
