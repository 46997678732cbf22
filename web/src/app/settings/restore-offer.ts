import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { problemText } from '@hypogeon/core/formats';
import { fold, type Entry } from '@hypogeon/core/journal';
import { counted, NOUN } from '@hypogeon/words';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { JournalFile, type OfferedFile } from '../data/journal-file';
import { Words } from '../data/words';
import { CountedPipe } from '../ui/counted-pipe';

/** What a file would change, said before it does; or why it was refused. */
@Component({
  selector: 'hy-restore-offer',
  imports: [CountedPipe, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-9 max-w-240' },
  template: `
    @let r = read();
    @if (r.ok) {
      <div class="grid gap-3 pl-3.5 border-l-4 border-water">
        <p>
          <strong>{{ name() }}</strong> would add {{ r.preview.fresh | hyCounted: 'entry' }}:
          {{
            r.preview.newBatches === 1 ? 'one new batch' : r.preview.newBatches + ' new batches'
          }}, {{ r.preview.changedBatches }} known changed. Here already: {{ r.preview.known }}.
          @if (r.preview.unknown > 0) {
            Of a newer kind, and kept: {{ r.preview.unknown }}.
          }
          @if (r.preview.clashing > 0) {
            With other content here: {{ r.preview.clashing }}; of each the same one is kept on every
            device.
          }
          @if (r.ahead > 0) {
            {{ r.ahead === 1 ? 'One entry was' : r.ahead + ' entries were' }} written by a clock
            that stood ahead of this device’s, which says {{ now() }}. What was written then takes
            its place as of now, in its order, and keeps its days. Is this clock wrong? Set it right
            first.
          }
          @if (r.pictures.size > 0) {
            {{ r.pictures.size | hyCounted: 'picture' }}
            {{ r.pictures.size === 1 ? 'comes' : 'come' }} along.
          }
          @if (r.leftOut > 0) {
            {{ r.leftOut === 1 ? 'One file' : r.leftOut + ' files' }} of the zip left out: no
            picture, or named by no entry.
          }
        </p>
        @if (inDemo()) {
          <p><strong>This is the demo.</strong> What you add here goes when the demo is cleared.</p>
        }
        <div class="row flex flex-wrap gap-2.5">
          @if (inDemo()) {
            <button matButton="filled" (click)="takeHome(r.entries, r.pictures)">
              Add to my own journal
            </button>
          }
          @if (r.preview.fresh > 0 || r.preview.clashing > 0 || r.pictures.size > 0) {
            <button
              [matButton]="inDemo() ? 'outlined' : 'filled'"
              (click)="take(r.entries, r.pictures)"
            >
              {{ inDemo() ? 'Add to the demo' : 'Add them' }}
            </button>
          }
          <button matButton="text" (click)="leave()">Cancel</button>
        </div>
      </div>
    } @else {
      <div class="grid gap-3 pl-3.5 border-l-4 border-water border-l-do">
        <p>
          <strong>{{ name() }} was refused, and nothing was changed.</strong>
        </p>
        <ul>
          @for (p of r.problems; track $index) {
            <li>{{ problemText(p) }}</li>
          }
        </ul>
      </div>
    }
  `,
})
export class RestoreOffer {
  private readonly actions = inject(Actions);
  private readonly file = inject(JournalFile);
  private readonly journal = inject(Journal);
  private readonly words = inject(Words);
  readonly name = input.required<string>();
  readonly read = input.required<OfferedFile>();
  /** Taken, or left. */
  readonly done = output();

  protected readonly problemText = problemText;
  protected readonly inDemo = computed(() => this.journal.book() === 'demo');

  protected async take(
    entries: readonly Entry[],
    pictures: ReadonlyMap<string, Blob>,
  ): Promise<void> {
    this.done.emit();
    const { batches, mothers } = fold(entries);
    const what =
      batches.size > 0
        ? counted(batches.size, NOUN.batch)
        : mothers.size > 0
          ? counted(mothers.size, NOUN.mother)
          : counted(entries.length, NOUN.entry);
    try {
      // Before the entries that name them, as when they are taken.
      await this.file.restore(pictures);
    } catch {
      return this.actions.say('The store is full: the pictures do not fit. Nothing was taken.');
    }
    const saved = await this.journal.take(entries);
    const seen = pictures.size > 0 ? `, ${counted(pictures.size, NOUN.picture)}` : '';
    if (saved) this.actions.say(`Added: ${what}${seen} in the file.`);
  }

  /** The file goes where it belongs, not into the demo that is cleared some day. */
  protected async takeHome(
    entries: readonly Entry[],
    pictures: ReadonlyMap<string, Blob>,
  ): Promise<void> {
    await this.journal.openOwn();
    await this.take(entries, pictures);
  }

  protected now(): string {
    return new Date().toLocaleString(this.words.style().locale, {
      dateStyle: 'medium',
      timeStyle: 'short',
    });
  }

  protected leave(): void {
    this.done.emit();
  }
}
