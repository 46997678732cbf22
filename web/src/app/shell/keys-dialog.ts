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
        <dl>
          @for (key of group.keys; track key[0]) {
            <dt>
              <kbd>{{ key[0] }}</kbd>
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
  styles: `
    dl {
      display: grid;
      grid-template-columns: 7rem minmax(0, 1fr);
      gap: 0.3rem 1rem;
      margin: 0.4rem 0 1rem;
    }
    dd {
      margin: 0;
    }
    kbd {
      font: 650 0.95rem/1 var(--text-face);
    }
  `,
})
export class KeysDialog {
  protected readonly groups = KEYS;
}
