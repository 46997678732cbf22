import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  GROUPING_NAME,
  GROUPINGS,
  type CaseName,
  type CountedRow,
  type Grouping,
} from '@hypogeon/core/ledger';
import type { ShareInterval } from '@hypogeon/core/stats';
import { Journal } from '../data/journal';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { eachOf } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/ledger-page';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { emergenceChart } from '../charts/emergence-chart';
import { Field } from '../forms/field';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';
import { CellOf, type Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';
import { perCent } from '@hypogeon/core/units';

const PART_NAME = {
  get pupped() {
    return say.withPups();
  },
  get rooted() {
    return say.rootsOnly();
  },
  get waiting() {
    return say.waiting2();
  },
  get lost() {
    return say.lostOtherwise();
  },
  get dried() {
    return say.driedUp();
  },
  get rotted() {
    return say.rotted2();
  },
} as const;

const FEW = 40;

/** What was counted: over all, as a plate, and row by row. */
@Component({
  selector: 'hy-ledger-page',
  imports: [
    CellOf,
    Fold,
    Table,
    MatButton,
    MatOption,
    MatSelect,
    Field,
    RouterLink,
    Chart,
    LedgerFilterBar,
    LedgerTabs,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-6.5' },
  templateUrl: './ledger-page.html',
  styleUrl: './ledger-page.scss',
})
export class LedgerPage {
  protected readonly say = say;
  protected readonly inSentence = inSentence;

  protected readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);

  protected readonly groupings = ['batch', ...GROUPINGS] as const;
  protected readonly nameOf: Readonly<Record<Grouping | 'batch', string>> = {
    batch: say.batch(),
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
  protected readonly columns = computed((): readonly Column<CountedRow>[] => {
    const share = (
      key: 'pupped' | 'dried' | 'lost',
    ): Pick<Column<CountedRow>, 'text' | 'note' | 'sort' | 'number'> => ({
      number: true,
      text: (r) => `${r.count[key]}`,
      note: (r) => this.share(r.shares[key]),
      sort: (r) => r.count[key],
    });
    return [
      {
        key: 'name',
        head: this.nameOf[this.grouping()],
        text: (r) => r.name,
        note: (r) => this.note(r),
        link: (r) => (r.batch ? ['/bench', r.batch.id] : null),
        sort: (r) => r.name,
      },
      {
        key: 'set',
        head: say.setWord(),
        number: true,
        text: (r) => `${r.count.stuck}`,
        sort: (r) => r.count.stuck,
      },
      {
        key: 'rooted',
        head: say.rooted(),
        text: (r) => `${r.count.rooted} ${this.share(r.shares.rooted)}`,
        sort: (r) => r.shares.rooted?.share ?? null,
      },
      {
        key: 'pups',
        head: say.pups(),
        ...share('pupped'),
        note: (r) =>
          [this.share(r.shares.pupped), eachOf(r.count, this.words.speech().locale)]
            .filter(Boolean)
            .join(', '),
      },
      {
        key: 'rotted',
        head: say.rotted(),
        text: (r) => `${r.count.rotted} ${this.share(r.shares.rotted)}`,
        sort: (r) => r.shares.rotted?.share ?? null,
      },
      { key: 'dried', head: say.dried(), ...share('dried') },
      { key: 'other', head: say.other(), ...share('lost') },
      {
        key: 'waiting',
        head: say.waiting(),
        number: true,
        text: (r) => `${r.count.waiting}`,
        sort: (r) => r.count.waiting,
      },
      {
        key: 'first',
        head: say.firstRootDay(),
        number: true,
        text: ({ firstRoot }) => (firstRoot ? `${firstRoot.after}–${firstRoot.by}` : '–'),
        sort: (r) => r.firstRoot?.by ?? null,
      },
    ];
  });

  private note({ batch, count }: CountedRow): string {
    if (batch) return `${batch.code}, ${this.words.day(batch.cutOn)}`;
    return count.batches === 1 ? say.batchAlone() : say.batches({ batches: count.batches });
  }

  protected readonly filtered = computed(() => Object.keys(this.filters.filter()).length > 0);
  protected readonly plateTitle = computed(() => {
    const one = this.view()?.drawable.find((b) => b.id === this.picked());
    if (one) return one.title;
    const names = Object.values(this.filters.filter());
    return names.length > 0 ? names.join(', ') : say.allBatches();
  });
  /** What the sentence leaves out: what still dries, and who had water too soon. */
  protected readonly besides = computed(() => {
    const { callusing = 0, breaches = 0 } = this.view()?.overall ?? {};
    return [
      callusing > 0 ? say.moreAreCutAnd({ callusing }) : '',
      breaches > 0
        ? say.hadWaterBeforeIt({
            what: breaches === 1 ? say.oneBatch() : say.batches2({ breaches }),
          })
        : '',
    ]
      .filter(Boolean)
      .join(' ');
  });
  protected readonly chart = computed(() => {
    const plate = this.view()?.plate;
    if (!plate) return null;
    const batch = this.state().batches.get(this.picked() ?? '');
    const young = batch ? this.words.speech().wayOf(batch).young : 'pups';
    return emergenceChart(plate, this.picked() === null, young);
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

  /** `78% (71–84)`: the share with its interval. */
  protected share(interval: ShareInterval | null): string {
    if (interval === null) return '';
    const whole = (f: number): string => `${Math.round(f * 100)}`;
    return `${perCent(whole(interval.share))} (${whole(interval.low)}–${whole(interval.high)})`;
  }
}
