import { writeJournal } from '@hypogeon/core/formats';
import { EMPTY_STATE, type Entry } from '@hypogeon/core/journal';
import { DiskFile } from '../../testing/kept-file';
import { DAY, mount, type Bench } from '../../testing/mount';
import type { FileHandle } from '../data/kept-file';
import { Backup } from './backup';

jest.mock('../data/save-text', () => ({ saveText: jest.fn(), saveBlob: jest.fn() }));

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
  const browser = globalThis as unknown as { showSaveFilePicker?: () => Promise<FileHandle> };
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
    await page.tap('Stop');
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

  it('that holds more, or another journal, says so and what can be done', async () => {
    const other = { ...mother, id: 'm2', key: 'm2' };
    const more = await keeping(new DiskFile(writeJournal([mother, other])));
    expect(more.text).toContain('It also holds one entry that is not here');
    await more.tap('Add to this journal');
    await more.settle();
    expect(more.journal.state().mothers.size).toBe(2);
    const another = await keeping(new DiskFile(writeJournal([other])));
    expect(another.text).toContain('holds another journal: one entry, none of them here');
    expect(another.button('Keep a new file instead')).toBeTruthy();
  });
});
