import { TestBed } from '@angular/core/testing';
import { JOURNAL_VERSION, readJournal, writeJournal } from '@hypogeon/core/formats';
import { EMPTY_STATE, type Entry } from '@hypogeon/core/journal';
import * as fc from 'fast-check';
import { DiskFile } from '../../testing/kept-file';
import { MemoryStores } from '../../testing/stores';
import { STORES } from './book';
import { Journal } from './journal';
import { KeptFile } from './kept-file';
import { LastFile } from './last-file';
import { TornFiles } from './torn-files';

const note = (id: string): Entry => ({
  id,
  at: `2026-03-01T08:00:00.000Z~${id.padStart(4, '0')}`,
  day: '2026-03-01',
  by: 'phone',
  kind: 'note',
  batch: 'b1',
  text: id,
});
const notes = (...ids: readonly number[]): readonly Entry[] => ids.map((id) => note(`${id}`));
const chunk = (entries: readonly Entry[]): string =>
  JSON.stringify({ version: JOURNAL_VERSION, entries });

const browser = globalThis as unknown as Record<string, unknown>;
const idsIn = ({ text }: DiskFile): string[] => {
  const read = readJournal(text, EMPTY_STATE, Date.now());
  if (!read.ok) throw new Error(read.problems[0]!.sentence);
  return read.entries.map((e) => e.id).sort();
};

/** A device with these entries, that keeps this file from its last start on. */
async function device(entries: readonly Entry[], file: DiskFile, stores = new MemoryStores()) {
  if (entries.length > 0) stores.books.own.set('chunk/a', chunk(entries));
  await stores.device.setItem('kept-file', file);
  localStorage.clear();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [{ provide: STORES, useValue: stores }] });
  const journal = TestBed.inject(Journal);
  await journal.open();
  const kept = TestBed.inject(KeptFile);
  await settled();
  return { journal, kept, stores };
}

const settled = async (): Promise<void> => {
  for (let i = 0; i < 8; i++) await new Promise((resolve) => setTimeout(resolve));
};

/** The rest after which what is recorded is written. */
async function record(journal: Journal, text: string): Promise<void> {
  jest.useFakeTimers();
  await journal.record({ kind: 'note', batch: 'b1', text });
  TestBed.tick();
  await jest.advanceTimersByTimeAsync(6_000);
  jest.useRealTimers();
  await settled();
}

let log: jest.SpyInstance;
beforeEach(() => (log = jest.spyOn(console, 'error').mockImplementation(() => undefined)));
afterEach(() => {
  log.mockRestore();
  delete browser.showSaveFilePicker;
  delete browser.showOpenFilePicker;
});

describe('a kept file', () => {
  it('never loses an entry that it holds, whatever the journal here has (law)', async () => {
    const some = fc.uniqueArray(fc.integer({ min: 0, max: 30 }), { maxLength: 12 });
    await fc.assert(
      fc.asyncProperty(some, some, some, async (held, here, other) => {
        const file = new DiskFile(held.length > 0 ? writeJournal(notes(...held)) : '');
        const before = file.text === '' ? [] : idsIn(file);
        // Another device may write it just then.
        const late = notes(...held, ...other.map((n) => n + 100));
        const meanwhile = { others: 0 };
        file.meanwhile = () => {
          if (other.length > 0 && meanwhile.others++ === 0) file.put(writeJournal(late));
        };
        const { journal } = await device(notes(...here), file);
        await record(journal, 'more');
        const after = idsIn(file);
        for (const id of before) expect(after).toContain(id);
        // Where it is another journal nothing is begun, and nobody comes between.
        if (meanwhile.others > 0) for (const { id } of late) expect(after).toContain(id);
      }),
      { numRuns: 40 },
    );
  }, 60_000);

  it('keeps what a damaged store has lost, and gives it back', async () => {
    const file = new DiskFile(writeJournal(notes(1, 2, 3, 4)));
    const stores = new MemoryStores();
    stores.books.own.set('chunk/b', '{"version":4,"entr');
    const { journal, kept } = await device(notes(1, 2), file, stores);
    expect(journal.setAside()).toHaveLength(1);
    expect(idsIn(file)).toEqual(['1', '2', '3', '4']);
    expect(kept.kept()).toMatchObject({ is: 'kept' });
    expect(journal.state().size).toBe(4);
    expect(kept.arrivals().map((a) => a.from)).toEqual([['2 entries from another device']]);
  });

  it('is left as it is where none of it is here, until the grower says what it is', async () => {
    const file = new DiskFile(writeJournal(notes(1, 2, 3)));
    const before = file.text;
    const { journal, kept } = await device(notes(9), file);
    expect(kept.kept()).toEqual({ is: 'other', name: 'journal.json', entries: 3 });
    await record(journal, 'more');
    // A small file saved by hand does not make the kept one any smaller.
    await TestBed.inject(LastFile).saved();
    await record(journal, 'and more');
    expect(file.text).toBe(before);
    await kept.takeIn();
    expect(journal.state().size).toBe(6);
    expect(idsIn(file)).toHaveLength(6);
  });

  it('that was emptied here on purpose is not filled from it again, nor shortened', async () => {
    const file = new DiskFile();
    const { journal, kept } = await device(notes(1, 2), file);
    expect(idsIn(file)).toEqual(['1', '2']);
    await journal.clearOwn();
    await record(journal, 'begun anew');
    expect(idsIn(file)).toEqual(['1', '2']);
    expect(journal.state().size).toBe(1);
    expect(kept.kept()).toMatchObject({ is: 'other', entries: 2 });
  });

  it('takes nothing of the demo, also where that is opened while it is being written', async () => {
    const file = new DiskFile();
    const { journal, kept } = await device(notes(1), file);
    // Emptied by another hand: there is nothing in it that would tell it from the demo's.
    file.put('');
    const given = DiskFile.prototype.getFile.call(file);
    jest.spyOn(file, 'getFile').mockImplementationOnce(async () => {
      await journal.openDemo();
      return given;
    });
    const before = file.text;
    await record(journal, 'two');
    expect(journal.book()).toBe('demo');
    expect(file.text).toBe(before);
    const { size } = journal.state();
    await kept.takeIn();
    expect(journal.state().size).toBe(size);
  });

  it('takes nothing of the demo that is opened while entries come in', async () => {
    const file = new DiskFile();
    const { journal } = await device(notes(1), file);
    file.put(writeJournal(notes(1, 2)));
    const before = file.text;
    const take = journal.take.bind(journal);
    jest.spyOn(journal, 'take').mockImplementationOnce(async (entries) => {
      const saved = await take(entries);
      await journal.openDemo();
      return saved;
    });
    window.dispatchEvent(new Event('focus'));
    await settled();
    expect(journal.book()).toBe('demo');
    expect(file.text).toBe(before);
  });

  it('that another device has changed takes both', async () => {
    const file = new DiskFile();
    const { journal, kept } = await device(notes(1), file);
    file.put(writeJournal(notes(1, 2)));
    await record(journal, 'three');
    expect(idsIn(file)).toHaveLength(3);
    expect(kept.kept()).toMatchObject({ is: 'kept' });
    expect(journal.state().size).toBe(3);
  });

  it('is read when one comes back to the window, and every few minutes while it is looked at', async () => {
    const file = new DiskFile();
    const { journal } = await device(notes(1), file);
    const arrives = async (id: number, how: () => unknown): Promise<void> => {
      file.put(writeJournal(notes(...Array.from({ length: id }, (_, i) => i + 1))));
      await how();
      await settled();
      expect(journal.state().size).toBe(id);
    };
    await arrives(2, () => window.dispatchEvent(new Event('focus')));
    await arrives(3, () => document.dispatchEvent(new Event('visibilitychange')));
    const { writes } = file;
    // Nothing is here that is not in it: it is read, not written.
    expect(writes).toBe(1);
  });

  it('is joined at once where nothing is here yet', async () => {
    const file = new DiskFile(writeJournal(notes(1, 2, 3)));
    browser.showSaveFilePicker = () => Promise.reject(new DOMException('no', 'AbortError'));
    browser.showOpenFilePicker = () => Promise.resolve([file]);
    const { journal, kept } = await device([], new DiskFile());
    await kept.chooseExisting();
    expect(journal.state().size).toBe(3);
    expect(kept.kept()).toMatchObject({ is: 'kept' });
  });

  it('of two devices holds the same in the end, whoever writes when (law)', async () => {
    const some = fc.uniqueArray(fc.integer({ min: 0, max: 20 }), { maxLength: 8 });
    await fc.assert(
      fc.asyncProperty(some, some, async (mine, theirs) => {
        const file = new DiskFile();
        const base = notes(90);
        const first = await device([...base, ...notes(...mine)], file);
        await record(first.journal, 'one');
        const stores = new MemoryStores();
        const second = await device([...base, ...notes(...theirs)], file, stores);
        await record(second.journal, 'two');
        const both = idsIn(file);
        expect(
          [...second.journal.state().log.values()]
            .flat()
            .map((e) => e.id)
            .sort(),
        ).toEqual(both);
        const again = await device([], file, first.stores);
        expect(
          [...again.journal.state().log.values()]
            .flat()
            .map((e) => e.id)
            .sort(),
        ).toEqual(both);
        const { writes } = file;
        window.dispatchEvent(new Event('focus'));
        await settled();
        expect(file.writes).toBe(writes);
      }),
      { numRuns: 15 },
    );
  }, 60_000);

  it('that is torn is left while it may be on its way, then set aside whole and written anew', async () => {
    const text = writeJournal(notes(1, 2, 3));
    const file = new DiskFile(text.slice(0, text.indexOf('"3"')));
    const torn = file.text;
    const { journal, kept } = await device(notes(1), file);
    expect(kept.kept()).toEqual({ is: 'arriving', name: 'journal.json' });
    expect(file.text).toBe(torn);
    const look = async (afterMs: number): Promise<void> => {
      const now = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + afterMs);
      window.dispatchEvent(new Event('focus'));
      await settled();
      now.mockRestore();
    };
    await look(60_000);
    expect(file.text).toBe(torn);
    await look(130_000);
    expect(idsIn(file)).toEqual(['1', '2']);
    expect(journal.state().size).toBe(2);
    const aside = TestBed.inject(TornFiles);
    expect(aside.all()).toMatchObject([{ name: 'journal.json', entries: 2, text: torn }]);
    await aside.throwAway(aside.all()[0]!);
    expect(aside.all()).toEqual([]);
  });

  it('that arrived in part is taken in once the rest has come', async () => {
    const text = writeJournal(notes(1, 2, 3));
    const file = new DiskFile(text.slice(0, -30));
    const { journal, kept } = await device(notes(1), file);
    expect(kept.kept().is).toBe('arriving');
    file.put(text);
    window.dispatchEvent(new Event('focus'));
    await settled();
    expect(journal.state().size).toBe(3);
    expect(TestBed.inject(TornFiles).all()).toEqual([]);
  });

  it('that is torn is left where it cannot be set aside', async () => {
    const file = new DiskFile(writeJournal(notes(1, 2)).slice(0, -20));
    const torn = file.text;
    const stores = new MemoryStores();
    const { kept } = await device(notes(1), file, stores);
    jest.spyOn(stores.device, 'setItem').mockRejectedValue(new Error('the store is full'));
    const now = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 130_000);
    window.dispatchEvent(new Event('focus'));
    await settled();
    now.mockRestore();
    expect(kept.kept()).toMatchObject({ is: 'failed', why: 'the store is full' });
    expect(file.text).toBe(torn);
  });

  it('with entries of a clock far ahead comes to rest: no two devices stamp by turns', async () => {
    const ahead = { ...note('7'), at: '2199-03-01T08:00:00.000Z~0000' };
    const file = new DiskFile(writeJournal([...notes(1), ahead]));
    await device(notes(1), file);
    const { writes } = file;
    for (let i = 0; i < 4; i++) {
      window.dispatchEvent(new Event('focus'));
      await settled();
    }
    expect(file.writes).toBe(writes);
    expect(idsIn(file)).toEqual(['1', '7']);
  });

  it('is not read again where nobody else wrote it', async () => {
    const file = new DiskFile();
    const { journal } = await device(notes(1), file);
    const read = jest.spyOn(file, 'getFile');
    const texts: jest.SpyInstance[] = [];
    read.mockImplementation(async () => {
      const given = await DiskFile.prototype.getFile.call(file);
      texts.push(jest.spyOn(given, 'text'));
      return given;
    });
    await record(journal, 'two');
    expect(idsIn(file)).toHaveLength(2);
    expect(texts.every((t) => t.mock.calls.length === 0)).toBe(true);
  });

  it.each([
    ['something else', 'plant;number\nSedum;3\n', /not a journal that can be read/],
    ['another journal cut off', writeJournal(notes(8, 9)).slice(0, -20), /ends in the middle/],
    ['one of a newer version', writeJournal([]).replace('"version":4', '"version":99'), /newer/],
  ])('that holds %s is left as it is, and it is said', async (_name, text, why) => {
    const file = new DiskFile(text);
    const { kept } = await device(notes(1), file);
    expect(kept.kept()).toMatchObject({ is: 'failed', why: expect.stringMatching(why) });
    expect(file.text).toBe(text);
  });

  it('goes on after anything that fails: a question, a full disk, a busy file', async () => {
    const file = new DiskFile();
    file.fails = 'permission';
    const { journal, kept } = await device(notes(1), file);
    expect(kept.kept()).toMatchObject({ is: 'failed', why: 'no' });
    file.fails = 'the disk is full';
    await record(journal, 'two');
    expect(kept.kept()).toMatchObject({ is: 'failed', why: 'the disk is full' });
    file.fails = '';
    let n = 0;
    file.meanwhile = () => file.put(writeJournal(notes(1, 50 + n++)));
    await record(journal, 'three');
    expect(kept.kept()).toMatchObject({
      is: 'failed',
      why: expect.stringMatching(/another device/),
    });
    expect(file.aborted).toBe(3);
    file.meanwhile = () => undefined;
    await record(journal, 'four');
    expect(kept.kept()).toMatchObject({ is: 'kept' });
  });

  it('that another was just writing is read again in a moment, by itself', async () => {
    const file = new DiskFile(writeJournal(notes(1)));
    const { journal, kept } = await device(notes(1), file);
    jest.useFakeTimers();
    file.put('{');
    window.dispatchEvent(new Event('focus'));
    await jest.advanceTimersByTimeAsync(1_000);
    expect(kept.kept()).toMatchObject({ is: 'failed' });
    file.put(writeJournal(notes(1, 2)));
    await jest.advanceTimersByTimeAsync(31_000);
    jest.useRealTimers();
    await settled();
    expect(kept.kept()).toMatchObject({ is: 'kept' });
    expect(journal.state().size).toBe(2);
  });

  it('there is one of is chosen without being emptied', async () => {
    const file = new DiskFile(writeJournal(notes(1, 2, 3)));
    file.may = 'prompt';
    browser.showSaveFilePicker = () => Promise.reject(new DOMException('no', 'AbortError'));
    browser.showOpenFilePicker = () => Promise.resolve([file]);
    const { kept } = await device(notes(1), new DiskFile());
    await kept.chooseExisting();
    expect(kept.kept()).toMatchObject({ is: 'kept' });
    expect(idsIn(file)).toEqual(['1', '2', '3']);
    // Thought better of.
    await kept.choose('x.json');
    expect(kept.kept()).toMatchObject({ is: 'kept' });
    await kept.stop();
    expect(kept.kept().is).toBe('off');
  });
});
