import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { airOf, isEmptyPlace, placesIn } from '@hypogeon/core/bench';
import { FEEDINGS, SETTINGS_KEY, type SettingsFields } from '@hypogeon/core/journal';
import { temperatureIn } from '@hypogeon/core/units';
import { WATER_SCHOOL } from '@hypogeon/core/water';
import { WOUND_SCHOOL } from '@hypogeon/core/wound';
import { capital, FEEDING_NAME, feedingSays } from '@hypogeon/words';
import { LANGUAGES } from '@hypogeon/messages/languages';
import { say } from '@hypogeon/messages/settings-page';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { JournalFile } from '../data/journal-file';
import { Language } from '../data/language';
import { Theme, THEMES, type ThemeChoice } from '../data/theme';
import { Today } from '../data/today';
import { touchedFields } from '../data/touched';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../forms/field';
import { Confirm } from '../ui/confirm';
import { DemoDoor } from '../ui/demo-door';
import { FindSetting } from './find-setting';
import { Prices } from './prices';

const THEME_WORD: Readonly<Record<ThemeChoice, string>> = {
  get auto() {
    return say.asTheDevice();
  },
  get noon() {
    return say.noon();
  },
  get lamp() {
    return say.lamp();
  },
};

interface SpaceForm {
  /** Empty for a new one. */
  readonly id: string;
  readonly name: string;
  readonly temperature: string;
  readonly humidity: string;
  readonly light: string;
  /** What is typed is today's reading, not what the place usually has. */
  readonly reading: boolean;
}

/** Which inputs each field is read from. */
const PLACE_FEEDS = {
  name: ['name'],
  tempC: ['temperature'],
  rh: ['humidity'],
  light: ['light'],
} as const;

@Component({
  selector: 'hy-settings-page',
  imports: [FindSetting, MatButton, MatOption, MatSelect, Field, FieldControl, RouterLink, Prices],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-9 max-w-240' },
  templateUrl: './settings-page.html',
})
export class SettingsPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly door = inject(DemoDoor);
  private readonly confirm = inject(Confirm);
  private readonly router = inject(Router);
  private readonly file = inject(JournalFile);
  private readonly today = inject(Today).day;
  protected readonly journal = inject(Journal);
  protected readonly words = inject(Words);
  protected readonly theme = inject(Theme);

  protected readonly language = inject(Language);
  /** Each by its own name: who cannot read this page finds it. */
  protected readonly languages = LANGUAGES.map((l) => ({
    ...l,
    name: capital(new Intl.DisplayNames(l.id, { type: 'language' }).of(l.id) ?? l.id),
  }));

  protected readonly themes = THEMES;
  protected readonly themeWord = THEME_WORD;
  protected readonly schools = Object.values(WOUND_SCHOOL);
  protected readonly feedings = FEEDINGS;
  protected readonly feedingName = FEEDING_NAME;
  protected readonly feedingSays = feedingSays;
  protected readonly waterSchools = Object.values(WATER_SCHOOL);
  protected readonly settings = computed(() => this.journal.state().settings);

  protected readonly spaces = computed(() => {
    const state = this.journal.state();
    return placesIn(state).map((space) => {
      const now = airOf(state, space.id, this.today());
      return {
        space,
        usual: `${this.words.temperature(space.tempC ?? 20)}, ${this.words.percent(space.rh ?? 0.55)}`,
        now:
          now.from === 'reading'
            ? `${this.words.temperature(now.tempC)}, ${this.words.percent(now.rh)}`
            : say.noReadingTheseDays(),
        empty: isEmptyPlace(state, space.id),
      };
    });
  });

  protected readonly form = signal<SpaceForm | null>(null);
  protected readonly tried = signal(false);
  protected readonly formProblems = computed(() => {
    const form = this.form();
    if (!form) return { name: '', temperature: '', humidity: '' };
    const celsius = this.words.celsius(form.temperature);
    const humidity = this.words.share(form.humidity);
    const unit = this.words.temperatureUnit() === 'C' ? '°C' : '°F';
    return {
      name: form.name.trim() === '' ? say.whatDoYouCall() : '',
      temperature:
        Number.isNaN(celsius) || celsius < -30 || celsius > 60
          ? say.theMeanOfThe({
              unit,
              temperature: this.words.temperature(-30),
              temperature2: this.words.temperature(60),
            })
          : '',
      humidity: Number.isNaN(humidity) || humidity < 0.01 ? say.relativeHumidityInPer() : '',
    };
  });

  protected readonly clearing = signal(false);
  /** What the grower added to the demo, and would lose with it. */
  protected readonly ownInDemo = computed(() => {
    if (this.journal.book() !== 'demo') return 0;
    return [...this.journal.state().log.values()].flat().filter((e) => e.by !== 'demo').length;
  });

  protected setLength(length: string): void {
    this.setting({ length: length === 'in' ? 'in' : 'mm' });
  }

  protected setTemperature(temperature: string): void {
    this.setting({ temperature: temperature === 'F' ? 'F' : 'C' });
  }

  protected setSchool(id: string): void {
    this.setting({ school: this.schools.find((s) => s.id === id)?.id ?? null });
  }

  protected setWaterSchool(id: string): void {
    this.setting({ waterSchool: this.waterSchools.find((s) => s.id === id)?.id ?? null });
  }

  protected setFeeding(value: string): void {
    this.setting({ feeding: FEEDINGS.find((f) => f === value) ?? null });
  }

  protected setLanguage(value: string): void {
    void this.language.choose(LANGUAGES.find((l) => l.id === value)?.id ?? 'auto');
  }

  protected setTheme(value: string): void {
    this.theme.choice.set(THEMES.find((t) => t === value) ?? 'auto');
  }

  protected addSpace(): void {
    this.open({ id: '', name: '', temperature: '', humidity: '', light: '', reading: false });
  }

  protected editSpace(id: string, reading: boolean): void {
    const state = this.journal.state();
    const space = state.spaces.get(id);
    if (!space) return;
    const air = reading
      ? airOf(state, id, this.today())
      : { tempC: space.tempC ?? 20, rh: space.rh ?? 0.55 };
    const shown = temperatureIn(air.tempC, this.words.temperatureUnit());
    this.open({
      id,
      name: space.name ?? '',
      temperature: String(+shown.toFixed(1)),
      humidity: String(Math.round(air.rh * 100)),
      light: space.light ?? '',
      reading,
    });
  }

  protected type<K extends keyof SpaceForm>(field: K, value: SpaceForm[K]): void {
    this.touched.add(field);
    this.form.update((form) => form && { ...form, [field]: value });
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  protected readonly saveSpace = oneAtATime(() => this.keepSpace());

  private async keepSpace(): Promise<void> {
    const form = this.form();
    if (!form) return;
    this.tried.set(true);
    if (Object.values(this.formProblems()).some((p) => p !== '')) return;
    const tempC = +this.words.celsius(form.temperature).toFixed(2);
    const rh = +this.words.share(form.humidity).toFixed(4);
    if (form.reading) {
      const reading = { kind: 'air', space: form.id, tempC, rh } as const;
      if (await this.actions.record(reading, say.readingNoted())) this.form.set(null);
      return;
    }
    const whole = { name: form.name.trim(), tempC, rh, light: form.light.trim() || null };
    const fields = form.id ? touchedFields(this.touched, whole, PLACE_FEEDS) : whole;
    const put = { kind: 'put', record: 'space', key: form.id || freshId(), fields } as const;
    const said = form.id ? say.changed() : say.added({ name: whole.name });
    if (Object.keys(fields).length > 0 && !(await this.actions.record(put, said))) return;
    this.form.set(null);
  }

  protected async demo(): Promise<void> {
    await this.door.enter();
  }

  protected async own(): Promise<void> {
    await this.journal.openOwn();
  }

  /** A place in which nothing stands any more; undone by a tap. What once stood there keeps its name. */
  protected deletePlace(id: string): void {
    void this.actions.record(
      { kind: 'put', record: 'space', key: id, fields: { away: true } },
      say.deleted({ name: this.journal.state().spaces.get(id)?.name ?? say.thePlace() }),
    );
  }

  protected readonly emptyOwn = oneAtATime(() => this.emptyAll());

  private async emptyAll(): Promise<void> {
    await this.file.save();
    const sure = await this.confirm.ask({
      title: say.emptyThisJournal(),
      text: say.aBackupFileIs(),
      yes: say.emptyIt(),
    });
    if (!sure) return;
    await this.journal.clearOwn();
    this.actions.say(say.yourJournalIsEmpty());
    await this.router.navigateByUrl('/today');
  }

  protected readonly clearDemo = oneAtATime(() => this.throwDemoAway());

  private async throwDemoAway(): Promise<void> {
    this.clearing.set(false);
    await this.journal.clearDemo();
    this.actions.say(say.theDemoIsCleared());
  }

  private touched = new Set<keyof SpaceForm>();

  private open(form: SpaceForm): void {
    this.touched = new Set();
    this.tried.set(false);
    this.form.set(form);
  }

  private setting(fields: SettingsFields): void {
    void this.actions.record({ kind: 'put', record: 'settings', key: SETTINGS_KEY, fields }, '');
  }
}
