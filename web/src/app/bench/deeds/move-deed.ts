import { ChangeDetectionStrategy, Component, computed, inject, OnInit } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { placesIn } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/move-deed';
import { Journal } from '../../data/journal';
import { Field, FieldControl } from '../../forms/field';
import { Deed } from './deed';

/** Carried somewhere else. */
@Component({
  selector: 'hy-move-deed',
  imports: [Field, FieldControl, MatButton, MatOption, MatSelect, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    <form
      class="grid auto-fit-52 gap-y-3 gap-x-4"
      novalidate
      [formGroup]="form"
      (ngSubmit)="move()"
    >
      <hy-field [label]="say.to()">
        <mat-select formControlName="space">
          @for (space of spaces(); track space.id) {
            <mat-option [value]="space.id">{{ space.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.trayOrPlaceOptional()">
        <input hyControl type="text" maxlength="80" formControlName="place" />
      </hy-field>
      <div class="row flex flex-wrap gap-2 col-span-full">
        <button type="submit" matButton="filled">{{ say.moved() }}</button>
      </div>
    </form>
  `,
})
export class MoveDeed extends Deed implements OnInit {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly form = new FormGroup({
    space: new FormControl('', { nonNullable: true }),
    place: new FormControl('', { nonNullable: true }),
  });

  ngOnInit(): void {
    this.form.patchValue({ space: this.batch().space });
  }

  protected move(): void {
    const { space, place } = this.form.getRawValue();
    const to = place.trim() ? { place: place.trim() } : {};
    this.put([{ kind: 'moved', batch: this.batch().id, space, ...to }], say.moved());
  }
}
