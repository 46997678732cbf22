import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { SEEN } from '../web/src/app/shell/pages-seen';
import { DAY, expect, test } from './bench-test';

const read = (language: string): ((id: string) => string) => {
  const all = JSON.parse(readFileSync(`messages/${language}.json`, 'utf8')) as Record<
    string,
    Record<string, Record<string, string>>
  >;
  return (id) => {
    const [place = '', part = '', name = ''] = id.split('/');
    return all[place]![part]![name]!;
  };
};

/** What is read on a page, by whether it comes from a message: days, and what the demo's growers wrote, do not. */
const texts = (page: Page): Promise<number> =>
  page.evaluate(() => {
    let marked = 0;
    const walker = document.createTreeWalker(document.querySelector('main')!, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) if (walker.currentNode.textContent?.includes('⟦')) marked++;
    return marked;
  });

const PAGES = Object.entries(SEEN).flatMap(([path, seen]) =>
  path === 'settings/made-with' ? [] : seen.map(([, at]) => at),
);
const AT_A_TIME = 8;

for (let part = 0; part * AT_A_TIME < PAGES.length; part++)
  test(`in the pseudo-language every page is said by messages, part ${part + 1}`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.addInitScript(() => localStorage.setItem('hypogeon.language', 'en-XA'));
    await page.goto('/#/today');
    await expect(page.locator('h1')).toBeVisible();
    for (const at of PAGES.slice(part * AT_A_TIME, (part + 1) * AT_A_TIME)) {
      await page.goto(`/#/${at}`);
      await expect(page.locator('h1')).toBeVisible();
      await page.waitForTimeout(400);
      await expect(page.locator('h1').first()).toBeVisible();
      const marked = await texts(page);
      expect([at, marked > 1]).toEqual([at, true]);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect([at, wide <= 1280]).toEqual([at, true]);
    }
  });

for (const [language, plant, found] of [
  ['de', 'Geldbaum', 'Crassula ovata'],
  ['es', 'árbol de jade', 'Crassula ovata'],
] as const)
  test(`a first batch and its day, in ${language}`, async ({ page }) => {
    const say = read(language);
    await page.addInitScript((l) => localStorage.setItem('hypogeon.language', l), language);
    await page.goto('/#/settings');
    await page
      .getByRole('button', { name: say('settings/settings-page/toMyOwnJournal'), exact: true })
      .click();
    await page.goto('/#/bench/new');
    await expect(
      page.getByRole('heading', { name: say('bench/quick-page/addCuttingsYouAlready') }),
    ).toBeVisible();
    await page.getByRole('combobox').first().fill(plant);
    await page
      .getByRole('option', { name: new RegExp(found) })
      .first()
      .click();
    await page
      .getByRole('combobox', { name: say('bench/quick-page/whatWasTaken'), exact: true })
      .click();
    await page.getByRole('option', { name: say('core/core-method/leaf'), exact: true }).click();
    await page.getByLabel(say('bench/quick-page/howMany'), { exact: true }).fill('12');
    await page
      .getByRole('button', { name: say('bench/quick-page/putItOnThe'), exact: true })
      .click();
    await expect(page.locator('h1')).toContainText(say('core/core-method/leaves'));
    await expect(page.getByRole('tab', { name: say('bench/batch-head/log') })).toBeVisible();
    expect(await page.locator('html').getAttribute('lang')).toMatch(new RegExp(`^${language}`));
    await page.goto('/#/today');
    const today = new Date(`${DAY}T12:00:00`).toLocaleDateString(language, { weekday: 'long' });
    await expect(page.locator('h1')).toContainText(new RegExp(today, 'i'));
  });

test('the language is changed at once, and kept', async ({ page }) => {
  const [german, english] = [read('de'), read('en')];
  await page.goto('/#/settings');
  const list = (say: (id: string) => string) =>
    page.getByRole('combobox', { name: say('settings/settings-page/languageOnThisDevice') });
  await list(english).click();
  await page.getByRole('option', { name: 'Deutsch' }).click();
  await expect(page.locator('h1')).toHaveText(german('air/air-page/settings'));
  await expect(page.getByRole('navigation')).toContainText(german('shell/places/today'));
  await page.reload();
  await expect(page.locator('h1')).toHaveText(german('air/air-page/settings'));
  await list(german).click();
  await page.getByRole('option', { name: 'English' }).click();
  await expect(page.locator('h1')).toHaveText('Settings');
});
