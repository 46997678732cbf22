import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { say } from '@hypogeon/messages/breach-dialog';
import { Field, FieldControl } from '../forms/field';

export interface BreachQuestion {
  readonly title: string;
  /** As soon as it is safe, in words. */
  readonly opens: string;
}

const reasons = (): readonly string[] => [
  say.byMistake(),
  say.itLookedShrivelled(),
  say.toSettleDust(),
  say.tryingItOnPurpose(),
];

/** Asks why water should touch an open wound; the reason is remembered with the watering. */
@Component({
  selector: 'hy-breach-dialog',
  imports: [Field, FieldControl, MatButton, MatDialogModule, MatRadioButton, MatRadioGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ say.noWater({ opens: question.opens }) }}</h2>
    <mat-dialog-content>
      <p>
        {{ say.theCutOfIs({ title: question.title }) }}
      </p>
      <mat-radio-group
        [attr.aria-label]="say.whyNow()"
        [value]="picked()"
        (change)="picked.set($event.value)"
      >
        @for (reason of reasons; track reason) {
          <mat-radio-button [value]="reason">{{ reason }}</mat-radio-button>
        }
        <mat-radio-button value="">{{ say.anotherReason() }}</mat-radio-button>
      </mat-radio-group>
      @if (picked() === '') {
        <hy-field [label]="say.theOtherReason()">
          <input
            hyControl
            type="text"
            maxlength="200"
            [value]="other()"
            (input)="other.set(text.value)"
            #text
          />
        </hy-field>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button
        type="button"
        matButton="text"
        [disabled]="reason() === ''"
        (click)="ref.close(reason())"
      >
        {{ say.waterAnyway() }}
      </button>
      <button type="button" matButton="filled" (click)="ref.close()">{{ say.dontWater() }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-radio-group {
      display: grid;
      margin-block: 0.6rem;
    }
    .mat-mdc-dialog-content {
      color: var(--ink);
      font-size: 1rem;
      letter-spacing: 0;
    }
    .mat-mdc-dialog-actions {
      gap: 0.75rem;
      padding: 0.5rem 1.5rem 1.5rem;
      justify-content: flex-end;
      flex-wrap: wrap;
    }
  `,
})
export class BreachDialog {
  protected readonly say = say;

  protected readonly question = inject<BreachQuestion>(MAT_DIALOG_DATA);
  protected readonly ref = inject<MatDialogRef<BreachDialog, string>>(MatDialogRef);
  protected readonly reasons = reasons();
  protected readonly picked = signal<string | null>(null);
  protected readonly other = signal('');
  protected readonly reason = computed(() => {
    const picked = this.picked();
    return picked === '' ? this.other().trim() : (picked ?? '');
  });
}
