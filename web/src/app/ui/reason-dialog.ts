import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { say } from '@hypogeon/messages/reason-dialog';
import { Field, FieldControl } from '../forms/field';

export interface ReasonAsked {
  readonly title: string;
  readonly text: string;
  readonly label: string;
  /** Said at the field where nothing is written. */
  readonly missing: string;
  /** On the button that does it. */
  readonly yes: string;
}

/** Asks for the reason of something that a later self will wonder about; closes with it, or with nothing. */
@Component({
  selector: 'hy-reason-dialog',
  imports: [
    Field,
    FieldControl,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ asked.title }}</h2>
    <mat-dialog-content>
      <p>{{ asked.text }}</p>
      <hy-field [label]="asked.label" [problem]="problem()">
        <input hyControl type="text" maxlength="400" (keydown.enter)="done(reason.value)" #reason />
      </hy-field>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button type="button" matButton="text" mat-dialog-close>{{ say.cancel() }}</button>
      <button type="button" matButton="filled" (click)="done(reason.value)">{{ asked.yes }}</button>
    </mat-dialog-actions>
  `,
})
export class ReasonDialog {
  protected readonly say = say;

  protected readonly asked = inject<ReasonAsked>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<ReasonDialog, string>>(MatDialogRef);
  protected readonly problem = signal('');

  protected done(text: string): void {
    const reason = text.trim();
    if (reason === '') this.problem.set(this.asked.missing);
    else this.dialog.close(reason);
  }
}
