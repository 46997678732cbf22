import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { unsetOf } from '@hypogeon/core/care';
import { say } from '@hypogeon/messages/set-deed';
import { Journal } from '../../data/journal';
import { Field, FieldControl } from '../../forms/field';
import { Deed } from './deed';

/** Set in the mix: some of them, into a wet mix, or with the cut torn open again; each tells on. */
@Component({
  selector: 'hy-set-deed',
  imports: [Field, FieldControl, MatButton, MatCheckbox, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    <form class="grid auto-fit-52 gap-y-3 gap-x-4" novalidate [formGroup]="form" (ngSubmit)="set()">
      <hy-field
        [label]="say.howManyWereSet()"
        [hint]="say.ofNotSetYet({ unset: unset() })"
        [problem]="problem()"
      >
        <input hyControl inputmode="numeric" formControlName="count" [placeholder]="unset() + ''" />
      </hy-field>
      <mat-checkbox formControlName="wet">{{ say.theMixWasWet() }}</mat-checkbox>
      <mat-checkbox formControlName="torn">{{ say.theCutWasTorn() }}</mat-checkbox>
      <div class="row flex flex-wrap gap-2 col-span-full">
        <button type="submit" matButton="filled">{{ say.setThem() }}</button>
      </div>
    </form>
  `,
})
export class SetDeed extends Deed {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  protected readonly unset = computed(() => unsetOf(this.state(), this.batch()));
  protected readonly form = new FormGroup({
    count: new FormControl('', { nonNullable: true }),
    wet: new FormControl(false, { nonNullable: true }),
    torn: new FormControl(false, { nonNullable: true }),
  });

  protected set(): void {
    const { count: text, wet, torn } = this.form.getRawValue();
    const most = this.unset();
    const count = text.trim() === '' ? most : Number(text);
    if (!Number.isInteger(count) || count < 1 || count > most)
      return this.problem.set(most === 0 ? say.allOfThemAre() : say.howManyAWhole({ most }));
    const batch = this.batch().id;
    this.put(
      [
        { kind: 'stuck', batch, ...(count < most ? { count } : {}), ...(wet ? { wet } : {}) },
        ...(torn ? [{ kind: 'reopened', batch, why: 'torn' } as const] : []),
      ],
      count < most ? say.setWord({ count }) : say.setWord2(),
    );
  }
}
