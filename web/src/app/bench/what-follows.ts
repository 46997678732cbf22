import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { ChangedLine } from '@hypogeon/words';

/** What would read otherwise, said before it is saved. */
@Component({
  selector: 'hy-what-follows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (changes().length > 0) {
      <div role="status">
        <p><strong>What follows</strong></p>
        <ul class="pl-5">
          @for (c of changes(); track c.of) {
            <li>
              {{ c.of }}: {{ c.is }} <span class="quiet">(now: {{ c.was }})</span>
            </li>
          }
        </ul>
      </div>
    }
  `,
})
export class WhatFollows {
  readonly changes = input.required<readonly ChangedLine[]>();
}
