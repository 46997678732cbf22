import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';

const KEYS: readonly {
  readonly where: string;
  readonly keys: readonly (readonly [string, string])[];
}[] = [
  {
    where: 'Everywhere',
    keys: [
      ['/', 'find anything'],
      ['?', 'this list'],
      ['Escape', 'close what is open'],
    ],
  },
  {
    where: 'Walk and count',
    keys: [
      ['1 – 5', 'one more rooted, with pups, rotted, dried up, lost'],
      ['Shift 1 – 5', 'one less'],
      ['6', 'no change (walk)'],
      ['Enter', 'next stop, or save the count'],
      ['Backspace', 'back one stop (walk)'],
    ],
  },
  {
    where: 'Tray map',
    keys: [
      ['Arrows', 'move over the tray'],
      ['Space', 'mark a place'],
      ['1 – 6', 'tell what became of the marked'],
    ],
  },
];

@Component({
  selector: 'hy-keys-dialog',
  imports: [MatButton, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Keys</h2>
    <mat-dialog-content>
      @for (group of groups; track group.where) {
        <h3>{{ group.where }}</h3>
        <dl class="grid grid-cols-[7rem_minmax(0,1fr)] gap-y-1 gap-x-4 mt-1.5 mb-4">
          @for (key of group.keys; track key[0]) {
            <dt>
              <kbd class="font-bold text-base leading-none font-text">{{ key[0] }}</kbd>
            </dt>
            <dd>{{ key[1] }}</dd>
          }
        </dl>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="outlined" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
})
export class KeysDialog {
  protected readonly groups = KEYS;
}
