import {
  fillTray,
  leaveEntries,
  mergeEntries,
  mergeProblem,
  moveInTray,
  motherEntries,
  rescueEntries,
  singleEntries,
  splitEntries,
  standIn,
  takenBackWith,
  takeOut,
  takingProblem,
} from '../bench';
import { METHODS } from '../botany';
import { COURSES } from '../course';
import { addDays, daysBetween, type Day } from '../days';
import { guessPaper, paperEntries, readPaper, readTable } from '../formats';
import {
  append,
  EMPTY_STATE,
  entriesOf,
  nextStamp,
  MOTHER_TENDINGS,
  OPENINGS,
  OWN_ROOTS,
  PARTINGS,
  REOPENINGS,
  ROOT_STATES,
  SIGNS,
  stillOpen,
  subjectOf,
  type Batch,
  type Counts,
  type Entry,
  type EntryDraft,
  type State,
  type Tray,
} from '../journal';
import { handOver, setAside } from '../order';
import { randomFrom } from '../stats';
import { batchesFor } from '../trial';
import { UNROOTED_WATERS } from '../water';
import { WOUND_SCHOOLS } from '../wound';

/*
 * Walks over the app's own deeds: what its screens record, in any order, with days gone back to and devices in turn.
 * Whatever such a walk comes to must leave as a file and come back.
 */

export interface Walk {
  readonly state: State;
  readonly entries: readonly Entry[];
  /** The clock after the last deed, ms since 1970. */
  readonly nowMs: number;
}

const START: Day = '2026-02-01';

/** A walk of so many deeds; the same seed walks the same. */
export function walkDeeds(seed: number, steps: number): Walk {
  const hand = new Hand(seed);
  for (let i = 0; i < steps; i++) hand.next();
  return { state: hand.state, entries: entriesOf(hand.state), nowMs: hand.now };
}

class Hand {
  state: State = EMPTY_STATE;
  now = Date.parse(`${START}T08:00:00Z`);
  private readonly random: () => number;
  private ids = 0;

  constructor(seed: number) {
    this.random = randomFrom(seed);
    this.record({
      kind: 'put',
      record: 'space',
      key: 'bench',
      fields: { name: 'Bench', tempC: 21, rh: 0.5 },
    });
    this.plan();
  }

  next(): void {
    this.now += this.upTo(3) * 43_200_000 + this.upTo(90_000);
    const deeds = [
      () => this.plan(),
      () => this.cut(),
      () => this.stick(),
      () => this.water(),
      () => this.count(),
      () => this.count(),
      () => this.countPlaces(),
      () => this.pot(),
      () => this.split(),
      () => this.split(),
      () => this.merge(),
      () => this.merge(),
      () => this.rescue(),
      () => this.single(),
      () => this.sell(),
      () => this.weigh(),
      () => this.move(),
      () => this.tray(),
      () => this.shuffle(),
      () => this.order(),
      () => this.trial(),
      () => this.paper(),
      () => this.air(),
      () => this.edit(),
      () => this.mother(),
      () => this.tell(),
      () => this.tellMother(),
      () => this.retract(),
      () => this.retract(),
    ];
    this.pick(deeds)!();
  }

  // What a screen hands in.

  private plan(): void {
    const id = this.id();
    const count = this.upTo(40) === 0 ? 10_000 : 1 + this.upTo(24);
    this.record({
      kind: 'put',
      record: 'batch',
      key: id,
      fields: {
        taxon: this.pick(['echeveria-elegans', 'crassula-ovata'])!,
        method: 'crown',
        count,
        cutOn: this.day(),
        school: this.pick(WOUND_SCHOOLS)!,
        callusAt: this.pick(['rack', 'medium'] as const)!,
        space: 'bench',
        ...(this.upTo(2) === 0 ? { columns: 1 + this.upTo(9), place: '🌵 '.repeat(26) } : {}),
      },
    });
    if (this.upTo(4) > 0) this.record({ kind: 'cut', batch: id });
  }

  private cut(): void {
    this.about((batch) => ({ kind: 'cut', batch: batch.id, day: this.earlier(batch) }));
  }

  private stick(): void {
    this.about((batch) => ({
      kind: 'stuck',
      batch: batch.id,
      day: this.earlier(batch),
      ...(this.upTo(3) === 0 ? { count: 1 + this.upTo(5), wet: true } : {}),
    }));
  }

  /** What may be told at a cut, a setting, a look and a potting. */
  private tell(): void {
    this.about((batch) => {
      const of = { batch: batch.id, day: this.earlier(batch) };
      return this.pick<EntryDraft>([
        { kind: 'reopened', ...of, why: this.pick(REOPENINGS)!, widthMm: 1 + this.upTo(30) },
        {
          kind: 'inspected',
          ...of,
          seen: 'fine',
          signs: [this.pick(SIGNS)!],
          roots: 'few',
          rootMm: 1 + this.upTo(60),
        },
        {
          kind: 'potted',
          ...of,
          count: batch.here.rooted,
          container: 'pot-7',
          mix: 'two-to-one',
          space: 'bench',
          roots: this.pick(ROOT_STATES)!,
        },
        {
          kind: 'put',
          record: 'batch',
          key: batch.id,
          fields: {
            course: this.pick(COURSES)!,
            dryDays: this.upTo(14),
            unrootedWater: this.pick(UNROOTED_WATERS)!,
            opening: this.pick(OPENINGS)!,
            ownRoots: this.pick(OWN_ROOTS)!,
          },
        },
      ])!;
    });
  }

  private tellMother(): void {
    const mother = this.pick([...this.state.mothers.keys()]);
    if (mother === undefined) return;
    this.record(
      this.pick<EntryDraft>([
        { kind: 'repotted', mother, roots: this.pick(ROOT_STATES)!, container: 'pot-7' },
        { kind: 'divided', mother, pieces: 2 + this.upTo(5), parted: true },
        { kind: 'mothered', mother, what: this.pick(MOTHER_TENDINGS)! },
      ])!,
    );
  }

  private water(): void {
    this.about((batch) => ({
      kind: 'watered',
      batch: batch.id,
      day: this.earlier(batch),
      how: this.pick(['poured', 'misted', 'soaked'] as const)!,
      ml: 1 + this.upTo(900),
    }));
  }

  private count(): void {
    const batch = this.batch();
    if (!batch) return;
    const counts: Record<keyof Counts, number> = { ...batch.counts };
    let open = stillOpen(batch, counts);
    for (const outcome of ['rooted', 'pupped', 'rotted', 'dried', 'lost'] as const) {
      const more = Math.min(open, this.upTo(4) === 0 ? open : this.upTo(5));
      counts[outcome] += more;
      open -= more;
    }
    this.record({ kind: 'tally', batch: batch.id, day: this.earlier(batch), counts });
  }

  private countPlaces(): void {
    const batch = this.batch();
    const here = batch?.cuttings.filter((c) => !c.left) ?? [];
    if (!batch || here.length === 0) return;
    const places = Object.fromEntries(
      Array.from({ length: 1 + this.upTo(4) }, () => [
        String(this.pick(here)!.place),
        this.pick(['rooted', 'rotted', 'waiting', 'pupped'] as const)!,
      ]),
    );
    this.record({ kind: 'tally', batch: batch.id, places });
  }

  private pot(): void {
    this.about((batch) => ({
      kind: 'potted',
      batch: batch.id,
      count: batch.here.rooted + batch.here.pupped,
    }));
  }

  private split(): void {
    const batch = this.batch();
    const which = batch && this.which(batch);
    if (batch && which) this.recordAll(splitEntries(batch, which, this.id(), this.today()));
  }

  private merge(): void {
    const from = this.batch();
    const into = this.batch();
    if (from && into && mergeProblem(this.state, from, into) === '')
      this.recordAll(mergeEntries(from, into, this.today()));
  }

  private rescue(): void {
    const batch = this.batch();
    const which = batch && this.which(batch);
    if (batch && which)
      this.recordAll(
        rescueEntries(this.state, batch, which, this.id(), this.today(), {
          school: 'long-cure',
          cause: this.pick(['rot', 'sealed'] as const)!,
        }),
      );
  }

  private single(): void {
    const batch = this.batch();
    const alive = batch ? batch.here.rooted + batch.here.pupped : 0;
    if (!batch || alive === 0) return;
    const kind = batch.here.rooted > 0 ? 'rooted' : 'pupped';
    const ids = [this.id(), this.id()].slice(0, batch.here[kind]);
    this.recordAll(
      singleEntries(this.state, batch, { taken: { [kind]: ids.length } }, ids, this.today()),
    );
  }

  private sell(): void {
    const batch = this.batch();
    const which = batch && this.which(batch);
    const why = this.pick(PARTINGS.filter((p) => p === 'sold' || p === 'given'))!;
    if (batch && which)
      this.recordAll(leaveEntries(batch, which, this.today(), why, { text: 'at the gate' }));
  }

  private weigh(): void {
    this.about((batch) => ({ kind: 'weighed', batch: batch.id, grams: 100 + this.upTo(900) }));
  }

  private move(): void {
    this.about((batch) => ({ kind: 'moved', batch: batch.id, space: 'bench', place: 'Tray B' }));
  }

  private tray(): void {
    const tray: Tray = { id: this.id(), name: 'Tray', kind: 'tray', rows: 4, columns: 6 };
    const { id: key, ...fields } = tray;
    this.record({ kind: 'put', record: 'tray', key, fields });
    const batch = this.batch();
    if (!batch) return;
    if (this.upTo(4) === 0) return this.recordAll(standIn(tray, batch, this.today()));
    const laid = fillTray(this.state, tray, batch, this.upTo(8), 'rows', this.today());
    if (laid.ok) this.recordAll(laid.entries);
    else if (this.upTo(2) === 0) this.recordAll(takeOut(this.state, batch));
  }

  private shuffle(): void {
    const tray = this.pick([...this.state.trays.values()]);
    if (tray) this.recordAll(moveInTray(this.state, tray, this.upTo(24), this.upTo(24)));
  }

  private order(): void {
    const id = this.id();
    const fields = { who: 'R.', taxon: 'echeveria-elegans', count: 1 + this.upTo(6) };
    this.record({
      kind: 'put',
      record: 'order',
      key: id,
      fields: { ...fields, from: [...setAside(this.state, { id, ...fields })] },
    });
    if (this.upTo(2) === 0)
      this.recordAll(handOver(this.state, this.state.orders.get(id)!, this.today(), 'sold'));
  }

  private trial(): void {
    const id = this.id();
    const fields = {
      name: 'Trial',
      factor: 'aid',
      arms: [
        { name: 'none', value: 'none' },
        { name: 'cinnamon', value: 'cinnamon' },
      ],
      taxon: 'echeveria-elegans',
      method: 'crown',
      space: 'bench',
      each: 2 + this.upTo(12),
      columns: 6,
      seed: this.upTo(1000),
      cutOn: this.today(),
    } as const;
    this.record({
      kind: 'put',
      record: 'trial',
      key: id,
      fields: { ...fields, arms: [...fields.arms] },
    });
    for (const batch of batchesFor(this.state, this.state.trials.get(id)!) ?? [])
      this.record({ kind: 'put', record: 'batch', key: this.id(), fields: batch });
  }

  private paper(): void {
    const name = this.pick(['Echeveria elegans', 'constructor', '__proto__', 'E'.repeat(160)])!;
    const table = readTable(
      `plant,method,date,number,rooted,mother\n${name},leaf,2025-05-0${1 + this.upTo(8)},${1 + this.upTo(30)},1,${'M'.repeat(1 + this.upTo(130))}\n`,
    )!;
    const rows = readPaper(
      this.state,
      table,
      { ...guessPaper(table), like: { ['constructor']: 'echeveria-elegans' } },
      this.today(),
    );
    this.recordAll(paperEntries(this.state, rows, 'bench', () => this.id()));
  }

  private air(): void {
    this.record({
      kind: 'series',
      space: 'bench',
      source: 'logger',
      start: `${this.today()}T08:00`,
      offsets: [0, 10],
      columns: { tempC: [20 + this.upTo(9), null], rh: [0.5, 0.52] },
    });
  }

  private edit(): void {
    this.about((batch) => ({
      kind: 'put',
      record: 'batch',
      key: batch.id,
      fields: this.pick([
        { count: 1 + this.upTo(30) },
        { place: null },
        { cutOn: this.day() },
        { rootedInWater: true },
        { excluded: 'broken by the cat' },
      ])!,
    }));
  }

  private mother(): void {
    const batch = this.batch();
    if (!batch) return;
    const id = this.id();
    this.recordAll([
      {
        kind: 'put',
        record: 'mother',
        key: id,
        fields: {
          name: 'M',
          taxon: batch.taxon,
          has: { [this.pick(METHODS)!]: this.upTo(40) },
          fromBatch: batch.id,
        },
      },
      ...motherEntries(batch, id, this.today()),
    ]);
  }

  private retract(): void {
    const batch = this.batch();
    const entry = batch && this.pick(batch.entries);
    if (!batch || !entry) return;
    const taken = takenBackWith(this.state, entry);
    if (taken.ok)
      this.recordAll(
        taken.entries.map((e) => ({ kind: 'retract', entry: e.id, subject: subjectOf(e) })),
      );
  }

  // The hand itself.

  private record(draft: EntryDraft): void {
    const entry = {
      ...draft,
      id: this.id(),
      at: nextStamp(this.state.lastStamp, this.now),
      day: draft.day ?? this.today(),
      by: this.upTo(3) === 0 ? 'laptop' : 'phone',
    } as Entry;
    this.state = append(this.state, entry);
  }

  private recordAll(drafts: readonly EntryDraft[]): void {
    for (const draft of drafts) this.record(draft);
  }

  private about(deed: (batch: Batch) => EntryDraft): void {
    const batch = this.batch();
    if (batch) this.record(deed(batch));
  }

  private which(batch: Batch): { readonly taken: Record<string, number> } | null {
    const kind = this.pick(
      (['waiting', 'rooted', 'pupped'] as const).filter((k) => batch.here[k] > 0),
    );
    if (!kind) return null;
    const which = { taken: { [kind]: 1 + this.upTo(batch.here[kind]) } };
    return takingProblem(batch, which) === '' ? which : null;
  }

  private batch(): Batch | undefined {
    return this.pick([...this.state.batches.values()]);
  }

  private day(): Day {
    return addDays(this.today(), -this.upTo(4));
  }

  private earlier(batch: Batch): Day {
    const since = Math.max(0, daysBetween(batch.cutOn, this.today()));
    return addDays(this.today(), -this.upTo(Math.min(since, 5) + 1));
  }

  private today(): Day {
    return new Date(this.now).toISOString().slice(0, 10);
  }

  /** As long as an id may be, now and then. */
  private id(): string {
    const id = `i${this.ids++}`;
    return this.upTo(20) === 0 ? id.padEnd(80, 'x') : id;
  }

  private pick<T>(from: readonly T[]): T | undefined {
    return from[this.upTo(from.length)];
  }

  /** A whole number from 0, below `n`; 0 where there is nothing to choose. */
  private upTo(n: number): number {
    return Math.floor(this.random() * n);
  }
}
