import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { say } from '@hypogeon/messages/keys-dialog';

const KEYS: readonly {
  readonly where: string;
  readonly keys: () => readonly (readonly [string, string])[];
}[] = [
  {
    get where() {
      return say.everywhere();
    },
    keys: () => [
      ['/', say.findAnything()],
      ['?', say.thisList()],
      [say.escape(), say.closeWhatIsOpen()],
    ],
  },
  {
    get where() {
      return say.walkAndCount();
    },
    keys: () => [
      ['1 – 5', say.oneMoreRootedWith()],
      [`${say.shift()} 1 – 5`, say.oneLess()],
      ['6', say.noChangeWalk()],
      [say.enter(), say.nextStopOrSave()],
      [say.backspace(), say.backOneStopWalk()],
    ],
  },
  {
    get where() {
      return say.trayMap();
    },
    keys: () => [
      [say.arrows(), say.moveOverTheTray()],
      [say.space(), say.markAPlace()],
      ['1 – 6', say.tellWhatBecameOf()],
    ],
  },
];

@Component({
  selector: 'hy-keys-dialog',
  imports: [MatButton, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ say.keys() }}</h2>
    <mat-dialog-content>
      @for (group of groups; track group.where) {
        <h3>{{ group.where }}</h3>
        <dl class="grid grid-cols-[7rem_minmax(0,1fr)] gap-y-1 gap-x-4 mt-1.5 mb-4">
          @for (key of group.keys(); track key[0]) {
            <dt>
              <kbd class="font-bold text-base leading-none font-text">{{ key[0] }}</kbd>
            </dt>
            <dd>{{ key[1] }}</dd>
          }
        </dl>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="outlined" mat-dialog-close>{{ say.close() }}</button>
    </mat-dialog-actions>
  `,
})
export class KeysDialog {
  protected readonly say = say;

  protected readonly groups = KEYS;
}
