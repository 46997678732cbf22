import {
  entriesOf,
  fold,
  previewImport,
  readJournal,
  writeJournal,
  type Entry,
  type ImportPreview,
  type Problem,
} from '@hypogeon/core';
import { expose } from 'comlink';

export type ReadFile =
  | { readonly ok: true; readonly entries: readonly Entry[]; readonly preview: ImportPreview }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Reading and writing whole journals, off the screen's thread. */
const files = {
  read(text: string, known: readonly Entry[]): ReadFile {
    const state = fold(known);
    const read = readJournal(text, state);
    return read.ok ? { ...read, preview: previewImport(state, read.entries) } : read;
  },
  write(entries: readonly Entry[]): string {
    return writeJournal(entriesOf(fold(entries)));
  },
};

export type FilesWorker = typeof files;

expose(files);
