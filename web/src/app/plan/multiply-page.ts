import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatOption, MatSelect } from '@angular/material/select';
import { formOf, METHOD } from '@hypogeon/core/botany';
import { beliefOf } from '@hypogeon/core/learn';
import {
  generationDays,
  likelySpareOf,
  multiplicationProblem,
  reach,
  plannedOutlook,
  readiness,
} from '@hypogeon/core/plan';
import { say } from '@hypogeon/messages/multiply-page';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { planMother } from './plan-mother';
import { MotherPick } from './mother-pick';
import { PlanTabs } from './plan-tabs';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

interface Typed {
  readonly start: string;
  readonly pieces: string;
  readonly target: string;
  readonly method: string;
  readonly stay: boolean;
}

/** What is empty is as the plan and the plant have it. */
const BLANK: Typed = { start: '1', pieces: '', target: '', method: '', stay: true };
const USUAL_TARGET = '40';

/** A round of the plan, and where it lies on the drawing, per cent. */
interface Round {
  readonly number: number;
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  readonly day: string;
  readonly there: boolean;
  readonly from: number;
  readonly wide: number;
  readonly at: number;
}

/** Cuttings from cuttings: how many rounds a stock takes, with dates and ranges. */
@Component({
  selector: 'hy-multiply-page',
  imports: [
    CellOf,
    MatCheckbox,
    MatOption,
    MatSelect,
    Table,
    Field,
    FieldControl,
    MotherPick,
    PlanTabs,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.multiply() }}</h1>
      <p class="quiet">{{ motherName() }}</p>
    </div>
    <hy-plan-tabs inside [mother]="mother()" />
    <hy-mother-pick [mother]="mother()" />
    @if (plant()) {
      <div class="grid auto-fit-44 items-end gap-4">
        <hy-field [label]="say.plantsToBeginWith()">
          <input
            hyControl
            type="number"
            min="1"
            [value]="typed().start"
            (input)="set({ start: start.value })"
            #start
          />
        </hy-field>
        <hy-field [label]="say.eachGivesEveryTime()">
          <input
            hyControl
            type="number"
            min="1"
            [placeholder]="usualEach()"
            [value]="typed().pieces"
            (input)="set({ pieces: pieces.value })"
            #pieces
          />
        </hy-field>
        <hy-field [label]="say.takenAs()">
          <mat-select [value]="way()?.method" (selectionChange)="set({ method: $event.value })">
            @for (m of ways(); track m.method) {
              <mat-option [value]="m.method">
                {{ nameOf[m.method].many }}
              </mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field [label]="say.stockWanted()">
          <input
            hyControl
            type="number"
            min="2"
            [placeholder]="usualTarget()"
            [value]="typed().target"
            (input)="set({ target: target.value })"
            #target
          />
        </hy-field>
        <mat-checkbox [checked]="typed().stay" (change)="set({ stay: stay.checked })" #stay>{{
          say.whatIsCutStays()
        }}</mat-checkbox>
      </div>
      @if (problem()) {
        <p class="problem mt-4 text-do font-semibold" role="alert">{{ problem() }}</p>
      } @else if (view(); as v) {
        <p class="mt-5.5 mb-4 headline text-3xl" aria-live="polite">
          {{ v.says }}
          <span class="plain text-base quiet">{{ v.range }}</span>
        </p>
        <hy-table
          [name]="say.plantsAfterEveryRound()"
          [columns]="columns"
          [rows]="v.rows"
          [marked]="there"
        >
          <ng-template hyCell="drawn" [of]="v.rows" let-row>
            <span class="bar relative block w-[clamp(9rem,34vw,26rem)] h-6" aria-hidden="true">
              <i
                class="h-3 border border-living bg-living-soft"
                [style.left.%]="row.from"
                [style.width.%]="row.wide"
              ></i>
              <i class="w-1 h-5 bg-living" [style.left.%]="row.at"></i>
              <i class="w-0.5 h-full bg-do" [style.left.%]="v.aim"></i>
            </span>
          </ng-template>
        </hy-table>
        <p class="quiet">
          {{ say.aRoundEndsWhen({ rests: v.rests, place: v.place }) }}
        </p>
      }
    }
  `,
  styles: `
    .bar i {
      position: absolute;
      top: 50%;
      translate: 0 -50%;
    }
    hy-table + p {
      margin-top: 0.8rem;
    }
  `,
})
export class MultiplyPage {
  protected readonly say = say;

  private readonly today = inject(Today).day;
  private readonly words = inject(Words);
  readonly mother = input<string>();
  /** What the plan asks for. */
  readonly want = input<string>();
  protected readonly nameOf = METHOD;

  private readonly keeper = inject(Drafts).keeper('multiply', shapeOf(BLANK));
  protected readonly typed = signal<Typed>({ ...BLANK, ...this.keeper.read() });
  private readonly her = planMother(this.mother);
  protected readonly motherName = this.her.name;
  protected readonly plant = this.her.plant;
  protected readonly ways = computed(() => this.plant()?.taxon.methods ?? []);
  protected readonly way = computed(() => {
    const ways = this.ways();
    return ways.find((m) => m.method === this.typed().method) ?? ways[0] ?? null;
  });
  /** What counts while a field is empty: what it can spare, and what the plan asked for. */
  protected readonly usualEach = computed(() => {
    const [way, mother, plant] = [this.way(), this.her.record(), this.plant()];
    if (!way || !mother || !plant) return '';
    return `${Math.max(1, likelySpareOf(mother, formOf(plant.taxon), way.method).count)}`;
  });
  protected readonly usualTarget = computed(() => this.want() ?? USUAL_TARGET);
  private readonly numbers = computed(() => ({
    start: numberFrom(this.typed().start),
    pieces: numberFrom(this.typed().pieces || this.usualEach()),
    target: numberFrom(this.typed().target || this.usualTarget()),
  }));
  protected readonly problem = computed(() => {
    const { start, pieces, target } = this.numbers();
    return multiplicationProblem(start, pieces, target);
  });

  protected readonly view = computed(() => {
    const plant = this.plant();
    const way = this.way();
    if (!plant || !way || this.problem()) return null;
    const state = this.her.state();
    const { start, pieces, target } = this.numbers();
    const belief = beliefOf(state, plant.id, way);
    const reached = reach({ start, pieces, mothersStay: this.typed().stay, belief }, target);
    const space = this.her.space();
    const days = generationDays(this.today(), reached.generations.length - 1, (cutOn) =>
      readiness(
        plannedOutlook(state, { taxon: plant.id, cutOn, space }, way)!,
        way,
        'saleable',
        cutOn,
      ).dayFor(0.9),
    );
    const most = Math.max(target, ...reached.generations.map((g) => g.high)) * 1.1;
    const least = Math.max(0.5, Math.min(...reached.generations.map((g) => g.low)) * 0.8);
    const at = (n: number): number =>
      (100 * Math.log(Math.max(n, least) / least)) / Math.log(most / least);
    const day = (n: number | null): string =>
      n === null ? '' : days[n] ? this.words.day(days[n]) : say.beyondThreeYears();
    const rounds = (n: number): string => (n === 1 ? say.oneRound() : say.rounds({ n }));
    return {
      says:
        reached.likely === null
          ? say.areNotReachedWithin({ target })
          : say.afterBy({ target, rounds: rounds(reached.likely), day: day(reached.likely) }),
      range:
        reached.likely === null
          ? say.takeMoreFromEach()
          : say.atWorstEightTimes({
              what: reached.best === null ? '' : say.atBest({ rounds: rounds(reached.best) }),
              what2: reached.worst === null ? say.moreThanTwelve() : rounds(reached.worst),
            }),
      rows: reached.generations.map((g): Round => ({
        ...g,
        day: day(g.number),
        there: g.number === reached.likely,
        from: at(g.low),
        wide: Math.max(0.5, at(g.high) - at(g.low)),
        at: at(g.likely),
      })),
      aim: at(target),
      rests: say.of100Live({ mean: Math.round(belief.mean * 100) }),
      place: state.spaces.get(space)?.name ?? say.aPlainRoom(),
    };
  });

  protected readonly there = (row: Round): boolean => row.there;
  protected readonly columns: readonly Column<Round>[] = [
    { key: 'round', head: say.round(), text: (r) => (r.number === 0 ? say.now() : `${r.number}`) },
    { key: 'day', head: say.plantsStandBy(), text: (r) => r.day },
    { key: 'likely', head: say.likely(), number: true, text: (r) => this.words.number(r.likely) },
    {
      key: 'range',
      head: say.eightTimesInTen(),
      number: true,
      text: (r) => `${this.words.number(r.low)} – ${this.words.number(r.high)}`,
    },
    { key: 'drawn', head: say.drawn(), text: () => '', act: true },
  ];

  protected set(over: Partial<Typed>): void {
    this.typed.update((t) => ({ ...t, ...over }));
    this.keeper.keep(this.typed());
  }
}
