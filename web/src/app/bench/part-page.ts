import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatRadioButton } from '@angular/material/radio';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  batchCode,
  batchTitle,
  leaveEntries,
  mergeEntries,
  mergeProblem,
  plantOf,
  rescueEntries,
  singleEntries,
  splitEntries,
  standingIn,
  takenCount,
  takingProblem,
  placesIn,
} from '@hypogeon/core/bench';
import { isDay } from '@hypogeon/core/days';
import { type Batch, type EntryDraft, type RecutFor, RECUT_FOR } from '@hypogeon/core/journal';
import { cuttingCautions, type Caution } from '@hypogeon/core/safety';
import { readLength } from '@hypogeon/core/units';
import { longerSchool, WOUND_SCHOOL, type WoundSchoolId } from '@hypogeon/core/wound';
import * as z from 'zod';
import { say } from '@hypogeon/messages/part-page';
import { Actions } from '../data/actions';
import { keptDraft } from '../data/kept-draft';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { readPrice } from '../forms/price';
import { DraftNote } from '../forms/draft-note';
import { namePage } from '../shell/page-title';

type Way = 'split' | 'rescued' | 'single' | 'given' | 'sold' | 'discarded' | 'merged';

const WAYS: readonly { readonly id: Way; readonly name: string; readonly says: string }[] = [
  {
    id: 'split',
    get name() {
      return say.splitOff();
    },
    get says() {
      return say.aBatchOfTheir();
    },
  },
  {
    id: 'rescued',
    get name() {
      return say.cutAfresh();
    },
    get says() {
      return say.cutBackToClean();
    },
  },
  {
    id: 'single',
    get name() {
      return say.potSingly();
    },
    get says() {
      return say.eachPlantGetsA();
    },
  },
  {
    id: 'given',
    get name() {
      return say.giveAway();
    },
    get says() {
      return say.theyLeaveAndStay();
    },
  },
  {
    id: 'sold',
    get name() {
      return say.sell();
    },
    get says() {
      return say.theyLeaveAndStay();
    },
  },
  {
    id: 'discarded',
    get name() {
      return say.throwOut();
    },
    get says() {
      return say.whatHadNotRooted();
    },
  },
  {
    id: 'merged',
    get name() {
      return say.merge();
    },
    get says() {
      return say.allThatStandHere();
    },
  },
];

/** More single pots than this are one batch, whatever one calls them. */
const MOST_SINGLES = 60;

interface PartDraft {
  readonly way: Way;
  readonly waiting: string;
  readonly rooted: string;
  readonly pupped: string;
  readonly cause: RecutFor;
  readonly width: string;
  readonly school: string;
  readonly space: string;
  readonly place: string;
  readonly text: string;
  /** What each is sold for, as typed. */
  readonly price: string;
  readonly into: string;
}

const partSchema: z.ZodType<PartDraft> = z.object({
  way: z.enum(WAYS.map((w) => w.id)),
  waiting: z.string(),
  rooted: z.string(),
  pupped: z.string(),
  cause: z.enum(RECUT_FOR),
  width: z.string(),
  school: z.string(),
  space: z.string(),
  place: z.string(),
  text: z.string().max(4000),
  price: z.string(),
  into: z.string(),
});

/** Takes cuttings out of a batch: split, cut afresh, potted singly, given, sold, thrown out or merged. */
@Component({
  selector: 'hy-part-page',
  imports: [
    MatChipListbox,
    MatChipOption,
    MatRadioButton,
    MatButton,
    DayField,
    MatOption,
    MatSelect,
    DraftNote,
    Field,
    FieldControl,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-4 max-w-192' },
  templateUrl: './part-page.html',
  styleUrl: './part-page.scss',
})
export class PartPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  private readonly journal = inject(Journal);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  private readonly state = this.journal.state;

  readonly id = input.required<string>();
  /** From the inspection helper: straight to the fresh cut. */
  readonly way = input<string>();

  protected readonly ways = WAYS;
  protected readonly schools = Object.values(WOUND_SCHOOL);
  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly here = computed(() => {
    const batch = this.batch();
    return batch ? standingIn(batch) : { waiting: 0, rooted: 0, pupped: 0 };
  });
  protected readonly view = computed(() => {
    const batch = this.batch();
    return batch
      ? {
          batch,
          title: batchTitle(this.state(), batch),
          code: batchCode(this.state(), batch),
          cautions: this.cautions(batch),
        }
      : null;
  });
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly mates = computed(() => {
    const batch = this.batch();
    if (!batch) return [];
    return [...this.state().batches.values()]
      .filter(
        (b) => b.id !== batch.id && b.ended === null && mergeProblem(this.state(), batch, b) === '',
      )
      .map((b) => ({
        id: b.id,
        name: `${batchTitle(this.state(), b)} ${batchCode(this.state(), b)}`,
      }));
  });

  private readonly typed = keptDraft<PartDraft>(
    () => `part.${this.id()}`,
    () => partSchema,
  );
  protected readonly left = this.typed.left;

  protected afresh(): void {
    this.typed.drop();
  }
  protected readonly form = computed<PartDraft>(() => {
    const asked = WAYS.find((w) => w.id === this.way())?.id;
    const kept = this.typed.typed();
    if (kept) return kept;
    const batch = this.batch();
    return {
      way: asked ?? 'split',
      waiting: asked === 'rescued' ? '1' : '',
      rooted: '',
      pupped: '',
      cause: 'rot',
      width: batch?.widthMm ? this.words.length(batch.widthMm) : '',
      school: '',
      space: batch?.callusSpace ?? batch?.space ?? '',
      place: '',
      text: '',
      price: String(this.state().settings.plantPrice ?? ''),
      into: '',
    };
  });
  /** How long the fresh cut dries: as chosen; else after rot longer than the first time, and as before where it sealed. */
  protected readonly school = computed(() => {
    const { school, cause } = this.form();
    const first = this.batch()?.school ?? 'dry-to-touch';
    return school !== '' ? school : cause === 'rot' ? longerSchool(first) : first;
  });
  protected readonly says = computed(() => WAYS.find((w) => w.id === this.form().way)!.says);
  protected readonly currency = computed(() => {
    const { currency } = this.state().settings;
    return currency ? `, ${currency}` : '';
  });
  protected readonly problem = signal('');

  protected readonly day = signal<string | null>(null);
  protected readonly on = computed(() => this.day() ?? this.today());
  protected readonly dayProblem = computed(() => {
    const day = this.on();
    const batch = this.batch();
    if (!isDay(day)) return say.thatIsNotA();
    if (day > this.today()) return say.thatDayIsStill();
    return batch?.cut && day < batch.cut ? say.itWasCutOn({ day: this.words.day(batch.cut) }) : '';
  });

  constructor() {
    namePage(() => {
      const view = this.view();
      return view ? say.takeSomeOut2({ title: view.title }) : '';
    });
  }

  protected change(part: Partial<PartDraft>): void {
    this.typed.set({ ...this.form(), ...part });
    this.problem.set('');
  }

  protected all(): void {
    const { waiting, rooted, pupped } = this.here();
    this.change({
      waiting: waiting ? String(waiting) : '',
      rooted: rooted ? String(rooted) : '',
      pupped: pupped ? String(pupped) : '',
    });
  }

  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const batch = this.batch();
    if (!batch || this.dayProblem()) return;
    const made = this.entries(batch);
    if (typeof made === 'string') return this.problem.set(made);
    const taken = await this.actions.recordAll(made.entries, made.said);
    if (!taken) return;
    this.typed.drop();
    await this.router.navigate(['/bench', made.next]);
  }

  /** What the plant's sap and spines can do, where a blade comes near. */
  private cautions(batch: Batch): readonly Caution[] {
    const plant = plantOf(this.state(), batch.taxon);
    return plant
      ? cuttingCautions(plant.taxon, true, batch.disinfectant ?? 'alcohol').filter(
          (c) => c.weight === 'danger',
        )
      : [];
  }

  /** What is recorded, or why it cannot be. */
  private entries(
    batch: Batch,
  ):
    | string
    | { readonly entries: readonly EntryDraft[]; readonly said: string; readonly next: string } {
    const form = this.form();
    const day = this.on();
    const state = this.state();
    if (form.way === 'merged') {
      const into = state.batches.get(form.into);
      if (!into) return say.intoWhichBatchChoose();
      return { entries: mergeEntries(batch, into, day), said: say.merged(), next: into.id };
    }
    const taken = {
      waiting: Number(form.waiting || 0),
      rooted: Number(form.rooted || 0),
      pupped: Number(form.pupped || 0),
    };
    const wrong = takingProblem(batch, { taken });
    if (wrong) return wrong;
    const count = takenCount(taken);
    const which = { taken };
    const where = { space: form.space, ...(form.place.trim() ? { place: form.place.trim() } : {}) };
    const text = form.text.trim() ? { text: form.text.trim() } : {};
    const id = freshId();
    switch (form.way) {
      case 'split':
        return {
          entries: splitEntries(batch, which, id, day, where),
          said: say.splitOff2({ count }),
          next: id,
        };
      case 'rescued': {
        const read = form.width.trim() ? readLength(form.width, this.words.lengthUnit()) : null;
        if (read?.ok === false) return read.problem;
        const cut = {
          cause: form.cause,
          school: this.school() as WoundSchoolId,
          ...(read?.ok ? { widthMm: read.mm } : {}),
        };
        return {
          entries: rescueEntries(state, batch, which, id, day, cut, where),
          said: say.cutAfresh2({ count }),
          next: id,
        };
      }
      case 'single': {
        if (taken.waiting > 0) return say.whatHasNoRoots();
        if (count > MOST_SINGLES) return say.atMostAtA({ mostSingles: MOST_SINGLES });
        const ids = Array.from({ length: count }, () => freshId());
        return {
          entries: singleEntries(state, batch, which, ids, day, where),
          said: say.pottedSingly({ count }),
          next: batch.id,
        };
      }
      default: {
        const price = readPrice(form.way === 'sold' ? form.price : '');
        if (!price.ok) return price.problem;
        const about = { ...text, ...(price.each === undefined ? {} : { priceEach: price.each }) };
        return {
          entries: leaveEntries(batch, which, day, form.way, about),
          said: `${count} ${form.way === 'discarded' ? say.thrownOut() : form.way}`,
          next: batch.id,
        };
      }
    }
  }
}
