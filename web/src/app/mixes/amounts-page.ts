import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatOption, MatSelect } from '@angular/material/select';
import { shedOf } from '@hypogeon/core/bench';
import { SETTINGS_KEY } from '@hypogeon/core/journal';
import {
  dustCautions,
  handierMl,
  LIFT_KG,
  loadKg,
  quantityFor,
  scoops,
  SPILL,
} from '@hypogeon/core/media';
import { say } from '@hypogeon/messages/amounts-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

const USUAL_SCOOP_ML = 500;

/** One component of the mix, as much as all the containers need. */
interface Amount {
  readonly name: string;
  readonly litres: number;
  readonly scoops: number;
  readonly kg: number;
  readonly cost: number | null;
  readonly buy: string;
}

/** How much of everything fills so many pots, and what is still to buy. */
@Component({
  selector: 'hy-amounts-page',
  imports: [Table, MatOption, MatSelect, Field, FieldControl, MixTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-4.5' },
  template: `
    <div class="page-head mb-0">
      <h1>{{ say.amounts() }}</h1>
      <p class="quiet">{{ desk.name() }}</p>
    </div>
    <hy-mix-tabs class="-mb-1.5" />
    <div class="grid auto-fit-48 gap-4">
      <hy-field [label]="say.mix()">
        <mat-select [value]="desk.draft().from" (selectionChange)="desk.open($event.value)">
          @for (m of desk.mixes(); track m.id) {
            <mat-option [value]="m.id">{{ m.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.container()">
        <mat-select
          [value]="desk.container().id"
          (selectionChange)="desk.change({ container: $event.value })"
        >
          @for (c of desk.containers(); track c.id) {
            <mat-option [value]="c.id">{{ c.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.howMany()" [problem]="countProblem()">
        <input
          hyControl
          type="number"
          min="1"
          [value]="desk.draft().count"
          (input)="setCount(n.value)"
          #n
        />
      </hy-field>
      <hy-field
        [label]="say.scoop({ volumeUnit: words.volumeUnit() })"
        [hint]="say.aCupOrPot()"
        [problem]="scoopProblem()"
      >
        <input
          hyControl
          type="text"
          inputmode="decimal"
          [value]="words.typedVolume(scoopMl())"
          (change)="setScoop(scoop.value)"
          #scoop
        />
      </hy-field>
    </div>

    @if (amounts(); as a) {
      <p class="headline text-2xl">
        {{ say.ofMix({ volume: words.volume(a.quantity.litres * 1000) }) }}
        <span class="plain text-base quiet">{{
          say.spiltOnTheWay({ percent: percent(spill) })
        }}</span>
      </p>
      <hy-table [name]="say.amounts()" [columns]="columns" [rows]="a.rows" />
      @if (a.handier) {
        <p>{{ a.handier }}</p>
      }
      <p>
        @if (a.quantity.cost !== null) {
          <strong>{{ words.money(a.quantity.cost) }}</strong>
          {{ say.inAllAContainer({ money: words.money(a.quantity.cost / desk.draft().count) }) }}
        }
        @if (a.unpriced) {
          <span class="quiet">{{ say.noPriceForLeft({ unpriced: a.unpriced }) }}</span>
        }
      </p>
      <p [class.warn]="a.load.wet > lift">
        {{
          say.allOfItWeighs({
            weight: words.weight(a.load.dry * 1000),
            weight2: words.weight(a.load.wet * 1000),
            what: a.load.wet > lift ? say.liftWithASecond() : '.',
          })
        }}
      </p>
      @if (a.shopping.length > 0) {
        <section aria-labelledby="buy">
          <h2 id="buy" class="ruled">{{ say.toBuy() }}</h2>
          <ul>
            @for (line of a.shopping; track line) {
              <li>{{ line }}</li>
            }
          </ul>
        </section>
      }
      @for (caution of a.dust; track caution) {
        <p class="small pl-3 border-l-4 border-callus">{{ caution }}</p>
      }
    } @else {
      <p class="problem" role="alert">{{ desk.problem() }}</p>
    }
  `,
  styles: `
    .warn {
      font-weight: 650;
    }
  `,
})
export class AmountsPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  protected readonly desk = inject(MixDesk);
  protected readonly spill = SPILL;
  protected readonly lift = LIFT_KG;

  protected readonly scoopMl = computed(
    () => this.journal.state().settings.scoopMl ?? USUAL_SCOOP_ML,
  );
  protected readonly countProblem = computed(() => {
    const { count } = this.desk.draft();
    if (!Number.isInteger(count) || count < 1) return say.aWholeNumberOf();
    return count > 100_000 ? say.atMost100000() : '';
  });
  protected readonly scoopProblem = signal('');

  protected readonly columns: readonly Column<Amount>[] = [
    { key: 'name', head: say.outOfTheBag(), text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'litres',
      head: say.volume(),
      number: true,
      text: (r) => this.words.volume(r.litres * 1000),
      sort: (r) => r.litres,
    },
    {
      key: 'scoops',
      head: say.scoops(),
      number: true,
      text: (r) => this.words.quarters(r.scoops),
      sort: (r) => r.scoops,
    },
    {
      key: 'kg',
      head: say.weight(),
      number: true,
      text: (r) => this.words.weight(r.kg * 1000),
      sort: (r) => r.kg,
    },
    {
      key: 'cost',
      head: say.cost(),
      number: true,
      text: (r) => (r.cost === null ? '' : this.words.money(r.cost)),
      sort: (r) => r.cost,
    },
    { key: 'buy', head: say.toBuy(), number: true, text: (r) => r.buy },
  ];
  protected readonly amounts = computed(() => {
    const medium = this.desk.medium();
    const pot = this.desk.pot();
    if (!medium || !pot || this.countProblem()) return null;
    const { count } = this.desk.draft();
    const quantity = quantityFor(medium, pot.container, count, shedOf(this.journal.state()));
    const rows = quantity.ingredients.map((i) => ({
      name: i.component.name,
      litres: i.litres,
      scoops: scoops(i.litres, this.scoopMl()),
      kg: i.kg,
      cost: i.cost,
      buy:
        i.toBuy === null
          ? say.stockNotKept()
          : i.toBuy === 0
            ? say.inTheShed()
            : this.words.volume(i.toBuy * 1000),
    }));
    return {
      quantity,
      rows,
      handier: this.handier(rows),
      unpriced: quantity.cost === null ? '' : quantity.unpriced.map((c) => c.name).join(', '),
      load: loadKg(pot, count),
      dust: dustCautions(medium),
      shopping: quantity.ingredients
        .filter((i) => i.toBuy !== null && i.toBuy > 0)
        .map((i) => `${i.component.name}: ${this.words.volume(Math.ceil(i.toBuy! * 2) * 500)}`),
    };
  });

  /** So little that the scoop is too big for it: a smaller measure, and how many of it. */
  private handier(rows: readonly Amount[]): string {
    const ml = handierMl(
      rows.map((r) => r.litres),
      this.scoopMl(),
    );
    if (ml === null) return '';
    const each = rows.map((r) => `${this.words.quarters((r.litres * 1000) / ml)} ${r.name}`);
    return say.handierWithAMeasure({ volume: this.words.volume(ml), each: each.join(', ') });
  }

  protected percent(share: number): string {
    return this.words.percent(share);
  }

  protected setCount(text: string): void {
    this.desk.change({ count: numberFrom(text) || 0 });
  }

  protected setScoop(text: string): void {
    const ml = this.words.millilitres(text);
    const good = ml >= 5 && ml <= 50_000;
    this.scoopProblem.set(
      good ? '' : say.aScoopHolds({ least: this.words.volume(5), most: this.words.volume(50_000) }),
    );
    if (!good) return;
    void this.actions.record(
      { kind: 'put', record: 'settings', key: SETTINGS_KEY, fields: { scoopMl: ml } },
      '',
    );
  }
}
