import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  contentChild,
  Directive,
  effect,
  forwardRef,
  inject,
  input,
  viewChild,
  type ElementRef,
} from '@angular/core';
import {
  MAT_FORM_FIELD,
  MatError,
  MatFormField,
  MatFormFieldControl,
  MatHint,
  MatLabel,
  MatSuffix,
} from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { MatSelect } from '@angular/material/select';

/** What stands between the tags of a `hy-field`: Material looks for it in its own template only. */
@Directive({ selector: 'mat-form-field[hyHolds]' })
export class Holds {
  private readonly field = inject(MatFormField);
  readonly hyHolds = input.required<MatFormFieldControl<unknown>, MatFormFieldControl<unknown>>({
    transform: (control) => {
      this.field._control = control as MatFormField['_control'];
      return control;
    },
  });
}

/**
 * A labelled field of a form: Material's field with the label, the control inside, and under it the
 * problem or else the hint. The control is an `input` or `textarea` marked `hyControl`, or a
 * `mat-select`.
 *
 * @example <hy-field label="Name" [problem]="problem()"><input hyControl [value]="name()" /></hy-field>
 */
@Component({
  selector: 'hy-field',
  imports: [Holds, MatError, MatFormField, MatHint, MatLabel, MatSuffix],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block min-w-0' },
  // A select opens under its whole field and is named by the field's label.
  providers: [{ provide: MAT_FORM_FIELD, useExisting: forwardRef(() => Field) }],
  template: `
    <mat-form-field
      class="w-full"
      appearance="fill"
      floatLabel="always"
      subscriptSizing="dynamic"
      [class.unlabelled]="unseen()"
      [hyHolds]="control()"
    >
      <mat-label [class.unseen]="unseen()">{{ label() }}</mat-label>
      <ng-content />
      @if (suffixed()) {
        <span matIconSuffix><ng-content select="[hySuffix]" /></span>
      }
      @if (problem()) {
        <mat-error role="alert">{{ problem() }}</mat-error>
      } @else if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
    </mat-form-field>
  `,
})
export class Field {
  readonly label = input.required<string>();
  readonly hint = input('');
  readonly problem = input('');
  /** Wrong, where the sentence stands elsewhere: several fields of one row share it. */
  readonly invalid = input(false);
  /** For a label that only a screen reader needs. */
  readonly unseen = input(false, { transform: booleanAttribute });

  /** Whether something marked `hySuffix` stands at the end of the line. */
  readonly suffixed = input(false, { transform: booleanAttribute });

  protected readonly control =
    contentChild.required<MatFormFieldControl<unknown>>(MatFormFieldControl);
  private readonly inner = viewChild.required(MatFormField);

  constructor() {
    effect(() => {
      const wrong = this.problem() !== '' || this.invalid();
      const control = this.control() as MatInput | MatSelect;
      if (!('updateErrorState' in control)) return;
      control.errorStateMatcher = { isErrorState: () => wrong };
      control.updateErrorState();
      control.stateChanges.next();
    });
  }

  /** What chooses from a list writes through the field. */
  get _control(): MatFormFieldControl<unknown> {
    return this.control();
  }

  getLabelId(): string | null {
    return this.inner().getLabelId();
  }

  getConnectedOverlayOrigin(): ElementRef {
    return this.inner().getConnectedOverlayOrigin();
  }
}

/** An `input` or `textarea` inside a field. */
@Directive({
  selector: 'input[hyControl], textarea[hyControl]',
  hostDirectives: [
    {
      directive: MatInput,
      inputs: ['disabled', 'placeholder', 'readonly', 'required', 'type', 'value'],
    },
  ],
})
export class FieldControl {}
