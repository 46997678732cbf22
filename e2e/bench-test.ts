import { test as base, expect, type Page } from '@playwright/test';

/** The day on which all tests play. */
export const DAY = '2026-04-09';

/**
 * A page on a fixed day whose every request stays on this machine and whose console stays silent:
 * a test fails on the first that does not.
 */
export const test = base.extend<{ quiet: string[]; ownBook: Page }>({
  quiet: [
    async ({ context, baseURL }, use) => {
      const noise: string[] = [];
      // Watched, not held: a browser whose every request waits for the runner now and then waits for ever.
      // Names other than this machine's lead nowhere, as the runner's settings say.
      context.on('request', (request) => {
        const url = request.url();
        if (!url.startsWith(baseURL!) && !url.startsWith('data:') && !url.startsWith('blob:'))
          noise.push(`request to another host: ${url}`);
      });
      context.on('console', (message) => {
        // The test runner's own word where it keeps the service worker away.
        if (message.text() === 'Service Worker registration blocked by Playwright') return;
        if (message.type() === 'error' || message.type() === 'warning')
          noise.push(`console: ${message.text()}`);
      });
      context.on('weberror', (error) => noise.push(`error: ${error.error().message}`));
      await use(noise);
      expect(noise).toEqual([]);
    },
    { auto: true },
  ],
  page: async ({ page }, use) => {
    await page.clock.setFixedTime(new Date(`${DAY}T09:30:00`));
    await use(page);
  },
  /** A page with the grower's own, empty journal open. */
  ownBook: async ({ page }, use) => {
    await page.goto('/#/settings');
    await page.getByRole('button', { name: 'To my own journal' }).click();
    await expect(page.getByRole('button', { name: 'Look round the demo' })).toBeVisible();
    await use(page);
  },
});

export { expect };

/** Takes what was logged on purpose out of the silence that every test is held to; something must have been. */
export function logged(quiet: string[], pattern: RegExp): void {
  const all = quiet.splice(0);
  expect(all.some((line) => pattern.test(line))).toBe(true);
  quiet.push(...all.filter((line) => !pattern.test(line)));
}

/** Chooses from a list that opens over the page. */
export async function choose(
  page: Page,
  list: string | RegExp,
  option: string | RegExp,
): Promise<void> {
  const exact = typeof list === 'string' ? { name: list, exact: true } : { name: list };
  await page.getByRole('combobox', exact).first().click();
  const wanted = typeof option === 'string' ? { name: option, exact: true } : { name: option };
  await page.getByRole('option', wanted).first().click();
  await expect(page.getByRole('listbox')).toHaveCount(0);
}

/** A day is read once its field is left. */
export async function fillDay(page: Page, label: string, day: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(day);
  await page.keyboard.press('Tab');
}

/** From the page of a batch to another about it. */
export async function also(page: Page, link: string): Promise<void> {
  await page.getByRole('main').getByRole('link', { name: link, exact: true }).click();
}

/** Opens what else there is to record of a batch, and chooses. */
export async function more(page: Page, item: string): Promise<void> {
  await page.getByRole('button', { name: 'More to record' }).click();
  await page.getByRole('menuitem', { name: item, exact: true }).click();
}

/** All of a batch are set, told on its page. */
export async function setAll(page: Page): Promise<void> {
  await more(page, 'Set …');
  await page.getByRole('button', { name: 'Set them' }).click();
}

/** From any page of a batch to its log. */
export async function toLog(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.getByRole('tab', { name: 'Log' })).toHaveAttribute('aria-selected', 'true');
}

export async function goTo(page: Page, place: string): Promise<void> {
  const link = page.getByRole('navigation').getByRole('link', { name: place, exact: true });
  await link.click();
  // The page before stands until the next is loaded.
  await expect(link).toHaveAttribute('aria-current', 'page');
  await expect(page.locator('h1')).toBeVisible();
}

/** Sets the browser's day and lets the app notice, as a phone does that wakes the next morning. */
export async function wakeOn(page: Page, day: string): Promise<void> {
  await page.clock.setFixedTime(new Date(`${day}T08:15:00`));
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
}

/** Adds a mother and a batch cut today, through the screens. */
export async function cutABatch(
  page: Page,
  { plant = 'Echeveria elegans', name = 'The bowl', method = 'Crown', count = 12 } = {},
): Promise<void> {
  await goTo(page, 'Mother plants');
  await page.getByRole('link', { name: 'Add a mother' }).first().click();
  await page.getByRole('combobox', { name: /^Plant/ }).fill(plant);
  await page.keyboard.press('Escape');
  await page.getByLabel('What you call it').fill(name);
  await page.getByLabel('Where it came from').fill('Grown here');
  await choose(page, 'May it be propagated?', 'my own plant');
  await page.getByRole('button', { name: 'Add the mother' }).click();
  await page.getByRole('link', { name: 'Plan a batch' }).click();
  await expect(page.getByRole('heading', { name: 'Plan', exact: true })).toBeVisible();
  await page.getByText(method, { exact: true }).click();
  await page.getByLabel('How many').fill(String(count));
  const room = page.getByRole('button', { name: /A plain room/ });
  if (await room.isVisible()) await room.click();
  await page.getByRole('button', { name: /^Put .* on the bench$/ }).click();
  await expect(page.getByRole('region', { name: 'Pieces' })).toBeVisible();
}
