import { inject, Injectable, Injector } from '@angular/core';
import type { MatSnackBar } from '@angular/material/snack-bar';
import { withGate } from '@hypogeon/core/bench';
import { careOf, waterMoved, waterSays, type WaterSays } from '@hypogeon/core/care';
import type { Entry, State } from '@hypogeon/core/journal';
import { waterMovedText } from '@hypogeon/words';
import { Journal, type Draft } from './journal';
import { Today } from './today';
import { Words } from './words';

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
  private readonly today = inject(Today);
  private readonly words = inject(Words);
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
      if (good && said !== '')
        this.offerUndo(entries, `${said}. Saved.${this.moved(before, drafts)}`);
      setTimeout(() => this.lately.delete(same), SLIP_MS);
    });
    return taken;
  }

  async retract(...entries: readonly Entry[]): Promise<void> {
    const saved = await this.journal.retract(...entries);
    if (saved) this.say('Undone. It stays in the history.');
  }

  say(text: string): void {
    void this.bar().then((bar) => bar.open(text, 'Close', { duration: 5000 }));
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

  /** What was told of one batch may move its water: from when to when is said, and why. */
  private moved(before: State, drafts: readonly Draft[]): string {
    const ids = new Set(drafts.map(batchOf));
    const [id] = ids;
    if (ids.size !== 1 || !id || drafts.some((d) => d.kind === 'watered')) return '';
    const today = this.today.day();
    const says = (state: State): WaterSays | null => {
      const batch = state.batches.get(id);
      return batch?.cut ? waterSays(careOf(state, batch, today), today) : null;
    };
    const [was, is] = [says(before), says(this.journal.state())];
    const moved = was && is && waterMoved(was, is);
    return moved ? ` ${waterMovedText(moved, this.words.speech())}` : '';
  }

  private offerUndo(entries: readonly Entry[], said: string): void {
    void this.bar().then((bar) =>
      bar
        .open(said, 'Undo', { duration: 8000 })
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

/** The batch something is told of; null where it is of something else. */
const batchOf = (draft: Draft): string | null =>
  draft.kind === 'put'
    ? draft.record === 'batch'
      ? draft.key
      : null
    : 'batch' in draft && typeof draft.batch === 'string'
      ? draft.batch
      : null;
