import * as say from '@hypogeon/messages/shares';
import { perCent } from '@hypogeon/core/units';

/** `67%`. @param fraction 0–1 */
export const percent = (fraction: number): string => perCent(Math.round(fraction * 100));

/** `41–86%`; a single figure where both ends come to the same. @param span fractions 0–1 */
export function percentSpan({
  low,
  high,
}: {
  readonly low: number;
  readonly high: number;
}): string {
  const [from, to] = [Math.round(low * 100), Math.round(high * 100)];
  return perCent(from === to ? to : `${from}–${to}`);
}

/** A certainty as growers say it: 80 is `eight times in ten`. @param certainty per cent */
export const timesInTen = (certainty: number): string =>
  IN_TEN[certainty] ?? say.timesIn100({ certainty });

const IN_TEN: Readonly<Record<number, string>> = {
  get 50() {
    return say.fiveTimesInTen();
  },
  get 80() {
    return say.eightTimesInTen();
  },
  get 90() {
    return say.nineTimesInTen();
  },
  get 95() {
    return say.n19TimesIn20();
  },
};
