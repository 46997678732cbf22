import { inject, Injectable } from '@angular/core';
import { sizeProblem, type Entry } from '@hypogeon/core';
import type { ReadFile } from '../workers/files.worker';
import { FILES_WORKER } from './files-worker';
import { Journal } from './journal';
import { Today } from './today';

/** The journal as a file: out, and in again with what it would change said first. */
@Injectable({ providedIn: 'root' })
export class JournalFile {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today);
  private readonly worker = inject(FILES_WORKER);

  async save(): Promise<void> {
    const text = await this.worker().write(this.entries());
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
    link.download = `hypogeon-${this.journal.book()}-${this.today.day()}.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  }

  async read(file: File): Promise<ReadFile> {
    const tooLarge = sizeProblem(file.size);
    if (tooLarge) return { ok: false, problems: [tooLarge] };
    return this.worker().read(await file.text(), this.entries());
  }

  private entries(): readonly Entry[] {
    return [...this.journal.state().log.values()].flat();
  }
}
