import type { Better, SlowBy, SlowHere } from '@hypogeon/core/care';
import { daysBetween } from '@hypogeon/core/days';
import { nearDay } from './days';
import { counted, NOUN } from './plural';
import { temperatureText } from './quantities';
import type { Speech } from './speech';
import { warmthStep } from './ways';

const WHY: Readonly<Record<SlowBy, string>> = {
  cold: 'too cool for it',
  heat: 'too hot for it',
  dark: 'too dark for it',
  damp: 'too still and damp for the wound',
};

/** `About 10 °C in the time ahead, too cool for it: roots about 26 Sept 2028; where it likes to be in about 5 weeks.` */
export function slowText(slow: SlowHere, speech: Speech): string {
  const { by, tempC, roots, usualDays } = slow;
  const { locale, temperature } = speech;
  const at = temperatureText(Math.round(tempC), temperature, locale);
  const weeks = Math.max(1, Math.round(usualDays / 7));
  return `About ${at} in the time ahead, ${WHY[by]}: roots about ${nearDay(roots, speech)}; where it likes to be in about ${counted(weeks, NOUN.week)}.`;
}

/** What it would be: the name of a place, a mat, a lamp. */
export function betterName(
  { is }: Better,
  placeName: (space: string) => string,
  speech: Speech,
): string {
  switch (is.by) {
    case 'place':
      return placeName(is.space);
    case 'mat':
      return `A mat under it, ${warmthStep(is.warmerC, speech)} warmer`;
    case 'lamp':
      return `A lamp over it, ${is.hours} hours a day`;
  }
}

/** `roots about 24 Jan, the cut closed by 5 Dec`. */
export function betterText({ roots, opens }: Better, speech: Speech): string {
  const closed = opens === null ? '' : `, the cut closed by ${nearDay(opens, speech)}`;
  return `roots about ${nearDay(roots, speech)}${closed}`;
}

/** Nothing of the grower's own is better. */
export function noneBetter({ by, roots }: SlowHere, speech: Speech): string {
  const long = daysBetween(speech.today, roots) > 120;
  const wants = { cold: 'warmth', heat: 'a cooler place', dark: 'a lamp', damp: 'moving air' }[by];
  return `None of your places is better now; ${wants} would be.${long ? ' Or cut when its season comes.' : ''}`;
}
