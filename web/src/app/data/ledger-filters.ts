import { inject, Injectable, signal } from '@angular/core';
import { GROUPINGS, type Grouping, type LedgerFilter } from '@hypogeon/core/ledger';
import * as z from 'zod';
import { Drafts } from './drafts';

/** Which batches the ledger looks at: the same on all of its pages, and after a reload. */
@Injectable({ providedIn: 'root' })
export class LedgerFilters {
  private readonly keeper = inject(Drafts).keeper<LedgerFilter>(
    'ledger',
    z.partialRecord(z.enum(GROUPINGS), z.string().max(400)),
  );
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
