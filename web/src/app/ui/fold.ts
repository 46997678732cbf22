import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  contentChild,
  input,
  signal,
  TemplateRef,
} from '@angular/core';

/**
 * What only those who look twice want: one line that opens. Nothing of it is made before, so that a chart in it has its
 * width when it is drawn; on paper it stands open.
 * @example `<hy-fold heading="How this was worked out"><ng-template>…</ng-template></hy-fold>`
 */
@Component({
  selector: 'hy-fold',
  imports: [NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block', '(window:beforeprint)': 'open.set(true)' },
  template: `
    <details [open]="open()" (toggle)="open.set(box.open)" #box>
      <summary>{{ heading() }}</summary>
      @if (open()) {
        <div class="grid grid-cols-1 gap-3 pt-1 pb-3">
          <ng-container [ngTemplateOutlet]="inside()" />
        </div>
      }
    </details>
  `,
})
export class Fold {
  readonly heading = input.required<string>();
  protected readonly open = signal(false);
  protected readonly inside = contentChild.required(TemplateRef);
}
