import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { counted, NOUN } from '@hypogeon/words';
import { Actions } from '../data/actions';
import { JournalFile } from '../data/journal-file';
import { LastFile } from '../data/last-file';
import { oneAtATime } from '../data/one-at-a-time';

/** A browser may throw its store away: once much lies only there, and for long, that is said, with the way out. */
@Component({
  selector: 'hy-backup-due',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (says(); as text) {
      <p
        class="no-print flex flex-wrap items-center gap-y-1.5 gap-x-3 mt-4 py-1.5 pl-3 border-l-4 border-callus"
      >
        {{ text }}
        <button matButton="outlined" (click)="save()">Save a file now</button>
        <a matButton="text" routerLink="/settings/data">More</a>
      </p>
    }
  `,
})
export class BackupDue {
  private readonly file = inject(JournalFile);
  private readonly actions = inject(Actions);
  private readonly due = inject(LastFile).due;
  protected readonly says = computed(() => {
    const due = this.due();
    if (!due) return '';
    const entries = counted(due.entries, NOUN.entry);
    return due.days === null
      ? `${entries} lie only in this browser, in no file yet.`
      : `${entries} lie only in this browser: the last file is of ${counted(due.days, NOUN.day)} ago.`;
  });
  protected readonly save = oneAtATime(async () => {
    await this.file.save();
    this.actions.say('The journal is in your downloads.');
  });
}
