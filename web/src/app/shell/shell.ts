import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Journal } from '../data/journal';
import { JournalFile } from '../data/journal-file';
import { HatchDefs } from '../marks/hatch-defs';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { ABOVE, BELOW } from './places';

@Component({
  selector: 'hy-shell',
  imports: [RouterOutlet, RouterLink, RouterLinkActive, HatchDefs, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shell.html',
  styleUrl: './shell.scss',
  host: { '(window:beforeunload)': 'warn($event)' },
})
export class Shell {
  protected readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);

  protected readonly halves = [
    { side: 'above', places: ABOVE },
    { side: 'below', places: BELOW },
  ] as const;
  protected readonly emblem = { ...FRESH, closure: 1, roots: 2 as const };
  protected readonly opened = computed(() => this.journal.saving().is !== 'opening');
  protected readonly failure = computed(() => {
    const saving = this.journal.saving();
    return saving.is === 'failed' ? saving : null;
  });

  /** A tab that holds what the store has not confirmed does not close without asking. */
  protected warn(event: BeforeUnloadEvent): void {
    const saving = this.journal.saving();
    if (saving.is === 'saving' || (saving.is === 'failed' && saving.unsaved > 0))
      event.preventDefault();
  }

  protected skip(main: HTMLElement): void {
    main.focus();
  }

  protected retry(): void {
    void this.journal.retry();
  }

  protected saveFile(): void {
    void this.file.save();
  }
}
