import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatOption, MatSelect } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { placesIn } from '@hypogeon/core/bench';
import { LIGHT_LEVEL, LIGHT_LEVELS, type LightLevelId } from '@hypogeon/core/climate';
import { SETTINGS_KEY } from '@hypogeon/core/journal';
import { percent, temperatureText, unitsOf } from '@hypogeon/words';
import * as z from 'zod';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { LOCALE } from '../data/locale';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../forms/field';
import { firstWrong, judgedBy, sentenceAt } from '../forms/zod-problems';

/** What the air of a room usually is, for who has no hygrometer. Common practice, no source. */
const ROOMS = [
  { id: 'dry', name: 'dry', says: 'heated or air-conditioned', rh: 0.38 },
  { id: 'usual', name: 'usual', says: 'a lived-in room', rh: 0.5 },
  { id: 'damp', name: 'damp', says: 'porch, cellar, closed case', rh: 0.72 },
] as const;
/** A lived-in room, °C. Common practice, no source. */
const ROOM_C = 20;

const startSchema = z.object({
  place: z
    .string()
    .trim()
    .min(1, 'Give the place a name, for example “Kitchen sill”.')
    .max(120, 'A shorter name, please: it stands on every list.'),
  units: z.enum(['metric', 'inches']),
  light: z.enum(LIGHT_LEVELS),
  room: z.enum(['dry', 'usual', 'damp']),
});

/** The own journal is begun: where they stand, the units, the light. Then Today takes over. */
@Component({
  selector: 'hy-start-page',
  imports: [
    Field,
    FieldControl,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatOption,
    MatSelect,
    ReactiveFormsModule,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-3 max-w-120' },
  template: `
    <h1>Where do your cuttings stand?</h1>
    <p class="quiet">One place is enough to begin. All of this can be changed later.</p>
    <form class="grid gap-3.5" novalidate [formGroup]="form" (ngSubmit)="begin()">
      <hy-field label="Place" [problem]="sentence('place')">
        <input
          hyControl
          type="text"
          maxlength="120"
          placeholder="Kitchen sill"
          formControlName="place"
        />
      </hy-field>
      <hy-field label="Light there">
        <mat-select formControlName="light">
          @for (level of levels; track level) {
            <mat-option [value]="level">{{ lightLevel[level].name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <div class="choice grid justify-items-start gap-1 quiet text-base">
        <span id="room">Air there</span>
        <mat-button-toggle-group
          aria-labelledby="room"
          hideSingleSelectionIndicator
          formControlName="room"
        >
          @for (room of rooms; track room.id) {
            <mat-button-toggle [value]="room.id">{{ room.name }}</mat-button-toggle>
          }
        </mat-button-toggle-group>
        <small>Reckoned as {{ reckoned() }}, until you tell its air in Settings.</small>
      </div>
      <div class="choice grid justify-items-start gap-1 quiet text-base">
        <span id="units">Units</span>
        <mat-button-toggle-group
          aria-labelledby="units"
          hideSingleSelectionIndicator
          formControlName="units"
        >
          <mat-button-toggle value="metric">mm, °C, mL</mat-button-toggle>
          <mat-button-toggle value="inches">inches, °F, fl oz</mat-button-toggle>
        </mat-button-toggle-group>
      </div>
      <div class="row flex gap-2.5">
        <button type="submit" matButton="filled">Start</button>
        <a matButton="text" routerLink="/settings">I have a saved journal</a>
      </div>
    </form>
  `,
})
export class StartPage {
  private readonly actions = inject(Actions);
  private readonly toFirstWrong = firstWrong();
  private readonly journal = inject(Journal);
  private readonly router = inject(Router);

  protected readonly rooms = ROOMS;
  protected readonly levels = LIGHT_LEVELS;
  protected readonly lightLevel = LIGHT_LEVEL;
  private readonly tried = signal(false);
  protected readonly form = new FormGroup(
    {
      place: new FormControl('', { nonNullable: true }),
      light: new FormControl<LightLevelId>('side-sill', { nonNullable: true }),
      room: new FormControl<'dry' | 'usual' | 'damp'>('usual', { nonNullable: true }),
      units: new FormControl(unitsOf(inject(LOCALE)), { nonNullable: true }),
    },
    { validators: judgedBy(startSchema) },
  );
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });

  /** What is reckoned with until the grower knows better. */
  protected readonly reckoned = computed(() => {
    const { room, units } = this.typed();
    const { rh } = ROOMS.find((r) => r.id === room) ?? ROOMS[1];
    return `${temperatureText(ROOM_C, units === 'inches' ? 'F' : 'C')}, ${percent(rh)}`;
  });

  protected sentence(field: string): string {
    return sentenceAt(this.form, field, this.tried());
  }

  protected readonly begin = oneAtATime(() => this.beginAll());

  private async beginAll(): Promise<void> {
    this.tried.set(true);
    const read = startSchema.safeParse(this.form.value);
    if (!read.success) return this.toFirstWrong();
    const { place, light, room, units } = read.data;
    await this.journal.openOwn();
    // Begun meanwhile, in another tab: what is there is not started over.
    if (placesIn(this.journal.state()).length > 0) return this.goOn();
    const taken = await this.actions.recordAll(
      [
        {
          kind: 'put',
          record: 'settings',
          key: SETTINGS_KEY,
          fields: {
            length: units === 'inches' ? 'in' : 'mm',
            temperature: units === 'inches' ? 'F' : 'C',
          },
        },
        {
          kind: 'put',
          record: 'space',
          key: freshId(),
          fields: {
            name: place,
            tempC: ROOM_C,
            rh: ROOMS.find((r) => r.id === room)!.rh,
            lightLevel: light,
          },
        },
      ],
      `${place} is ready`,
    );
    if (taken) await this.goOn();
  }

  private async goOn(): Promise<void> {
    await this.router.navigateByUrl('/today');
  }
}
