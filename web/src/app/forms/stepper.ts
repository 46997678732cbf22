import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { say } from '@hypogeon/messages/stepper';
import { Field, FieldControl } from './field';

/** A count that a thumb moves by one, and a hand may type. */
@Component({
  selector: 'hy-stepper',
  imports: [Field, FieldControl, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline-flex items-center' },
  template: `
    <button
      type="button"
      matIconButton
      [attr.aria-label]="say.oneLess({ of: of() })"
      [disabled]="value() <= least()"
      (click)="stepped.emit(value() - 1)"
    >
      −
    </button>
    <hy-field class="w-18.5" unseen [label]="label() + of()" [problem]="problem()">
      <input
        hyControl
        inputmode="numeric"
        autocomplete="off"
        [value]="guess() ? '' : value() + ''"
        [placeholder]="guess() ? '~' + value() : ''"
        (change)="typed.emit(box.value)"
        #box
      />
    </hy-field>
    <button
      type="button"
      matIconButton
      [attr.aria-label]="say.oneMore({ of: of() })"
      (click)="stepped.emit(value() + 1)"
    >
      +
    </button>
  `,
  styles: `
    input {
      text-align: center;
    }
    button {
      font-size: 1.2rem;
    }
  `,
})
export class Stepper {
  protected readonly say = say;

  /** What is counted: `leaves`, `The tall aeonium`. */
  readonly of = input.required<string>();
  /** What stands before it in the label of the field: `It has, `. */
  readonly label = input.required<string>();
  readonly value = input.required<number>();
  readonly least = input(0);
  /** Nobody has counted yet: the value is what is likely. */
  readonly guess = input(false);
  readonly problem = input('');
  readonly stepped = output<number>();
  readonly typed = output<string>();
}
