import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchTitle, containersOf, mixesOf } from '@hypogeon/core/bench';
import { daysBetween } from '@hypogeon/core/days';
import { weatherIn, whatIf } from '@hypogeon/core/rehearse';
import { forecastText, WHAT_IF_PROBLEM, whatIfName } from '@hypogeon/words';
import { say } from '@hypogeon/messages/what-if-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { oneAtATime } from '../data/one-at-a-time';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { REHEARSE_WORKER } from '../data/workers';
import { forecastEntry } from './forecast-entry';
import { OwnRot } from './own-rot';
import { Played } from './played';
import { Playing, SEED, type PlayAsk } from './playing';
import { WhatCounts, type Counted } from './what-counts';

/** What a batch may still come to by what is done from today on; of one that is over, what else it might have come to. */
@Component({
  selector: 'hy-what-if-page',
  imports: [MatButton, Played, RouterLink, WhatCounts],
  providers: [Playing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.whatIf() }}</h1>
      <p class="quiet">{{ title() }}</p>
      @if (batch(); as b) {
        <div class="push">
          <a matButton="outlined" [routerLink]="['/bench', b.id]">{{ say.backToTheBatch() }}</a>
        </div>
      }
    </div>
    @if (!batch()) {
      <p>
        {{ say.thereIsNoSuch() }} <a routerLink="/bench">{{ say.allBatches() }}</a>
      </p>
    } @else if (problem()) {
      <p role="alert">{{ problem() }}</p>
    } @else if (asked(); as a) {
      <p>{{ say.aPlayNotAdvice({ told: told(a) }) }}</p>
      @if (stands()) {
        <p class="quiet">
          {{ stands() }} <a [routerLink]="['/bench', id(), 'water']">{{ say.sayItNow() }}</a>
        </p>
      }
      @if (came()) {
        <p class="came headline text-lg">{{ came() }}</p>
      }
      <hy-played [played]="played()" [waits]="true" [naming]="naming()" />
      @if (!a.came && batch()!.cut) {
        <section class="mt-5.5" aria-labelledby="forecast">
          <h2 id="forecast" class="ruled">{{ say.forecast() }}</h2>
          @if (last(); as f) {
            <p role="status">
              {{ say.kept({ forecastSays: forecastSays(f), near: words.near(f.day) }) }}
              <a routerLink="/results/forecasts">{{ say.forecasts() }}</a>
              {{ say.holdsItAgainstWhat() }}
            </p>
          }
          <button type="button" matButton="outlined" (click)="keepForecast()">
            {{ last() ? say.keepOneMoreAs() : say.keepAForecastOf() }}
          </button>
          @if (failed()) {
            <p class="problem" role="alert">{{ failed() }}</p>
          }
        </section>
      }
      @if (counted(); as c) {
        <hy-what-counts [of]="c" [choices]="false" />
      }
    }
  `,
})
export class WhatIfPage {
  protected readonly say = say;

  protected readonly words = inject(Words);
  protected readonly playing = inject(Playing);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly rot = inject(OwnRot).rot;
  private readonly worker = inject(REHEARSE_WORKER);
  private readonly actions = inject(Actions);
  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly title = computed(() => {
    const batch = this.batch();
    return batch ? batchTitle(this.state(), batch) : '';
  });

  /** What it stands in where nobody said: what is first at hand, and then it is said. */
  private readonly assumed = computed(() => {
    const batch = this.batch();
    if (!batch || (batch.container !== undefined && batch.mix !== undefined)) return null;
    const [pot] = containersOf(this.state());
    const [mix] = mixesOf(this.state());
    return pot && mix ? { pot, mix } : null;
  });
  protected readonly stands = computed(() => {
    const [batch, assumed] = [this.batch(), this.assumed()];
    if (!batch || !assumed) return '';
    const { pot, mix } = assumed;
    const of = (told: string | undefined, name: string): string => (told === undefined ? name : '');
    const parts = [of(batch.container, pot.name), of(batch.mix, mix.name)].filter(Boolean);
    return say.playedWithUntilYou({ parts: parts.join(say.and()) });
  });
  private readonly answer = computed(() => {
    const [batch, assumed] = [this.batch(), this.assumed()];
    if (!batch) return null;
    const stands = assumed
      ? {
          ...batch,
          container: batch.container ?? assumed.pot.id,
          mix: batch.mix ?? assumed.mix.id,
        }
      : batch;
    return whatIf(this.state(), stands, this.today());
  });
  protected readonly asked = computed(() => {
    const answer = this.answer();
    const rot = this.rot();
    if (!answer || !rot || 'problem' in answer) return null;
    const strategies = answer.strategies.map((s) => ({ ...s, rotPace: rot.factor }));
    return { ...answer, strategies, rot };
  });
  protected readonly problem = computed(() => {
    const answer = this.answer();
    return answer && 'problem' in answer ? WHAT_IF_PROBLEM[answer.problem] : '';
  });

  private readonly weather = computed(() => weatherIn(this.state(), this.batch()?.space ?? ''));
  protected readonly played = this.playing.follow(
    computed((): PlayAsk | null => {
      const asked = this.asked();
      if (!asked) return null;
      const { strategies, days, counted } = asked;
      return { strategies, days, since: counted, weather: this.weather() };
    }),
  );
  protected readonly counted = computed((): Counted | null => {
    const asked = this.asked();
    return (
      asked && {
        strategy: asked.strategies[0]!,
        days: asked.days,
        since: asked.counted,
        weather: this.weather(),
        columns: [],
        rot: asked.rot,
      }
    );
  });
  protected readonly naming = computed(() => {
    const told = this.asked()?.came != null;
    return (name: string): string => whatIfName(name, told);
  });

  protected told({
    came,
    since,
    counted,
    pieces,
    days,
  }: NonNullable<ReturnType<typeof this.asked>>): string {
    const batch = this.batch()!;
    if (came) return say.itsDaysToldAgain({ days });
    const left = days - since;
    const seen =
      counted > 0
        ? say.thatWaitedForRoots({ counted })
        : say.thatWaitForRoots({ daysBetween: daysBetween(batch.cutOn, this.today()) });
    return say.ofTheWhatThey({
      number: this.words.number(pieces),
      seen,
      days: this.words.days(left),
    });
  }

  /** What really came of it, for the play to be held against. */
  protected readonly came = computed(() => {
    const asked = this.asked();
    if (!asked?.came) return '';
    const { rooted, pupped, rotted, dried, lost } = asked.came;
    const share = (n: number): string => this.words.percent(n / asked.pieces);
    const others = [
      [rotted, say.rotted()],
      [dried, say.driedUp()],
      [lost, say.lostOtherwise()],
    ]
      .filter(([n]) => (n as number) > 0)
      .map(([n, word]) => `${n} ${word}`);
    const living = rooted + pupped;
    return say.reallyOfRooted({
      living,
      pieces: asked.pieces,
      share: share(living),
      what: others.length > 0 ? `, ${others.join(', ')}` : '',
    });
  });

  protected readonly forecastSays = forecastText;
  protected readonly last = computed(() => this.batch()?.forecasts.at(-1) ?? null);
  protected readonly failed = signal('');

  protected readonly keepForecast = oneAtATime(async (): Promise<void> => {
    const asked = this.asked();
    const batch = this.batch();
    if (!asked || !batch || asked.pieces < 1) return;
    this.failed.set('');
    try {
      const forecast = await this.worker.ask((w) =>
        w.forecast({
          strategy: asked.strategies[0]!,
          cuttings: asked.pieces,
          days: asked.days,
          since: asked.counted,
          seed: SEED,
          weather: this.weather(),
          rot: asked.rot,
        }),
      );
      const had = batch.counts.rooted + batch.counts.pupped;
      const way = whatIfName('course', false);
      await this.actions.record(
        forecastEntry(batch.id, forecast, { had, way }),
        say.forecastKept(),
      );
    } catch (error) {
      console.error('the forecast', error);
      this.failed.set(say.theForecastCouldNot());
    }
  });
}
