import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';

export type Band = 'do' | 'look' | 'leave';

/** On a phone: which of the three the screen shows. */
@Component({
  selector: 'hy-bands',
  imports: [MatButtonToggle, MatButtonToggleGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let n = counts();
    <mat-button-toggle-group
      aria-label="What to show"
      hideSingleSelectionIndicator
      [value]="band()"
      (change)="band.set($event.value)"
    >
      <mat-button-toggle value="do">Do {{ n.do }}</mat-button-toggle>
      <mat-button-toggle value="look">Look {{ n.look }}</mat-button-toggle>
      <mat-button-toggle value="leave">Leave {{ n.leave }}</mat-button-toggle>
    </mat-button-toggle-group>
  `,
  styles: `
    mat-button-toggle-group {
      display: flex;
    }
    mat-button-toggle {
      flex: 1;
    }
  `,
})
export class Bands {
  readonly counts = input.required<Readonly<Record<Band, number>>>();
  readonly band = model.required<Band>();
}
