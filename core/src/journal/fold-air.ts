import { memo } from '../memo';
import {
  dailyReadings,
  mergeSeries,
  minuteFrom,
  type AirReading,
  type AirSeries,
} from '../climate';

import { compareByDay, compareEntries, isKind, type Entry, type EntryOf } from './entry';

/**
 * The readings of a space by day. What a grower wrote down by hand for a day stands before what a
 * logger says of it.
 */
export function foldAir(entries: readonly Entry[]): readonly AirReading[] {
  const byDay = new Map<string, AirReading>();
  const series = seriesEntries(entries);
  // Loggers of one day may lie in several entries; days that lie in one keep what was reckoned before.
  const overlapping = overlaps(series);
  for (const reading of overlapping
    ? dailyReadings(mergeSeries(series.map(seriesOf)))
    : series.flatMap(daily))
    byDay.set(reading.day, reading);
  const hand = entries.filter(isKind('air')).toSorted(compareByDay);
  for (const { day, tempC, rh, minC, maxC, windMps, rainMm, molPerDay } of hand)
    byDay.set(day, {
      day,
      tempC,
      rh,
      ...given({ minC, maxC, windMps, rainMm, molPerDay }),
    });
  return [...byDay.values()].sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** All logged readings of a space, in order of time; of the same minute the entry written last. */
export function loggedSeries(entries: readonly Entry[]): AirSeries {
  return mergeSeries(seriesEntries(entries).map(seriesOf));
}

function seriesEntries(entries: readonly Entry[]): readonly EntryOf<'series'>[] {
  return entries.filter(isKind('series')).toSorted(compareEntries);
}

/** Whether two entries speak of one day. */
function overlaps(series: readonly EntryOf<'series'>[]): boolean {
  const spans = series
    .map((e) => ({ from: e.start.slice(0, 10), to: daily(e).at(-1)?.day ?? e.start.slice(0, 10) }))
    .sort((a, b) => (a.from < b.from ? -1 : 1));
  return spans.some((s, i) => i > 0 && s.from <= spans[i - 1]!.to);
}

/** An entry never changes: its days are reckoned once, and forgotten with it. */
const daily = memo((entry: EntryOf<'series'>) => dailyReadings(seriesOf(entry)));

function seriesOf({ start, offsets, columns }: EntryOf<'series'>): AirSeries {
  const from = minuteFrom(start) ?? 0;
  return { minutes: offsets.map((o) => from + o), columns };
}

/** Only what is there: a missing figure is no field at all. */
function given<T extends object>(fields: T): Partial<T> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, v]) => v !== undefined),
  ) as Partial<T>;
}
