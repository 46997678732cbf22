import type { Page } from '@playwright/test';
import { writeJournal } from '@hypogeon/core/formats';
import { largeJournal } from '../benchmarks/large-journal';
import { DAY, expect, test } from './bench-test';

/** More rows than are drawn at once. */
const MANY = 120;

/** Titles of the rows one sees in the middle of the window, from its top to its bottom. */
const seen = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    for (let y = 20; y < innerHeight - 90; y += 20) {
      const row = document.elementFromPoint(innerWidth / 2, y)?.closest('a.row');
      const code = row?.querySelector('.who')?.textContent.trim() ?? '';
      if (row && found.at(-1) !== code) found.push(code);
    }
    return found;
  });

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const)
  test(`a bench of many batches is read to its end, ${width} wide`, async ({ ownBook: page }) => {
    await page.setViewportSize({ width, height });
    await page.goto('/#/settings/data');
    await page.getByLabel('Restore or add a backup').setInputFiles({
      name: 'many.json',
      mimeType: 'application/json',
      buffer: Buffer.from(writeJournal(largeJournal(DAY, MANY, 4))),
    });
    await page.getByRole('button', { name: 'Add them' }).click();
    await expect(page.getByText('All saved in this browser')).toBeVisible();
    await page.goto('/#/bench');
    await page.getByLabel('with those that are done').check();
    await expect(page.getByRole('status').filter({ hasText: `${MANY} batches` })).toBeVisible();

    const rows = new Set<string>();
    for (let down = 0; down < 60; down++) {
      await page.evaluate(() => scrollBy(0, innerHeight / 2));
      await expect.poll(async () => (await seen(page)).length).toBeGreaterThan(3);
      for (const row of await seen(page)) rows.add(row);
      if (await page.evaluate(() => scrollY + innerHeight >= document.body.scrollHeight - 2)) break;
    }
    // Those that stood above the first half window were not looked at.
    expect(rows.size).toBeGreaterThan(MANY - 10);
    await page.evaluate(() => scrollTo(0, 0));
    await expect(
      page
        .getByRole('listitem')
        .filter({ has: page.locator('a.row') })
        .first(),
    ).toBeInViewport();
  });
