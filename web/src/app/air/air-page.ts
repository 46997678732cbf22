import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import {
  MatExpansionPanel,
  MatExpansionPanelHeader,
  MatExpansionPanelTitle,
} from '@angular/material/expansion';
import { MatOption, MatSelect } from '@angular/material/select';
import { airOf, dryingOf, yearOf } from '@hypogeon/core/bench';
import {
  LIGHT_LEVEL,
  LIGHT_LEVELS,
  lightFrom,
  SKY_SEEN,
  SUN_SEEN,
  type SkySeen,
  type SunSeen,
  guessedMonths,
  monthlyFrom,
  type AirReading,
  type MonthAir,
} from '@hypogeon/core/climate';
import { addDays } from '@hypogeon/core/days';
import { SETTINGS_KEY, loggedSeries, type SpaceFields } from '@hypogeon/core/journal';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { monthNames } from '@hypogeon/words';
import { say } from '@hypogeon/messages/air-page';
import { Words } from '../data/words';
import { airChart, airPoints } from '../charts/air-chart';
import { Chart } from '../charts/chart';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MonthlyTable } from './monthly-table';
import { WeatherImport } from './weather-import';
import { NumberPipe } from '../ui/number-pipe';

const SKY_WORD: Readonly<Record<SkySeen, string>> = {
  get none() {
    return say.noneOfIt();
  },
  get slice() {
    return say.aSlice();
  },
  get half() {
    return say.aboutHalf();
  },
  get glass() {
    return say.nearlyAllThroughGlass();
  },
  get open() {
    return say.nearlyAllOutdoors();
  },
};
const SUN_WORD: Readonly<Record<SunSeen, string>> = {
  get never() {
    return say.never();
  },
  get hours() {
    return say.aFewHours();
  },
  get most() {
    return say.mostOfTheDay();
  },
};

/** The air of one place: what it is like, its readings, its usual year, and where both come from. */
@Component({
  selector: 'hy-air-page',
  imports: [
    MatCheckbox,
    MatButton,
    MatOption,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
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
  host: { class: 'grid grid-cols-1 gap-7.5' },
  templateUrl: './air-page.html',
  styleUrl: './air-page.scss',
})
export class AirPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  protected readonly today = inject(Today).day;
  protected readonly state = this.journal.state;

  readonly id = input.required<string>();

  protected readonly levels = LIGHT_LEVELS.map((id) => LIGHT_LEVEL[id]);
  protected readonly space = computed(() => this.state().spaces.get(this.id()) ?? null);
  protected readonly latitude = computed(() => this.state().settings.latitude);
  /** What a leaf sees from there, looked at on the spot. */
  protected readonly sky = signal<SkySeen | null>(null);
  protected readonly sun = signal<SunSeen | null>(null);
  protected readonly skies = SKY_SEEN.map((id) => ({ id, says: SKY_WORD[id] }));
  protected readonly suns = SUN_SEEN.map((id) => ({ id, says: SUN_WORD[id] }));
  protected readonly seenLevel = computed(() => {
    const [sky, sun] = [this.sky(), this.sun()];
    return sky && sun ? LIGHT_LEVEL[lightFrom(sky, sun)] : null;
  });
  protected readonly problem = signal<{ readonly field: string; readonly says: string } | null>(
    null,
  );
  protected readonly span = signal<30 | 365 | 0>(30);

  protected readonly now = computed(() => {
    const state = this.state();
    const air = airOf(state, this.id(), this.today());
    const { evaporationMm, molPerDay, windMps } = dryingOf(state, this.id(), this.today());
    return { air, evaporationMm, molPerDay, windMps };
  });

  protected readonly readings = computed<readonly AirReading[]>(
    () => this.state().air.get(this.id()) ?? [],
  );
  protected readonly filled = computed(() => this.readings().filter((r) => r.rhFilled).length);
  protected readonly yearToMake = computed(() =>
    yearOf(this.readings(), this.latitude(), this.space() ?? undefined),
  );
  /** Some of its months were read, the others follow them. */
  protected readonly partly = computed(
    () => this.yearToMake() !== null && monthlyFrom(this.readings()) === null,
  );

  /** Months that follow the wave, by name. */
  protected readonly guessed = computed(() => {
    const { locale } = this.words.speech();
    const names = monthNames(locale);
    return new Intl.ListFormat(locale).format(guessedMonths(this.readings()).map((m) => names[m]!));
  });

  private readonly days = computed(() => {
    const span = this.span();
    const list = this.readings();
    const last = list.at(-1)?.day;
    return last === undefined || span === 0
      ? list
      : list.filter((r) => r.day > addDays(last, -span));
  });
  protected readonly chart = computed(() => {
    const days = this.days();
    const series = loggedSeries(this.state().log.get(`air/${this.id()}`) ?? []);
    const from = this.span() === 0 ? null : (days[0]?.day ?? null);
    const points = airPoints(series, this.readings(), from);
    return airChart(this.space()?.name ?? '', points, days, this.words.speech());
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
    this.problem.set(good ? null : { field, says: say.betweenAndOrNothing({ low, high }) });
    if (good) this.put({ [field]: text.trim() === '' ? null : value });
  }

  /** A difference of temperatures, in the grower's degrees. */
  protected degrees(kelvin: number): string {
    return `${+(this.words.temperatureUnit() === 'F' ? kelvin * 1.8 : kelvin).toFixed(1)}`;
  }

  protected setMat(text: string): void {
    const value = numberFrom(text) / (this.words.temperatureUnit() === 'F' ? 1.8 : 1);
    const good = text.trim() === '' || (value >= 0 && value <= 25);
    const says = say.from0ToDegrees({ degrees: this.degrees(25) });
    this.problem.set(good ? null : { field: 'matC', says });
    if (good) this.put({ matC: text.trim() === '' ? null : value });
  }

  protected setLatitude(text: string): void {
    const value = numberFrom(text);
    const good = text.trim() === '' || (value >= -90 && value <= 90);
    this.problem.set(good ? null : { field: 'latitude', says: say.between90And90() });
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
        return this.now().air.rhFilled ? say.readingHumidityFilledIn() : say.reading();
      case 'climate':
        return this.space()?.monthly
          ? say.usualForThisTime()
          : say.theYearThatDays({ number: this.words.number(this.readings().length) });
      case 'usual':
        return say.usualAirOfThe();
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
      say.theUsualYearIs(),
    );
  }

  protected setSpan(span: 30 | 365 | 0): void {
    this.span.set(span);
  }
}
