import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { EvidenceMark } from '../ui/evidence-mark';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { containersOf, mixesOf, plantOf, type Plant, drawnAs } from '@hypogeon/core/bench';
import { type Condition, conditionOf, motherCareOf } from '@hypogeon/core/care';
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
  templateUrl: './mother-page.html',
  styleUrl: './mother-page.scss',
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
    const care = motherCareOf(this.state(), mother, this.today());
    return {
      mother,
      plant,
      condition,
      // That she regrows first, and until when, the headline says; how many heads have come it does not.
      care: {
        ...care,
        leave: care.leave.filter((l) => l.reason.why !== 'regrowing' || l.reason.heads !== null),
      },
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
