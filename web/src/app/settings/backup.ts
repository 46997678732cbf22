import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { counted, NOUN } from '@hypogeon/words';
import { say } from '@hypogeon/messages/backup';
import { Actions } from '../data/actions';
import { AsyncTask } from '../data/async-task';
import { Journal } from '../data/journal';
import { JournalFile, type OfferedFile } from '../data/journal-file';
import { KeptFile } from '../data/kept-file';
import { LastFile } from '../data/last-file';
import { oneAtATime } from '../data/one-at-a-time';
import { HandedOver } from '../data/handed-over';
import { saveText } from '../data/save-text';
import { ShareFile } from '../data/share-file';
import { TornFiles, type TornFile } from '../data/torn-files';
import { Words } from '../data/words';
import { FilePick } from '../forms/file-pick';
import { DeviceName } from './device-name';
import { RestoreOffer } from './restore-offer';

/** The backup: what is in no file yet, a file by hand, one that is kept by itself, and the way back. */
@Component({
  selector: 'hy-backup',
  imports: [DeviceName, FilePick, MatButton, RestoreOffer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid justify-items-start gap-3.5' },
  template: `
    <p>
      {{ holds() }} {{ state() }}
      @if (unfiled(); as text) {
        <strong>{{ text }}</strong>
      }
    </p>
    <div class="row flex flex-wrap gap-2.5">
      <button matButton="outlined" (click)="saveFile()">{{ say.saveABackupFile() }}</button>
      @if (share.can) {
        <button matButton="outlined" (click)="handOver()">{{ say.handItToAnother() }}</button>
      }
      <hy-file-pick
        look="outlined"
        [label]="say.restoreOrAddA()"
        accept=".json,.txt,.zip,application/json,text/plain,application/zip"
        (picked)="choose($event[0])"
      />
    </div>
    @let k = kept.kept();
    <div class="kept" role="status">
      @switch (k.is) {
        @case ('off') {
          @if (!kept.can) {
            <p class="quiet small">
              {{ say.thisBrowserCannotKeep() }}
            </p>
          } @else if (journal.book() === 'own') {
            <p class="quiet small max-w-160">
              {{ say.inAFolderThat() }}
            </p>
            <button matButton="text" (click)="keep()">{{ say.keepAFileUp() }}</button>
            @if (kept.canOpen) {
              <button matButton="text" (click)="keepExisting()">{{ say.keepAFileI() }}</button>
            }
          }
        }
        @case ('kept') {
          <p>
            <strong>{{ k.name }}</strong>
            {{ say.isKeptUpTo({ what: k.at ? say.lastAt({ time: time(k.at) }) : '' }) }}
          </p>
          <div class="flex flex-wrap items-start gap-x-4 gap-y-1 mt-2">
            <hy-device-name class="w-76" />
            <button class="mt-1.5" matButton="text" (click)="leaveIt()">
              {{ say.stopKeepingIt() }}
            </button>
          </div>
        }
        @case ('arriving') {
          <p>
            <strong>{{ k.name }}</strong> {{ say.endsInTheMiddle() }}
          </p>
          <button matButton="text" (click)="leaveIt()">{{ say.stopKeepingIt() }}</button>
        }
        @case ('asks') {
          <p>
            <strong>{{ k.name }}</strong> {{ say.isNotKeptUp() }}
          </p>
          <div class="flex flex-wrap items-center gap-2.5 mt-1">
            <button matButton="outlined" (click)="kept.allow()">{{ say.allow() }}</button>
            <button matButton="text" (click)="leaveIt()">{{ say.stopKeepingIt() }}</button>
          </div>
        }
        @case ('other') {
          <p class="problem">
            <strong>{{ k.name }}</strong>
            {{
              say.holdsAnotherJournalNone({
                what: k.entries === 1 ? say.oneEntry() : say.entries({ entries: k.entries }),
              })
            }}
          </p>
          <div class="flex flex-wrap items-center gap-2.5 mt-1">
            <button matButton="outlined" (click)="takeIn()">{{ say.addToThisJournal() }}</button>
            <button matButton="text" (click)="keep()">{{ say.keepANewFile() }}</button>
            <button matButton="text" (click)="leaveIt()">{{ say.stopKeepingIt() }}</button>
          </div>
        }
        @case ('failed') {
          <p class="problem">
            {{ say.couldNotBeWritten({ name: k.name, why: k.why }) }}
          </p>
          <div class="flex flex-wrap items-center gap-2.5 mt-1">
            <button matButton="outlined" (click)="keep()">{{ say.keepANewFile2() }}</button>
            @if (kept.canOpen) {
              <button matButton="text" (click)="keepExisting()">{{ say.keepAFileI() }}</button>
            }
            <button matButton="text" (click)="leaveIt()">{{ say.stopKeepingIt() }}</button>
          </div>
        }
      }
      @for (arrival of kept.arrivals(); track arrival.at) {
        <p class="small mt-1.5">
          <strong>{{ time(arrival.at) }}</strong>
          {{ say.cameIn({ from: arrival.from.join('. ') }) }}
        </p>
      }
    </div>
    @for (t of torn.all(); track t.at) {
      <div class="grid gap-1.5 pl-3.5 border-l-4 border-callus">
        <p>
          <strong>{{ t.name }}</strong>
          {{ say.hadBrokenOffIn({ moment: moment(t.at), entries: entries(t.entries) }) }}
        </p>
        <div class="flex flex-wrap gap-2.5">
          <button matButton="outlined" (click)="saveTorn(t)">{{ say.saveTheTornFile() }}</button>
          <button matButton="text" (click)="torn.throwAway(t)">{{ say.throwItAway() }}</button>
        </div>
      </div>
    }
    <div aria-live="polite">
      @if (task.under()) {
        <p class="quiet">
          {{ say.reading({ under: task.under() }) }}
          <button matButton="text" (click)="stop()">{{ say.stop() }}</button>
        </p>
      }
      @if (task.problem()) {
        <p class="problem">{{ task.problem() }}</p>
      }
      @if (offered(); as o) {
        <hy-restore-offer [name]="o.name" [read]="o.read" (done)="offered.set(null)" />
      }
    </div>
  `,
})
export class Backup {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly file = inject(JournalFile);
  private readonly last = inject(LastFile);
  private readonly words = inject(Words);
  protected readonly kept = inject(KeptFile);
  protected readonly torn = inject(TornFiles);
  protected readonly share = inject(ShareFile);
  private readonly handed = inject(HandedOver);
  protected readonly journal = inject(Journal);

  protected readonly task = new AsyncTask();
  protected readonly offered = signal<{ readonly name: string; readonly read: OfferedFile } | null>(
    null,
  );
  protected readonly holds = computed(() => {
    const { size, batches, mothers } = this.journal.state();
    const { locale } = this.words.style();
    const parts = [
      counted(size, NOUN.entry, locale),
      counted(batches.size, NOUN.batch, locale),
      counted(mothers.size, NOUN.mother, locale),
    ];
    return `${parts.join(', ')}.`;
  });
  protected readonly state = computed(() => {
    switch (this.journal.saving().is) {
      case 'failed':
        return say.notAllOfIt();
      case 'saved':
        return say.allSavedInThis();
      default:
        return say.saving();
    }
  });
  protected readonly unfiled = computed(() => {
    const unfiled = this.last.unfiled();
    if (!unfiled || unfiled.entries === 0) return '';
    const entries = counted(unfiled.entries, NOUN.entry);
    return unfiled.days === null
      ? say.inNoFileYet({ entries })
      : say.sinceTheLastFile({
          entries,
          what: unfiled.days === 0 ? say.today() : say.dayAgo({ days: unfiled.days }),
        });
  });

  protected readonly saveFile = oneAtATime(() => this.writeFile());
  protected readonly keep = oneAtATime(() => this.kept.choose(this.file.name()));
  protected readonly keepExisting = oneAtATime(() => this.kept.chooseExisting());
  protected readonly takeIn = oneAtATime(() => this.kept.takeIn());

  protected readonly handOver = oneAtATime(() => this.share.journal());

  constructor() {
    void this.handed.shared();
    effect(() => {
      const file = this.handed.file();
      if (!file) return;
      this.handed.taken();
      void this.choose(file);
    });
  }

  private async writeFile(): Promise<void> {
    const warning = await this.file.save();
    this.actions.say(say.theJournalIsIn({ warning }).trim());
  }

  protected async choose(file: File | undefined): Promise<void> {
    if (!file) return;
    this.offered.set(null);
    const read = await this.task.run(file.name, () => this.file.read(file));
    if (read) this.offered.set({ name: file.name, read });
  }

  protected stop(): void {
    this.file.stop();
  }

  protected leaveIt(): void {
    void this.kept.stop();
  }

  protected saveTorn(torn: TornFile): void {
    saveText(`torn-${torn.name}`, torn.text, 'application/json');
  }

  protected entries(count: number): string {
    return counted(count, NOUN.entry, this.words.style().locale);
  }

  protected moment(at: number): string {
    const form = { dateStyle: 'medium', timeStyle: 'short' } as const;
    return new Date(at).toLocaleString(this.words.style().locale, form);
  }

  protected time(at: Date): string {
    return at.toLocaleTimeString(this.words.style().locale, { hour: '2-digit', minute: '2-digit' });
  }
}
