import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { drawnAs, plannedClock, seasonOn } from '@hypogeon/core/bench';
import { careOf, slowHere } from '@hypogeon/core/care';
import { daysBetween } from '@hypogeon/core/days';
import { foldBatch } from '@hypogeon/core/journal';
import { headsEach, type Ahead } from '@hypogeon/core/learn';
import { MINUTES, plannedBatch, plannedOutlook, type Part } from '@hypogeon/core/plan';
import { beliefWords, eachText, forecastText, piecesText, planSentence } from '@hypogeon/words';
import { BetterPlace } from '../air/better-place';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { PlanCut } from './plan-cut';
import { PlanDefaults } from './plan-defaults';
import { PlanDesk } from './plan-desk';
import { PlanWish } from './plan-wish';

/** The answer of a plan: a sentence a part, how many and when, one button. */
@Component({
  selector: 'hy-plan-answer',
  imports: [
    BetterPlace,
    MatButton,
    CuttingMark,
    DayField,
    Field,
    FieldControl,
    PlanDefaults,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class:
      'grid grid-cols-[minmax(0,1fr)_minmax(16rem,20rem)] gap-y-5.5 gap-x-9.5 pt-4 border-t-2 border-ink max-[900px]:grid-cols-1',
  },
  template: `
    <div
      class="says grid content-start gap-4"
      aria-live="polite"
      role="region"
      aria-label="What the plan means"
    >
      @for (a of answers(); track a.method) {
        <div class="flex items-start gap-4">
          <hy-mark [piece]="a.piece" [state]="mark" [size]="64" />
          <div>
            @if (a.name) {
              <small>{{ a.name }}</small>
            }
            <p
              class="sentence max-w-none mb-1 headline text-2xl tracking-tight max-[900px]:text-lg"
            >
              {{ a.says }}
            </p>
            <p class="quiet">{{ a.range }}</p>
            @if (a.outlook) {
              <p class="quiet">{{ a.outlook }}</p>
            }
          </div>
        </div>
      }
      @if (slow(); as s) {
        <hy-better-place [slow]="s" moves taps="Plan it there" (move)="desk.set('space', $event)" />
      }
      <hy-plan-defaults />
    </div>
    <form
      class="grid content-start gap-3.5"
      novalidate
      (submit)="$event.preventDefault(); save.emit()"
    >
      <div class="flex flex-wrap gap-3">
        @if (!wish.together()) {
          <hy-field
            class="flex-1"
            label="How many"
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
          class="flex-1"
          label="Cut on"
          [problem]="cut.problems().cutOn"
          [value]="desk.cutOn()"
          (valueChange)="desk.set('cutOn', $event)"
        />
      </div>
      @if (desk.spaces().length === 0) {
        <div>
          <p>The clock needs the air of a place: its temperature and humidity.</p>
          @if (desk.tried() && cut.problems().space) {
            <p class="problem" role="alert">{{ cut.problems().space }}</p>
          }
          <button type="button" matButton="outlined" (click)="plainRoom.emit()">
            A plain room, {{ words.temperature(20) }} and 55 %
          </button>
          <a matButton="text" routerLink="/settings">Give my own</a>
        </div>
      }
      <button matButton="filled" type="submit">
        {{ desk.cutOn() > desk.today() ? 'Plan it' : 'Cut: put it on the bench' }}
      </button>
      <a
        matButton="text"
        routerLink="/plan/rehearse"
        [queryParams]="{ mother: desk.draft().mother }"
        >Try it first</a
      >
      @if (desk.draft().forecast; as f) {
        <p class="quiet" role="status">{{ forecastSays(f) }} Kept with this plan.</p>
      }
      @if (work(); as w) {
        <p class="quiet">{{ w }}</p>
      }
    </form>
  `,
})
export class PlanAnswer {
  protected readonly desk = inject(PlanDesk);
  protected readonly wish = inject(PlanWish);
  protected readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);
  readonly save = output();
  readonly plainRoom = output();

  protected readonly forecastSays = forecastText;
  protected readonly mark = { ...FRESH, closure: 0.35 };

  protected readonly answers = computed(() => {
    if (this.desk.space() === '' || this.desk.cutOnProblem()) return [];
    const parts = this.cut.parts();
    return parts.map((part) => this.answerOf(part, parts.length > 1));
  });

  private answerOf({ method, taken }: Part, named: boolean) {
    const count = Number.isInteger(taken) && taken > 0 ? taken : 1;
    const fields = this.cut.fieldsOf({ method, taken: count })!;
    const figures = this.cut.figuresOf(method)!;
    const batch = foldBatch('plan', fields, [])!;
    const { steps, course } = careOf(this.desk.state(), batch, this.desk.today());
    return {
      method,
      name: named ? piecesText(method, count) : '',
      piece: drawnAs(this.desk.plant()!.taxon, figures),
      says: planSentence(steps, course, this.words.speech()),
      range: this.rangeOf(method),
      outlook: named ? '' : this.outlook(),
    };
  }

  private rangeOf(method: Part['method']): string {
    const figures = this.cut.figuresOf(method)!;
    if (!figures.wound) return 'No open cut: nothing that could rot.';
    const planned = this.cut.plannedFor(figures);
    const clock = planned ? plannedClock(this.desk.state(), planned) : null;
    if (!clock) return '';
    if (clock.gate.state === 'stopped')
      return 'It does not close here: too cold, too hot or too damp.';
    const { opens, earliest, latest } = clock.gate;
    return `Safe to water ${this.words.days(daysBetween(this.desk.cutOn(), opens))} after the cut; it closes ${this.words.span(earliest, latest)}, eight times in ten.`;
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
    const pups = outlook.pups ? `, pups ${span(outlook.pups)}` : '';
    return `Roots ${span(outlook.roots)}${pups}; ${this.words.percent(belief.mean)} live (${beliefWords(belief, figures.method)}). ${this.words.temperature(season.tempC)} is ${season.reason}.${eachText(headsEach(state, plant.id, figures.method), this.words.speech().locale)}`;
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

  protected readonly work = computed(() => {
    const parts = this.cut.parts().filter((p) => p.taken > 0);
    const taken = parts.reduce((sum, p) => sum + p.taken, 0);
    if (taken === 0) return '';
    const minutes = parts.reduce((sum, p) => sum + p.taken * MINUTES[p.method], 0);
    const work = Math.max(1, Math.round(minutes));
    return `${parts.map((p) => piecesText(p.method, p.taken)).join(', ')} · ${work === 1 ? 'a minute' : `about ${work} minutes`} of work`;
  });
}
