import type { CourseId } from '@hypogeon/core/course';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { LeaveByEscape } from '../forms/leave-by-escape';
import { MatDialog } from '@angular/material/dialog';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { mdiDotsHorizontal } from '@mdi/js';
import {
  batchCode,
  batchTitle,
  clockOf,
  cutTogether,
  gateShutOn,
  isLaid,
  partsOf,
  drawnOf,
  figuresOf,
} from '@hypogeon/core/bench';
import type { Young } from '@hypogeon/core/botany';
import { pooledFor } from '@hypogeon/core/pool';
import {
  atRiskOf,
  careOf,
  factsOf,
  linesOf,
  neighboursAtRisk,
  slowHere,
  type Ask,
  type CareLines,
  type Neighbour,
} from '@hypogeon/core/care';
import { addDays, isDay, type Day } from '@hypogeon/core/days';
import type { Batch, Outcome } from '@hypogeon/core/journal';
import { onItsWay, rootsFan } from '@hypogeon/core/learn';
import { emergence } from '@hypogeon/core/ledger';
import { closureOn } from '@hypogeon/core/wound';
import {
  everText,
  LINK_NAME,
  linesText,
  onItsWayText,
  TASK_NAME,
  COURSE_WORDS,
  type LinesText,
  type Said,
  benchesText,
} from '@hypogeon/words';
import { firstValueFrom } from 'rxjs';
import { say } from '@hypogeon/messages/batch-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Chart } from '../charts/chart';
import type { ChartModel } from '../charts/chart-model';
import { emergenceChart } from '../charts/emergence-chart';
import { fanChart } from '../charts/fan-chart';
import { Fold } from '../ui/fold';
import { LifeStrip } from '../marks/life-strip';
import { TrayMap, type PlacesCounted } from '../marks/tray-map';
import { BetterPlace } from '../air/better-place';
import { AskTaps } from '../today/ask-taps';
import { BatchHead } from './batch-head';
import { BreachDialog, type BreachQuestion } from './breach-dialog';
import { CountBars } from './count-bars';
import { ChangeDeed } from './deeds/change-deed';
import { LookDeed } from './deeds/look-deed';
import { MoveDeed } from './deeds/move-deed';
import { PotDeed } from './deeds/pot-deed';
import { SayDeed } from './deeds/say-deed';
import { SetDeed } from './deeds/set-deed';

type Panel = 'set' | 'look' | 'note' | 'move' | 'pot' | 'change' | 'ended' | 'day';
/** Looks that are a count: the button that leads there is the loud one. */
const COUNTED: ReadonlySet<string> = new Set(['roots', 'pups', 'overdue']);

/** A batch: what today asks of it, its life, and its pieces. */
@Component({
  selector: 'hy-batch-page',
  imports: [
    AskTaps,
    BatchHead,
    BetterPlace,
    Fold,
    ChangeDeed,
    CountBars,
    DayField,
    Chart,
    LifeStrip,
    LookDeed,
    MatButton,
    LeaveByEscape,
    MatIconButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MoveDeed,
    PotDeed,
    RouterLink,
    SayDeed,
    SetDeed,
    TrayMap,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  templateUrl: './batch-page.html',
  styleUrl: './batch-page.scss',
})
export class BatchPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly dialog = inject(MatDialog);
  protected readonly words = inject(Words);
  protected readonly setTap = (course: CourseId): string =>
    COURSE_WORDS[course].setTap ?? say.setWord();
  protected readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;
  private readonly verdicts = inject(Water).verdicts;

  readonly id = input.required<string>();
  /** What the way here asked to tell: `move` opens the move at once. */
  readonly tell = input<string>();

  protected readonly dots = mdiDotsHorizontal;
  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly view = computed(() => {
    const batch = this.batch();
    if (!batch) return null;
    const state = this.state();
    const clock = clockOf(state, batch);
    const care = careOf(state, batch, this.today(), this.verdicts().get(batch.id));
    const [first] = care.asks;
    const lines = linesOf(state, batch, care, this.today());
    return {
      batch,
      care,
      cells:
        batch.ended === null && batch.here.waiting + batch.here.rooted + batch.here.pupped > 0
          ? cellsOf(lines, linesText(lines, this.words.speech()), batch.cut !== null)
          : [],
      closure: clock ? closureOn(clock, this.today()) : 1,
      title: batchTitle(state, batch),
      piece: drawnOf(state, batch),
      laid: isLaid(state, batch),
      // What is asked first is the one filled button; a count has its own.
      first: first && !COUNTED.has(first.kind) ? first : null,
      countNow: first !== undefined && COUNTED.has(first.kind),
      here: batch.here.waiting + batch.here.rooted + batch.here.pupped,
      kin: this.kinOf(batch),
      putOff: [...batch.putOff]
        .filter(([, put]) => put.until === undefined || put.until > this.today())
        .map(([task, put]) => ({ name: TASK_NAME[task], ...put })),
      near: neighboursAtRisk(state, batch, this.today()).flatMap((n) => this.neighbour(n.batch, n)),
      atRisk: atRiskOf(state, batch, this.today()).flatMap((n) => this.neighbour(n.batch, n)),
      plate: plateOf(batch, this.today(), this.words.speech().wayOf(batch).young),
      way: this.wayOf(batch),
      slow: slowHere(state, batch, this.today()),
    };
  });

  /** The day the next entries speak of, where it is not today, and what was typed for it. */
  protected readonly day = signal<Day | null>(null);
  protected readonly typedDay = signal('');
  protected readonly on = computed(() => this.day() ?? this.today());
  /** While the day is wrong nothing is recorded: it would land on another. */
  protected readonly dayProblem = computed(() => {
    const day = this.typedDay();
    const batch = this.batch();
    if (day === '') return '';
    if (!isDay(day)) return say.thatIsNotA();
    if (day > this.today()) return say.thatDayIsStill();
    if (batch?.cut && day < batch.cut) return say.itWasCutOn({ day: this.words.day(batch.cut) });
    return '';
  });

  protected readonly panel = linkedSignal<Panel | null>(() =>
    this.tell() === 'move' ? 'move' : null,
  );

  protected cut(): void {
    this.put({ kind: 'cut', batch: this.id() }, say.cut());
  }

  protected carry(space: string): void {
    this.put({ kind: 'moved', batch: this.id(), space }, say.moved2());
  }

  protected async watered(): Promise<void> {
    const view = this.view();
    if (!view || this.dayProblem() !== '') return;
    const { batch, title } = view;
    const how = isLaid(this.state(), batch) ? 'misted' : 'poured';
    const entry = { kind: 'watered', batch: batch.id, how, day: this.on() } as const;
    const shut = gateShutOn(this.state(), batch, this.on());
    if (shut === null) {
      await this.actions.record(entry, how === 'misted' ? say.misted() : say.watered());
      return;
    }
    const opens =
      shut.opens === null ? say.forNow() : say.until({ near: this.words.near(shut.opens) });
    const data: BreachQuestion = { title, opens };
    const dialog = this.dialog.open<BreachDialog, BreachQuestion, string>(BreachDialog, {
      data,
      maxWidth: '34rem',
    });
    const breach = await firstValueFrom(dialog.afterClosed());
    if (breach) await this.actions.record({ ...entry, breach }, say.wateredEarlyAndRemembered());
  }

  protected places({ places, outcome }: PlacesCounted): void {
    const told = Object.fromEntries(
      places.map((place): [string, Outcome] => [`${place}`, outcome]),
    );
    this.put(
      { kind: 'tally', batch: this.id(), places: told },
      places.length === 1 ? say.placeTold() : say.placesTold({ placesCount: places.length }),
    );
  }

  protected setDay(value: string): void {
    this.typedDay.set(value);
    if (this.dayProblem() === '')
      this.day.set(value === '' || value === this.today() ? null : value);
  }

  protected open(panel: Panel | null): void {
    // A day that was wrong and is not looked at any more counts for nothing.
    this.typedDay.set('');
    this.panel.set(panel);
  }

  /** Whom it came from, what came out of it, and what was cut with it. */
  private kinOf(batch: Batch) {
    const state = this.state();
    const mother = batch.mother === undefined ? undefined : state.mothers.get(batch.mother);
    const { of, parts } = partsOf(state, batch);
    return [
      ...(mother
        ? [
            {
              says: say.from(),
              path: ['/mothers', mother.id],
              name: mother.name ?? say.aMotherPlant(),
            },
          ]
        : []),
      ...(of
        ? [
            {
              says: batch.parting === 'rescued' ? say.cutAfreshFrom() : say.outOf(),
              path: ['/bench', of.id],
              name: batchTitle(state, of),
            },
          ]
        : []),
      ...parts.map((part) => ({
        says:
          part.parting === 'rescued'
            ? say.cutAfresh()
            : part.parting === 'single'
              ? 'single'
              : 'part',
        path: ['/bench', part.id],
        name: batchCode(state, part),
      })),
      ...cutTogether(state, batch).map((b) => ({
        says: say.cutWith(),
        path: ['/bench', b.id],
        name: batchTitle(state, b),
      })),
    ];
  }

  /** Whether roots come as expected, when it is worth looking, and the fan of them; null where nothing is awaited. */
  private wayOf(batch: Batch) {
    const facts = factsOf(this.state(), batch);
    const { outlook } = facts;
    if (outlook === null || batch.cut === null || batch.ended !== null || batch.here.waiting === 0)
      return null;
    const speech = this.words.speech();
    const way = onItsWay(batch, outlook);
    const { roots } = outlook;
    const figures = figuresOf(this.state(), batch);
    const pooled = figures && pooledFor(this.state(), batch.taxon, figures);
    return {
      says: way ? onItsWayText(way, speech) : '',
      waits: way ? everText(roots) : '',
      window: say.oneInTenHas({
        what: way ? say.ofThoseStillTo() : say.ofThoseThatRoot(),
        day: this.words.day(roots.from),
        day2: this.words.day(roots.half),
        day3: this.words.day(roots.to),
        what2: pooled ? say.thatWas({ benches: benchesText(pooled.benches) }) : '',
      }),
      fan: fanChart(rootsFan(batch, outlook, this.today()), (day) =>
        this.words.shortDay(addDays(batch.cutOn, day)),
      ),
    };
  }

  private neighbour(id: string, { link, day }: Pick<Neighbour, 'link' | 'day'>) {
    const state = this.state();
    const batch = state.batches.get(id);
    return batch ? [{ id, name: batchTitle(state, batch), link: LINK_NAME[link], day }] : [];
  }

  private put(draft: Parameters<Actions['record']>[0], said: string): void {
    if (this.dayProblem() !== '') return;
    void this.actions.record({ ...draft, day: this.on() }, said);
    this.open(null);
  }
}

/** A line of the page: what it is about, what is said, and what can be tapped there. */
interface Cell {
  readonly is: 'do' | 'water' | 'look' | 'leave';
  readonly name: string;
  readonly says: readonly (Said & { readonly ask?: Ask | undefined })[];
}

/** Water, Look, Leave, and before them what else is to be done. Cutting has its own button. */
function cellsOf(lines: CareLines, text: LinesText, cut: boolean): readonly Cell[] {
  const withTaps = (said: readonly Said[], asks: readonly Ask[]): Cell['says'] =>
    said.map((s, i) => ({ ...s, ask: asks[i] }));
  const { deeds, water, look } = lines;
  return [
    ...(deeds.length === 0
      ? []
      : [
          {
            is: 'do',
            name: say.doWord(),
            says: withTaps(text.deeds, cut ? deeds : []),
          } as const,
        ]),
    {
      is: 'water',
      name: say.water(),
      says: withTaps(text.water, water.is === 'now' ? water.asks : []),
    },
    { is: 'look', name: say.look(), says: withTaps(text.look, look.is === 'now' ? look.asks : []) },
    { is: 'leave', name: say.leave(), says: text.leave },
  ];
}

/** Nothing to draw while nobody has looked. */
function plateOf(batch: Batch, today: Day, young: Young): ChartModel | null {
  const plate = emergence(batch, batch.ended ?? today);
  return plate.checks.length > 0 ? emergenceChart(plate, false, young) : null;
}
