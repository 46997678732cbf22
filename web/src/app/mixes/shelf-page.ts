import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { countedHere, restsOn, type RestsOn } from '@hypogeon/words';
import type { ComponentFields } from '@hypogeon/core/journal';
import {
  COMPONENT_FIGURES,
  componentProblems,
  SHELF,
  type Component as MixComponent,
  type ComponentFigure,
} from '@hypogeon/core/media';
import { say } from '@hypogeon/messages/shelf-page';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { touchedFields } from '../data/touched';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { toneOf } from '../marks/grains';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';
import { firstWrong } from '../forms/zod-problems';
import { CellOf, type Column } from '../ui/column';
import { EvidenceMark } from '../ui/evidence-mark';
import { Table } from '../ui/table';
import { perCent } from '@hypogeon/core/units';

const FIGURE: Readonly<Record<ComponentFigure, { readonly name: string; readonly hint: string }>> =
  {
    grainMm: {
      get name() {
        return say.grainMm();
      },
      get hint() {
        return say.typicalSizeTheFiner();
      },
    },
    densityGPerL: {
      get name() {
        return say.aLitreWeighsG();
      },
      get hint() {
        return say.looseAndDryFill();
      },
    },
    packing: {
      get name() {
        return say.grainsFillOfA();
      },
      get hint() {
        return say.about58ForBroken();
      },
    },
    heldWater: {
      get name() {
        return say.waterInsideTheGrains();
      },
      get hint() {
        return say.ofTheirOwnVolume();
      },
    },
    diffusivity: {
      get name() {
        return say.waterMovesCmD();
      },
      get hint() {
        return say.about2InGrit();
      },
    },
  };
const PERCENT: readonly ComponentFigure[] = ['packing', 'heldWater'];

interface ShelfForm {
  /** Empty for a new one. */
  readonly id: string;
  readonly shipped: boolean;
  readonly name: string;
  readonly kind: 'mineral' | 'organic';
  readonly feeds: boolean;
  readonly figures: Readonly<Record<ComponentFigure, string>>;
  readonly stock: string;
  readonly price: string;
}

interface ShelfRow {
  readonly component: MixComponent;
  readonly id: string;
  readonly name: string;
  readonly tone: string;
  readonly says: string;
  readonly grain: number;
  readonly weight: number;
  readonly packing: number;
  readonly water: number;
  readonly stockL: number | null;
  readonly stock: string;
  readonly price: string;
  readonly evidence: RestsOn;
}

/** The components: figures with what they rest on, stock and price; own ones, and re-measured ones. */
@Component({
  selector: 'hy-shelf-page',
  imports: [
    EvidenceMark,
    CellOf,
    Table,
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    MixTabs,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.shelf() }}</h1>
      <p class="quiet">{{ say.components({ count: rows().length }) }}</p>
      <button matButton="outlined" class="push" (click)="edit(null)">{{ say.addYourOwn() }}</button>
    </div>
    <hy-mix-tabs />
    @if (form(); as f) {
      <form
        class="panel grid auto-fill-52 gap-4 mb-4 pt-4 pb-6.5 border-b-2 border-ink"
        novalidate
        (submit)="$event.preventDefault(); save()"
      >
        <h2 class="col-span-full">{{ f.id ? f.name : say.aComponentOfYour() }}</h2>
        @if (!f.shipped) {
          <hy-field [label]="say.nameWord()" [problem]="show(problems().name)">
            <input
              hyControl
              type="text"
              maxlength="120"
              [value]="f.name"
              (input)="type({ name: name.value })"
              #name
            />
          </hy-field>
          <hy-field [label]="say.kind()">
            <mat-select
              [value]="f.kind"
              (selectionChange)="type({ kind: $event.value === 'organic' ? 'organic' : 'mineral' })"
            >
              <mat-option value="mineral">{{ say.mineral() }}</mat-option>
              <mat-option value="organic">{{ say.organic() }}</mat-option>
            </mat-select>
          </hy-field>
          <mat-checkbox [checked]="f.feeds" (change)="type({ feeds: feeds.checked })" #feeds>{{
            say.itFeeds()
          }}</mat-checkbox>
        }
        @for (figure of figures; track figure) {
          <hy-field
            [label]="figureName[figure].name"
            [hint]="figureName[figure].hint"
            [problem]="show(problems().figures[figure] ?? '')"
          >
            <input
              hyControl
              type="text"
              inputmode="decimal"
              [value]="f.figures[figure]"
              (input)="typeFigure(figure, box.value)"
              #box
            />
          </hy-field>
        }
        <hy-field
          [label]="say.inTheShedOptional({ bagUnit: words.bagUnit() })"
          [problem]="show(problems().stock)"
        >
          <input
            hyControl
            type="text"
            inputmode="decimal"
            [value]="f.stock"
            (input)="type({ stock: stock.value })"
            #stock
          />
        </hy-field>
        <hy-field
          [label]="say.aLitreCostsOptional()"
          [hint]="say.inYourOwnMoney()"
          [problem]="show(problems().price)"
        >
          <input
            hyControl
            type="text"
            inputmode="decimal"
            [value]="f.price"
            (input)="type({ price: price.value })"
            #price
          />
        </hy-field>
        <div class="row flex gap-2.5 col-span-full">
          <button matButton="filled" type="submit">{{ say.save() }}</button>
          <button matButton="text" type="button" (click)="form.set(null)">
            {{ say.cancel() }}
          </button>
        </div>
      </form>
    }
    <hy-table [name]="say.componentsOfMixes()" [columns]="columns" [rows]="rows()">
      <ng-template hyCell="name" [of]="rows()" let-r>
        <i class="chip" [style.background]="r.tone"></i>{{ r.name }}
        <span class="quiet small block pl-5.5 font-normal">{{ r.says }}</span>
      </ng-template>
      <ng-template hyCell="evidence" [of]="rows()" let-r>
        <hy-evidence [of]="r.name" [on]="r.evidence" />
      </ng-template>
      <ng-template hyCell="change" [of]="rows()" let-r>
        <button
          matButton="text"
          (click)="edit(r.component)"
          [attr.aria-label]="say.change({ name: r.name })"
        >
          {{ say.change2() }}
        </button>
      </ng-template>
    </hy-table>
    <p class="small quiet">
      {{ say.fillsShareOfA() }}
    </p>
  `,
  styles: `
    .chip {
      display: inline-block;
      width: 13px;
      height: 13px;
      margin-right: 0.45rem;
      border: 1px solid var(--ink2);
      border-radius: 50%;
      vertical-align: -1px;
    }
  `,
})
export class ShelfPage {
  protected readonly say = say;

  protected readonly words = inject(Words);
  private readonly toFirstWrong = firstWrong();
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly desk = inject(MixDesk);
  protected readonly figures = COMPONENT_FIGURES;
  protected readonly figureName = FIGURE;

  protected readonly columns: readonly Column<ShelfRow>[] = [
    { key: 'name', head: say.component(), text: (r) => r.name, sort: (r) => r.name },
    { key: 'grain', head: say.grain(), number: true, text: (r) => say.mm({ grain: r.grain }) },
    {
      key: 'weight',
      head: say.aLitre(),
      number: true,
      text: (r) => this.words.weight(r.weight),
      sort: (r) => r.weight,
    },
    {
      key: 'packing',
      head: say.fills(),
      number: true,
      text: (r) => perCent(r.packing),
      sort: (r) => r.packing,
    },
    {
      key: 'water',
      head: say.holds(),
      number: true,
      text: (r) => perCent(r.water),
      sort: (r) => r.water,
    },
    {
      key: 'stock',
      head: say.inTheShed(),
      number: true,
      text: (r) => r.stock,
      sort: (r) => r.stockL,
    },
    { key: 'price', head: say.aLitreCosts(), number: true, text: (r) => r.price },
    { key: 'evidence', head: say.restsOn(), text: (r) => r.evidence.text },
    { key: 'change', head: say.change2(), act: true, text: () => '' },
  ];
  protected readonly rows = computed((): readonly ShelfRow[] => {
    const { components } = this.journal.state();
    return this.desk.components().map((component) => {
      const { stockL, pricePerL } = components.get(component.id) ?? {};
      const rests = Object.values(component.evidence);
      return {
        component,
        id: component.id,
        name: component.name,
        tone: toneOf(component.id, component.kind),
        says: [
          component.kind === 'organic' ? say.organic() : say.mineral(),
          component.feeds ? say.feeds() : '',
          component.breaksDown ? say.breaksDown() : '',
        ]
          .filter(Boolean)
          .join(', '),
        grain: component.grainMm,
        weight: Math.round(component.densityGPerL),
        packing: Math.round(component.packing * 100),
        water: Math.round(component.heldWater * 100),
        stockL: stockL ?? null,
        stock:
          stockL === undefined ? '' : stockL === 0 ? say.none() : this.words.volume(stockL * 1000),
        price: pricePerL === undefined ? '' : this.words.decimal(pricePerL, 2),
        evidence: rests.includes('measured here')
          ? countedHere(say.measuredHereInPart())
          : restsOn(rests[0]!),
      };
    });
  });

  protected readonly form = signal<ShelfForm | null>(null);
  protected readonly tried = signal(false);
  protected readonly problems = computed(() => {
    const f = this.form();
    if (!f) return { name: '', stock: '', price: '', figures: {} };
    const positive = (text: string): boolean => text.trim() === '' || numberFrom(text) >= 0;
    return {
      name: f.name.trim() === '' ? say.whatIsItCalled() : '',
      figures: componentProblems(values(f)),
      stock:
        f.stock.trim() === '' || this.words.millilitres(f.stock) >= 0 ? '' : say.howMuchThereIs(),
      price: positive(f.price) ? '' : say.whatALitreCosts(),
    };
  });

  private touched = new Set<string>();

  protected edit(component: MixComponent | null): void {
    this.tried.set(false);
    this.touched = new Set();
    const kept = component ? this.journal.state().components.get(component.id) : undefined;
    const text = (figure: ComponentFigure): string =>
      component
        ? String(+(component[figure] * (PERCENT.includes(figure) ? 100 : 1)).toFixed(2))
        : '';
    this.form.set({
      id: component?.id ?? '',
      shipped: SHELF.some((c) => c.id === component?.id),
      name: component?.name ?? '',
      kind: component?.kind ?? 'mineral',
      feeds: component?.feeds ?? false,
      figures: Object.fromEntries(
        COMPONENT_FIGURES.map((f) => [f, text(f)]),
      ) as ShelfForm['figures'],
      stock: kept?.stockL === undefined ? '' : this.words.typedBag(kept.stockL),
      price: kept?.pricePerL === undefined ? '' : String(kept.pricePerL),
    });
  }

  protected type(fields: Partial<ShelfForm>): void {
    for (const input of Object.keys(fields)) this.touched.add(input);
    this.form.update((f) => f && { ...f, ...fields });
  }

  protected typeFigure(figure: ComponentFigure, text: string): void {
    this.touched.add(figure);
    this.form.update((f) => f && { ...f, figures: { ...f.figures, [figure]: text } });
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    const f = this.form();
    if (!f) return;
    this.tried.set(true);
    const p = this.problems();
    if (p.name || p.stock || p.price || Object.keys(p.figures).length > 0) {
      this.toFirstWrong();
      return;
    }
    const shipped = SHELF.find((c) => c.id === f.id);
    const typed = values(f);
    // Of a shipped one only what was touched is the grower's own figure.
    const whole: ComponentFields = {
      ...typed,
      ...(shipped ? {} : { name: f.name.trim(), kind: f.kind, feeds: f.feeds }),
      stockL:
        f.stock.trim() === '' ? null : this.words.millilitres(f.stock, this.words.bagUnit()) / 1000,
      pricePerL: f.price.trim() === '' ? null : numberFrom(f.price),
    };
    const fields = f.id === '' ? whole : touchedFields(this.touched, whole, FEEDS);
    const put = { kind: 'put', record: 'component', key: f.id || freshId(), fields } as const;
    const changed = Object.keys(fields).length > 0;
    if (changed && !(await this.actions.record(put, say.kept({ name: f.name.trim() })))) return;
    this.form.set(null);
  }
}

/** Which inputs each field is read from. */
const FEEDS: { readonly [K in keyof Required<ComponentFields>]: readonly string[] } = {
  name: ['name'],
  kind: ['kind'],
  feeds: ['feeds'],
  grainMm: ['grainMm'],
  densityGPerL: ['densityGPerL'],
  packing: ['packing'],
  heldWater: ['heldWater'],
  diffusivity: ['diffusivity'],
  breaksDown: [],
  dust: [],
  stockL: ['stock'],
  pricePerL: ['price'],
};

function values(f: ShelfForm): Record<ComponentFigure, number> {
  return Object.fromEntries(
    COMPONENT_FIGURES.map((k) => [k, numberFrom(f.figures[k]) / (PERCENT.includes(k) ? 100 : 1)]),
  ) as Record<ComponentFigure, number>;
}
