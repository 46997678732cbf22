import { addDays, type Day } from '@hypogeon/core/days';
import { demoJournal } from '@hypogeon/core/demo';
import { DAY, mount, type Bench } from '../../testing/mount';
import { MemoryStores } from '../../testing/stores';
import { JournalFile } from '../data/journal-file';
import { STORES } from '../data/book';
import { JOURNAL_VERSION } from '@hypogeon/core/formats';
import { BackupDue } from './backup-due';

const ENTRIES = demoJournal(DAY);

/** A journal of so many entries, of which a file was saved with so many on a day. */
async function open(
  size: number,
  last: { readonly day: Day; readonly entries: number } | null,
): Promise<Bench<BackupDue>> {
  const stores = new MemoryStores();
  const entries = ENTRIES.slice(0, size);
  stores.books.own.set('chunk/given', JSON.stringify({ version: JOURNAL_VERSION, entries }));
  await stores.device.setItem('last-file', last);
  return mount(BackupDue, {}, [], [{ provide: STORES, useValue: stores }]);
}

describe('a file that is due', () => {
  it('is asked for once much lies in no file', async () => {
    expect((await open(60, null)).text).toContain('lie only in this browser, in no file yet.');
    expect((await open(10, null)).text.trim()).toBe('');
  });

  it('waits two weeks after the last one, and says how old that is', async () => {
    const soon = await open(60, { day: addDays(DAY, -13), entries: 20 });
    expect(soon.text.trim()).toBe('');
    const late = await open(60, { day: addDays(DAY, -14), entries: 20 });
    expect(late.text).toContain(
      '40 entries lie only in this browser: the last file is of 14 days ago.',
    );
    const little = await open(60, { day: addDays(DAY, -90), entries: 50 });
    expect(little.text.trim()).toBe('');
  });

  it('is saved from there with one tap, or more is told about it', async () => {
    const page = await open(60, null);
    const save = jest.spyOn(JournalFile.prototype, 'save').mockResolvedValue('');
    await page.tap('Save a file now');
    expect(save).toHaveBeenCalledTimes(1);
    expect(page.button('More').getAttribute('href')).toBe('/settings/data');
    save.mockRestore();
  });
});
