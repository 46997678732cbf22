import type { Page } from '@playwright/test';
import { SEEN } from '../web/src/app/shell/pages-seen';
import { findings, readAxeIn } from './axe';
import { expect, goTo, test } from './bench-test';

/** Every page there is, as its list says, and where no page is. */
const SCREENS = [
  ...Object.values(SEEN)
    .flat()
    .map(([name, path]) => [name, `/#/${path}`] as const),
  ['Nothing grows here', '/#/nowhere'],
  ['Nothing grows here', '/#/bench/%ff'],
] as const;

/** So many screens to a test: each test has its own time, however slow the machine. */
const AT_A_TIME = 3;
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

for (const [part, screens] of PARTS.entries())
  test(`every screen is accessible and fits, in both themes and widths, part ${part + 1}`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    await expect(page.locator('h1')).toBeVisible();
    await readAxeIn(page);
    for (const [name, path] of screens) {
      // Pages of one batch have one heading: that of the page before must not be taken for the next one's.
      await page.evaluate(() => document.querySelector('h1')?.setAttribute('data-before', ''));
      await page.goto(path);
      await page
        .locator('h1:not([data-before])')
        .waitFor({ timeout: 3_000 })
        // A page that only turned to another plant keeps its heading.
        .catch(() => undefined);
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
  await readAxeIn(page);
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
