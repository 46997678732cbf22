import { deserialize, serialize } from 'node:v8';
import type { Spawned, WorkersByName } from '../app/data/spawn';
import { bench } from '../app/workers/bench';
import { files } from '../app/workers/files';
import { ledger } from '../app/workers/ledger';
import { pictures } from '../app/workers/pictures';
import { rehearse } from '../app/workers/rehearse';

const WORKERS: WorkersByName = { bench, files, ledger, pictures, rehearse };

/** As it crosses to a worker and back: what cannot be cloned is refused here too. */
const crossed = <T>(value: T): T =>
  value instanceof Blob ? value : (deserialize(serialize(value)) as T);

/** Stands for data/spawn, whose scripts Jest cannot load: the same workers' own code, on this thread. */
export function spawn<N extends keyof WorkersByName>(name: N): Spawned<WorkersByName[N]> {
  const calls = WORKERS[name] as unknown as Record<string, (...given: unknown[]) => unknown>;
  const remote = new Proxy(
    {},
    {
      get: (_target, call) =>
        call === 'then'
          ? undefined
          : async (...given: unknown[]) =>
              crossed(await calls[call as string]!(...given.map((g) => crossed(g)))),
    },
  );
  return {
    remote: remote as Spawned<WorkersByName[N]>['remote'],
    onDeath: () => undefined,
    // On this thread it says what the page says.
    readIn: () => Promise.resolve(),
    end: () => undefined,
  };
}
