import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { takenBackWith } from '@hypogeon/core/bench';
import type { BatchEntry } from '@hypogeon/core/journal';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { BatchHead } from './batch-head';

/** Everything that was told of a batch, the latest first; each line can be undone. */
@Component({
  selector: 'hy-log-page',
  imports: [BatchHead, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (batch(); as b) {
      <hy-batch-head [batch]="b" />
      <ul>
        @for (line of lines(); track line.entry.id) {
          <li>
            <time [attr.datetime]="line.entry.day">{{ words.day(line.entry.day) }}</time>
            <span>{{ line.text }}</span>
            <button
              type="button"
              matButton="text"
              class="no-print"
              (click)="undo(line.entry)"
              [attr.aria-label]="'Undo: ' + line.text + ', ' + words.day(line.entry.day)"
            >
              Undo
            </button>
          </li>
        } @empty {
          <li class="quiet">Nothing yet.</li>
        }
      </ul>
    } @else {
      <h1>No such batch</h1>
      <p>It may live in another journal. <a routerLink="/bench">To the bench</a></p>
    }
  `,
  styles: `
    ul {
      max-width: 52rem;
      margin: 0.5rem 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 9rem minmax(0, 1fr) auto;
      gap: 0 0.75rem;
      align-items: center;
      min-height: 46px;
      border-bottom: 1px solid var(--line);
      overflow-wrap: anywhere;
    }
    time {
      color: var(--ink2);
    }
    @media (max-width: 760px) {
      li {
        grid-template-columns: minmax(0, 1fr) auto;
      }
      time {
        grid-column: 1 / -1;
        margin-top: 0.4rem;
        font-size: 0.875rem;
      }
    }
  `,
})
export class LogPage {
  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  protected readonly words = inject(Words);
  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly lines = computed(() =>
    (this.batch()?.entries ?? [])
      .map((entry) => ({ entry, text: this.words.logLine(entry) }))
      .toReversed(),
  );

  protected undo(entry: BatchEntry): void {
    const back = takenBackWith(this.state(), entry);
    if (!back.ok) return this.actions.say(back.problem);
    void this.actions.retract(...back.entries);
  }
}
