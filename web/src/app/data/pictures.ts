import { inject, Injectable } from '@angular/core';
import { say } from '@hypogeon/messages/data-pictures';
import { STORES } from './book';
import { freshId } from './fresh-id';
import { Journal, type Draft } from './journal';
import { PICTURES_WORKER } from './workers';

/** No side longer than this: a wound fills the screen, and a season fits on a phone. */
const MOST_SIDE = 1600;
const QUALITY = 0.82;
/** What a camera gives is rarely larger; what is larger is no picture of a cutting. */
const MOST_BYTES = 60_000_000;

export type Taken =
  | { readonly ok: true; readonly picture: string }
  | { readonly ok: false; readonly problem: string };

/** A picture in the store, that nothing names yet. */
type Kept =
  | {
      readonly ok: true;
      readonly picture: string;
      readonly width: number;
      readonly height: number;
      readonly bytes: number;
    }
  | Extract<Taken, { ok: false }>;

/** Pictures: shrunk in a worker, kept beside the journal, named by an entry of their batch. */
@Injectable({ providedIn: 'root' })
export class Pictures {
  private readonly journal = inject(Journal);
  private readonly stores = inject(STORES);
  private readonly worker = inject(PICTURES_WORKER);

  /** A picture of a batch, with the entry that names it. */
  async take(
    file: File,
    batch: string,
    about: { readonly day?: string; readonly text?: string },
  ): Promise<Taken> {
    const kept = await this.keep(file);
    if (!kept.ok) return kept;
    const { picture, width, height, bytes } = kept;
    return this.named(picture, {
      kind: 'photo',
      batch,
      picture,
      width,
      height,
      bytes,
      name: file.name.slice(0, 200),
      ...about,
    });
  }

  /** The picture that a mother wears: one at a time, the one before stays with the journal. */
  async takeOfMother(file: File, mother: string): Promise<Taken> {
    const kept = await this.keep(file);
    if (!kept.ok) return kept;
    const { picture: id, width, height } = kept;
    return this.named(id, {
      kind: 'put',
      record: 'mother',
      key: mother,
      fields: { picture: { id, width, height } },
    });
  }

  private async named(picture: string, draft: Draft): Promise<Taken> {
    const { saved } = await this.journal.record(draft);
    return saved ? { ok: true, picture } : { ok: false, problem: say.thePictureIsKept() };
  }

  /** The picture is stored before the entry that names it: an entry never points at nothing. */
  private async keep(file: File): Promise<Kept> {
    if (!file.type.startsWith('image/'))
      return {
        ok: false,
        problem: say.isNoPicture({ name: file.name }),
      };
    if (file.size > MOST_BYTES)
      return { ok: false, problem: say.isLargerThan60({ name: file.name }) };
    let shrunk;
    try {
      shrunk = await this.worker.ask((w) => w.shrink(file, MOST_SIDE, QUALITY));
    } catch {
      return {
        ok: false,
        problem: say.cannotBeReadHere({ name: file.name }),
      };
    }
    const picture = freshId();
    try {
      await this.stores.pictures(this.journal.book()).setItem(picture, shrunk.blob);
    } catch {
      return {
        ok: false,
        problem: say.theStoreOfThis(),
      };
    }
    return {
      ok: true,
      picture,
      width: shrunk.width,
      height: shrunk.height,
      bytes: shrunk.blob.size,
    };
  }

  get(picture: string): Promise<Blob | null> {
    return this.stores.pictures(this.journal.book()).getItem(picture);
  }

  /** Puts pictures of a file back; those already here stay. @returns how many were new */
  async restore(pictures: ReadonlyMap<string, Blob>): Promise<number> {
    const store = this.stores.pictures(this.journal.book());
    const have = new Set(await store.keys());
    let fresh = 0;
    for (const [id, blob] of pictures) {
      if (have.has(id)) continue;
      await store.setItem(id, blob);
      fresh++;
    }
    return fresh;
  }
}
