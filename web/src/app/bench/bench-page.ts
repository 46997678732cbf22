import { careOf, waterSays } from '@hypogeon/core/care';
import { CdkVirtualScrollViewport, ScrollingModule } from '@angular/cdk/scrolling';
import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  askBench,
  BENCH_SORTS,
  benchLines,
  clockOf,
  drawnOf,
  placeOf,
  plantOf,
  STAGE_NAME,
  statusOf,
  TROUBLE_NAME,
  TROUBLES,
  type BenchAsk,
  type BenchLine,
  type BenchSort,
  type Trouble,
} from '@hypogeon/core/bench';
import { METHOD, METHODS, type MethodId } from '@hypogeon/core/botany';
import { type Batch, type BatchStage, BATCH_STAGES } from '@hypogeon/core/journal';
import { closureOn } from '@hypogeon/core/wound';
import * as z from 'zod';
import { Drafts } from '../data/drafts';
import { statusText, YOUNG_NAME } from '@hypogeon/words';
import { say } from '@hypogeon/messages/bench-page';
import { Journal } from '../data/journal';
import { Spreadsheet } from '../data/spreadsheet';
import { Today } from '../data/today';
import { waterGlance } from '../data/verdict-words';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';
import { Field, FieldControl } from '../forms/field';
import { BenchTabs } from './bench-tabs';

/** So many rows are simply drawn; more come and go as one scrolls. */
const FEW = 80;
const ROW_WIDE = 73;
/** Room for a name and a trouble of two lines each. */
const ROW_PHONE = 152;

const SORT_WORD: Readonly<Record<BenchSort, string>> = {
  get bench() {
    return say.byBench();
  },
  get age() {
    return say.oldestFirst();
  },
  get plant() {
    return say.byPlant();
  },
  get rooted() {
    return say.mostRootedFirst();
  },
  get lost() {
    return say.mostLostFirst();
  },
};

/** A row of the list: a bench's name, or a batch standing on it. */
type Row =
  | { readonly is: 'bench'; readonly name: string; readonly count: number }
  | { readonly is: 'batch'; readonly line: BenchLine };

const askSchema: z.ZodType<BenchAsk> = z.object({
  withDone: z.boolean().optional(),
  stage: z.enum(BATCH_STAGES).optional(),
  space: z.string().optional(),
  taxon: z.string().optional(),
  method: z.enum(METHODS).optional(),
  mother: z.string().optional(),
  trouble: z.enum([...TROUBLES, 'any']).optional(),
  age: z.tuple([z.number(), z.number()]).optional(),
  sort: z.enum(BENCH_SORTS).optional(),
});

@Component({
  selector: 'hy-bench-page',
  imports: [
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    BenchTabs,
    CdkVirtualScrollViewport,
    CuttingMark,
    Field,
    FieldControl,
    NgTemplateOutlet,
    RouterLink,
    ScrollingModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
})
export class BenchPage {
  protected readonly say = say;

  protected readonly words = inject(Words);
  protected readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;
  private readonly verdicts = inject(Water).verdicts;
  private readonly spreadsheet = inject(Spreadsheet);
  private readonly keeper = inject(Drafts).keeper('bench-list', askSchema);

  protected readonly stages = Object.entries(STAGE_NAME) as [BatchStage, string][];
  protected readonly sorts = BENCH_SORTS.map((id) => ({ id, name: SORT_WORD[id] }));
  protected readonly troubles = TROUBLES.map((id) => ({ id, name: TROUBLE_NAME[id] }));

  protected readonly ask = signal<BenchAsk>({ ...this.keeper.read(), query: '' });
  protected readonly sieveOpen = signal(this.asked() > 0);

  private readonly lines = computed(() => benchLines(this.state(), this.today()));
  /** What there is to choose from: only what stands in the journal. */
  protected readonly choices = computed(() => {
    const state = this.state();
    const batches = this.lines().map((l) => l.batch);
    const named = (ids: Iterable<string | undefined>, name: (id: string) => string | undefined) =>
      [...new Set(ids)]
        .flatMap((id) => (id === undefined ? [] : [{ id, name: name(id) ?? say.unnamed() }]))
        .sort((a, b) => (a.name < b.name ? -1 : 1));
    const methods = new Set(batches.map((b) => b.method));
    return {
      spaces: named(
        this.lines().map((l) => l.space),
        (id) => state.spaces.get(id)?.name,
      ),
      plants: named(
        batches.map((b) => b.taxon),
        (id) => plantOf(state, id)?.name,
      ),
      mothers: named(
        batches.map((b) => b.mother),
        (id) => state.mothers.get(id)?.name,
      ),
      methods: METHODS.filter((m) => methods.has(m)).map((id) => ({ id, name: METHOD[id].name })),
    };
  });

  protected readonly found = computed(() => askBench(this.lines(), this.ask()));
  /** By bench with the bench's name above; in any other order just the batches. */
  protected readonly rows = computed<readonly Row[]>(() => {
    const found = this.found();
    if ((this.ask().sort ?? 'bench') !== 'bench')
      return found.map((line) => ({ is: 'batch', line }));
    const names = [...new Set(found.map((l) => l.spaceName))];
    return names.flatMap((name): Row[] => {
      const lines = found.filter((l) => l.spaceName === name);
      return [
        { is: 'bench', name, count: lines.length },
        ...lines.map((line): Row => ({ is: 'batch', line })),
      ];
    });
  });
  protected readonly many = computed(() => this.rows().length > FEW);

  private readonly phone = matchMediaOf('(max-width: 760px)');
  protected readonly rowHeight = computed(() => (this.phone() ? ROW_PHONE : ROW_WIDE));

  constructor() {
    effect(() => this.keeper.keep(this.ask()));
  }

  protected asked(): number {
    const { query: _q, sort: _s, ...rest } = this.ask();
    return Object.values(rest).filter((v: unknown) => v !== undefined && v !== false).length;
  }

  protected change(part: Partial<BenchAsk>): void {
    this.ask.update((ask) => ({ ...ask, ...part }));
  }

  protected stage(value: string): void {
    this.change({ stage: (value || undefined) as BatchStage | undefined });
  }

  protected method(value: string): void {
    this.change({ method: (value || undefined) as MethodId | undefined });
  }

  protected trouble(value: string): void {
    this.change({ trouble: (value || undefined) as Trouble | 'any' | undefined });
  }

  protected sort(value: string): void {
    this.change({ sort: value as BenchSort });
  }

  protected age(text: string): void {
    const days = Number(text);
    this.change({ age: text.trim() !== '' && days >= 0 ? [0, days] : undefined });
  }

  protected clear(): void {
    this.ask.set({ query: '' });
  }

  protected keyOf(_index: number, row: Row): string {
    return row.is === 'bench' ? say.bench2({ name: row.name }) : row.line.batch.id;
  }

  protected saveCsv(): void {
    const rows = this.found().map(({ batch, title, code, spaceName, age, troubles }) => [
      code,
      title,
      plantOf(this.state(), batch.taxon)?.name ?? '',
      spaceName,
      placeOf(this.state(), batch) ?? '',
      statusText(statusOf(this.state(), batch)),
      batch.cutOn,
      age,
      batch.count,
      batch.counts.rooted + batch.counts.pupped,
      batch.counts.pupped,
      batch.counts.rotted,
      batch.counts.dried,
      batch.counts.lost,
      batch.here.waiting,
      troubles.map((t) => TROUBLE_NAME[t]).join('; '),
    ]);
    this.spreadsheet.save(`bench-${this.today()}`, BENCH_COLUMNS, rows);
  }

  private readonly seen = new WeakMap<BenchLine, { verdict: unknown; look: Look }>();

  /** A row is worked out once, not at every turn of the wheel. */
  protected look(line: BenchLine): Look {
    const verdict = this.verdicts().get(line.batch.id);
    const known = this.seen.get(line);
    if (known && known.verdict === verdict) return known.look;
    const look = this.lookOf(line);
    this.seen.set(line, { verdict, look });
    return look;
  }

  private lookOf(line: BenchLine) {
    const { batch } = line;
    const state = this.state();
    const clock = clockOf(state, batch);
    const closure = clock && batch.cut ? closureOn(clock, this.today()) : 0;
    const alive = batch.counts.rooted + batch.counts.pupped;
    const mark: MarkState = {
      ...FRESH,
      closure: clock === null ? 1 : closure,
      roots: alive > 0 ? 2 : 0,
      pup: batch.counts.pupped > 0,
      potted: batch.potted > 0,
    };
    return {
      mark,
      stage: statusText(statusOf(state, batch)),
      trouble: line.troubles[0] === undefined ? null : TROUBLE_NAME[line.troubles[0]],
      piece: drawnOf(state, batch),
      age:
        line.age < 0 ? say.cutIn({ days: this.words.days(-line.age) }) : say.day({ age: line.age }),
      says: this.says(batch),
      water: this.water(batch),
      place: [placeOf(state, batch), line.code].filter(Boolean).join(' · '),
    };
  }

  private water(batch: Batch): { readonly says: string; readonly now: boolean } | null {
    const verdict = this.verdicts().get(batch.id);
    if (!verdict) return null;
    const today = this.today();
    const water = waterSays(careOf(this.state(), batch, today, verdict), today);
    const says = waterGlance(this.words, batch, water, verdict);
    return says === '' ? null : { says, now: water.is === 'now' };
  }

  private says(batch: Batch): string {
    const { counts, count, here, waiting, stage } = batch;
    if (stage === 'planned' || stage === 'callusing') return say.inAll({ count });
    const lost = counts.rotted + counts.dried + counts.lost;
    return [
      say.ofRooted({ pupped: counts.rooted + counts.pupped, count }),
      counts.pupped
        ? say.withWord({
            pupped: counts.pupped,
            youngName: YOUNG_NAME[this.words.speech().wayOf(batch).young],
          })
        : '',
      lost ? say.lost({ lost }) : '',
      here.waiting ? say.waiting({ waiting: here.waiting }) : '',
      waiting > here.waiting ? say.goneBefore({ waiting: waiting - here.waiting }) : '',
    ]
      .filter(Boolean)
      .join(', ');
  }
}

/** What a row shows beside its name. */
type Look = ReturnType<BenchPage['lookOf']>;

const BENCH_COLUMNS = [
  'code',
  'batch',
  'plant',
  'space',
  'place',
  'stage',
  'cut_on',
  'age_days',
  'count',
  'rooted',
  'with_pups',
  'rotted',
  'dried',
  'lost',
  'waiting',
  'trouble',
] as const;

/** Whether a media query holds, as it changes. */
function matchMediaOf(query: string) {
  const list = typeof matchMedia === 'function' ? matchMedia(query) : null;
  const holds = signal(list?.matches ?? false);
  const look = (): void => holds.set(list?.matches ?? false);
  list?.addEventListener('change', look);
  inject(DestroyRef).onDestroy(() => list?.removeEventListener('change', look));
  return holds.asReadonly();
}
