import { addDays, type Day } from '../days';
import type { Batch, EntryOf, State } from '../journal';
import { batchTitle } from '../bench';
import { correlationOf } from '../learn';
import { wilson, type ShareInterval } from '../stats';
import { shareOf } from './effective';

/** A forecast that was kept, and what came of it. */
export interface ForecastHeld {
  readonly batch: string;
  readonly title: string;
  readonly day: string;
  readonly until: string;
  readonly way: string | undefined;
  readonly cuttings: number;
  /** The batch was left out of what is learned. */
  readonly leftOut: boolean;
  readonly said: number;
  readonly low: number;
  readonly high: number;
  /** Of its cuttings so many have roots and live; null while it is open. */
  readonly came: number | null;
  /** What came lies within what was said of eight batches in ten. */
  readonly held: boolean | null;
}

/** Forecasts that said about the same, and what came of all their cuttings. */
export interface ForecastBin {
  readonly from: number;
  readonly to: number;
  readonly forecasts: number;
  readonly cuttings: number;
  /** Mean of what was said, and what came, each cutting counted once. */
  readonly said: number;
  readonly came: ShareInterval;
}

export interface ForecastsHeld {
  /** The last said first. */
  readonly forecasts: readonly ForecastHeld[];
  /** Of the settled ones, how many ranges held what came: eight in ten should. Null while none is settled. */
  readonly ranges: (ShareInterval & { readonly held: number; readonly of: number }) | null;
  readonly bins: readonly ForecastBin[];
}

const EDGES = [0, 0.2, 0.4, 0.6, 0.8, 1] as const;

/**
 * Every forecast that was kept, held against what came of its batch: whether its range held, and of those of which
 * about so many were said to root, how many did.
 * @param today an open batch is settled once its forecast's last day is past and it was counted since
 */
export function holdForecasts(state: State, today: Day): ForecastsHeld {
  const forecasts = [...state.batches.values()]
    .flatMap((batch) => batch.forecasts.map((forecast) => hold(state, batch, forecast, today)))
    .sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0));
  const settled = forecasts.filter((f) => f.came !== null);
  const held = settled.filter((f) => f.held).length;
  const correlation = correlationOf(state);
  const ranges = wilson(held, settled.length);
  return {
    forecasts,
    ranges: ranges && { ...ranges, held, of: settled.length },
    bins: EDGES.slice(0, -1).flatMap((from, i) => {
      const to = EDGES[i + 1]!;
      const last = i === EDGES.length - 2;
      const mine = settled.filter((f) => f.said >= from && (f.said < to || last));
      const bin = binOf(mine, correlation);
      return bin ? [{ from, to, ...bin }] : [];
    }),
  };
}

function binOf(
  mine: readonly ForecastHeld[],
  correlation: number,
): Omit<ForecastBin, 'from' | 'to'> | null {
  const cuttings = mine.reduce((sum, f) => sum + f.cuttings, 0);
  // A batch's cuttings go together: forty that rotted together are no forty misses.
  const came = shareOf(
    mine.map((f) => ({ of: f.cuttings, yes: f.came! })),
    correlation,
  );
  return (
    came && {
      forecasts: mine.length,
      cuttings,
      said: mine.reduce((sum, f) => sum + f.said * f.cuttings, 0) / cuttings,
      came,
    }
  );
}

function hold(state: State, batch: Batch, forecast: EntryOf<'forecast'>, today: Day): ForecastHeld {
  const { cuttings, rooted, low, high, days, had = 0, day, way } = forecast;
  const until = addDays(batch.cutOn, days);
  const counted = batch.tallies.at(-1);
  const over =
    batch.stage === 'done' ||
    batch.waiting === 0 ||
    (today >= until && counted !== undefined && counted >= until);
  const alive = batch.counts.rooted + batch.counts.pupped - had;
  const told = over && counted !== undefined && batch.excluded === undefined;
  // What joined the batch or left it since is none of what was said.
  const came = told ? Math.max(0, Math.min(cuttings, alive)) : null;
  return {
    batch: batch.id,
    title: batchTitle(state, batch),
    day,
    until,
    way,
    cuttings,
    leftOut: batch.excluded !== undefined,
    said: rooted,
    low,
    high,
    came,
    held: came === null ? null : within(came, cuttings, low, high),
  };
}

/** Rounded to whole cuttings: of nine none can be seven tenths. */
const within = (came: number, of: number, low: number, high: number): boolean =>
  came >= Math.round(low * of) && came <= Math.round(high * of);
