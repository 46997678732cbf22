import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { ChangedLine } from '@hypogeon/words';
import { say } from '@hypogeon/messages/what-follows';

/** What would read otherwise, said before it is saved. */
@Component({
  selector: 'hy-what-follows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (changes().length > 0) {
      <div role="status">
        <p>
          <strong>{{ say.whatFollows() }}</strong>
        </p>
        <ul class="pl-5">
          @for (c of changes(); track c.of) {
            <li>
              {{ c.of }}: {{ c.is }} <span class="quiet">{{ say.now({ was: c.was }) }}</span>
            </li>
          }
        </ul>
      </div>
    }
  `,
})
export class WhatFollows {
  protected readonly say = say;

  readonly changes = input.required<readonly ChangedLine[]>();
}
