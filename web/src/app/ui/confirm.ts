import { ChangeDetectionStrategy, Component, inject, Injectable, Injector } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog';
import { firstValueFrom } from 'rxjs';
import { say } from '@hypogeon/messages/confirm';

export interface Question {
  readonly title: string;
  readonly text: string;
  /** On the button that does it. */
  readonly yes: string;
}

@Component({
  selector: 'hy-confirm-dialog',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ question.title }}</h2>
    <mat-dialog-content>{{ question.text }}</mat-dialog-content>
    <mat-dialog-actions align="end">
      <button type="button" matButton="text" [mat-dialog-close]="false">{{ say.cancel() }}</button>
      <button type="button" matButton="filled" [mat-dialog-close]="true">{{ question.yes }}</button>
    </mat-dialog-actions>
  `,
})
export class ConfirmDialog {
  protected readonly say = say;

  protected readonly question = inject<Question>(MAT_DIALOG_DATA);
}

/** Asks before something that cannot be taken back. */
@Injectable({ providedIn: 'root' })
export class Confirm {
  private readonly injector = inject(Injector);

  /** @returns true once it is said yes to */
  async ask(question: Question): Promise<boolean> {
    const dialog = this.injector
      .get(MatDialog)
      .open<ConfirmDialog, Question, boolean>(ConfirmDialog, { data: question, maxWidth: '32rem' });
    return (await firstValueFrom(dialog.afterClosed())) === true;
  }
}
