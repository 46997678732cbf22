import { inject, Injectable } from '@angular/core';
import {
  sizeProblem,
  sizeWarning,
  writeJournal,
  type ImportPreview,
  type Problem,
} from '@hypogeon/core/formats';
import { unite, type Entry } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/journal-file';
import { Journal } from './journal';
import { LastFile } from './last-file';
import { Pictures } from './pictures';
import { saveText } from './save-text';
import { Today } from './today';
import type { ReadFile } from '../workers/files';
import { FILES_WORKER } from './workers';

/** A file as it was read, with the pictures that came along. */
export type OfferedFile =
  | {
      readonly ok: true;
      readonly entries: readonly Entry[];
      /** So many were written while a clock stood ahead, and are stamped anew. */
      readonly ahead: number;
      readonly preview: ImportPreview;
      readonly pictures: ReadonlyMap<string, Blob>;
      /** Files of a zip that are no pictures, or that nothing names: not taken. */
      readonly leftOut: number;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The journal as files: out, and in again with what it would change said first. */
@Injectable({ providedIn: 'root' })
export class JournalFile {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today);
  private readonly worker = inject(FILES_WORKER);
  private readonly pictures = inject(Pictures);
  private readonly last = inject(LastFile);

  /** @returns a sentence where the file comes near the largest that can be read back; empty otherwise */
  async save(): Promise<string> {
    const text = await this.textOf(this.entries());
    saveText(this.name(), text, 'application/json');
    await this.last.saved();
    return sizeWarning(text.length);
  }

  name(): string {
    return `hypogeon-${this.journal.book()}-${this.today.day()}.json`;
  }

  /** Entries as a journal's file has them. */
  textOf(entries: readonly Entry[]): Promise<string> {
    // The file is the last resort where all else fails: without a worker it is written here.
    return this.worker
      .ask((w) => w.write(entries))
      .catch((error: unknown) => {
        console.error('writing the file in the worker', error);
        return writeJournal(unite(entries));
      });
  }

  /** @throws Stopped if the grower stops it, or what went wrong in the worker */
  async read(file: File): Promise<OfferedFile> {
    if (/\.zip$/i.test(file.name) || file.type === 'application/zip') return this.readZip(file);
    const tooLarge = sizeProblem(file.size);
    if (tooLarge) return { ok: false, problems: [tooLarge] };
    const read = await this.readText(file);
    return read.ok ? { ...read, pictures: new Map(), leftOut: 0 } : read;
  }

  /** Ends a reading that takes too long for the grower. */
  stop(): void {
    this.worker.stop();
  }

  /** Puts the pictures of an imported file beside those that are here. */
  restore(pictures: ReadonlyMap<string, Blob>): Promise<number> {
    return this.pictures.restore(pictures);
  }

  /** A large file is read line by line where it lies. */
  private async readText(file: File): Promise<ReadFile> {
    const known = this.entries();
    if (file.size > LARGE_FILE) return this.worker.ask((w) => w.readLarge(file, known, Date.now()));
    const text = await file.text();
    return this.worker.ask((w) => w.read(text, known, Date.now()));
  }

  private async readZip(file: File): Promise<OfferedFile> {
    if (file.size > MOST_ZIP_BYTES)
      return { ok: false, problems: [{ sentence: say.thisZipIsLarger() }] };
    const bytes = new Uint8Array(await file.arrayBuffer());
    const read = await this.worker.ask((w) => w.readZip(bytes, this.entries(), Date.now()));
    if (!read.ok) return read;
    const pictures = new Map(
      read.pictures.map(({ id, bytes: data, type }) => [
        id,
        new Blob([data as Uint8Array<ArrayBuffer>], { type }),
      ]),
    );
    return { ...read, pictures };
  }

  entries(): readonly Entry[] {
    return [...this.journal.state().log.values()].flat();
  }
}

/** From here on no second copy of a file is made. */
const LARGE_FILE = 30_000_000;
/** More than a browser holds in one piece. */
const MOST_ZIP_BYTES = 1_000_000_000;
