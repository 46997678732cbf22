import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';

/** Says that a form was taken up where it was left, how long ago that was, and lets one begin afresh. */
@Component({
  selector: 'hy-draft-note',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (age(); as ago) {
      <p class="quiet small no-print" role="status">
        Taken up where you left it {{ ago }}.
        <button type="button" class="bare" (click)="afresh.emit()">Start afresh</button>
      </p>
    }
  `,
})
export class DraftNote {
  /** When it was typed, ms since 1970; null where it is not taken up. */
  readonly at = input.required<number | null>();
  readonly afresh = output();

  protected readonly age = computed(() => {
    const at = this.at();
    return at === null ? '' : formatDistanceToNow(at, { addSuffix: true });
  });
}
