import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { minuteText, SERIES_COLUMNS, type SeriesColumn } from '@hypogeon/core/climate';
import {
  DATE_ORDER_WORD,
  splitSeries,
  WEATHER_UNITS,
  type DateOrder,
  type WeatherMapping,
} from '@hypogeon/core/formats';
import { say } from '@hypogeon/messages/weather-import';
import { Actions } from '../data/actions';
import { AsyncTask } from '../data/async-task';
import { FILES_WORKER } from '../data/workers';
import { Journal, type Draft } from '../data/journal';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { numberFrom } from '../forms/number';
import type { ReadWeatherFile } from '../workers/files';
import { Field, FieldControl } from '../forms/field';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';
import { FilePick } from '../forms/file-pick';
import { NumberPipe } from '../ui/number-pipe';

const COLUMN_WORD: Readonly<Record<SeriesColumn, string>> = {
  get tempC() {
    return say.temperature();
  },
  get rh() {
    return say.humidity();
  },
  get minC() {
    return say.lowOfTheDay();
  },
  get maxC() {
    return say.highOfTheDay();
  },
  get windMps() {
    return say.wind();
  },
  get rainMm() {
    return say.rain();
  },
  get ppfd() {
    return say.light();
  },
};
const MOST_BYTES = 40_000_000;

/** A logger's or weather service's table into the readings of a place: columns told, result shown first. */
@Component({
  selector: 'hy-weather-import',
  imports: [Field, FieldControl, FilePick, MatButton, MatOption, MatSelect, NumberPipe, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="grid grid-cols-1 gap-3" aria-labelledby="import">
      <h2 id="import" class="ruled">{{ say.importATable() }}</h2>
      <p class="quiet">
        {{ say.csvOfALogger() }}
      </p>
      <div class="row flex flex-wrap gap-3">
        <hy-file-pick
          look="outlined"
          [label]="say.chooseAFile()"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          (picked)="choose($event[0])"
        />
        <button matButton="text" (click)="sample()">{{ say.tryTheOpenSeattle() }}</button>
      </div>
      <div aria-live="polite">
        @if (task.under()) {
          <p class="quiet">
            {{ say.reading({ name: name() }) }}
            <button type="button" matButton="text" (click)="stop()">{{ say.stop() }}</button>
          </p>
        }
        @if (problem()) {
          <p class="problem" role="alert">{{ problem() }}</p>
        }
      </div>
      @if (found(); as f) {
        <div class="grid grid-cols-1 gap-3 py-4 border-t-2 border-ink border-b-2">
          <h3>{{ say.rows({ name: name(), hyNumber: (f.rows | hyNumber) }) }}</h3>
          <hy-table form [name]="say.firstRowsOfThe()" [columns]="sampled()" [rows]="f.sample" />
          <div class="grid auto-fill-56 gap-y-3.5 gap-x-5">
            <hy-field [label]="say.date()">
              <mat-select [value]="f.mapping.date" (selectionChange)="map({ date: +$event.value })">
                @for (h of f.header; track $index) {
                  <mat-option [value]="$index">{{ h }}</mat-option>
                }
              </mat-select>
            </hy-field>
            <hy-field [label]="say.timeOfDay()">
              <mat-select
                [value]="f.mapping.time ?? ''"
                (selectionChange)="map({ time: $event.value === '' ? null : +$event.value })"
              >
                <mat-option value="">{{ say.inTheDateOr() }}</mat-option>
                @for (h of f.header; track $index) {
                  <mat-option [value]="$index">{{ h }}</mat-option>
                }
              </mat-select>
            </hy-field>
            <hy-field
              [label]="say.datesAreWritten()"
              [hint]="f.orders.length > 1 ? say.dayAndMonthCould() : ''"
            >
              <mat-select [value]="f.mapping.order" (selectionChange)="setOrder($event.value)">
                @for (o of f.orders; track o) {
                  <mat-option [value]="o">{{ orderWord[o] }}</mat-option>
                }
              </mat-select>
            </hy-field>
            @if (f.read.zones.length > 0) {
              <hy-field
                [label]="say.moveAllTimesBy()"
                [hint]="say.theyAreMarkedAnd({ zones: f.read.zones.join(', ') })"
              >
                <input
                  hyControl
                  type="text"
                  inputmode="decimal"
                  [value]="f.mapping.shiftHours ?? 0"
                  (change)="shift(hours.value)"
                  #hours
                />
              </hy-field>
            }
            @for (c of columns; track c) {
              <div class="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-1.5">
                <hy-field [label]="word[c]">
                  <mat-select
                    [value]="f.mapping.columns[c]?.index ?? ''"
                    (selectionChange)="setColumn(c, $event.value)"
                  >
                    <mat-option value="">{{ say.notInIt() }}</mat-option>
                    @for (h of f.header; track $index) {
                      <mat-option [value]="$index">
                        {{ h }}
                      </mat-option>
                    }
                  </mat-select>
                </hy-field>
                @if (f.mapping.columns[c]; as m) {
                  <hy-field [label]="say.unit({ word: word[c] })" unseen>
                    <mat-select [value]="m.unit" (selectionChange)="setUnit(c, $event.value)">
                      @for (u of units[c]; track u) {
                        <mat-option [value]="u">{{ u }}</mat-option>
                      }
                    </mat-select>
                  </hy-field>
                }
              </div>
            }
          </div>
          <p>
            @if (f.read.from && f.read.to) {
              <strong>{{
                say.readings({ hyNumber: (f.read.series.minutes.length | hyNumber) })
              }}</strong>
              {{
                say.fromToOneEvery({
                  day: words.day(f.read.from),
                  day2: words.day(f.read.to),
                  step: step(f.read.stepMinutes),
                })
              }}
            } @else {
              <strong>{{ say.nothingInItCan() }}</strong> {{ say.checkDateAndColumns() }}
            }
            {{
              f.read.duplicates > 0
                ? say.ofThemTwiceThe({ hyNumber: (f.read.duplicates | hyNumber) })
                : ''
            }}
            {{
              f.read.impossible > 0
                ? say.valuesNoBenchHas({ hyNumber: (f.read.impossible | hyNumber) })
                : ''
            }}
            @if (f.read.unreadable > 0) {
              {{
                say.thatAreNoNumbers({
                  hyNumber: (f.read.unreadable | hyNumber),
                  unreadableLike: f.read.unreadableLike ?? '',
                })
              }}
            }
          </p>
          @if (f.read.withoutHumidity && f.read.from) {
            <p>
              {{ say.withoutHumidityItIs() }}
            </p>
          }
          @if (f.read.gaps.length > 0) {
            <p>
              {{ say.gaps() }}
              @for (g of f.read.gaps; track $index) {
                {{ words.span(g.from, g.to) }} ({{
                  g.hours < 72
                    ? say.h({ hours: g.hours })
                    : say.days({ hyNumber: (g.hours / 24 | hyNumber) })
                }}){{ $last ? '.' : ', ' }}
              }
            </p>
          }
          @if (f.read.refused > 0) {
            <p>
              <strong>{{ say.rowsLeftOut({ hyNumber: (f.read.refused | hyNumber) }) }}</strong>
            </p>
            <ul class="m-0">
              @for (p of f.read.problems; track p.line) {
                <li>{{ say.line({ line: p.line, sentence: p.sentence }) }}</li>
              }
            </ul>
          }
          <div class="row flex flex-wrap gap-3">
            <button
              matButton="filled"
              [disabled]="f.read.series.minutes.length === 0"
              (click)="take()"
            >
              {{ say.takeTheseReadings() }}
            </button>
            <button matButton="text" (click)="leave()">{{ say.cancel() }}</button>
          </div>
        </div>
      }
    </section>
  `,
})
export class WeatherImport {
  protected readonly say = say;

  private readonly worker = inject(FILES_WORKER);
  protected readonly task = new AsyncTask();
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  readonly space = input.required<string>();

  protected readonly columns = SERIES_COLUMNS;
  protected readonly units = WEATHER_UNITS;
  protected readonly word = COLUMN_WORD;
  protected readonly orderWord = DATE_ORDER_WORD;

  protected readonly name = signal('');
  protected readonly problem = signal('');
  private readonly text = signal('');
  private readonly read = signal<ReadWeatherFile | null>(null);
  protected readonly found = computed(() => {
    const read = this.read();
    return read?.ok ? read : null;
  });
  protected readonly sampled = computed((): readonly Column<readonly string[]>[] =>
    (this.found()?.header ?? []).map((head, i) => ({
      key: `${i}`,
      head,
      text: (row) => row[i] ?? '',
    })),
  );

  protected async choose(file: File | undefined): Promise<void> {
    if (!file) return;
    this.problem.set('');
    if (file.size > MOST_BYTES) return this.problem.set(say.isLargerThan40({ name: file.name }));
    this.name.set(file.name);
    const text = await file.text();
    await this.look(text, null);
  }

  /** Daily weather of Seattle 2012–2015 from the National Oceanic and Atmospheric Administration. */
  protected async sample(): Promise<void> {
    this.problem.set('');
    this.name.set('seattle-weather.csv');
    try {
      const answer = await fetch('samples/seattle-weather.csv');
      if (!answer.ok) throw new Error('not there');
      await this.look(await answer.text(), null);
    } catch {
      this.problem.set(say.theTableDoesNot());
    }
  }

  protected map(fields: Partial<WeatherMapping>): void {
    const found = this.found();
    if (found) void this.look(this.text(), { ...found.mapping, ...fields });
  }

  protected setOrder(value: string): void {
    const order = this.found()?.orders.find((o): o is DateOrder => o === value);
    if (order) this.map({ order });
  }

  protected setColumn(column: SeriesColumn, value: string): void {
    const found = this.found();
    if (!found) return;
    const { [column]: before, ...rest } = found.mapping.columns;
    const unit = before?.unit ?? WEATHER_UNITS[column][0];
    this.map({ columns: value === '' ? rest : { ...rest, [column]: { index: +value, unit } } });
  }

  protected setUnit(column: SeriesColumn, unit: string): void {
    const found = this.found();
    const before = found?.mapping.columns[column];
    if (found && before)
      this.map({ columns: { ...found.mapping.columns, [column]: { ...before, unit } } });
  }

  protected step(minutes: number): string {
    if (minutes >= 1440)
      return minutes === 1440 ? say.day() : say.days2({ minutes: Math.round(minutes / 1440) });
    return minutes >= 60
      ? minutes === 60
        ? say.hour()
        : say.hours({ minutes: Math.round(minutes / 60) })
      : say.minutes({ minutes });
  }

  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const found = this.found();
    if (!found) return;
    const drafts = splitSeries(found.read.series).map((piece): Draft => {
      const [start] = piece.minutes;
      return {
        kind: 'series',
        day: minuteText(start!).slice(0, 10),
        space: this.space(),
        source: this.name().slice(0, 200),
        start: minuteText(start!),
        offsets: piece.minutes.map((m) => m - start!),
        columns: Object.fromEntries(Object.entries(piece.columns).map(([k, v]) => [k, [...v]])),
      };
    });
    const rows = found.read.series.minutes.length;
    const said = say.readingsTaken({ number: this.words.number(rows) });
    if (await this.actions.recordAll(drafts, said)) this.leave();
  }

  protected stop(): void {
    this.worker.stop();
  }

  protected shift(text: string): void {
    const hours = numberFrom(text);
    if (Math.abs(hours) <= 26) this.map({ shiftHours: hours });
    else this.problem.set(say.hoursBetween26And());
  }

  protected leave(): void {
    this.read.set(null);
    this.text.set('');
  }

  private async look(text: string, mapping: WeatherMapping | null): Promise<void> {
    this.text.set(text);
    const read = await this.task.run(say.reading2(), () =>
      this.worker.ask((w) => w.weather(text, mapping)),
    );
    if (read === undefined) return this.problem.set(this.task.problem());
    this.read.set(read);
    if (!read.ok) this.problem.set(read.problem);
  }
}
