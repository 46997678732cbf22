import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { shedOf } from '@hypogeon/core/bench';
import { SETTINGS_KEY } from '@hypogeon/core/journal';
import { dustCautions, LIFT_KG, loadKg, quantityFor, scoops, SPILL } from '@hypogeon/core/media';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { Field, FieldControl } from '../ui/field';
import { numberFrom } from '../ui/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';

const USUAL_SCOOP_ML = 500;

/** How much of everything fills so many pots, and what is still to buy. */
@Component({
  selector: 'hy-amounts-page',
  imports: [DecimalPipe, Field, FieldControl, MixTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Amounts</h1>
      <p class="quiet">{{ desk.name() }}</p>
    </div>
    <hy-mix-tabs />
    <div class="fields">
      <hy-field label="Mix">
        <select hyControl (change)="desk.open(mix.value)" #mix>
          @for (m of desk.mixes(); track m.id) {
            <option [value]="m.id" [selected]="m.id === desk.draft().from">{{ m.name }}</option>
          }
        </select>
      </hy-field>
      <hy-field label="Container">
        <select hyControl (change)="desk.change({ container: into.value })" #into>
          @for (c of desk.containers(); track c.id) {
            <option [value]="c.id" [selected]="c.id === desk.container().id">{{ c.name }}</option>
          }
        </select>
      </hy-field>
      <hy-field label="How many" [problem]="countProblem()">
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
        label="Scoop, mL"
        hint="A cup or pot of your own: fill it with water and measure."
        [problem]="scoopProblem()"
      >
        <input
          hyControl
          type="text"
          inputmode="decimal"
          [value]="scoopMl()"
          (change)="setScoop(scoop.value)"
          #scoop
        />
      </hy-field>
    </div>

    @if (amounts(); as a) {
      <p class="total">
        {{ a.quantity.litres | number: '1.1-1' }} L of mix
        <span>{{ percent(spill) }} spilt on the way counted in</span>
      </p>
      <div class="scroll" tabindex="0" role="region" aria-label="Amounts of each component">
        <table>
          <thead>
            <tr>
              <th scope="col">Out of the bag</th>
              <th scope="col" class="number">Litres</th>
              <th scope="col" class="number">Scoops</th>
              <th scope="col" class="number">kg</th>
              <th scope="col" class="number">Cost</th>
              <th scope="col" class="number">To buy</th>
            </tr>
          </thead>
          <tbody>
            @for (row of a.rows; track row.name) {
              <tr>
                <th scope="row">{{ row.name }}</th>
                <td class="number">{{ row.litres | number: '1.1-1' }}</td>
                <td class="number">{{ row.scoops | number: '1.0-1' }}</td>
                <td class="number">{{ row.kg | number: '1.1-1' }}</td>
                <td class="number">{{ row.cost === null ? '' : (row.cost | number: '1.2-2') }}</td>
                <td class="number">{{ row.buy }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p>
        @if (a.quantity.cost !== null) {
          <strong>{{ a.quantity.cost | number: '1.2-2' }}</strong> in all,
          {{ a.quantity.cost / desk.draft().count | number: '1.2-2' }} a container, in your own
          money.
        }
        @if (a.unpriced) {
          <span class="quiet"
            >No price for {{ a.unpriced }}: left out. The shelf keeps prices and stock.</span
          >
        }
      </p>
      <p [class.warn]="a.load.wet > lift">
        All of it weighs {{ a.load.dry | number: '1.1-1' }} kg filled,
        {{ a.load.wet | number: '1.1-1' }} kg after watering{{
          a.load.wet > lift ? ': lift with a second pair of hands.' : '.'
        }}
      </p>
      @if (a.shopping.length > 0) {
        <section class="shopping" aria-labelledby="buy">
          <h2 id="buy" class="ruled">To buy</h2>
          <ul>
            @for (line of a.shopping; track line) {
              <li>{{ line }}</li>
            }
          </ul>
        </section>
      }
      @for (caution of a.dust; track caution) {
        <p class="care small">{{ caution }}</p>
      }
    } @else {
      <p class="problem" role="alert">{{ desk.problem() }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 1.1rem;
      grid-template-columns: minmax(0, 1fr);
    }
    .page-head {
      margin-bottom: 0;
    }
    hy-mix-tabs {
      margin-bottom: -0.4rem;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
      gap: 1rem;
    }
    .total {
      font: 650 1.7rem/1.2 var(--head-face);
    }
    .total span {
      font: 400 0.95rem var(--text-face);
      color: var(--ink2);
    }
    .warn {
      font-weight: 650;
    }
    .care {
      padding-left: 0.8rem;
      border-left: 4px solid var(--callus);
    }
  `,
})
export class AmountsPage {
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
    if (!Number.isInteger(count) || count < 1) return 'A whole number of 1 or more.';
    return count > 100_000 ? 'At most 100,000 at once.' : '';
  });
  protected readonly scoopProblem = signal('');

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
          ? 'stock not kept'
          : i.toBuy === 0
            ? 'in the shed'
            : `${i.toBuy.toFixed(1)} L`,
    }));
    return {
      quantity,
      rows,
      unpriced: quantity.cost === null ? '' : quantity.unpriced.map((c) => c.name).join(', '),
      load: loadKg(pot, count),
      dust: dustCautions(medium),
      shopping: quantity.ingredients
        .filter((i) => i.toBuy !== null && i.toBuy > 0)
        .map((i) => `${i.component.name}: ${Math.ceil(i.toBuy! * 2) / 2} L`),
    };
  });

  protected percent(share: number): string {
    return this.words.percent(share);
  }

  protected setCount(text: string): void {
    this.desk.change({ count: numberFrom(text) || 0 });
  }

  protected setScoop(text: string): void {
    const ml = numberFrom(text);
    const good = ml >= 5 && ml <= 50_000;
    this.scoopProblem.set(good ? '' : 'A scoop holds between 5 mL and 50 L.');
    if (!good) return;
    void this.actions.record(
      { kind: 'put', record: 'settings', key: SETTINGS_KEY, fields: { scoopMl: ml } },
      '',
    );
  }
}
