import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Ago } from '../ui/ago';

/** Says that a form was taken up where it was left, how long ago that was, and lets one start over. */
@Component({
  selector: 'hy-draft-note',
  imports: [MatButton, Ago],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at() !== null) {
      <p class="quiet small no-print" role="status">
        Taken up where you left it {{ at() | hyAgo }}.
        <button type="button" matButton="text" (click)="afresh.emit()">Start over</button>
      </p>
    }
  `,
  styles: `
    // Nothing to say: no room between what stands above and below.
    :host:empty {
      display: none;
    }
  `,
})
export class DraftNote {
  /** When it was typed, ms since 1970; null where it is not taken up. */
  readonly at = input.required<number | null>();
  readonly afresh = output();
}
