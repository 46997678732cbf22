import { inject, Injectable, Injector } from '@angular/core';
import { say } from '@hypogeon/messages/demo-door';
import { Journal } from '../data/journal';
import { JournalFile } from '../data/journal-file';

/** The way from one's own journal into the demo: nothing unsaved is left behind without a question and a file. */
@Injectable({ providedIn: 'root' })
export class DemoDoor {
  private readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);
  private readonly injector = inject(Injector);

  async enter(): Promise<void> {
    const saving = this.journal.saving();
    if (saving.is === 'failed' && saving.unsaved > 0 && this.journal.book() === 'own') {
      if (!(await this.ask(saving.unsaved))) return;
      await this.file.save();
    }
    await this.journal.openDemo();
  }

  /** Its code comes when something must be asked. */
  private async ask(unsaved: number): Promise<boolean> {
    const { Confirm } = await import('./confirm');
    return this.injector.get(Confirm).ask({
      title: unsaved === 1 ? say.oneEntryIsNot() : say.entriesAreNotSaved({ unsaved }),
      text: say.thisBrowsersStoreHas(),
      yes: say.saveTheFileAnd(),
    });
  }
}
