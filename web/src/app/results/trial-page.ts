import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchCode, drawnOf, plantOf } from '@hypogeon/core/bench';
import { METHOD, methodAs, type Young } from '@hypogeon/core/botany';
import type { Cutting } from '@hypogeon/core/journal';
import { correlationOf } from '@hypogeon/core/learn';
import {
  FACTOR_NAME,
  judgeTrial,
  needsTrays,
  sizeWords,
  stopRules,
  traysInRow,
  traysOf,
  trialLayout,
  verdictWords,
  type ArmAgainst,
} from '@hypogeon/core/trial';
import { points, pText, tooFewTrays, trayRules, traySize, YOUNG_KEY } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/trial-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { markOf, OUTCOME_WORD } from '../marks/mark-state';
import { armLetter, TrialMap, type TrialCell } from '../marks/trial-map';
import { Field, FieldControl } from '../forms/field';
import type { Column } from '../ui/column';
import { Fold } from '../ui/fold';
import { Table } from '../ui/table';
import { namePage } from '../shell/page-title';

interface ArmRow {
  readonly letter: string;
  readonly name: string;
  readonly batch: string | undefined;
  readonly code: string;
  readonly stuck: number;
  readonly rooted: number;
  readonly lost: number;
  readonly waiting: number;
  readonly young: string;
  readonly share: string;
}

/** One trial: its answer, its tray, and what was agreed beforehand. Prints as its report. */
@Component({
  selector: 'hy-trial-page',
  imports: [Fold, Table, MatButton, Field, FieldControl, RouterLink, TrialMap],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <div class="page-head m-0">
        <h1>{{ v.name }}</h1>
        <p class="quiet">{{ v.about }}</p>
        <span class="push no-print inline-flex gap-1.5">
          <a matButton="text" routerLink="/results/trials">{{ say.trials() }}</a>
          <button type="button" matButton="outlined" (click)="print()">
            {{ say.printTheReport() }}
          </button>
        </span>
      </div>
      @if (v.question) {
        <p>{{ v.question }}</p>
      }
      <section
        class="grid grid-cols-1 gap-3 print:break-inside-avoid"
        aria-live="polite"
        [attr.aria-label]="say.theAnswer()"
      >
        <p class="words max-w-[44ch] headline text-xl">{{ v.verdict }}</p>
        @if (v.few) {
          <p>{{ v.few }}</p>
        }
      </section>
      @if (v.departures.length > 0) {
        <section
          class="grid grid-cols-1 gap-3 pl-4 border-l-4 border-callus print:break-inside-avoid"
          aria-labelledby="mind"
        >
          <h2 id="mind">{{ say.notRunAsDesigned() }}</h2>
          <ul class="max-w-[68ch] m-0 pl-4.5">
            @for (line of v.departures; track line) {
              <li>{{ line }}</li>
            }
          </ul>
        </section>
      }
      <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="tray">
        <h2 id="tray" class="ruled">
          {{ v.trays ? say.theTraysAlongThe() : say.theTray() }}
        </h2>
        <hy-trial-map [cells]="v.cells" [columns]="v.columns" [piece]="v.piece" />
        <p class="quiet small">
          {{
            say.seed({
              what: v.trays
                ? say.alongTheBenchEvery({ armsCount: v.arms.length })
                : say.randomLayoutEveryRow(),
              seed: v.seed,
            })
          }}
        </p>
      </section>
      <section
        class="grid grid-cols-1 gap-3 print:break-inside-avoid"
        [attr.aria-label]="say.groups()"
      >
        <hy-table [name]="say.groups()" heading [columns]="columns()" [rows]="v.arms" />
      </section>
      <section class="grid grid-cols-1 gap-3 print:break-inside-avoid" aria-labelledby="agreed">
        <h2 id="agreed" class="ruled">{{ say.agreedBeforeTheFirst() }}</h2>
        <ul class="max-w-[68ch] m-0 pl-4.5">
          @if (v.size) {
            <li>{{ v.size }}</li>
          }
          @for (rule of v.rules; track rule) {
            <li>{{ rule }}</li>
          }
        </ul>
      </section>
      @if (v.figures.length > 0) {
        <hy-fold [heading]="say.howThisWasWorked()">
          <ng-template>
            @for (line of v.figures; track $index) {
              <p class="max-w-[68ch]">{{ line }}</p>
            }
          </ng-template>
        </hy-fold>
      }
      @if (v.open) {
        <section
          aria-labelledby="give-up"
          class="no-print grid grid-cols-1 gap-3 print:break-inside-avoid"
        >
          <h2 id="give-up" class="ruled">{{ say.giveItUp() }}</h2>
          <div class="row flex flex-wrap items-end gap-4">
            <hy-field class="flex-[0_1_26rem]" [label]="say.why()" [problem]="problem()">
              <input hyControl type="text" maxlength="400" #why />
            </hy-field>
            <button type="button" matButton="outlined" (click)="giveUp(why.value)">
              {{ say.giveUpTheTrial() }}
            </button>
          </div>
          <p class="quiet small">{{ say.itsBatchesStayOn() }}</p>
        </section>
      }
    } @else {
      <h1>{{ say.noSuchTrial() }}</h1>
      <p>
        {{ say.itMayBeIn() }} <a routerLink="/results/trials">{{ say.toTheTrials() }}</a>
      </p>
    }
  `,
  styleUrl: './pages.scss',
})
export class TrialPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly words = inject(Words);
  private readonly today = inject(Today).day;
  readonly id = input.required<string>();
  protected readonly problem = signal('');

  private readonly set: readonly Column<ArmRow>[] = [
    { key: 'arm', head: say.group(), text: (a) => `${a.letter} ${a.name}`, sort: (a) => a.letter },
    {
      key: 'batch',
      head: say.batch(),
      text: (a) => a.code,
      link: (a) => (a.batch ? ['/bench', a.batch] : null),
    },
    {
      key: 'set',
      head: say.setWord(),
      number: true,
      text: (a) => `${a.stuck}`,
      sort: (a) => a.stuck,
    },
    {
      key: 'rooted',
      head: say.rootedAlive(),
      number: true,
      text: (a) => `${a.rooted}`,
      sort: (a) => a.rooted,
    },
    { key: 'lost', head: say.lost(), number: true, text: (a) => `${a.lost}`, sort: (a) => a.lost },
    {
      key: 'waiting',
      head: say.waiting(),
      number: true,
      text: (a) => `${a.waiting}`,
      sort: (a) => a.waiting,
    },
    { key: 'share', head: say.share(), number: true, text: (a) => a.share },
  ];
  /** With its young, where its pieces bring any: named as the plant's are. */
  protected readonly columns = computed((): readonly Column<ArmRow>[] => {
    const young = this.young();
    if (young === null) return this.set;
    const head = YOUNG_KEY[young].name;
    return [...this.set, { key: 'young', head, number: true, text: (a) => a.young }];
  });
  private readonly young = computed((): Young | null => {
    const state = this.journal.state();
    const { taxon, method } = state.trials.get(this.id()) ?? {};
    const plant = taxon === undefined ? null : (plantOf(state, taxon)?.taxon ?? null);
    const way = plant?.methods.find((m) => m.method === method);
    return way?.pups ? methodAs(plant, way.method).young : null;
  });

  protected readonly view = computed(() => {
    const state = this.journal.state();
    const trial = state.trials.get(this.id());
    if (!trial) return null;
    const arms = trial.arms ?? [];
    const result = judgeTrial(state, trial, this.today());
    const trays = needsTrays(trial.factor);
    const columns = trays ? traysInRow(Math.max(2, arms.length)) : (trial.columns ?? 1);
    const layout = trays
      ? traysOf(trial)
      : trialLayout(arms.length, trial.each ?? 0, columns, trial.seed ?? 0);
    const turn = arms.map(() => 0);
    const inCell = new Map<number, { cutting: Cutting; cut: boolean }>();
    for (const { batch } of result.arms)
      batch?.cuttings.forEach((cutting) => {
        const cell = batch.cells?.[cutting.place];
        if (cell !== undefined) inCell.set(cell, { cutting, cut: batch.cut !== null });
      });
    const cells = layout.map((arm, cell): TrialCell => {
      if (trays) {
        const batch = result.arms[arm]?.batches[turn[arm]!++];
        const counted = batch
          ? say.ofRooted({ pupped: batch.counts.rooted + batch.counts.pupped, count: batch.count })
          : '';
        return {
          arm,
          mark: null,
          says: say.tray({
            cell: cell + 1,
            armLetter: armLetter(arm),
            name: arms[arm]?.name ?? '',
            counted,
          }),
        };
      }
      const there = inCell.get(cell);
      const name = `${armLetter(arm)}, ${arms[arm]?.name ?? ''}`;
      return there?.cut
        ? {
            arm,
            mark: markOf(there.cutting, 1, false, this.today()),
            says: `${name}, ${OUTCOME_WORD[there.cutting.outcome]}`,
          }
        : { arm, mark: null, says: name };
    });
    const plant = trial.taxon ? plantOf(state, trial.taxon)?.name : undefined;
    const first = result.arms.find((a) => a.batch)?.batch;
    return {
      name: trial.name ?? say.unnamedTrial(),
      about: [
        trial.factor ? inSentence(FACTOR_NAME[trial.factor]) : '',
        plant && trial.method ? `${plant}, ${METHOD[trial.method].many}` : '',
        trial.cutOn ? say.cut({ day: this.words.day(trial.cutOn) }) : '',
      ]
        .filter(Boolean)
        .join(' · '),
      question: trial.question,
      verdict: verdictWords(trial, result),
      few: tooFewTrays(result),
      trays,
      figures: result.against.map((a) => this.figures(a, result.arms)),
      departures: result.departures,
      arms: result.arms.map((a, i) => ({
        letter: armLetter(i),
        name: a.name,
        // Of many trays each has a page of its own: none of them is the arm.
        batch: a.batches.length > 1 ? undefined : a.batch?.id,
        code:
          a.batches.length > 1
            ? say.trays({ batchesCount: a.batches.length })
            : a.batch
              ? batchCode(state, a.batch)
              : '',
        stuck: a.stuck,
        rooted: a.rooted,
        lost: a.lost,
        waiting: a.waiting,
        young:
          a.young.heads === null
            ? `${a.young.pieces}`
            : say.inAll({ pieces: a.young.pieces, heads: a.young.heads }),
        // Until it is judged no share is told: see the rules.
        share: result.stage === 'judged' && a.share ? this.words.percentSpan(a.share) : '',
      })),
      cells,
      columns,
      piece: first ? drawnOf(state, first) : METHOD[trial.method ?? 'leaf'].piece,
      seed: trial.seed ?? 0,
      size: sizeWords(trial) || traySize(trial, correlationOf(state)),
      rules: [...trayRules(trial), ...stopRules(trial, (day) => this.words.longDay(day))],
      open: result.stage !== 'judged' && result.stage !== 'stopped',
    };
  });

  constructor() {
    namePage(() => this.view()?.name ?? '');
  }

  protected print(): void {
    window.print();
  }

  protected async giveUp(reason: string): Promise<void> {
    const stopped = reason.trim();
    this.problem.set(stopped === '' ? say.sayWhyATrial() : '');
    if (stopped === '') return;
    await this.actions.record(
      { kind: 'put', record: 'trial', key: this.id(), fields: { stopped } },
      say.theTrialIsGiven(),
    );
  }

  private figures(
    { arm, difference, p, rows, trays }: ArmAgainst,
    arms: readonly { readonly name: string }[],
  ): string {
    const by = difference
      ? say.of100To({
          points: points(difference.difference),
          points2: points(difference.low),
          points3: points(difference.high),
        })
      : say.nothingToTell();
    const chance = pText(p);
    const within = rows
      ? say.withinRowsOfThe({
          oddsRatio: this.words.decimal(rows.oddsRatio, 1),
          low: this.words.decimal(rows.low, 1),
          high: this.words.decimal(rows.high, 1),
        })
      : '';
    return say.less({
      name: arms[arm]!.name,
      name2: inSentence(arms[0]!.name),
      by,
      what: trays
        ? trays.enough
          ? say.byTraysAgainst({ trays: trays.trays[0], trays2: trays.trays[1], chance })
          : say.byTrays()
        : say.fishersExactTest({ chance }),
      within,
    });
  }
}
