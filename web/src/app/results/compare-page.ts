import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatOption, MatSelect } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { GROUPING_NAME, GROUPINGS, type Grouping } from '@hypogeon/core/ledger';
import {
  comparisonHeadline,
  comparisonWorking,
  fairTrial,
  halfDays,
  pText,
  unfairText,
} from '@hypogeon/words';
import * as z from 'zod';
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
      <h1>Compare ways</h1>
      <p class="quiet">which way roots more, and how sure that is</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/compare"><hy-ledger-filter /></hy-ledger-tabs>
    <div class="grid auto-fit-44 gap-4">
      <hy-field label="By">
        <mat-select [value]="chosen().by" (selectionChange)="setBy($event.value)">
          @for (g of groupings; track g) {
            <mat-option [value]="g">{{ nameOf[g] }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field label="This way">
        <mat-select
          [value]="answer()?.comparison?.a?.name"
          (selectionChange)="set({ a: $event.value })"
        >
          @for (g of answer()?.groups ?? []; track g.name) {
            <mat-option [value]="g.name"> {{ g.name }} ({{ g.told }}) </mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field label="Against">
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
      <section class="grid grid-cols-1 gap-3" aria-live="polite" aria-label="What came of it">
        <p class="words max-w-[44ch] headline text-xl">{{ v.answer }}</p>
        @if (v.unfair) {
          <p>{{ v.unfair }}</p>
        }
        @if (v.ranges; as ranges) {
          <hy-chart
            [name]="'Share rooted, ' + v.c.a.name + ' and ' + v.c.b.name"
            [tall]="ranges.tall"
            [model]="ranges.model"
          />
        }
        <p>{{ v.trial }} <a routerLink="/results/trials/new">Design a trial</a></p>
      </section>
      <div class="grid grid-cols-1">
        @if (v.c.confounded.length > 0) {
          <hy-fold heading="What else they differ in">
            <ng-template>
              <ul class="m-0 pl-4.5">
                @for (line of v.c.confounded; track $index) {
                  <li>{{ line }}</li>
                }
              </ul>
            </ng-template>
          </hy-fold>
        }
        <hy-fold heading="Roots and losses over time">
          <ng-template>
            <hy-chart [name]="v.c.a.name + ' against ' + v.c.b.name" [model]="v.chart" />
          </ng-template>
        </hy-fold>
        @if (all().length > 0) {
          <hy-fold [heading]="'All ' + all().length + ' side by side'">
            <ng-template>
              <hy-table name="All groups side by side" [columns]="columns()" [rows]="all()" />
            </ng-template>
          </hy-fold>
        }
        <hy-fold heading="How this was worked out">
          <ng-template>
            @for (line of v.working; track $index) {
              <p class="max-w-[68ch]">{{ line }}</p>
            }
            <p class="quiet small max-w-[68ch]">
              Shares are of settled batches, curves of all that were counted. Shares with Wilson’s
              interval, their difference with Newcombe’s; Fisher’s exact test and the chance, all on
              effective numbers, because cuttings of one batch share their tray; many groups at once
              are corrected by Holm’s method; curves by Aalen and Johansen, in which what rotted can
              no longer root.
            </p>
          </ng-template>
        </hy-fold>
      </div>
    } @else if (answer()) {
      <p>
        Two groups with counted batches are needed. Count what is on the bench, or choose another
        question.
      </p>
    }
  `,
  styleUrl: './pages.scss',
})
export class ComparePage {
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
                title: 'Share that rooted',
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
      head: 'Batches',
      number: true,
      text: (r) => `${r.batches}`,
      sort: (r) => r.batches,
    },
    {
      key: 'settled',
      head: 'Settled',
      number: true,
      text: (r) => `${r.told}`,
      sort: (r) => r.told,
    },
    { key: 'rooted', head: 'Rooted', number: true, text: (r) => r.rooted },
    { key: 'half', head: 'Half have roots, day', number: true, text: (r) => r.half },
    { key: 'says', head: 'Against all others', text: (r) => r.says },
  ]);
  protected readonly all = computed((): readonly Side[] =>
    (this.answer()?.all ?? []).map(({ name, settledBatches, told, rooted, half, p }) => ({
      name,
      batches: settledBatches,
      told,
      rooted: rooted ? this.words.percentSpan(rooted) : '–',
      half: half ? halfDays(half) : '–',
      says: p === null ? '' : p < 0.1 ? `differs, ${pText(p)}` : 'no clear difference',
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
