import { inject, Injectable } from '@angular/core';
import { STORES } from './book';
import { FILES_WORKER } from './workers';
import { Journal } from './journal';
import { LastFile } from './last-file';
import { JournalFile } from './journal-file';
import { saveBlob, saveText } from './save-text';
import { Today } from './today';
import { Words } from './words';
import { Water } from './water';

/** Open files of everything: the full backup, the data package, the calendar. */
@Injectable({ providedIn: 'root' })
export class Exports {
  private readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);
  private readonly words = inject(Words);
  private readonly today = inject(Today);
  private readonly worker = inject(FILES_WORKER);
  private readonly stores = inject(STORES);
  private readonly water = inject(Water);
  private readonly last = inject(LastFile);

  /** The journal with its pictures. */
  async saveZip(): Promise<void> {
    const store = this.stores.pictures(this.journal.book());
    const pictures: { id: string; bytes: Uint8Array }[] = [];
    for (const id of await store.keys()) {
      const blob = await store.getItem(id);
      if (blob) pictures.push({ id, bytes: new Uint8Array(await blob.arrayBuffer()) });
    }
    const bytes = await this.worker.ask((w) => w.zip(this.file.entries(), pictures));
    this.saveBytes(`hypogeon-${this.journal.book()}-${this.today.day()}.zip`, bytes);
    await this.last.saved();
  }

  /** Everything as a data package. */
  async savePackage(): Promise<void> {
    const bytes = await this.worker.ask((w) =>
      w.dataPackage(this.file.entries(), this.today.day(), new Date()),
    );
    this.saveBytes(`hypogeon-data-${this.today.day()}.zip`, bytes);
  }

  /** The tasks of the coming weeks for a calendar. */
  async saveCalendar(): Promise<void> {
    const style = this.words.style();
    const { today } = style;
    const text = await this.worker.ask((w) =>
      w.calendar(this.file.entries(), style, this.water.verdicts(), new Date()),
    );
    saveText(`hypogeon-tasks-${today}.ics`, text, 'text/calendar');
  }

  private saveBytes(name: string, bytes: Uint8Array): void {
    saveBlob(name, new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' }));
  }
}
