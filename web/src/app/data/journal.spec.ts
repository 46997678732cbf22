import type { Entry } from '@hypogeon/core';
import { nextStamp } from '@hypogeon/core';
import { TestBed } from '@angular/core/testing';
import { MemoryStores } from '../../testing/stores';
import { STORES } from './book';
import { Journal } from './journal';

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
});
