import { mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, Page } from '@playwright/test';
import { cutABatch, DAY, expect, goTo, logged, test } from './bench-test';

/*
 * Two browsers, one folder that another program carries between them. The picker is a window of the system, which asks
 * a person: a file of a real folder stands in for what it gives.
 */
interface FolderCalls {
  readText(): Promise<string>;
  readStat(): Promise<{ size: number; lastModified: number }>;
  putText(text: string): Promise<void>;
}

async function withFolder(context: BrowserContext, file: string): Promise<void> {
  await context.exposeFunction('readText', () => readFile(file, 'utf8'));
  await context.exposeFunction('readStat', async () => {
    const { size, mtimeMs } = await stat(file);
    return { size, lastModified: mtimeMs };
  });
  await context.exposeFunction('putText', (text: string) => writeFile(file, text));
  await context.addInitScript(() => {
    const calls = window as unknown as FolderCalls;
    const handle = {
      name: 'nursery.json',
      queryPermission: () => Promise.resolve('granted'),
      requestPermission: () => Promise.resolve('granted'),
      getFile: async () => ({ ...(await calls.readStat()), text: () => calls.readText() }),
      createWritable: () => {
        let beside = '';
        return Promise.resolve({
          write: (text: string) => Promise.resolve(void (beside = text)),
          close: () => calls.putText(beside),
          abort: () => Promise.resolve(),
        });
      },
    };
    Object.assign(window, {
      showSaveFilePicker: () => Promise.resolve(handle),
      showOpenFilePicker: () => Promise.resolve([handle]),
    });
  });
}

const comeBack = (page: Page): Promise<unknown> =>
  page.evaluate(() => window.dispatchEvent(new Event('focus')));

test('two browsers share one journal by a file in a folder', async ({
  ownBook: first,
  context,
  browser,
  quiet,
  baseURL,
}) => {
  test.slow();
  const folder = await mkdtemp(join(tmpdir(), 'hypogeon-'));
  const file = join(folder, 'nursery.json');
  await writeFile(file, '');
  await withFolder(context, file);
  await first.reload();
  await cutABatch(first, { name: 'From the laptop' });
  await first.goto('/#/settings/data');
  await first.getByRole('button', { name: 'Keep a file up to date by itself' }).click();
  await expect(first.getByText(/nursery.json is kept up to date, last at/)).toBeVisible();
  await first.getByLabel('This device is called').fill('the laptop');
  await first.getByLabel('This device is called').press('Tab');
  await expect(first.getByText('This device is the laptop. Saved.')).toBeVisible();
  await comeBack(first);
  await expect.poll(() => readFile(file, 'utf8')).toContain('the laptop');

  // The phone: another browser, with nothing in it. It joins the journal, and it is said from where it came.
  const phones = await browser.newContext({ baseURL: baseURL! });
  await withFolder(phones, file);
  const phone = await phones.newPage();
  await phone.clock.setFixedTime(new Date(`${DAY}T09:30:00`));
  await phone.goto('/#/settings');
  await phone.getByRole('button', { name: 'To my own journal' }).click();
  await expect(phone.getByRole('button', { name: 'Look round the demo' })).toBeVisible();
  await phone.goto('/#/settings/data');
  await phone.getByRole('button', { name: 'Keep a file I have' }).click();
  await expect(
    phone.getByText(/came in: \d+ entries from the laptop: .*From the laptop/),
  ).toBeVisible();
  await cutABatch(phone, { name: 'From the phone' });
  await phone.goto('/#/settings/data');
  await comeBack(phone);
  await expect.poll(() => readFile(file, 'utf8')).toMatch(/From the phone[^]*\}\s*$/);

  // Back at the laptop it comes in by itself.
  await comeBack(first);
  await expect(first.getByText(/came in: \d+ entries from another device/).first()).toBeVisible();
  await goTo(first, 'Mother plants');
  await expect(first.getByText('From the phone').first()).toBeVisible();

  // Another program carries half of it: nothing is written over it, and the rest is awaited.
  const whole = await readFile(file, 'utf8');
  await writeFile(file, whole.slice(0, -60));
  await first.goto('/#/settings/data');
  await comeBack(first);
  await expect(first.getByText('ends in the middle')).toBeVisible();
  expect(await readFile(file, 'utf8')).toBe(whole.slice(0, -60));
  // Nothing more comes: what is whole of it is kept, the torn file set aside, and the journal written anew.
  await first.clock.setFixedTime(new Date(`${DAY}T09:34:00`));
  await comeBack(first);
  await expect(first.getByText(/nursery.json had broken off in the middle/)).toBeVisible();
  const ids = (text: string): readonly string[] =>
    (JSON.parse(text) as { entries: { id: string }[] }).entries.map((e) => e.id).sort();
  // While it is being written it may be read half.
  await expect(async () => expect(ids(await readFile(file, 'utf8'))).toEqual(ids(whole))).toPass();
  await first.getByRole('button', { name: 'Throw it away' }).click();
  await expect(first.getByText('had broken off')).toHaveCount(0);
  // The stand-in for the file cannot be remembered over a new start, as the browser's own can.
  if (quiet.length > 0) logged(quiet, /remembering the kept file/);
  await phones.close();
  await rm(folder, { recursive: true });
});
