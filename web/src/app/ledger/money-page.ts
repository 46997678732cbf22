import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { GROUPING_NAME, type Grouping, type MoneyRange } from '@hypogeon/core/ledger';
import { Journal } from '../data/journal';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Field, FieldControl } from '../ui/field';
import { LedgerFilterBar } from './ledger-filter';
import { LedgerTabs } from './ledger-tabs';

const GROUPED_BY: readonly Grouping[] = ['method', 'mix', 'plant', 'school', 'space', 'year'];

/** What a finished plant cost in money and minutes, and what the losses were worth. */
@Component({
  selector: 'hy-money-page',
  imports: [DecimalPipe, Field, FieldControl, LedgerFilterBar, LedgerTabs, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Money and time</h1>
      <p class="quiet">what a finished plant cost, and what the losses were worth</p>
    </div>
    <hy-ledger-tabs />
    <hy-ledger-filter />
    @if (money(); as m) {
      @if (m.all.batches === 0) {
        <p>
          No batch is settled yet: what still grows has cost its minutes and gives no plant yet.
        </p>
      } @else {
        <section aria-label="Over all">
          <p class="words">
            @if (m.all.perPlant; as p) {
              A finished plant cost {{ p.value | number: '1.2-2' }}
              <span class="quiet">({{ span(p, 2) }})</span>
            } @else {
              No price is known yet.
            }
            @if (m.all.minutesPerPlant; as t) {
              and {{ t.value | number: '1.1-1' }} minutes
              <span class="quiet">({{ span(t, 1) }})</span>.
            }
          </p>
          <p>
            {{ m.all.plants }} plants of {{ m.all.count.stuck }} cuttings in
            {{ m.all.batches }} settled batches. {{ lostSays() }}
            @if (m.all.lostValue.forgone === null) {
              <a routerLink="/store-room">Say what a plant fetches</a> to see what they were worth.
            }
          </p>
          @if (m.all.unpriced.length > 0) {
            <p class="quiet small">
              Without a price, and left out: {{ m.all.unpriced.join(', ') }}. Store room and shelf
              keep prices.
            </p>
          }
        </section>
        <section aria-labelledby="rows">
          <div class="head">
            <h2 id="rows">Row by row</h2>
            <hy-field label="A row for each">
              <select hyControl (change)="choose(by.value)" #by>
                @for (g of groupings; track g) {
                  <option [value]="g" [selected]="g === grouping()">
                    {{ nameOf[g].toLowerCase() }}
                  </option>
                }
              </select>
            </hy-field>
          </div>
          <div class="scroll" tabindex="0" role="region" aria-label="Money and time by group">
            <table>
              <thead>
                <tr>
                  <th scope="col">{{ nameOf[grouping()] }}</th>
                  <th scope="col" class="number">Cuttings</th>
                  <th scope="col" class="number">Plants</th>
                  <th scope="col" class="number">Cost of a plant</th>
                  <th scope="col" class="number">Minutes a plant</th>
                  <th scope="col" class="number">Lost</th>
                  <th scope="col" class="number">Spent on the lost</th>
                  <th scope="col" class="number">Not fetched</th>
                </tr>
              </thead>
              <tbody>
                @for (row of m.rows; track row.name) {
                  <tr>
                    <th scope="row">{{ row.name }}</th>
                    <td class="number">{{ row.count.stuck }}</td>
                    <td class="number">{{ row.plants }}</td>
                    <td class="number">
                      @if (row.perPlant; as p) {
                        {{ p.value | number: '1.2-2' }}
                        <span class="range">{{ span(p, 2) }}</span>
                      } @else {
                        –
                      }
                    </td>
                    <td class="number">
                      @if (row.minutesPerPlant; as t) {
                        {{ t.value | number: '1.1-1' }}
                        <span class="range">{{ span(t, 1) }}</span>
                      } @else {
                        –
                      }
                    </td>
                    <td class="number">{{ row.lostValue.cuttings }}</td>
                    <td class="number">
                      {{
                        row.lostValue.spent === null ? '–' : (row.lostValue.spent | number: '1.2-2')
                      }}
                    </td>
                    <td class="number">
                      {{
                        row.lostValue.forgone === null
                          ? '–'
                          : (row.lostValue.forgone | number: '1.2-2')
                      }}
                    </td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
        </section>
        <p class="quiet small">
          In your own money, of settled batches. Ranges are where the next batches would lie eight
          times in ten, from the share that made it. Minutes are hands-on ones from the cut to the
          label, as the plan counts them.
        </p>
      }
    }
  `,
  styleUrl: './pages.scss',
  styles: `
    .head {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1.5rem;
      align-items: end;
      justify-content: space-between;
    }
    .words .quiet {
      font-weight: 400;
      font-size: 1.05rem;
    }
    .range {
      display: block;
      color: var(--ink2);
      font-size: 0.875rem;
    }
    th[scope='row'] {
      font-weight: 600;
    }
  `,
})
export class MoneyPage {
  private readonly journal = inject(Journal);
  private readonly ledger = inject(Ledger);
  private readonly filters = inject(LedgerFilters);
  protected readonly groupings = GROUPED_BY;
  protected readonly nameOf = GROUPING_NAME;
  protected readonly grouping = signal<Grouping>('method');

  protected readonly money = this.ledger.answer(
    computed(() => ({
      filter: this.filters.filter(),
      by: this.grouping(),
      price: this.journal.state().settings.plantPrice,
    })),
    (desk, { filter, by, price }) => desk.money(filter, by, price),
  );

  protected readonly lostSays = computed(() => {
    const lost = this.money()?.all.lostValue;
    if (!lost) return '';
    const spent =
      lost.spent === null
        ? 'what was spent on them has no price'
        : `${lost.spent.toFixed(2)} spent on them`;
    const forgone =
      lost.forgone === null ? '' : `, ${lost.forgone.toFixed(2)} they would have fetched`;
    return `${lost.cuttings} were lost: ${spent}${forgone}.`;
  });

  protected choose(value: string): void {
    this.grouping.set(GROUPED_BY.find((g) => g === value) ?? 'method');
  }

  /** `0.41–0.62`. */
  protected span({ low, high }: MoneyRange, digits: number): string {
    return `${low.toFixed(digits)}–${high.toFixed(digits)}`;
  }
}
