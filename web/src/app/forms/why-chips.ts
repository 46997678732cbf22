import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { say } from '@hypogeon/messages/why-chips';
import { Field, FieldControl } from './field';

/** A reason by one tap; in words of one's own where none fits. */
@Component({
  selector: 'hy-why-chips',
  imports: [Field, FieldControl, MatChipListbox, MatChipOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-1.5' },
  template: `
    <span [id]="id">{{ label() }}</span>
    <mat-chip-listbox [attr.aria-labelledby]="id" (change)="value.set($event.value ?? '')">
      @for (reason of reasons(); track reason) {
        <mat-chip-option [value]="reason" [selected]="value() === reason">{{
          reason
        }}</mat-chip-option>
      }
    </mat-chip-listbox>
    <hy-field unseen [label]="say.anotherReason()">
      <input
        hyControl
        type="text"
        maxlength="200"
        [placeholder]="say.anotherReason2()"
        [value]="reasons().includes(value()) ? '' : value()"
        (input)="value.set(own.value)"
        #own
      />
    </hy-field>
  `,
})
export class WhyChips {
  protected readonly say = say;

  readonly label = input.required<string>();
  readonly reasons = input.required<readonly string[]>();
  readonly value = model('');
  protected readonly id = `why-chips-${++count}`;
}

let count = 0;
