import type { ForecastBin, ForecastsHeld } from '@hypogeon/core/ledger';
import type { RotCalibration, WhatIfId, WhatIfProblem } from '@hypogeon/core/rehearse';
import type { EntryOf } from '@hypogeon/core/journal';
import * as say from '@hypogeon/messages/forecast';
import { percent, percentSpan } from './shares';

type Said = Pick<EntryOf<'forecast'>, 'rooted' | 'low' | 'high' | 'cuttings' | 'days'>;

/** `Forecast: 78% of 9 with roots by day 120 (60–100%).` */
export const forecastText = ({ rooted, low, high, cuttings, days }: Said): string =>
  say.forecastOfWithRoots({
    percent: percent(rooted),
    cuttings,
    days,
    percentSpan: percentSpan({ low, high }),
  });

/** How many ranges held, and what that says. */
export function rangesText(ranges: ForecastsHeld['ranges']): string {
  if (!ranges) return say.noneIsSettledYet();
  const { held, of, low, high } = ranges;
  const told = say.whatCameLayWithin({
    held,
    counted: say.forecasts({ of }),
    percentSpan: percentSpan({ low, high }),
  });
  if (low > 0.8) return say.theyAreTooCareful({ told });
  if (high < 0.8) return say.theyAreTooSure({ told });
  return say.nothingSpeaksAgainstThem({ told });
}

/** `Of those said 60–80% (mean 71%): 64% of 40 rooted (45–80%).` */
export const binText = ({ from, to, said, came, cuttings }: ForecastBin): string =>
  say.ofThoseSaidMean({
    percentSpan: percentSpan({ low: from, high: to }),
    percent: percent(said),
    percent2: percent(came.share),
    cuttings,
    percentSpan2: percentSpan(came),
  });

/** From so much narrower on it is more than a hint. */
const [HINT, GOOD] = [0.12, 0.4];

/** What a play rests on: the assumption, or what rotted on this bench. */
export function rotCalibrationText(
  { factor, low, high, batches, told, early, late }: RotCalibration,
  figure: (n: number) => string,
): string {
  const range = `${figure(low)}–${figure(high)}`;
  if (batches === 0) return say.howReadyWoundsRot({ range });
  const strength =
    told < HINT ? say.hardlyMoreThanThe() : told < GOOD ? say.someEvidence() : say.goodEvidence();
  const tally = (name: string, { cuttings, rotted }: RotCalibration['early']): string =>
    cuttings === 0 ? '' : say.ofRotted({ name, rotted, cuttings });
  const counts = `${tally(say.wateredEarly(), early)}${tally(say.wateredInTime(), late)}`;
  return say.byBatchOfYours({ batches, figure: figure(factor), range, strength, counts });
}

/** What is asked of a batch. */
export const whatIfName = (id: string, told: boolean): string =>
  new Map(Object.entries(WHAT_IF)).get(id)?.()[told ? 1 : 0] ?? id;

const WHAT_IF: Readonly<Record<WhatIfId, () => readonly [open: string, told: string]>> = {
  went: () => [say.asItWent(), say.asItWent()],
  course: () => [say.byItsCourse(), say.byItsCourse()],
  now: () => [say.wateredToday(), say.wateredToday()],
  weekly: () => [say.wateredTodayThenWeekly(), say.setAtOnceWatered()],
  roots: () => [say.noWaterUntilRoots(), say.noWaterUntilRoots()],
};

/** Why nothing can be asked of a batch. */
export const WHAT_IF_PROBLEM: Readonly<Record<WhatIfProblem, string>> = {
  get 'unknown plant'() {
    return say.itsPlantIsNot();
  },
  get 'no pot'() {
    return say.sayWhatItStands();
  },
  get 'no mix'() {
    return say.sayWhatItStandsIn();
  },
  get 'not set in a mix'() {
    return say.onlyWhatRootsIn();
  },
  get 'does not close here'() {
    return say.itsCutDoesNot();
  },
  get 'cut again'() {
    return say.itWasCutAgain();
  },
  get 'all have roots'() {
    return say.allThatLiveHave();
  },
  get 'a year past'() {
    return say.itWasCutMore();
  },
  get 'not seen'() {
    return say.nothingWasCountedYet();
  },
};
