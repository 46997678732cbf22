import type { Page } from '@playwright/test';
import { choose, cutABatch, expect, goTo, logged, test } from './bench-test';

/** The picker is a window of the system: files of the browser's own private store stand in for it. */
const withPickers = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const file = async (name: string): Promise<FileSystemFileHandle> =>
      (await navigator.storage.getDirectory()).getFileHandle(name, { create: true });
    Object.assign(window, {
      showSaveFilePicker: () => file('kept.json'),
      showOpenFilePicker: async () => [
        Object.assign(await file('there.json'), { requestPermission: () => 'granted' }),
      ],
    });
  });
const textOf = (page: Page, name: string): Promise<string> =>
  page.evaluate(
    async (file) =>
      (await (await (await navigator.storage.getDirectory()).getFileHandle(file)).getFile()).text(),
    name,
  );
const write = (page: Page, name: string, text: string): Promise<void> =>
  page.evaluate(
    async ([file, all]) => {
      const folder = await navigator.storage.getDirectory();
      const stream = await (await folder.getFileHandle(file, { create: true })).createWritable();
      await stream.write(all);
      await stream.close();
    },
    [name, text] as const,
  );

test('a file that is kept holds what a damaged store has lost, and gives it back', async ({
  ownBook: page,
}) => {
  await withPickers(page);
  await page.reload();
  await cutABatch(page, { name: 'The first' });
  await page.goto('/#/settings/data');
  await page.getByRole('button', { name: 'Keep a file up to date by itself' }).click();
  await expect(page.getByText(/kept.json is kept up to date, last at/)).toBeVisible();
  const before = await textOf(page, 'kept.json');
  // One chunk of the store is torn, as a failing disk leaves it.
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('hypogeon');
        open.onsuccess = () => {
          const store = open.result
            .transaction('journal_own', 'readwrite')
            .objectStore('journal_own');
          const keys = store.getAllKeys();
          keys.onsuccess = () => {
            const put = store.put('{"version":4,"entr', keys.result[0]);
            put.onsuccess = () => {
              open.result.close();
              resolve();
            };
          };
        };
      }),
  );
  await page.reload();
  await expect(page.getByRole('region', { name: 'Set aside' })).toBeVisible();
  await page.goto('/#/settings/data');
  const ids = (text: string): readonly string[] =>
    (JSON.parse(text) as { entries: { id: string }[] }).entries.map((e) => e.id).sort();
  expect(ids(await textOf(page, 'kept.json'))).toEqual(ids(before));
  await expect(page.getByText(/came in: \d+ entr/)).toBeVisible();
  expect(ids(await textOf(page, 'kept.json'))).toEqual(ids(before));
  await goTo(page, 'Mother plants');
  await expect(page.getByText('The first').first()).toBeVisible();
});

test('a journal there is of another device is not written over', async ({ ownBook: page }) => {
  await withPickers(page);
  await page.reload();
  const other = {
    format: 'hypogeon-journal',
    version: 4,
    entries: Array.from({ length: 50 }, (_, i) => ({
      id: `other-${i}`,
      at: `2026-03-01T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
      day: '2026-03-01',
      by: 'tablet',
      kind: 'put',
      record: 'mother',
      key: `m${i}`,
      fields: { name: `Mother ${i}` },
    })),
  };
  await write(page, 'there.json', JSON.stringify(other));
  await cutABatch(page, { name: 'Mine' });
  await page.goto('/#/settings/data');
  await page.getByRole('button', { name: 'Keep a file I have' }).click();
  await expect(page.getByText('there.json holds another journal: 50 entries')).toBeVisible();
  expect(await textOf(page, 'there.json')).toBe(JSON.stringify(other));
  await page.getByRole('button', { name: 'Add to this journal' }).click();
  await expect(page.getByText(/there.json is kept up to date, last at/)).toBeVisible();
  const text = await textOf(page, 'there.json');
  expect(text).toContain('"other-49"');
  expect(text).toContain('Mine');
});

test('a database that is deleted under an open tab is written again, and it is said', async ({
  page,
}) => {
  await page.goto('/#/settings/data');
  const count = page.getByText(/entries, 30 batches/);
  const before = await count.textContent();
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const gone = indexedDB.deleteDatabase('hypogeon');
        gone.onsuccess = () => resolve();
        gone.onerror = () => reject(new Error('not deleted'));
      }),
  );
  await expect(page.getByRole('region', { name: 'The store was emptied' })).toContainText(
    'entries were written again from memory',
  );
  await page.reload();
  await expect(count).toHaveText(before!);
  await expect(page.getByRole('region', { name: 'The store was emptied' })).toHaveCount(0);
});

test('an entry that is only in this tab is not left behind without a question', async ({
  ownBook: page,
  quiet,
}) => {
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { mend: () => (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await choose(page, 'Lengths', 'inches');
  await expect(page.getByText('One entry is only in this tab')).toBeVisible();
  await page.getByRole('button', { name: 'Look round the demo' }).click();
  const question = page.getByRole('dialog');
  await expect(question).toContainText('One entry is not saved');
  await question.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('One entry is only in this tab')).toBeVisible();
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('region', { name: 'Not saved' })).toHaveCount(0);
  logged(quiet, /the store, asked to save/);
});

test('a page that only a newer version has is said, and opened there with what was typed', async ({
  page,
  quiet,
}) => {
  await page.goto('/#/today');
  await expect(page.locator('h1')).toHaveText('Thursday 9 April');
  // A new build on the server: the code of the old one is gone, and its page is another.
  await page.route('**/chunk-*.js', (route) =>
    route.fulfill({ status: 404, body: 'No such file.' }),
  );
  await page.route('**/index.html', (route) =>
    route.fulfill({ body: '<script src="main-NEWBUILD.js"></script>' }),
  );
  await page.getByRole('link', { name: 'Mixes' }).click();
  const said = page.getByRole('status', { name: 'A page is not here' });
  await expect(said).toContainText('A new version is here.');
  await page.unrouteAll();
  await said.getByRole('button', { name: 'Open the new version' }).click();
  await expect(page.locator('h1')).toHaveText('Mixes');
  logged(quiet, /Failed to load resource|dynamically imported|NG0750/);
});

test('an address without # leads where it says, and one that cannot be read says so', async ({
  page,
}) => {
  await page.goto('/plan?mother=m-opun');
  await expect(page.locator('h1')).toHaveText('Plan');
  expect(page.url()).toContain('/#/plan?mother=m-opun');
  await page.goto('/#/bench/%ff');
  await expect(page.locator('h1')).toHaveText('Nothing grows here');
});
