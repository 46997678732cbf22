import { readFile } from 'node:fs/promises';
import { choose, expect, goTo, more, test, wakeOn, also } from './bench-test';

test('a cutting in water, from the wound to the mix', async ({ ownBook: page }) => {
  await page.goto('/#/bench/new');
  await page.getByLabel('Plant', { exact: true }).fill('jade');
  await page.getByRole('option', { name: /^Crassula ovata/ }).click();
  await expect(page.getByLabel('Plant', { exact: true })).toHaveValue('Crassula ovata');
  await choose(page, 'What was taken', 'Crown');
  await page.getByLabel('How many').fill('4');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.locator('h1')).toHaveText('Crassula crowns');

  await also(page, 'How it is grown');
  await page.getByRole('radio', { name: /^In water/ }).check();
  await expect(page.getByText('In water. Saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Crassula crowns' }).click();
  // Half closed it does not go in.
  await expect(page.getByRole('region', { name: 'Today' })).toContainText('Let it dry until');

  await wakeOn(page, '2026-04-16');
  await goTo(page, 'Today');
  await expect(page.getByText('Into the jar: 4 crowns')).toBeVisible();
  await page.getByRole('button', { name: 'In the jar: Crassula crowns' }).click();
  await expect(page.getByText('In the jar. Saved.')).toBeVisible();

  await wakeOn(page, '2026-04-19');
  await page.getByRole('button', { name: /^Moved: Crassula/ }).click();
  await expect(page.getByText('Water moved. Saved.')).toBeVisible();

  await wakeOn(page, '2026-04-26');
  await page.getByRole('button', { name: /^Changed: Crassula/ }).click();
  await expect(page.getByText('Water changed. Saved.')).toBeVisible();

  await wakeOn(page, '2026-05-08');
  await expect(page.getByText('Look through the glass')).toBeVisible();
  await page.getByRole('link', { name: 'Count: Crassula crowns' }).click();
  await page.getByRole('heading', { level: 1, name: 'Count Crassula crowns' }).click();
  for (let i = 0; i < 4; i++) await page.keyboard.press('1');
  await page.getByRole('button', { name: 'Save the count' }).click();

  await wakeOn(page, '2026-05-22');
  await goTo(page, 'Today');
  await page.getByRole('button', { name: /^In the mix: Crassula/ }).click();
  await expect(page.getByText('Moved into the mix. Saved.')).toBeVisible();
  // On the day of the move it asks for water, and not to pot on.
  await expect(page.getByText(/^First water/).first()).toBeVisible();
  await expect(page.getByText(/Pot on/)).toHaveCount(0);
});

test('leaves on a bare rack: those with roots are set, the rest stay', async ({ page }) => {
  await page.goto('/#/bench/b-25/course');
  await page.getByRole('radio', { name: /^Bare until roots/ }).check();
  await wakeOn(page, '2026-04-24');
  await page.goto('/#/bench/b-25/count');
  await page.getByRole('heading', { level: 1, name: /^Count / }).click();
  for (let i = 0; i < 6; i++) await page.keyboard.press('1');
  await page.getByRole('button', { name: 'Save the count' }).click();
  const today = page.getByRole('region', { name: 'Today' });
  await expect(today).toContainText('Lay 6 leaves on the mix');
  await more(page, 'Set …');
  await page.getByLabel('How many were set').fill('6');
  await page.getByRole('button', { name: 'Set them' }).click();
  await expect(today).toContainText('First misting, 6 leaves');
  await expect(today).not.toContainText('Lay 6 leaves');
});

test('a care slip goes along: on the screen and as a file', async ({ page }) => {
  await page.goto('/#/bench/b-24');
  await also(page, 'Care slip');
  await expect(page.getByRole('article')).toContainText('No water until it has roots');
  const text = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Text file' }).click();
  expect(await readFile(await (await text).path(), 'utf8')).toMatch(/No water until it has roots/);
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF' }).click();
  expect((await readFile(await (await pdf).path())).subarray(0, 4).toString()).toBe('%PDF');
});

test('a mother repotted rests, and then asks for water on the round', async ({ page }) => {
  await page.goto('/#/mothers/m-hawo');
  await page.getByRole('button', { name: 'Repotted', exact: true }).click();
  await page.getByRole('button', { name: 'Repotted today' }).click();
  await expect(page.getByText('No water until Thu 16 Apr.')).toBeVisible();
  await wakeOn(page, '2026-04-17');
  await goTo(page, 'Today');
  await page.locator('summary', { hasText: 'to see to' }).click();
  await page
    .locator('hy-day-notices')
    .getByRole('button', { name: /^Watered: / })
    .click();
  await expect(page.getByText(/: noted\. Saved\./)).toBeVisible();
});
