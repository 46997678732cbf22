import { releaseProxy, wrap, type Remote } from 'comlink';
import { languageOf } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/spawn';
import type { BenchWorker } from '../workers/bench';
import type { FilesWorker } from '../workers/files';
import type { LedgerWorker } from '../workers/ledger';
import type { PicturesWorker } from '../workers/pictures';
import type { Reading, Tables } from '../workers/reading';
import type { RehearseWorker } from '../workers/rehearse';

/** The workers by name, and what each can be asked. */
export interface WorkersByName {
  readonly files: FilesWorker;
  readonly bench: BenchWorker;
  readonly ledger: LedgerWorker;
  readonly pictures: PicturesWorker;
  readonly rehearse: RehearseWorker;
}

/** One started worker. */
export interface Spawned<T> {
  readonly remote: Remote<T>;
  /** Called when it dies by itself: its script does not load, or throws outside a call. */
  onDeath(died: (reason: string) => void): void;
  /** Says from now on in this locale. @param tablesOf the messages of places that its code asks for */
  readIn(
    locale: string,
    tablesOf: (language: string, places: readonly string[]) => Promise<Tables>,
  ): Promise<void>;
  end(): void;
}

/** The one place that names the scripts of workers; unit tests stand in for it. */
const START: { readonly [N in keyof WorkersByName]: () => Worker } = {
  files: () => new Worker(new URL('../workers/files.worker', import.meta.url), { type: 'module' }),
  bench: () => new Worker(new URL('../workers/bench.worker', import.meta.url), { type: 'module' }),
  ledger: () =>
    new Worker(new URL('../workers/ledger.worker', import.meta.url), { type: 'module' }),
  pictures: () =>
    new Worker(new URL('../workers/pictures.worker', import.meta.url), { type: 'module' }),
  rehearse: () =>
    new Worker(new URL('../workers/rehearse.worker', import.meta.url), { type: 'module' }),
};

export function spawn<N extends keyof WorkersByName>(name: N): Spawned<WorkersByName[N]> {
  const worker = START[name]();
  const all = wrap<WorkersByName[N] & Reading>(worker);
  const remote = all as Remote<WorkersByName[N]>;
  const tells = all as unknown as Remote<Reading>;
  return {
    remote,
    readIn: async (locale, tablesOf) => {
      const language = languageOf(locale);
      await tells.sayIn(locale, await tablesOf(language, await tells.placesWithout(language)));
    },
    onDeath: (died) => {
      worker.addEventListener('error', (event) =>
        // Where its script does not load, the event is a plain one without a word.
        died(event.message || say.itCouldNotBeRead()),
      );
      worker.addEventListener('messageerror', () => died(say.itCouldNotBeRead()));
    },
    end: () => {
      (remote as unknown as { [releaseProxy](): void })[releaseProxy]();
      worker.terminate();
    },
  };
}
