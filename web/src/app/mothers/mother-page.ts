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
import { METHOD, grownAs, type MethodId } from '@hypogeon/core/botany';
import { daysBetween, type Day } from '@hypogeon/core/days';
import { ROOT_STATES, type Batch, type Mother, type MotherTending } from '@hypogeon/core/journal';
import { countLedger } from '@hypogeon/core/ledger';
import { spareOf } from '@hypogeon/core/plan';
import { cuttingCautions } from '@hypogeon/core/safety';
import { successRange } from '@hypogeon/core/stats';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { ORIGIN_NAME, whereToCut, restsOn, type RestsOn } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/mother-page';
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
          <i>{{ v.plant?.name ?? say.unknownPlant() }}</i>
          @if (v.plant?.like) {
            {{ say.figuresOf() }} <i>{{ v.plant?.like }}</i>)
          }
        </p>
        <span class="push no-print self-center flex flex-wrap items-center gap-x-1">
          <hy-file-pick
            look="text"
            [label]="v.mother.picture ? say.anotherPicture() : say.takeAPicture()"
            accept="image/*"
            (picked)="picture($event[0])"
          />
          @if (v.mother.picture) {
            <button type="button" matButton="text" (click)="drawIt()">
              {{ say.drawItInstead() }}
            </button>
          }
          <a matButton="text" [routerLink]="['/mothers', v.mother.id, 'edit']">{{
            say.change()
          }}</a>
          <a
            matButton="filled"
            class="ml-2"
            routerLink="/plan"
            [queryParams]="{ mother: v.mother.id }"
            >{{ say.planABatch() }}</a
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
            <ul class="my-3 mx-0 p-0 list-none" [attr.aria-label]="say.afterWhatWasDone()">
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
                      [label]="say.newHeadsOrBuds()"
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
            [attr.aria-label]="say.whatWasDoneTo()"
          >
            <button
              type="button"
              matButton="outlined"
              (click)="panel.set(panel() === 'repotted' ? '' : 'repotted')"
              [attr.aria-expanded]="panel() === 'repotted'"
            >
              {{ say.repotted() }}
            </button>
            <button
              type="button"
              matButton="outlined"
              (click)="panel.set(panel() === 'divided' ? '' : 'divided')"
              [attr.aria-expanded]="panel() === 'divided'"
            >
              {{ say.divided() }}
            </button>
            <button type="button" matButton="text" (click)="mothered('watered')">
              {{ say.watered() }}
            </button>
          </div>
          @if (panel() === 'repotted') {
            <div
              class="panel grid justify-items-start gap-3 max-w-104 mb-3 py-3.5 px-4 border border-line bg-face"
            >
              <p class="quiet small">{{ words.repotting() }}</p>
              <hy-field [label]="say.intoOptional()">
                <mat-select value="" #pot>
                  <mat-option value="">{{ say.notTold() }}</mat-option>
                  @for (c of containers(); track c.id) {
                    <mat-option [value]="c.id">{{ c.name }}</mat-option>
                  }
                </mat-select>
              </hy-field>
              <hy-field [label]="say.filledWithOptional()">
                <mat-select value="" #mix>
                  <mat-option value="">{{ say.notTold() }}</mat-option>
                  @for (m of mixes(); track m.id) {
                    <mat-option [value]="m.id">{{ m.name }}</mat-option>
                  }
                </mat-select>
              </hy-field>
              <hy-field [label]="say.theRootsCame()">
                <mat-select value="whole" #roots>
                  <mat-option value="whole">{{ say.wholeWithTheirBall() }}</mat-option>
                  <mat-option value="bared">{{ say.bared() }}</mat-option>
                  <mat-option value="hurt">{{ say.hurtOrTrimmed() }}</mat-option>
                </mat-select>
              </hy-field>
              <button
                type="button"
                matButton="filled"
                (click)="repotted(pot.value, mix.value, roots.value)"
              >
                {{ say.repottedToday() }}
              </button>
            </div>
          }
          @if (panel() === 'divided') {
            <div
              class="panel grid justify-items-start gap-3 max-w-104 mb-3 py-3.5 px-4 border border-line bg-face"
            >
              <hy-field [label]="say.partsHerselfAmongThem()" [problem]="problem()">
                <input hyControl inputmode="numeric" #parts />
              </hy-field>
              <mat-checkbox #itself>{{ say.itPartedByItself() }}</mat-checkbox>
              <button
                type="button"
                matButton="filled"
                (click)="divided(parts.value, itself.checked)"
              >
                {{ say.dividedToday() }}
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
                    <hy-evidence [of]="fact.name" [on]="fact.note" />
                  }
                </dd>
              </div>
            }
          </dl>
        </div>
        <div>
          <h3 class="mb-2.5">{{ say.checkThePlant() }}</h3>
          <hy-mother-look [mother]="v.mother.id" />
        </div>
      </section>

      @if (v.mother.notes) {
        <p class="notes whitespace-pre-wrap wrap-anywhere">{{ v.mother.notes }}</p>
      }

      @if (v.plant; as plant) {
        <section aria-labelledby="season">
          <h2 id="season" class="ruled">{{ say.throughTheYear() }}</h2>
          @if (v.mother.space) {
            <hy-mother-season [taxon]="plant.taxon" [space]="v.mother.space" />
          } @else {
            <p class="quiet">
              {{ say.sayWhereItStands() }}
              <a [routerLink]="['/mothers', v.mother.id, 'edit']">{{ say.giveItAPlace() }}</a>
            </p>
          }
        </section>
        <section aria-labelledby="ways">
          <h2 id="ways" class="ruled">{{ say.waysToPropagateIt() }}</h2>
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
                <span class="cross text-center quiet font-bold" aria-hidden="true">{{
                  say.no()
                }}</span>
                <div>
                  <strong>{{
                    say.notFrom({ what: no.method === 'leaf' ? say.aLeaf() : wayOf(no.method) })
                  }}</strong>
                  <p class="small">{{ no.why }}</p>
                </div>
              </li>
            }
          </ul>
        </section>
      }

      <section aria-labelledby="family">
        <h2 id="family" class="ruled">{{ say.whatCameOfIt() }}</h2>
        @if (v.batches.length > 0 || v.mother.fromBatch) {
          <p>{{ v.gave }}</p>
          <hy-family-tree [mother]="v.mother.id" />
        } @else {
          <p class="quiet">{{ say.nothingTakenYet() }}</p>
        }
      </section>
      @if (v.plant) {
        <section aria-labelledby="care">
          <h2 id="care" class="ruled">{{ say.takeCare() }}</h2>
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
      <h1>{{ say.noSuchMother() }}</h1>
      <p>
        {{ say.itMayLiveIn() }} <a routerLink="/mothers">{{ say.toTheMothers() }}</a>
      </p>
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
  protected readonly say = say;

  protected wayOf(method: MethodId): string {
    return inSentence(METHOD[method].name);
  }

  private readonly actions = inject(Actions);
  private readonly pictures = inject(Pictures);
  protected readonly panel = signal<'' | 'repotted' | 'divided'>('');
  protected readonly problem = signal('');
  protected readonly doneWord: Readonly<Record<MotherTending, string>> = {
    watered: say.watered(),
    light: say.brighter(),
    feed: say.fed(),
    looked: say.looked(),
  };
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));

  /** The grower's own picture of it. */
  protected async picture(file: File | undefined): Promise<void> {
    if (!file) return;
    const taken = await this.pictures.takeOfMother(file, this.id());
    this.actions.say(taken.ok ? say.thatIsItsPicture() : taken.problem);
  }

  protected drawIt(): void {
    void this.actions.record(
      { kind: 'put', record: 'mother', key: this.id(), fields: { picture: null } },
      say.drawnAgain(),
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
      return this.headsProblem.set(say.howManyAWhole());
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
    if (await this.actions.record(repotted, say.repotted())) this.panel.set('');
  }

  protected async divided(text: string, parted: boolean): Promise<void> {
    const pieces = Number(text);
    if (text.trim() !== '' && (!Number.isInteger(pieces) || pieces < 2))
      return this.problem.set(say.howManyParts2());
    this.problem.set('');
    const taken = await this.actions.record(
      {
        kind: 'divided',
        mother: this.id(),
        ...(text.trim() === '' ? {} : { pieces }),
        ...(parted ? { parted } : {}),
      },
      say.divided(),
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
        ? [
            say.lookedOver({ near: this.words.near(condition.looked.day) }),
            condition.looked.text ?? '',
          ]
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
          spare: spare ? say.ofToSpare({ count: spare.count, of: spare.of }) : '',
          says:
            this.words.why(plant!.id, m.method) ??
            say.rootsInDaysAt({
              from: m.roots.from,
              to: m.roots.to,
              what: m.pups ? say.pupsIn({ from: m.pups.from, to: m.pups.to }) : '',
              temperature: this.words.temperature(grownAs(plant!.taxon, m.method).windowC),
              percentSpan: this.words.percentSpan(successRange(m.success)),
            }),
        };
      }),
      batches,
      gave: this.gaveWords(batches.filter((b) => b.cut !== null)),
    };
  });

  private verdictWords({ verdict, until, fresh }: Condition): string {
    if (verdict === 'cut') return fresh ? say.mayBeCutToday() : say.checkThePlantFirst();
    if (verdict === 'stop') return say.doNotCutIt();
    return until === null ? say.wait() : say.waitUntil({ near: this.words.near(until) });
  }

  private gaveWords(taken: readonly Batch[]): string {
    if (taken.length === 0) return say.nothingCutYet();
    const count = countLedger(taken);
    const lost = count.rotted + count.dried + count.lost;
    return say.takenInRootedLost({
      stuck: count.stuck,
      what: taken.length === 1 ? say.oneBatch() : say.batches({ takenCount: taken.length }),
      rooted: count.rooted,
      lost,
      waiting: count.waiting,
    });
  }

  private facts(mother: Mother, plant: Plant | null): readonly Fact[] {
    const state = this.state();
    const { bornOn, since, heightMm } = mother;
    const place = mother.space === undefined ? undefined : state.spaces.get(mother.space)?.name;
    const asked = (mother.permission ?? 'unknown') !== 'unknown';
    return [
      {
        name: say.cameFrom(),
        says:
          [mother.origin ? ORIGIN_NAME[mother.origin] : '', mother.provenance]
            .filter(Boolean)
            .join(': ') || say.notNoted(),
      },
      {
        name: say.permission(),
        says: PERMISSION_WORD[mother.permission ?? 'unknown'],
        warn: !asked,
      },
      { name: say.withUsSince(), says: since ? this.words.day(since) : say.notNoted() },
      ...(bornOn ? [{ name: say.age(), says: this.age(bornOn) }] : []),
      ...(heightMm ? [{ name: say.height(), says: this.words.length(heightMm) }] : []),
      { name: say.standsIn(), says: place ?? say.notTold() },
      ...(plant
        ? [
            {
              name: say.growsAt(),
              says: say.to({
                temperature: this.words.temperature(plant.taxon.season.fromC),
                temperature2: this.words.temperature(plant.taxon.season.toC),
              }),
              note: restsOn(plant.taxon.season.evidence),
            },
          ]
        : []),
    ];
  }

  private age(bornOn: Day): string {
    const months = Math.round(daysBetween(bornOn, this.today()) / 30.44);
    if (months < 24) return say.aboutMonths({ months });
    return say.aboutYears({ months: Math.round(months / 12) });
  }
}

interface Fact {
  readonly name: string;
  readonly says: string;
  readonly note?: RestsOn;
  readonly warn?: boolean;
}
