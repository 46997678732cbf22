import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { RotCalibration, Strategy, Weather } from '@hypogeon/core/rehearse';
import { matterText, reachText, rotCalibrationText } from '@hypogeon/words';
import { catchError, defer, map, of, share, switchMap, tap, timer } from 'rxjs';
import { say } from '@hypogeon/messages/what-counts';
import { Words } from '../data/words';
import { MATTERS_WORKER } from '../data/workers';
import { SEED } from './playing';

/** Reckoned once the sliders rest. */
const REST_MS = 900;
const CUTTINGS = 500;

export interface Counted {
  readonly strategy: Strategy;
  readonly days: number;
  readonly since?: number;
  readonly weather: Weather;
  readonly columns: readonly Strategy['column'][];
  readonly rot: RotCalibration;
}

/** The two choices that do most, what the play rests on, and how far it would go were that otherwise. */
@Component({
  selector: 'hy-what-counts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (matters().length > 0) {
      <section class="mt-5.5" aria-labelledby="matters">
        <h2 id="matters" class="ruled">{{ say.whatMattersMostHere() }}</h2>
        <ol>
          @for (line of matters(); track $index) {
            <li>{{ line }}</li>
          }
        </ol>
      </section>
    }
    <section class="mt-5.5" aria-labelledby="rests">
      <h2 id="rests" class="ruled">{{ say.whatItRestsOn() }}</h2>
      <p class="my-1">{{ rests() }}</p>
      @if (reach()) {
        <p class="my-1">{{ reach() }}</p>
      }
    </section>
  `,
})
export class WhatCounts {
  protected readonly say = say;

  private readonly words = inject(Words);
  private readonly worker = inject(MATTERS_WORKER);
  readonly of = input.required<Counted>();
  /** Whether choices are still open: of what is over none is. */
  readonly choices = input(true);

  private readonly rested$ = toObservable(this.of).pipe(
    switchMap((counted) => timer(REST_MS).pipe(map(() => counted))),
    // What was asked before counts for nothing: it is not reckoned to its end.
    tap(() => this.worker.stop()),
    share(),
  );
  private readonly figure = (n: number): string => this.words.decimal(n, 1);

  protected readonly rests = computed(() => rotCalibrationText(this.of().rot, this.figure));

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker.stop());
  }

  protected readonly matters = toSignal(
    this.rested$.pipe(
      switchMap(({ strategy, days, weather, columns }) =>
        !this.choices()
          ? of<readonly string[]>([])
          : defer(() =>
              this.worker.ask((w) => w.matters({ strategy, days, seed: SEED, weather, columns })),
            ).pipe(
              map((matters) => matters.slice(0, 2).map((m) => matterText(m, this.words.speech()))),
              // What matters is an extra: without it the play still stands.
              catchError(() => of<readonly string[]>([])),
            ),
      ),
    ),
    { initialValue: [] },
  );

  protected readonly reach = toSignal(
    this.rested$.pipe(
      switchMap(({ strategy, days, since, weather, rot }) =>
        defer(() =>
          this.worker.ask((w) =>
            w.play({
              strategies: [rot.low, rot.high].map((rotPace) => ({ ...strategy, rotPace })),
              cuttings: CUTTINGS,
              days,
              seed: SEED,
              weather,
              ...(since === undefined ? {} : { since }),
            }),
          ),
        ).pipe(
          map((played) =>
            played.ok
              ? reachText(played.outcomes[0]!.rooted, played.outcomes[1]!.rooted, rot, this.figure)
              : '',
          ),
          catchError(() => of('')),
        ),
      ),
    ),
    { initialValue: '' },
  );
}
