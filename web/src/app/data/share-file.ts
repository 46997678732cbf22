import { inject, Injectable } from '@angular/core';
import { say } from '@hypogeon/messages/share-file';
import { Actions } from './actions';
import { JournalFile } from './journal-file';
import { LastFile } from './last-file';

/** Some systems hand over no `.json`, but every text. */
const KINDS = [
  { ending: '', type: 'application/json' },
  { ending: '.txt', type: 'text/plain' },
] as const;

/** Hands the journal to another device through the system's own *Share*, where it takes files. */
@Injectable({ providedIn: 'root' })
export class ShareFile {
  private readonly actions = inject(Actions);
  private readonly file = inject(JournalFile);
  private readonly last = inject(LastFile);
  // Not every browser has it.
  private readonly system: Partial<Pick<Navigator, 'canShare'>> = navigator;
  private readonly kind = KINDS.find(({ ending, type }) => {
    const files = [new File(['{}'], say.journalJson({ ending }), { type })];
    return this.system.canShare?.({ files }) === true;
  });
  readonly can = this.kind !== undefined;

  async journal(): Promise<void> {
    if (!this.kind) return;
    const { ending, type } = this.kind;
    const text = await this.file.textOf(this.file.entries());
    const file = new File([text], `${this.file.name()}${ending}`, { type });
    try {
      await navigator.share({ files: [file], title: say.journal() });
      await this.last.saved();
    } catch (error) {
      // Thought better of.
      if (error instanceof DOMException && error.name === 'AbortError') return;
      console.error('sharing the journal', error);
      this.actions.say(say.itCouldNotBe());
    }
  }
}
