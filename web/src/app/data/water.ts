import { computed, inject, Injectable, InjectionToken, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { paceOf, spaceDrying, waterCaseOf } from '@hypogeon/core/bench';
import type { Day } from '@hypogeon/core/days';
import { reasonOf, settleAll } from '@hypogeon/core/faults';
import type { Batch, State } from '@hypogeon/core/journal';
import type { Verdicts } from '@hypogeon/core/round';
import type { WaterCase, WaterVerdict } from '@hypogeon/core/water';
import { catchError, combineLatest, from, of, switchMap, tap } from 'rxjs';
import type { Book } from './book';
import { BENCH_WORKER } from './workers';
import { Journal } from './journal';
import { Today } from './today';

/** So long the day's work waits for its pots; then it stands without them, and they join it. */
export const PATIENCE_MS = new InjectionToken<number>('patience', {
  providedIn: 'root',
  factory: () => 10_000,
});

/** Cases made between two breaths of the screen. */
const SLICE = 25;

/**
 * The verdict on every pot, kept as the journal and the days go on. Only pots that something changed
 * for are worked out again, in a worker.
 */
@Injectable({ providedIn: 'root' })
export class Water {
  private readonly worker = inject(BENCH_WORKER);
  private readonly patience = inject(PATIENCE_MS);
  private readonly kept = new WeakMap<Batch, Kept>();
  /** Why there are no verdicts at present; empty where there are. */
  readonly failed = signal('');
  /** Whether the sum takes longer than anybody waits. */
  readonly slow = signal(false);
  private readonly journal = inject(Journal);
  private newest: symbol | null = null;
  private readonly judged = signal<Book | null>(null);
  /** Whether the pots of the open book have been judged, or could not be. */
  readonly settled = computed(() => this.judged() === this.journal.book());

  readonly verdicts$ = combineLatest([this.journal.state$, inject(Today).today$]).pipe(
    switchMap(([state, today]) =>
      state.batches.size === 0
        ? of<Verdicts>(new Map())
        : from(this.judge(state, today)).pipe(
            // A worker that died costs this round its verdicts, not the page every later one.
            catchError((error: unknown) => {
              console.error('verdicts on water', error);
              this.failed.set(reasonOf(error));
              return of<Verdicts>(new Map());
            }),
          ),
    ),
    tap(() => this.judged.set(this.journal.book())),
  );
  readonly verdicts = toSignal<Verdicts, Verdicts>(this.verdicts$, { initialValue: new Map() });

  constructor() {
    // The journal is still being read: the worker that is asked next can be read meanwhile.
    this.worker.warm();
  }

  private async judge(state: State, today: Day): Promise<Verdicts> {
    const late = setTimeout(() => this.slow.set(true), this.patience);
    const judgement = (this.newest = Symbol());
    try {
      return await this.judgeAll(state, today);
    } finally {
      clearTimeout(late);
      // One that was overtaken says nothing of the one that is under way.
      if (this.newest === judgement) this.slow.set(false);
    }
  }

  private async judgeAll(state: State, today: Day): Promise<Verdicts> {
    const around = surroundings(state, today);
    const drying = spaceDrying(state);
    const known = new Map<string, WaterVerdict>();
    const cases: { readonly batch: Batch; readonly given: WaterCase }[] = [];
    let made = 0;
    for (const batch of state.batches.values()) {
      // What was potted on is done as a batch, and still drinks: only what has ended or is not there yet does not.
      if (batch.ended !== null || batch.stage === 'planned') continue;
      const kept = this.kept.get(batch);
      if (kept && around.every((part, i) => part === kept.around[i])) {
        if (kept.verdict) known.set(batch.id, kept.verdict);
        continue;
      }
      const [given] = settleAll([batch], (b) =>
        waterCaseOf(state, b, today, undefined, drying),
      ).results;
      if (given) cases.push({ batch, given });
      else this.kept.set(batch, { around, verdict: null });
      if (++made % SLICE === 0) await breath();
    }
    const verdicts =
      cases.length === 0 ? [] : await this.worker.ask((w) => w.judge(cases.map((c) => c.given)));
    verdicts.forEach((verdict, i) => {
      this.kept.set(cases[i]!.batch, { around, verdict });
      if (verdict) known.set(verdict.id, verdict);
    });
    this.failed.set('');
    return known;
  }
}

interface Kept {
  readonly around: readonly unknown[];
  readonly verdict: WaterVerdict | null;
}

/** Everything beside the batch that its verdict hangs on; folded state is replaced, never changed. */
function surroundings(state: State, today: Day): readonly unknown[] {
  // Maps are copied with every entry; what lies in them is not.
  const inside = [
    state.air,
    state.ownTaxa,
    state.spaces,
    state.mixes,
    state.containers,
    state.components,
    state.jugs,
  ];
  // The looks at any wound move the gates of all.
  return [
    today,
    paceOf(state).factor,
    state.settings,
    ...inside.flatMap((map) => [...map.values()]),
  ];
}

const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
