import type { Page } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
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

/** All strings of a file of data: what the demo's growers wrote, and Latin names, are nobody's to translate. */
function stringsOf(file: string): string[] {
  const found: string[] = [];
  const walk = (of: unknown): void => {
    if (typeof of === 'string') found.push(of);
    else if (Array.isArray(of)) of.forEach(walk);
    else if (of && typeof of === 'object') Object.values(of).forEach(walk);
  };
  walk(JSON.parse(readFileSync(file, 'utf8')));
  return found;
}

/** What the demo's growers call their things stands in code. */
const STORY = readdirSync('core/src/demo')
  .filter((f) => !f.endsWith('.spec.ts'))
  .flatMap((f) => [
    ...readFileSync(`core/src/demo/${f}`, 'utf8').matchAll(/'((?:[^'\\\n]|\\.)+)'|`([^`$]+)`/g),
  ])
  .map((m) => m[1] ?? m[2]!);
const LATIN = stringsOf('core/src/data/taxa.json').filter((s) => /^[A-Z]/.test(s));

const OWN = [
  ...STORY,
  ...stringsOf('core/src/data/demo-story.json'),
  ...LATIN,
  ...LATIN.flatMap((name) => name.split(' ')),
];

/** What is read on the page outside of any message: what the demo's growers wrote, days and units are left out. */
async function unmarked(page: Page): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const outside = (text: string): string => {
      let [deep, out] = [0, ''];
      for (const c of text) {
        if (c === '⟦') deep++;
        else if (c === '⟧') deep--;
        else out += deep === 0 ? c : ' ';
      }
      return out;
    };
    const found: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement!;
      if (['SCRIPT', 'STYLE', 'NOSCRIPT'].includes(parent.tagName)) continue;
      if (parent.checkVisibility()) found.push(outside(walker.currentNode.textContent ?? ''));
    }
    for (const element of document.querySelectorAll('[aria-label],[title],[placeholder]'))
      for (const name of ['aria-label', 'title', 'placeholder'])
        found.push(outside(element.getAttribute(name) ?? ''));
    return found;
  });
  const names = [...new Set(OWN)]
    .filter((name) => name.length > 2)
    .toSorted((a, b) => b.length - a.length);
  const left = texts.map((text) => names.reduce((t, name) => t.replaceAll(name, ' '), text));
  const words = left.flatMap((text) => text.match(/(?<![-\p{L}])[\p{L}’]{3,}(?![-\p{L}])/gu) ?? []);
  return [...new Set(words)].filter((word) => !CALENDAR.has(word) && !PLAIN.has(word));
}

const months = Array.from({ length: 12 }, (_, m) => new Date(2026, m, 1));
const days = Array.from({ length: 7 }, (_, d) => new Date(2026, 0, d + 1));
/** Days are written by the browser, in the language they are asked for. */
const CALENDAR: ReadonlySet<string> = new Set(
  (['short', 'long'] as const).flatMap((style) => [
    ...months.map((d) => d.toLocaleDateString('en', { month: style })),
    ...days.map((d) => d.toLocaleDateString('en', { weekday: style })),
  ]),
);
/** Names of ours, units, and what stands for itself in every language. */
const PLAIN: ReadonlySet<string> = new Set(
  'Hypogeon Escape Enter Shift CSV JSON mol lux kPa µmol Tidewall'.split(' '),
);

const PAGES = Object.entries(SEEN).flatMap(([path, seen]) =>
  path === 'settings/made-with' ? [] : seen.map(([, at]) => at),
);
const AT_A_TIME = 8;

for (let part = 0; part * AT_A_TIME < PAGES.length; part++)
  test(`in the pseudo-language nothing stands outside of a message, and all has room, part ${part + 1}`, async ({
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
      expect([at, await unmarked(page)]).toEqual([at, []]);
      for (const width of [1280, 390]) {
        await page.setViewportSize({ width, height: 844 });
        const wide = await page.evaluate(() => document.documentElement.scrollWidth);
        expect([at, width, wide <= width]).toEqual([at, width, true]);
      }
      await page.setViewportSize({ width: 1280, height: 800 });
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
