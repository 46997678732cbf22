import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { counted, NOUN } from '@hypogeon/words';
import { say } from '@hypogeon/messages/backup-due';
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
        <button matButton="outlined" (click)="save()">{{ say.saveAFileNow() }}</button>
        <a matButton="text" routerLink="/settings/data">{{ say.more() }}</a>
      </p>
    }
  `,
})
export class BackupDue {
  protected readonly say = say;

  private readonly file = inject(JournalFile);
  private readonly actions = inject(Actions);
  private readonly due = inject(LastFile).due;
  protected readonly says = computed(() => {
    const due = this.due();
    if (!due) return '';
    const entries = counted(due.entries, NOUN.entry);
    return due.days === null
      ? say.lieOnlyInThis({ entries })
      : say.lieOnlyInThisBrowser({ entries, days: due.days });
  });
  protected readonly save = oneAtATime(async () => {
    await this.file.save();
    this.actions.say(say.theJournalIsIn());
  });
}
