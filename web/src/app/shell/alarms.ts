import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { say } from '@hypogeon/messages/alarms';
import { Journal } from '../data/journal';
import { JournalFile } from '../data/journal-file';
import { LOCALE } from '../data/locale';

/** What seldom comes, and could cost work: a store that was emptied or damaged, a clock that was wrong. */
@Component({
  selector: 'hy-alarms',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './alarms.html',
  styleUrl: './alarm.scss',
})
export class Alarms {
  protected readonly say = say;

  private readonly file = inject(JournalFile);
  protected readonly journal = inject(Journal);
  protected readonly locale = inject(LOCALE);

  /** What of the store is not in the account: what, why, and what to do. */
  protected readonly aside = computed(() => {
    const all = this.journal.setAside();
    const [first] = all;
    if (!first) return null;
    const newer = all.every((a) => a.newer);
    return {
      title:
        all.length === 1
          ? say.somethingInTheStore()
          : say.thingsInTheStore({ allCount: all.length }),
      first: say.firstBecause({ name: first.name, replace: first.reason.replace(/\.$/, '') }),
      then: newer ? say.updateHypogeonAndIt() : say.theyAreKeptAs(),
    };
  });

  protected now(): string {
    return new Date().toLocaleString(this.locale(), { dateStyle: 'medium', timeStyle: 'short' });
  }

  protected home(): void {
    void this.journal.openOwn();
  }

  protected saveFile(): void {
    void this.file.save();
  }
}
