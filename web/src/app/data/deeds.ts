import { inject, Injectable, Injector } from '@angular/core';
import type { MatSnackBar } from '@angular/material/snack-bar';
import type { Entry } from '@hypogeon/core';
import { Journal, type Draft } from './journal';

/** What a tap does: records, says saved once it is, and offers to undo. */
@Injectable({ providedIn: 'root' })
export class Deeds {
  private readonly journal = inject(Journal);
  private readonly injector = inject(Injector);

  async record(draft: Draft, said: string): Promise<boolean> {
    return this.recordAll([draft], said);
  }

  /** What belongs together is recorded, and taken back, together. */
  async recordAll(drafts: readonly Draft[], said: string): Promise<boolean> {
    const { entries, saved } = await this.journal.recordAll(drafts);
    if (saved) this.offerUndo(entries, said);
    return saved;
  }

  async retract(...entries: readonly Entry[]): Promise<void> {
    const saved = await this.journal.retract(...entries);
    if (saved) this.say('Taken back. It stays in the history.');
  }

  say(text: string): void {
    void this.bar().then((bar) => bar.open(text, 'Close', { duration: 5000 }));
  }

  private offerUndo(entries: readonly Entry[], said: string): void {
    void this.bar().then((bar) =>
      bar
        .open(`${said}. Saved.`, 'Undo', { duration: 8000 })
        .onAction()
        .subscribe(() => void this.retract(...entries)),
    );
  }

  /** Nothing is said before something is done: its code comes with the first word. */
  private async bar(): Promise<MatSnackBar> {
    const { MatSnackBar } = await import('@angular/material/snack-bar');
    return this.injector.get(MatSnackBar);
  }
}
