import { inject, Injectable } from '@angular/core';
import { sizeProblem, type Entry, type ImportPreview, type Problem } from '@hypogeon/core';
import { FILES_WORKER } from './files-worker';
import { Journal } from './journal';
import { Pictures } from './pictures';
import { saveText } from './save-text';
import { Today } from './today';

/** A file as it was read, with the pictures that came along. */
export type OfferedFile =
  | {
      readonly ok: true;
      readonly entries: readonly Entry[];
      readonly preview: ImportPreview;
      readonly pictures: ReadonlyMap<string, Blob>;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The journal as files: out, and in again with what it would change said first. */
@Injectable({ providedIn: 'root' })
export class JournalFile {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today);
  private readonly worker = inject(FILES_WORKER);
  private readonly pictures = inject(Pictures);

  async save(): Promise<void> {
    const name = `hypogeon-${this.journal.book()}-${this.today.day()}.json`;
    saveText(name, await this.worker().write(this.entries()), 'application/json');
  }

  async read(file: File): Promise<OfferedFile> {
    if (/\.zip$/i.test(file.name) || file.type === 'application/zip') return this.readZip(file);
    const tooLarge = sizeProblem(file.size);
    if (tooLarge) return { ok: false, problems: [tooLarge] };
    return this.offer(await file.text(), new Map());
  }

  /** Puts the pictures of an imported file beside those that are here. */
  restore(pictures: ReadonlyMap<string, Blob>): Promise<number> {
    return this.pictures.restore(pictures);
  }

  private async readZip(file: File): Promise<OfferedFile> {
    if (file.size > MOST_ZIP_BYTES)
      return { ok: false, problems: [{ sentence: 'this zip is larger than 2 GB.' }] };
    const unzipped = await this.worker().unzip(new Uint8Array(await file.arrayBuffer()));
    if (!unzipped.ok) return { ok: false, problems: [{ sentence: unzipped.problem }] };
    const pictures = new Map(
      unzipped.pictures.map(({ id, bytes }) => [
        id,
        new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' }),
      ]),
    );
    return this.offer(unzipped.journal, pictures);
  }

  private async offer(text: string, pictures: ReadonlyMap<string, Blob>): Promise<OfferedFile> {
    const read = await this.worker().read(text, this.entries());
    return read.ok ? { ...read, pictures } : read;
  }

  entries(): readonly Entry[] {
    return [...this.journal.state().log.values()].flat();
  }
}

/** More than a browser holds in one piece. */
const MOST_ZIP_BYTES = 2_000_000_000;
