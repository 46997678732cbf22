import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';

export interface BreachQuestion {
  readonly title: string;
  /** When the gate opens, in words. */
  readonly opens: string;
}

const REASONS = ['By mistake', 'It looked shrivelled', 'To settle dust', 'Trying it on purpose'];

/** Asks why water should touch an open wound; the reason is remembered with the watering. */
@Component({
  selector: 'hy-breach-dialog',
  imports: [MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>The gate is shut {{ question.opens }}</h2>
    <mat-dialog-content>
      <p>
        {{ question.title }}: water on an open wound lets rot in, and rot cannot be undone. A
        thirsty cutting wrinkles, shows it and recovers.
      </p>
      <fieldset>
        <legend>Why water now?</legend>
        @for (reason of reasons; track reason) {
          <label class="tick">
            <input
              type="radio"
              name="why"
              [checked]="picked() === reason"
              (change)="picked.set(reason)"
            />
            {{ reason }}
          </label>
        }
        <label class="tick">
          <input type="radio" name="why" [checked]="picked() === ''" (change)="picked.set('')" />
          For another reason:
        </label>
        <input
          type="text"
          aria-label="The other reason"
          maxlength="200"
          [value]="other()"
          (input)="other.set(text.value); picked.set('')"
          #text
        />
      </fieldset>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button class="plain" [disabled]="!reason()" (click)="ref.close(reason())">
        Water anyway, and remember it
      </button>
      <button class="act" (click)="ref.close()">Keep the can away</button>
    </mat-dialog-actions>
  `,
  styles: `
    fieldset {
      margin-top: 1rem;
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
  protected readonly question = inject<BreachQuestion>(MAT_DIALOG_DATA);
  protected readonly ref = inject<MatDialogRef<BreachDialog, string>>(MatDialogRef);
  protected readonly reasons = REASONS;
  protected readonly picked = signal<string | null>(null);
  protected readonly other = signal('');
  protected readonly reason = computed(() => {
    const picked = this.picked();
    return picked === '' ? this.other().trim() : (picked ?? '');
  });
}
