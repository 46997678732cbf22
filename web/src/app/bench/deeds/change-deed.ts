import { ChangeDetectionStrategy, Component, inject, signal, OnInit } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import type { BatchFields } from '@hypogeon/core/journal';
import { WOUND_SCHOOL, type WoundSchoolId } from '@hypogeon/core/wound';
import { Words } from '../../data/words';
import { Field, FieldControl } from '../../forms/field';
import { Quantity, quantityProblem } from '../../forms/quantity';
import { Deed } from './deed';

type Problems = Partial<Record<'count' | 'width', string>>;

/** What was told of a batch, told better: only what is changed here is written. */
@Component({
  selector: 'hy-change-deed',
  imports: [Field, FieldControl, MatButton, MatOption, MatSelect, Quantity, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    <form
      class="grid auto-fit-52 gap-y-3 gap-x-4"
      novalidate
      [formGroup]="form"
      (ngSubmit)="change()"
    >
      <hy-field label="How many cuttings" [problem]="problems().count ?? ''">
        <input hyControl inputmode="numeric" formControlName="count" />
      </hy-field>
      <hy-field label="Wound width, {{ words.lengthUnit() }}" [problem]="problems().width ?? ''">
        <input
          hyControl
          hyQuantity="length"
          placeholder="as usual for this cut"
          formControlName="width"
        />
      </hy-field>
      <hy-field label="How long to dry the cut">
        <mat-select formControlName="school">
          @for (s of schools; track s.id) {
            <mat-option [value]="s.id">{{ s.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field label="Tray or place">
        <input hyControl type="text" maxlength="80" formControlName="place" />
      </hy-field>
      <div class="row flex flex-wrap gap-2 col-span-full">
        <button type="submit" matButton="filled">Save</button>
      </div>
    </form>
  `,
})
export class ChangeDeed extends Deed implements OnInit {
  protected readonly words = inject(Words);
  protected readonly schools = Object.values(WOUND_SCHOOL);
  protected readonly problems = signal<Problems>({});
  protected readonly form = new FormGroup({
    count: new FormControl('', { nonNullable: true }),
    width: new FormControl<number | null>(null),
    school: new FormControl<WoundSchoolId>('dry-to-touch', { nonNullable: true }),
    place: new FormControl('', { nonNullable: true }),
  });

  ngOnInit(): void {
    const { count, widthMm, school, place } = this.batch();
    this.form.setValue({
      count: `${count}`,
      width: widthMm ?? null,
      school,
      place: place ?? '',
    });
  }

  protected change(): void {
    const batch = this.batch();
    const { controls } = this.form;
    const { width, school, place } = this.form.getRawValue();
    const n = Number(controls.count.value);
    const told = batch.count - batch.waiting;
    const problems: Problems = {
      ...(!Number.isInteger(n) || n < 1 || n > 10_000
        ? { count: 'How many cuttings? A whole number from 1 to 10,000.' }
        : n < told
          ? { count: `${told} of them have an outcome already, so it cannot be ${n}.` }
          : {}),
      ...(controls.width.invalid ? { width: quantityProblem(controls.width.errors) } : {}),
    };
    this.problems.set(problems);
    if (Object.keys(problems).length > 0) return;
    const fields: BatchFields = {
      ...(n === batch.count ? {} : { count: batch.begunWith + n - batch.count }),
      ...(width === null || width === batch.widthMm ? {} : { widthMm: width }),
      ...(school === batch.school ? {} : { school }),
      ...(place.trim() === (batch.place ?? '') ? {} : { place: place.trim() || null }),
    };
    if (Object.keys(fields).length === 0) return this.done.emit();
    this.put([{ kind: 'put', record: 'batch', key: batch.id, fields }], 'Changed');
  }
}
