import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { mdiDotsHorizontal } from '@mdi/js';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { batchCode, batchTitle, drawnOf } from '@hypogeon/core/bench';
import { daysBetween, isDay } from '@hypogeon/core/days';
import {
  contradictions,
  sumCounts,
  type Batch,
  type Counts,
  countsSchema,
} from '@hypogeon/core/journal';
import { careOf } from '@hypogeon/core/care';
import { changesSince, walkStops } from '@hypogeon/core/walk';
import * as z from 'zod';
import { say } from '@hypogeon/messages/walk-page';
import { afterStep, outcomeOfKey, recounts, TallyKeys, type CountStep } from '../bench/tally-keys';
import { Actions } from '../data/actions';
import { Drafts } from '../data/drafts';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { WhyChips } from '../forms/why-chips';
import { Ago } from '../ui/ago';
import { CuttingMark } from '../marks/cutting-mark';
import { Confirm } from '../ui/confirm';
import { markOfBatch } from '../marks/mark-state';
import { AskTaps } from './ask-taps';
import { PostponeForm } from './postpone-form';
import { WalkEnd } from './walk-end';

/** A walk that is under way: kept, so that a ringing phone does not end it. */
interface Walk {
  readonly begun: string;
  /** The day its entries speak of, where that is not today. */
  readonly day: string | null;
  /** The batch it has come to; empty at the end. */
  readonly at: string;
  /** Batches passed, and those of them passed without a word. */
  readonly passed: readonly string[];
  readonly skipped: readonly string[];
  /** The count under way, and why the last one was wrong. */
  readonly counts: Counts | null;
  readonly recount: string;
  /** Where the journal stood when the walk began: what it changed is told at its end. */
  readonly since: string | null;
}

const walkSchema: z.ZodType<Walk> = z.object({
  begun: z.string(),
  day: z.string().nullable(),
  at: z.string(),
  passed: z.array(z.string()),
  skipped: z.array(z.string()),
  counts: countsSchema.nullable(),
  recount: z.string(),
  since: z.string().nullable(),
});

/** One tray at a time, in bench order, with keys for a thumb. */
@Component({
  selector: 'hy-walk-page',
  imports: [
    Ago,
    AskTaps,
    CuttingMark,
    DayField,
    MatButton,
    MatIconButton,
    MatProgressBar,
    PostponeForm,
    RouterLink,
    TallyKeys,
    WalkEnd,
    WhyChips,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './walk-page.html',
  styleUrl: './walk-page.scss',
})
export class WalkPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly confirm = inject(Confirm);
  private readonly journal = inject(Journal);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  private readonly verdicts = inject(Water).verdicts;
  private readonly keeper = inject(Drafts).keeper('walk', walkSchema);

  private readonly state = this.journal.state;
  protected readonly walk = signal<Walk | null>(this.kept());
  protected readonly resumed = signal(this.walk() !== null);
  protected readonly left = this.keeper.keptAt();

  protected readonly on = computed(() => this.walk()?.day ?? this.today());
  protected readonly dayProblem = computed(() => {
    const day = this.on();
    if (!isDay(day)) return say.thatIsNotA();
    return day > this.today() ? say.thatDayIsStill() : '';
  });

  /** Every batch to stop at, with the tray it stands in. */
  private readonly steps = computed(() =>
    walkStops(this.state(), this.today(), this.verdicts()).flatMap((stop, n) =>
      stop.batches.map((batch) => ({ stop, stopNumber: n + 1, batch })),
    ),
  );
  protected readonly stops = computed(() => this.steps().at(-1)?.stopNumber ?? 0);
  private readonly index = computed(() => {
    const walk = this.walk();
    if (!walk || walk.at === '') return -1;
    return this.steps().findIndex((s) => s.batch.id === walk.at);
  });

  protected readonly step = computed(() => {
    const found = this.steps()[this.index()];
    if (!found) return null;
    const { batch, stop } = found;
    const state = this.state();
    const { asks, leave } = careOf(state, batch, this.today(), this.verdicts().get(batch.id));
    const last = batch.tallies.at(-1);
    return {
      ...found,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: drawnOf(state, batch),
      mark: markOfBatch({ batch, closure: (asks[0] ?? leave[0])?.closure ?? 1 }),
      pups: asks.some((a) => a.kind === 'pups'),
      mates: stop.batches.map((b) => ({ id: b.id, title: batchTitle(state, b) })),
      leave,
      tasks: asks,
      /** Looks are spaced: where none is due the keys wait behind a tap. */
      countNow: asks.some((a) => a.band === 'look' && COUNTED.has(a.kind)),
      last: last ? say.ago({ days: this.words.days(daysBetween(last, this.today())) }) : null,
      counts: this.walk()?.counts ?? batch.counts,
    };
  });

  protected readonly counting = signal(false);
  protected readonly putting = signal('');
  protected readonly changed = computed(() => this.walk()?.counts != null);
  protected readonly problems = computed(() => {
    const step = this.step();
    return step && this.changed()
      ? contradictions(step.batch.counts, step.counts, step.batch.count)
      : [];
  });
  protected readonly tooMany = computed(() => {
    const step = this.step();
    return step !== null && sumCounts(step.counts) > step.batch.count;
  });
  protected readonly blocked = computed(
    () =>
      this.tooMany() ||
      this.dayProblem() !== '' ||
      (this.problems().length > 0 && (this.walk()?.recount ?? '').trim() === ''),
  );

  protected readonly end = computed(() => {
    const walk = this.walk();
    if (walk?.at !== '') return null;
    const last = this.state().walks.at(-1);
    return {
      passed: walk.passed.length,
      skipped: walk.skipped.length,
      changes: changesSince(this.state(), walk.since),
      lastRound: last?.day ?? null,
      sinceLast: last ? changesSince(this.state(), last.at) : null,
    };
  });

  constructor() {
    // A batch that left the bench meanwhile must not stop the walk.
    effect(() => {
      const walk = this.walk();
      if (walk && walk.at !== '' && this.index() < 0)
        this.keep({ ...walk, at: this.nextFrom(walk) });
    });
  }

  protected begin(): void {
    this.resumed.set(false);
    this.keep({
      begun: this.today(),
      day: null,
      at: this.steps()[0]?.batch.id ?? '',
      passed: [],
      skipped: [],
      counts: null,
      recount: '',
      since: this.state().lastStamp,
    });
  }

  protected readonly recounts = recounts();
  protected readonly dots = mdiDotsHorizontal;

  protected async startOver(): Promise<void> {
    const sure = await this.confirm.ask({
      title: say.startTheWalkOver2(),
      text: say.whatWasRecordedStays(),
      yes: say.startOver(),
    });
    if (!sure) return;
    this.keeper.drop();
    this.begin();
  }

  protected setDay(day: string): void {
    this.change({ day: day === this.today() || day === '' ? null : day });
  }

  /** Taps come faster than the screen is drawn: each goes from the count as it stands. */
  protected stepBy(step: CountStep): void {
    const batch = this.step()?.batch;
    if (!batch?.cut) return;
    const next = afterStep(batch, this.walk()?.counts ?? batch.counts, step);
    if (next) this.setCounts(next);
  }

  protected setCounts(counts: Counts): void {
    this.change({ counts });
  }

  protected setRecount(recount: string): void {
    this.change({ recount });
  }

  /** Nothing new is a count too: it says until when nothing had come. */
  protected same(): void {
    const step = this.step();
    if (!step || this.blocked()) return;
    this.change({ counts: step.batch.counts });
    void this.next();
  }

  protected async next(): Promise<void> {
    const walk = this.walk();
    const step = this.step();
    if (!walk || !step || this.blocked()) return;
    const { batch } = step;
    const recount = this.problems().length > 0 ? { recount: walk.recount.trim() } : {};
    // The screen goes on at once; the store confirms behind it and would be loud if it could not.
    if (walk.counts) {
      const taken = await this.actions.record(
        { kind: 'tally', batch: batch.id, day: this.on(), counts: walk.counts, ...recount },
        say.counted2({ title: step.title }),
      );
      if (!taken) return;
    }
    this.pass(walk, batch.id, walk.counts === null && !this.touched(walk, batch));
  }

  protected back(): void {
    const before = this.steps()[(this.index() < 0 ? this.steps().length : this.index()) - 1];
    if (before) this.goTo(before.batch.id);
  }

  protected goTo(batch: string): void {
    this.change({ at: batch, counts: null, recount: '' });
    this.counting.set(false);
  }

  protected async finish(): Promise<void> {
    const walk = this.walk();
    if (!walk) return;
    const taken = await this.actions.record(
      { kind: 'walked', day: this.on(), stops: walk.passed.length, skipped: walk.skipped.length },
      say.theWalkIsDone(),
    );
    if (!taken) return;
    this.keeper.drop();
    this.resumed.set(false);
    this.walk.set(null);
  }

  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey || !this.step()) return;
    if (['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return;
    const outcome = outcomeOfKey(event);
    if (outcome) {
      event.preventDefault();
      this.counting.set(true);
      this.stepBy({ outcome, by: event.shiftKey ? -1 : 1 });
    } else if (event.key === '6') {
      event.preventDefault();
      this.same();
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      this.back();
    } else if (event.key === 'Enter' && target.tagName !== 'BUTTON' && target.tagName !== 'A') {
      event.preventDefault();
      void this.next();
    }
  }

  /** Something was written of it on this walk: then it was not skipped. */
  private touched({ since }: Walk, batch: Batch): boolean {
    return (this.state().log.get(`batch/${batch.id}`) ?? []).some(
      (e) => since !== null && e.at > since,
    );
  }

  private pass(walk: Walk, batch: string, skipped: boolean): void {
    const without = walk.skipped.filter((id) => id !== batch);
    this.keep({
      ...walk,
      passed: walk.passed.includes(batch) ? walk.passed : [...walk.passed, batch],
      skipped: skipped ? [...without, batch] : without,
      at: this.steps()[this.index() + 1]?.batch.id ?? '',
      counts: null,
      recount: '',
    });
    this.counting.set(false);
    this.putting.set('');
  }

  private nextFrom({ passed }: Walk): string {
    return this.steps().find((s) => !passed.includes(s.batch.id))?.batch.id ?? '';
  }

  private change(part: Partial<Walk>): void {
    const walk = this.walk();
    if (walk) this.keep({ ...walk, ...part });
  }

  /** At once, not with the next drawing: the tab may be closed the moment after a tap. */
  private keep(walk: Walk): void {
    this.walk.set(walk);
    this.keeper.keep(walk);
  }

  /** A walk of another day is over, whatever became of it: its entries are in the journal. */
  private kept(): Walk | null {
    const walk = this.keeper.read();
    return walk?.begun === this.today() ? walk : null;
  }
}

const COUNTED: ReadonlySet<string> = new Set(['roots', 'pups', 'overdue']);
