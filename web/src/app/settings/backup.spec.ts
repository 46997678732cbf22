import { writeJournal } from '@hypogeon/core/formats';
import { EMPTY_STATE, type Entry } from '@hypogeon/core/journal';
import { DiskFile } from '../../testing/kept-file';
import { STORES } from '../data/book';
import { MemoryStores } from '../../testing/stores';
import { DAY, mount, type Bench } from '../../testing/mount';
import { saveText } from '../data/save-text';
import { Backup } from './backup';

jest.mock('../data/save-text', () => ({ saveText: jest.fn(), saveBlob: jest.fn() }));

const browser = globalThis as unknown as Record<string, unknown>;
const open = (entries?: readonly Entry[]): Promise<Bench<Backup>> => mount(Backup, {}, entries);

async function choose(page: Bench<Backup>, text: string, size = text.length): Promise<void> {
  const input = page.all('input[type=file]')[0] as HTMLInputElement;
  const file = { name: 'given.json', size, text: () => Promise.resolve(text) };
  Object.defineProperty(input, 'files', { value: [file], configurable: true });
  input.dispatchEvent(new Event('change'));
  await page.settle();
  await page.settle();
}

const mother: Entry = {
  id: 'm',
  at: '2026-03-01T08:00:00.000Z~0000',
  day: DAY,
  by: 'phone',
  kind: 'put',
  record: 'mother',
  key: 'm1',
  fields: { name: 'From a file' },
};

describe('a backup', () => {
  it('says what a file would change, and changes it only when told', async () => {
    const page = await open([]);
    await choose(page, writeJournal([mother]));
    expect(page.text).toContain('given.json would add 1 entry');
    expect(page.journal.state().mothers.size).toBe(0);
    await page.tap('Add them');
    expect(page.journal.state().mothers.get('m1')!.name).toBe('From a file');
    await choose(page, writeJournal([mother]));
    expect(page.text).toContain('would add 0 entries');
    expect(() => page.button('Add them')).toThrow();
  });

  it('refuses a bad file and one of 410 MB, unread', async () => {
    const page = await open([]);
    await choose(page, writeJournal([{ ...mother, day: '2026-02-30' }]));
    expect(page.text).toContain('given.json was refused, and nothing was changed.');
    expect(page.text).toContain('Line 2, day: is not a day of the calendar');
    await choose(page, '', 410_000_000);
    expect(page.text).toContain('This file has 410 MB');
    expect(page.journal.state()).toEqual(EMPTY_STATE);
  });

  it('says what is in no file yet, and what is since the last', async () => {
    const page = await open([mother]);
    expect(page.text).toContain('1 entry, in no file yet.');
    await page.tap('Save a backup file');
    expect(page.text).not.toContain('in no file yet');
    await page.journal.record({
      kind: 'put',
      record: 'mother',
      key: 'm2',
      fields: { name: 'New' },
    });
    await page.settle();
    expect(page.text).toContain('1 entry since the last file, today.');
  });
});

describe('a file that is kept by itself', () => {
  afterEach(() => {
    delete browser.showSaveFilePicker;
  });
  const keeping = async (file: DiskFile, entries: readonly Entry[] = [mother]) => {
    browser.showSaveFilePicker = () => Promise.resolve(file);
    const page = await open(entries);
    await page.tap('Keep a file up to date by itself');
    await page.settle();
    await page.settle();
    return page;
  };

  it('is offered only where the browser can', async () => {
    const page = await open([mother]);
    expect(page.text).toContain('cannot keep a file by itself');
  });

  it('is written when it is chosen, says so, and can be stopped', async () => {
    const file = new DiskFile();
    const page = await keeping(file);
    expect(page.text).toContain('journal.json is kept up to date, last at');
    expect(file.writes).toBe(1);
    expect(file.text).toContain('From a file');
    await page.tap('Stop keeping it');
    expect(page.text).toContain('Keep a file up to date by itself');
  });

  it('says why where it fails, and asks where the browser wants to be asked', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const full = new DiskFile();
    full.fails = 'the disk is full';
    const page = await keeping(full);
    expect(page.text).toContain(
      'could not be written: the disk is full. The journal itself is safe',
    );
    const asks = new DiskFile();
    asks.may = 'prompt';
    browser.showSaveFilePicker = () => Promise.resolve(asks);
    await page.tap('Keep a new file');
    await page.settle();
    expect(page.text).toContain('the browser asks again');
    await page.tap('Allow');
    await page.settle();
    expect(page.text).toContain('is kept up to date, last at');
    log.mockRestore();
  });

  it('that holds more gives it to the journal and says from where; another journal asks first', async () => {
    const other = { ...mother, id: 'm2', key: 'm2' };
    const called: Entry = {
      ...mother,
      id: 'm3',
      record: 'device',
      key: 'phone',
      fields: { name: 'the old phone' },
    };
    const more = await keeping(new DiskFile(writeJournal([mother, other, called])));
    expect(more.journal.state().mothers.size).toBe(2);
    expect(more.text).toContain('came in: 2 entries from the old phone: From a file.');
    const another = await keeping(new DiskFile(writeJournal([other])));
    expect(another.text).toContain('holds another journal: one entry, none of them here');
    expect(another.button('Keep a new file instead')).toBeTruthy();
  });

  it('asks what this device is called, and others read it', async () => {
    const page = await keeping(new DiskFile());
    const field = page.field('This device is called');
    for (const [typed, kept] of [
      ['  the lean-to phone ', 'the lean-to phone'],
      ['', undefined],
    ] as const) {
      field.value = typed;
      field.dispatchEvent(new Event('change'));
      await page.settle();
      expect(page.journal.state().devices.get(page.journal.thisDevice())?.name).toBe(kept);
    }
  });

  it('that was torn is said, can be saved as it was, and thrown away', async () => {
    const text = writeJournal([mother]).slice(0, -30);
    const torn = { name: 'journal.json', at: Date.parse('2026-04-09T08:30:00'), entries: 0, text };
    const stores = new MemoryStores();
    await stores.device.setItem('torn-files', [torn]);
    const page = await mount(Backup, {}, [], [{ provide: STORES, useValue: stores }]);
    await page.settle();
    expect(page.text).toContain('journal.json had broken off in the middle, 9 Apr 2026, 08:30.');
    await page.tap('Save the torn file');
    expect(jest.mocked(saveText)).toHaveBeenLastCalledWith(
      'torn-journal.json',
      text,
      'application/json',
    );
    await page.tap('Throw it away');
    await page.settle();
    expect(page.text).not.toContain('broken off');
  });
});

describe('a file that another program hands over', () => {
  const text = (): Promise<string> => Promise.resolve(writeJournal([mother]));
  afterEach(() => {
    delete browser.caches;
    delete browser.launchQueue;
  });
  const given = () => Object.assign(new File([''], 'given.json'), { text });

  it('is read at once where it was opened with this application', async () => {
    let take: (launched: object) => void = () => undefined;
    browser.launchQueue = { setConsumer: (consumer: typeof take) => (take = consumer) };
    const page = await open([]);
    take({ files: [] });
    take({ files: [{ getFile: () => Promise.resolve(given()) }] });
    await page.settle();
    await page.settle();
    expect(page.text).toContain('given.json would add 1 entry');
  });

  it('is taken once from where the offline worker laid it', async () => {
    const lying = new Map([
      [
        './handed-over',
        {
          headers: new Map([['x-name', 'given%20here.json']]),
          blob: () => Promise.resolve(new Blob([writeJournal([mother])])),
        },
      ],
    ]);
    const cache = {
      match: (key: string) => Promise.resolve(lying.get(key)),
      delete: (key: string) => Promise.resolve(lying.delete(key)),
    };
    browser.caches = { open: () => Promise.resolve(cache) };
    // This window reads no file as text by itself.
    Object.assign(File.prototype, { text });
    const page = await open([]);
    await page.settle();
    await page.settle();
    expect(lying.size).toBe(0);
    expect(page.text).toContain('given here.json would add 1 entry');
    delete (File.prototype as Partial<File>).text;
  });
});

describe('the journal handed to another device', () => {
  const shared: string[] = [];
  afterEach(() => Object.assign(navigator, { share: undefined, canShare: undefined }));
  /** A system that takes files of this kind only. */
  const taking = (type: string, share: () => Promise<void>): void => {
    Object.assign(navigator, {
      canShare: ({ files }: { files: File[] }) => files[0]!.type === type,
      share: ({ files }: { files: File[] }) => {
        shared.push(files[0]!.name);
        return share();
      },
    });
  };

  it('goes as a text where the system takes no other file, and counts as saved', async () => {
    taking('text/plain', () => Promise.resolve());
    const page = await open([mother]);
    await page.tap('Hand it to another device');
    await page.settle();
    expect(shared.at(-1)).toMatch(/^hypogeon-own-2026-04-09\.json\.txt$/);
    expect(page.text).not.toContain('in no file yet');
  });

  it('is offered nowhere that it cannot be done, and goes on where it fails', async () => {
    Object.assign(navigator, { canShare: () => false });
    expect((await open([mother])).text).not.toContain('Hand it');
    taking('application/json', () => Promise.reject(new DOMException('no', 'AbortError')));
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const page = await open([mother]);
    await page.tap('Hand it to another device');
    expect(log).not.toHaveBeenCalled();
    expect(page.text).toContain('in no file yet');
    taking('application/json', () => Promise.reject(new Error('no such program')));
    const other = await open([mother]);
    await other.tap('Hand it to another device');
    await other.settle();
    expect(document.body.textContent).toContain('It could not be handed over');
    log.mockRestore();
  });
});
