import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { say } from '@hypogeon/messages/bands';

export type Band = 'do' | 'look' | 'leave';

/** On a phone: which of the three the screen shows. */
@Component({
  selector: 'hy-bands',
  imports: [MatButtonToggle, MatButtonToggleGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // The words stand in the template: before the numbers come, a button has its name.
  template: `
    @let n = counts();
    <mat-button-toggle-group
      [attr.aria-label]="say.whatToShow()"
      hideSingleSelectionIndicator
      [value]="band()"
      (change)="band.set($event.value)"
    >
      <mat-button-toggle class="flex-1" value="do"
        >{{ say.doWord() }} <span>{{ n.do }}</span></mat-button-toggle
      >
      <mat-button-toggle class="flex-1" value="look"
        >{{ say.look() }} <span>{{ n.look }}</span></mat-button-toggle
      >
      <mat-button-toggle class="flex-1" value="leave"
        >{{ say.leave() }} <span>{{ n.leave }}</span></mat-button-toggle
      >
    </mat-button-toggle-group>
  `,
  styles: `
    mat-button-toggle-group {
      display: flex;
    }
  `,
})
export class Bands {
  protected readonly say = say;

  readonly counts = input.required<Readonly<Record<Band, number>>>();
  readonly band = model.required<Band>();
}
