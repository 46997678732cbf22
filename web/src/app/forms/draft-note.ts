import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { say } from '@hypogeon/messages/draft-note';
import { Ago } from '../ui/ago';

/** Says that a form was taken up where it was left, how long ago that was, and lets one start over. */
@Component({
  selector: 'hy-draft-note',
  imports: [MatButton, Ago],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at() !== null) {
      <p class="quiet small no-print" role="status">
        {{ say.takenUpWhereYou({ hyAgo: (at() | hyAgo) }) }}
        <button type="button" matButton="text" (click)="afresh.emit()">
          {{ say.startOver() }}
        </button>
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
  protected readonly say = say;

  /** When it was typed, ms since 1970; null where it is not taken up. */
  readonly at = input.required<number | null>();
  readonly afresh = output();
}
