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
import type { Better, SlowHere } from '@hypogeon/core/care';
import { betterName, betterText, noneBetter, slowText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/air-better-place';
import { Journal } from '../data/journal';
import { Words } from '../data/words';

/** What takes over twice its time where it lies, and where of the grower's own, or by what, it would come sooner. */
@Component({
  selector: 'hy-better-place',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="grid gap-1.5 py-2 pl-3.5 border-l-4 border-callus"
      [attr.aria-label]="say.aBetterPlace()"
    >
      <p>
        <strong>{{ say.slowHere() }}</strong> {{ says() }}
        @if (slow().better.length === 0) {
          {{ none() }}
        }
      </p>
      @for (b of lines(); track b.name) {
        <p class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span
            ><strong>{{ b.name }}:</strong> {{ b.text }}.</span
          >
          @if (b.space; as to) {
            @if (moves()) {
              <button
                type="button"
                matButton="outlined"
                (click)="move.emit(to)"
                [attr.aria-label]="say.moveItTo({ name: b.name })"
              >
                {{ taps() }}
              </button>
            }
          } @else {
            <a matButton="text" [routerLink]="['/settings/air', slow().space]">{{
              say.tellItsPlaceOf()
            }}</a>
          }
        </p>
      }
    </section>
  `,
})
export class BetterPlace {
  protected readonly say = say;

  readonly slow = input.required<SlowHere>();
  /** It can be carried there by a tap; the tap's word. */
  readonly moves = input(false, { transform: booleanAttribute });
  readonly taps = input(say.moveItThere());
  readonly move = output<string>();

  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;

  protected readonly says = computed(() => slowText(this.slow(), this.words.speech()));
  protected readonly none = computed(() => noneBetter(this.slow(), this.words.speech()));
  protected readonly lines = computed(() => {
    const speech = this.words.speech();
    const { spaces } = this.state();
    const named = (id: string): string => spaces.get(id)?.name ?? say.anotherPlace();
    return this.slow().better.map((b: Better) => ({
      name: betterName(b, named, speech),
      text: betterText(b, speech),
      space: b.is.by === 'place' ? b.is.space : null,
    }));
  });
}
