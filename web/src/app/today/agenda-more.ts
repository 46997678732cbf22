import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { batchTitle, placeOf } from '@hypogeon/core/bench';
import type { Ask } from '@hypogeon/core/care';
import type { Batch, State } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/agenda-more';
import { Words } from '../data/words';
import { AskTaps } from './ask-taps';
import { PostponeForm } from './postpone-form';

/** Behind a line of the day: why, how sure, each of its batches by itself, and postponing. */
@Component({
  selector: 'hy-agenda-more',
  imports: [MatButton, RouterLink, AskTaps, PostponeForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul class="grid gap-2 mt-0 mb-2 ml-5 mr-0 py-1 pl-4.5 pr-0 border-l-3 border-line list-none">
      @for (item of items(); track item.batch.id) {
        <li>
          <div class="row flex flex-wrap items-center gap-y-1 gap-x-2.5">
            <a [routerLink]="['/bench', item.batch.id]">{{ title(item.batch) }}</a>
            <span class="quiet">{{ place(item.batch) }}</span>
            @if (items().length > 1) {
              <hy-ask-taps
                class="ml-auto"
                [ask]="item"
                [name]="title(item.batch)"
                (tapped)="tapped.emit()"
              />
            }
          </div>
          <p class="text-base">
            @if (items().length > 1) {
              {{ words.askLine(item) }}
            }
            {{ words.reason(item.reason) }}
            <span class="quiet">{{ words.sure(item) }}</span>
          </p>
          @if (postponing() === item.batch.id) {
            @defer {
              <hy-postpone-form
                [batch]="item.batch.id"
                [task]="item.kind"
                (done)="tapped.emit(); closed.emit()"
                (cancelled)="postponing.set('')"
              />
            }
          } @else {
            <button
              class="-ml-2.5"
              type="button"
              matButton="text"
              [attr.aria-label]="say.postponeOrSkip({ title: title(item.batch) })"
              (click)="postponing.set(item.batch.id)"
            >
              {{ say.postponeOrSkip2() }}
            </button>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    .row a:first-child {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      font-weight: 600;
    }
  `,
})
export class AgendaMore {
  protected readonly say = say;

  protected readonly words = inject(Words);
  readonly items = input.required<readonly Ask[]>();
  readonly state = input.required<State>();
  readonly tapped = output();
  readonly closed = output();

  /** Id of the batch whose task is being postponed. */
  protected readonly postponing = signal('');

  protected title(batch: Batch): string {
    return batchTitle(this.state(), batch);
  }

  protected place(batch: Batch): string {
    return placeOf(this.state(), batch) ?? '';
  }
}
