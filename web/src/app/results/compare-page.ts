import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatOption, MatSelect } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { GROUPING_NAME, GROUPINGS, type Grouping } from '@hypogeon/core/ledger';
import {
  comparisonHeadline,
  comparisonWorking,
  confoundingText,
  fairTrial,
  halfDays,
  pText,
  unfairText,
} from '@hypogeon/words';
import * as z from 'zod';
import { say } from '@hypogeon/messages/compare-page';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Words } from '../data/words';
import { Field } from '../forms/field';
import { Chart } from '../charts/chart';
import { incidenceChart } from '../charts/incidence-chart';
import { rangesChart, rangesTall } from '../charts/ranges-chart';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';
import type { Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';

interface Chosen {
  readonly by: Grouping;
  readonly a: string;
  readonly b: string;
}
const BLANK: Chosen = { by: 'method', a: '', b: '' };

/** A group beside the others. */
interface Side {
  readonly name: string;
  readonly batches: number;
  readonly told: number;
  readonly rooted: string;
  readonly half: string;
  readonly says: string;
}

/** Two ways of doing it against each other: shares, times, what else they differ in, and a fair trial. */
@Component({
  selector: 'hy-compare-page',
  imports: [
    Chart,
    Field,
    Fold,
    LedgerFilterBar,
    LedgerTabs,
    MatOption,
    MatSelect,
    RouterLink,
    Table,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>{{ say.compareWays() }}</h1>
      <p class="quiet">{{ say.whichWayRootsMore() }}</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/compare"><hy-ledger-filter /></hy-ledger-tabs>
    <div class="grid auto-fit-44 gap-4">
      <hy-field [label]="say.by()">
        <mat-select [value]="chosen().by" (selectionChange)="setBy($event.value)">
          @for (g of groupings; track g) {
            <mat-option [value]="g">{{ nameOf[g] }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.thisWay()">
        <mat-select
          [value]="answer()?.comparison?.a?.name"
          (selectionChange)="set({ a: $event.value })"
        >
          @for (g of answer()?.groups ?? []; track g.name) {
            <mat-option [value]="g.name"> {{ g.name }} ({{ g.told }}) </mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.against()">
        <mat-select
          [value]="answer()?.comparison?.b?.name"
          (selectionChange)="set({ b: $event.value })"
        >
          @for (g of answer()?.groups ?? []; track g.name) {
            <mat-option [value]="g.name"> {{ g.name }} ({{ g.told }}) </mat-option>
          }
        </mat-select>
      </hy-field>
    </div>
    @if (view(); as v) {
      <section
        class="grid grid-cols-1 gap-3"
        aria-live="polite"
        [attr.aria-label]="say.whatCameOfIt()"
      >
        <p class="words max-w-[44ch] headline text-xl">{{ v.answer }}</p>
        @if (v.unfair) {
          <p>{{ v.unfair }}</p>
        }
        @if (v.ranges; as ranges) {
          <hy-chart
            [name]="say.shareRootedAnd({ name: v.c.a.name, name2: v.c.b.name })"
            [tall]="ranges.tall"
            [model]="ranges.model"
          />
        }
        <p>
          {{ v.trial }} <a routerLink="/results/trials/new">{{ say.designATrial() }}</a>
        </p>
      </section>
      <div class="grid grid-cols-1">
        @if (v.c.confounded.length > 0) {
          <hy-fold [heading]="say.whatElseTheyDiffer()">
            <ng-template>
              <ul class="m-0 pl-4.5">
                @for (line of v.c.confounded; track $index) {
                  <li>{{ confounding(line) }}</li>
                }
              </ul>
            </ng-template>
          </hy-fold>
        }
        <hy-fold [heading]="say.rootsAndLossesOver()">
          <ng-template>
            <hy-chart
              [name]="say.against2({ name: v.c.a.name, name2: v.c.b.name })"
              [model]="v.chart"
            />
          </ng-template>
        </hy-fold>
        @if (all().length > 0) {
          <hy-fold [heading]="say.allSideBySide({ count: all().length })">
            <ng-template>
              <hy-table [name]="say.allGroupsSideBy()" [columns]="columns()" [rows]="all()" />
            </ng-template>
          </hy-fold>
        }
        <hy-fold [heading]="say.howThisWasWorked()">
          <ng-template>
            @for (line of v.working; track $index) {
              <p class="max-w-[68ch]">{{ line }}</p>
            }
            <p class="quiet small max-w-[68ch]">
              {{ say.sharesAreOfSettled() }}
            </p>
          </ng-template>
        </hy-fold>
      </div>
    } @else if (answer()) {
      <p>
        {{ say.twoGroupsWithCounted() }}
      </p>
    }
  `,
  styleUrl: './pages.scss',
})
export class ComparePage {
  protected readonly say = say;
  protected readonly confounding = confoundingText;

  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);
  private readonly words = inject(Words);
  protected readonly groupings = GROUPINGS;
  protected readonly nameOf = GROUPING_NAME;
  private readonly keeper = inject(Drafts).keeper(
    'compare',
    shapeOf(BLANK, { by: z.enum(GROUPINGS) }),
  );
  protected readonly chosen = signal<Chosen>({ ...BLANK, ...this.keeper.read() });

  protected readonly answer = this.ledger.answer(
    computed(() => ({ ...this.chosen(), filter: this.filters.filter() })),
    (desk, ask) => desk.compared(ask),
  );

  protected readonly view = computed(() => {
    const c = this.answer()?.comparison;
    if (!c) return null;
    const rows = [c.a, c.b].flatMap(({ name, rooted }) =>
      rooted ? [{ name, low: rooted.low, likely: rooted.share, high: rooted.high }] : [],
    );
    return {
      c,
      answer: comparisonHeadline(c),
      unfair: unfairText(c),
      working: comparisonWorking(c, this.words.speech().locale),
      trial: fairTrial(c),
      ranges:
        rows.length === 2
          ? {
              tall: rangesTall(rows.length),
              model: rangesChart(rows, {
                title: say.shareThatRooted(),
                figure: (share) => this.words.percent(share),
                most: 1,
              }),
            }
          : null,
      chart: incidenceChart([c.a, c.b]),
    };
  });

  protected readonly columns = computed((): readonly Column<Side>[] => [
    { key: 'name', head: this.nameOf[this.chosen().by], text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'batches',
      head: say.batches(),
      number: true,
      text: (r) => `${r.batches}`,
      sort: (r) => r.batches,
    },
    {
      key: 'settled',
      head: say.settled(),
      number: true,
      text: (r) => `${r.told}`,
      sort: (r) => r.told,
    },
    { key: 'rooted', head: say.rooted(), number: true, text: (r) => r.rooted },
    { key: 'half', head: say.halfHaveRootsDay(), number: true, text: (r) => r.half },
    { key: 'says', head: say.againstAllOthers(), text: (r) => r.says },
  ]);
  protected readonly all = computed((): readonly Side[] =>
    (this.answer()?.all ?? []).map(({ name, settledBatches, told, rooted, half, p }) => ({
      name,
      batches: settledBatches,
      told,
      rooted: rooted ? this.words.percentSpan(rooted) : '–',
      half: half ? halfDays(half) : '–',
      says: p === null ? '' : p < 0.1 ? say.differs({ p: pText(p) }) : say.noClearDifference(),
    })),
  );

  protected setBy(value: string): void {
    const by = GROUPINGS.find((g) => g === value);
    if (by) this.set({ by, a: '', b: '' });
  }

  protected set(over: Partial<Chosen>): void {
    this.chosen.update((c) => ({ ...c, ...over }));
    this.keeper.keep(this.chosen());
  }
}
