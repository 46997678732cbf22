import type { WeibullTime } from '../botany';
import { guideBelief, USUAL_CORRELATION } from '../learn';
import { chancesAfter, type Chances } from '../plan';

/** A chance without any pace: all that live are ready with one chance. */
export const certain = (a: number, b: number, ready = 1): readonly Chances[] => [
  { weight: 1, a, b, ready },
];

/** What is believed of a batch of which nothing is known but its figures, after so much growth. */
export const untoldAfter = (
  { a, b }: { readonly a: number; readonly b: number },
  time: WeibullTime,
  growth: number,
): readonly Chances[] =>
  chancesAfter({ batch: guideBelief(a / (a + b), a + b, USUAL_CORRELATION) }, time, growth);
