import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { componentOf, shedOf } from '@hypogeon/core/bench';
import {
  airLack,
  filledLitres,
  SPILL,
  TARGETS,
  type Choice,
  type SolvedMix,
  type Target,
  type TargetName,
  type Part,
  type FilledPot,
} from '@hypogeon/core/media';
import { airWarning } from '@hypogeon/words';
import { say } from '@hypogeon/messages/solve-page';
import { BENCH_WORKER } from '../data/workers';
import { Drafts } from '../data/drafts';
import { AsyncTask } from '../data/async-task';
import { shapeOf, textsSchema } from '../data/draft-shape';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { PotSection } from '../marks/pot-section';
import { StrataColumn } from '../marks/strata-column';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';
import { NumberPipe } from '../ui/number-pipe';

interface SolveDraft {
  /** As typed, per cent; empty asks for nothing. */
  readonly bounds: Readonly<Record<string, string>>;
  /** Components left out, by id. */
  readonly without: readonly string[];
  readonly shedOnly: boolean;
  readonly aim: 'closest' | 'cheapest';
}

const BLANK: SolveDraft = {
  bounds: { 'air-min': '25', 'water-min': '30' },
  without: [],
  shedOnly: false,
  aim: 'closest',
};

const NAME: Readonly<Record<TargetName, string>> = {
  get water() {
    return say.waterAfterDraining();
  },
  get air() {
    return say.airAfterDraining();
  },
  get mineral() {
    return say.mineralShare();
  },
  get feeds() {
    return say.shareThatFeeds();
  },
};

/** From what is in the shed to the nearest mix that does what is asked of it. */
@Component({
  selector: 'hy-solve-page',
  imports: [
    CellOf,
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    NumberPipe,
    Field,
    FieldControl,
    MixTabs,
    PotSection,
    StrataColumn,
    Table,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.solveForAMix() }}</h1>
    </div>
    <hy-mix-tabs />
    <div
      class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] gap-y-8 gap-x-12 max-[1100px]:grid-cols-1"
    >
      <form
        class="grid content-start gap-4.5"
        novalidate
        (submit)="$event.preventDefault(); solve()"
      >
        <div class="grid grid-cols-[2fr_1fr] gap-4">
          <hy-field [label]="say.forWord()">
            <mat-select
              [value]="desk.container().id"
              (selectionChange)="desk.change({ container: $event.value })"
            >
              @for (c of desk.containers(); track c.id) {
                <mat-option [value]="c.id">
                  {{ c.name }}
                </mat-option>
              }
            </mat-select>
          </hy-field>
          <hy-field [label]="say.howMany()" [problem]="countProblem()">
            <input
              hyControl
              type="number"
              min="1"
              [value]="desk.draft().count"
              (input)="count(n.value)"
              #n
            />
          </hy-field>
        </div>
        <hy-table form [name]="say.whatIsAskedOf()" [columns]="asks" [rows]="targets">
          @for (side of sides; track side) {
            <ng-template [hyCell]="side" [of]="targets" let-t>
              <hy-field
                unseen
                [label]="
                  side === 'min' ? say.leastOf({ name: name[t] }) : say.mostOf({ name: name[t] })
                "
                [invalid]="bad(t, side)"
              >
                <input
                  hyControl
                  inputmode="decimal"
                  autocomplete="off"
                  [value]="draft().bounds[t + '-' + side] ?? ''"
                  (input)="bound(t, side, box.value)"
                  #box
                />
              </hy-field>
            </ng-template>
          }
        </hy-table>
        @if (boundProblem()) {
          <p class="problem" role="alert">{{ boundProblem() }}</p>
        }
        <div class="row flex items-end gap-4">
          <hy-field class="flex-1" [label]="say.wanted()">
            <mat-select
              [value]="draft().aim"
              (selectionChange)="put({ aim: $event.value === 'cheapest' ? 'cheapest' : 'closest' })"
            >
              <mat-option value="closest"> {{ say.closestTo({ name: desk.name() }) }} </mat-option>
              <mat-option value="cheapest">{{ say.theCheapest() }}</mat-option>
            </mat-select>
          </hy-field>
          <button matButton="filled" type="submit" [disabled]="task.under() !== ''">
            {{ task.under() ? say.working() : say.solve() }}
          </button>
        </div>
        @if (task.problem()) {
          <p class="problem" role="alert">{{ task.problem() }}</p>
        }
        <fieldset>
          <legend>{{ say.from() }}</legend>
          <mat-checkbox
            [checked]="draft().shedOnly"
            (change)="put({ shedOnly: only.checked })"
            #only
            >{{ say.onlyWhatIsIn() }}</mat-checkbox
          >
          <div class="row flex gap-2">
            <button type="button" matButton="text" (click)="put({ without: [] })">
              {{ say.all() }}
            </button>
            <button type="button" matButton="text" (click)="none()">{{ say.none() }}</button>
          </div>
          @if (noneProblem()) {
            <p class="problem" role="alert">{{ noneProblem() }}</p>
          }
          <div
            class="grid auto-fill-52 max-h-76 border-t border-line border-b overflow-y-auto max-[480px]:grid-cols-1"
          >
            @for (c of candidates(); track c.component.id) {
              <mat-checkbox
                [checked]="!draft().without.includes(c.component.id)"
                (change)="toggle(c.component.id)"
                >{{ c.component.name }}
                <span class="quiet small">{{
                  c.litres === undefined ? '' : words.volume(c.litres * 1000)
                }}</span></mat-checkbox
              >
            }
          </div>
        </fieldset>
      </form>

      <section
        class="sticky top-4 grid content-start gap-4.5"
        [attr.aria-label]="say.theMixFound()"
        aria-live="polite"
      >
        @if (found(); as f) {
          @if (f.mix; as m) {
            <h2>
              {{ m.feasible ? say.thisDoesIt() : say.nothingDoesAllOf() }}
            </h2>
            @if (m.binding.length > 0) {
              <ul class="m-0 pl-4.5">
                @for (b of m.binding; track b.what) {
                  <li [class.missed]="b.missedBy > 0">
                    {{ b.what
                    }}{{
                      b.missedBy > 0
                        ? say.missedByPoints({ missedBy: (b.missedBy * 100 | hyNumber: 1) })
                        : say.justMetMoreWould()
                    }}
                  </li>
                }
              </ul>
            }
            <div
              class="grid grid-cols-[7.5rem_minmax(11rem,1fr)_minmax(0,1fr)] items-start gap-5 max-[480px]:grid-cols-[6.5rem_minmax(0,1fr)]"
            >
              <hy-strata-column [parts]="m.parts" />
              <div class="grid gap-3">
                <hy-table [name]="say.sharesOfTheMix()" [columns]="columns" [rows]="m.parts" />
                <p class="small quiet">
                  {{
                    say.waterAirMineralChecked({
                      percent: words.percent(m.pot.water),
                      percent2: words.percent(m.pot.air),
                      percent3: words.percent(m.pot.medium.mineral),
                      what: m.cost === null ? '' : say.costs({ money: words.money(m.cost) }),
                    })
                  }}
                </p>
                @if (airWarning(m.pot); as warning) {
                  <p class="small pl-3 border-l-4 border-do">{{ warning }}</p>
                }
                <button matButton="outlined" (click)="take(m)">{{ say.useThisMix() }}</button>
              </div>
              <hy-pot-section class="max-[480px]:col-span-full" [pot]="m.pot" />
            </div>
          } @else {
            <h2>{{ say.notEnoughInThe() }}</h2>
            <p>
              {{ say.ofMixAreNeeded({ volume: words.volume(f.litres * 1000) }) }}
            </p>
          }
        } @else {
          <p class="quiet">
            {{ say.sayWhatTheMix() }}
          </p>
        }
      </section>
    </div>
  `,
  styles: `
    .missed {
      font-weight: 650;
    }
  `,
})
export class SolvePage {
  protected readonly say = say;

  protected readonly columns: readonly Column<Part>[] = [
    {
      key: 'name',
      head: say.component(),
      text: (p) => p.component.name,
      sort: (p) => p.component.name,
    },
    {
      key: 'share',
      head: say.share(),
      number: true,
      text: (p) => this.words.percent(p.parts),
      sort: (p) => p.parts,
    },
  ];
  protected readonly asks: readonly Column<TargetName>[] = [
    { key: 'target', head: say.asked(), text: (t) => NAME[t] },
    {
      key: 'min',
      head: say.atLeast(),
      number: true,
      text: (t) => this.draft().bounds[`${t}-min`] ?? '',
    },
    {
      key: 'max',
      head: say.atMost(),
      number: true,
      text: (t) => this.draft().bounds[`${t}-max`] ?? '',
    },
  ];
  private readonly journal = inject(Journal);
  private readonly worker = inject(BENCH_WORKER);
  protected readonly task = new AsyncTask();
  protected readonly desk = inject(MixDesk);
  protected readonly words = inject(Words);
  protected readonly targets = TARGETS;
  protected readonly airWarning = (pot: FilledPot): string => airWarning(airLack(pot));
  protected readonly sides = ['min', 'max'] as const;
  protected readonly name = NAME;

  private readonly keeper = inject(Drafts).keeper('solve', shapeOf(BLANK, { bounds: textsSchema }));
  protected readonly draft = signal<SolveDraft>(this.keeper.read() ?? BLANK);
  protected readonly found = signal<{
    readonly mix: SolvedMix | null;
    readonly litres: number;
  } | null>(null);

  protected readonly candidates = computed((): readonly Choice[] => {
    const shed = shedOf(this.journal.state());
    return this.desk
      .components()
      .map((component): Choice => {
        const { litres, pricePerL } = shed.get(component.id) ?? {};
        return {
          component,
          ...(litres === undefined ? {} : { litres }),
          ...(pricePerL === undefined ? {} : { pricePerL }),
        };
      })
      .filter((c) => !this.draft().shedOnly || (c.litres ?? 0) > 0);
  });

  protected readonly countProblem = computed(() => {
    const { count } = this.desk.draft();
    return Number.isInteger(count) && count > 0 && count <= 100_000 ? '' : say.aWholeNumberOf();
  });

  protected readonly boundProblem = computed(() => {
    for (const t of TARGETS) {
      if (this.bad(t, 'min') || this.bad(t, 'max')) return say.perCentFrom0({ name: NAME[t] });
      const [min, max] = [this.value(t, 'min'), this.value(t, 'max')];
      if (min !== undefined && max !== undefined && min > max)
        return say.atLeastAndAt({ name: NAME[t], min: min * 100, max: max * 100 });
    }
    return '';
  });

  protected bad(target: TargetName, side: 'min' | 'max'): boolean {
    const text = this.draft().bounds[`${target}-${side}`] ?? '';
    return text.trim() !== '' && Number.isNaN(this.words.share(text));
  }

  /** None of those that can be seen: ticking three is quicker than unticking twenty. */
  protected none(): void {
    this.put({ without: this.candidates().map((c) => c.component.id) });
  }

  protected readonly noneProblem = computed(() => {
    const { without } = this.draft();
    return this.candidates().some((c) => !without.includes(c.component.id))
      ? ''
      : say.nothingIsTickedTick();
  });

  protected put(fields: Partial<SolveDraft>): void {
    const draft = { ...this.draft(), ...fields };
    this.draft.set(draft);
    this.keeper.keep(draft);
  }

  protected bound(target: TargetName, side: 'min' | 'max', text: string): void {
    this.put({ bounds: { ...this.draft().bounds, [`${target}-${side}`]: text } });
  }

  protected toggle(id: string): void {
    const { without } = this.draft();
    this.put({
      without: without.includes(id) ? without.filter((w) => w !== id) : [...without, id],
    });
  }

  protected count(text: string): void {
    this.desk.change({ count: numberFrom(text) || 0 });
  }

  protected readonly solve = oneAtATime(() => this.findMix());

  private async findMix(): Promise<void> {
    if (this.boundProblem() || this.countProblem() || this.noneProblem()) return;
    const container = this.desk.container();
    const litres = filledLitres(container) * this.desk.draft().count * (1 + SPILL);
    const parts = this.desk.parts();
    const sum = parts.reduce((a, p) => a + p.parts, 0);
    const from = Object.fromEntries(
      parts.map((p) => [p.component.id, sum > 0 ? p.parts / sum : 0]),
    );
    const { without, shedOnly, aim } = this.draft();
    const choices = this.candidates()
      .filter((c) => !without.includes(c.component.id))
      // Without the wish for the shed alone, what is short can be bought.
      .map(({ litres: stock, ...c }) =>
        shedOnly && stock !== undefined ? { ...c, litres: stock } : c,
      );
    const wish = { choices, targets: this.asked(), container, litres, aim, from };
    const mix = await this.task.run(say.solving(), () => this.worker.ask((w) => w.solve(wish)));
    if (mix === undefined) return;
    this.found.set({
      mix: mix && revived(mix, (id) => componentOf(this.journal.state(), id)),
      litres,
    });
  }

  protected take(mix: SolvedMix): void {
    this.desk.change({
      name: '',
      parts: mix.parts.map((p) => ({
        component: p.component.id,
        parts: Math.round(p.parts * 1000) / 10,
      })),
    });
  }

  private asked(): readonly Target[] {
    return TARGETS.flatMap((name) => {
      const [min, max] = [this.value(name, 'min'), this.value(name, 'max')];
      return min === undefined && max === undefined ? [] : [{ name, min, max }];
    });
  }

  private value(target: TargetName, side: 'min' | 'max'): number | undefined {
    const text = this.draft().bounds[`${target}-${side}`] ?? '';
    return text.trim() === '' ? undefined : this.words.share(text);
  }
}

/** Components come back from a worker as copies; here they are the shelf's own again. */
function revived(
  mix: SolvedMix,
  find: (id: string) => SolvedMix['parts'][number]['component'] | null,
): SolvedMix {
  return {
    ...mix,
    parts: mix.parts.map((p) => ({ ...p, component: find(p.component.id) ?? p.component })),
  };
}
