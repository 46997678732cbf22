import type { Page } from '@playwright/test';
import type { run } from 'axe-core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, goTo, test } from './bench-test';

/** Every screen by its heading. */
const SCREENS = [
  ['Thursday 9 April', '/#/today'],
  ['Plan a batch', '/#/plan?mother=m-opun'],
  ['Cut map', '/#/plan/stem?mother=m-sedu'],
  ['Leaf sections', '/#/plan/straps?mother=m-gast'],
  ['Pups', '/#/plan/clump?mother=m-hawo'],
  ['Division', '/#/plan/divide?mother=m-hawo'],
  ['Try it first', '/#/plan/rehearse?mother=m-eche'],
  ['What if', '/#/bench/b-22/what-if'],
  ['Multiply', '/#/plan/multiply?mother=m-kala'],
  ['Practice', '/#/plan/practice'],
  ['One of them smells', '/#/plan/practice/one-rotting'],
  ['Ghost plant, the second', '/#/mothers/m-gra2'],
  ['Plan sheet: Moonstones, crowns', '/#/bench/b-28/sheet'],
  ['Add a plant', '/#/plants/new'],
  ['Mother plants', '/#/mothers'],
  ['Ox tongue, shelf end', '/#/mothers/m-gast'],
  ['Add a mother', '/#/mothers/new'],
  ['Bench', '/#/bench'],
  ['Jelly beans, crowns', '/#/bench/b-19'],
  ['Count Jelly beans, crowns', '/#/bench/b-19/count'],
  ['Zebra clump, offsets', '/#/bench/b-18/water'],
  ['Ghost plant, leaves', '/#/bench/b-25/water'],
  ['Jelly beans, crowns', '/#/bench/b-19/log'],
  ['Where do your cuttings stand?', '/#/start'],
  ['What do you see?', '/#/bench/b-20/look'],
  ['How it is grown', '/#/bench/b-25/course'],
  ['Care slip', '/#/bench/b-24/slip'],
  ['Add cuttings you already have', '/#/bench/new'],
  ['Mixes', '/#/mixes'],
  ['Amounts', '/#/mixes/amounts'],
  ['Solve for a mix', '/#/mixes/solve'],
  ['Jug test', '/#/mixes/jug'],
  ['Side by side', '/#/mixes/beside'],
  ['Shelf', '/#/mixes/shelf'],
  ['Pots', '/#/mixes/pots'],
  ['Air: Lean-to', '/#/settings/air/leanto'],
  ['Devices', '/#/settings/devices'],
  ['Results', '/#/results'],
  ['Compare ways', '/#/results/compare'],
  ['Losses', '/#/results/losses'],
  ['What it has learned', '/#/results/learned'],
  ['Forecasts', '/#/results/forecasts'],
  ['Trials', '/#/results/trials'],
  ['Design a trial', '/#/results/trials/new'],
  ['Cinnamon or nothing', '/#/results/trials/t-cinnamon'],
  ['Money and time', '/#/results/money'],
  ['Season report', '/#/results/report'],
  ['Plant guide', '/#/plants'],
  ['Euphorbia milii', '/#/plants/euphorbia-milii'],
  ['The marks', '/#/marks'],
  ['Settings', '/#/settings'],
  ['Walk the benches', '/#/today/walk'],
  ['Pencil sheet', '/#/today/sheet'],
  ['Take some out', '/#/bench/b-19/part?way=rescued'],
  ['Jelly beans, crowns', '/#/bench/b-19/pictures'],
  ['Trays', '/#/bench/trays'],
  ['Mat tray', '/#/bench/trays/t-mat'],
  ['Orders', '/#/bench/orders'],
  ['Labels', '/#/bench/labels'],
  ['Scan a label', '/#/bench/scan'],
  ['Data in and out', '/#/settings/data'],
  ['An old paper log', '/#/settings/paper'],
  ['Made with', '/#/settings/made-with'],
  ['Nothing grows here', '/#/nowhere'],
] as const;

/** So many screens to a test: each test has its own time, however slow the machine. */
const AT_A_TIME = 6;
const PARTS = Array.from({ length: Math.ceil(SCREENS.length / AT_A_TIME) }, (_, i) =>
  SCREENS.slice(i * AT_A_TIME, (i + 1) * AT_A_TIME),
);
/** Every screen is opened once and then looked at in both themes and both widths. */
const LOOKS = [
  ['light', 1280, 800],
  ['dark', 1280, 800],
  ['dark', 390, 844],
  ['light', 390, 844],
] as const;
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

for (const [part, screens] of PARTS.entries())
  test(`every screen is accessible and fits, in both themes and widths, part ${part + 1}`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    await expect(page.locator('h1')).toBeVisible();
    // No page of ours has frames: axe runs in the page itself, read in once.
    await page.evaluate(AXE);
    for (const [name, path] of screens) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
      for (const [colorScheme, width, height] of LOOKS) {
        const where = `${name}, ${colorScheme}, ${width} wide`;
        await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
        await page.setViewportSize({ width, height });
        await expect(page.locator('html')).toHaveAttribute(
          'data-theme',
          colorScheme === 'dark' ? 'lamp' : 'noon',
        );
        expect(await findings(page), where).toEqual([]);
        const beyond = await page.evaluate(
          () => document.documentElement.scrollWidth - window.innerWidth,
        );
        expect(beyond, `${where}: scrolls sideways`).toBeLessThanOrEqual(0);
        expect(await smallTargets(page), `${where}: targets under 44 px`).toEqual([]);
      }
    }
  });

test('the check itself finds what is wrong', async ({ page }) => {
  await page.goto('/#/today');
  await expect(page.locator('h1')).toBeVisible();
  await page.evaluate(AXE);
  await page.evaluate(() => {
    document
      .querySelector('main')!
      .insertAdjacentHTML(
        'beforeend',
        '<button style="height: 20px; padding: 0; min-height: 0"></button><p style="color: #ddd; background: #fff">pale</p>',
      );
  });
  const found = (await findings(page)).join();
  expect(found).toContain('button-name');
  expect(found).toContain('color-contrast');
  expect(await smallTargets(page)).toHaveLength(1);
});

/** What axe finds in the page as it stands, by rule and place. */
const findings = (page: Page): Promise<readonly string[]> =>
  page.evaluate(async (values) => {
    const { axe } = window as unknown as { axe: { run: typeof run } };
    const { violations } = await axe.run(document, {
      runOnly: { type: 'tag', values },
      resultTypes: ['violations'],
    });
    return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' | ')}`);
  }, TAGS);

const smallTargets = (page: Page): Promise<readonly string[]> =>
  page
    .locator(
      'button:visible, a.mat-mdc-button-base:visible, hy-field .mdc-text-field:visible, nav a:visible, [role=option]:visible',
    )
    .evaluateAll((all) =>
      all
        .map((el) => ({ html: el.outerHTML.slice(0, 90), box: el.getBoundingClientRect() }))
        .filter(({ box }) => box.height > 0 && (box.height < 43.5 || box.width < 43.5))
        .map(({ html, box }) => `${Math.round(box.width)}×${Math.round(box.height)} ${html}`),
    );

test('the round can be walked by keyboard alone', async ({ page }) => {
  await page.goto('/#/today');
  await expect(page.locator('h1')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the page' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  const tap = page.getByRole('button', { name: /^Watered: Panda plant/ });
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab');
    if (await tap.evaluate((el) => el === document.activeElement)) break;
  }
  await expect(tap).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Watered. Saved.')).toBeVisible();
});

test('deep links, the back button and a wrong address', async ({ page }) => {
  await page.goto('/#/bench/b-24');
  await expect(page.getByRole('heading', { name: 'Bunny ears, pads' })).toBeVisible();
  await expect(page).toHaveTitle('Bunny ears, pads · Hypogeon');
  await goTo(page, 'Results');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Bunny ears, pads' })).toBeVisible();
  await page.goto('/#/bench/never-was');
  await expect(page.getByText('No such batch')).toBeVisible();
});
