import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Drawn, Part } from '@hypogeon/core/look';
import { stepCount, stillOpen, type Batch, type Counts } from '@hypogeon/core/journal';
import { YOUNG_KEY } from '@hypogeon/words';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/tally-keys';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';

export type Counted = keyof Counts;

interface Key {
  readonly outcome: Counted;
  readonly name: string;
  readonly says: string;
  readonly mark: MarkState;
}

export const TALLY_KEYS: readonly Key[] = [
  {
    outcome: 'rooted',
    get name() {
      return say.rooted();
    },
    get says() {
      return say.holdsALightTug();
    },
    mark: { ...FRESH, closure: 1, roots: 2 },
  },
  {
    outcome: 'pupped',
    get name() {
      return say.withPups();
    },
    get says() {
      return say.rootedANewPlant();
    },
    mark: { ...FRESH, closure: 1, roots: 2, pup: true },
  },
  {
    outcome: 'rotted',
    get name() {
      return say.rotted();
    },
    get says() {
      return say.softDarkOrWet();
    },
    mark: { ...FRESH, closure: 1, lost: 'rotted' },
  },
  {
    outcome: 'dried',
    get name() {
      return say.driedUp();
    },
    get says() {
      return say.crispNothingBelow();
    },
    mark: { ...FRESH, closure: 1, lost: 'dried' },
  },
  {
    outcome: 'lost',
    get name() {
      return say.lostOtherwise();
    },
    get says() {
      return say.knockedOverEatenGiven();
    },
    mark: { ...FRESH, lost: 'lost' },
  },
];

/** What is counted seldom waits behind a tap, unless some were counted already. */
const SELDOM: ReadonlySet<Counted> = new Set(['pupped', 'lost']);

/** Why the last count was wrong, as it mostly is. */
export const recounts = (): readonly string[] => [
  say.miscounted(),
  say.lookedCloser(),
  say.itCameRound(),
];

export interface CountStep {
  readonly outcome: Counted;
  readonly by: 1 | -1;
}

/** The counts after a step; null where it cannot be. */
export function afterStep(batch: Batch, counts: Counts, { outcome, by }: CountStep): Counts | null {
  return stepCount(counts, outcome, by, stillOpen(batch, counts));
}

/** The keys of a count: one more by a tap, one less beside it, or the number typed. */
@Component({
  selector: 'hy-tally-keys',
  imports: [CuttingMark, Field, FieldControl, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid justify-items-start gap-1.5' },
  template: `
    <ol class="w-full bare border-t border-line">
      @for (key of shown(); track key.outcome) {
        <li
          class="grid grid-cols-[46px_minmax(0,1fr)_64px_76px_84px] items-center gap-2 py-1.5 border-b border-line phone:gap-1.5 phone:grid-cols-[40px_minmax(0,1fr)_52px_60px_68px]"
        >
          <hy-mark [piece]="piece()" [state]="key.mark" [size]="46" />
          <div class="name grid gap-0.5 leading-tight">
            <strong
              >{{ key.name }}
              <kbd
                class="py-0.5 px-1.5 border border-ink2 border-b-2 rounded-sm quiet font-medium text-xs leading-none font-text"
                aria-hidden="true"
                >{{ keyOf(key) }}</kbd
              ></strong
            >
            <span class="quiet small phone:text-xs">{{ key.says }}</span>
            @if (counts()[key.outcome] !== batch().counts[key.outcome]) {
              <span class="text-ink small font-semibold phone:text-xs">{{
                say.was({ counts: batch().counts[key.outcome] })
              }}</span>
            }
          </div>
          <button
            type="button"
            matButton="outlined"
            (click)="add(key.outcome, -1)"
            [disabled]="counts()[key.outcome] === 0"
            [attr.aria-label]="say.oneLess({ name: key.name })"
          >
            −
          </button>
          <hy-field unseen [label]="key.name">
            <input
              hyControl
              inputmode="numeric"
              autocomplete="off"
              [value]="counts()[key.outcome]"
              (input)="type(key.outcome, field.value)"
              (blur)="field.value = counts()[key.outcome] + ''"
              #field
            />
          </hy-field>
          <button
            type="button"
            matButton="outlined"
            class="plus"
            (click)="add(key.outcome, 1)"
            [disabled]="!more(key.outcome)"
            [attr.aria-label]="say.oneMore({ name: key.name })"
          >
            +
          </button>
        </li>
      }
    </ol>
    @if (hidden(); as names) {
      <button type="button" matButton="text" (click)="all.set(true)">
        {{ say.more({ names: names }) }}
      </button>
    }
    <p class="quiet" role="status">
      <strong>{{ open() }}</strong> {{ say.ofStillWaiting({ count: batch().count }) }}
    </p>
  `,
  styleUrl: './tally-keys.scss',
})
export class TallyKeys {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly batch = input.required<Batch>();
  readonly piece = input.required<Drawn | Part>();
  readonly counts = input.required<Counts>();
  /** Pups are looked for: their key stands in front. */
  readonly pups = input(false);
  /** One more or one less: worked out by whoever holds the counts, for taps come faster than the screen. */
  readonly stepped = output<CountStep>();
  readonly counted = output<Counts>();

  protected readonly all = linkedSignal({
    source: () => this.batch().id,
    computation: () => false,
  });
  /** The keys as this piece is counted: seedlings come up, straps shoot. */
  private readonly keys = computed((): readonly Key[] => {
    const batch = this.batch();
    const { young } = this.words.speech().wayOf(batch);
    return TALLY_KEYS.map((key) => {
      if (key.outcome === 'pupped') return { ...key, ...YOUNG_KEY[young] };
      return key.outcome === 'rooted' && batch.method === 'seed'
        ? { ...key, name: say.up(), says: say.aSeedlingStands() }
        : key;
    });
  });
  protected readonly shown = computed(() =>
    this.keys().filter(
      ({ outcome }) =>
        this.all() ||
        !SELDOM.has(outcome) ||
        (outcome === 'pupped' && this.pups()) ||
        this.counts()[outcome] > 0 ||
        this.batch().counts[outcome] > 0,
    ),
  );
  protected readonly hidden = computed(() =>
    this.keys()
      .filter((k) => !this.shown().includes(k))
      .map((k) => inSentence(k.name))
      .join(', '),
  );
  protected readonly open = computed(() => stillOpen(this.batch(), this.counts()));

  protected keyOf(key: Key): number {
    return TALLY_KEYS.findIndex((k) => k.outcome === key.outcome) + 1;
  }

  /** Whether one more of that can be: none waits once all have an outcome. */
  protected more(outcome: Counted): boolean {
    return afterStep(this.batch(), this.counts(), { outcome, by: 1 }) !== null;
  }

  protected add(outcome: Counted, by: 1 | -1): void {
    this.stepped.emit({ outcome, by });
  }

  /** As it is typed, not once the field is left: the button that saves is right at the first tap. */
  protected type(outcome: Counted, text: string): void {
    const count = Number(text);
    if (text.trim() !== '' && Number.isInteger(count) && count >= 0)
      this.counted.emit({ ...this.counts(), [outcome]: count });
  }
}

/** The outcome a number key stands for; null for other keys. */
export function outcomeOfKey(event: KeyboardEvent): Counted | null {
  return TALLY_KEYS[Number(event.code.replace(/^(Digit|Numpad)/, '')) - 1]?.outcome ?? null;
}
