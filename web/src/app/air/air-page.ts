import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { airOf, dryingOf } from '@hypogeon/core/bench';
import {
  LIGHT_LEVEL,
  LIGHT_LEVELS,
  monthlyFrom,
  type AirReading,
  type MonthAir,
} from '@hypogeon/core/climate';
import { addDays, dayNumber } from '@hypogeon/core/days';
import { SETTINGS_KEY, loggedSeries, type SpaceFields } from '@hypogeon/core/journal';
import { temperatureIn } from '@hypogeon/core/units';
import type { EChartsCoreOption } from 'echarts/core';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { saveText } from '../data/save-text';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Chart, type Ink } from '../ui/chart';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MonthlyTable } from './monthly-table';
import { WeatherImport } from './weather-import';
import { NumberPipe } from '../ui/number-pipe';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const GAP_MS = 8 * DAY_MS;

/** The air of one place: what it is like, its readings, its usual year, and where both come from. */
@Component({
  selector: 'hy-air-page',
  imports: [
    Table,
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    NumberPipe,
    Field,
    FieldControl,
    RouterLink,
    Chart,
    MonthlyTable,
    WeatherImport,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './air-page.html',
  styleUrl: './air-page.scss',
})
export class AirPage {
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  protected readonly state = this.journal.state;

  readonly id = input.required<string>();
  private readonly chart = viewChild(Chart);

  protected readonly levels = LIGHT_LEVELS.map((id) => LIGHT_LEVEL[id]);
  protected readonly space = computed(() => this.state().spaces.get(this.id()) ?? null);
  protected readonly latitude = computed(() => this.state().settings.latitude);
  protected readonly problem = signal<{ readonly field: string; readonly says: string } | null>(
    null,
  );
  protected readonly span = signal<30 | 365 | 0>(30);
  protected readonly table = signal(false);

  protected readonly now = computed(() => {
    const state = this.state();
    const air = airOf(state, this.id(), this.today());
    const { evaporationMm, molPerDay, windMps } = dryingOf(state, this.id(), this.today());
    return { air, evaporationMm, molPerDay, windMps };
  });
  private told(tempC: number | undefined): string {
    return tempC === undefined ? '' : this.words.temperature(tempC);
  }

  protected readonly columns: readonly Column<AirReading>[] = [
    { key: 'day', head: 'Day', text: (r) => this.words.day(r.day), sort: (r) => r.day },
    {
      key: 'mean',
      head: 'Mean',
      number: true,
      text: (r) => this.words.temperature(r.tempC),
      sort: (r) => r.tempC,
    },
    {
      key: 'low',
      head: 'Low',
      number: true,
      text: (r) => this.told(r.minC),
      sort: (r) => r.minC ?? null,
    },
    {
      key: 'high',
      head: 'High',
      number: true,
      text: (r) => this.told(r.maxC),
      sort: (r) => r.maxC ?? null,
    },
    {
      key: 'humidity',
      head: 'Humidity',
      number: true,
      text: (r) => `${this.words.percent(r.rh)}${r.rhFilled ? ' filled in' : ''}`,
      sort: (r) => r.rh,
    },
  ];
  protected readonly readings = computed<readonly AirReading[]>(
    () => this.state().air.get(this.id()) ?? [],
  );
  protected readonly filled = computed(() => this.readings().filter((r) => r.rhFilled).length);
  protected readonly yearToMake = computed(() => monthlyFrom(this.readings()));

  /** Raw readings where a logger gave them, else the days. */
  private readonly points = computed(() => {
    const span = this.span();
    const last = this.readings().at(-1)?.day ?? this.today();
    const end = last > this.today() ? last : this.today();
    const from = span === 0 ? '' : addDays(last < addDays(this.today(), -span) ? last : end, -span);
    const series = loggedSeries(this.state().log.get(`air/${this.id()}`) ?? []);
    const first = from === '' ? -Infinity : dayNumber(from) * 1440;
    const logged = new Set<number>();
    const points: { at: number; tempC: number | null; rh: number | null }[] = [];
    series.minutes.forEach((minute, i) => {
      if (minute < first) return;
      logged.add(Math.floor(minute / 1440));
      const { tempC, minC, maxC, rh } = series.columns;
      const low = minC?.[i];
      const high = maxC?.[i];
      points.push({
        at: minute * MINUTE_MS,
        tempC: tempC?.[i] ?? (low != null && high != null ? (low + high) / 2 : null),
        rh: rh?.[i] ?? null,
      });
    });
    for (const r of this.readings())
      if (r.day >= from && (!logged.has(dayNumber(r.day)) || r.rhFilled))
        points.push({
          at: dayNumber(r.day) * DAY_MS + DAY_MS / 2,
          tempC: logged.has(dayNumber(r.day)) ? null : r.tempC,
          rh: r.rh,
        });
    points.sort((a, b) => a.at - b.at);
    // A line across weeks without a reading would be a lie: it breaks there.
    return points.flatMap((p, i) => {
      const before = points[i - 1];
      return before && p.at - before.at > GAP_MS
        ? [{ at: before.at + 1, tempC: null, rh: null }, p]
        : [p];
    });
  });
  protected readonly pointCount = computed(() => this.points().length);
  protected readonly days = computed(() => {
    const span = this.span();
    const list = this.readings();
    const last = list.at(-1)?.day;
    return last === undefined || span === 0
      ? list
      : list.filter((r) => r.day > addDays(last, -span));
  });

  protected readonly option = computed(() => {
    const points = this.points();
    const unit = this.words.temperatureUnit();
    type Point = (typeof points)[number];
    // A gap stays in as nothing; where only the other curve has a value, it is left out.
    const series = (of: (p: Point) => number | null): (number | null)[][] =>
      points.flatMap((p) => {
        const v = of(p);
        return v === null && (p.tempC !== null || p.rh !== null) ? [] : [[p.at, v]];
      });
    const temperature = series((p) =>
      p.tempC === null ? null : +temperatureIn(p.tempC, unit).toFixed(2),
    );
    const humidity = series((p) => (p.rh === null ? null : +(p.rh * 100).toFixed(1)));
    return (ink: Ink): EChartsCoreOption => ({
      grid: { left: 48, right: 52, top: 34, bottom: 64 },
      tooltip: {
        trigger: 'axis',
        backgroundColor: ink('--face'),
        borderColor: ink('--line'),
        textStyle: { color: ink('--ink') },
      },
      dataZoom: [
        { type: 'inside' },
        {
          type: 'slider',
          height: 26,
          bottom: 8,
          borderColor: ink('--line'),
          fillerColor: `${ink('--living-soft')}88`,
          dataBackground: {
            lineStyle: { color: ink('--soil') },
            areaStyle: { color: ink('--soil-soft') },
          },
        },
      ],
      xAxis: { type: 'time', axisLine: { lineStyle: { color: ink('--ink') } } },
      yAxis: [
        {
          type: 'value',
          name: `°${unit}`,
          scale: true,
          splitLine: { lineStyle: { color: ink('--line') } },
        },
        { type: 'value', name: '% RH', min: 0, max: 100, splitLine: { show: false } },
      ],
      series: [
        {
          name: `°${unit}`,
          type: 'line',
          data: temperature,
          showSymbol: temperature.length < 80,
          symbolSize: 5,
          sampling: 'lttb',
          lineStyle: { width: 2 },
          color: ink('--pot'),
        },
        {
          name: '% RH',
          type: 'line',
          yAxisIndex: 1,
          data: humidity,
          showSymbol: false,
          sampling: 'lttb',
          lineStyle: { width: 1.6, type: [6, 3] },
          color: ink('--water'),
        },
      ],
    });
  });

  protected put(fields: SpaceFields): void {
    void this.actions.record({ kind: 'put', record: 'space', key: this.id(), fields }, '');
  }

  protected setLevel(value: string): void {
    this.put({ lightLevel: LIGHT_LEVELS.find((l) => l === value) ?? null });
  }

  /** An optional figure of the place, within what makes sense. */
  protected figure(
    field: 'windMps' | 'lampPpfd' | 'lampHours',
    text: string,
    low: number,
    high: number,
  ): void {
    const value = numberFrom(text);
    const good = text.trim() === '' || (value >= low && value <= high);
    this.problem.set(good ? null : { field, says: `Between ${low} and ${high}, or nothing.` });
    if (good) this.put({ [field]: text.trim() === '' ? null : value });
  }

  /** A difference of temperatures, in the grower's degrees. */
  protected degrees(kelvin: number): string {
    return `${+(this.words.temperatureUnit() === 'F' ? kelvin * 1.8 : kelvin).toFixed(1)}`;
  }

  protected setMat(text: string): void {
    const value = numberFrom(text) / (this.words.temperatureUnit() === 'F' ? 1.8 : 1);
    const good = text.trim() === '' || (value >= 0 && value <= 25);
    const says = `From 0 to ${this.degrees(25)} degrees, or nothing.`;
    this.problem.set(good ? null : { field: 'matC', says });
    if (good) this.put({ matC: text.trim() === '' ? null : value });
  }

  protected setLatitude(text: string): void {
    const value = numberFrom(text);
    const good = text.trim() === '' || (value >= -90 && value <= 90);
    this.problem.set(
      good ? null : { field: 'latitude', says: 'Between −90 and 90, south negative.' },
    );
    if (!good) return;
    void this.actions.record(
      {
        kind: 'put',
        record: 'settings',
        key: SETTINGS_KEY,
        fields: { latitude: text.trim() === '' ? null : value },
      },
      '',
    );
  }

  protected says(field: string): string {
    const problem = this.problem();
    return problem?.field === field ? problem.says : '';
  }

  protected from(): string {
    switch (this.now().air.from) {
      case 'reading':
        return this.now().air.rhFilled
          ? 'reading; humidity filled in from the night’s low'
          : 'reading';
      case 'climate':
        return 'usual for this time of the year';
      case 'usual':
        return 'usual air of the place';
    }
  }

  protected setYear(monthly: readonly MonthAir[] | null): void {
    this.put({ monthly: monthly?.map((m) => ({ ...m })) ?? null });
  }

  protected makeYear(): void {
    const monthly = this.yearToMake();
    if (!monthly) return;
    void this.actions.record(
      {
        kind: 'put',
        record: 'space',
        key: this.id(),
        fields: { monthly: monthly.map((m) => ({ ...m })) },
      },
      'The usual year is made',
    );
  }

  protected setSpan(span: 30 | 365 | 0): void {
    this.span.set(span);
  }

  protected picture(type: 'png' | 'svg'): void {
    this.chart()?.save(`air-${this.id()}`, type);
  }

  protected csv(): void {
    const rows = this.days().map((r) =>
      [
        r.day,
        r.tempC.toFixed(2),
        r.rh.toFixed(4),
        r.minC?.toFixed(2) ?? '',
        r.maxC?.toFixed(2) ?? '',
        r.rhFilled ? 'filled' : '',
      ].join(','),
    );
    saveText(`air-${this.id()}.csv`, ['day,tempC,rh,minC,maxC,humidity', ...rows].join('\n'));
  }
}
