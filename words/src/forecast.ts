import type { ForecastBin, ForecastsHeld } from '@hypogeon/core/ledger';
import type { RotCalibration, WhatIfId, WhatIfProblem } from '@hypogeon/core/rehearse';
import type { EntryOf } from '@hypogeon/core/journal';
import { counted, NOUN } from './plural';
import { percent, percentSpan } from './shares';

const FORECAST = { one: 'forecast', other: 'forecasts' };

type Said = Pick<EntryOf<'forecast'>, 'rooted' | 'low' | 'high' | 'cuttings' | 'days'>;

/** `Forecast: 78% of 9 with roots by day 120 (60–100%).` */
export const forecastText = ({ rooted, low, high, cuttings, days }: Said): string =>
  `Forecast: ${percent(rooted)} of ${cuttings} with roots by day ${days} (${percentSpan({ low, high })}).`;

/** How many ranges held, and what that says. */
export function rangesText(ranges: ForecastsHeld['ranges']): string {
  if (!ranges) return 'None is settled yet. Eight in ten should come true.';
  const { held, of, low, high } = ranges;
  const told = `What came lay within the range of ${held} of ${counted(of, FORECAST)} (${percentSpan({ low, high })}); eight in ten should.`;
  if (low > 0.8) return `${told} They are too careful: their ranges could be narrower.`;
  if (high < 0.8) return `${told} They are too sure of themselves.`;
  return `${told} Nothing speaks against them yet.`;
}

/** `Of those said 60–80% (mean 71%): 64% of 40 rooted (45–80%).` */
export const binText = ({ from, to, said, came, cuttings }: ForecastBin): string =>
  `Of those said ${percentSpan({ low: from, high: to })} (mean ${percent(said)}): ${percent(came.share)} of ${cuttings} rooted (${percentSpan(came)}).`;

/** From so much narrower on it is more than a hint. */
const [HINT, GOOD] = [0.12, 0.4];

/** What a play rests on: the assumption, or what rotted on this bench. */
export function rotCalibrationText(
  { factor, low, high, batches, told, early, late }: RotCalibration,
  figure: (n: number) => string,
): string {
  const range = `${figure(low)}–${figure(high)}`;
  if (batches === 0)
    return `How ready wounds rot in wet mix is assumed: no batch of yours tells yet. It may be ${range} times as much, eight times in ten.`;
  const strength =
    told < HINT
      ? 'hardly more than the assumption'
      : told < GOOD
        ? 'some evidence'
        : 'good evidence';
  const tally = (name: string, { cuttings, rotted }: RotCalibration['early']): string =>
    cuttings === 0 ? '' : ` ${name} ${rotted} of ${cuttings} rotted.`;
  const counts = `${tally('Watered early,', early)}${tally('Watered in time,', late)}`;
  return `By ${counted(batches, NOUN.batch)} of yours wounds rot ${figure(factor)} times as readily as assumed (${range}, eight times in ten): ${strength}.${counts}`;
}

/** What is asked of a batch. */
export const whatIfName = (id: string, told: boolean): string =>
  new Map(Object.entries(WHAT_IF)).get(id)?.[told ? 1 : 0] ?? id;

const WHAT_IF: Readonly<Record<WhatIfId, readonly [open: string, told: string]>> = {
  went: ['As it went', 'As it went'],
  course: ['By its course', 'By its course'],
  now: ['Watered today', 'Watered today'],
  weekly: ['Watered today, then weekly', 'Set at once, watered weekly'],
  roots: ['No water until roots', 'No water until roots'],
};

/** Why nothing can be asked of a batch. */
export const WHAT_IF_PROBLEM: Readonly<Record<WhatIfProblem, string>> = {
  'unknown plant': 'Its plant is not in the guide, so nothing is known of its roots.',
  'no pot': 'Say what it stands in, on its page: how wet the mix stays hangs on the pot.',
  'no mix': 'Say what it stands in, on its page: how wet it stays hangs on the mix.',
  'not set in a mix': 'Only what roots in or on a mix can be played yet.',
  'does not close here':
    'Its cut does not close where it dries: move it somewhere warmer or drier.',
  'cut again': 'It was cut again on the way: such a story cannot be played yet.',
  'all have roots': 'All that live have roots: nothing is left to be tried.',
  'a year past': 'It was cut more than a year ago: a play goes no further than a year.',
  'not seen': 'Nothing was counted yet, so there is nothing to hold a play against.',
};
