import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { Router } from '@angular/router';
import { foldText, matches, wordsOf } from '@hypogeon/core/text';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';
import { placesIn } from '@hypogeon/core/bench';

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
    name: 'Places and their air',
    also: 'bench room sill temperature humidity reading',
    path: ['/settings'],
    under: 'spaces',
  },
  {
    name: 'Lengths: millimetres or inches',
    also: 'units mm in imperial metric',
    path: ['/settings'],
    under: 'habits',
  },
  {
    name: 'Temperatures: °C or °F',
    also: 'units celsius fahrenheit',
    path: ['/settings'],
    under: 'habits',
  },
  {
    name: 'Theme: Noon or Lamp',
    also: 'dark light mode colours looks',
    path: ['/settings'],
    under: 'habits',
  },
  {
    name: 'How long to dry the cut',
    also: 'callus school wound',
    path: ['/settings'],
    under: 'habits',
  },
  { name: 'Watering habit', also: 'school when to water', path: ['/settings'], under: 'habits' },
  {
    name: 'Prices and currency',
    also: 'money cost euro dollar hour wage',
    path: ['/settings'],
    under: 'prices',
  },
  { name: 'The demo', also: 'example sample try clear', path: ['/settings'], under: 'demo' },
  {
    name: 'Empty my journal',
    also: 'delete reset start over erase',
    path: ['/settings'],
    under: 'demo',
  },
  {
    name: 'Backup and restore',
    also: 'save file import export sync another device',
    path: ['/settings/data'],
  },
  { name: 'Tables as CSV', also: 'spreadsheet export data package', path: ['/settings/data'] },
  { name: 'Calendar of tasks', also: 'ics export reminders', path: ['/settings/data'] },
  { name: 'An old paper log', also: 'import csv records', path: ['/settings/paper'] },
  {
    name: 'Sensors and scales',
    also: 'devices logger bluetooth serial weigh',
    path: ['/settings/devices'],
  },
  { name: 'Scoop', also: 'measure cup volume mix', path: ['/mixes/amounts'] },
  { name: 'Labels', also: 'printer sheet size qr', path: ['/bench/labels'] },
  { name: 'What it learns from', also: 'learn afresh leave out', path: ['/results/learned'] },
  { name: 'Licences', also: 'made with open source', path: ['/settings/made-with'] },
];

/** A setting by typing: what it is called, or what one would call it. */
@Component({
  selector: 'hy-find-setting',
  imports: [Field, FieldControl, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-104' },
  template: `
    <hy-field label="Find a setting">
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
      <p class="quiet" role="status">No setting is called so. Try another word.</p>
    }
  `,
})
export class FindSetting {
  private readonly router = inject(Router);
  private readonly state = inject(Journal).state;
  protected readonly typed = signal('');

  private readonly all = computed((): readonly Setting[] => [
    ...SETTINGS,
    ...placesIn(this.state()).map((space) => ({
      name: `Air of ${space.name}`,
      also: 'light wind lamps heat mat latitude hard water lid',
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
