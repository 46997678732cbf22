import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { bestOf, type Outcome, type Rehearsal } from '@hypogeon/core/rehearse';
import {
  dearText,
  differenceText,
  livedText,
  othersText,
  REHEARSAL_PROBLEM,
  grownText,
  rootDaysText,
} from '@hypogeon/words';
import { say } from '@hypogeon/messages/played';
import { Words } from '../data/words';
import { IconArray } from './icon-array';
import { Playing } from './playing';

/** What came of a play: the ways side by side, set against the first, and how sure that is. */
@Component({
  selector: 'hy-played',
  imports: [IconArray, MatButton, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div aria-live="polite">
      @if (played(); as p) {
        @if (p.ok) {
          <div class="ways grid auto-fill-60 gap-y-4 gap-x-6.5 mt-4">
            @for (o of p.outcomes; track $index) {
              <article class="pt-2 border-t-3 border-line" [class.best]="$index === best()">
                <h2 class="mb-1.5 text-lg">
                  {{ nameOf(o) }}
                  @if (removable().includes(o.name)) {
                    <button
                      type="button"
                      matButton="text"
                      [attr.aria-label]="say.leaveOut({ nameOf: nameOf(o) })"
                      (click)="leaveOut.emit(o.name)"
                    >
                      {{ say.leaveOut2() }}
                    </button>
                  }
                </h2>
                <hy-icon-array [outcome]="o" />
                <p class="rooted my-0.5 headline text-lg">
                  {{ says.rooted(o) }}
                </p>
                <p class="my-0.5">{{ says.others(o) }}</p>
                <p class="my-0.5">{{ says.days(o) }} {{ says.grown(o) }}</p>
                <p class="quiet my-0.5">
                  {{
                    say.wateringsMinOfHands({
                      waterings: words.rounded(o.waterings, 0),
                      volume: words.volume(o.litres * 1000),
                      minutes: words.rounded(o.minutes, 0),
                    })
                  }}
                </p>
              </article>
            }
          </div>
          <section class="mt-5.5" aria-labelledby="apart">
            <h2 id="apart" class="ruled">{{ say.setAgainstEachOther() }}</h2>
            <ul>
              @for (line of differences(); track $index) {
                <li>{{ line }}</li>
              }
            </ul>
            <p class="quiet small">
              {{
                p.outcomes[0]?.counts === 'plants'
                  ? say.leafAndRootWith({ number: words.number(p.cuttings) })
                  : say.leafAndRootRooted({ number: words.number(p.cuttings) })
              }}
            </p>
          </section>
        } @else {
          <p class="problem" role="alert">{{ problem[p.problem] }}</p>
        }
      } @else if (waits() && !playing.stopped()) {
        <mat-progress-bar mode="indeterminate" [attr.aria-label]="say.playing()" />
      }
      @if (playing.failed()) {
        <p class="problem" role="alert">{{ playing.failed() }}</p>
      }
    </div>
    @if (playing.far(); as far) {
      <div class="far grid grid-cols-[1fr_auto] items-center gap-4">
        <mat-progress-bar
          mode="determinate"
          [value]="100 * far"
          [attr.aria-label]="say.playingCuttings({ number: words.number(playing.size()) })"
        />
        <button type="button" matButton="outlined" (click)="playing.stop()">
          {{ say.stop() }}
        </button>
      </div>
    } @else if (playing.stopped()) {
      <p class="quiet">
        {{
          say.stoppedWhatStandsHere({ what: played()?.ok ? say.theSmallFirstRun() : say.noRun() })
        }}
      </p>
    }
  `,
  styles: `
    article.best {
      border-top-color: var(--living);
    }
  `,
})
export class Played {
  protected readonly say = say;

  protected readonly words = inject(Words);
  protected readonly playing = inject(Playing);
  readonly played = input.required<Rehearsal | null>();
  /** Something is asked, though nothing came yet. */
  readonly waits = input(false);
  /** What a way is called, where that is not its own name. */
  readonly naming = input<(name: string) => string>((name) => name);
  /** Names of ways that may be left out again. */
  readonly removable = input<readonly string[]>([]);
  readonly leaveOut = output<string>();

  protected readonly says = {
    rooted: livedText,
    others: othersText,
    days: rootDaysText,
    grown: grownText,
  };
  protected readonly problem = REHEARSAL_PROBLEM;

  protected nameOf({ name }: Outcome): string {
    return this.naming()(name);
  }
  protected readonly best = computed(() => {
    const played = this.played();
    return played?.ok ? bestOf(played) : -1;
  });
  protected readonly differences = computed(() => {
    const played = this.played();
    if (!played?.ok) return [];
    return played.differences
      .filter((d) => d.a === 0)
      .map((d) => {
        const [a, b] = [played.outcomes[0]!, played.outcomes[d.b]!];
        return [
          differenceText(d, this.nameOf(a), this.nameOf(b)),
          dearText(d, a, b, (o) => this.nameOf(o)),
        ]
          .filter(Boolean)
          .join(' ');
      });
  });
}
