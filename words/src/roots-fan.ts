import type { Ahead, HowMany, OnItsWay, RootsFan } from '@hypogeon/core/learn';
import * as say from '@hypogeon/messages/roots-fan';
import { nearDay } from './days';
import type { Speech } from './speech';

const range = ({ low, high }: Pick<HowMany, 'low' | 'high'>): string =>
  low === high ? `${low}` : say.to({ low, high });

/** `As expected: 8 of 24 with roots on 1 Apr, 4 to 13 were likely.` */
export function onItsWayText({ is, seen, of, expected, day }: OnItsWay, speech: Speech): string {
  const counted = say.ofWithRoots({ seen, of, nearDay: nearDay(day, speech) });
  const likely =
    expected.low === expected.high
      ? say.wasLikely({ low: expected.low })
      : say.wereLikely({ range: range(expected) });
  switch (is) {
    case 'behind':
      return say.behindWhere({ counted, likely });
    case 'ahead':
      return say.aheadWhere({ counted, likely });
    case 'as expected':
      return say.asExpected({ counted, likely });
  }
}

/** What is believed of those that wait: `Of the 15 that wait 8 in 10 make it in the end`: root, come up, take hold. */
export function everText({ pieces, ever }: Pick<Ahead, 'pieces' | 'ever'>): string {
  const tenths = Math.round(10 * ever);
  const share =
    tenths >= 10 ? say.nearlyAll() : tenths < 1 ? say.hardlyAny() : say.aboutIn10({ tenths });
  return pieces === 1
    ? say.theOneThatWaits({ what: tenths >= 10 ? say.nearlySurely() : say.timesIn10({ tenths }) })
    : say.ofTheThatWait({ pieces, share });
}

/** The fan for somebody who does not see it. */
export function fanText({ of, counted, expected }: RootsFan): string {
  const last = expected.at(-1);
  const seen = counted.at(-1);
  return [
    last ? say.rootsToBeExpected({ of, range: range(last), day: last.day }) : '',
    seen ? say.wereCountedOnDay({ rooted: seen.rooted, day: seen.day }) : say.nobodyHasCountedAs(),
  ]
    .filter(Boolean)
    .join(' ');
}

/** `Day 21: 6 to 14 to be expected; 8 counted.` */
export const fanOn = (
  { day, ...likely }: HowMany & { readonly day: number },
  counted: number | undefined,
): string =>
  say.dayToBeExpected({
    day,
    range: range(likely),
    what: counted === undefined ? '' : say.counted({ counted }),
  });

/** What is to be expected at its end: `about 11 of 12 by 4 Feb (9 to 12)`. */
export function fanAhead({ of, ahead, expected }: RootsFan, by: string): string {
  const last = (ahead.length > 0 ? ahead : expected).at(-1);
  if (!last) return '';
  const about = last.low === last.high ? `${last.low}` : say.about({ mean: Math.round(last.mean) });
  return say.ofBy({ about, of, by, what: last.low === last.high ? '' : ` (${range(last)})` });
}
