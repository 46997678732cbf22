import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { guessedBetween, plannedClock, seasonOn } from '@hypogeon/core/bench';
import { careOf, slowHere } from '@hypogeon/core/care';
import { daysBetween } from '@hypogeon/core/days';
import { foldBatch } from '@hypogeon/core/journal';
import { headsEach, type Ahead } from '@hypogeon/core/learn';
import { plannedBatch, plannedOutlook, yieldOf, type Part, type Yield } from '@hypogeon/core/plan';
import {
  beliefWords,
  eachText,
  monthNames,
  forecastText,
  partsText,
  piecesText,
  planHeadline,
  planSentence,
} from '@hypogeon/words';
import { say } from '@hypogeon/messages/plan-answer';
import { BetterPlace } from '../air/better-place';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { PlanCut } from './plan-cut';
import { PlanHow } from './plan-how';
import { PlanDesk } from './plan-desk';
import { PlanWish } from './plan-wish';

/** The answer of a plan: what to take and what it gives, the ways, one button. */
@Component({
  selector: 'hy-plan-answer',
  imports: [BetterPlace, MatButton, DayField, Field, FieldControl, PlanHow, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 content-start gap-3.5' },
  template: `
    <div
      class="grid gap-1.5"
      aria-live="polite"
      role="region"
      [attr.aria-label]="say.whatThePlanMeans()"
    >
      @if (headline(); as h) {
        <p class="sentence max-w-none headline text-2xl tracking-tight max-[900px]:text-xl">
          {{ h }}
        </p>
        @if (wish.would()?.by) {
          <a
            class="no-print justify-self-start"
            routerLink="/plan/multiply"
            [queryParams]="{ mother: desk.draft().mother, want: desk.draft().want }"
            >{{ say.fromItAndIts() }}</a
          >
        }
      }
      @for (a of answers(); track a.method) {
        <p class="max-w-none" [class.first]="!headline()" [class.sentence]="!headline()">
          @if (a.name) {
            <strong>{{ a.name }}:</strong>
          }
          {{ a.says }}
        </p>
        @if (!a.name) {
          <p class="quiet small max-w-none">{{ a.range }} {{ a.outlook }}</p>
        }
      }
    </div>
    <hy-plan-how>
      <form
        class="flex flex-wrap items-start gap-3 my-3"
        novalidate
        (submit)="$event.preventDefault(); save.emit()"
      >
        @if (desk.spaces().length === 0) {
          <div class="w-full">
            <p>{{ say.theClockNeedsThe() }}</p>
            @if (desk.tried() && cut.problems().space) {
              <p class="problem" role="alert">{{ cut.problems().space }}</p>
            }
            <button type="button" matButton="outlined" (click)="plainRoom.emit()">
              {{ say.aPlainRoomAnd({ temperature: words.temperature(20) }) }}
            </button>
            <a matButton="text" routerLink="/settings">{{ say.giveMyOwn() }}</a>
          </div>
        }
        @if (!wish.together()) {
          <hy-field
            class="w-28"
            [label]="say.howMany()"
            [problem]="desk.tried() ? cut.problems().count : ''"
          >
            <input
              hyControl
              inputmode="numeric"
              autocomplete="off"
              [value]="cut.count()"
              (input)="desk.set('count', count.value)"
              #count
            />
          </hy-field>
        }
        <hy-day
          class="w-44"
          [label]="say.cutOn()"
          [problem]="cut.problems().cutOn"
          [value]="desk.cutOn()"
          (valueChange)="desk.set('cutOn', $event)"
        />
        <span class="flex flex-wrap items-center gap-2 min-h-14">
          <button matButton="filled" type="submit">{{ putSays() }}</button>
          <a
            matButton="outlined"
            routerLink="/plan/rehearse"
            [queryParams]="{ mother: desk.draft().mother }"
            >{{ say.tryItFirst() }}</a
          >
        </span>
      </form>
    </hy-plan-how>
    @if (desk.draft().forecast; as f) {
      <p class="quiet" role="status">
        {{ say.keptWithThisPlan({ forecastSays: forecastSays(f) }) }}
      </p>
    }
    @if (slow(); as s) {
      <hy-better-place
        [slow]="s"
        moves
        [taps]="say.planItThere()"
        (move)="desk.set('space', $event)"
      />
    }
  `,
  styles: `
    .first {
      font: 650 1.4rem/1.25 var(--head-face);
      letter-spacing: -0.01em;
    }
  `,
})
export class PlanAnswer {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  protected readonly wish = inject(PlanWish);
  protected readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);
  readonly save = output();
  readonly plainRoom = output();

  protected readonly forecastSays = forecastText;

  /** What is taken and what it gives, where something is wanted or counted. */
  protected readonly headline = computed(() => {
    const wish = this.wish.wish();
    const { purpose, size } = this.desk.draft();
    if (!wish) return '';
    const speech = this.words.speech();
    const shared = { size, by: wish.by };
    const ways = this.wish.ways();
    if (ways) {
      const together = this.wish.together();
      const [way] = together ? [] : this.cut.parts();
      const chosen = way && ways.ways.find((w) => w.method === way.method);
      const parts = together?.parts ?? this.cut.parts().filter((p) => p.taken > 0);
      const enough = together
        ? together.enough
        : chosen !== undefined && chosen.needed !== null && way!.taken >= chosen.needed;
      const plants =
        together?.plants ??
        (chosen && way.taken > 0 ? yieldOf(way.taken, chosen.chances) : NOTHING);
      return planHeadline(
        {
          ...shared,
          parts,
          plants,
          wanted: wish.count,
          short: enough ? null : { would: this.wish.would(), instead: ways.instead },
        },
        speech,
      );
    }
    const giving = this.wish.givings()?.find((g) => g.way.method === this.cut.figures()?.method);
    if (!giving || purpose === 'want') return '';
    const parts = [{ method: giving.way.method, taken: giving.taken }].filter((p) => p.taken > 0);
    return planHeadline(
      { ...shared, parts, plants: giving.plants, wanted: null, short: null },
      speech,
    );
  });

  /** What was chosen is what the button does. */
  protected readonly putSays = computed(() => {
    const parts = this.cut.parts().filter((p) => Number.isInteger(p.taken) && p.taken > 0);
    const what = parts.length === 0 ? say.them() : partsText({ parts });
    return this.desk.cutOn() > this.desk.today() ? say.plan({ what }) : say.putOnTheBench({ what });
  });

  protected readonly answers = computed(() => {
    if (this.desk.space() === '' || this.desk.cutOnProblem()) return [];
    const parts = this.cut.parts();
    return parts.map((part) => this.answerOf(part, parts.length > 1));
  });

  private answerOf({ method, taken }: Part, named: boolean) {
    const count = Number.isInteger(taken) && taken > 0 ? taken : 1;
    const fields = this.cut.fieldsOf({ method, taken: count })!;
    const batch = foldBatch('plan', fields, [])!;
    const { steps, course } = careOf(this.desk.state(), batch, this.desk.today());
    return {
      method,
      name: named ? piecesText(method, count) : '',
      says: planSentence(steps, course, this.words.speech()),
      range: this.rangeOf(method),
      outlook: named ? '' : this.outlook(),
    };
  }

  private rangeOf(method: Part['method']): string {
    const figures = this.cut.figuresOf(method)!;
    if (!figures.wound) return say.noOpenCutNothing();
    const planned = this.cut.plannedFor(figures);
    const clock = planned ? plannedClock(this.desk.state(), planned) : null;
    if (!clock) return '';
    if (clock.gate.state === 'stopped') return say.itDoesNotClose();
    const { opens, earliest, latest } = clock.gate;
    return say.safeToWaterAfter({
      days: this.words.days(daysBetween(this.desk.cutOn(), opens)),
      span: this.words.span(earliest, latest),
    });
  }

  /** When roots and pups are to be expected, and whether it is the season. */
  private readonly outlook = computed(() => {
    const figures = this.cut.figures();
    const plant = this.desk.plant();
    if (!figures || !plant) return '';
    const state = this.desk.state();
    const cutOn = this.desk.cutOn();
    const season = seasonOn(state, plant.taxon, this.desk.space(), cutOn);
    const outlook = plannedOutlook(state, this.cut.piece(figures)!, figures)!;
    const span = ({ from, to }: Ahead): string => this.words.span(from, to);
    const { belief } = outlook;
    const pups = outlook.pups ? say.pups({ span: span(outlook.pups) }) : '';
    const { locale } = this.words.speech();
    const guessed = guessedBetween(
      state,
      this.desk.space(),
      cutOn,
      (outlook.pups ?? outlook.roots).to,
    );
    const months = guessed.map((m) => monthNames(locale)[m]!);
    const sentence = say.rootsLiveIs({
      span: span(outlook.roots),
      pups,
      percent: this.words.percent(belief.mean),
      beliefWords: beliefWords(belief, figures.method),
      temperature: this.words.temperature(season.tempC),
      reason: season.reason,
      each: eachText(headsEach(state, plant.id, figures.method), locale),
    });
    return months.length === 0
      ? sentence
      : `${sentence} ${say.guessedAir({ months: new Intl.ListFormat(locale).format(months) })}`;
  });

  /** Before the cut: what would take over twice its time where it is to stand, and where it would not. */
  protected readonly slow = computed(() => {
    const figures = this.cut.figures();
    const piece = figures && this.cut.piece(figures);
    if (!figures || !piece) return null;
    const state = this.desk.state();
    const batch = plannedBatch(state, piece, figures);
    return batch && slowHere(state, batch, this.desk.cutOn());
  });
}

const NOTHING: Yield = { likely: 0, low: 0, high: 0 };
