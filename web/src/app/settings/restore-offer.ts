import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { problemText } from '@hypogeon/core/formats';
import { fold, type Entry } from '@hypogeon/core/journal';
import { counted, NOUN } from '@hypogeon/words';
import { say } from '@hypogeon/messages/restore-offer';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { JournalFile, type OfferedFile } from '../data/journal-file';
import { Words } from '../data/words';

/** What a file would change, said before it does; or why it was refused. */
@Component({
  selector: 'hy-restore-offer',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-9 max-w-240' },
  template: `
    @let r = read();
    @if (r.ok) {
      <div class="grid gap-3 pl-3.5 border-l-4 border-water">
        <p>
          <strong>{{ name() }}</strong>
          {{
            say.wouldAddEntryKnown({
              fresh: r.preview.fresh,
              what:
                r.preview.newBatches === 1
                  ? say.oneNewBatch()
                  : say.newBatches({ newBatches: r.preview.newBatches }),
              changedBatches: r.preview.changedBatches,
              known: r.preview.known,
            })
          }}
          @if (r.preview.unknown > 0) {
            {{ say.ofANewerKind({ unknown: r.preview.unknown }) }}
          }
          @if (r.preview.clashing > 0) {
            {{ say.withOtherContentHere({ clashing: r.preview.clashing }) }}
          }
          @if (r.ahead > 0) {
            {{
              say.writtenByAClock({
                what: r.ahead === 1 ? say.oneEntryWas() : say.entriesWere({ ahead: r.ahead }),
                now: now(),
              })
            }}
          }
          @if (r.pictures.size > 0) {
            {{ say.pictureComesAlong({ picturesCount: r.pictures.size }) }}
          }
          @if (r.leftOut > 0) {
            {{
              say.ofTheZipLeft({
                what: r.leftOut === 1 ? say.oneFile() : say.files({ leftOut: r.leftOut }),
              })
            }}
          }
        </p>
        @if (inDemo()) {
          <p>
            <strong>{{ say.thisIsTheDemo() }}</strong> {{ say.whatYouAddHere() }}
          </p>
        }
        <div class="row flex flex-wrap gap-2.5">
          @if (inDemo()) {
            <button matButton="filled" (click)="takeHome(r.entries, r.pictures)">
              {{ say.addToMyOwn() }}
            </button>
          }
          @if (r.preview.fresh > 0 || r.preview.clashing > 0 || r.pictures.size > 0) {
            <button
              [matButton]="inDemo() ? 'outlined' : 'filled'"
              (click)="take(r.entries, r.pictures)"
            >
              {{ inDemo() ? say.addToTheDemo() : say.addThem() }}
            </button>
          }
          <button matButton="text" (click)="leave()">{{ say.cancel() }}</button>
        </div>
      </div>
    } @else {
      <div class="grid gap-3 pl-3.5 border-l-4 border-water border-l-do">
        <p>
          <strong>{{ say.wasRefusedAndNothing({ name: name() }) }}</strong>
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
  protected readonly say = say;

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
      return this.actions.say(say.theStoreIsFull());
    }
    const saved = await this.journal.take(entries);
    const seen = pictures.size > 0 ? `, ${counted(pictures.size, NOUN.picture)}` : '';
    if (saved) this.actions.say(say.addedInTheFile({ what, seen }));
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
