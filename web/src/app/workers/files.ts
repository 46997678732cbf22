import type { Day } from '@hypogeon/core/days';
import {
  calendarOf,
  dataPackage,
  guessPaper,
  guessMapping,
  JournalLines,
  MAX_JOURNAL_BYTES,
  possibleOrders,
  previewImport,
  readJournal,
  readTable,
  readWeather,
  tornJournal,
  writeJournal,
  type ImportPreview,
  type DateOrder,
  type PaperMapping,
  type Problem,
  type Table,
  type TornJournal,
  type WeatherMapping,
  type WeatherRead,
} from '@hypogeon/core/formats';
import { entriesOf, fold, isKind, type Entry } from '@hypogeon/core/journal';
import { tasksAhead, type Verdicts } from '@hypogeon/core/round';
import { calendarText, speechFor, type DayStyle } from '@hypogeon/words';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { say } from '@hypogeon/messages/files';
import type { StoredChunk } from '../data/store/chunk-store';
import { makeSnapshot } from '../data/store/snapshot-store';
import { pictureType } from './picture-type';
import { linesOf } from './lines-of';
import { unpack } from './unzip';

export type ReadFile =
  | {
      readonly ok: true;
      readonly entries: readonly Entry[];
      readonly ahead: number;
      readonly preview: ImportPreview;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export interface NamedBytes {
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** A zip of ours as it was read: the journal's own reading, and the pictures that belong to it. */
export type ReadZip =
  | (Extract<ReadFile, { ok: true }> & {
      readonly pictures: readonly (NamedBytes & { readonly type: string })[];
      /** Files that no entry names, or that are no pictures: not taken. */
      readonly leftOut: number;
    })
  | Extract<ReadFile, { ok: false }>;

/** The largest picture that is taken back: far above what is ever kept. */
const MOST_PICTURE = 30_000_000;
const PICTURE = /^pictures\/([\w-]{1,80})\.jpg$/;
const isPhoto = isKind('photo');
const isPut = isKind('put');

/** The picture that an entry names. */
const pictureIn = (entry: Entry): readonly string[] => {
  if (isPhoto(entry)) return [entry.picture];
  if (!isPut(entry) || entry.record !== 'mother' || !entry.fields.picture) return [];
  return [entry.fields.picture.id];
};

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
export const files = {
  /** Chunks of the store read, folded and packed. */
  snapshot(chunks: readonly StoredChunk[], build: string): string {
    return makeSnapshot(chunks, build);
  },
  read(text: string, known: readonly Entry[], nowMs: number): ReadFile {
    const state = fold(known);
    const read = readJournal(text, state, nowMs);
    return read.ok ? { ...read, preview: previewImport(state, read.entries) } : read;
  },
  /** What is whole of a journal that broke off on its way; null where it is none. */
  torn(text: string, nowMs: number): TornJournal | null {
    return tornJournal(text, nowMs);
  },
  /** A file too large to hold twice: line by line, as it is written here; laid out otherwise, as a whole. */
  async readLarge(file: Blob, known: readonly Entry[], nowMs: number): Promise<ReadFile> {
    const state = fold(known);
    const lines = new JournalLines();
    let first = true;
    for await (const line of linesOf(file)) {
      if (first && !JournalLines.fits(line)) return files.read(await file.text(), known, nowMs);
      first = false;
      if (!lines.take(line)) break;
    }
    const read = lines.end(state, nowMs);
    return read.ok ? { ...read, preview: previewImport(state, read.entries) } : read;
  },
  weather(text: string, given: WeatherMapping | null): ReadWeatherFile {
    const table = readTable(text);
    if (!table)
      return {
        ok: false,
        problem: say.thereIsNoTable(),
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
  calendar(
    entries: readonly Entry[],
    style: DayStyle,
    verdicts: Verdicts,
    writtenAt: Date,
  ): string {
    const state = fold(entries);
    const speech = speechFor(state, style);
    const events = tasksAhead(state, style.today, verdicts).map((t) =>
      calendarText(state, t, speech),
    );
    return calendarOf(say.hypogeon(), events, writtenAt);
  },
  /** A zip of ours: its journal as of a file by itself, and the pictures that entries here or there name. */
  async readZip(bytes: Uint8Array, known: readonly Entry[], nowMs: number): Promise<ReadZip> {
    const unpacked = unpack(bytes, (name) =>
      name === 'journal.json' ? MAX_JOURNAL_BYTES : PICTURE.test(name) ? MOST_PICTURE : null,
    );
    if (!unpacked.ok) return refused(unpacked.problem);
    const journal = unpacked.files.get('journal.json');
    if (!journal) return refused(say.thereIsNoJournal());
    const file = new Blob([journal as Uint8Array<ArrayBuffer>]);
    const read = await files.readLarge(file, known, nowMs);
    if (!read.ok) return read;
    const named = new Set([...read.entries, ...known].flatMap(pictureIn));
    const pictures: (NamedBytes & { type: string })[] = [];
    let leftOut = 0;
    for (const [name, data] of unpacked.files) {
      const id = PICTURE.exec(name)?.[1];
      if (id === undefined) continue;
      const type = pictureType(data);
      if (type !== null && named.has(id)) pictures.push({ id, bytes: data, type });
      else leftOut++;
    }
    return { ...read, pictures, leftOut };
  },
  /** A table somebody typed from paper, with its columns guessed. */
  paper(text: string): { readonly table: Table; readonly mapping: PaperMapping } | null {
    const table = readTable(text);
    return table && { table, mapping: guessPaper(table) };
  },
};

const refused = (sentence: string): Extract<ReadFile, { ok: false }> => ({
  ok: false,
  problems: [{ sentence }],
});

export type FilesWorker = typeof files;
