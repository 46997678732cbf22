import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchTitle, drawnOf, figuresOf } from '@hypogeon/core/bench';
import { isDay } from '@hypogeon/core/days';
import {
  contradictions,
  NO_COUNTS,
  sumCounts,
  type Counts,
  countsSchema,
} from '@hypogeon/core/journal';
import * as z from 'zod';
import { say } from '@hypogeon/messages/tally-page';
import { Actions } from '../data/actions';
import { Drafts } from '../data/drafts';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { DayField } from '../forms/day-field';
import { WhyChips } from '../forms/why-chips';
import { Ago } from '../ui/ago';
import { afterStep, outcomeOfKey, recounts, TallyKeys, type CountStep } from './tally-keys';
import { NO_YOUNG, YoungFields, youngFields, youngProblems, type YoungTold } from './young-fields';
import { namePage } from '../shell/page-title';

interface TallyDraft {
  readonly counts: Counts;
  readonly recount: string;
  readonly young: YoungTold;
}

const tallySchema: z.ZodType<TallyDraft> = z.object({
  counts: countsSchema,
  recount: z.string().max(4000),
  young: z.object({ buds: z.string().max(20), heads: z.string().max(20) }).default(NO_YOUNG),
});

@Component({
  selector: 'hy-tally-page',
  imports: [Ago, DayField, MatButton, RouterLink, TallyKeys, WhyChips, YoungFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-216', '(document:keydown)': 'key($event)' },
  templateUrl: './tally-page.html',
})
export class TallyPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  private readonly state = inject(Journal).state;
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;

  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly title = computed(() => {
    const batch = this.batch();
    return batch ? batchTitle(this.state(), batch) : '';
  });
  protected readonly piece = computed(() => {
    const batch = this.batch();
    return batch ? drawnOf(this.state(), batch) : 'leaf';
  });

  private readonly drafts = inject(Drafts);
  private readonly keeper = computed(() => this.drafts.keeper(`tally.${this.id()}`, tallySchema));
  protected readonly left = computed(() => this.keeper().keptAt());
  private readonly edited = signal<TallyDraft | null>(null);
  private readonly draft = computed(() => this.edited() ?? this.keeper().read());
  protected readonly counts = computed(
    () => this.draft()?.counts ?? this.batch()?.counts ?? NO_COUNTS,
  );
  protected readonly recount = computed(() => this.draft()?.recount ?? '');
  protected readonly young = computed(() => this.draft()?.young ?? NO_YOUNG);
  /** Young plants are counted by themselves where a piece brings some: pups, shoots, plantlets. */
  protected readonly bringsYoung = computed(() => {
    const batch = this.batch();
    return (
      batch !== null && figuresOf(this.state(), batch)?.pups != null && batch.method !== 'seed'
    );
  });
  protected readonly resumed = computed(() => this.edited() === null && this.draft() !== null);

  private readonly chosenDay = signal<string | null>(null);
  protected readonly on = computed(() => this.chosenDay() ?? this.today());
  protected readonly dayProblem = computed(() => {
    const batch = this.batch();
    const day = this.on();
    if (!isDay(day)) return say.thatIsNotA();
    if (day > this.today()) return say.thatDayIsStill();
    if (batch && day < batch.cutOn) return say.itWasCutOn({ day: this.words.day(batch.cutOn) });
    return '';
  });

  protected readonly problems = computed(() => {
    const batch = this.batch();
    return batch ? contradictions(batch.counts, this.counts(), batch.count) : [];
  });
  /** Too many is wrong whatever the reason; the rest can be a recount. */
  protected readonly tooMany = computed(
    () => sumCounts(this.counts()) > (this.batch()?.count ?? 0),
  );
  protected readonly ready = computed(
    () =>
      this.batch() !== null &&
      !this.dayProblem() &&
      !this.tooMany() &&
      Object.values(youngProblems(this.young(), this.counts())).every((p) => p === '') &&
      (this.problems().length === 0 || this.recount().trim() !== ''),
  );

  constructor() {
    namePage(() => say.count({ title: this.title() }));
  }

  protected readonly recounts = recounts();

  protected step(step: CountStep): void {
    const batch = this.batch();
    const next = batch && afterStep(batch, this.counts(), step);
    if (next) this.set(next);
  }

  protected setRecount(recount: string): void {
    this.keep({ counts: this.counts(), recount, young: this.young() });
  }

  protected setYoung(young: YoungTold): void {
    this.keep({ counts: this.counts(), recount: this.recount(), young });
  }

  protected setDay(day: string): void {
    this.chosenDay.set(day || null);
  }

  protected startOver(): void {
    this.keeper().drop();
    this.keep({ counts: this.batch()?.counts ?? NO_COUNTS, recount: '', young: NO_YOUNG });
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    const batch = this.batch();
    if (!batch || !this.ready()) return;
    const recount = this.problems().length > 0 ? { recount: this.recount().trim() } : {};
    const young = this.bringsYoung() ? youngFields(this.young(), this.counts()) : {};
    const taken = await this.actions.record(
      {
        kind: 'tally',
        batch: batch.id,
        day: this.on(),
        counts: this.counts(),
        ...recount,
        ...young,
      },
      say.counted({ title: this.title() }),
    );
    if (!taken) return;
    this.keeper().drop();
    this.edited.set(null);
    await this.router.navigate(['/bench', batch.id]);
  }

  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (target.tagName === 'INPUT') return;
    const outcome = outcomeOfKey(event);
    if (outcome) {
      event.preventDefault();
      this.step({ outcome, by: event.shiftKey ? -1 : 1 });
    } else if (event.key === 'Enter' && target.tagName !== 'BUTTON' && target.tagName !== 'A') {
      event.preventDefault();
      void this.save();
    }
  }

  protected set(counts: Counts): void {
    this.keep({ counts, recount: this.recount(), young: this.young() });
  }

  /** At once, not with the next drawing: the tab may be closed the moment after a tap. */
  private keep(draft: TallyDraft): void {
    this.edited.set(draft);
    this.keeper().keep(draft);
  }
}
