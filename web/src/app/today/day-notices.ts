import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { MotherAsk } from '@hypogeon/core/care';
import type { Notice, Round } from '@hypogeon/core/round';
import { MOTHER_DONE, noticeLines, noticeTitle } from '@hypogeon/words';
import { MatButton } from '@angular/material/button';
import { say } from '@hypogeon/messages/day-notices';
import { Actions } from '../data/actions';
import { Words } from '../data/words';

/** What concerns no single batch: orders, frost, seasons, mothers, and what could not be worked out. */
@Component({
  selector: 'hy-day-notices',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-2' },
  template: `
    @for (group of groups(); track group.kind) {
      @let only = group.items.length === 1 ? group.items[0] : null;
      @if (only) {
        <p
          class="notice flex flex-wrap items-center gap-y-0 gap-x-2.5 max-w-none min-h-11 px-3 border-l-4 border-callus bg-face"
        >
          <a
            class="inline-flex items-center min-h-11 text-ink font-bold"
            [routerLink]="link(only)"
            >{{ group.title }}</a
          >
          <span class="quiet text-base">{{ group.says }}</span>
        </p>
      } @else {
        <details class="notice max-w-none py-0 px-3 border-l-4 border-callus bg-face">
          <summary class="flex-wrap gap-y-0 gap-x-2 w-auto no-underline">
            <strong>{{ group.title }}</strong> <span class="quiet text-base">{{ group.says }}</span>
          </summary>
          <ul class="m-0 pt-0 pb-2 px-0 list-none">
            @for (n of group.items; track n.id) {
              <li class="flex flex-wrap items-center gap-y-0 gap-x-2.5">
                <a class="inline-flex items-center min-h-11" [routerLink]="link(n)">{{
                  title(n)
                }}</a>
                <span class="quiet text-base">{{ words.near(n.day) }}</span>
              </li>
            }
          </ul>
        </details>
      }
    }
    @if (round().mothers.length > 0) {
      <details class="notice max-w-none py-0 px-3 border-l-4 border-callus bg-face">
        <summary class="flex-wrap gap-y-0 gap-x-2 w-auto no-underline">
          <strong>{{ mothers() }}</strong>
          <span class="quiet text-base">{{ say.afterACutA() }}</span>
        </summary>
        <ul class="m-0 pt-0 pb-2 px-0 list-none">
          @for (m of round().mothers; track m.mother.id + m.kind) {
            <li class="flex flex-wrap items-center gap-y-0 gap-x-2.5">
              <a class="inline-flex items-center min-h-11" [routerLink]="['/mothers', m.mother.id]"
                >{{ words.motherAsk(m) }}: {{ m.mother.name ?? say.aMother() }}</a
              >
              <button
                type="button"
                matButton="outlined"
                [attr.aria-label]="done[m.kind] + ': ' + (m.mother.name ?? 'a mother')"
                (click)="tended(m)"
              >
                {{ done[m.kind] }}
              </button>
              <span class="quiet text-base">{{ words.reason(m.reason) }}</span>
            </li>
          }
        </ul>
      </details>
    }
    @for (b of round().broken; track b.of.id) {
      <p
        class="notice flex flex-wrap items-center gap-y-0 gap-x-2.5 max-w-none min-h-11 px-3 border-l-4 border-callus border-l-do bg-face"
      >
        <a
          class="inline-flex items-center min-h-11 text-ink font-bold"
          [routerLink]="['/bench', b.of.id]"
          >{{ b.of.place ?? b.of.taxon }}</a
        >
        <span class="quiet text-base">{{ say.cannotBeWorkedOut({ reason: b.reason }) }}</span>
      </p>
    }
    @if (waterSlow()) {
      <p
        class="notice flex flex-wrap items-center gap-y-0 gap-x-2.5 max-w-none min-h-11 px-3 border-l-4 border-callus bg-face"
      >
        <strong>{{ say.thePotsAreStill() }}</strong>
        <span class="quiet text-base">{{ say.whatTheyAskFor() }}</span>
      </p>
    }
    @if (waterFailed(); as why) {
      <p
        class="notice flex flex-wrap items-center gap-y-0 gap-x-2.5 max-w-none min-h-11 px-3 border-l-4 border-callus border-l-do bg-face"
      >
        <strong>{{ say.waterCouldNotBe() }}</strong>
        <span class="quiet text-base">{{ say.itIsTriedAgain({ why: why }) }}</span>
      </p>
    }
  `,
  styles: `
    summary::after {
      content: '▾';
      margin-left: auto;
      color: var(--living);
    }
    details[open] summary::after {
      content: '▴';
    }
  `,
})
export class DayNotices {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  readonly round = input.required<Round>();
  readonly waterFailed = input('');
  readonly waterSlow = input(false);

  protected readonly done = MOTHER_DONE;
  protected readonly title = noticeTitle;
  protected readonly mothers = computed(() =>
    say.motherToSeeTo({ count: new Set(this.round().mothers.map((m) => m.mother.id)).size }),
  );
  protected readonly groups = computed(() =>
    noticeLines(this.round().notices, this.words.speech()),
  );

  protected tended({ mother, kind }: MotherAsk): void {
    void this.actions.record(
      { kind: 'mothered', mother: mother.id, what: kind },
      say.noted({ name: mother.name ?? say.theMother() }),
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
