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
import { say } from '@hypogeon/messages/start-page';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { LOCALE } from '../data/locale';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../forms/field';
import { firstWrong, judgedBy, sentenceAt } from '../forms/zod-problems';

/** What the air of a room usually is, for who has no hygrometer. Common practice, no source. */
const ROOMS = [
  {
    id: 'dry',
    get name() {
      return say.dry();
    },
    get says() {
      return say.heatedOrAirConditioned();
    },
    rh: 0.38,
  },
  {
    id: 'usual',
    get name() {
      return say.usual();
    },
    get says() {
      return say.aLivedInRoom();
    },
    rh: 0.5,
  },
  {
    id: 'damp',
    get name() {
      return say.damp();
    },
    get says() {
      return say.porchCellarClosedCase();
    },
    rh: 0.72,
  },
] as const;
/** A lived-in room, °C. Common practice, no source. */
const ROOM_C = 20;

const startSchema = z.object({
  place: z
    .string()
    .trim()
    .min(1, { error: say.giveThePlaceA })
    .max(120, { error: say.aShorterNamePlease }),
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
    <h1>{{ say.whereDoYourCuttings() }}</h1>
    <p class="quiet">{{ say.onePlaceIsEnough() }}</p>
    <form class="grid gap-3.5" novalidate [formGroup]="form" (ngSubmit)="begin()">
      <hy-field [label]="say.place()" [problem]="sentence('place')">
        <input
          hyControl
          type="text"
          maxlength="120"
          [placeholder]="say.kitchenSill()"
          formControlName="place"
        />
      </hy-field>
      <hy-field [label]="say.lightThere()">
        <mat-select formControlName="light">
          @for (level of levels; track level) {
            <mat-option [value]="level">{{ lightLevel[level].name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <div class="choice grid justify-items-start gap-1 quiet text-base">
        <span id="room">{{ say.airThere() }}</span>
        <mat-button-toggle-group
          aria-labelledby="room"
          hideSingleSelectionIndicator
          formControlName="room"
        >
          @for (room of rooms; track room.id) {
            <mat-button-toggle [value]="room.id">{{ room.name }}</mat-button-toggle>
          }
        </mat-button-toggle-group>
        <small>{{ say.reckonedAsUntilYou({ reckoned: reckoned() }) }}</small>
      </div>
      <div class="choice grid justify-items-start gap-1 quiet text-base">
        <span id="units">{{ say.units() }}</span>
        <mat-button-toggle-group
          aria-labelledby="units"
          hideSingleSelectionIndicator
          formControlName="units"
        >
          <mat-button-toggle value="metric">{{ say.mmCMl() }}</mat-button-toggle>
          <mat-button-toggle value="inches">{{ say.inchesFFlOz() }}</mat-button-toggle>
        </mat-button-toggle-group>
      </div>
      <div class="row flex gap-2.5">
        <button type="submit" matButton="filled">{{ say.start() }}</button>
        <a matButton="text" routerLink="/settings">{{ say.iHaveASaved() }}</a>
      </div>
    </form>
  `,
})
export class StartPage {
  protected readonly say = say;

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
      units: new FormControl(unitsOf(inject(LOCALE)()), { nonNullable: true }),
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
      say.isReady({ place }),
    );
    if (taken) await this.goOn();
  }

  private async goOn(): Promise<void> {
    await this.router.navigateByUrl('/today');
  }
}
