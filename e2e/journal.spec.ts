import { readFile, truncate, writeFile } from 'node:fs/promises';
import {
  choose,
  cutABatch,
  DAY,
  expect,
  goTo,
  logged,
  more,
  test,
  toLog,
  setAll,
} from './bench-test';
import { openCutBatch } from './seed';

test('the demo opens by itself, is kept apart and can be cleared', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Demo: an invented glasshouse')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Thursday 9 April' })).toBeVisible();
  await page.getByRole('button', { name: /^Watered: Panda plant/ }).click();
  await expect(page.getByText('Watered. Saved.')).toBeVisible();

  await goTo(page, 'Settings');
  await page.getByRole('button', { name: 'Clear the demo' }).click();
  await expect(page.getByText('One entry of your own in it would go too')).toBeVisible();
  await page.getByRole('button', { name: 'Clear it' }).click();
  await expect(page.getByText('0 entries, 0 batches')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Look round the demo' })).toBeVisible();
  await page.getByRole('button', { name: 'Look round the demo' }).click();
  await expect(page.getByText('30 batches')).toBeVisible();
});

test('a journal saved here is the same in another browser, and two merge', async ({
  ownBook: page,
  browser,
  baseURL,
}, info) => {
  await cutABatch(page, { name: 'From the laptop' });
  await goTo(page, 'Settings');
  await page.getByRole('link', { name: /^Backup, restore/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup file' }).click();
  const path = info.outputPath('laptop.json');
  await (await download).saveAs(path);
  expect((await download).suggestedFilename()).toBe(`hypogeon-own-${DAY}.json`);

  const other = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await other.clock.setFixedTime(new Date(`${DAY}T10:00:00`));
  await other.goto('/#/settings');
  await other.getByRole('button', { name: 'To my own journal' }).click();
  await cutABatch(other, { plant: 'Sedum pachyphyllum', name: 'From the phone' });
  await goTo(other, 'Settings');
  await other.getByRole('link', { name: /^Backup, restore/ }).click();
  await other.getByLabel('Restore or add a backup').setInputFiles(path);
  await expect(other.getByText(/would add 4 entries: one new batch/)).toBeVisible();
  await other.getByRole('button', { name: 'Add them' }).click();
  await expect(other.getByText('2 batches, 2 mothers')).toBeVisible();
  // Twice changes nothing.
  await other.getByLabel('Restore or add a backup').setInputFiles(path);
  await expect(other.getByText(/would add 0 entries/)).toBeVisible();
  await other.reload();
  await goTo(other, 'Mother plants');
  await expect(other.getByText('From the laptop')).toBeVisible();
  await expect(other.getByText('From the phone')).toBeVisible();
  await other.context().close();
});

test('a bad file is refused with line, field and a sentence, and changes nothing', async ({
  page,
}, info) => {
  await page.goto('/#/settings/data');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup file' }).click();
  const good = await readFile(await (await download).path(), 'utf8');
  const before = await page.getByText(/entries, 30 batches/).textContent();
  const offer = async (name: string, text: string, size?: number): Promise<void> => {
    const path = info.outputPath(name);
    await writeFile(path, text);
    // A file with a hole in it: large, and nothing of it lies on the disk.
    if (size !== undefined) await truncate(path, size);
    await page.getByLabel('Restore or add a backup').setInputFiles(path);
    await expect(page.getByText(`${name} was refused, and nothing was changed.`)).toBeVisible();
  };

  await offer('cut-off.json', good.slice(0, -500));
  await expect(page.getByText(/Line \d+: the file ends in the middle/)).toBeVisible();
  await offer('negative.json', good.replace(/"rooted":\d+/, '"rooted":-2'));
  await expect(page.getByText(/Line \d+, counts.rooted: must be a whole number/)).toBeVisible();
  await offer('newer.json', good.replace(/"version":\d/, '"version":9'));
  await expect(page.getByText(/version: the file is of version 9, newer/)).toBeVisible();
  await offer('huge.json', '', 410_000_000);
  await expect(page.getByText(/This file has 410 MB; a journal has 400 MB at most/)).toBeVisible();
  await expect(page.getByText(/entries, 30 batches/)).toHaveText(before!);
});

test('two tabs of one browser see each other’s entries, and both are kept', async ({
  page,
  context,
}) => {
  await openCutBatch(page);
  const second = await context.newPage();
  await second.clock.setFixedTime(new Date(`${DAY}T09:31:00`));
  await second.goto(page.url());
  await expect(second.getByRole('region', { name: 'Pieces' })).toBeVisible();
  await Promise.all([setAll(page), more(second, 'Note …')]);
  await second.getByLabel('Note', { exact: true }).fill('Written in the other tab');
  await second.getByRole('button', { name: 'Save the note' }).click();
  await toLog(page);
  await toLog(second);
  await expect(page.getByText('Written in the other tab')).toBeVisible();
  await expect(
    second.getByRole('listitem').filter({ hasText: /^.*Set in the mix.*Undo/ }),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByText('Written in the other tab')).toBeVisible();
});

test('a store that refuses is said at once, survived, and tried again', async ({ page, quiet }) => {
  await openCutBatch(page);
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { mend: () => (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await setAll(page);
  const failure = page.getByRole('region', { name: 'Not saved' });
  await expect(failure).toContainText(
    'This browser’s store is full. One entry is only in this tab',
  );
  // It counts meanwhile, and the file has it.
  await toLog(page);
  await expect(page.getByText('Set in the mix', { exact: true }).first()).toBeVisible();
  const download = page.waitForEvent('download');
  await failure.getByRole('button', { name: 'Save the file' }).click();
  expect(await readFile(await (await download).path(), 'utf8')).toContain('"kind":"stuck"');

  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await failure.getByRole('button', { name: 'Try again' }).click();
  await expect(failure).toBeHidden();
  logged(quiet, /the store, asked to save/);
  await page.reload();
  await expect(page.getByText('Set in the mix', { exact: true })).toHaveCount(1);
});

test('units, places and readings are kept', async ({ ownBook: page }) => {
  await choose(page, 'Lengths', 'inches');
  await choose(page, 'Temperatures', '°F');
  await page.getByRole('button', { name: 'Add a place' }).click();
  await page.getByLabel('Name').fill('Loft');
  await page.getByLabel('Usual mean, °F').fill('warm');
  await page.getByLabel('Relative humidity, %').fill('50');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByText('The mean of the day in °F, from -22 °F to 140 °F.')).toBeVisible();
  await page.getByLabel('Usual mean, °F').fill('68');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByText('usually 68 °F, 50%')).toBeVisible();
  await page.getByRole('button', { name: 'Today’s reading in Loft' }).click();
  await page.getByLabel('Mean, °F').fill('50');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText('now 50 °F, 50%')).toBeVisible();
  await choose(page, 'Theme, on this device', 'Lamp');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'lamp');
  await expect(page.getByText('usually 68 °F')).toBeVisible();
});

test('a file of one’s choice is kept up to date by itself, and says so after a new start', async ({
  ownBook: page,
}) => {
  // The picker is a window of the system: a file of the browser's own private store stands in for it.
  await page.addInitScript(() => {
    Object.assign(window, {
      showSaveFilePicker: async () =>
        (await navigator.storage.getDirectory()).getFileHandle('kept.json', { create: true }),
    });
  });
  await page.reload();
  await cutABatch(page, { name: 'The first' });
  await page.goto('/#/settings/data');
  await page.getByRole('button', { name: 'Keep a file up to date by itself' }).click();
  await expect(page.getByText(/kept.json is kept up to date, last at/)).toBeVisible();
  const kept = (): Promise<string> =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory();
      return (await (await folder.getFileHandle('kept.json')).getFile()).text();
    });
  expect(await kept()).toContain('The first');
  await page.reload();
  await page.goto('/#/settings/data');
  await expect(page.getByText(/kept.json is kept up to date/)).toBeVisible();
});
