import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  replay,
  SCENARIO_IDS,
  SCENARIOS,
  seenOf,
  type Act,
  type PieceSeen,
} from '@hypogeon/core/practice';
import { actText, seenText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/play-page';
import { PracticeStore } from '../data/practice-store';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';
import { pieceDrawn } from './piece-drawn';
import { PracticeEnding } from './practice-ending';

/** What passes time stands apart from what a hand does. */
const WAITS: readonly Act[] = ['wait', 'week'];
const HANDS: readonly Act[] = ['set', 'water', 'mist', 'look', 'tug', 'recut', 'move', 'warm'];

const LOOKS: Readonly<Record<PieceSeen, string>> = {
  get gone() {
    return say.takenOut();
  },
  get soft() {
    return say.softAndDark();
  },
  get shrivelled() {
    return say.shrivelled();
  },
  get growing() {
    return say.newGrowth();
  },
  get wrinkled() {
    return say.wrinkled();
  },
  get plump() {
    return say.plump();
  },
};
const BELOW = {
  get open() {
    return say.woundOpen();
  },
  get closed() {
    return say.woundClosed();
  },
  get roots() {
    return say.roots();
  },
  get holds() {
    return say.holds();
  },
  get loose() {
    return say.loose();
  },
} as const;

/** One bench, one day at a time, with what can be seen and felt. */
@Component({
  selector: 'hy-play-page',
  imports: [CuttingMark, MatButton, PracticeEnding, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (scenario(); as s) {
      @let p = played()!;
      <div class="page-head m-0">
        <div>
          <p class="quiet small">
            <a routerLink="/plan/practice">{{ say.practice() }}</a>
          </p>
          <h1>{{ s.title }}</h1>
        </div>
        <button matButton="text" class="push" (click)="again()" [disabled]="p.acts.length === 0">
          {{ say.fromTheStart() }}
        </button>
      </div>
      <p class="quiet max-w-[70ch]">{{ s.told }}</p>
      @if (ended()) {
        <hy-practice-ending [played]="p" />
        <div class="row flex flex-wrap gap-2.5">
          <button matButton="filled" (click)="again()">{{ say.playItAgain() }}</button>
          <a matButton="outlined" routerLink="/plan/practice">{{ say.anotherBench() }}</a>
        </div>
      } @else {
        <section [attr.aria-label]="say.theBench()">
          <p class="day max-w-[80ch] min-h-[3em]" role="status">
            <strong>{{ say.day({ day: p.day }) }}</strong>
            {{ say.ofWord({ days: s.days, today: today() }) }}
          </p>
          <ul class="pieces grid auto-fill-25 gap-2.5 max-w-248 mt-2.5 mb-0 mx-0 p-0 list-none">
            @for (piece of pieces(); track $index) {
              <li class="grid justify-items-center text-center small">
                <hy-mark [piece]="drawn()" [state]="piece.state" [size]="56" [label]="piece.says" />
                <span>{{ piece.looks }}</span>
                @if (piece.below) {
                  <b>{{ piece.below }}</b>
                }
              </li>
            }
          </ul>
        </section>
        <div
          class="grid gap-3 pt-3 border-t-2 border-ink"
          role="group"
          [attr.aria-label]="say.whatYouDo()"
        >
          <div class="row flex flex-wrap gap-2.5">
            @for (act of hands(); track act.id) {
              <button
                matButton="outlined"
                [disabled]="act.off"
                [attr.aria-pressed]="act.on"
                [attr.aria-keyshortcuts]="act.key"
                (click)="does(act.id)"
              >
                {{ act.says }}
                <kbd class="ml-1.5 plain text-xs opacity-80 phone:hidden" aria-hidden="true">{{
                  act.key
                }}</kbd>
              </button>
            }
          </div>
          <div class="row flex flex-wrap gap-2.5">
            @for (act of waits; track act.id) {
              <button
                [matButton]="act.id === 'wait' ? 'filled' : 'outlined'"
                [attr.aria-keyshortcuts]="act.key"
                (click)="does(act.id)"
              >
                {{ act.says }}
                <kbd class="ml-1.5 plain text-xs opacity-80 phone:hidden" aria-hidden="true">{{
                  act.key
                }}</kbd>
              </button>
            }
            <button matButton="text" (click)="stopped.set(true)">
              {{ say.stopAndShowWhat() }}
            </button>
          </div>
          <p class="quiet small">{{ say.liftingAndTuggingSet() }}</p>
        </div>
      }
    } @else {
      <h1>{{ say.noSuchBench() }}</h1>
      <p>
        <a routerLink="/plan/practice">{{ say.toPractice() }}</a>
      </p>
    }
  `,
  styles: `
    [aria-pressed='true'] {
      background: var(--callus-soft);
    }
  `,
  host: { class: 'grid grid-cols-1 gap-4', '(document:keydown)': 'key($event)' },
})
export class PlayPage {
  protected readonly say = say;

  private readonly store = inject(PracticeStore);
  private readonly words = inject(Words);
  readonly id = input.required<string>();

  protected readonly scenario = computed(() => {
    const id = SCENARIO_IDS.find((s) => s === this.id());
    return id === undefined ? null : SCENARIOS[id];
  });
  protected readonly acts = computed((): readonly Act[] => {
    const scenario = this.scenario();
    return scenario ? this.store.acts(scenario.id) : [];
  });
  /** Whoever gives up sees the truth too. */
  protected readonly stopped = linkedSignal({ source: this.id, computation: () => false });
  protected readonly played = computed(() => {
    const scenario = this.scenario();
    return scenario && replay(scenario, this.acts());
  });
  protected readonly ended = computed(() => this.stopped() || this.played()?.over === true);
  private readonly seen = computed(() => {
    const played = this.played();
    return played && seenOf(played);
  });
  protected readonly today = computed(() => {
    const seen = this.seen();
    const { length, temperature, locale } = this.words.speech();
    return seen ? seenText(seen, { length, temperature, locale }).join(' ') : '';
  });
  protected readonly drawn = computed(() => pieceDrawn(this.scenario()!));
  protected readonly pieces = computed(() =>
    (this.seen()?.pieces ?? []).map(({ looks, below }) => ({
      looks: LOOKS[looks],
      below: below === null ? '' : BELOW[below],
      says: [LOOKS[looks], below === null ? '' : BELOW[below]].filter(Boolean).join(', '),
      state: markFor(looks, below),
    })),
  );
  protected readonly waits = WAITS.map((id, i) => ({
    id,
    says: actText(id),
    key: `${i + 9}`.slice(-1),
  }));
  protected readonly hands = computed(() => {
    const { set, warm } = this.played()!;
    return HANDS.map((id, i) => ({
      id,
      says: actText(id),
      key: `${i + 1}`,
      off: id === 'set' && set,
      on: id === 'warm' ? warm : null,
    }));
  });

  protected does(act: Act): void {
    this.store.keep(this.scenario()!.id, [...this.acts(), act]);
  }

  protected again(): void {
    this.stopped.set(false);
    this.store.keep(this.scenario()!.id, []);
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || this.ended() || !this.scenario()) return;
    const act = [...this.hands(), ...this.waits].find((a) => a.key === event.key);
    if (!act || ('off' in act && act.off)) return;
    event.preventDefault();
    this.does(act.id);
  }
}

function markFor(looks: PieceSeen, below: string | null): MarkState {
  return {
    ...FRESH,
    closure: below === 'closed' || below === 'roots' ? 1 : below === 'open' ? 0.3 : 0,
    roots: below === 'roots' ? 2 : 0,
    pup: looks === 'growing',
    lost: looks === 'soft' || looks === 'gone' ? 'rotted' : looks === 'shrivelled' ? 'dried' : null,
  };
}
