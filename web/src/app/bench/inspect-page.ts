import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  signal,
  linkedSignal,
} from '@angular/core';
import { Router, RouterLink, type Params } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { apartWord, batchTitle, drawnOf, statusOf } from '@hypogeon/core/bench';
import { ANY_LOOK } from '@hypogeon/core/botany';
import { riskFrom } from '@hypogeon/core/care';
import {
  beforeLooking,
  CAUSES,
  likelyCauses,
  mostTelling,
  SIGN_IDS,
  SIGNS,
  type Seen,
  type SignId,
} from '@hypogeon/core/inspection';
import { stepCount, type EntryDraft } from '@hypogeon/core/journal';
import { LINK_NAME, statusText } from '@hypogeon/words';
import * as z from 'zod';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/inspect-page';
import { Drafts } from '../data/drafts';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { DraftNote } from '../forms/draft-note';
import { SignPicture } from '../marks/sign-picture';
import { Picture } from '../pictures/picture';

/** Causes less likely than this are not told, and at most so many are. */
const LEAST = 0.05;
const MOST = 4;

const seenSchema: z.ZodType<Seen> = z.partialRecord(
  z.enum(SIGN_IDS as readonly [SignId, ...SignId[]]),
  z.boolean(),
);

/** What do you see? Signs in, likely causes out, with what to look at next and what to do. */
@Component({
  selector: 'hy-inspect-page',
  imports: [MatButton, DraftNote, Picture, RouterLink, SignPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-2.5' },
  template: `
    @if (batch(); as b) {
      <p class="quiet small">
        <a routerLink="/bench">{{ say.bench() }}</a> ›
        <a [routerLink]="['/bench', b.id]">{{ title() }}</a>
      </p>
      <h1>{{ say.whatDoYouSee() }}</h1>
      <hy-draft-note [at]="left()" (afresh)="startOver()" />
      <div class="grid grid-cols-2 items-start gap-9.5 mt-3 phone:grid-cols-1">
        <section [attr.aria-label]="say.signs()">
          <ul class="bare">
            @for (s of signs(); track s.id) {
              <li
                class="grid grid-cols-[52px_minmax(0,1fr)_auto] items-center gap-3 py-2 pl-3 border-b border-b-line border-l-4 border-l-transparent"
                [class.next]="s.next"
              >
                <hy-sign [look]="look()" [sign]="s.id" />
                <span
                  ><strong>{{ s.asks }}</strong>
                  <small class="block quiet small"
                    >{{ s.how }}{{ s.next ? say.lookAtThisFirst() : '' }}</small
                  ></span
                >
                <span class="answers flex gap-1.5" role="group" [attr.aria-label]="s.asks">
                  <button
                    type="button"
                    matButton="outlined"
                    [attr.aria-pressed]="s.saw === true"
                    (click)="$event.detail < 2 && answer(s.id, true)"
                  >
                    {{ say.yes() }}
                  </button>
                  <button
                    type="button"
                    matButton="outlined"
                    [attr.aria-pressed]="s.saw === false"
                    (click)="$event.detail < 2 && answer(s.id, false)"
                  >
                    {{ say.no() }}
                  </button>
                </span>
              </li>
            }
          </ul>
        </section>
        <section
          aria-live="polite"
          aria-labelledby="likely"
          class="sticky top-4 grid grid-cols-1 gap-3 phone:static phone:row-start-1"
        >
          @if (latest(); as p) {
            <figure class="own m-0">
              <hy-picture
                cropped
                [picture]="p.picture"
                [width]="p.width"
                [height]="p.height"
                [alt]="say.yourLatestPictureOf()"
              />
              <figcaption class="quiet small">
                {{ say.yours({ day: words.day(p.day) }) }}
              </figcaption>
            </figure>
          }
          <h2 id="likely" class="ruled">{{ say.likely() }}</h2>
          @if (looked() === 0) {
            <p>{{ say.answerWhatYouHave() }}</p>
          } @else {
            <ol class="grid gap-3.5 bare">
              @for (c of causes(); track c.name) {
                <li>
                  <p class="cause headline text-lg">
                    {{ c.name }} <span class="quiet">{{ c.chance }}</span>
                  </p>
                  <span class="bar" aria-hidden="true"><i [style.width.%]="c.percent"></i></span>
                  @if ($first) {
                    @for (line of c.then; track line) {
                      <p>{{ line }}</p>
                    }
                  }
                </li>
              }
            </ol>
            @if (near().length > 0) {
              <div>
                <h3>{{ say.lookAtTheseToo() }}</h3>
                <ul class="bare">
                  @for (n of near(); track n.id) {
                    <li class="flex flex-wrap items-center gap-x-2.5">
                      <a
                        class="inline-flex items-center min-h-11 font-semibold"
                        [routerLink]="['/bench', n.id, 'look']"
                        >{{ n.name }}</a
                      >
                      <span class="quiet small">{{ n.link }}</span>
                    </li>
                  }
                </ul>
              </div>
            }
            @if (unsure()) {
              <p class="quiet">
                {{ say.notSureYetLook() }} <strong>{{ unsure() }}</strong>
              </p>
            }
            <div class="row flex flex-wrap items-center gap-2.5">
              @if (recut()) {
                <button type="button" matButton="filled" (click)="cutAfresh()">
                  {{ say.cutAfresh() }}
                </button>
              }
              @if (isolate()) {
                <button type="button" matButton="filled" (click)="isolateIt()">
                  {{ say.isolateIt() }}
                </button>
              }
              <button
                type="button"
                [matButton]="recut() || isolate() ? 'outlined' : 'filled'"
                (click)="note()"
              >
                {{ say.noteIt() }}
              </button>
              @if (loss()) {
                <button type="button" matButton="outlined" (click)="countOne()">
                  {{ say.countOneAsRotted() }}
                </button>
                <a matButton="text" [routerLink]="['/bench', b.id, 'count']">{{
                  say.countMore()
                }}</a>
              }
              @if (left() === null) {
                <button type="button" matButton="text" (click)="startOver()">
                  {{ say.startOver() }}
                </button>
              }
            </div>
          }
          <p class="quiet small">
            {{ say.chancesFromATable({ days: days(), rooted: rooted(), count: b.count }) }}
          </p>
        </section>
      </div>
    } @else {
      <h1>{{ say.noSuchBatch() }}</h1>
      <p>
        {{ say.itMayBeIn() }} <a routerLink="/bench">{{ say.toTheBench() }}</a>
      </p>
    }
  `,
  styles: `
    .own hy-picture {
      display: block;
      width: 100%;
      height: 11rem;
    }
    ul li.next {
      border-left-color: var(--water);
    }
    [aria-pressed='true'] {
      background: var(--living-soft);
      border-color: var(--living);
      box-shadow: inset 0 0 0 1px var(--living);
    }
    ol li:first-child .cause {
      font-size: 1.6rem;
    }
    .bar {
      display: block;
      height: 6px;
      margin: 0.25rem 0 0.35rem;
      background: var(--line);
      border-radius: 3px;
    }
    .bar i {
      display: block;
      height: 100%;
      border-radius: 3px;
      background: var(--living);
    }
  `,
})
export class InspectPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  protected readonly words = inject(Words);
  private readonly today = inject(Today).day;
  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.journal.state().batches.get(this.id()));
  /** The grower's own latest picture, to hold the signs against. */
  protected readonly latest = computed(() => this.batch()?.photos.at(-1) ?? null);
  protected readonly look = computed(() => {
    const batch = this.batch();
    return batch ? drawnOf(this.journal.state(), batch).look : ANY_LOOK;
  });
  protected readonly title = computed(() => {
    const batch = this.batch();
    return batch ? batchTitle(this.journal.state(), batch) : '';
  });
  private readonly drafts = inject(Drafts);
  /** Counts what was thrown away: then what stands is read anew. */
  private readonly thrown = signal(0);
  private readonly keeper = computed(() => {
    this.thrown();
    return this.drafts.keeper(`look.${this.id()}`, seenSchema);
  });
  /** When it was left, where it is taken up again. */
  protected readonly left = linkedSignal(() => this.keeper().keptAt());
  private readonly typed = signal<Seen | null>(null);
  protected readonly seen = computed(() => this.typed() ?? this.keeper().read() ?? {});
  protected readonly looked = computed(() => Object.keys(this.seen()).length);

  private readonly before = computed(() => {
    const batch = this.batch();
    return batch ? beforeLooking(this.journal.state(), batch, this.today()) : undefined;
  });
  private readonly ranked = computed(() => likelyCauses(this.seen(), this.before()));
  private readonly next = computed(() => mostTelling(this.seen(), this.before()));

  /** What tells most stands first; the others keep their order, so that the eye finds them again. */
  protected readonly signs = computed(() =>
    [...SIGN_IDS]
      .sort((a, b) => Number(b === this.next()?.sign) - Number(a === this.next()?.sign))
      .map((id) => ({
        id,
        ...SIGNS[id],
        saw: this.seen()[id],
        next: this.next()?.sign === id,
      })),
  );
  /** Where rot is likely, what stands near it is looked at too. */
  protected readonly near = computed(() => {
    const batch = this.batch();
    if (!batch || this.looked() === 0 || this.ranked()[0]!.cause !== 'rot') return [];
    const state = this.journal.state();
    return riskFrom(state, batch, this.today()).flatMap(({ batch: id, link }) => {
      const other = state.batches.get(id);
      return other ? [{ id, name: batchTitle(state, other), link: LINK_NAME[link] }] : [];
    });
  });
  protected readonly causes = computed(() =>
    this.ranked()
      .filter((r, i) => i === 0 || r.chance >= LEAST)
      .slice(0, MOST)
      .map(({ cause, chance }) => ({
        name: CAUSES[cause].name,
        then: CAUSES[cause].then,
        percent: chance * 100,
        chance: this.words.percent(chance),
      })),
  );
  /** The next question, while the answer hangs on it. */
  protected readonly unsure = computed(() => {
    const next = this.next();
    return next && this.ranked()[0]!.chance < 0.8 ? inSentence(SIGNS[next.sign].asks) : '';
  });
  protected readonly loss = computed(() => {
    const { cause } = this.ranked()[0]!;
    return cause === 'rot' || cause === 'damaged';
  });
  protected readonly recut = computed(() => {
    const { cause } = this.ranked()[0]!;
    return cause === 'rot' || cause === 'stalled';
  });
  protected readonly isolate = computed(() => this.ranked()[0]!.cause === 'pests');
  protected readonly days = computed(() => {
    const batch = this.batch();
    return batch?.cut ? say.cut({ near: this.words.near(batch.cut) }) : say.notCutYet();
  });
  protected readonly rooted = computed(() => {
    const counts = this.batch()?.counts;
    return counts ? counts.rooted + counts.pupped : 0;
  });

  protected startOver(): void {
    this.keeper().drop();
    this.typed.set(null);
    this.thrown.update((n) => n + 1);
  }

  /** The same answer again takes it back. */
  protected answer(sign: SignId, saw: boolean): void {
    const { [sign]: before, ...rest } = this.seen();
    this.keep(before === saw ? rest : { ...rest, [sign]: saw });
  }

  protected readonly note = oneAtATime(() => this.noteDown());

  private async noteDown(): Promise<void> {
    await this.record([this.seenEntry()], say.noted());
  }

  /** What was seen is noted, and the form of the cut comes up. */
  protected readonly cutAfresh = oneAtATime(() =>
    this.record([this.seenEntry()], say.noted(), ['/bench', this.id(), 'part'], { way: 'rescued' }),
  );

  /** The loss with its cause, and the stage it came at, in one tap. */
  protected readonly countOne = oneAtATime(() => this.countLoss());

  private async countLoss(): Promise<void> {
    const batch = this.batch();
    if (!batch) return;
    const counts = stepCount(batch.counts, 'rotted', 1, batch.here.waiting);
    if (!counts) return this.actions.say(say.noneIsLeftTo());
    const at = statusText(statusOf(this.journal.state(), batch));
    await this.record(
      [this.seenEntry(`, ${at}`), { kind: 'tally', batch: batch.id, counts }],
      say.oneLossCounted(),
    );
  }

  private seenEntry(at = ''): EntryDraft {
    const [top] = this.ranked();
    const signs = SIGN_IDS.filter((s) => this.seen()[s] !== undefined).map(
      (s) => `${this.seen()[s] ? '' : say.not()}${inSentence(SIGNS[s].asks)}`,
    );
    const text = `${CAUSES[top!.cause].name}${at}, ${this.words.percent(top!.chance)}: ${signs.join(', ')}`;
    return {
      kind: 'inspected',
      batch: this.id(),
      seen: seenAs(this.seen()),
      text: text.slice(0, 400),
    };
  }

  private async record(
    entries: readonly EntryDraft[],
    said: string,
    to: readonly string[] = ['/bench', this.id()],
    queryParams: Params = {},
  ): Promise<void> {
    const saved = await this.actions.recordAll(entries, said);
    if (!saved) return;
    this.keeper().drop();
    this.typed.set({});
    await this.router.navigate(to, { queryParams });
  }

  /** Away from the others until it is clean: told as a place, so that the walk finds it there. */
  protected readonly isolateIt = oneAtATime(() => this.moveApart());

  private async moveApart(): Promise<void> {
    const batch = this.batch();
    if (!batch) return;
    const saved = await this.actions.recordAll(
      [
        {
          kind: 'moved',
          batch: batch.id,
          space: batch.space,
          place: say.forPests({ apart: apartWord() }),
        },
        { kind: 'note', batch: batch.id, text: say.isolatedPestsNoCuttings() },
      ],
      say.isolated(),
    );
    if (saved) await this.router.navigate(['/bench', batch.id]);
  }

  private keep(seen: Seen): void {
    this.typed.set(seen);
    if (Object.keys(seen).length > 0) this.keeper().keep(seen);
    else this.keeper().drop();
  }
}

/** The one word the log has for it; the wound's own words are for looks at the wound. */
function seenAs(seen: Seen): 'soft' | 'wrinkled' | 'fine' {
  if (seen['base-soft'] || seen.glassy) return 'soft';
  return seen.wrinkled ? 'wrinkled' : 'fine';
}
