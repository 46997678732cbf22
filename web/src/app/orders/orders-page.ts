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
import { say } from '@hypogeon/messages/orders-page';
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
      <h1>{{ say.orders() }}</h1>
      <button
        type="button"
        [matButton]="adding() || selling() ? 'outlined' : 'filled'"
        class="push"
        (click)="openForm(!adding())"
        [attr.aria-expanded]="adding()"
      >
        {{ adding() ? say.cancel() : say.addAnOrder() }}
      </button>
    </div>
    <hy-bench-tabs />
    @if (adding()) {
      <form
        class="grid auto-fill-48 items-start gap-y-3 gap-x-4 mb-4"
        novalidate
        (submit)="$event.preventDefault(); add(who.value, plant.value, count.value, by.value())"
      >
        <hy-field [label]="say.who()" [hint]="say.aFirstNameOr()">
          <input hyControl type="text" maxlength="80" #who />
        </hy-field>
        <hy-field [label]="say.plant()">
          <mat-select value="" #plant>
            <mat-option value="">{{ say.choose() }}</mat-option>
            @for (p of plants(); track p.id) {
              <mat-option [value]="p.id">{{ p.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field [label]="say.howMany()"
          ><input hyControl type="number" min="1" #count
        /></hy-field>
        <hy-day [label]="say.by()" [min]="today()" #by />
        <button matButton="filled" class="justify-self-start mt-1.5">{{ say.addIt() }}</button>
      </form>
      <p class="problem" role="alert">{{ problem() }}</p>
    }
    <ul class="bare">
      @for (o of open(); track o.order.id) {
        <li class="grid gap-2 py-4 border-b border-line">
          <div class="flex flex-wrap items-baseline gap-y-1 gap-x-4">
            <h2>{{ o.order.who ?? say.somebody() }}</h2>
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
              {{ say.setAside() }}
              @for (f of o.from; track f.batch) {
                <a [routerLink]="['/bench', f.batch]">{{ f.says }}</a>{{ $last ? '' : ', ' }}
              }
            </p>
          }
          <div class="row flex flex-wrap gap-2">
            @if (o.couldServe) {
              <button type="button" matButton="outlined" (click)="aside(o.order)">
                {{ say.setAsideWhatThere() }}
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
                {{ say.planMore({ short: o.stands.short }) }}
              </a>
            }
            @if (o.stands.ready > 0) {
              <button type="button" matButton="outlined" (click)="give(o.order)">
                {{ say.givenAway({ ready: o.stands.ready }) }}
              </button>
              <button type="button" matButton="outlined" (click)="openSale(o.order.id, false)">
                {{ say.sold({ ready: o.stands.ready }) }}
              </button>
            }
            @if (o.stands.growing > 0) {
              <button
                type="button"
                matButton="outlined"
                (click)="openSale(o.order.id, true)"
                [attr.aria-label]="
                  say.soldWithTheWithout({
                    growing: o.stands.growing,
                    who: o.order.who ?? say.somebody2(),
                  })
                "
              >
                {{ say.soldWithUnrooted({ growing: o.stands.growing }) }}
              </button>
            }
            @for (f of o.from; track f.batch) {
              <a matButton="text" [routerLink]="['/bench', f.batch, 'slip']">{{
                say.careSlip()
              }}</a>
            }
            <button type="button" matButton="text" (click)="callOff(o.order)">
              {{ say.cancelTheOrder() }}
            </button>
          </div>
          @if (selling(); as sale) {
            @if (sale.id === o.order.id) {
              <form
                class="flex flex-wrap items-start gap-3 pt-1"
                [attr.aria-label]="say.theSale()"
                novalidate
                (submit)="$event.preventDefault(); sell(o.order, price.value)"
              >
                <hy-field
                  class="w-44"
                  [label]="say.priceEachOptional({ currency: currency() })"
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
                <button matButton="filled" class="mt-1.5">{{ say.recordTheSale() }}</button>
                <button type="button" matButton="text" class="mt-1.5" (click)="selling.set(null)">
                  {{ say.notNow() }}
                </button>
              </form>
            }
          }
        </li>
      } @empty {
        <li class="grid gap-2 py-4 border-b border-line">
          <p>
            {{ say.noOrderIsOpen() }}
          </p>
        </li>
      }
    </ul>
    @if (done().length > 0) {
      <details>
        <summary class="flex items-center min-h-11 cursor-pointer">
          {{
            say.doneOrCancelled({
              what: done().length === 1 ? say.oneOrder() : say.orders2({ count: done().length }),
            })
          }}
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
  protected readonly say = say;

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
        plant: plantOf(state, order.taxon ?? '')?.name ?? say.anUnknownPlant(),
        by: order.by ? say.by2({ near: this.words.near(order.by) }) : say.noDayTold(),
        late: order.by !== undefined && order.by < this.today(),
        mother: mother?.id,
        couldServe:
          stands.ready + stands.growing < stands.wanted &&
          fitting(state, order).some((b) => !set.has(b.id) && unpromised(state, b) > 0),
        says: [
          stands.handed > 0 ? say.gone({ handed: stands.handed }) : '',
          say.ready({ ready: stands.ready }),
          stands.growing > 0 ? say.withoutRootsYet({ growing: stands.growing }) : '',
          stands.short > 0 ? say.short({ short: stands.short }) : '',
        ]
          .filter(Boolean)
          .join(', '),
        from: (order.from ?? []).map(({ batch, count }) => {
          const found = state.batches.get(batch);
          return {
            batch,
            says: found
              ? say.ofWord({
                  count,
                  batchTitle: batchTitle(state, found),
                  batchCode: batchCode(state, found),
                })
              : say.ofALostBatch({ count }),
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
        says: `${o.who ?? say.somebody()}, ${o.count ?? '?'} ${plantOf(this.state(), o.taxon ?? '')?.name ?? ''}: ${
          o.doneOn ? say.handedOver({ day: this.words.day(o.doneOn) }) : say.cancelled2()
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
    if (taxon === '') return this.problem.set(say.whichPlantChooseOne());
    if (!Number.isInteger(n) || n < 1) return this.problem.set(say.howManyAWhole());
    if (by !== '' && !isDay(by)) return this.problem.set(say.thatIsNotA());
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
      say.orderTaken(),
    );
    if (taken) this.adding.set(false);
  }

  protected aside(order: Order): void {
    const from = [...setAside(this.state(), order)];
    void this.actions.record(
      { kind: 'put', record: 'order', key: order.id, fields: { from } },
      say.setAside2(),
    );
  }

  protected give(order: Order): void {
    void this.actions.recordAll(
      handOver(this.state(), order, this.today(), 'given'),
      say.givenAway2(),
    );
  }

  /** What is sold is asked for its price, with the usual one there already. */
  protected async sell(order: Order, typed: string): Promise<void> {
    const price = readPrice(typed);
    if (!price.ok) return this.priceWrong.set(price.problem);
    const sale = this.selling();
    const sold = await this.actions.recordAll(
      handOver(this.state(), order, this.today(), 'sold', sale?.unrootedToo, price.each),
      say.sold2(),
    );
    if (sold) this.selling.set(null);
  }

  protected callOff(order: Order): void {
    void this.actions.record(
      { kind: 'put', record: 'order', key: order.id, fields: { calledOff: 'cancelled' } },
      say.cancelled(),
    );
  }
}
