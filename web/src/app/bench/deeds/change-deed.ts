import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  OnInit,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  asTaxon,
  cutDayWrong,
  plantCalled,
  plantOf,
  plants,
  putRight,
  type CutDayWrong,
} from '@hypogeon/core/bench';
import { METHODS, type MethodId } from '@hypogeon/core/botany';
import { isDay } from '@hypogeon/core/days';
import type { BatchFields } from '@hypogeon/core/journal';
import { WOUND_SCHOOL, type WoundSchoolId } from '@hypogeon/core/wound';
import { cutDayWrongText } from '@hypogeon/words';
import { alsoCalled } from '@hypogeon/core/names';
import { say } from '@hypogeon/messages/change-deed';
import { Follows } from '../../data/follows';
import type { Draft } from '../../data/journal';
import { Journal } from '../../data/journal';
import { Today } from '../../data/today';
import { Words } from '../../data/words';
import { DayField } from '../../forms/day-field';
import { Field, FieldControl } from '../../forms/field';
import { PlantField } from '../../forms/plant-field';
import { Quantity, quantityProblem } from '../../forms/quantity';
import { wayChoices } from '../../forms/way-choices';
import { WhatFollows } from '../what-follows';
import { Deed } from './deed';

type Problems = Partial<Record<'plant' | 'day' | 'count' | 'width', string>>;

/** What was told of a batch, put right: only what differs is written, and what follows from it is said before. */
@Component({
  selector: 'hy-change-deed',
  imports: [
    DayField,
    Field,
    FieldControl,
    MatButton,
    MatOption,
    MatSelect,
    PlantField,
    Quantity,
    ReactiveFormsModule,
    WhatFollows,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    <form
      class="grid auto-fit-52 gap-y-3 gap-x-4"
      novalidate
      [formGroup]="form"
      (ngSubmit)="change()"
    >
      @if (batch().trial === undefined) {
        <hy-plant-field [plants]="taxa()" [problem]="problems().plant ?? ''" [(text)]="plant" />
        <hy-field [label]="say.whatWasTaken()">
          <mat-select formControlName="method">
            @for (m of ways(); track m.id) {
              <mat-option [value]="m.id">{{ m.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      <hy-day
        [label]="batch().cut ? say.cutOn() : say.toBeCutOn()"
        [value]="cutOn()"
        [problem]="problems().day ?? ''"
        (valueChange)="cutOn.set($event)"
      />
      <hy-field [label]="say.howManyCuttings()" [problem]="problems().count ?? ''">
        <input hyControl inputmode="numeric" formControlName="count" />
      </hy-field>
      <hy-field
        [label]="say.woundWidth({ lengthUnit: words.lengthUnit() })"
        [problem]="problems().width ?? ''"
      >
        <input
          hyControl
          hyQuantity="length"
          [placeholder]="say.asUsualForThis()"
          formControlName="width"
        />
      </hy-field>
      <hy-field [label]="say.howLongToDry()">
        <mat-select formControlName="school">
          @for (s of schools; track s.id) {
            <mat-option [value]="s.id">{{ s.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.trayOrPlace()">
        <input hyControl type="text" maxlength="80" formControlName="place" />
      </hy-field>
      @if (batch().trial !== undefined) {
        <p class="quiet small col-span-full">{{ say.plantAndWayAre() }}</p>
      }
      <hy-what-follows class="col-span-full" [changes]="changes()" />
      <div class="row flex flex-wrap gap-2 col-span-full">
        <button type="submit" matButton="filled">{{ say.save() }}</button>
      </div>
    </form>
  `,
})
export class ChangeDeed extends Deed implements OnInit {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly follows = inject(Follows);
  protected readonly words = inject(Words);
  protected readonly schools = Object.values(WOUND_SCHOOL);
  protected readonly problems = signal<Problems>({});
  protected readonly plant = signal('');
  protected readonly cutOn = signal('');
  protected readonly form = new FormGroup({
    method: new FormControl<MethodId>(METHODS[0], { nonNullable: true }),
    count: new FormControl('', { nonNullable: true }),
    width: new FormControl<number | null>(null),
    school: new FormControl<WoundSchoolId>('dry-to-touch', { nonNullable: true }),
    place: new FormControl('', { nonNullable: true }),
  });

  private readonly known = computed(() => plants(this.state()));
  protected readonly taxa = computed(() => this.known().map(asTaxon));
  private readonly chosen = computed(() => plantCalled(this.known(), this.plant(), alsoCalled));
  protected readonly ways = computed(() => wayChoices(this.chosen()?.taxon ?? null));

  private readonly typed = toSignal(this.form.valueChanges);
  /** What would be recorded as it stands in the form; null while something in it is wrong. */
  private readonly drafts = computed(() => {
    this.typed();
    return Object.keys(this.wrong()).length > 0 ? null : this.draftsOf();
  });
  /** The lines of its page that would read otherwise. */
  protected readonly changes = computed(() => this.follows.from(this.batch(), this.drafts() ?? []));

  ngOnInit(): void {
    const { count, widthMm, school, place, taxon, method, cutOn } = this.batch();
    this.plant.set(plantOf(this.state(), taxon)?.name ?? '');
    this.cutOn.set(cutOn);
    this.form.setValue({
      method,
      count: `${count}`,
      width: widthMm ?? null,
      school,
      place: place ?? '',
    });
  }

  protected change(): void {
    const problems = this.wrong();
    this.problems.set(problems);
    if (Object.keys(problems).length > 0) return;
    const drafts = this.draftsOf();
    if (drafts.length === 0) return this.done.emit();
    this.put(drafts, say.changed());
  }

  private wrong(): Problems {
    const batch = this.batch();
    const { controls } = this.form;
    const n = Number(controls.count.value);
    const told = batch.count - batch.waiting;
    const day = this.cutOn();
    const dayWrong = isDay(day) ? cutDayWrong(batch, day, this.today()) : null;
    return {
      ...(this.chosen() ? {} : { plant: say.whichPlantChooseOne() }),
      ...(!isDay(day)
        ? { day: say.thatIsNotA() }
        : dayWrong
          ? { day: this.dayText(dayWrong) }
          : {}),
      ...(!Number.isInteger(n) || n < 1 || n > 10_000
        ? { count: say.howManyCuttingsA() }
        : n < told
          ? { count: say.ofThemHaveAn({ told, n }) }
          : {}),
      ...(controls.width.invalid ? { width: quantityProblem(controls.width.errors) } : {}),
    };
  }

  private dayText(wrong: CutDayWrong): string {
    return cutDayWrongText(this.state(), wrong, this.words.speech());
  }

  private draftsOf(): readonly Draft[] {
    const batch = this.batch();
    const { count, width, school, place, method } = this.form.getRawValue();
    const n = Number(count);
    const fields: BatchFields = {
      ...(n === batch.count ? {} : { count: batch.begunWith + n - batch.count }),
      ...(width === null || width === batch.widthMm ? {} : { widthMm: width }),
      ...(school === batch.school ? {} : { school }),
      ...(place.trim() === (batch.place ?? '') ? {} : { place: place.trim() || null }),
    };
    const taxon = this.chosen()?.id ?? batch.taxon;
    return putRight(this.state(), batch, { taxon, method, cutOn: this.cutOn(), fields });
  }
}
