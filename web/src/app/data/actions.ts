import { inject, Injectable, Injector } from '@angular/core';
import type { MatSnackBar } from '@angular/material/snack-bar';
import { withGate } from '@hypogeon/core/bench';
import type { Entry, State } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/actions';
import { Journal, type Draft } from './journal';

/** A second tap within this time on the very same thing is a slip of the finger. */
const SLIP_MS = 700;

/**
 * The one writer: what a tap does goes through here. It records, says saved once it is, offers to undo, says why
 * where something was not taken, and does nothing at a second tap on the same.
 */
@Injectable({ providedIn: 'root' })
export class Actions {
  private readonly journal = inject(Journal);
  private readonly injector = inject(Injector);
  private readonly lately = new Map<string, Promise<boolean>>();

  /**
   * @param said what was done, for the message with undo; empty where the screen itself shows it
   * @returns at once, whether it was taken: where not, a form keeps what was typed. Whether it is saved is said when
   * the store has answered.
   */
  record(draft: Draft, said: string): Promise<boolean> {
    return this.recordAll([draft], said);
  }

  /** What belongs together is recorded, and taken back, together. */
  recordAll(drafts: readonly Draft[], said: string): Promise<boolean> {
    const same = this.sameAs(drafts);
    const under = this.lately.get(same);
    if (under) return under;
    const before = this.journal.state();
    const known = drafts.map((d) => withGate(before, d));
    const { entries, refused, saved } = this.journal.enter(known);
    const taken = Promise.resolve(refused === '');
    if (refused !== '') {
      this.say(refused);
      return taken;
    }
    this.lately.set(same, taken);
    void saved.then((good) => {
      if (good && said !== '') void this.offerUndo(entries, said, drafts, before);
      setTimeout(() => this.lately.delete(same), SLIP_MS);
    });
    return taken;
  }

  async retract(...entries: readonly Entry[]): Promise<void> {
    const saved = await this.journal.retract(...entries);
    if (saved) this.say(say.undoneItStaysIn());
  }

  say(text: string): void {
    void this.bar().then((bar) => bar.open(text, say.close(), { duration: 5000 }));
  }

  /** The drafts as text, without the ids that a form makes anew at every tap. */
  private sameAs(drafts: readonly Draft[]): string {
    const { log } = this.journal.state();
    let text = JSON.stringify(drafts);
    for (const draft of drafts)
      if (draft.kind === 'put' && !log.has(`${draft.record}/${draft.key}`))
        text = text.replaceAll(JSON.stringify(draft.key), '""');
    return text;
  }

  private async offerUndo(
    entries: readonly Entry[],
    said: string,
    drafts: readonly Draft[],
    before: State,
  ): Promise<void> {
    const moved = await this.moved(drafts, before, this.journal.state());
    const bar = await this.bar();
    bar
      .open([say.saved({ said }), moved].filter(Boolean).join(' '), say.undo(), { duration: 8000 })
      .onAction()
      .subscribe(() => void this.retract(...entries));
  }

  /** A sentence that cannot be made, or fetched, keeps no undo away. */
  private async moved(drafts: readonly Draft[], before: State, after: State): Promise<string> {
    try {
      const { waterMovedBy } = await import('./water-moved');
      return waterMovedBy(drafts, before, after, this.injector);
    } catch (error) {
      console.error('what moved its water', error);
      return '';
    }
  }

  /** Nothing is said before something is done: its code comes with the first word. */
  private async bar(): Promise<MatSnackBar> {
    const { MatSnackBar } = await import('@angular/material/snack-bar');
    return this.injector.get(MatSnackBar);
  }
}
