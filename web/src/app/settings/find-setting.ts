import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { Router } from '@angular/router';
import { foldText, matches, wordsOf } from '@hypogeon/core/text';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';
import { placesIn } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/find-setting';

interface Setting {
  readonly name: string;
  /** Other words for it, that people try. */
  readonly also: string;
  readonly path: readonly string[];
  /** The heading it stands under, on the settings page itself. */
  readonly under?: string;
}

const SETTINGS: readonly Setting[] = [
  {
    get name() {
      return say.placesAndTheirAir();
    },
    get also() {
      return say.benchRoomSillTemperature();
    },
    path: ['/settings'],
    under: 'spaces',
  },
  {
    get name() {
      return say.lengthsMillimetresOrInches();
    },
    get also() {
      return say.unitsMmInImperial();
    },
    path: ['/settings'],
    under: 'habits',
  },
  {
    get name() {
      return say.temperaturesCOrF();
    },
    get also() {
      return say.unitsCelsiusFahrenheit();
    },
    path: ['/settings'],
    under: 'habits',
  },
  {
    get name() {
      return say.language();
    },
    get also() {
      return say.languageWords();
    },
    path: ['/settings'],
    under: 'habits',
  },
  {
    get name() {
      return say.themeNoonOrLamp();
    },
    get also() {
      return say.darkLightModeColours();
    },
    path: ['/settings'],
    under: 'habits',
  },
  {
    get name() {
      return say.howLongToDry();
    },
    get also() {
      return say.callusSchoolWound();
    },
    path: ['/settings'],
    under: 'habits',
  },
  {
    get name() {
      return say.wateringHabit();
    },
    get also() {
      return say.schoolWhenToWater();
    },
    path: ['/settings'],
    under: 'habits',
  },
  {
    get name() {
      return say.pricesAndCurrency();
    },
    get also() {
      return say.moneyCostEuroDollar();
    },
    path: ['/settings'],
    under: 'prices',
  },
  {
    get name() {
      return say.theDemo();
    },
    get also() {
      return say.exampleSampleTryClear();
    },
    path: ['/settings'],
    under: 'demo',
  },
  {
    get name() {
      return say.emptyMyJournal();
    },
    get also() {
      return say.deleteResetStartOver();
    },
    path: ['/settings'],
    under: 'demo',
  },
  {
    get name() {
      return say.backupAndRestore();
    },
    get also() {
      return say.saveFileImportExport();
    },
    path: ['/settings/data'],
  },
  {
    get name() {
      return say.tablesAsCsv();
    },
    get also() {
      return say.spreadsheetExportDataPackage();
    },
    path: ['/settings/data'],
  },
  {
    get name() {
      return say.calendarOfTasks();
    },
    get also() {
      return say.icsExportReminders();
    },
    path: ['/settings/data'],
  },
  {
    get name() {
      return say.anOldPaperLog();
    },
    get also() {
      return say.importCsvRecords();
    },
    path: ['/settings/paper'],
  },
  {
    get name() {
      return say.sensorsAndScales();
    },
    get also() {
      return say.devicesLoggerBluetoothSerial();
    },
    path: ['/settings/devices'],
  },
  {
    get name() {
      return say.scoop();
    },
    get also() {
      return say.measureCupVolumeMix();
    },
    path: ['/mixes/amounts'],
  },
  {
    get name() {
      return say.labels();
    },
    get also() {
      return say.printerSheetSizeQr();
    },
    path: ['/bench/labels'],
  },
  {
    get name() {
      return say.whatItLearnsFrom();
    },
    get also() {
      return say.learnAfreshLeaveOut();
    },
    path: ['/results/learned'],
  },
  {
    get name() {
      return say.licences();
    },
    get also() {
      return say.madeWithOpenSource();
    },
    path: ['/settings/made-with'],
  },
];

/** A setting by typing: what it is called, or what one would call it. */
@Component({
  selector: 'hy-find-setting',
  imports: [Field, FieldControl, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-104' },
  template: `
    <hy-field [label]="say.findASetting()">
      <input
        hyControl
        type="text"
        [matAutocomplete]="list"
        [value]="typed()"
        (input)="typed.set(box.value)"
        #box
      />
    </hy-field>
    <mat-autocomplete
      #list="matAutocomplete"
      autoActiveFirstOption
      (optionSelected)="go($event.option.value)"
    >
      @for (s of found(); track s.name) {
        <mat-option [value]="s.name">{{ s.name }}</mat-option>
      }
    </mat-autocomplete>
    @if (typed().trim() !== '' && found().length === 0) {
      <p class="quiet" role="status">{{ say.noSettingIsCalled() }}</p>
    }
  `,
})
export class FindSetting {
  protected readonly say = say;

  private readonly router = inject(Router);
  private readonly state = inject(Journal).state;
  protected readonly typed = signal('');

  private readonly all = computed((): readonly Setting[] => [
    ...SETTINGS,
    ...placesIn(this.state()).map((space) => ({
      name: say.airOf({ name: space.name ?? '' }),
      also: say.lightWindLampsHeat(),
      path: ['/settings/air', space.id],
    })),
  ]);
  protected readonly found = computed(() => {
    const words = wordsOf(this.typed());
    return words.length === 0
      ? []
      : this.all().filter((s) => matches(foldText(`${s.name} ${s.also}`), words));
  });

  protected async go(name: string): Promise<void> {
    const setting = this.all().find((s) => s.name === name);
    if (!setting) return;
    this.typed.set('');
    await this.router.navigate([...setting.path]);
    if (setting.under === undefined) return;
    const heading = document.getElementById(setting.under);
    heading?.scrollIntoView({ block: 'start' });
    heading
      ?.closest('section')
      ?.querySelector<HTMLElement>('input, mat-select, button, a')
      ?.focus();
  }
}
