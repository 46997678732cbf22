import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Router, RouterLink } from '@angular/router';
import {
  batchCode,
  batchTitle,
  clockOf,
  containersOf,
  cutTogether,
  gateShutOn,
  isLaid,
  mixesOf,
  pieceOf,
  placeOf,
  plantOf,
  partsOf,
  takenBackWith,
} from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { isDay } from '@hypogeon/core/days';
import {
  OWN_ROOTS,
  ROOT_STATES,
  SIGNS,
  type Batch,
  type BatchEntry,
  type BatchFields,
  type Outcome,
  type Sign,
} from '@hypogeon/core/journal';
import { emergence } from '@hypogeon/core/ledger';
import { atRiskOf, careOf, neighboursAtRisk, unsetOf, type Neighbour } from '@hypogeon/core/care';
import { LINK_NAME, SIGN_NAME, TASK_NAME } from '@hypogeon/words';
import { readLength } from '@hypogeon/core/units';
import { closureOn, WOUND_SCHOOL } from '@hypogeon/core/wound';
import { firstValueFrom } from 'rxjs';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { EmergencePlate } from '../marks/emergence-plate';
import { LifeStrip } from '../marks/life-strip';
import { FRESH, type MarkState } from '../marks/mark-state';
import { TrayMap, type PlacesCounted } from '../marks/tray-map';
import { BreachDialog, type BreachQuestion } from './breach-dialog';
import { entryWords } from './entry-words';
import { Field, FieldControl } from '../ui/field';

type Panel = 'set' | 'inspect' | 'note' | 'move' | 'pot' | 'change' | 'end';

/** What pieces were potted into, as the form has it. */
interface PottedInto {
  readonly container: string;
  readonly mix: string;
  readonly space: string;
  readonly roots: string;
  readonly wet: boolean;
}

@Component({
  selector: 'hy-batch-page',
  imports: [Field, FieldControl, RouterLink, CuttingMark, LifeStrip, TrayMap, EmergencePlate],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './batch-page.html',
  styleUrl: './batch-page.scss',
})
export class BatchPage {
  private readonly actions = inject(Actions);
  private readonly dialog = inject(MatDialog);
  private readonly router = inject(Router);
  private readonly journal = inject(Journal);
  protected readonly words = inject(Words);
  protected readonly state = this.journal.state;
  protected readonly today = inject(Today).day;

  private readonly verdicts = inject(Water).verdicts;

  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly view = computed(() => {
    const batch = this.batch();
    if (!batch) return null;
    const state = this.state();
    const clock = clockOf(state, batch);
    const closure = clock ? closureOn(clock, this.today()) : 1;
    const plant = plantOf(state, batch.taxon);
    return {
      batch,
      clock,
      closure,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: pieceOf(state, batch),
      plant,
      together: cutTogether(state, batch).map((b) => ({ id: b.id, name: batchTitle(state, b) })),
      lineage: partsOf(state, batch),
      putOff: [...batch.putOff]
        .filter(([, put]) => put.until === undefined || put.until > this.today())
        .map(([task, put]) => ({ name: TASK_NAME[task], ...put })),
      mother: batch.mother ? state.mothers.get(batch.mother) : undefined,
      place: placeOf(state, batch),
      space: state.spaces.get(batch.space)?.name ?? 'a plain room',
      school: WOUND_SCHOOL[batch.school],
      method: METHOD[batch.method],
      near: neighboursAtRisk(state, batch, this.today()).flatMap((n) => this.neighbour(n.batch, n)),
      atRisk: atRiskOf(state, batch, this.today()).flatMap((n) => this.neighbour(n.batch, n)),
      unset: unsetOf(state, batch),
      care: careOf(state, batch, this.today(), this.verdicts().get(batch.id)),
      plate: emergence(batch, batch.ended ?? this.today()),
      mark: this.markFor(closure),
      log: batch.entries.map((entry) => ({ entry, text: entryWords(state, entry) })).toReversed(),
    };
  });

  /** The day the next entries speak of; back-dated by hand. */
  protected readonly day = signal<string | null>(null);
  protected readonly on = computed(() => this.day() ?? this.today());
  protected readonly dayProblem = computed(() => {
    const day = this.on();
    const batch = this.batch();
    if (!isDay(day)) return 'That is not a day of the calendar.';
    if (day > this.today()) return 'That day is still to come. Entries tell what was.';
    if (batch?.cut && day < batch.cut)
      return `It was cut on ${this.words.day(batch.cut)}. Choose that day or a later one.`;
    return '';
  });

  protected readonly panel = signal<Panel | null>(null);
  protected readonly problem = signal('');
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));
  protected readonly signs = SIGNS.map((id) => ({ id, name: SIGN_NAME[id] }));
  protected readonly lookSigns = signal<ReadonlySet<Sign>>(new Set());
  protected readonly lookRoots = signal('');
  protected readonly lookRootMm = signal('');
  protected readonly spaces = computed(() => [...this.state().spaces.values()]);
  protected readonly schools = Object.values(WOUND_SCHOOL);

  /** The loud colour goes to what is to be done now. */
  protected look(...kinds: readonly string[]): string {
    return this.view()?.care.asks.some((a) => kinds.includes(a.kind)) ? 'act' : 'plain';
  }

  protected toggle(panel: Panel): void {
    this.problem.set('');
    this.panel.update((open) => (open === panel ? null : panel));
  }

  protected cut(): void {
    this.put({ kind: 'cut', batch: this.id() }, 'Cut');
  }

  protected stuck(): void {
    this.put({ kind: 'stuck', batch: this.id() }, 'Set');
  }

  /** Some of them, into a wet mix, or with the cut torn open again: each tells on. */
  protected setSome(text: string, wet: boolean, torn: boolean): void {
    const batch = this.batch();
    if (!batch || this.dayProblem()) return;
    const most = unsetOf(this.state(), batch);
    const count = Number(text);
    if (!Number.isInteger(count) || count < 1 || count > most)
      return this.problem.set(
        most === 0 ? 'All of them are set already.' : `How many? A whole number from 1 to ${most}.`,
      );
    const day = this.on();
    void this.actions.recordAll(
      [
        {
          kind: 'stuck',
          batch: batch.id,
          day,
          ...(count < most ? { count } : {}),
          ...(wet ? { wet } : {}),
        },
        ...(torn ? [{ kind: 'reopened', batch: batch.id, day, why: 'torn' } as const] : []),
      ],
      count < most ? `${count} set` : 'Set',
    );
    this.panel.set(null);
    this.problem.set('');
  }

  protected tickSign(sign: Sign): void {
    this.lookSigns.update((signs) => {
      const next = new Set(signs);
      if (!next.delete(sign)) next.add(sign);
      return next;
    });
  }

  protected async watered(): Promise<void> {
    const view = this.view();
    if (!view || this.dayProblem()) return;
    const { batch, title } = view;
    const how = isLaid(this.state(), batch) ? 'misted' : 'poured';
    const entry = { kind: 'watered', batch: batch.id, how, day: this.on() } as const;
    const shut = gateShutOn(this.state(), batch, this.on());
    if (shut === null) {
      await this.actions.record(entry, 'Watered');
      return;
    }
    const opens = shut.opens === null ? 'for now' : `until ${this.words.near(shut.opens)}`;
    const data: BreachQuestion = { title, opens };
    const dialog = this.dialog.open<BreachDialog, BreachQuestion, string>(BreachDialog, {
      data,
      maxWidth: '34rem',
    });
    const breach = await firstValueFrom(dialog.afterClosed());
    if (breach)
      await this.actions.record({ ...entry, breach }, 'Watered, and the breach remembered');
  }

  protected inspected(seen: 'firm' | 'tacky' | 'fine' | 'wrinkled' | 'soft', text: string): void {
    const long = this.lookRootMm().trim();
    const read = long === '' ? null : readLength(long, this.words.lengthUnit());
    if (read?.ok === false) return this.problem.set(read.problem);
    const roots = OWN_ROOTS.find((r) => r === this.lookRoots());
    const about = {
      ...(text.trim() ? { text: text.trim() } : {}),
      ...(this.lookSigns().size > 0 ? { signs: [...this.lookSigns()] } : {}),
      ...(roots === undefined ? {} : { roots }),
      ...(read === null ? {} : { rootMm: read.mm }),
    };
    this.put({ kind: 'inspected', batch: this.id(), seen, ...about }, 'Looked');
    this.lookSigns.set(new Set());
    this.lookRoots.set('');
    this.lookRootMm.set('');
  }

  protected keepNote(text: string): void {
    if (!text.trim()) return this.problem.set('Write something first.');
    this.put({ kind: 'note', batch: this.id(), text: text.trim() }, 'Noted');
  }

  protected move(space: string, place: string): void {
    const to = place.trim() ? { place: place.trim() } : {};
    this.put({ kind: 'moved', batch: this.id(), space, ...to }, 'Moved');
  }

  protected pot(text: string, told: PottedInto): void {
    const batch = this.batch();
    if (!batch) return;
    const left = batch.here.rooted + batch.here.pupped - batch.here.potted;
    const count = Number(text);
    if (!Number.isInteger(count) || count < 1)
      return this.problem.set('How many? A whole number of 1 or more.');
    if (count > left)
      return this.problem.set(
        left === 0
          ? 'None with roots are left to pot. Count them first.'
          : `Only ${left} with roots are left to pot. Count again if there are more.`,
      );
    const roots = ROOT_STATES.find((r) => r === told.roots);
    const into = {
      ...(told.container ? { container: told.container } : {}),
      ...(told.mix ? { mix: told.mix } : {}),
      ...(told.space && told.space !== batch.space ? { space: told.space } : {}),
      ...(roots && roots !== 'whole' ? { roots } : {}),
      ...(told.wet ? { wet: true } : {}),
    };
    this.put({ kind: 'potted', batch: batch.id, count, ...into }, `Potted on ${count}`);
  }

  protected end(text: string): void {
    const why = text.trim() ? { text: text.trim() } : {};
    this.put({ kind: 'ended', batch: this.id(), ...why }, 'Ended');
  }

  protected change(count: string, width: string, school: string, place: string): void {
    const batch = this.batch();
    if (!batch) return;
    const n = Number(count);
    const told = batch.count - batch.waiting;
    if (!Number.isInteger(n) || n < 1 || n > 10_000)
      return this.problem.set('How many cuttings? A whole number from 1 to 10,000.');
    if (n < told)
      return this.problem.set(`${told} of them have an outcome already, so it cannot be ${n}.`);
    const read = width.trim() === '' ? null : readLength(width, this.words.lengthUnit());
    if (read?.ok === false) return this.problem.set(read.problem);
    const known = this.schools.find((s) => s.id === school);
    const shown = batch.widthMm === undefined ? '' : this.words.length(batch.widthMm);
    const fields: BatchFields = {
      ...(n === batch.count ? {} : { count: batch.begunWith + n - batch.count }),
      // What is shown is rounded: only what was typed anew is stored.
      ...(read?.ok && width.trim() !== shown ? { widthMm: read.mm } : {}),
      ...(known && known.id !== batch.school ? { school: known.id } : {}),
      ...(place.trim() === (batch.place ?? '') ? {} : { place: place.trim() || null }),
    };
    this.panel.set(null);
    if (Object.keys(fields).length > 0)
      void this.actions.record({ kind: 'put', record: 'batch', key: batch.id, fields }, 'Changed');
  }

  protected places({ places, outcome }: PlacesCounted): void {
    const told = Object.fromEntries(
      places.map((place): [string, Outcome] => [`${place}`, outcome]),
    );
    this.put(
      { kind: 'tally', batch: this.id(), places: told },
      places.length === 1 ? 'Place told' : `${places.length} places told`,
    );
  }

  protected title(batch: Batch): string {
    return batchTitle(this.state(), batch);
  }

  protected codeOf(batch: Batch): string {
    return batchCode(this.state(), batch);
  }

  protected takeBack(entry: BatchEntry): void {
    const back = takenBackWith(this.state(), entry);
    if (!back.ok) return this.actions.say(back.problem);
    void this.actions.retract(...back.entries);
  }

  protected setDay(value: string): void {
    this.day.set(value || null);
  }

  protected count(): void {
    void this.router.navigate(['/bench', this.id(), 'count']);
  }

  private neighbour(id: string, { link, day }: Pick<Neighbour, 'link' | 'day'>) {
    const state = this.state();
    const batch = state.batches.get(id);
    return batch ? [{ id, name: batchTitle(state, batch), link: LINK_NAME[link], day }] : [];
  }

  private put(draft: Parameters<Actions['record']>[0], said: string): void {
    if (this.dayProblem()) return;
    void this.actions.record({ ...draft, day: this.on() }, said);
    this.panel.set(null);
    this.problem.set('');
  }

  private markFor(closure: number): MarkState {
    const counts = this.batch()?.counts;
    const alive = counts ? counts.rooted + counts.pupped : 0;
    return { ...FRESH, closure, roots: alive > 0 ? 2 : 0, pup: (counts?.pupped ?? 0) > 0 };
  }
}
