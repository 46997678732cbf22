import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { canBeAnew, takenBackWith } from '@hypogeon/core/bench';
import type { BatchEntry } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/log-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { BatchHead } from './batch-head';
import { LogChange } from './log-change';

/** Everything that was told of a batch, the latest first; each line can be put right or undone. */
@Component({
  selector: 'hy-log-page',
  imports: [BatchHead, LogChange, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (batch(); as b) {
      <hy-batch-head [batch]="b" />
      <ul class="max-w-208 mt-2 mb-0 mx-0 p-0 list-none">
        @for (line of lines(); track line.entry.id) {
          <li
            class="grid grid-cols-[9rem_minmax(0,1fr)_auto] items-center gap-y-0 gap-x-3 min-h-11.5 border-b border-line wrap-anywhere phone:grid-cols-[minmax(0,1fr)_auto]"
          >
            <time
              class="quiet phone:mt-1.5 phone:col-span-full phone:small"
              [attr.datetime]="line.entry.day"
              >{{ words.day(line.entry.day) }}</time
            >
            <span>{{ line.text }}</span>
            <div class="no-print flex">
              @if (line.change) {
                <button
                  type="button"
                  matButton="text"
                  [attr.aria-expanded]="changing() === line.entry.id"
                  (click)="change(line.entry.id)"
                  [attr.aria-label]="
                    say.change({ text: line.text, day: words.day(line.entry.day) })
                  "
                >
                  {{ say.change2() }}
                </button>
              }
              <button
                type="button"
                matButton="text"
                (click)="undo(line.entry)"
                [attr.aria-label]="say.undo({ text: line.text, day: words.day(line.entry.day) })"
              >
                {{ say.undo2() }}
              </button>
            </div>
            @if (changing() === line.entry.id) {
              <hy-log-change
                class="col-span-full"
                [batch]="b"
                [entry]="line.entry"
                (left)="changing.set(null)"
              />
            }
          </li>
        } @empty {
          <li
            class="quiet grid grid-cols-[9rem_minmax(0,1fr)_auto] items-center gap-y-0 gap-x-3 min-h-11.5 border-b border-line wrap-anywhere phone:grid-cols-[minmax(0,1fr)_auto]"
          >
            {{ say.nothingYet() }}
          </li>
        }
      </ul>
    } @else {
      <h1>{{ say.noSuchBatch() }}</h1>
      <p>
        {{ say.itMayLiveIn() }} <a routerLink="/bench">{{ say.toTheBench() }}</a>
      </p>
    }
  `,
})
export class LogPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  protected readonly words = inject(Words);
  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly lines = computed(() =>
    (this.batch()?.entries ?? [])
      .map((entry) => ({
        entry,
        text: this.words.logLine(entry),
        change: canBeAnew(entry) !== null,
      }))
      .toReversed(),
  );

  /** The line that is being put right. */
  protected readonly changing = signal<string | null>(null);

  protected change(id: string): void {
    this.changing.update((now) => (now === id ? null : id));
  }

  protected undo(entry: BatchEntry): void {
    const back = takenBackWith(this.state(), entry);
    if (!back.ok) return this.actions.say(back.problem);
    void this.actions.retract(...back.entries);
  }
}
