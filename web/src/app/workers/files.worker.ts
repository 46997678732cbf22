import {
  calendarOf,
  dataPackage,
  entriesOf,
  fold,
  guessPaper,
  guessMapping,
  possibleOrders,
  previewImport,
  readJournal,
  readTable,
  readWeather,
  tasksAhead,
  writeJournal,
  type Day,
  type Entry,
  type ImportPreview,
  type DateOrder,
  type PaperMapping,
  type Problem,
  type Table,
  type Verdicts,
  type WeatherMapping,
  type WeatherRead,
} from '@hypogeon/core';
import { expose } from 'comlink';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';

export type ReadFile =
  | { readonly ok: true; readonly entries: readonly Entry[]; readonly preview: ImportPreview }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export interface NamedBytes {
  readonly id: string;
  readonly bytes: Uint8Array;
}

export type Unzipped =
  | { readonly ok: true; readonly journal: string; readonly pictures: readonly NamedBytes[] }
  | { readonly ok: false; readonly problem: string };

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
  /** The journal and its pictures in one zip; pictures are packed as they are, they shrink no further. */
  zip(entries: readonly Entry[], pictures: readonly NamedBytes[]): Uint8Array {
    const packed: Zippable = { 'journal.json': strToU8(writeJournal(entriesOf(fold(entries)))) };
    for (const { id, bytes } of pictures) packed[`pictures/${id}.jpg`] = [bytes, { level: 0 }];
    return zipSync(packed);
  },
  /** Everything as a tabular data package. */
  dataPackage(entries: readonly Entry[], today: Day, writtenAt: Date): Uint8Array {
    const files = dataPackage(fold(entries), today, writtenAt);
    return zipSync(Object.fromEntries(files.map(({ name, text }) => [name, strToU8(text)])));
  },
  /** The tasks of the coming weeks for a calendar; many batches over many days take their time. */
  calendar(entries: readonly Entry[], today: Day, verdicts: Verdicts, writtenAt: Date): string {
    return calendarOf('Hypogeon', tasksAhead(fold(entries), today, verdicts), writtenAt);
  },
  /** What a zip of ours holds: the text of its journal, null if there is none, and its pictures. */
  unzip(bytes: Uint8Array): Unzipped {
    let files: Record<string, Uint8Array>;
    try {
      files = unzipSync(bytes);
    } catch {
      return {
        ok: false,
        problem: 'This zip is damaged or was cut off. Save it again and import the new one.',
      };
    }
    const journal = files['journal.json'];
    if (!journal)
      return {
        ok: false,
        problem: 'There is no journal.json in this zip. Choose a zip that Hypogeon saved.',
      };
    const pictures = Object.entries(files).flatMap(([name, data]) => {
      const id = /^pictures\/([\w-]{1,80})\.jpg$/.exec(name)?.[1];
      return id === undefined ? [] : [{ id, bytes: data }];
    });
    return { ok: true, journal: strFromU8(journal), pictures };
  },
  /** A table somebody typed from paper, with its columns guessed. */
  paper(text: string): { readonly table: Table; readonly mapping: PaperMapping } | null {
    const table = readTable(text);
    return table && { table, mapping: guessPaper(table) };
  },
};

export type FilesWorker = typeof files;

expose(files);
