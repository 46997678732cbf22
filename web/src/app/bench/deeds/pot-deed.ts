import { ChangeDetectionStrategy, Component, computed, inject, OnInit } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatOption, MatSelect } from '@angular/material/select';
import { containersOf, mixesOf, placesIn } from '@hypogeon/core/bench';
import { ROOT_STATES, type RootState } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/pot-deed';
import { Journal } from '../../data/journal';
import { Field, FieldControl } from '../../forms/field';
import { Deed } from './deed';

const ROOTS: Readonly<Record<RootState, string>> = {
  get whole() {
    return say.wholeWithTheirBall();
  },
  get bared() {
    return say.bared();
  },
  get hurt() {
    return say.hurt();
  },
};

/** Potted on: how many, into what, filled with what, and how the roots came. */
@Component({
  selector: 'hy-pot-deed',
  imports: [Field, FieldControl, MatButton, MatCheckbox, MatOption, MatSelect, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    <form class="grid auto-fit-52 gap-y-3 gap-x-4" novalidate [formGroup]="form" (ngSubmit)="pot()">
      <hy-field [label]="say.howManyWentInto()" [problem]="problem()">
        <input hyControl inputmode="numeric" formControlName="count" />
      </hy-field>
      <hy-field [label]="say.intoOptional()">
        <mat-select formControlName="container">
          <mat-option value="">{{ say.notTold() }}</mat-option>
          @for (c of containers(); track c.id) {
            <mat-option [value]="c.id">{{ c.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.filledWithOptional()">
        <mat-select formControlName="mix">
          <mat-option value="">{{ say.notTold() }}</mat-option>
          @for (m of mixes(); track m.id) {
            <mat-option [value]="m.id">{{ m.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.standsAt()">
        <mat-select formControlName="space">
          @for (space of spaces(); track space.id) {
            <mat-option [value]="space.id">{{ space.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.theRootsCame()">
        <mat-select formControlName="roots">
          @for (r of rootStates; track r) {
            <mat-option [value]="r">{{ rootSays[r] }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <mat-checkbox formControlName="wet">{{ say.theMixWasWet() }}</mat-checkbox>
      <div class="row flex flex-wrap gap-2 col-span-full">
        <button type="submit" matButton="filled">{{ say.pottedOn() }}</button>
      </div>
    </form>
  `,
})
export class PotDeed extends Deed implements OnInit {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly rootStates = ROOT_STATES;
  protected readonly rootSays = ROOTS;
  private readonly left = computed(() => {
    const { rooted, pupped, potted } = this.batch().here;
    return rooted + pupped - potted;
  });
  protected readonly form = new FormGroup({
    count: new FormControl('', { nonNullable: true }),
    container: new FormControl('', { nonNullable: true }),
    mix: new FormControl('', { nonNullable: true }),
    space: new FormControl('', { nonNullable: true }),
    roots: new FormControl<RootState>('whole', { nonNullable: true }),
    wet: new FormControl(false, { nonNullable: true }),
  });

  ngOnInit(): void {
    this.form.patchValue({ count: `${this.left()}`, space: this.batch().space });
  }

  protected pot(): void {
    const told = this.form.getRawValue();
    const left = this.left();
    const count = Number(told.count);
    if (!Number.isInteger(count) || count < 1) return this.problem.set(say.howManyAWhole());
    if (count > left)
      return this.problem.set(left === 0 ? say.noneWithRootsAre() : say.onlyWithRootsAre({ left }));
    this.put(
      [
        {
          kind: 'potted',
          batch: this.batch().id,
          count,
          ...(told.container ? { container: told.container } : {}),
          ...(told.mix ? { mix: told.mix } : {}),
          ...(told.space && told.space !== this.batch().space ? { space: told.space } : {}),
          ...(told.roots === 'whole' ? {} : { roots: told.roots }),
          ...(told.wet ? { wet: true } : {}),
        },
      ],
      say.pottedOn2({ count }),
    );
  }
}
