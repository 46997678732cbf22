import * as say from '@hypogeon/messages/core-weather-csv';
import Papa from 'papaparse';
import {
  dayOfMinute,
  isPlausible,
  SERIES_COLUMNS,
  type AirSeries,
  type SeriesColumn,
} from '../climate';
import type { Day } from '../days';
import {
  DATE_ORDERS,
  deviceClock,
  ordersFor,
  readWallTime,
  zoneMinutes,
  zoneOf,
  type DateOrder,
} from './wall-time';

/** A table as it was read, before anyone says what its columns mean. */
export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

export const WEATHER_UNITS = {
  tempC: ['°C', '°F'],
  minC: ['°C', '°F'],
  maxC: ['°C', '°F'],
  rh: ['%', '0–1'],
  windMps: ['m/s', 'km/h', 'mph'],
  rainMm: ['mm', 'in'],
  ppfd: ['µmol', 'lux'],
} as const satisfies Record<SeriesColumn, readonly string[]>;

/** Which column means what. */
export interface WeatherMapping {
  readonly date: number;
  /** A column of its own for the time of day. */
  readonly time: number | null;
  readonly order: DateOrder;
  /** Added to every time, where the log keeps another clock than the bench. */
  readonly shiftHours?: number;
  readonly columns: Readonly<
    Partial<Record<SeriesColumn, { readonly index: number; readonly unit: string }>>
  >;
}

export interface WeatherProblem {
  /** Line of the file, counted from 1, header included. */
  readonly line: number;
  readonly sentence: string;
}

/** What an import would bring. */
export interface WeatherRead {
  readonly series: AirSeries;
  readonly from: Day | null;
  readonly to: Day | null;
  /** Rows that could not be taken, the first few told. */
  readonly refused: number;
  readonly problems: readonly WeatherProblem[];
  /** Rows of a minute that came before: the later one stands. */
  readonly duplicates: number;
  /** Values left out because no bench has them. */
  readonly impossible: number;
  /** Values left out because they are no numbers, and the first of them. */
  readonly unreadable: number;
  readonly unreadableLike: string | null;
  /** The time zones that the times say they are of: turned into the clock of the bench. */
  readonly zones: readonly string[];
  /** Stretches without a reading, longer than three usual steps. */
  readonly gaps: readonly { readonly from: Day; readonly to: Day; readonly hours: number }[];
  /** Usual step between readings, minutes. */
  readonly stepMinutes: number;
  /** Humidity is missing altogether and will be filled from the night's low. */
  readonly withoutHumidity: boolean;
}

const MOST_PROBLEMS = 12;
const MOST_GAPS = 20;
const MOST_ZONES = 4;
const SAMPLE = 200;

/** Reads delimited text; the delimiter is found by itself. @returns null for an empty file */
export function readTable(text: string): Table | null {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [header, ...rows] = data;
  if (!header || rows.length === 0) return null;
  return { header: header.map((h) => h.trim()), rows };
}

const LOOKS_LIKE: Readonly<Record<SeriesColumn, RegExp>> = {
  // `min`, `T min`, `temp_min`, `minimum temperature`, but no minutes.
  minC: /(?<![a-z])(t|temp)?min(imum)?(temp)?(?![a-z])|low/i,
  maxC: /(?<![a-z])(t|temp)?max(imum)?(temp)?(?![a-z])|high/i,
  tempC: /temp|°\s*[cf]|^t$|^t[ (_]|celsius|fahrenheit/i,
  rh: /hum|^r\.?h|rel.*feucht|%\s*rh/i,
  windMps: /wind(?!.*dir)/i,
  rainMm: /rain|precip|^prcp/i,
  ppfd: /light|lux|ppfd|par\b|illum/i,
};

/** A first guess at what the columns mean, to be put right by the grower. */
export function guessMapping({ header, rows }: Table): WeatherMapping {
  const find = (pattern: RegExp, taken: readonly number[] = []): number =>
    header.findIndex((h, i) => pattern.test(h) && !taken.includes(i));
  const found = find(/date|timestamp|^day|datum|zeit|time/i);
  const time = find(/^time|uhrzeit|hour/i, [found]);
  const taken = [found, time];
  const date = Math.max(0, found);
  const columns: Partial<Record<SeriesColumn, { index: number; unit: string }>> = {};
  // Extremes before the mean, which would swallow them.
  for (const column of ['minC', 'maxC', 'tempC', 'rh', 'windMps', 'rainMm', 'ppfd'] as const) {
    const index = find(LOOKS_LIKE[column], taken);
    if (index < 0) continue;
    taken.push(index);
    columns[column] = { index, unit: guessUnit(column, header[index]!, valuesOf(rows, index)) };
  }
  const texts = rows.slice(0, SAMPLE).map((r) => r[date] ?? '');
  const times = time < 0 ? [] : rows.slice(0, SAMPLE).map((r) => r[time] ?? '');
  const [order = 'ymd'] = ordersFor(texts, times);
  return { date, time: time < 0 ? null : time, order, columns };
}

/** Days and months that could be swapped: the grower is asked. */
export function possibleOrders(table: Table, { date, time }: WeatherMapping): readonly DateOrder[] {
  const texts = table.rows.map((r) => r[date] ?? '');
  const times = time === null ? [] : table.rows.map((r) => r[time] ?? '');
  const all = ordersFor(texts, times);
  if (all.length > 0) return all;
  // A few broken rows must not hide what the rest says.
  const best = DATE_ORDERS.filter(
    (order) =>
      texts.filter((t, i) => readWallTime(t, order, times[i]) !== null).length > 0.5 * texts.length,
  );
  return best.length > 0 ? best : DATE_ORDERS;
}

function valuesOf(rows: Table['rows'], index: number): readonly number[] {
  return rows
    .slice(0, SAMPLE)
    .map((r) => readNumber(r[index] ?? ''))
    .filter((v) => v !== null);
}

function guessUnit(column: SeriesColumn, name: string, values: readonly number[]): string {
  // The upper end without the odd slip of a pen.
  const sorted = [...values].sort((a, b) => a - b);
  const most = sorted[Math.floor(0.9 * (sorted.length - 1))] ?? -Infinity;
  switch (column) {
    case 'tempC':
    case 'minC':
    case 'maxC':
      if (/°\s*c\b|celsius/i.test(name)) return '°C';
      return /°?\s*f\b|fahren/i.test(name) || most > 55 ? '°F' : '°C';
    case 'rh':
      return most <= 1 ? '0–1' : '%';
    case 'windMps':
      return /km/i.test(name) ? 'km/h' : /mph/i.test(name) ? 'mph' : 'm/s';
    case 'rainMm':
      return /\bin\b|inch/i.test(name) ? 'in' : 'mm';
    case 'ppfd':
      return /lux|lx|illum/i.test(name) || most > 2600 ? 'lux' : 'µmol';
  }
}

/** Sunlight: lux in one µmol m⁻² s⁻¹. Source: common conversion for daylight, 54 (from memory). */
export const LUX_PER_PPFD = 54;

const TO_CORE: Readonly<Record<string, (v: number) => number>> = {
  '°C': (v) => v,
  '°F': (v) => ((v - 32) * 5) / 9,
  '%': (v) => v / 100,
  '0–1': (v) => v,
  'm/s': (v) => v,
  'km/h': (v) => v / 3.6,
  mph: (v) => v * 0.44704,
  mm: (v) => v,
  in: (v) => v * 25.4,
  µmol: (v) => v,
  lux: (v) => v / LUX_PER_PPFD,
};

/** A value in the core's unit. */
export const toCore = (value: number, unit: string): number => TO_CORE[unit]!(value);

const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d{1,3})?$/i;
/** Thousands set apart, as `1.234,5` and `1,234.5`. */
const GROUPED = /^[+-]?\d{1,3}(([.,  '’])\d{3})(\2\d{3})*([.,]\d+)?$/;

/**
 * A number as loggers and spreadsheets write it, with point or comma, thousands set apart or not; null for anything
 * else, and for −999 and below, the usual sign of nothing.
 */
export function readNumber(text: string): number | null {
  const trimmed = text.trim().replace('−', '-');
  const value = NUMBER.test(trimmed)
    ? Number(trimmed.replace(',', '.'))
    : isGrouped(trimmed)
      ? Number(ungrouped(trimmed))
      : NaN;
  return Number.isFinite(value) && value > -999 ? value : null;
}

/** Two different signs, or one that stands more than once: else a single comma is a decimal one. */
function isGrouped(text: string): boolean {
  const parts = GROUPED.exec(text);
  if (!parts) return false;
  const [, , group, more, decimals] = parts;
  return decimals === undefined
    ? more !== undefined || !/[.,]/.test(group!)
    : !decimals.startsWith(group!);
}

function ungrouped(text: string): string {
  const decimal = /[.,]\d+$/.exec(text)?.[0] ?? '';
  const isDecimal = decimal !== '' && text.indexOf(decimal[0]!) === text.length - decimal.length;
  const whole = (isDecimal ? text.slice(0, -decimal.length) : text).replace(/[.,  '’]/g, '');
  return isDecimal ? `${whole}.${decimal.slice(1)}` : whole;
}

/** What stands for no reading: empty, a dash, a word or code for nothing. */
const NOTHING = /^(|-+|n\/?a|null|none|nan|na|-?999(9|\.0+|\.9+)*)$/i;

/**
 * Reads a table as weather. Times that tell their zone become the bench's own clock. Rows whose date cannot be read are left out and told; values that no bench
 * can have become gaps.
 */
export function readWeather(
  table: Table,
  mapping: WeatherMapping,
  clock: (utc: number) => number = deviceClock,
): WeatherRead {
  const used = SERIES_COLUMNS.filter((c) => mapping.columns[c] !== undefined);
  const problems: WeatherProblem[] = [];
  let refused = 0;
  let impossible = 0;
  const refuse = (row: number, sentence: string): void => {
    refused++;
    if (problems.length < MOST_PROBLEMS) problems.push({ line: row + 2, sentence });
  };
  const order: number[] = [];
  const minutes: number[] = [];
  const zones = new Set<string>();
  const shift = Math.round((mapping.shiftHours ?? 0) * 60);
  table.rows.forEach((row, i) => {
    const date = row[mapping.date] ?? '';
    const time = mapping.time === null ? '' : (row[mapping.time] ?? '');
    const minute = readWallTime(date, mapping.order, time);
    if (minute === null) return refuse(i, say.isNoDate({ text: `${date} ${time}`.trim() }));
    if (used.every((c) => readNumber(row[mapping.columns[c]!.index] ?? '') === null))
      return refuse(i, say.noReading());
    const zone = zoneOf(date, mapping.order, time);
    if (zone !== null && zones.size < MOST_ZONES) zones.add(zone);
    minutes[i] = shift + (zone === null ? minute : clock(minute - zoneMinutes(zone)));
    order.push(i);
  });
  order.sort((a, b) => minutes[a]! - minutes[b]! || a - b);
  const kept = order.filter((row, k) => minutes[order[k + 1]!] !== minutes[row]);

  let unreadable = 0;
  let unreadableLike: string | null = null;
  const columns = Object.fromEntries(
    used.map((column) => {
      const { index, unit } = mapping.columns[column]!;
      const convert = TO_CORE[unit]!;
      const values = kept.map((row) => {
        const text = (table.rows[row]![index] ?? '').trim();
        const raw = readNumber(text);
        if (raw === null) {
          if (!NOTHING.test(text)) {
            unreadable++;
            unreadableLike ??= text.slice(0, 24);
          }
          return null;
        }
        const value = convert(raw);
        if (isPlausible(column, value)) return Math.round(value * 1e4) / 1e4;
        impossible++;
        return null;
      });
      return [column, values];
    }),
  );
  const times = kept.map((row) => minutes[row]!);
  const stepMinutes = usualStep(times);
  return {
    series: { minutes: times, columns },
    from: times.length > 0 ? dayOfMinute(times[0]!) : null,
    to: times.length > 0 ? dayOfMinute(times.at(-1)!) : null,
    refused,
    problems,
    duplicates: order.length - kept.length,
    impossible,
    unreadable,
    unreadableLike,
    zones: [...zones],
    gaps: gapsIn(times, stepMinutes),
    stepMinutes,
    withoutHumidity: !used.includes('rh') || columns.rh!.every((v) => v === null),
  };
}

/** Median step. */
function usualStep(times: readonly number[]): number {
  if (times.length < 2) return 0;
  const steps = times.slice(1, 2001).map((t, i) => t - times[i]!);
  return steps.sort((a, b) => a - b)[Math.floor((steps.length - 1) / 2)]!;
}

function gapsIn(times: readonly number[], step: number): WeatherRead['gaps'] {
  const gaps: { from: Day; to: Day; hours: number }[] = [];
  for (let i = 1; i < times.length && gaps.length < MOST_GAPS; i++) {
    const length = times[i]! - times[i - 1]!;
    if (length > 3 * step)
      gaps.push({
        from: dayOfMinute(times[i - 1]!),
        to: dayOfMinute(times[i]!),
        hours: Math.round(length / 60),
      });
  }
  return gaps;
}

/** A series in pieces that end with a day, so that each day lies in one entry of the journal. */
export function splitSeries(series: AirSeries, rows = 4500): readonly AirSeries[] {
  const pieces: AirSeries[] = [];
  let from = 0;
  while (from < series.minutes.length) {
    let to = Math.min(from + rows, series.minutes.length);
    const day = (i: number): number => Math.floor(series.minutes[i]! / 1440);
    while (to < series.minutes.length && day(to) === day(to - 1)) to++;
    pieces.push({
      minutes: series.minutes.slice(from, to),
      columns: Object.fromEntries(
        Object.entries(series.columns).map(([name, values]) => [name, values.slice(from, to)]),
      ),
    });
    from = to;
  }
  return pieces;
}
