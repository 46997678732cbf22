import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { countsOf, forestOf, pooledWays, type Forest } from '@hypogeon/core/benches';
import { CATALOGUE, METHOD } from '@hypogeon/core/botany';
import {
  countsPackage,
  MAX_COUNTS_BYTES,
  readCounts,
  writeCounts,
  type ReadCounts,
} from '@hypogeon/core/formats';
import {
  SETTINGS_KEY,
  type BenchCounts,
  type BenchRecord,
  type CountsRow,
  type EntryDraft,
} from '@hypogeon/core/journal';
import { doubtsOf } from '@hypogeon/core/pool';
import {
  againstText,
  benchesText,
  capital,
  countsProblemText,
  COURSE_WORDS,
  doubtText,
  points,
} from '@hypogeon/words';
import { zipSync, strToU8 } from 'fflate';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/benches-page';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { oneAtATime } from '../data/one-at-a-time';
import { saveBlob, saveText } from '../data/save-text';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { rangesChart, rangesTall } from '../charts/ranges-chart';
import { Field, FieldControl } from '../forms/field';
import { FilePick } from '../forms/file-pick';
import { LedgerTabs } from './ledger-tabs';
import { CellOf, type Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';

/** Counts that were read and wait for a yes. */
interface Offered {
  readonly file: string;
  readonly name: string;
  readonly counts: BenchCounts;
  readonly says: string;
  readonly doubts: readonly string[];
}

interface Kept {
  readonly bench: string;
  readonly name: string;
  readonly out: boolean;
  readonly cuttings: number;
  readonly halves: string;
  readonly plants: number;
}

const NAME_OF = new Map(CATALOGUE.map((t) => [t.id, t.name]));

/** Counts of other growers: taken in, set side by side with one's own, and given. */
@Component({
  selector: 'hy-benches-page',
  imports: [
    CellOf,
    Chart,
    Field,
    FieldControl,
    FilePick,
    Fold,
    LedgerTabs,
    MatButton,
    MatOption,
    MatSelect,
    Table,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './benches-page.html',
  styleUrl: './pages.scss',
})
export class BenchesPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly state = this.journal.state;
  private readonly actions = inject(Actions);
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);

  protected readonly demo = computed(() => this.journal.book() === 'demo');
  protected readonly chosen = signal<string | null>(null);
  protected readonly problems = signal<readonly string[]>([]);
  private readonly waiting = signal<readonly { file: string; name: string; counts: BenchCounts }[]>(
    [],
  );

  protected readonly ways = computed(() =>
    pooledWays(this.state()).map(({ taxon, method, benches }) => ({
      key: `${taxon.id}/${method}`,
      taxon: taxon.id,
      method,
      benches,
      name: `${taxon.name}, ${METHOD[method].many}`,
    })),
  );
  protected readonly way = computed(
    () => this.ways().find((w) => w.key === this.chosen()) ?? this.ways()[0] ?? null,
  );

  protected readonly view = computed(() => {
    const way = this.way();
    const forest = way && forestOf(this.state(), way.taxon, way.method);
    if (!way || !forest) return null;
    const rows = this.rowsOf(forest);
    return {
      name: way.name,
      forest,
      headline: forest.against
        ? againstText(forest.against, way.method)
        : say.ofThemRootOn({
            many: capital(METHOD[way.method].many),
            benches: benchesText(forest.benches.length),
            percentSpan: this.words.percentSpan(forest.fresh),
          }),
      tall: rangesTall(rows.length),
      chart: rangesChart(rows, {
        title: say.shareOfThatRooted({ many: METHOD[way.method].many }),
        figure: (share) => this.words.percent(share),
        most: 1,
      }),
    };
  });

  private rowsOf({ benches, fresh, own, believed }: Forest) {
    const row = (name: string, { share, low, high }: Forest['fresh']) => ({
      name,
      low,
      likely: share,
      high,
    });
    return [
      ...benches.map((b) => row(this.called(b.bench), b)),
      row(say.aBenchToCome(), fresh),
      ...(own ? [row(say.yoursAsCounted(), own)] : []),
      row(say.believedHere(), believed),
    ];
  }

  protected readonly columns: readonly Column<Forest['benches'][number]>[] = [
    { key: 'bench', head: say.bench(), text: (b) => this.called(b.bench) },
    {
      key: 'rooted',
      head: say.rooted(),
      number: true,
      text: (b) => say.ofWord({ rooted: b.rooted, told: b.told }),
    },
    { key: 'range', head: say.share(), number: true, text: (b) => this.words.percentSpan(b) },
    {
      key: 'without',
      head: say.withoutItPoints(),
      number: true,
      text: (b) => (b.without === null ? '–' : points(b.without)),
      sort: (b) => b.without,
    },
  ];

  protected readonly offered = computed((): readonly Offered[] =>
    this.waiting().map(({ file, name, counts }, i, all) => ({
      file,
      name,
      counts,
      says: summary(counts.rows),
      doubts: doubtsOf(
        this.state(),
        counts,
        all.slice(0, i).map((o) => o.counts),
      ).map((d) => doubtText(d, (id) => this.called(id))),
    })),
  );

  protected readonly kept = computed((): readonly Kept[] =>
    [...this.state().benches.values()].map((b) => ({
      bench: b.id,
      name: nameOf(b),
      out: b.out === true,
      cuttings: (b.rows ?? []).reduce((sum, r) => sum + r.set, 0),
      halves: halvesOf(b.rows ?? []),
      plants: new Set((b.rows ?? []).map((r) => r.taxon)).size,
    })),
  );
  protected readonly keptColumns: readonly Column<Kept>[] = [
    {
      key: 'bench',
      head: say.bench(),
      text: (b) => (b.out ? say.takenOut({ name: b.name }) : b.name),
    },
    { key: 'cuttings', head: say.cuttings(), number: true, text: (b) => `${b.cuttings}` },
    { key: 'halves', head: say.halfYears(), text: (b) => b.halves },
    { key: 'plants', head: say.plants(), number: true, text: (b) => `${b.plants}` },
    { key: 'act', head: say.takeOut(), text: () => '', act: true },
  ];

  protected readonly own = computed(() =>
    countsOf(
      this.state(),
      this.state().settings.bench ?? 'notgiven',
      this.state().settings.given ?? 1,
    ),
  );
  protected readonly giveSays = computed(() => `${capital(summary(this.own().rows))}.`);
  protected readonly rowColumns: readonly Column<CountsRow>[] = [
    { key: 'plant', head: say.plant(), text: (r) => NAME_OF.get(r.taxon) ?? r.taxon },
    {
      key: 'way',
      head: say.way(),
      text: (r) => METHOD[r.method].many,
      note: (r) => inSentence(COURSE_WORDS[r.course].name),
    },
    {
      key: 'half',
      head: say.halfYear(),
      text: (r) => halfText(r),
      note: (r) =>
        [r.temperature && AIR[r.temperature], r.damp && AIR[r.damp]].filter(Boolean).join(', '),
    },
    { key: 'batches', head: say.batches(), number: true, text: (r) => `${r.batches}` },
    { key: 'set', head: say.setWord(), number: true, text: (r) => `${r.set}` },
    { key: 'rooted', head: say.rooted(), number: true, text: (r) => `${r.rooted}` },
    { key: 'pups', head: say.pups(), number: true, text: (r) => `${r.pupped}` },
    { key: 'rotted', head: say.rotted(), number: true, text: (r) => `${r.rotted}` },
    { key: 'dried', head: say.dried(), number: true, text: (r) => `${r.dried}` },
    { key: 'lost', head: say.other(), number: true, text: (r) => `${r.lost}` },
    { key: 'waiting', head: say.waiting(), number: true, text: (r) => `${r.waiting}` },
    {
      key: 'roots',
      head: say.rootsCameAt(),
      text: (r) =>
        r.roots.map((b) => say.at({ count: b.count, after: b.after, by: b.by })).join('; '),
    },
  ];

  /** Reads files; what is good waits for a yes, what is not is told. */
  protected async read(files: readonly File[]): Promise<void> {
    const problems: string[] = [];
    for (const file of files) {
      const read =
        file.size > MAX_COUNTS_BYTES ? tooLarge(file.size) : readCounts(await file.text());
      if (!read.ok) {
        problems.push(...read.problems.map((p) => `${file.name}. ${countsProblemText(p)}`));
        continue;
      }
      this.offer(file.name, file.name.replace(/\.[^.]*$/, '').slice(0, 80), read.counts);
    }
    this.problems.set(problems);
  }

  protected async society(): Promise<void> {
    const { societyFiles } = await import('@hypogeon/core/demo');
    for (const { name, counts } of societyFiles(Number(this.today().slice(0, 4)) - 1))
      this.offer(name, name, counts);
  }

  private offer(file: string, name: string, counts: BenchCounts): void {
    const known = this.state().benches.get(counts.bench);
    this.waiting.update((all) => [
      ...all.filter((o) => o.counts.bench !== counts.bench),
      { file, name: known ? nameOf(known) : name, counts },
    ]);
  }

  protected rename(bench: string, name: string): void {
    this.waiting.update((all) => all.map((o) => (o.counts.bench === bench ? { ...o, name } : o)));
  }

  protected leave(bench: string): void {
    this.waiting.update((all) => all.filter((o) => o.counts.bench !== bench));
  }

  protected async take(offered: Offered): Promise<void> {
    // Twice the same changes nothing: the key is the bench.
    if (await this.actions.record(takenIn(offered), say.takenIn()))
      this.leave(offered.counts.bench);
  }

  protected readonly takeAll = oneAtATime(async () => {
    const sound = this.offered().filter((o) => o.doubts.length === 0);
    if (sound.length === 0) return;
    const saved = await this.actions.recordAll(
      sound.map(takenIn),
      say.takenIn2({ soundCount: sound.length }),
    );
    if (saved) sound.forEach((o) => this.leave(o.counts.bench));
  });

  protected setOut(bench: string, out: boolean): void {
    void this.actions.record(
      { kind: 'put', record: 'bench', key: bench, fields: { out } },
      out ? say.takenOut2() : say.takenInAgain(),
    );
  }

  protected readonly give = oneAtATime(async () => {
    const counts = await this.given();
    if (counts)
      saveText(`hypogeon-counts-${counts.edition}.json`, writeCounts(counts), 'application/json');
  });

  protected readonly givePackage = oneAtATime(async () => {
    const counts = await this.given();
    if (!counts) return;
    const files = countsPackage(counts).map(({ name, text }) => [name, strToU8(text)] as const);
    saveBlob(
      `hypogeon-counts-${counts.edition}.zip`,
      new Blob([zipSync(Object.fromEntries(files))], {
        type: 'application/zip',
      }),
    );
  });

  /** A bench has one number for good, and an edition more each time. */
  private async given(): Promise<BenchCounts | null> {
    const { settings } = this.state();
    const bench =
      settings.bench ??
      freshId()
        .toLowerCase()
        .replace(/[^a-z0-9]/g, '');
    const edition = (settings.given ?? 0) + 1;
    const saved = await this.actions.record(
      { kind: 'put', record: 'settings', key: SETTINGS_KEY, fields: { bench, given: edition } },
      '',
    );
    return saved ? countsOf(this.state(), bench, edition) : null;
  }

  private called(bench: string): string {
    const known = this.state().benches.get(bench);
    if (known) return nameOf(known);
    const offered = this.waiting().find((o) => o.counts.bench === bench)?.name;
    return offered ?? say.bench2({ bench: bench.slice(0, 8) });
  }
}

/** Refused before any of it is read. */
const tooLarge = (bytes: number): ReadCounts => ({
  ok: false,
  problems: [{ reason: { is: 'too large', megabytes: bytes / 1e6, most: MAX_COUNTS_BYTES / 1e6 } }],
});

const nameOf = ({ id, name }: BenchRecord): string => name ?? say.bench3({ id: id.slice(0, 8) });

const takenIn = ({ name, counts }: Offered): EntryDraft => ({
  kind: 'put',
  record: 'bench',
  key: counts.bench,
  fields: {
    ...(name.trim() === '' ? {} : { name: name.trim() }),
    edition: counts.edition,
    correlation: counts.correlation,
    rows: [...counts.rows],
    out: false,
  },
});

/** The air where they were cut, as counts tell it. */
const AIR = {
  get warm() {
    return say.warm();
  },
  get cool() {
    return say.cool();
  },
  get damp() {
    return say.damp();
  },
  get dry() {
    return say.dry();
  },
};

const halfText = ({ half, year }: Pick<CountsRow, 'half' | 'year'>): string =>
  half === 'warm' ? say.warmHalf({ year }) : say.coldHalf({ year });

function halvesOf(rows: readonly CountsRow[]): string {
  return [...new Set(rows.map(halfText))].sort().join(', ');
}

/** `214 cuttings of 9 plants in 31 batches, warm 2025` */
function summary(rows: readonly CountsRow[]): string {
  const sum = (of: (row: CountsRow) => number): number => rows.reduce((n, r) => n + of(r), 0);
  const plants = new Set(rows.map((r) => r.taxon)).size;
  const waiting = sum((r) => r.waiting);
  const waits = waiting > 0 ? say.stillWait({ waiting }) : '';
  return say.cuttingsOfPlantIn({
    sum: sum((r) => r.set),
    plants,
    sum2: sum((r) => r.batches),
    halvesOf: halvesOf(rows),
    waits,
  });
}
