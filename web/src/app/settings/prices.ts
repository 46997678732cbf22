import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatOption, MatSelect } from '@angular/material/select';
import { containersOf } from '@hypogeon/core/bench';
import { SETTINGS_KEY } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/prices';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { LOCALE } from '../data/locale';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';

const PRICES = [
  {
    key: 'labelPrice',
    get name() {
      return say.aLabel();
    },
    hint: '',
  },
  {
    key: 'hourPrice',
    get name() {
      return say.anHourOfYour();
    },
    get hint() {
      return say.leaveEmptyWhereIt();
    },
  },
  {
    key: 'plantPrice',
    get name() {
      return say.aRootedPlantSells();
    },
    get hint() {
      return say.forWhatLossesAre();
    },
  },
] as const;
type PriceKey = (typeof PRICES)[number]['key'];

const MOST = 1e6;

/** What things cost, in the grower's own money: kept as soon as it is typed and makes sense. */
@Component({
  selector: 'hy-prices',
  imports: [MatOption, MatSelect, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-2.5 w-full' },
  template: `
    <div class="grid auto-fit-52 gap-4">
      <hy-field [label]="say.currency()">
        <mat-select
          [value]="settings().currency ?? ''"
          (selectionChange)="setCurrency($event.value)"
        >
          <mat-option value="">{{ say.notTold() }}</mat-option>
          @for (c of currencies; track c.code) {
            <mat-option [value]="c.code">{{ c.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      @for (p of prices; track p.key) {
        <hy-field [label]="p.name" [hint]="p.hint" [problem]="problems()[p.key] ?? ''">
          <input
            hyControl
            type="text"
            inputmode="decimal"
            [placeholder]="say.notTold()"
            [value]="settings()[p.key] ?? ''"
            (change)="setPrice(p.key, price.value)"
            #price
          />
        </hy-field>
      }
      <hy-field [label]="say.priceOfAContainer()">
        <mat-select [value]="chosen()?.id" (selectionChange)="container.set($event.value)">
          @for (c of containers(); track c.id) {
            <mat-option [value]="c.id">{{ c.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      @if (chosen(); as c) {
        <hy-field
          [label]="say.oneOfThemCosts()"
          [hint]="say.orItsShareOf()"
          [problem]="problems()['container'] ?? ''"
        >
          <input
            hyControl
            type="text"
            inputmode="decimal"
            [placeholder]="say.notTold()"
            [value]="containerPrice()"
            (change)="setContainer(c.id, each.value)"
            #each
          />
        </hy-field>
      }
    </div>
    <p class="quiet small">{{ say.whatComponentsCostStands() }}</p>
  `,
})
export class Prices {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly prices = PRICES;
  private readonly locale = inject(LOCALE);
  protected readonly currencies = currenciesOf(this.locale());
  protected readonly settings = computed(() => this.journal.state().settings);
  protected readonly problems = signal<Readonly<Record<string, string>>>({});
  protected readonly container = signal('');
  protected readonly containers = computed(() => containersOf(this.journal.state()));
  protected readonly chosen = computed(
    () => this.containers().find((c) => c.id === this.container()) ?? this.containers()[0],
  );
  protected readonly containerPrice = computed(
    () => this.journal.state().containers.get(this.chosen()?.id ?? '')?.price ?? '',
  );

  protected setPrice(key: PriceKey, text: string): void {
    const price = this.read(key, text);
    if (price === undefined) return;
    void this.actions.record(
      { kind: 'put', record: 'settings', key: SETTINGS_KEY, fields: { [key]: price } },
      '',
    );
  }

  protected setCurrency(currency: string): void {
    void this.actions.record(
      {
        kind: 'put',
        record: 'settings',
        key: SETTINGS_KEY,
        fields: { currency: currency || null },
      },
      '',
    );
  }

  protected setContainer(id: string, text: string): void {
    const price = this.read('container', text);
    if (price === undefined) return;
    void this.actions.record({ kind: 'put', record: 'container', key: id, fields: { price } }, '');
  }

  /** The price, null where it was cleared, undefined where it makes no sense. */
  private read(key: string, text: string): number | null | undefined {
    const price = text.trim() === '' ? null : numberFrom(text);
    const wrong = price !== null && !(price >= 0 && price <= MOST);
    this.problems.update((p) => ({
      ...p,
      [key]: wrong ? say.aPriceFrom0({ text }) : '',
    }));
    return wrong ? undefined : price;
  }
}

/** Every currency the browser knows, by its name in the region. */
function currenciesOf(locale: string): readonly { readonly code: string; readonly name: string }[] {
  const names = new Intl.DisplayNames(locale, { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .map((code) => ({ code, name: `${names.of(code) ?? code} (${code})` }))
    .sort((a, b) => a.name.localeCompare(b.name, locale));
}
