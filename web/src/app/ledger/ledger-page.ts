import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { GROUPING_NAME, GROUPINGS, type CaseName, type Grouping } from '@hypogeon/core/ledger';
import type { ShareInterval } from '@hypogeon/core/stats';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Words } from '../data/words';
import { EmergencePlate } from '../marks/emergence-plate';
import { Field, FieldControl } from '../ui/field';
import { PlateFrame } from '../ui/plate-frame';
import { emergenceTable } from './emergence-table';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';

const PART_NAME = {
  pupped: 'with pups',
  rooted: 'roots only',
  waiting: 'waiting',
  lost: 'lost otherwise',
  dried: 'dried up',
  rotted: 'rotted',
} as const;

const FEW = 40;

/** What was counted: over all, as a plate, and row by row. */
@Component({
  selector: 'hy-ledger-page',
  imports: [
    Field,
    FieldControl,
    RouterLink,
    EmergencePlate,
    LedgerFilterBar,
    LedgerTabs,
    PlateFrame,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ledger-page.html',
  styleUrl: './ledger-page.scss',
})
export class LedgerPage {
  protected readonly words = inject(Words);
  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);

  protected readonly groupings = ['batch', ...GROUPINGS] as const;
  protected readonly nameOf: Readonly<Record<Grouping | 'batch', string>> = {
    batch: 'Batch',
    ...GROUPING_NAME,
  };
  protected readonly partName = PART_NAME;
  protected readonly grouping = signal<Grouping | 'batch'>('batch');
  private readonly most = signal(FEW);
  /** The batch drawn; null for all that fit. */
  protected readonly picked = signal<string | null>(null);

  protected readonly view = this.ledger.answer(
    computed(() => ({
      filter: this.filters.filter(),
      by: this.grouping(),
      most: this.most(),
      plateOf: this.picked(),
    })),
    (desk, ask) => desk.counted(ask),
  );
  protected readonly filtered = computed(() => Object.keys(this.filters.filter()).length > 0);
  protected readonly plateTitle = computed(() => {
    const one = this.view()?.drawable.find((b) => b.id === this.picked());
    if (one) return one.title;
    const names = Object.values(this.filters.filter());
    return names.length > 0 ? names.join(', ') : 'all batches';
  });
  protected readonly plateTable = computed(() => {
    const plate = this.view()?.plate;
    return plate ? emergenceTable(plate) : null;
  });

  protected choose(value: string): void {
    this.grouping.set(this.groupings.find((g) => g === value) ?? 'batch');
  }

  protected showMore(): void {
    this.most.update((n) => n + 4 * FEW);
  }

  protected pick(id: string): void {
    this.picked.set(id === '' ? null : id);
  }

  protected titleOf({ title, cutOn }: CaseName): string {
    return `${title}, ${this.words.day(cutOn)}`;
  }

  /** `78 % (71–84)`: the share with its interval. */
  protected share(interval: ShareInterval | null): string {
    if (interval === null) return '';
    const whole = (f: number): string => `${Math.round(f * 100)}`;
    return `${whole(interval.share)} % (${whole(interval.low)}–${whole(interval.high)})`;
  }
}
