import { inject, InjectionToken, Injector } from '@angular/core';
import type { Remote } from 'comlink';
import { Language } from './language';
import { LOCALE } from './locale';
import { spawn, type Spawned, type WorkersByName } from './spawn';

/** A call was stopped by the grower, or by a newer one. */
export class Stopped extends Error {
  override readonly name = 'Stopped';
}

/** The worker itself is gone; the next call starts a new one. */
export class WorkerDied extends Error {
  override readonly name = 'WorkerDied';
}

interface Running<T> {
  readonly is: Spawned<T>;
  readonly cancel: Set<(why: Error) => void>;
  /** What it says its sentences in. */
  locale: string;
}

/**
 * A worker, started when it is first asked. Every call ends: with its result, with the error that was thrown there,
 * or stopped. After a death or a stop the next call starts it anew.
 */
export class WorkerLine<T> {
  private running: Running<T> | null = null;

  /** @param readIn has a worker say what it says in the language that is read; asked before every call */
  constructor(
    private readonly start: () => Spawned<T>,
    private readonly readIn: (running: Running<T>) => Promise<void> | null = () => null,
  ) {}

  ask<R>(call: (remote: Remote<T>) => R): Promise<Awaited<R>> {
    return new Promise<Awaited<R>>((resolve, reject) => {
      const running = this.line();
      running.cancel.add(reject);
      const read = this.readIn(running);
      void (async () => {
        if (read) await read;
        resolve(await call(running.is.remote));
      })()
        .catch(reject)
        .finally(() => running.cancel.delete(reject));
    });
  }

  /** Starts it before it is asked: it is read while the screen waits for something else. */
  warm(): void {
    this.line();
  }

  /** Ends what is under way; those who wait hear of it. */
  stop(): void {
    this.end(new Stopped('stopped'));
  }

  private line(): Running<T> {
    if (this.running) return this.running;
    const is = this.start();
    const running: Running<T> = { is, cancel: new Set(), locale: '' };
    is.onDeath((reason) => {
      if (this.running === running) this.end(new WorkerDied(reason));
    });
    this.running = running;
    return running;
  }

  private end(why: Error): void {
    const { running } = this;
    this.running = null;
    if (!running) return;
    running.is.end();
    for (const reject of running.cancel) reject(why);
  }
}

/** Without a line it says what it says in English, and is told again before the next call. */
async function sayIn<T>(running: Running<T>, locale: string, language: Language): Promise<void> {
  try {
    await running.is.readIn(locale, (of, places) => language.tables(of, places));
    running.locale = locale;
  } catch {
    // The call itself says what is wrong with the worker.
  }
}

const line = <N extends keyof WorkersByName>(name: N) =>
  new InjectionToken<WorkerLine<WorkersByName[N]>>(`${name} worker`, {
    providedIn: 'root',
    factory: () => {
      const locale = inject(LOCALE);
      const injector = inject(Injector);
      return new WorkerLine(
        () => spawn(name),
        (running) =>
          running.locale === locale() ? null : sayIn(running, locale(), injector.get(Language)),
      );
    },
  });

/** Whole journals and tables: read, written, folded. */
export const FILES_WORKER = line('files');
/** The long sums of the bench. */
export const BENCH_WORKER = line('bench');
export const LEDGER_WORKER = line('ledger');
export const PICTURES_WORKER = line('pictures');
/** Cuttings played through. */
export const REHEARSE_WORKER = line('rehearse');
/** The long sums beside a play: one of its own, so that no answer waits for them. */
export const MATTERS_WORKER = line('rehearse');
