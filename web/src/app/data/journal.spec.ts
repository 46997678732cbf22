import { JOURNAL_VERSION, readJournal, writeJournal } from '@hypogeon/core/formats';
import { fold, isAhead, nextStamp, EMPTY_STATE, type Entry } from '@hypogeon/core/journal';
import { TestBed } from '@angular/core/testing';
import { MemoryStores } from '../../testing/stores';
import { STORES } from './book';
import { Journal } from './journal';

afterEach(() => localStorage.clear());

async function setUp(stores = new MemoryStores()) {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [{ provide: STORES, useValue: stores }] });
  const journal = TestBed.inject(Journal);
  await journal.open();
  return { journal, stores };
}

const mother = (name: string) =>
  ({ kind: 'put', record: 'mother', key: 'm', fields: { name } }) as const;

describe('the journal of a device', () => {
  it('shows an entry at once and says saved when the store has confirmed it', async () => {
    const { journal, stores } = await setUp();
    const saving = journal.record(mother('Blue one'));
    expect(journal.state().mothers.get('m')!.name).toBe('Blue one');
    expect(journal.saving().is).toBe('saving');
    expect((await saving).saved).toBe(true);
    expect(journal.saving().is).toBe('saved');
    expect(stores.books.own.size).toBe(1);
  });

  it('is there again when it is opened again', async () => {
    const { journal, stores } = await setUp();
    await journal.record(mother('Blue one'));
    const { journal: again } = await setUp(stores);
    expect(again.state().mothers.get('m')!.name).toBe('Blue one');
  });

  it('says so where the browser has thrown the journal away', async () => {
    const { journal } = await setUp();
    await journal.record(mother('Blue one'));
    expect(journal.gone()).toBeNull();
    const { journal: robbed } = await setUp(new MemoryStores());
    expect(robbed.gone()).toMatchObject({ entries: 1 });
    robbed.understoodGone();
    expect(robbed.gone()).toBeNull();
    expect((await setUp(new MemoryStores())).journal.gone()).toBeNull();
  });

  it('keeps what the store refuses, counts it, and saves it with the next that goes through', async () => {
    const { journal, stores } = await setUp();
    stores.refuses = new DOMException('full', 'QuotaExceededError');
    expect((await journal.record(mother('One'))).saved).toBe(false);
    await journal.record(mother('Two'));
    expect(journal.saving()).toEqual({
      is: 'failed',
      reason: 'This browser’s store is full.',
      unsaved: 2,
    });
    expect(journal.state().mothers.get('m')!.name).toBe('Two');

    stores.refuses = null;
    expect(await journal.retry()).toBe(true);
    expect(journal.saving().is).toBe('saved');
    const { journal: again } = await setUp(stores);
    expect(again.state().size).toBe(2);
  });

  it('goes on where the browser refuses all storage', async () => {
    const stores = new MemoryStores();
    stores.device.getItem = () => Promise.reject(new Error('no storage'));
    const { journal } = await setUp(stores);
    expect(journal.saving()).toMatchObject({ is: 'failed', unsaved: 0 });
    await journal.record(mother('Still here'));
    expect(journal.state().mothers.get('m')!.name).toBe('Still here');
    expect(journal.saving()).toMatchObject({ is: 'failed', unsaved: 1 });
  });

  it('stamps never go back, even when the clock does', async () => {
    const { journal } = await setUp();
    const now = jest.spyOn(Date, 'now');
    now.mockReturnValue(Date.parse('2026-03-01T10:00:00Z'));
    const [first] = (await journal.record(mother('One'))).entries;
    now.mockReturnValue(Date.parse('2020-01-01T00:00:00Z'));
    const [second] = (await journal.record(mother('Two'))).entries;
    now.mockRestore();
    expect(second!.at > first!.at).toBe(true);
    expect(journal.state().mothers.get('m')!.name).toBe('Two');
  });

  it('takes another journal in once, however often it is handed in', async () => {
    const { journal, stores } = await setUp();
    const [entry] = (await journal.record(mother('Mine'))).entries as [Entry];
    const theirs = { ...entry, id: 'theirs', by: 'phone', at: nextStamp(entry.at, Date.now()) };
    await journal.take([theirs, entry]);
    await journal.take([theirs]);
    expect(journal.state().size).toBe(2);
    expect(stores.books.own.size).toBe(2);
  });

  it('keeps the demo and the grower’s own book apart', async () => {
    const { journal } = await setUp();
    await journal.record(mother('Mine'));
    await journal.openDemo();
    expect(journal.state().batches.size).toBe(30);
    expect(journal.state().mothers.has('m')).toBe(false);
    await journal.clearDemo();
    expect(journal.book()).toBe('own');
    expect(journal.state().mothers.get('m')!.name).toBe('Mine');
    expect(journal.state().batches.size).toBe(0);
  });

  it('takes nothing that no file of ours could hold, says so, and goes on', async () => {
    const { journal, stores } = await setUp();
    const log = quiet();
    const bad = { kind: 'note', batch: 'b', text: 'x'.repeat(9000) } as const;
    const { saved, refused } = await journal.recordAll([mother('One'), bad]);
    expect(saved).toBe(false);
    expect(refused).toMatch(/^Nothing was changed: text: is too large or too long; 4000/);
    const cyclic: { kind: 'note'; batch: string; text: string; me?: unknown } = {
      kind: 'note',
      batch: 'b',
      text: 'x',
    };
    cyclic.me = cyclic;
    expect((await journal.record(cyclic)).refused).toMatch(/cannot be written down/);
    expect(journal.state().size).toBe(0);
    expect((await journal.record(mother('Two'))).saved).toBe(true);
    expect(stores.books.own.size).toBe(1);
    log.mockRestore();
  });

  it('goes on saving whatever is thrown on the way: by the store at once, or by telling other tabs', async () => {
    const tabs = jest.fn(() => {
      throw new DOMException('could not be cloned', 'DataCloneError');
    });
    globalThis.BroadcastChannel = class {
      onmessage = null;
      postMessage = tabs;
      close = (): void => undefined;
    } as unknown as typeof BroadcastChannel;
    const log = quiet();
    const stores = new MemoryStores();
    const { journal } = await setUp(stores);
    expect((await journal.record(mother('One'))).saved).toBe(true);
    expect(tabs).toHaveBeenCalled();
    const store = stores.journal('own');
    jest.spyOn(stores, 'journal').mockReturnValue({
      ...store,
      setItem: () => {
        throw new TypeError('gone');
      },
    });
    await journal.openOwn();
    expect((await journal.record(mother('Two'))).saved).toBe(false);
    expect(journal.saving()).toEqual({
      is: 'failed',
      reason: 'The store of this browser answers: gone',
      unsaved: 1,
    });
    jest.restoreAllMocks();
    delete (globalThis as { BroadcastChannel?: unknown }).BroadcastChannel;
    log.mockRestore();
  });

  it('opens what is good, and names what it sets aside', async () => {
    const stores = new MemoryStores();
    const good = { id: 'g', at: '2026-03-01T08:00:00.000Z~0000', day: '2026-03-01', by: 'p' };
    const entries = [{ ...good, ...mother('Good') }, null, { ...good, id: 'x', kind: 'cut' }];
    stores.books.own.set('chunk/a', JSON.stringify({ version: JOURNAL_VERSION, entries }));
    const { journal } = await setUp(stores);
    expect(journal.saving().is).toBe('saved');
    expect(journal.state().mothers.get('m')!.name).toBe('Good');
    expect(journal.setAside().map((a) => a.name)).toEqual([
      'an entry of no kind',
      'cut of 2026-03-01',
    ]);
  });

  it('says the true reason where nothing opens, and opens when it can', async () => {
    const stores = new MemoryStores();
    const log = quiet();
    const journalStore = jest.spyOn(stores, 'journal').mockImplementation(() => {
      throw new DOMException('A newer one has it', 'VersionError');
    });
    const { journal } = await setUp(stores);
    expect(journal.saving()).toMatchObject({
      is: 'failed',
      reason: expect.stringMatching(/newer Hypogeon/),
    });
    expect(log).toHaveBeenCalled();
    await journal.record(mother('Meanwhile'));
    journalStore.mockRestore();
    expect(await journal.retry()).toBe(true);
    const { journal: again } = await setUp(stores);
    expect(again.state().mothers.get('m')!.name).toBe('Meanwhile');
    log.mockRestore();
  });

  it('says when a store does not answer, and goes on waiting', async () => {
    jest.useFakeTimers();
    const stores = new MemoryStores();
    let answer: (value: unknown) => void = () => undefined;
    stores.device.getItem = () => new Promise((resolve) => (answer = resolve));
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({ providers: [{ provide: STORES, useValue: stores }] });
    const journal = TestBed.inject(Journal);
    const opening = journal.open();
    expect(journal.saving()).toEqual({ is: 'opening', slow: false });
    jest.advanceTimersByTime(7000);
    expect(journal.saving()).toEqual({ is: 'opening', slow: true });
    jest.useRealTimers();
    stores.device.getItem = () => Promise.resolve('own');
    answer('device');
    await opening;
    expect(journal.saving().is).toBe('saved');
  });

  it('sets right what was written while a clock stood far ahead: order, store and file', async () => {
    const { journal, stores } = await setUp();
    await journal.record(mother('Before'));
    const now = jest.spyOn(Date, 'now').mockReturnValue(Date.parse('2099-05-05T08:00:00Z'));
    await journal.record(mother('While it was wrong'));
    now.mockRestore();
    await journal.record(mother('After'));
    expect(journal.state().mothers.get('m')!.name).toBe('After');
    expect(journal.broughtBack()).toBe(1);
    await journal.retry();
    const { journal: again } = await setUp(stores);
    expect(again.state()).toEqual(journal.state());
    expect(again.broughtBack()).toBe(0);
    const entries = [...again.state().log.values()].flat();
    expect(entries).toHaveLength(3);
    expect(readJournal(writeJournal(entries), EMPTY_STATE, Date.now()).ok).toBe(true);
  });

  it('asks which clock is wrong where most of it lies ahead, and does as it is told', async () => {
    const { journal, stores } = await setUp();
    await journal.record(mother('Before'));
    const now = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 2 * 365 * 86_400_000);
    for (let n = 0; n < 25; n++) await journal.record(mother(`Ahead ${n}`));
    now.mockRestore();
    const { journal: again } = await setUp(stores);
    expect(again.clockDoubt()).toBe(25);
    expect(again.broughtBack()).toBe(0);
    // As it stands, its file is taken elsewhere all the same.
    const entries = [...again.state().log.values()].flat();
    expect(readJournal(writeJournal(entries), EMPTY_STATE, Date.now())).toMatchObject({
      ok: true,
      ahead: 25,
    });
    again.clockIsRight();
    expect(again.clockDoubt()).toBe(0);
    expect(again.broughtBack()).toBe(25);
    const [after] = (await again.record(mother('After'))).entries;
    expect(isAhead(after!.at, Date.now())).toBe(false);
    expect(again.state().mothers.get('m')!.name).toBe('After');
    const { journal: third } = await setUp(stores);
    expect(third.clockDoubt()).toBe(0);
    expect(third.state()).toEqual(again.state());
  });

  it('drops nothing unsaved by looking at the demo', async () => {
    const log = quiet();
    const { journal, stores } = await setUp();
    await journal.record(mother('Saved'));
    await journal.openDemo();
    await journal.openOwn();
    stores.refuses = new DOMException('full', 'QuotaExceededError');
    await journal.record(mother('Only here'));
    await journal.openDemo();
    expect(journal.book()).toBe('demo');
    expect(journal.leftBehind()).toBe(1);
    await journal.openOwn();
    expect(journal.leftBehind()).toBe(0);
    expect(journal.state().mothers.get('m')!.name).toBe('Only here');
    expect(journal.saving()).toMatchObject({ is: 'failed', unsaved: 1 });
    stores.refuses = null;
    await journal.openDemo();
    await journal.openOwn();
    expect(journal.saving().is).toBe('saved');
    const { journal: again } = await setUp(stores);
    expect(again.state().mothers.get('m')!.name).toBe('Only here');
    log.mockRestore();
  });

  it('writes everything again from memory where the store is emptied under it, and says so', async () => {
    const { journal, stores } = await setUp();
    for (let n = 0; n < 10; n++) await journal.record(mother(`${n}`));
    stores.empty();
    await journal.record(mother('Meanwhile'));
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect(journal.rewritten()).toBe(10);
    expect(journal.saving().is).toBe('saved');
    const { journal: again } = await setUp(stores);
    expect(again.state()).toEqual(journal.state());
    expect(again.state().size).toBe(11);
  });

  it('of one id with other content keeps the one that every device keeps, also after reopening', async () => {
    const first = await setUp();
    const [entry] = (await first.journal.record(mother('A'))).entries as [Entry];
    for (const name of ['0', 'Z']) {
      const other = { ...entry, fields: { name } } as Entry;
      const { journal } = await setUp(first.stores);
      await journal.take([other]);
      const shown = journal.state();
      const { journal: again } = await setUp(first.stores);
      expect(again.state()).toEqual(shown);
      expect(shown.mothers).toEqual(fold([other, entry]).mothers);
    }
  });
});

const quiet = () => jest.spyOn(console, 'error').mockImplementation(() => undefined);
