import type { Spawned } from './spawn';
import { Stopped, WorkerDied, WorkerLine } from './workers';

interface Sums {
  double(n: number): Promise<number>;
  never(): Promise<number>;
  fail(): Promise<number>;
}

function setUp() {
  const spawned: { die(reason: string): void; ended: boolean }[] = [];
  const line = new WorkerLine<Sums>(() => {
    const one = { die: (_reason: string): void => undefined, ended: false };
    spawned.push(one);
    return {
      remote: {
        double: (n: number) => Promise.resolve(2 * n),
        never: () => new Promise<number>(() => undefined),
        fail: () => Promise.reject(new RangeError('no such sum')),
      },
      onDeath: (died: (reason: string) => void) => (one.die = died),
      end: () => (one.ended = true),
    } as unknown as Spawned<Sums>;
  });
  return { line, spawned };
}

describe('a worker', () => {
  it('is started when it is first asked, and once', async () => {
    const { line, spawned } = setUp();
    expect(spawned).toHaveLength(0);
    expect(await Promise.all([line.ask((w) => w.double(2)), line.ask((w) => w.double(4))])).toEqual(
      [4, 8],
    );
    expect(spawned).toHaveLength(1);
  });

  it('hands on what was thrown there, and answers the next', async () => {
    const { line } = setUp();
    await expect(line.ask((w) => w.fail())).rejects.toThrow('no such sum');
    expect(await line.ask((w) => w.double(1))).toBe(2);
  });

  it('that dies leaves nobody waiting; the next call starts another', async () => {
    const { line, spawned } = setUp();
    const waiting = line.ask((w) => w.never());
    spawned[0]!.die('its code could not be loaded');
    await expect(waiting).rejects.toThrow(WorkerDied);
    expect(spawned[0]!.ended).toBe(true);
    expect(await line.ask((w) => w.double(3))).toBe(6);
    expect(spawned).toHaveLength(2);
  });

  it('can be stopped; who waits hears of it, and late news of the old one harm no new one', async () => {
    const { line, spawned } = setUp();
    const waiting = line.ask((w) => w.never());
    line.stop();
    await expect(waiting).rejects.toThrow(Stopped);
    const next = line.ask((w) => w.double(5));
    spawned[0]!.die('late');
    expect(await next).toBe(10);
    line.stop();
    line.stop();
  });

  it('says what it says in the language that is read now, and is told again when it changes', async () => {
    const reads: string[] = [];
    let locale = 'de-AT';
    const { remote } = { remote: { double: (n: number) => Promise.resolve(2 * n) } };
    const line = new WorkerLine<Sums>(
      () =>
        ({ remote, onDeath: () => undefined, end: () => undefined }) as unknown as Spawned<Sums>,
      (running) => {
        if (running.locale === locale) return null;
        reads.push(locale);
        running.locale = locale;
        return Promise.resolve();
      },
    );
    await line.ask((sums) => sums.double(1));
    await line.ask((sums) => sums.double(1));
    locale = 'es-ES';
    expect(await line.ask((sums) => sums.double(4))).toBe(8);
    expect(reads).toEqual(['de-AT', 'es-ES']);
  });
});
