import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  GROUPING_NAME,
  GROUPINGS,
  type Comparison,
  type GroupSummary,
  type Grouping,
} from '@hypogeon/core/ledger';
import * as z from 'zod';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Words } from '../data/words';
import { Field } from '../forms/field';
import { Chart } from '../charts/chart';
import { incidenceChart } from '../charts/incidence-chart';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';
import type { Column } from '../ui/column';
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
  imports: [Table, MatOption, MatSelect, Field, LedgerFilterBar, LedgerTabs, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>Compare ways</h1>
      <p class="quiet">which way roots more, and how sure that is</p>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/compare" />
    <hy-ledger-filter />
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
        @if (v.turned) {
          <p class="max-w-[60ch]">{{ v.turned }}</p>
        }
        <p>{{ v.figures }}</p>
        @for (line of v.more; track $index) {
          <p class="quiet">{{ line }}</p>
        }
      </section>
      @if (v.c.confounded.length > 0) {
        <section
          class="grid grid-cols-1 gap-3 pl-4 border-l-4 border-callus"
          aria-labelledby="mind"
        >
          <h2 id="mind">They differ in other things too</h2>
          <ul class="m-0 pl-4.5">
            @for (line of v.c.confounded; track $index) {
              <li>{{ line }}</li>
            }
          </ul>
          <p>
            {{ v.trial }}
          </p>
        </section>
      } @else {
        <p>{{ v.trial }}</p>
      }
      <section class="grid grid-cols-1 gap-3" aria-labelledby="plate">
        <h2 id="plate" class="ruled">Roots above, losses below</h2>
        <hy-chart [name]="v.c.a.name + ' against ' + v.c.b.name" [model]="v.chart" />
      </section>
      @if (all().length > 0) {
        <section class="grid grid-cols-1 gap-3" aria-labelledby="all">
          <h2 id="all" class="ruled">All of them</h2>
          <hy-table name="All groups side by side" [columns]="columns()" [rows]="all()" />
          <p class="quiet small">Corrected by Holm’s method for the number of groups.</p>
        </section>
      }
      <p class="quiet small">
        Shares are of settled batches, curves of all that were counted. Shares with Wilson’s
        interval, their difference with Newcombe’s; Fisher’s exact test and the chance, all on
        effective numbers, because cuttings of one batch share their tray; curves by Aalen and
        Johansen, in which what rotted can no longer root.
      </p>
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
    return {
      c,
      answer: answerOf(c),
      turned: turnedText(c, (share) => this.words.percent(share)),
      figures: `${this.share(c.a)}; ${this.share(c.b)}. ${this.difference(c)}`,
      more: this.more(c),
      trial: trialOf(c),
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
      half: half ? halfText(half) : '–',
      says: p === null ? '' : p < 0.1 ? `differs, p ${pWords(p)}` : 'not told apart',
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

  private share({ name, count, told, rooted }: GroupSummary): string {
    return rooted
      ? `${name}: ${count.rooted} of ${told} rooted, ${this.words.percentSpan(rooted)}`
      : `${name}: none settled yet`;
  }

  private difference({ difference, chance, a, b }: Comparison): string {
    if (!difference) return '';
    return `The difference is ${points(difference.difference)} ${Math.abs(Math.round(difference.difference * 100)) === 1 ? 'point' : 'points'} (${points(difference.low)} to ${points(difference.high)}). Chance that ${a.name.toLowerCase()} roots more often than ${b.name.toLowerCase()}: ${this.words.percent(chance)}.`;
  }

  private more({ a, b, within, times }: Comparison): readonly string[] {
    const half = ({ name, half: h }: GroupSummary): string =>
      h ? `${name.toLowerCase()} ${halfText(h)} days` : `${name.toLowerCase()} none`;
    return [
      `Half of those that root have roots after: ${half(a)}, ${half(b)}.`,
      ...(times.test
        ? [
            `Times to roots: ${times.test.p < 0.05 ? 'they differ' : 'no telling them apart'} (by the looks they lie between, p ${pWords(times.test.p)}).`,
          ]
        : []),
      ...(within
        ? [
            `Within the same plants (${within.strata}): odds of rooting ${this.words.decimal(within.oddsRatio, 1)} times (${this.words.decimal(within.low, 1)} to ${this.words.decimal(within.high, 1)}).`,
          ]
        : []),
    ];
  }
}

/** Points of a hundred, with a true minus. */
const points = (f: number): string => String(Math.round(f * 100)).replace('-', '−');

/** `13–14`; `13 or later` while so many wait that half may lie any time ahead. */
const halfText = ({ from, to }: NonNullable<GroupSummary['half']>): string =>
  to === null
    ? `${Math.round(from)} or later`
    : Math.round(from) === Math.round(to)
      ? `${Math.round(to)}`
      : `${Math.round(from)}–${Math.round(to)}`;

const pWords = (p: number): string => (p < 0.001 ? 'below 0.001' : p.toFixed(p < 0.1 ? 3 : 2));

/** Plain words first; small numbers are said to be small. */
function answerOf({ a, b, difference, strength, p }: Comparison): string {
  if (!difference) return 'One of them has no settled batch yet: its curve below is all there is.';
  const [more, less] = difference.difference >= 0 ? [a, b] : [b, a];
  const lead = `${more.name} rooted more often than ${less.name.toLowerCase()}`;
  if (Math.min(a.settledBatches, b.settledBatches) < 2)
    return `${lead}, but on one side it is a single batch: an anecdote, not evidence.`;
  switch (strength) {
    case 'strong':
      return `${lead}, and chance alone would hardly do that (p\u00a0${pWords(p)}).`;
    case 'some':
      return `${lead}; it may be so (p\u00a0${pWords(p)}).`;
    case 'weak':
      return p > 0.5
        ? 'Not told apart: they rooted alike, as far as these can tell.'
        : `Not told apart yet: chance alone would do as much ${Math.round(p * 100)} times in a hundred.`;
  }
}

/**
 * Where the shares of all pieces together, as the chart has them, run the other way than what is judged by: a large tray
 * counts there as if its pieces were many trays.
 */
export function turnedText(
  { a, b, difference }: Comparison,
  percent: (share: number) => string,
): string {
  if (!difference || a.told === 0 || b.told === 0) return '';
  const crude = ({ count, told }: GroupSummary): number => count.rooted / told;
  if ((crude(a) - crude(b)) * difference.difference >= 0) return '';
  return `Of all pieces together it is the other way round (${percent(crude(a))} of ${a.name.toLowerCase()}, ${percent(crude(b))} of ${b.name.toLowerCase()}): one large tray weighs much there. It is judged by trays.`;
}

function trialOf({ trialOf: n }: Comparison): string {
  if (n === null)
    return 'The shares are so alike that no trial of a sensible size would tell them apart.';
  return `A fair trial: the same plant, the same day, the same tray, ways drawn by lot; about ${n} cuttings each would find such a difference four times in five.`;
}
