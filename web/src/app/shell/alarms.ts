import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
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
          ? 'Something in the store is set aside.'
          : `${all.length} things in the store are set aside.`,
      first: `First: ${first.name}, because ${first.reason.replace(/\.$/, '')}.`,
      then: newer
        ? 'Update Hypogeon and it is there again; it is kept as it is.'
        : 'They are kept as they are, and the rest is open. A saved file brings back what is missing.',
    };
  });

  protected now(): string {
    return new Date().toLocaleString(this.locale, { dateStyle: 'medium', timeStyle: 'short' });
  }

  protected home(): void {
    void this.journal.openOwn();
  }

  protected saveFile(): void {
    void this.file.save();
  }
}
