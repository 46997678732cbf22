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
})
export class Shell {
  protected readonly journal = inject(Journal);
  private readonly file = inject(JournalFile);

  protected readonly above = ABOVE;
  protected readonly below = BELOW;
  protected readonly emblem = { ...FRESH, closure: 1, roots: 2 as const };
  protected readonly opened = computed(() => this.journal.saving().is !== 'opening');
  protected readonly failure = computed(() => {
    const saving = this.journal.saving();
    return saving.is === 'failed' ? saving : null;
  });

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
