import {
  entriesOf,
  fold,
  guessMapping,
  possibleOrders,
  previewImport,
  readJournal,
  readTable,
  readWeather,
  writeJournal,
  type Entry,
  type ImportPreview,
  type DateOrder,
  type Problem,
  type WeatherMapping,
  type WeatherRead,
} from '@hypogeon/core';
import { expose } from 'comlink';

export type ReadFile =
  | { readonly ok: true; readonly entries: readonly Entry[]; readonly preview: ImportPreview }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** A weather table with its meaning guessed, or as the grower says. */
export type ReadWeatherFile =
  | {
      readonly ok: true;
      readonly header: readonly string[];
      /** The first rows, to judge the columns by. */
      readonly sample: readonly (readonly string[])[];
      readonly rows: number;
      readonly mapping: WeatherMapping;
      readonly orders: readonly DateOrder[];
      readonly read: WeatherRead;
    }
  | { readonly ok: false; readonly problem: string };

/** Reading and writing whole journals, off the screen's thread. */
const files = {
  read(text: string, known: readonly Entry[]): ReadFile {
    const state = fold(known);
    const read = readJournal(text, state);
    return read.ok ? { ...read, preview: previewImport(state, read.entries) } : read;
  },
  weather(text: string, given: WeatherMapping | null): ReadWeatherFile {
    const table = readTable(text);
    if (!table)
      return {
        ok: false,
        problem: 'There is no table in this file: a header and rows were expected.',
      };
    const guessed = given ?? guessMapping(table);
    const orders = possibleOrders(table, guessed);
    const mapping =
      given || orders.includes(guessed.order)
        ? guessed
        : { ...guessed, order: orders[0] ?? guessed.order };
    return {
      ok: true,
      header: table.header,
      sample: table.rows.slice(0, 4),
      rows: table.rows.length,
      mapping,
      orders,
      read: readWeather(table, mapping),
    };
  },
  write(entries: readonly Entry[]): string {
    return writeJournal(entriesOf(fold(entries)));
  },
};

export type FilesWorker = typeof files;

expose(files);
