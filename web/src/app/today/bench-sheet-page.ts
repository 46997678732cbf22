import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchCode, batchTitle } from '@hypogeon/core/bench';
import { isDay } from '@hypogeon/core/days';
import { contradictions, type Batch, type Counts } from '@hypogeon/core/journal';
import { careOf } from '@hypogeon/core/care';
import { walkStops } from '@hypogeon/core/walk';
import * as z from 'zod';
import { say } from '@hypogeon/messages/bench-sheet-page';
import { TALLY_KEYS, type Counted } from '../bench/tally-keys';
import { Actions } from '../data/actions';
import { Drafts } from '../data/drafts';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { DayField } from '../forms/day-field';
import { DraftNote } from '../forms/draft-note';
import { Field, FieldControl } from '../forms/field';

type Typed = Readonly<Record<string, Partial<Record<Counted, string>>>>;

interface SheetDraft {
  readonly day: string | null;
  readonly typed: Typed;
}

const sheetSchema: z.ZodType<SheetDraft> = z.object({
  day: z.string().nullable(),
  typed: z.record(z.string(), z.record(z.string(), z.string().max(12))),
});

/** The round on paper: printed, filled in by pencil at the benches, and typed in afterwards in the same order. */
@Component({
  selector: 'hy-bench-sheet-page',
  imports: [MatButton, DayField, DraftNote, Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  template: `
    <div class="page-head">
      <h1>{{ typing() ? say.typeTheSheetIn() : say.pencilSheet() }}</h1>
      <p class="quiet">{{ say.inTheOrderYou({ longDay: words.longDay(today()) }) }}</p>
      <div class="push row no-print flex flex-wrap items-end gap-y-2.5 gap-x-4">
        <button type="button" [matButton]="typing() ? 'outlined' : 'filled'" (click)="print()">
          {{ say.print() }}
        </button>
        <button
          type="button"
          matButton="outlined"
          [attr.aria-pressed]="typing()"
          (click)="typing.set(!typing())"
        >
          {{ typing() ? say.showThePaper() : say.typeItIn() }}
        </button>
        <a matButton="text" routerLink="/today/walk">{{ say.walkInstead() }}</a>
      </div>
    </div>
    <hy-draft-note [at]="left()" (afresh)="afresh()" />
    @if (typing()) {
      <p class="no-print">{{ say.typeWhatChangedA() }}</p>
    }
    @for (bench of benches(); track bench.name) {
      <section [attr.aria-label]="bench.name">
        <h2 class="ruled">{{ bench.name }}</h2>
        <div
          class="scroll overflow-x-auto"
          tabindex="0"
          role="region"
          [attr.aria-label]="say.counts({ name: bench.name })"
        >
          <table class="w-full min-w-208">
            <thead>
              <tr class="print:break-inside-avoid">
                <th scope="col">{{ say.tray() }}</th>
                <th scope="col">{{ say.batch() }}</th>
                <th scope="col" class="number">{{ say.inAll() }}</th>
                @for (key of keys; track key.outcome) {
                  <th scope="col">{{ key.name }}</th>
                }
                <th scope="col" class="look min-w-48 pl-3 small">{{ say.lookAt() }}</th>
              </tr>
            </thead>
            <tbody>
              @for (row of bench.rows; track row.batch.id) {
                <tr class="print:break-inside-avoid">
                  <th scope="row">{{ row.tray }}</th>
                  <td>
                    {{ row.title }} <span class="code quiet">{{ row.code }}</span>
                  </td>
                  <td class="number">{{ row.batch.count }}</td>
                  @for (key of keys; track key.outcome) {
                    <td class="cell w-18.5 py-0.5 px-1 border border-line text-right align-bottom">
                      @if (typing()) {
                        <hy-field
                          unseen
                          [label]="key.name + ', ' + row.code"
                          [invalid]="row.problem !== ''"
                        >
                          <input
                            hyControl
                            inputmode="numeric"
                            autocomplete="off"
                            [placeholder]="row.batch.counts[key.outcome] + ''"
                            [value]="typed()[row.batch.id]?.[key.outcome] ?? ''"
                            (input)="type(row.batch.id, key.outcome, field.value)"
                            #field
                          />
                        </hy-field>
                      } @else {
                        <small>{{ row.batch.counts[key.outcome] }}</small>
                      }
                    </td>
                  }
                  <td class="look min-w-48 pl-3 small">
                    {{ row.asks }}
                    @if (row.problem && typing()) {
                      <span
                        class="problem block text-do font-semibold"
                        role="alert"
                        [id]="'p-' + row.batch.id"
                        >{{ row.problem }}</span
                      >
                    }
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
      </section>
    } @empty {
      <p>{{ say.nothingStandsOnThe() }}</p>
    }
    @if (typing() && benches().length > 0) {
      <div class="row no-print flex flex-wrap items-end gap-y-2.5 gap-x-4">
        <hy-day
          [label]="say.countedOn()"
          [problem]="dayProblem()"
          [value]="on()"
          [max]="today()"
          (valueChange)="day.set($event)"
        />
        <button
          type="button"
          matButton="filled"
          [disabled]="count() === 0 || wrong()"
          (click)="save()"
        >
          {{
            count() === 0
              ? say.nothingTypedYet()
              : count() === 1
                ? say.saveOneCount()
                : say.saveCounts({ count: count() })
          }}
        </button>
      </div>
    }
    <p class="quiet small">
      {{ say.smallFiguresAreThe() }}
    </p>
  `,
  styles: `
    .cell input {
      text-align: right;
    }
    @media print {
      table {
        min-width: 0;
        font-size: 9pt;
      }
      .cell {
        height: 9mm;
        width: 14mm;
        border-color: #000;
      }
    }
  `,
})
export class BenchSheetPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  private readonly state = inject(Journal).state;
  private readonly verdicts = inject(Water).verdicts;
  private readonly keeper = inject(Drafts).keeper('sheet', sheetSchema);

  protected readonly keys = TALLY_KEYS;
  protected readonly typed = signal<Typed>(this.keeper.read()?.typed ?? {});
  protected readonly typing = signal(Object.keys(this.typed()).length > 0);
  protected readonly day = signal<string | null>(this.keeper.read()?.day ?? null);
  protected readonly on = computed(() => this.day() ?? this.today());
  protected readonly dayProblem = computed(() => {
    if (!isDay(this.on())) return say.thatIsNotA();
    return this.on() > this.today() ? say.thatDayIsStill() : '';
  });

  private readonly rows = computed(() => {
    const state = this.state();
    return walkStops(state, this.today(), this.verdicts()).flatMap((stop) =>
      stop.batches
        .filter((b) => b.cut !== null)
        .map((batch) => ({
          bench: stop.spaceName,
          tray: stop.name,
          batch,
          title: batchTitle(state, batch),
          code: batchCode(state, batch),
          problem: this.problem(batch),
          asks: this.asks(batch),
        })),
    );
  });
  protected readonly benches = computed(() =>
    [...new Set(this.rows().map((r) => r.bench))].map((name) => ({
      name,
      rows: this.rows().filter((r) => r.bench === name),
    })),
  );
  private readonly told = computed(() => this.rows().filter((r) => this.typed()[r.batch.id]));
  protected readonly count = computed(() => this.told().length);
  protected readonly wrong = computed(
    () => this.dayProblem() !== '' || this.told().some((r) => r.problem !== ''),
  );

  constructor() {
    effect(() => {
      const typed = this.typed();
      const day = this.day();
      if (Object.keys(typed).length > 0) this.keeper.keep({ day, typed });
    });
  }

  private asks(batch: Batch): string {
    const verdict = this.verdicts().get(batch.id);
    const { asks, leave } = careOf(this.state(), batch, this.today(), verdict);
    return [...leave.map((l) => this.words.leave(l)), ...asks.map((a) => this.words.ask(a))].join(
      '; ',
    );
  }

  protected type(batch: string, outcome: Counted, value: string): void {
    this.typed.update((typed) => {
      const { [batch]: row = {}, ...others } = typed;
      const { [outcome]: _old, ...rest } = row;
      const next = value.trim() === '' ? rest : { ...rest, [outcome]: value.trim() };
      return Object.keys(next).length === 0 ? others : { ...others, [batch]: next };
    });
  }

  protected print(): void {
    this.typing.set(false);
    // The paper is drawn before it is printed.
    setTimeout(() => window.print());
  }

  /** When it was left, where it is taken up again. */
  protected readonly left = signal(this.keeper.keptAt());
  protected afresh(): void {
    this.keeper.drop();
    this.typed.set({});
    this.left.set(null);
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    const rows = this.told();
    const taken = await this.actions.recordAll(
      rows.map(({ batch }) => ({
        kind: 'tally',
        batch: batch.id,
        day: this.on(),
        counts: this.countsOf(batch),
      })),
      rows.length === 1 ? say.oneCountTypedIn() : say.countsTypedIn({ rowsCount: rows.length }),
    );
    if (!taken) return;
    this.keeper.drop();
    this.typed.set({});
    await this.router.navigate(['/today']);
  }

  private countsOf(batch: Batch): Counts {
    const row = this.typed()[batch.id] ?? {};
    const read = Object.entries(row).map(([outcome, text]) => [outcome, Number(text)]);
    return { ...batch.counts, ...(Object.fromEntries(read) as Partial<Counts>) };
  }

  private problem(batch: Batch): string {
    const row = this.typed()[batch.id];
    if (!row) return '';
    const odd = Object.values(row).find((text) => !/^\d{1,5}$/.test(text));
    if (odd !== undefined) return say.isNotAWhole({ odd });
    const [first] = contradictions(batch.counts, this.countsOf(batch), batch.count);
    return first ? say.ifThePaperIs({ first }) : '';
  }
}
