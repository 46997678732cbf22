import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  batchCode,
  batchTitle,
  motherEntries,
  plantDrawn,
  plantOf,
  placesIn,
} from '@hypogeon/core/bench';
import {
  CATALOGUE,
  findTaxa,
  METHOD,
  type MethodId,
  type Taxon,
  METHODS,
} from '@hypogeon/core/botany';
import {
  type Origin,
  ORIGINS,
  PERMISSIONS,
  type Permission,
  type MotherFields,
} from '@hypogeon/core/journal';
import { readLength } from '@hypogeon/core/units';
import * as z from 'zod';
import { Actions } from '../data/actions';
import { oneAtATime } from '../data/one-at-a-time';
import { Drafts } from '../data/drafts';
import { freshId } from '../data/fresh-id';
import { Journal, type Draft } from '../data/journal';
import { Today } from '../data/today';
import { touchedFields } from '../data/touched';
import { ORIGIN_NAME } from '@hypogeon/words';
import { alsoCalled } from '@hypogeon/core/names';
import { say } from '@hypogeon/messages/mother-form';
import { Words } from '../data/words';
import { PERMISSION_WORD } from './permission-words';
import { PlantPicture } from '../marks/plant-picture';
import { DraftNote } from '../forms/draft-note';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { PlantField } from '../forms/plant-field';
import { firstWrong } from '../forms/zod-problems';

interface MotherDraft {
  readonly plant: string;
  /** For a plant of one's own: the library taxon whose figures it borrows. */
  readonly like: string;
  readonly name: string;
  readonly provenance: string;
  readonly origin: Origin | '';
  readonly permission: Permission | '';
  readonly protectedVariety: boolean;
  readonly since: string;
  readonly bornOn: string;
  readonly fromBatch: string;
  readonly space: string;
  readonly height: string;
  /** What she has, by method, as typed. */
  readonly has: Readonly<Partial<Record<MethodId, string>>>;
  readonly notes: string;
}

const BLANK: MotherDraft = {
  plant: '',
  like: '',
  name: '',
  provenance: '',
  origin: '',
  permission: '',
  protectedVariety: false,
  since: '',
  bornOn: '',
  fromBatch: '',
  space: '',
  height: '',
  has: {},
  notes: '',
};

/** What to count on a mother, as one asks it. */
const HAS: Readonly<Record<MethodId, string>> = {
  get leaf() {
    return say.goodLeaves();
  },
  get 'leaf-section'() {
    return say.wholeStraps();
  },
  get crown() {
    return say.heads();
  },
  get segment() {
    return say.stems();
  },
  get trailing() {
    return say.trailsLongerThanA();
  },
  get branch() {
    return say.sideBranches();
  },
  get pad() {
    return say.pads();
  },
  get column() {
    return say.columns();
  },
  get offset() {
    return say.offsetsWithoutRoots();
  },
  get 'rooted-offset'() {
    return say.offsetsWithRoots();
  },
  get division() {
    return say.partsOfTheClump();
  },
  get plantlet() {
    return say.plantlets();
  },
  get 'root-cutting'() {
    return say.thickRoots();
  },
  get bulbil() {
    return say.bulbils();
  },
  get 'flower-stalk'() {
    return say.flowerStalks();
  },
  get seed() {
    return say.seeds();
  },
  get culture() {
    return say.plantsFromAFlask();
  },
};

/** What was typed: only the fields that were touched are kept, laid over what stands, and written. */
type MotherTyped = Partial<MotherDraft>;
const motherTypedSchema: z.ZodType<MotherTyped> = z
  .object({
    plant: z.string(),
    like: z.string(),
    name: z.string(),
    provenance: z.string(),
    origin: z.enum([...ORIGINS, '']),
    permission: z.enum([...PERMISSIONS, '']),
    protectedVariety: z.boolean(),
    since: z.string(),
    bornOn: z.string(),
    fromBatch: z.string(),
    space: z.string(),
    height: z.string(),
    has: z.partialRecord(z.enum(METHODS), z.string()),
    notes: z.string(),
  })
  .partial();

const isCount = (typed: string): boolean => {
  const n = Number(typed);
  return Number.isInteger(n) && n >= 0 && n <= 100_000;
};

/** Which inputs each field is read from. */
const FEEDS: { readonly [K in keyof Required<MotherFields>]: readonly (keyof MotherDraft)[] } = {
  name: ['name'],
  taxon: ['plant', 'like'],
  provenance: ['provenance'],
  origin: ['origin'],
  permission: ['permission'],
  protectedVariety: ['protectedVariety'],
  since: ['since'],
  bornOn: ['bornOn'],
  fromBatch: ['fromBatch'],
  space: ['space'],
  heightMm: ['height'],
  has: ['has'],
  notes: ['notes'],
  picture: [],
};

function hasFrom(typed: MotherDraft['has']): Partial<Record<MethodId, number>> | null {
  const counted = Object.entries(typed).filter(([, n]) => n.trim() !== '');
  return counted.length === 0
    ? null
    : Object.fromEntries(counted.map(([method, n]) => [method, Number(n)]));
}

@Component({
  selector: 'hy-mother-form',
  imports: [
    MatCheckbox,
    MatButton,
    DayField,
    MatOption,
    MatSelect,
    PlantPicture,
    DraftNote,
    Field,
    FieldControl,
    RouterLink,
    PlantField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mother-form.html',
})
export class MotherForm {
  protected readonly say = say;

  private readonly toFirstWrong = firstWrong();
  private readonly actions = inject(Actions);
  private readonly journal = inject(Journal);
  private readonly router = inject(Router);
  protected readonly today = inject(Today).day;

  /** Set where a known mother is changed. */
  readonly id = input<string>();
  /** The batch it was raised in, from its page. */
  readonly from = input<string>();

  private readonly words = inject(Words);
  protected readonly lengthUnit = this.words.lengthUnit;
  protected readonly spaces = computed(() => placesIn(this.journal.state()));
  /** Batches of the same plant, the latest first. */
  protected readonly batches = computed(() => {
    const state = this.journal.state();
    const taxon = this.taxon()?.id ?? this.ownTaxon();
    return [...state.batches.values()]
      .filter((b) => b.taxon === taxon && b.cut !== null)
      .sort((a, b) => (a.cutOn < b.cutOn ? 1 : -1))
      .map((b) => ({
        id: b.id,
        name: `${batchTitle(state, b)}, ${this.words.day(b.cutOn)} (${batchCode(state, b)})`,
      }));
  });
  protected readonly countable = computed(() =>
    (this.figures()?.methods ?? []).map((m) => ({ id: m.method, name: HAS[m.method] })),
  );

  protected readonly origins = ORIGINS;
  protected readonly originName = ORIGIN_NAME;
  protected readonly permissions = PERMISSIONS;
  protected readonly permissionWord = PERMISSION_WORD;
  protected readonly catalogue = CATALOGUE;

  private readonly drafts = inject(Drafts);
  private readonly keeper = computed(() =>
    this.drafts.keeper(`mother.${this.id() ?? 'new'}`, motherTypedSchema),
  );
  private readonly edited = signal<MotherTyped | null>(null);
  private readonly typed = computed<MotherTyped>(() => this.edited() ?? this.keeper().read() ?? {});
  protected readonly draft = computed<MotherDraft>(() => {
    const kept = this.kept();
    const typed = this.typed();
    return { ...kept, ...typed, has: { ...kept.has, ...typed.has } };
  });
  /** When it was left, where it is taken up again. */
  protected readonly left = computed(() => (this.edited() ? null : this.keeper().keptAt()));
  protected readonly tried = signal(false);

  protected readonly found = computed(() => findTaxa(CATALOGUE, this.draft().plant, alsoCalled));
  protected readonly taxon = computed(() => {
    const typed = this.draft().plant.trim().toLowerCase();
    return CATALOGUE.find((t) => t.name.toLowerCase() === typed) ?? null;
  });
  /** The plant whose figures will count: its own or, for one of the grower's, that of the one it is like. */
  protected readonly figures = computed(
    () =>
      this.taxon() ??
      plantOf(this.journal.state(), this.ownTaxon() ?? '')?.taxon ??
      CATALOGUE.find((t) => t.id === this.draft().like) ??
      null,
  );
  /** Not of the library: nothing there matches what is typed, or it was handed in all the same. */
  protected readonly isOwn = computed(
    () =>
      this.draft().plant.trim() !== '' &&
      this.taxon() === null &&
      (this.tried() || this.found().length === 0),
  );

  protected readonly problems = computed(() => {
    const d = this.draft();
    return {
      plant: d.plant.trim() === '' ? say.whichPlantIsIt() : '',
      like:
        this.isOwn() && this.ownTaxon() === undefined && d.like === '' ? say.notInThePlant() : '',
      name: d.name.trim() === '' ? say.whatDoYouCall() : '',
      permission: d.permission === '' ? say.mayItBePropagatedSay() : '',
      since: d.since > this.today() ? say.thatDayIsStill() : '',
      bornOn: d.bornOn > this.today() ? say.thatDayIsStill() : '',
      height: this.heightProblem(d.height),
      has: Object.values(d.has).some((n) => n.trim() !== '' && !isCount(n))
        ? say.wholeNumbersPleaseAbout()
        : '',
    };
  });
  protected readonly good = computed(() => Object.values(this.problems()).every((p) => p === ''));

  protected set<K extends keyof MotherDraft>(field: K, value: MotherDraft[K]): void {
    const typed = { ...this.typed(), [field]: value };
    this.edited.set(typed);
    this.keeper().keep(typed);
  }

  protected afresh(): void {
    this.keeper().drop();
    this.edited.set({});
  }

  protected setHas(method: MethodId, typed: string): void {
    this.set('has', { ...this.typed().has, [method]: typed });
  }

  protected setPermission(value: string): void {
    this.set('permission', PERMISSIONS.find((p) => p === value) ?? '');
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  protected wholeOf(taxon: Taxon) {
    return plantDrawn(taxon);
  }

  protected waysOf(taxon: Taxon): string {
    return say.from({ methods: taxon.methods.map((m) => METHOD[m.method].many).join(', ') });
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    this.tried.set(true);
    if (!this.good()) {
      this.toFirstWrong();
      return;
    }
    const d = this.draft();
    const drafts: Draft[] = [];
    let taxon = this.taxon()?.id;
    if (taxon === undefined) {
      taxon = this.ownTaxon() ?? freshId();
      drafts.push({
        kind: 'put',
        record: 'taxon',
        key: taxon,
        fields: { name: d.plant.trim(), like: d.like },
      });
    }
    const key = this.id() ?? freshId();
    const whole: MotherFields = {
      name: d.name.trim(),
      taxon,
      provenance: d.provenance.trim() || null,
      origin: d.origin || null,
      permission: d.permission === '' ? null : d.permission,
      protectedVariety: d.protectedVariety || null,
      since: d.since || null,
      bornOn: d.bornOn || null,
      fromBatch: d.fromBatch || null,
      space: d.space || null,
      heightMm: this.heightMm(d.height),
      has: hasFrom(d.has),
      notes: d.notes.trim() || null,
    };
    const touched = new Set(Object.keys(this.typed()) as (keyof MotherDraft)[]);
    const fields = this.id() === undefined ? whole : touchedFields(touched, whole, FEEDS);
    if (Object.keys(fields).length > 0) drafts.push({ kind: 'put', record: 'mother', key, fields });
    const from =
      this.id() === undefined ? this.journal.state().batches.get(d.fromBatch) : undefined;
    // She is no cutting of the tray any more, but stays counted where she rooted.
    if (from) drafts.push(...motherEntries(from, key, this.today()));
    if (
      drafts.length > 0 &&
      !(await this.actions.recordAll(drafts, say.kept({ name: whole.name ?? '' })))
    )
      return;
    this.keeper().drop();
    await this.router.navigate(['/mothers', key]);
  }

  /** The id of an own plant of this name, so that a second mother of it does not make it twice. */
  private ownTaxon(): string | undefined {
    const typed = this.draft().plant.trim().toLowerCase();
    return [...this.journal.state().ownTaxa.values()].find((t) => t.name?.toLowerCase() === typed)
      ?.id;
  }

  /** One of a batch becomes a mother: what is known of it is filled in. */
  private raised(): MotherDraft {
    const state = this.journal.state();
    const batch = state.batches.get(this.from() ?? '');
    if (!batch) return BLANK;
    const own = state.ownTaxa.get(batch.taxon);
    return {
      ...BLANK,
      plant: plantOf(state, batch.taxon)?.name ?? '',
      like: own?.like ?? '',
      provenance: say.raisedHere(),
      permission: 'own',
      since: batch.cutOn,
      bornOn: batch.cutOn,
      fromBatch: batch.id,
      space: batch.space,
    };
  }

  private heightMm(typed: string): number | null {
    const read = readLength(typed, this.lengthUnit());
    return read.ok ? read.mm : null;
  }

  private heightProblem(typed: string): string {
    if (typed.trim() === '') return '';
    const read = readLength(typed, this.lengthUnit());
    if (!read.ok) return say.isNotALength({ typed: typed.trim() });
    return read.mm > 20_000 ? say.tallerThanTwentyMetres() : '';
  }

  private kept(): MotherDraft {
    const state = this.journal.state();
    const mother = state.mothers.get(this.id() ?? '');
    if (!mother) return this.raised();
    return {
      plant: plantOf(state, mother.taxon ?? '')?.name ?? '',
      like: state.ownTaxa.get(mother.taxon ?? '')?.like ?? '',
      name: mother.name ?? '',
      provenance: mother.provenance ?? '',
      origin: mother.origin ?? '',
      permission: mother.permission ?? '',
      protectedVariety: mother.protectedVariety ?? false,
      since: mother.since ?? '',
      bornOn: mother.bornOn ?? '',
      fromBatch: mother.fromBatch ?? '',
      space: mother.space ?? '',
      height: mother.heightMm === undefined ? '' : this.words.length(mother.heightMm),
      has: Object.fromEntries(Object.entries(mother.has ?? {}).map(([m, n]) => [m, String(n)])),
      notes: mother.notes ?? '',
    };
  }
}
