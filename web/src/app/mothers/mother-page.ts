import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { EvidenceMark } from '../ui/evidence-mark';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  conditionOf,
  containersOf,
  mixesOf,
  plantOf,
  type Condition,
  type Plant,
  drawnAs,
} from '@hypogeon/core/bench';
import { motherCareOf } from '@hypogeon/core/care';
import { evidenceText, METHOD, grownAs } from '@hypogeon/core/botany';
import { daysBetween, type Day } from '@hypogeon/core/days';
import { ROOT_STATES, type Batch, type Mother, type MotherTending } from '@hypogeon/core/journal';
import { countLedger } from '@hypogeon/core/ledger';
import { spareOf } from '@hypogeon/core/plan';
import { cuttingCautions } from '@hypogeon/core/safety';
import { successRange } from '@hypogeon/core/stats';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { ORIGIN_NAME, whereToCut } from '@hypogeon/words';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FamilyTree } from './family-tree';
import { FilePick } from '../forms/file-pick';
import { Pictures } from '../data/pictures';
import { MotherLook } from './mother-look';
import { MotherPicture } from './mother-picture';
import { StockSteppers } from '../plan/stock-steppers';
import { MotherSeason } from './mother-season';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { PERMISSION_WORD } from './permission-words';
import { namePage } from '../shell/page-title';

@Component({
  selector: 'hy-mother-page',
  imports: [
    EvidenceMark,
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    RouterLink,
    CuttingMark,
    FamilyTree,
    MotherLook,
    MotherSeason,
    MotherPicture,
    FilePick,
    StockSteppers,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-7' },
  template: `
    @if (view(); as v) {
      <div class="page-head m-0">
        <hy-mother-picture class="self-center" [mother]="v.mother" [size]="88" />
        <h1 class="self-center">{{ v.mother.name }}</h1>
        <p class="quiet self-center">
          <i>{{ v.plant?.name ?? 'unknown plant' }}</i>
          @if (v.plant?.like) {
            (figures of <i>{{ v.plant?.like }}</i>)
          }
        </p>
        <span class="push no-print self-center flex flex-wrap items-center gap-x-1">
          <hy-file-pick
            look="text"
            [label]="v.mother.picture ? 'Another picture' : 'Take a picture'"
            accept="image/*"
            (picked)="picture($event[0])"
          />
          @if (v.mother.picture) {
            <button type="button" matButton="text" (click)="drawIt()">Draw it instead</button>
          }
          <a matButton="text" [routerLink]="['/mothers', v.mother.id, 'edit']">Change</a>
          <a
            matButton="filled"
            class="ml-2"
            routerLink="/plan"
            [queryParams]="{ mother: v.mother.id }"
            >Plan a batch</a
          >
        </span>
      </div>

      <section class="condition" aria-labelledby="condition">
        <div>
          <h2
            id="condition"
            class="verdict mb-3 text-3xl"
            [class]="'verdict ' + v.condition.verdict"
          >
            {{ v.verdict }}
          </h2>
          <ul class="notes-list grid gap-2 mt-0 mb-2.5 mx-0 p-0 list-none">
            @for (note of v.condition.notes; track note.says) {
              <li class="pl-3 border-l-4 border-line" [class]="note.weight">
                <strong>{{ note.says }}.</strong> {{ note.then }}
              </li>
            }
            @for (line of v.where; track line) {
              <li class="pl-3 border-l-4 border-line">{{ line }}</li>
            }
          </ul>
          @if (v.looked) {
            <p class="quiet small">{{ v.looked }}</p>
          }
          @if (v.care.asks.length + v.care.leave.length > 0) {
            <ul class="my-3 mx-0 p-0 list-none" aria-label="After what was done to it">
              @for (ask of v.care.asks; track ask.kind) {
                <li
                  class="flex flex-wrap justify-between items-center gap-x-4 gap-y-2 py-2 border-b border-line"
                >
                  <span class="flex-1 basis-60"
                    ><strong>{{ words.motherAsk(ask) }}.</strong>
                    {{ words.reason(ask.reason) }}</span
                  >
                  @if (ask.kind === 'looked') {
                    <hy-field
                      class="w-44 flex-none"
                      label="New heads or buds"
                      [problem]="headsProblem()"
                    >
                      <input hyControl inputmode="numeric" autocomplete="off" #heads />
                    </hy-field>
                    <button type="button" matButton="outlined" (click)="looked(heads.value)">
                      {{ doneWord[ask.kind] }}
                    </button>
                  } @else {
                    <button type="button" matButton="outlined" (click)="mothered(ask.kind)">
                      {{ doneWord[ask.kind] }}
                    </button>
                  }
                </li>
              }
              @for (l of v.care.leave; track l.reason.why) {
                <li class="flex justify-between items-center gap-4 py-2 border-b border-line">
                  <span
                    ><strong>{{ words.motherLeave(l) }}.</strong> {{ words.reason(l.reason) }}</span
                  >
                </li>
              }
            </ul>
          }
          <div
            class="no-print flex flex-wrap gap-2 my-3"
            role="group"
            aria-label="What was done to it"
          >
            <button
              type="button"
              matButton="outlined"
              (click)="panel.set(panel() === 'repotted' ? '' : 'repotted')"
              [attr.aria-expanded]="panel() === 'repotted'"
            >
              Repotted
            </button>
            <button
              type="button"
              matButton="outlined"
              (click)="panel.set(panel() === 'divided' ? '' : 'divided')"
              [attr.aria-expanded]="panel() === 'divided'"
            >
              Divided
            </button>
            <button type="button" matButton="text" (click)="mothered('watered')">Watered</button>
          </div>
          @if (panel() === 'repotted') {
            <div
              class="panel grid justify-items-start gap-3 max-w-104 mb-3 py-3.5 px-4 border border-line bg-face"
            >
              <p class="quiet small">{{ words.repotting() }}</p>
              <hy-field label="Into (optional)">
                <mat-select value="" #pot>
                  <mat-option value="">not told</mat-option>
                  @for (c of containers(); track c.id) {
                    <mat-option [value]="c.id">{{ c.name }}</mat-option>
                  }
                </mat-select>
              </hy-field>
              <hy-field label="Filled with (optional)">
                <mat-select value="" #mix>
                  <mat-option value="">not told</mat-option>
                  @for (m of mixes(); track m.id) {
                    <mat-option [value]="m.id">{{ m.name }}</mat-option>
                  }
                </mat-select>
              </hy-field>
              <hy-field label="The roots came">
                <mat-select value="whole" #roots>
                  <mat-option value="whole">whole, with their ball</mat-option>
                  <mat-option value="bared">bared</mat-option>
                  <mat-option value="hurt">hurt or trimmed</mat-option>
                </mat-select>
              </hy-field>
              <button
                type="button"
                matButton="filled"
                (click)="repotted(pot.value, mix.value, roots.value)"
              >
                Repotted today
              </button>
            </div>
          }
          @if (panel() === 'divided') {
            <div
              class="panel grid justify-items-start gap-3 max-w-104 mb-3 py-3.5 px-4 border border-line bg-face"
            >
              <hy-field label="Parts, herself among them (optional)" [problem]="problem()">
                <input hyControl inputmode="numeric" #parts />
              </hy-field>
              <mat-checkbox #itself>It parted by itself, nothing was cut</mat-checkbox>
              <button
                type="button"
                matButton="filled"
                (click)="divided(parts.value, itself.checked)"
              >
                Divided today
              </button>
            </div>
          }
          <dl class="flex flex-wrap gap-y-3 gap-x-10 mt-5.5">
            @for (fact of v.facts; track fact.name) {
              <div>
                <dt class="quiet small">{{ fact.name }}</dt>
                <dd [class.warn]="fact.warn">
                  {{ fact.says }}
                  @if (fact.note) {
                    <hy-evidence [of]="fact.name" [text]="fact.note" />
                  }
                </dd>
              </div>
            }
          </dl>
        </div>
        <div>
          <h3 class="mb-2.5">Check the plant</h3>
          <hy-mother-look [mother]="v.mother.id" />
        </div>
      </section>

      @if (v.mother.notes) {
        <p class="notes whitespace-pre-wrap wrap-anywhere">{{ v.mother.notes }}</p>
      }

      @if (v.plant; as plant) {
        <section aria-labelledby="season">
          <h2 id="season" class="ruled">Through the year</h2>
          @if (v.mother.space) {
            <hy-mother-season [taxon]="plant.taxon" [space]="v.mother.space" />
          } @else {
            <p class="quiet">
              Say where it stands, and its season is worked out from the air and light there.
              <a [routerLink]="['/mothers', v.mother.id, 'edit']">Give it a place</a>
            </p>
          }
        </section>
        <section aria-labelledby="ways">
          <h2 id="ways" class="ruled">Ways to propagate it</h2>
          <hy-stock-steppers [mother]="v.mother" [taxon]="plant.taxon" />
          <ul class="ways grid auto-fill-76 gap-y-0 gap-x-8 bare">
            @for (way of v.ways; track way.method) {
              <li
                class="grid grid-cols-[48px_minmax(0,1fr)] items-center gap-3 py-3 border-b border-line"
              >
                <hy-mark [piece]="way.piece" [size]="48" />
                <div>
                  <strong>{{ way.name }}</strong>
                  @if (way.spare) {
                    <span class="ml-1.5 text-living font-semibold small">{{ way.spare }}</span>
                  }
                  <p class="small">{{ way.says }}</p>
                </div>
              </li>
            }
            @for (no of plant.taxon.not; track no.method) {
              <li
                class="grid grid-cols-[48px_minmax(0,1fr)] items-center gap-3 py-3 border-b border-line"
              >
                <span class="cross text-center quiet font-bold" aria-hidden="true">no</span>
                <div>
                  <strong>Not from {{ no.method === 'leaf' ? 'a leaf' : no.method }}</strong>
                  <p class="small">{{ no.why }}</p>
                </div>
              </li>
            }
          </ul>
        </section>
      }

      <section aria-labelledby="family">
        <h2 id="family" class="ruled">What came of it</h2>
        @if (v.batches.length > 0 || v.mother.fromBatch) {
          <p>{{ v.gave }}</p>
          <hy-family-tree [mother]="v.mother.id" />
        } @else {
          <p class="quiet">Nothing taken yet.</p>
        }
      </section>
      @if (v.plant) {
        <section aria-labelledby="care">
          <h2 id="care" class="ruled">Take care</h2>
          <ul class="my-3 mx-0 p-0 list-none">
            @for (caution of v.cautions; track caution.title) {
              <li class="py-2 border-b border-line">
                <strong>{{ caution.title }}.</strong> {{ caution.advice }}
              </li>
            }
          </ul>
        </section>
      }
    } @else {
      <h1>No such mother</h1>
      <p>It may live in another journal. <a routerLink="/mothers">To the mothers</a></p>
    }
  `,
  styles: `
    .warn {
      color: var(--do);
      font-weight: 600;
    }
    .condition {
      display: grid;
      grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
      gap: 1.5rem 3rem;
    }
    .verdict.stop,
    .verdict.wait {
      color: var(--do);
    }
    .notes-list .stop {
      border-left-color: var(--do);
    }
    .notes-list .wait {
      border-left-color: var(--callus);
    }
    .notes-list .good {
      border-left-color: var(--living);
    }
    #family + p {
      margin: 0.6rem 0;
    }
    @media (max-width: 1000px) {
      .condition {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class MotherPage {
  private readonly actions = inject(Actions);
  private readonly pictures = inject(Pictures);
  protected readonly panel = signal<'' | 'repotted' | 'divided'>('');
  protected readonly problem = signal('');
  protected readonly doneWord: Readonly<Record<MotherTending, string>> = {
    watered: 'Watered',
    light: 'Brighter',
    feed: 'Fed',
    looked: 'Looked',
  };
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));

  /** The grower's own picture of it. */
  protected async picture(file: File | undefined): Promise<void> {
    if (!file) return;
    const taken = await this.pictures.takeOfMother(file, this.id());
    this.actions.say(taken.ok ? 'That is its picture now.' : taken.problem);
  }

  protected drawIt(): void {
    void this.actions.record(
      { kind: 'put', record: 'mother', key: this.id(), fields: { picture: null } },
      'Drawn again',
    );
  }

  constructor() {
    namePage(() => this.view()?.mother.name ?? '');
  }

  protected readonly headsProblem = signal('');

  /** @param heads as typed; empty where nobody counted */
  protected looked(heads: string): void {
    const told = heads.trim() !== '';
    const n = numberFrom(heads);
    if (told && !(Number.isInteger(n) && n >= 0 && n <= 10_000))
      return this.headsProblem.set('How many? A whole number, or empty.');
    this.headsProblem.set('');
    const count = told ? { heads: n } : {};
    void this.actions.record(
      { kind: 'mothered', mother: this.id(), what: 'looked', ...count },
      this.doneWord.looked,
    );
  }

  protected mothered(what: MotherTending): void {
    void this.actions.record({ kind: 'mothered', mother: this.id(), what }, this.doneWord[what]);
  }

  protected async repotted(container: string, mix: string, came: string): Promise<void> {
    const roots = ROOT_STATES.find((r) => r === came) ?? 'whole';
    const into = { ...(container ? { container } : {}), ...(mix ? { mix } : {}) };
    const repotted = { kind: 'repotted', mother: this.id(), roots, ...into } as const;
    if (await this.actions.record(repotted, 'Repotted')) this.panel.set('');
  }

  protected async divided(text: string, parted: boolean): Promise<void> {
    const pieces = Number(text);
    if (text.trim() !== '' && (!Number.isInteger(pieces) || pieces < 2))
      return this.problem.set('How many parts? 2 or more, or leave it empty.');
    this.problem.set('');
    const taken = await this.actions.record(
      {
        kind: 'divided',
        mother: this.id(),
        ...(text.trim() === '' ? {} : { pieces }),
        ...(parted ? { parted } : {}),
      },
      'Divided',
    );
    if (taken) this.panel.set('');
  }

  protected readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  readonly id = input.required<string>();

  protected readonly view = computed(() => {
    const state = this.state();
    const mother = state.mothers.get(this.id());
    if (!mother) return null;
    const plant = plantOf(state, mother.taxon ?? '');
    const law = mother.protectedVariety ? (['rights'] as const) : [];
    const condition = conditionOf(state, mother, this.today());
    const batches = [...state.batches.values()].filter((b) => b.mother === mother.id);
    return {
      mother,
      plant,
      condition,
      care: motherCareOf(this.state(), mother, this.today()),
      verdict: this.verdictWords(condition),
      where: whereToCut(condition.reasons, this.words.lengthUnit()),
      looked: condition.looked
        ? [`Looked over ${this.words.near(condition.looked.day)}.`, condition.looked.text ?? '']
            .join(' ')
            .trim()
        : '',
      facts: this.facts(mother, plant),
      cautions: plant
        ? cuttingCautions(
            { hazards: plant.taxon.hazards, law: [...plant.taxon.law, ...law] },
            true,
            'none',
          )
        : [],
      ways: (plant?.taxon.methods ?? []).map((m) => {
        const spare = spareOf(mother, m.method);
        return {
          method: m.method,
          name: METHOD[m.method].name,
          piece: drawnAs(plant!.taxon, m),
          spare: spare ? `${spare.count} of ${spare.of} to spare` : '',
          says:
            this.words.why(plant!.id, m.method) ??
            `Roots in ${m.roots.from}–${m.roots.to} days` +
              (m.pups ? `, pups in ${m.pups.from}–${m.pups.to}` : '') +
              ` at ${this.words.temperature(grownAs(plant!.taxon, m.method).windowC)}; ${this.words.percentSpan(successRange(m.success))} succeed.`,
        };
      }),
      batches,
      gave: this.gaveWords(batches.filter((b) => b.cut !== null)),
    };
  });

  private verdictWords({ verdict, until, fresh }: Condition): string {
    if (verdict === 'cut') return fresh ? 'May be cut today' : 'Check the plant first';
    if (verdict === 'stop') return 'Do not cut it';
    return until === null ? 'Wait' : `Wait until ${this.words.near(until)}`;
  }

  private gaveWords(taken: readonly Batch[]): string {
    if (taken.length === 0) return 'Nothing cut yet.';
    const count = countLedger(taken);
    const lost = count.rotted + count.dried + count.lost;
    return `${count.stuck} taken in ${taken.length === 1 ? 'one batch' : `${taken.length} batches`}: ${count.rooted} rooted, ${lost} lost, ${count.waiting} still waiting.`;
  }

  private facts(mother: Mother, plant: Plant | null): readonly Fact[] {
    const state = this.state();
    const { bornOn, since, heightMm } = mother;
    const place = mother.space === undefined ? undefined : state.spaces.get(mother.space)?.name;
    const asked = (mother.permission ?? 'unknown') !== 'unknown';
    return [
      {
        name: 'Came from',
        says:
          [mother.origin ? ORIGIN_NAME[mother.origin] : '', mother.provenance]
            .filter(Boolean)
            .join(': ') || 'not noted',
      },
      { name: 'Permission', says: PERMISSION_WORD[mother.permission ?? 'unknown'], warn: !asked },
      { name: 'With us since', says: since ? this.words.day(since) : 'not noted' },
      ...(bornOn ? [{ name: 'Age', says: this.age(bornOn) }] : []),
      ...(heightMm ? [{ name: 'Height', says: this.words.length(heightMm) }] : []),
      { name: 'Stands in', says: place ?? 'not told' },
      ...(plant
        ? [
            {
              name: 'Grows at',
              says: `${this.words.temperature(plant.taxon.season.fromC)} to ${this.words.temperature(plant.taxon.season.toC)}`,
              note: evidenceText(plant.taxon.season.evidence),
            },
          ]
        : []),
    ];
  }

  private age(bornOn: Day): string {
    const months = Math.round(daysBetween(bornOn, this.today()) / 30.44);
    if (months < 24) return `about ${months} months`;
    return `about ${Math.round(months / 12)} years`;
  }
}

interface Fact {
  readonly name: string;
  readonly says: string;
  readonly note?: string;
  readonly warn?: boolean;
}
