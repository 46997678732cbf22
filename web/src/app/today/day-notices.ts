import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { MotherAsk } from '@hypogeon/core/care';
import type { Notice, Round } from '@hypogeon/core/round';
import { counted, MOTHER_DONE, noticeLines, NOUN } from '@hypogeon/words';
import { MatButton } from '@angular/material/button';
import { Actions } from '../data/actions';
import { Words } from '../data/words';

/** What concerns no single batch: orders, frost, seasons, mothers, and what could not be worked out. */
@Component({
  selector: 'hy-day-notices',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (group of groups(); track group.kind) {
      @let only = group.items.length === 1 ? group.items[0] : null;
      @if (only) {
        <p class="notice">
          <a [routerLink]="link(only)">{{ group.title }}</a>
          <span>{{ group.says }}</span>
        </p>
      } @else {
        <details class="notice">
          <summary>
            <strong>{{ group.title }}</strong> <span>{{ group.says }}</span>
          </summary>
          <ul>
            @for (n of group.items; track n.id) {
              <li>
                <a [routerLink]="link(n)">{{ n.title }}</a> <span>{{ words.near(n.day) }}</span>
              </li>
            }
          </ul>
        </details>
      }
    }
    @if (round().mothers.length > 0) {
      <details class="notice">
        <summary>
          <strong>{{ mothers() }}</strong>
          <span>after a cut, a division or repotting</span>
        </summary>
        <ul>
          @for (m of round().mothers; track m.mother.id + m.kind) {
            <li>
              <a [routerLink]="['/mothers', m.mother.id]"
                >{{ words.motherAsk(m) }}: {{ m.mother.name ?? 'a mother' }}</a
              >
              <button
                type="button"
                matButton="outlined"
                [attr.aria-label]="done[m.kind] + ': ' + (m.mother.name ?? 'a mother')"
                (click)="tended(m)"
              >
                {{ done[m.kind] }}
              </button>
              <span>{{ words.reason(m.reason) }}</span>
            </li>
          }
        </ul>
      </details>
    }
    @for (b of round().broken; track b.of.id) {
      <p class="notice trouble">
        <a [routerLink]="['/bench', b.of.id]">{{ b.of.place ?? b.of.taxon }}</a>
        <span>cannot be worked out: {{ b.reason }}. The others are not touched by it.</span>
      </p>
    }
    @if (waterSlow()) {
      <p class="notice">
        <strong>The pots are still being worked out.</strong>
        <span>What they ask for joins the list by itself; the rest stands already.</span>
      </p>
    }
    @if (waterFailed(); as why) {
      <p class="notice trouble">
        <strong>Water could not be judged.</strong>
        <span>{{ why }}. It is tried again with the next entry.</span>
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
    }
    .notice {
      max-width: none;
      padding: 0 0.8rem;
      border-left: 4px solid var(--callus);
      background: var(--face);
    }
    p.notice {
      display: flex;
      flex-wrap: wrap;
      gap: 0 0.6rem;
      align-items: center;
      min-height: 44px;
    }
    p.notice a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      color: var(--ink);
      font-weight: 650;
    }
    summary {
      flex-wrap: wrap;
      gap: 0 0.5rem;
      width: auto;
      text-decoration: none;
    }
    summary::after {
      content: '▾';
      margin-left: auto;
      color: var(--living);
    }
    details[open] summary::after {
      content: '▴';
    }
    ul {
      margin: 0;
      padding: 0 0 0.5rem;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 0 0.6rem;
      align-items: center;
    }
    li a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
    span {
      color: var(--ink2);
      font-size: 0.9375rem;
    }
    .trouble {
      border-left-color: var(--do);
    }
  `,
})
export class DayNotices {
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  readonly round = input.required<Round>();
  readonly waterFailed = input('');
  readonly waterSlow = input(false);

  protected readonly done = MOTHER_DONE;
  protected readonly mothers = computed(
    () =>
      `${counted(new Set(this.round().mothers.map((m) => m.mother.id)).size, NOUN.mother)} to see to`,
  );
  protected readonly groups = computed(() =>
    noticeLines(this.round().notices, this.words.speech()),
  );

  protected tended({ mother, kind }: MotherAsk): void {
    void this.actions.record(
      { kind: 'mothered', mother: mother.id, what: kind },
      `${mother.name ?? 'The mother'}: noted`,
    );
  }

  protected link({ kind, about }: Notice): readonly string[] {
    switch (kind) {
      case 'frost':
        return ['/settings/air', about];
      case 'season':
        return ['/mothers', about];
      case 'order':
        return ['/bench/orders'];
    }
  }
}
