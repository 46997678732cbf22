import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { SEEN } from '../web/src/app/shell/pages-seen';
import { awake } from './awake';
import { findings, readAxeIn } from './axe';
import { DAY, expect, test } from './bench-test';
import { cutOff, wideOf } from './cut-off';
import { overlaps } from './overlap';
import { unsaid } from './unsaid';

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

const PAGES = Object.entries(SEEN).flatMap(([path, seen]) =>
  path === 'settings/made-with' ? [] : seen.map(([, at]) => at),
);
const AT_A_TIME = 8;

const WIDE = { width: 1280, height: 800 };
const NARROW = { width: 390, height: 844 };

/** A page opened anew, with what it folds away. */
async function open(page: Page, at: string): Promise<void> {
  await page.goto(`/#/${at}`);
  await expect(page.locator('h1').first()).toBeVisible();
  await page.waitForTimeout(400);
  await awake(page);
  await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
}

/** What lists and menus of a page say once they are opened. */
async function unsaidInLists(page: Page): Promise<readonly string[]> {
  const found: string[] = [];
  for (const [lists, panel] of [
    ['main mat-select:not([aria-disabled=true])', '.mat-mdc-select-panel'],
    ['main [aria-haspopup=menu]', '.mat-mdc-menu-panel'],
  ] as const)
    for (const list of await page.locator(lists).all()) {
      if (!(await list.isVisible())) continue;
      await list.click();
      // A list of nothing does not open, however long one waits.
      const opened = await page
        .locator(panel)
        .first()
        .waitFor({ timeout: 3_000 })
        .then(
          () => true,
          () => false,
        );
      if (!opened) {
        await expect(list).toHaveClass(/mat-mdc-select-empty/);
        continue;
      }
      found.push(...(await unsaid(page, panel)));
      await page.keyboard.press('Escape');
      await expect(page.locator(panel)).toHaveCount(0);
    }
  return found;
}

for (let part = 0; part * AT_A_TIME < PAGES.length; part++)
  test(`in the pseudo-language every page is said by messages, part ${part + 1}`, async ({
    page,
  }) => {
    test.setTimeout(400_000);
    await page.addInitScript(() => localStorage.setItem('hypogeon.language', 'en-XA'));
    await page.goto('/#/today');
    await expect(page.locator('main')).toContainText('⟦');
    for (const at of PAGES.slice(part * AT_A_TIME, (part + 1) * AT_A_TIME)) {
      await open(page, at);
      expect([at, await unsaid(page)]).toEqual([at, []]);
      expect([at, await wideOf(page)]).toEqual([at, WIDE.width]);
      expect([at, await unsaidInLists(page)]).toEqual([at, []]);
      await page.setViewportSize(NARROW);
      await open(page, at === 'today' ? 'plan' : 'today');
      await open(page, at);
      expect([at, await wideOf(page)]).toEqual([at, NARROW.width]);
      expect([at, await overlaps(page)]).toEqual([at, []]);
      const cut = await cutOff(page);
      expect([at, cut.filter((text) => !/^(label|example): /.test(text))]).toEqual([at, []]);
      await page.setViewportSize(WIDE);
    }
  });

/** Where most is asked, and what is read most: in other languages than English axe looks at these too. */
const FORMS = [
  'plan?mother=m-opun',
  'plan/stem?mother=m-sedu',
  'plan/straps?mother=m-gast',
  'plan/divide?mother=m-hawo',
  'mothers/new',
  'mothers/m-gra2/edit',
  'bench/new',
  'bench/trays/t-mat',
  'bench/b-19/part?way=rescued',
  'bench/b-25/course',
  'results/money',
  'results/trials/new',
  'settings',
  'bench/b-19',
  'mothers/m-gast',
];
for (const language of ['en', 'de', 'es'])
  test(`nothing is cut off, lies on another or fails a reader in ${language}`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.setViewportSize(NARROW);
    await page.addInitScript((l) => localStorage.setItem('hypogeon.language', l), language);
    await page.goto('/#/today');
    await readAxeIn(page);
    for (const at of FORMS) {
      await open(page, at);
      if (language !== 'en') expect([at, await findings(page)]).toEqual([at, []]);
      expect([at, await overlaps(page)]).toEqual([at, []]);
      expect([at, await wideOf(page)]).toEqual([at, NARROW.width]);
      expect([at, await cutOff(page)]).toEqual([at, []]);
    }
    await page.setViewportSize(WIDE);
    for (const at of FORMS) {
      await open(page, at);
      expect([at, await cutOff(page)]).toEqual([at, []]);
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
