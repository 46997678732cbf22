import type { Ahead, HowMany, OnItsWay, RootsFan } from '@hypogeon/core/learn';
import { nearDay } from './days';
import type { Speech } from './speech';

const range = ({ low, high }: Pick<HowMany, 'low' | 'high'>): string =>
  low === high ? `${low}` : `${low} to ${high}`;

/** `As expected: 8 of 24 with roots on 1 Apr, 4 to 13 were likely.` */
export function onItsWayText({ is, seen, of, expected, day }: OnItsWay, speech: Speech): string {
  const counted = `${seen} of ${of} with roots ${nearDay(day, speech)}`;
  const likely =
    expected.low === expected.high
      ? `${expected.low} ${expected.low === 1 ? 'was' : 'were'} likely`
      : `${range(expected)} were likely`;
  switch (is) {
    case 'behind':
      return `Behind: ${counted}, where ${likely}.`;
    case 'ahead':
      return `Ahead: ${counted}, where ${likely}.`;
    case 'as expected':
      return `As expected: ${counted}, ${likely}.`;
  }
}

/** What is believed of those that wait: `Of the 15 that wait, 8 in 10 root in the end.` */
export function everText({ pieces, ever }: Pick<Ahead, 'pieces' | 'ever'>): string {
  const tenths = Math.round(10 * ever);
  const share = tenths >= 10 ? 'nearly all' : tenths < 1 ? 'hardly any' : `about ${tenths} in 10`;
  return pieces === 1
    ? `The one that waits roots ${tenths >= 10 ? 'nearly surely' : `${tenths} times in 10`}.`
    : `Of the ${pieces} that wait ${share} root in the end.`;
}

/** The fan for somebody who does not see it. */
export function fanText({ of, counted, expected }: RootsFan): string {
  const last = expected.at(-1);
  const seen = counted.at(-1);
  return [
    last ? `Roots to be expected of ${of}: ${range(last)} by day ${last.day}.` : '',
    seen ? `${seen.rooted} were counted on day ${seen.day}.` : 'Nobody has counted as yet.',
  ]
    .filter(Boolean)
    .join(' ');
}

/** `Day 21: 6 to 14 to be expected; 8 counted.` */
export const fanOn = (
  { day, ...likely }: HowMany & { readonly day: number },
  counted: number | undefined,
): string =>
  `Day ${day}: ${range(likely)} to be expected${counted === undefined ? '' : `; ${counted} counted`}.`;

/** What is to be expected at its end: `about 11 of 12 by 4 Feb (9 to 12)`. */
export function fanAhead({ of, ahead, expected }: RootsFan, by: string): string {
  const last = (ahead.length > 0 ? ahead : expected).at(-1);
  if (!last) return '';
  const about = last.low === last.high ? `${last.low}` : `about ${Math.round(last.mean)}`;
  return `${about} of ${of} by ${by}${last.low === last.high ? '' : ` (${range(last)})`}`;
}
