import { Injectable, signal } from '@angular/core';
import type { Grouping, LedgerFilter } from '@hypogeon/core';
import { draftKeeper } from './draft';

/** Which batches the ledger looks at: the same on all of its pages, and after a reload. */
@Injectable({ providedIn: 'root' })
export class LedgerFilters {
  private readonly keeper = draftKeeper<LedgerFilter>('ledger');
  private readonly chosen = signal<LedgerFilter>(this.keeper.read() ?? {});
  readonly filter = this.chosen.asReadonly();

  only(by: Grouping, name: string): void {
    this.set({ ...this.chosen(), [by]: name });
  }

  off(by: Grouping): void {
    const { [by]: _off, ...rest } = this.chosen();
    this.set(rest);
  }

  private set(filter: LedgerFilter): void {
    this.chosen.set(filter);
    this.keeper.keep(filter);
  }
}
