import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  batchCode,
  batchTitle,
  countLedger,
  emergence,
  firstRoot,
  ledgerShares,
  METHOD,
  plantOf,
  wilson,
  WOUND_SCHOOL,
  type Batch,
  type EmergenceStep,
  type LedgerCount,
  type LedgerShares,
  type ShareInterval,
} from '@hypogeon/core';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { EmergencePlate } from '../marks/emergence-plate';
import { Field, FieldControl } from '../ui/field';
import { LedgerTabs } from './ledger-tabs';

const GROUPINGS = ['batch', 'method', 'plant', 'school'] as const;
type Grouping = (typeof GROUPINGS)[number];

const GROUPING_WORD: Readonly<Record<Grouping, string>> = {
  batch: 'batch',
  method: 'method',
  plant: 'plant',
  school: 'school of wound care',
};

interface Row {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly batch: Batch | null;
  readonly count: LedgerCount;
  readonly shares: LedgerShares;
  readonly firstRoot: string;
}

const FEW = 40;

@Component({
  selector: 'hy-ledger-page',
  imports: [Field, FieldControl, RouterLink, EmergencePlate, LedgerTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ledger-page.html',
  styleUrl: './ledger-page.scss',
})
export class LedgerPage {
  protected readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;

  protected readonly groupings = GROUPINGS;
  protected readonly groupingWord = GROUPING_WORD;
  protected readonly grouping = signal<Grouping>('batch');
  private readonly most = signal(FEW);
  private readonly picked = signal<string | null>(null);

  /** What has been stuck, or met its end before: cuttings that still callus are no result yet. */
  private readonly batches = computed(() =>
    [...this.state().batches.values()]
      .filter((b) => b.stuck !== null || b.waiting < b.count)
      .sort((a, b) => (a.cutOn < b.cutOn ? 1 : a.cutOn > b.cutOn ? -1 : 0)),
  );

  protected readonly overall = computed(() => {
    const count = countLedger(this.batches());
    const shares = ledgerShares(count);
    const breaches = this.batches().filter((b) => b.waterings.some((w) => w.breach !== undefined));
    const callusing = [...this.state().batches.values()].filter((b) => b.stage === 'callusing');
    const roots = count.rooted - count.pupped;
    return {
      count,
      shares,
      parts: [
        { key: 'pupped', name: 'with pups', count: count.pupped, share: shares.pupped },
        { key: 'rooted', name: 'roots only', count: roots, share: wilson(roots, count.stuck) },
        { key: 'waiting', name: 'waiting', count: count.waiting, share: null },
        { key: 'lost', name: 'lost otherwise', count: count.lost, share: shares.lost },
        { key: 'dried', name: 'dried up', count: count.dried, share: shares.dried },
        { key: 'rotted', name: 'rotted', count: count.rotted, share: shares.rotted },
      ],
      breaches: breaches.length,
      callusing: callusing.reduce((sum, b) => sum + b.waiting, 0),
    };
  });

  protected readonly rows = computed((): readonly Row[] => {
    const by = this.grouping();
    const batches = this.batches();
    if (by === 'batch') return batches.slice(0, this.most()).map((b) => this.row(b.id, [b], b));
    const groups = new Map<string, Batch[]>();
    for (const batch of batches) {
      const key = this.keyOf(batch, by);
      const group = groups.get(key);
      if (group) group.push(batch);
      else groups.set(key, [batch]);
    }
    return [...groups]
      .map(([key, group]) => this.row(key, group, null))
      .sort((a, b) => b.count.stuck - a.count.stuck);
  });
  protected readonly more = computed(() =>
    this.grouping() === 'batch' ? Math.max(0, this.batches().length - this.most()) : 0,
  );

  protected readonly counted = computed(() => this.batches().filter((b) => b.tallies.length > 0));
  protected readonly plate = computed(() => {
    const counted = this.counted();
    const batch =
      counted.find((b) => b.id === this.picked()) ??
      // The one with the most to see.
      counted.reduce<Batch | null>(
        (best, b) =>
          best === null || b.tallies.length * b.count > best.tallies.length * best.count ? b : best,
        null,
      );
    if (!batch) return null;
    return {
      batch,
      title: batchTitle(this.state(), batch),
      code: batchCode(this.state(), batch),
      emergence: emergence(batch, batch.ended ?? this.today()),
    };
  });

  protected choose(grouping: Grouping): void {
    this.grouping.set(grouping);
  }

  protected showMore(): void {
    this.most.update((n) => n + 4 * FEW);
  }

  protected pick(id: string): void {
    this.picked.set(id);
  }

  protected surely(steps: readonly EmergenceStep[], day: number): number {
    return steps.findLast((s) => s.day <= day)?.sure ?? 0;
  }

  protected titleOf(batch: Batch): string {
    return `${batchTitle(this.state(), batch)}, ${this.words.day(batch.cutOn)}`;
  }

  /** `78 % (71–84)`: the share with its interval. */
  protected share(interval: ShareInterval | null): string {
    if (interval === null) return '';
    const whole = (f: number): string => `${Math.round(f * 100)}`;
    return `${whole(interval.share)} % (${whole(interval.low)}–${whole(interval.high)})`;
  }

  private row(key: string, batches: readonly Batch[], batch: Batch | null): Row {
    const count = countLedger(batches);
    const bounds = batch ? firstRoot(batch) : null;
    return {
      key,
      batch,
      name: batch ? batchTitle(this.state(), batch) : key,
      about: batch
        ? `${batchCode(this.state(), batch)}, ${this.words.day(batch.cutOn)}`
        : batches.length === 1
          ? '1 batch'
          : `${batches.length} batches`,
      count,
      shares: ledgerShares(count),
      firstRoot: batch ? (bounds ? `${bounds.after}–${bounds.by}` : '–') : this.bounds(batches),
    };
  }

  /** The earliest and the latest a first root can have shown among the batches. */
  private bounds(batches: readonly Batch[]): string {
    const all = batches.flatMap((b) => firstRoot(b) ?? []);
    if (all.length === 0) return '–';
    return `${Math.min(...all.map((b) => b.after))}–${Math.max(...all.map((b) => b.by))}`;
  }

  private keyOf(batch: Batch, by: Exclude<Grouping, 'batch'>): string {
    switch (by) {
      case 'method':
        return METHOD[batch.method].name;
      case 'plant':
        return plantOf(this.state(), batch.taxon)?.name ?? 'Unknown plant';
      case 'school':
        return WOUND_SCHOOL[batch.school].name;
    }
  }
}
