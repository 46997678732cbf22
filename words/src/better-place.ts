import type { Better, SlowBy, SlowHere } from '@hypogeon/core/care';
import { daysBetween } from '@hypogeon/core/days';
import * as say from '@hypogeon/messages/words-better-place';
import { nearDay } from './days';
import { temperatureText } from './quantities';
import type { Speech } from './speech';
import { warmthStep } from './ways';

const WHY: Readonly<Record<SlowBy, string>> = {
  get cold() {
    return say.tooCoolForIt();
  },
  get heat() {
    return say.tooHotForIt();
  },
  get dark() {
    return say.tooDarkForIt();
  },
  get damp() {
    return say.tooStillAndDamp();
  },
};

/** `About 10 °C in the time ahead, too cool for it: roots about 26 Sept 2028; where it likes to be in about 5 weeks.` */
export function slowText(slow: SlowHere, speech: Speech): string {
  const { by, tempC, roots, usualDays } = slow;
  const { locale, temperature } = speech;
  const at = temperatureText(Math.round(tempC), temperature, locale);
  const weeks = Math.max(1, Math.round(usualDays / 7));
  return say.aboutInTheTime({ at, why: WHY[by], nearDay: nearDay(roots, speech), weeks });
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
      return say.aMatUnderIt({ warmthStep: warmthStep(is.warmerC, speech) });
    case 'lamp':
      return say.aLampOverIt({ hours: is.hours });
  }
}

/** `roots about 24 Jan, the cut closed by 5 Dec`. */
export function betterText({ roots, opens }: Better, speech: Speech): string {
  const closed = opens === null ? '' : say.theCutClosedBy({ nearDay: nearDay(opens, speech) });
  return say.rootsAbout({ nearDay: nearDay(roots, speech), closed });
}

/** Nothing of the grower's own is better. */
export function noneBetter({ by, roots }: SlowHere, speech: Speech): string {
  const long = daysBetween(speech.today, roots) > 120;
  const wants = {
    cold: 'warmth',
    heat: say.aCoolerPlace(),
    dark: say.aLamp(),
    damp: say.movingAir(),
  }[by];
  return say.noneOfYourPlaces({ wants, what: long ? say.orCutWhenIts() : '' });
}
