import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { batchCode, batchTitle, plantOf, plants } from '@hypogeon/core/bench';
import { isDay } from '@hypogeon/core/days';
import type { Order } from '@hypogeon/core/journal';
import {
  fitting,
  handOver,
  openOrders,
  setAside,
  shortfall,
  unpromised,
} from '@hypogeon/core/order';
import { BenchTabs } from '../bench/bench-tabs';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { readPrice } from '../forms/price';
import { Field, FieldControl } from '../forms/field';

/** Who wants what by when, and what stands against it. */
@Component({
  selector: 'hy-orders-page',
  imports: [MatButton, DayField, MatOption, MatSelect, BenchTabs, Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Orders</h1>
      <button
        type="button"
        [matButton]="adding() || selling() ? 'outlined' : 'filled'"
        class="push"
        (click)="openForm(!adding())"
        [attr.aria-expanded]="adding()"
      >
        {{ adding() ? 'Cancel' : 'Add an order' }}
      </button>
    </div>
    <hy-bench-tabs />
    @if (adding()) {
      <form
        class="grid auto-fill-48 items-start gap-y-3 gap-x-4 mb-4"
        novalidate
        (submit)="$event.preventDefault(); add(who.value, plant.value, count.value, by.value())"
      >
        <hy-field label="Who" hint="A first name or a code. It stays in this journal.">
          <input hyControl type="text" maxlength="80" #who />
        </hy-field>
        <hy-field label="Plant">
          <mat-select value="" #plant>
            <mat-option value="">Choose</mat-option>
            @for (p of plants(); track p.id) {
              <mat-option [value]="p.id">{{ p.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field label="How many"><input hyControl type="number" min="1" #count /></hy-field>
        <hy-day label="By" [min]="today()" #by />
        <button matButton="filled" class="justify-self-start mt-1.5">Add it</button>
      </form>
      <p class="problem" role="alert">{{ problem() }}</p>
    }
    <ul class="bare">
      @for (o of open(); track o.order.id) {
        <li class="grid gap-2 py-4 border-b border-line">
          <div class="flex flex-wrap items-baseline gap-y-1 gap-x-4">
            <h2>{{ o.order.who ?? 'Somebody' }}</h2>
            <span
              >{{ o.order.count }} <i>{{ o.plant }}</i></span
            >
            <span class="by ml-auto" [class.late]="o.late">{{ o.by }}</span>
          </div>
          <div class="bar flex h-3.5 border border-ink2" role="img" [attr.aria-label]="o.says">
            <i class="flex-[0_0_0] bg-living" [style.flex-grow]="o.stands.ready"></i>
            <i class="flex-[0_0_0] bg-living-soft" [style.flex-grow]="o.stands.growing"></i>
            <i class="short flex-[0_0_0]" [style.flex-grow]="o.stands.short"></i>
          </div>
          <p>{{ o.says }}</p>
          @if (o.from.length > 0) {
            <p class="small quiet">
              Set aside:
              @for (f of o.from; track f.batch) {
                <a [routerLink]="['/bench', f.batch]">{{ f.says }}</a>{{ $last ? '' : ', ' }}
              }
            </p>
          }
          <div class="row flex flex-wrap gap-2">
            @if (o.couldServe) {
              <button type="button" matButton="outlined" (click)="aside(o.order)">
                Set aside what there is
              </button>
            }
            @if (o.stands.short > 0) {
              <a
                matButton="outlined"
                routerLink="/plan"
                [queryParams]="{
                  mother: o.mother,
                  want: o.stands.short,
                  by: o.order.by,
                  taxon: o.order.taxon,
                }"
              >
                Plan {{ o.stands.short }} more
              </a>
            }
            @if (o.stands.ready > 0) {
              <button type="button" matButton="outlined" (click)="give(o.order)">
                Given away, {{ o.stands.ready }}
              </button>
              <button type="button" matButton="outlined" (click)="openSale(o.order.id, false)">
                Sold, {{ o.stands.ready }}
              </button>
            }
            @if (o.stands.growing > 0) {
              <button
                type="button"
                matButton="outlined"
                (click)="openSale(o.order.id, true)"
                [attr.aria-label]="
                  'Sold, with the ' +
                  o.stands.growing +
                  ' without roots, for ' +
                  (o.order.who ?? 'somebody')
                "
              >
                Sold, with {{ o.stands.growing }} unrooted
              </button>
            }
            @for (f of o.from; track f.batch) {
              <a matButton="text" [routerLink]="['/bench', f.batch, 'slip']">Care slip</a>
            }
            <button type="button" matButton="text" (click)="callOff(o.order)">
              Cancel the order
            </button>
          </div>
          @if (selling(); as sale) {
            @if (sale.id === o.order.id) {
              <form
                class="flex flex-wrap items-start gap-3 pt-1"
                aria-label="The sale"
                novalidate
                (submit)="$event.preventDefault(); sell(o.order, price.value)"
              >
                <hy-field
                  class="w-44"
                  [label]="'Price each' + currency() + ' (optional)'"
                  [problem]="priceWrong()"
                >
                  <input
                    hyControl
                    type="text"
                    inputmode="decimal"
                    [value]="usualPrice()"
                    (input)="priceWrong.set('')"
                    #price
                  />
                </hy-field>
                <button matButton="filled" class="mt-1.5">Record the sale</button>
                <button type="button" matButton="text" class="mt-1.5" (click)="selling.set(null)">
                  Not now
                </button>
              </form>
            }
          }
        </li>
      } @empty {
        <li class="grid gap-2 py-4 border-b border-line">
          <p>
            No order is open. Write down who wants what by when, and Plan works out what to cut.
          </p>
        </li>
      }
    </ul>
    @if (done().length > 0) {
      <details>
        <summary class="flex items-center min-h-11 cursor-pointer">
          {{ done().length === 1 ? 'One order' : done().length + ' orders' }} done or cancelled
        </summary>
        <ul class="bare">
          @for (o of done(); track o.id) {
            <li class="grid gap-2 py-4 border-b border-line">{{ o.says }}</li>
          }
        </ul>
      </details>
    }
  `,
  styles: `
    .late {
      color: var(--do);
      font-weight: 650;
    }
    .short {
      background: repeating-linear-gradient(45deg, var(--do) 0 2px, transparent 2px 6px);
    }
    .problem:not(:empty) {
      color: var(--do);
      font-weight: 600;
      margin-bottom: 1rem;
    }
  `,
})
export class OrdersPage {
  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  private readonly words = inject(Words);
  protected readonly today = inject(Today).day;

  private readonly who = viewChild<ElementRef<HTMLInputElement>>('who');
  protected readonly adding = signal(false);
  protected readonly problem = signal('');
  /** The order whose sale is being put down. */
  protected readonly selling = signal<{
    readonly id: string;
    readonly unrootedToo: boolean;
  } | null>(null);
  protected readonly priceWrong = signal('');
  protected readonly usualPrice = computed(() => {
    const { plantPrice } = this.state().settings;
    // As it stands on a price tag.
    return plantPrice === undefined ? '' : plantPrice.toFixed(2);
  });
  protected readonly currency = computed(() => {
    const { currency } = this.state().settings;
    return currency ? `, ${currency}` : '';
  });
  protected readonly plants = computed(() => plants(this.state()));

  protected readonly open = computed(() => {
    const state = this.state();
    return openOrders(state).map((order) => {
      const stands = shortfall(state, order);
      const set = new Set((order.from ?? []).map((f) => f.batch));
      const mother = [...state.mothers.values()].find((m) => m.taxon === order.taxon);
      return {
        order,
        stands,
        plant: plantOf(state, order.taxon ?? '')?.name ?? 'an unknown plant',
        by: order.by ? `by ${this.words.near(order.by)}` : 'no day told',
        late: order.by !== undefined && order.by < this.today(),
        mother: mother?.id,
        couldServe:
          stands.ready + stands.growing < stands.wanted &&
          fitting(state, order).some((b) => !set.has(b.id) && unpromised(state, b) > 0),
        says: [
          stands.handed > 0 ? `${stands.handed} gone` : '',
          `${stands.ready} ready`,
          stands.growing > 0 ? `${stands.growing} without roots yet` : '',
          stands.short > 0 ? `${stands.short} short` : '',
        ]
          .filter(Boolean)
          .join(', '),
        from: (order.from ?? []).map(({ batch, count }) => {
          const found = state.batches.get(batch);
          return {
            batch,
            says: found
              ? `${count} of ${batchTitle(state, found)} ${batchCode(state, found)}`
              : `${count} of a lost batch`,
          };
        }),
      };
    });
  });

  protected readonly done = computed(() =>
    [...this.state().orders.values()]
      .filter((o) => o.doneOn !== undefined || o.calledOff !== undefined)
      .map((o) => ({
        id: o.id,
        says: `${o.who ?? 'Somebody'}, ${o.count ?? '?'} ${plantOf(this.state(), o.taxon ?? '')?.name ?? ''}: ${
          o.doneOn ? `handed over ${this.words.day(o.doneOn)}` : 'cancelled'
        }`,
      })),
  );

  protected openForm(open: boolean): void {
    this.selling.set(null);
    this.adding.set(open);
    if (open) setTimeout(() => this.who()?.nativeElement.focus());
  }

  /** One thing at a time: the other form closes, and the loud colour is on this one. */
  protected openSale(id: string, unrootedToo: boolean): void {
    this.adding.set(false);
    this.selling.set({ id, unrootedToo });
  }

  protected async add(who: string, taxon: string, count: string, by: string): Promise<void> {
    const n = Number(count);
    if (taxon === '')
      return this.problem.set('Which plant? Choose one of the guide or of your own.');
    if (!Number.isInteger(n) || n < 1)
      return this.problem.set('How many? A whole number of 1 or more.');
    if (by !== '' && !isDay(by)) return this.problem.set('That is not a day of the calendar.');
    this.problem.set('');
    const taken = await this.actions.record(
      {
        kind: 'put',
        record: 'order',
        key: freshId(),
        fields: {
          ...(who.trim() ? { who: who.trim() } : {}),
          taxon,
          count: n,
          ...(by ? { by } : {}),
        },
      },
      'Order taken',
    );
    if (taken) this.adding.set(false);
  }

  protected aside(order: Order): void {
    const from = [...setAside(this.state(), order)];
    void this.actions.record(
      { kind: 'put', record: 'order', key: order.id, fields: { from } },
      'Set aside',
    );
  }

  protected give(order: Order): void {
    void this.actions.recordAll(handOver(this.state(), order, this.today(), 'given'), 'Given away');
  }

  /** What is sold is asked for its price, with the usual one there already. */
  protected async sell(order: Order, typed: string): Promise<void> {
    const price = readPrice(typed);
    if (!price.ok) return this.priceWrong.set(price.problem);
    const sale = this.selling();
    const sold = await this.actions.recordAll(
      handOver(this.state(), order, this.today(), 'sold', sale?.unrootedToo, price.each),
      'Sold',
    );
    if (sold) this.selling.set(null);
  }

  protected callOff(order: Order): void {
    void this.actions.record(
      { kind: 'put', record: 'order', key: order.id, fields: { calledOff: 'cancelled' } },
      'Cancelled',
    );
  }
}
