import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { drawnOf } from '@hypogeon/core/bench';
import type { Ask } from '@hypogeon/core/care';
import type { Day } from '@hypogeon/core/days';
import type { SignPicture as Sign } from '@hypogeon/core/look';
import { answered, answersTo, taskDone, type LookAnswer } from '@hypogeon/core/round';
import { ANSWER_NAME, ANSWER_SAYS } from '@hypogeon/words';
import { say } from '@hypogeon/messages/ask-taps';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { SignPicture } from '../marks/sign-picture';

/** A page where it is told, and what is opened there. */
interface WayOn {
  readonly word: string;
  readonly path: string[];
  readonly tell?: 'move';
}

/** How an answer looks on the plant. */
const SEEN: Readonly<Record<LookAnswer, Sign>> = {
  firm: 'closed',
  tacky: 'tacky',
  fine: 'firm',
  soft: 'base-soft',
  alive: 'firm',
  'leaf-off': 'crisp',
};

/** What can be tapped at something asked: done, or what was seen; else the page where it is told. */
@Component({
  selector: 'hy-ask-taps',
  imports: [MatButton, RouterLink, SignPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex gap-1.5' },
  template: `
    @if (word(); as w) {
      <button
        type="button"
        [matButton]="loud() ? 'filled' : 'outlined'"
        [attr.aria-label]="w + ': ' + name()"
        [disabled]="disabled()"
        (click)="$event.detail < 2 && done()"
      >
        {{ w }}
      </button>
    }
    @for (answer of answers(); track answer) {
      <button
        type="button"
        matButton="outlined"
        [attr.aria-label]="says[answer] + ': ' + name()"
        [disabled]="disabled()"
        (click)="$event.detail < 2 && tell(answer)"
      >
        <span class="flex items-center gap-1.5">
          @if (counted()) {
            <hy-sign [look]="look()" [sign]="seen[answer]" [size]="28" />
          }
          {{ answerName[answer] }}
        </span>
      </button>
    }
    @if (page(); as p) {
      @if (p.tell && moves()) {
        <button
          type="button"
          matButton="outlined"
          [attr.aria-label]="p.word + ': ' + name()"
          [disabled]="disabled()"
          (click)="move.emit()"
        >
          {{ p.word }}
        </button>
      } @else {
        <a
          matButton="outlined"
          [attr.aria-label]="p.word + ': ' + name()"
          [routerLink]="p.path"
          [queryParams]="{ tell: p.tell }"
          >{{ p.word }}</a
        >
      }
    }
  `,
  styles: `
    [matButton] {
      --mat-button-outlined-horizontal-padding: 0.7rem;
      --mat-button-filled-horizontal-padding: 0.8rem;
      min-width: 44px;
    }
  `,
})
export class AskTaps {
  private readonly actions = inject(Actions);
  readonly ask = input.required<Ask>();
  /** The batch, as a button says it to who does not see the row. */
  readonly name = input.required<string>();
  readonly loud = input(false, { transform: booleanAttribute });
  readonly disabled = input(false);
  /** The day it was done; today where none is given. */
  readonly on = input<Day>();
  /** A count that is taken on this very screen needs no way to another. */
  readonly counted = input(false, { transform: booleanAttribute });
  /** On the batch's own page the move is told there and then; elsewhere the way leads to it. */
  readonly moves = input(false, { transform: booleanAttribute });
  readonly move = output();
  readonly tapped = output();

  private readonly state = inject(Journal).state;
  protected readonly seen = SEEN;
  protected readonly look = computed(() => drawnOf(this.state(), this.ask().batch).look);
  protected readonly says = ANSWER_SAYS;
  protected readonly answerName = ANSWER_NAME;
  protected readonly word = computed(() => {
    const ask = this.ask();
    return ask.band === 'do' ? taskDone(ask).word : '';
  });
  protected readonly answers = computed(() => {
    const ask = this.ask();
    return ask.band === 'look' ? answersTo(ask) : [];
  });
  protected readonly page = computed((): WayOn | null => {
    const ask = this.ask();
    if (ask.band !== 'look') return null;
    const path = ['/bench', ask.batch.id];
    switch (ask.kind) {
      case 'roots':
      case 'pups':
      case 'overdue':
        return this.counted() ? null : { word: say.count(), path: [...path, 'count'] };
      case 'pool':
        return { word: say.see(), path: [...path, 'water'] };
      case 'stopped':
        return { word: say.move(), path, tell: 'move' };
      default:
        return null;
    }
  });

  protected done(): void {
    const ask = this.ask();
    if (ask.band !== 'do') return;
    const { entries, said } = taskDone(ask);
    void this.actions.recordAll(
      entries.map((e) => ({ ...e, ...this.dated() })),
      said,
    );
    this.tapped.emit();
  }

  protected tell(answer: LookAnswer): void {
    const ask = this.ask();
    if (ask.band !== 'look') return;
    void this.actions.record({ ...answered(ask, answer), ...this.dated() }, ANSWER_SAYS[answer]);
    this.tapped.emit();
  }

  private dated(): { readonly day?: Day } {
    const day = this.on();
    return day === undefined ? {} : { day };
  }
}
