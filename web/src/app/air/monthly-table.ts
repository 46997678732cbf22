import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import {
  monthProblem,
  type MonthAir,
  type MonthlyClimate,
  type MonthProblem,
} from '@hypogeon/core/climate';
import { readMonthly, readTable } from '@hypogeon/core/formats';
import { temperatureIn } from '@hypogeon/core/units';
import { monthlyProblemText, monthNames, monthProblemText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/monthly-table';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { FilePick } from '../forms/file-pick';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

type Cell = 'min' | 'max' | 'rh';
type Row = Readonly<Record<Cell, string>>;

const MONTHS = monthNames();

/** The fields at which a problem stands. */
const WRONG_AT: Readonly<Record<MonthProblem, readonly Cell[]>> = {
  low: ['min'],
  high: ['max'],
  crossed: ['min', 'max'],
  humidity: ['rh'],
  wind: [],
};

/** Twelve months of lows, highs and humidity, typed and kept once all of them make sense. */
@Component({
  selector: 'hy-monthly-table',
  imports: [CellOf, Field, FieldControl, FilePick, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-table
      class="max-w-160"
      form
      [name]="say.theUsualYearBy()"
      [columns]="columns"
      [rows]="months()"
    >
      @for (cell of cells; track cell) {
        <ng-template [hyCell]="cell" [of]="months()" let-row>
          <hy-field unseen [label]="row.name + ', ' + word[cell]" [invalid]="bad(row, cell)">
            <input
              hyControl
              inputmode="decimal"
              autocomplete="off"
              [value]="row[cell]"
              (change)="type(row.month, cell, box.value)"
              #box
            />
          </hy-field>
        </ng-template>
      }
    </hy-table>
    <hy-file-pick
      look="outlined"
      [label]="say.twelveMonthsFromA()"
      accept=".csv,.txt,.tsv,text/csv"
      (picked)="choose($event[0])"
    />
    <p [class]="problem() ? 'problem' : 'small quiet'" [attr.role]="problem() ? 'alert' : null">
      {{ problem() || status() }}
    </p>
  `,
})
export class MonthlyTable {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly monthly = input.required<readonly MonthAir[] | null>();
  readonly changed = output<MonthAir[] | null>();

  protected readonly cells = ['min', 'max', 'rh'] as const;
  protected readonly word = {
    min: say.meanLow(),
    max: say.meanHigh(),
    rh: say.humidityOf(),
  } as const;
  protected readonly unit = this.words.temperatureUnit;

  private readonly typed = signal<readonly Row[] | null>(null);
  protected readonly rows = computed<readonly Row[]>(() => this.typed() ?? this.kept());

  protected readonly months = computed(() =>
    this.rows().map((row, month) => ({ ...row, month, name: MONTHS[month]! })),
  );
  protected readonly columns: readonly Column<ReturnType<typeof this.months>[number]>[] = [
    { key: 'month', head: say.month(), text: (r) => r.name },
    { key: 'min', head: say.meanLowIn({ unit: this.unit() }), number: true, text: (r) => r.min },
    { key: 'max', head: say.meanHighIn({ unit: this.unit() }), number: true, text: (r) => r.max },
    { key: 'rh', head: say.humidity(), number: true, text: (r) => r.rh },
  ];

  private readonly refused = signal('');
  protected readonly problem = computed(() => {
    if (this.refused()) return this.refused();
    const rows = this.rows();
    for (const [m, row] of rows.entries()) {
      const wrong = monthProblem(this.read(row));
      if (wrong) return monthProblemText(MONTHS[m]!, wrong, this.unit());
    }
    return '';
  });
  protected readonly status = computed(() => {
    const left = this.rows().filter((r) => this.cells.some((c) => r[c].trim() === '')).length;
    if (left === 12) return say.notTold();
    return left === 0
      ? say.wholeInUse()
      : say.stillToFillUsed({ what: left === 1 ? say.oneMonth() : say.months({ left }) });
  });

  protected bad(row: Row, cell: Cell): boolean {
    const wrong = row[cell].trim() === '' ? null : monthProblem(this.read(row));
    return wrong !== null && WRONG_AT[wrong].includes(cell);
  }

  /** What of a month is told so far. */
  private read(row: Row): Partial<MonthAir> {
    const told = (text: string, read: (t: string) => number): number | undefined =>
      text.trim() === '' ? undefined : read(text);
    const celsius = (text: string): number => this.words.celsius(text);
    return {
      minC: told(row.min, celsius),
      maxC: told(row.max, celsius),
      rh: told(row.rh, (t) => this.words.share(t)),
    };
  }

  protected async choose(file: File | undefined): Promise<void> {
    if (!file) return;
    const table = readTable(await file.text());
    const read = table ? readMonthly(table) : null;
    this.refused.set(
      !read ? say.thereIsNoTable() : read.ok ? '' : monthlyProblemText(read.problem, this.unit()),
    );
    if (!read?.ok) return;
    this.typed.set(null);
    this.changed.emit([...read.monthly]);
  }

  protected type(month: number, cell: Cell, text: string): void {
    this.refused.set('');
    const rows = this.rows().map((r, m) => (m === month ? { ...r, [cell]: text } : r));
    this.typed.set(rows);
    if (this.problem()) return;
    if (rows.every((r) => this.cells.every((c) => r[c].trim() === ''))) this.changed.emit(null);
    else if (rows.every((r) => this.cells.every((c) => r[c].trim() !== ''))) {
      const [before, kept] = [this.monthly(), this.kept()];
      this.changed.emit(
        rows.map((r, m) =>
          // A month that was not touched stays as it is: a guess, too, and to the hundredth of a degree.
          before?.[m] && this.cells.every((c) => r[c] === kept[m]![c])
            ? before[m]
            : this.month(r, before?.[m]),
        ),
      );
      this.typed.set(null);
    }
  }

  private month(row: Row, before: MonthAir | undefined): MonthAir {
    const celsius = (text: string): number => +this.words.celsius(text).toFixed(2);
    const { windMps } = before ?? {};
    return {
      minC: celsius(row.min),
      maxC: celsius(row.max),
      rh: this.words.share(row.rh),
      ...(windMps === undefined ? {} : { windMps }),
    };
  }

  private kept(): readonly Row[] {
    const monthly: MonthlyClimate | null = this.monthly();
    const shown = (c: number): string => String(+temperatureIn(c, this.unit()).toFixed(1));
    return MONTHS.map((_, m) => {
      const month = monthly?.[m];
      return month
        ? { min: shown(month.minC), max: shown(month.maxC), rh: String(Math.round(month.rh * 100)) }
        : { min: '', max: '', rh: '' };
    });
  }
}
