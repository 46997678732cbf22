import { careOf, waterSays } from '@hypogeon/core/care';
import { BatchHead } from './batch-head';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  resource,
  signal,
} from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  batchTitle,
  chosenSchool,
  containersOf,
  gateShutOn,
  mixesOf,
  drawnOf,
  potOf,
  stemDepthOf,
  waterCaseOf,
  usualSchool,
  waterSchoolOf,
  type UsualBecause,
} from '@hypogeon/core/bench';
import { addDays, isDay } from '@hypogeon/core/days';
import type { BatchFields } from '@hypogeon/core/journal';
import { lengthIn, readLength } from '@hypogeon/core/units';
import {
  courseOf,
  TOUCHES,
  WATER_SCHOOL,
  WATER_SCHOOLS,
  type TopDressing,
  type Touch,
  type WaterManner,
  type WaterSchoolId,
  type WaterVerdict,
} from '@hypogeon/core/water';
import { MatDialog } from '@angular/material/dialog';
import { firstValueFrom } from 'rxjs';
import { BENCH_WORKER } from '../data/workers';
import { verdictReasonText, verdictUnlessText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/water-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { drinkWords, isThirsty } from '../data/verdict-words';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { PotSection } from '../marks/pot-section';
import { Chart } from '../charts/chart';
import { waterChart, type CourseDay, type CourseMark } from '../charts/water-chart';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { BreachDialog, type BreachQuestion } from './breach-dialog';
import { SchoolOutlooks } from './school-outlooks';

const BACK_DAYS = 28;
const AHEAD_DAYS = 21;

const USUAL: Readonly<Record<UsualBecause, () => string>> = {
  stores: say.usualStores,
  'no-stores': say.usualNoStores,
  'dry-top': say.usualDryTop,
  rot: say.usualRot,
};

/** The water of one batch: what the can may do, why, and what each school would make of it. */
/** How water came to it. */
const HOW: Readonly<Record<WaterManner, () => string>> = {
  poured: say.pouredFromAbove,
  bottom: say.fromBelow,
  soaked: say.soakedThrough,
  misted: say.misted,
};

@Component({
  selector: 'hy-water-page',
  imports: [
    BatchHead,
    MatCheckbox,
    MatButton,
    DayField,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    RouterLink,
    PotSection,
    Chart,
    SchoolOutlooks,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-7' },
  templateUrl: './water-page.html',
  styleUrl: './water-page.scss',
})
export class WaterPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly dialog = inject(MatDialog);
  private readonly journal = inject(Journal);
  private readonly worker = inject(BENCH_WORKER);
  private readonly verdicts = inject(Water).verdicts;
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  protected readonly state = this.journal.state;

  readonly id = input.required<string>();

  protected readonly schools = WATER_SCHOOLS.map((id) => WATER_SCHOOL[id]);
  protected readonly touches = TOUCHES;
  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly title = computed(() => {
    const batch = this.batch();
    return batch ? batchTitle(this.state(), batch) : '';
  });
  protected readonly piece = computed(() => {
    const batch = this.batch();
    return batch ? drawnOf(this.state(), batch) : undefined;
  });
  protected readonly pot = computed(() => {
    const batch = this.batch();
    return batch && potOf(this.state(), batch);
  });
  protected readonly school = computed<WaterSchoolId>(() => {
    const batch = this.batch();
    return batch ? waterSchoolOf(this.state(), batch) : 'top-25';
  });
  /** Why it is watered so, where nobody chose it. */
  protected readonly usual = computed(() => {
    const batch = this.batch();
    if (!batch || chosenSchool(this.state(), batch) !== null) return null;
    return USUAL[usualSchool(this.state(), batch).because]();
  });
  protected readonly hardWater = computed(() => {
    const space = this.batch()?.space;
    return space !== undefined && this.state().spaces.get(space)?.hardWater === true;
  });
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));
  protected readonly stem = computed(() => {
    const batch = this.batch();
    return batch ? stemDepthOf(this.state(), batch) : 0;
  });

  /** With the past that the drawing shows, not only what the verdict needs. */
  private readonly given = computed(() => {
    const batch = this.batch();
    return batch && waterCaseOf(this.state(), batch, this.today(), true);
  });
  protected why({ reason }: WaterVerdict): string {
    return verdictReasonText(reason, this.words.speech());
  }
  protected unless({ unless }: WaterVerdict): string {
    return verdictUnlessText(unless, this.words.speech());
  }

  protected readonly verdict = computed(() => this.verdicts().get(this.id()) ?? null);

  protected readonly course = computed(() => {
    const given = this.given();
    const batch = this.batch();
    if (!given || !batch) return null;
    const { steps, layers, pace } = courseOf(given, AHEAD_DAYS);
    const first = Math.max(0, given.today - BACK_DAYS);
    const days = steps.slice(first).map((s): CourseDay => ({
      day: addDays(given.from, s.at),
      fill: s.fill,
      low: s.low,
      high: s.high,
      evaporationMm: given.evaporation[s.at] ?? 0,
    }));
    const due = this.verdict()?.due;
    const asks = due && days.find((d) => d.day === due.likely);
    const capacityMl = given.column.capacity.reduce((a, b) => a + b, 0) / 1000;
    const { dryWeightG } = pace;
    const marks: readonly CourseMark[] = [
      ...batch.waterings.map((w) => ({
        day: w.day,
        kind: w.how === 'misted' ? ('misted' as const) : ('watered' as const),
        says: `${this.words.day(w.day)}: ${HOW[w.how]()}`,
      })),
      ...batch.weighings.map((w) => ({
        day: w.day,
        kind: 'weighed' as const,
        fill: dryWeightG === null ? undefined : (w.grams - dryWeightG) / capacityMl,
        says: `${this.words.day(w.day)}: ${w.grams} g`,
      })),
      ...batch.touches.map((t) => ({
        day: t.day,
        kind: 'felt' as const,
        says: say.at({
          day: this.words.day(t.day),
          seen: t.seen,
          length: this.words.length(t.depthMm),
        }),
      })),
    ];
    const limit = asks?.fill ?? null;
    const chart = waterChart({ days, today: this.today(), marks, limit }, this.words.speech());
    return { chart, layers, capacityMl };
  });

  protected readonly outlooks = resource({
    params: () => this.given() ?? undefined,
    loader: ({ params }) => this.worker.ask((w) => w.compare(params)),
  });

  protected readonly day = signal('');
  protected readonly on = computed(() => this.day() || this.today());
  protected readonly problem = signal('');
  protected readonly panel = signal<'weigh' | 'feel' | 'give' | 'setup' | null>(null);

  /** What is said of its water everywhere; the pot's own verdict is one reason among others. */
  protected readonly says = computed(() => {
    const batch = this.batch();
    const verdict = this.verdict() ?? undefined;
    return batch && waterSays(careOf(this.state(), batch, this.today(), verdict), this.today());
  });
  /** What is said where the pot's own verdict is not what decides; null where it is. */
  protected readonly instead = computed(() => {
    const says = this.says();
    if (!says || says.is === 'free') return null;
    if (says.is === 'now')
      return says.ask.sure.by === 'pot' || isThirsty(this.verdict())
        ? null
        : { head: this.words.askLine(says.ask), why: this.words.reason(says.ask.reason) };
    if (says.leave?.reason.why === 'verdict') return null;
    return {
      head: say.noWaterUntil({ near: this.words.near(says.day) }),
      why: says.leave ? this.words.leaveWhy(says.leave) : say.itIsSetFirst(),
    };
  });

  protected readonly thirsty = isThirsty;

  /** How often from here on; what has no roots drinks another way once it has. */
  protected next({ everyDays, reason }: WaterVerdict): string {
    if (!everyDays) return '';
    const days = this.words.days(everyDays);
    const unrooted = reason.why === 'first-drink' || (reason.why === 'regime' && !reason.rooted);
    return unrooted ? say.thenAboutEveryUntil({ days }) : say.thenAboutEvery({ days });
  }

  protected headline(v: WaterVerdict): string {
    switch (v.kind) {
      case 'closed':
        return v.opens ? say.noWaterUntil({ near: this.words.near(v.opens) }) : say.noWaterItDoes();
      case 'hold':
        if (v.poolMl > 0 && v.due === null) return say.noWaterTheBase();
        return v.due
          ? say.leaveItUntil({ near: this.words.near(v.due.likely) })
          : say.leaveItNoWater();
      case 'water':
        return say.waterToday({ amount: this.amount(v) });
      case 'overdue':
        return say.waterOverdue({ amount: this.amount(v) });
    }
  }

  protected amount(verdict: WaterVerdict): string {
    const batch = this.batch();
    return batch ? drinkWords(this.words, batch, verdict) : '';
  }

  protected dueSpan(v: WaterVerdict): string {
    if (!v.due || v.kind !== 'hold') return '';
    const { earliest, latest } = v.due;
    return latest === null
      ? say.fromOnEightTimes({ shortDay: this.words.shortDay(earliest) })
      : say.eightTimesInTen({ span: this.words.span(earliest, latest) });
  }

  protected paceWords(v: WaterVerdict): string {
    const { pace } = v;
    if (pace.weighings + pace.touches === 0) return say.modelledNothingWeighedYet();
    const by = Math.round(Math.abs(pace.likely - 1) * 100);
    const side = pace.likely > 1 ? say.faster() : say.slower();
    const spread = Math.round(pace.sd * 100);
    const seen = [
      pace.weighings > 0 ? say.weighings({ n: pace.weighings }) : '',
      pace.touches > 0 ? say.touches({ n: pace.touches }) : '',
    ].filter(Boolean);
    return say.thisPotDriesGive({
      what: by < 3 ? say.asModelled() : say.thanModelled({ by, side }),
      spread,
      seen: seen.join(', '),
    });
  }

  protected toggle(panel: 'weigh' | 'feel' | 'give' | 'setup'): void {
    this.problem.set('');
    this.panel.update((open) => (open === panel ? null : panel));
  }

  protected async give(how: string, text: string): Promise<void> {
    const batch = this.batch();
    if (!batch || !this.dayGood()) return;
    const manner: WaterManner =
      how === 'misted' || how === 'soaked' || how === 'bottom' ? how : 'poured';
    const ml = text.trim() === '' ? undefined : this.words.millilitres(text);
    if (ml !== undefined && !(ml > 0 && ml <= 100_000))
      return this.problem.set(say.howMuchDidOne());
    const entry = {
      kind: 'watered' as const,
      batch: batch.id,
      how: manner,
      ...(ml === undefined ? {} : { ml }),
      day: this.on(),
    };
    const shut = gateShutOn(this.state(), batch, this.on());
    if (shut === null) {
      if (!(await this.actions.record(entry, say.watered()))) return;
    } else {
      const opens =
        shut.opens === null ? say.forNow() : say.until({ near: this.words.near(shut.opens) });
      const data: BreachQuestion = { title: this.title(), opens };
      const dialog = this.dialog.open<BreachDialog, BreachQuestion, string>(BreachDialog, {
        data,
        maxWidth: '34rem',
      });
      const breach = await firstValueFrom(dialog.afterClosed());
      if (!breach) return;
      const told = say.wateredAndTheBreach();
      if (!(await this.actions.record({ ...entry, breach }, told))) return;
    }
    this.panel.set(null);
  }

  protected async weigh(text: string): Promise<void> {
    const batch = this.batch();
    const grams = this.words.grams(text);
    if (!batch || !this.dayGood()) return;
    if (!(grams > 0)) return this.problem.set(say.whatDoesOnePot());
    if (grams > 200_000)
      return this.problem.set(say.isNoPot({ weight: this.words.weight(200_000) }));
    const dry = this.verdict()?.pace.dryWeightG;
    const pot = this.pot();
    if (dry != null && pot && grams < dry - 0.1 * pot.waterMl)
      return this.problem.set(say.lighterThanThisPot({ weight: this.words.weight(dry) }));
    const weighed = { kind: 'weighed', batch: batch.id, grams, day: this.on() } as const;
    if (await this.actions.record(weighed, say.weighed())) this.panel.set(null);
  }

  protected async feel(depth: string, seen: Touch): Promise<void> {
    const batch = this.batch();
    if (!batch || !this.dayGood()) return;
    const read = readLength(depth, this.words.lengthUnit());
    if (!read.ok) return this.problem.set(read.problem);
    const taken = await this.actions.record(
      { kind: 'felt', batch: batch.id, depthMm: Math.min(read.mm, 1000), seen, day: this.on() },
      say.felt(),
    );
    if (taken) this.panel.set(null);
  }

  protected choose(school: WaterSchoolId): void {
    void this.put({ waterSchool: school });
  }

  protected async setUp(
    container: string,
    count: string,
    mix: string,
    depth: string,
    topDress: TopDressing | '',
    jar: boolean,
  ): Promise<void> {
    const containers = numberFrom(count);
    if (!Number.isInteger(containers) || containers < 1 || containers > 10_000)
      return this.problem.set(say.howManyOfThemA());
    if (!container || !mix) return this.problem.set(say.chooseAPotAnd());
    const read = readLength(depth, this.words.lengthUnit());
    if (!read.ok) return this.problem.set(read.problem);
    const taken = await this.put({
      container,
      containers,
      mix,
      stemMm: Math.min(read.mm, 1000),
      topDress: topDress || null,
      dressed: null,
      rootedInWater: jar || null,
    });
    if (taken) this.panel.set(null);
  }

  protected depth(mm: number): string {
    return String(+lengthIn(mm, this.words.lengthUnit()).toFixed(2));
  }

  private put(fields: BatchFields): Promise<boolean> {
    this.problem.set('');
    return this.actions.record(
      { kind: 'put', record: 'batch', key: this.id(), fields },
      say.changed(),
    );
  }

  private dayGood(): boolean {
    const day = this.on();
    const cut = this.batch()?.cut;
    const problem = !isDay(day)
      ? say.thatIsNotA()
      : day > this.today()
        ? say.thatDayIsStill()
        : cut && day < cut
          ? say.itWasCutOn({ day: this.words.day(cut) })
          : '';
    this.problem.set(problem);
    return problem === '';
  }
}
