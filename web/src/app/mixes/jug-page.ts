import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { mixOf } from '@hypogeon/core/bench';
import { isKnown, type Entry, type EntryOf } from '@hypogeon/core/journal';
import {
  averageJugs,
  fillPot,
  filledLitres,
  fillDepth,
  jugPot,
  jugProblems,
  readJug,
  type JugField,
  type JugTest,
} from '@hypogeon/core/media';
import { readLength } from '@hypogeon/core/units';
import { say } from '@hypogeon/messages/jug-page';
import { Actions } from '../data/actions';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';
import { NumberPipe } from '../ui/number-pipe';

type Typed = Readonly<Record<JugField, string>>;

const BLANK: Typed = {
  potMl: '',
  depthMm: '',
  soakedMl: '',
  drainedMl: '',
  dryG: '',
  pondedSeconds: '',
};

/** A drain test step by step, with a clock; what it finds stands beside what was modelled. */
/** What a test says of one share, beside the model. */
interface Measured {
  readonly what: string;
  readonly measured: string;
  readonly modelled: string;
}

@Component({
  selector: 'hy-jug-page',
  imports: [Table, MatButton, MatOption, MatSelect, NumberPipe, Field, FieldControl, MixTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.jugTest() }}</h1>
      <p class="quiet">{{ say.whatYourMixReally() }}</p>
    </div>
    <hy-mix-tabs />
    <div class="grid grid-cols-2 gap-y-8 gap-x-12 narrow:grid-cols-1">
      <form class="grid content-start gap-4" novalidate (submit)="$event.preventDefault(); save()">
        <hy-field [label]="say.mixToTest()">
          <mat-select [value]="desk.draft().from" (selectionChange)="desk.open($event.value)">
            @for (m of desk.mixes(); track m.id) {
              <mat-option [value]="m.id">{{ m.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <ol class="grid gap-5 m-0 pl-5.5">
          <li>
            <p class="mb-2">
              {{ say.tapeTheHolesOf() }}
            </p>
            <div class="grid grid-cols-2 gap-4">
              <hy-field
                [label]="say.volume({ volumeUnit: words.volumeUnit() })"
                [problem]="show('potMl')"
              >
                <input
                  hyControl
                  type="text"
                  inputmode="decimal"
                  [placeholder]="usual().ml"
                  [value]="typed().potMl"
                  (input)="type('potMl', a.value)"
                  #a
                />
              </hy-field>
              <hy-field
                [label]="say.depth({ lengthUnit: words.lengthUnit() })"
                [problem]="show('depthMm')"
              >
                <input
                  hyControl
                  type="text"
                  [placeholder]="usual().depth"
                  [value]="typed().depthMm"
                  (input)="type('depthMm', b.value)"
                  #b
                />
              </hy-field>
            </div>
          </li>
          <li>
            <p class="mb-2">
              {{ say.pourItOutFill() }}
            </p>
            <hy-field
              [label]="say.dryWeightOptional({ weightUnit: words.weightUnit() })"
              [problem]="show('dryG')"
            >
              <input
                hyControl
                type="text"
                inputmode="decimal"
                [value]="typed().dryG"
                (input)="type('dryG', c.value)"
                #c
              />
            </hy-field>
          </li>
          <li>
            <p class="mb-2">
              {{ say.pourWaterSlowlyUntil() }}
            </p>
            <hy-field
              [label]="say.waterItTook({ volumeUnit: words.volumeUnit() })"
              [problem]="show('soakedMl')"
            >
              <input
                hyControl
                type="text"
                inputmode="decimal"
                [value]="typed().soakedMl"
                (input)="type('soakedMl', d.value)"
                #d
              />
            </hy-field>
          </li>
          <li>
            <p class="mb-2">
              {{ say.overAJugPull() }}
            </p>
            <div class="clock flex flex-wrap items-end gap-4">
              <button
                type="button"
                [matButton]="running() ? 'filled' : 'outlined'"
                (click)="clock()"
              >
                {{ running() ? say.goneStop() : say.tapeOffStart() }}
              </button>
              <span role="timer" class="time">{{
                say.s({ true: (seconds() | hyNumber: 1 : true) })
              }}</span>
              <hy-field [label]="say.secondsOptional()" [problem]="show('pondedSeconds')">
                <input
                  hyControl
                  type="text"
                  inputmode="decimal"
                  [value]="typed().pondedSeconds"
                  (input)="type('pondedSeconds', e.value)"
                  #e
                />
              </hy-field>
            </div>
          </li>
          <li>
            <p class="mb-2">{{ say.letItDripFor() }}</p>
            <hy-field
              [label]="say.waterThatRanOut({ volumeUnit: words.volumeUnit() })"
              [problem]="show('drainedMl')"
            >
              <input
                hyControl
                type="text"
                inputmode="decimal"
                [value]="typed().drainedMl"
                (input)="type('drainedMl', f.value)"
                #f
              />
            </hy-field>
          </li>
        </ol>
        <div>
          <button matButton="filled" type="submit">{{ say.keepTheTest() }}</button>
        </div>
      </form>

      <section
        class="grid content-start gap-4"
        [attr.aria-label]="say.whatItSays()"
        aria-live="polite"
      >
        @if (result(); as r) {
          <hy-table [name]="say.thisTest()" heading [columns]="columns" [rows]="r" />
        }
        <h2 class="ruled">{{ say.testsOf({ name: desk.origin()?.name ?? '' }) }}</h2>
        @if (average(); as m) {
          <p>
            {{
              say.waterAirItNow({
                what: m.water.tests === 1 ? say.oneTest() : say.tests({ tests: m.water.tests }),
                percent: words.percent(m.water.mean),
                what2: m.water.spread === null ? '' : ' ± ' + (m.water.spread * 100 | hyNumber: 1),
                percent2: words.percent(m.air.mean),
                what3: m.air.spread === null ? '' : ' ± ' + (m.air.spread * 100 | hyNumber: 1),
              })
            }}
          </p>
          <ul class="bare">
            @for (t of tests(); track t.entry.id) {
              <li class="flex justify-between items-center min-h-11 border-b border-line">
                <span>{{
                  say.waterAir({
                    day: words.day(t.entry.day),
                    percent: words.percent(t.water),
                    percent2: words.percent(t.air),
                    what: t.entry.pondedSeconds
                      ? say.goneInS({ pondedSeconds: t.entry.pondedSeconds })
                      : '',
                  })
                }}</span>
                <button
                  matButton="text"
                  (click)="takeBack(t.entry)"
                  [attr.aria-label]="say.undoTheTestOf({ day: words.day(t.entry.day) })"
                >
                  {{ say.undo() }}
                </button>
              </li>
            }
          </ul>
        } @else {
          <p class="quiet">
            {{ say.noneYetAJug() }}
          </p>
        }
      </section>
    </div>
  `,
  styles: `
    li::marker {
      font-weight: 700;
      font-family: var(--head-face);
    }
    .time {
      font: 650 1.6rem/44px var(--head-face);
      min-width: 5.5rem;
    }
  `,
})
export class JugPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly desk = inject(MixDesk);
  protected readonly words = inject(Words);

  private readonly keeper = inject(Drafts).keeper('jug', shapeOf(BLANK));
  protected readonly typed = signal<Typed>(this.keeper.read() ?? BLANK);
  protected readonly tried = signal(false);
  private readonly timer = signal<{ readonly from: number; readonly now: number } | null>(null);
  private ticking: ReturnType<typeof setInterval> | undefined;
  protected readonly running = signal(false);
  protected readonly seconds = computed(() => {
    const timer = this.timer();
    return timer ? (timer.now - timer.from) / 1000 : 0;
  });

  protected readonly usual = computed(() => ({
    ml: this.words.typedVolume(Math.round(filledLitres(this.desk.container()) * 1000)),
    depth: this.words.length(fillDepth(this.desk.container())),
  }));

  private readonly test = computed((): JugTest => {
    const t = this.typed();
    const depth = readLength(t.depthMm, this.words.lengthUnit());
    return {
      potMl: this.words.millilitres(t.potMl),
      depthMm: depth.ok ? depth.mm : NaN,
      soakedMl: this.words.millilitres(t.soakedMl),
      drainedMl: this.words.millilitres(t.drainedMl),
      dryG: t.dryG.trim() === '' ? undefined : this.words.grams(t.dryG),
      pondedSeconds: t.pondedSeconds.trim() === '' ? undefined : numberFrom(t.pondedSeconds),
    };
  });
  private readonly problems = computed(() => jugProblems(this.test()));

  protected readonly columns: readonly Column<Measured>[] = [
    { key: 'what', head: say.share(), text: (r) => r.what },
    { key: 'measured', head: say.measured(), number: true, text: (r) => r.measured },
    { key: 'modelled', head: say.modelled(), number: true, text: (r) => r.modelled },
  ];
  protected readonly result = computed((): readonly Measured[] | null => {
    const mix = this.desk.origin();
    if (!mix || Object.keys(this.problems()).length > 0) return null;
    const model = fillPot(mix.medium, jugPot(this.test()));
    const read = readJug(this.test());
    const row = (what: string, measured: number, modelled: number): Measured => ({
      what,
      measured: this.words.percent(measured),
      modelled: this.words.percent(modelled),
    });
    const grams = (g: number): string => `${this.words.number(Math.round(g))} g`;
    return [
      row(say.waterAfterDraining(), read.water, model.water),
      row(say.airAfterDraining(), read.air, model.air),
      row(say.allPores(), read.porosity, model.water + model.air),
      ...(read.densityGPerL === null
        ? []
        : [
            {
              what: say.aLitreWeighsDry(),
              measured: grams(read.densityGPerL),
              modelled: grams(model.medium.densityGPerL),
            },
          ]),
    ];
  });

  protected readonly average = computed(() =>
    averageJugs(this.journal.state().jugs.get(this.desk.draft().from) ?? []),
  );
  protected readonly tests = computed(() => {
    const entries: readonly Entry[] =
      this.journal.state().log.get(`jug/${this.desk.draft().from}`) ?? [];
    const takenBack = new Set(
      entries.flatMap((e) => (isKnown(e) && e.kind === 'retract' ? [e.entry] : [])),
    );
    return entries
      .filter((e): e is EntryOf<'jug'> => isKnown(e) && e.kind === 'jug' && !takenBack.has(e.id))
      .filter((e) => Object.keys(jugProblems(e)).length === 0)
      .map((entry) => ({ entry, ...readJug(entry) }));
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => clearInterval(this.ticking));
  }

  protected type(field: JugField, value: string): void {
    this.typed.update((t) => ({ ...t, [field]: value }));
    this.keeper.keep(this.typed());
  }

  protected show(field: JugField): string {
    const typed = this.typed()[field].trim() !== '';
    return this.tried() || typed ? (this.problems()[field] ?? '') : '';
  }

  protected clock(): void {
    if (this.running()) {
      clearInterval(this.ticking);
      this.running.set(false);
      this.timer.update((t) => t && { ...t, now: performance.now() });
      this.type('pondedSeconds', this.seconds().toFixed(1));
      return;
    }
    const from = performance.now();
    this.timer.set({ from, now: from });
    this.running.set(true);
    this.ticking = setInterval(() => this.timer.set({ from, now: performance.now() }), 100);
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    this.tried.set(true);
    const mix = mixOf(this.journal.state(), this.desk.draft().from);
    if (!mix || Object.keys(this.problems()).length > 0) return;
    const { dryG, pondedSeconds, ...test } = this.test();
    const taken = await this.actions.record(
      {
        kind: 'jug',
        mix: mix.id,
        ...test,
        ...(dryG === undefined ? {} : { dryG }),
        ...(pondedSeconds === undefined ? {} : { pondedSeconds }),
      },
      say.testKept(),
    );
    if (!taken) return;
    this.tried.set(false);
    this.typed.set({ ...BLANK, potMl: this.typed().potMl, depthMm: this.typed().depthMm });
    this.keeper.drop();
  }

  protected takeBack(entry: Entry): void {
    void this.actions.retract(entry);
  }
}
