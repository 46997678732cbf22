import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatOption, MatSelect } from '@angular/material/select';
import { DISINFECTANTS } from '@hypogeon/core/safety';
import { say } from '@hypogeon/messages/cut-terms';
import { DayField } from '../forms/day-field';
import { Field } from '../forms/field';
import { PlanDesk } from './plan-desk';
import { DISINFECTANT_WORD } from './plan-draft';

/** When the blade goes in, what it is wiped with, and what the pieces go into: the plan's, and changed here for it. */
@Component({
  selector: 'hy-cut-terms',
  imports: [DayField, Field, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid auto-fill-44 gap-3 my-3.5' },
  template: `
    <hy-day
      [label]="say.cutOn()"
      [problem]="desk.cutOnProblem()"
      [value]="desk.cutOn()"
      (valueChange)="desk.set('cutOn', $event)"
    />
    <hy-field [label]="say.blade()">
      <mat-select
        [value]="desk.draft().disinfectant"
        (selectionChange)="desk.set('disinfectant', $event.value)"
      >
        @for (d of disinfectants; track d) {
          <mat-option [value]="d">{{ disinfectantWord[d] }}</mat-option>
        }
      </mat-select>
    </hy-field>
    <hy-field [label]="say.dries()">
      <mat-select
        [value]="desk.draft().callusAt"
        (selectionChange)="desk.set('callusAt', $event.value)"
      >
        <mat-option value="rack">{{ say.bareOnARack() }}</mat-option>
        <mat-option value="medium">{{ say.standingInDryMedium() }}</mat-option>
      </mat-select>
    </hy-field>
    @if (desk.spaces().length > 1) {
      <hy-field [label]="say.growsIn()">
        <mat-select [value]="space()" (selectionChange)="desk.set('space', $event.value)">
          @for (s of desk.spaces(); track s.id) {
            <mat-option [value]="s.id">{{ s.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
    }
    <hy-field [label]="say.goesIntoOptional()">
      <mat-select
        [value]="desk.draft().container"
        (selectionChange)="desk.set('container', $event.value)"
      >
        <mat-option value="">{{ say.notToldYet() }}</mat-option>
        @for (c of desk.containers(); track c.id) {
          <mat-option [value]="c.id">{{ c.name }}</mat-option>
        }
      </mat-select>
    </hy-field>
    <hy-field [label]="say.filledWithOptional()">
      <mat-select [value]="desk.draft().mix" (selectionChange)="desk.set('mix', $event.value)">
        <mat-option value="">{{ say.notToldYet() }}</mat-option>
        @for (m of desk.mixes(); track m.id) {
          <mat-option [value]="m.id">{{ m.name }}</mat-option>
        }
      </mat-select>
    </hy-field>
  `,
})
export class CutTerms {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  protected readonly disinfectants = DISINFECTANTS;
  protected readonly disinfectantWord = DISINFECTANT_WORD;
  /** Where it stands, unless the plan says otherwise. */
  protected readonly space = computed(
    () => this.desk.draft().space || (this.desk.mother()?.space ?? this.desk.space()),
  );
}
