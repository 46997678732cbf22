import { expect, test } from './bench-test';

test('a bench is played by keys to its end, and nothing of it is in the journal', async ({
  page,
}) => {
  await page.goto('/#/plan/practice');
  await page.getByRole('link', { name: 'An order in four weeks' }).click();
  await expect(page.getByText('Day 0 of 28.')).toBeVisible();
  // The heat mat, set, a day, four weeks.
  for (const key of ['8', '1', '9']) await page.keyboard.press(key);
  await expect(page.getByText('Day 1 of 28.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Heat mat/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  for (let i = 0; i < 4; i++) await page.keyboard.press('0');
  await expect(page.getByText(/of 10 rooted.* asked for\. Score \d+ of 100/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^The truth over 27 days/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^by the advice/ })).toBeVisible();
  await page.getByRole('link', { name: 'Another bench' }).click();
  await expect(page.getByText(/best \d+ of 100/)).toBeVisible();
  await page.getByRole('button', { name: 'Wipe my practice' }).click();
  await page.getByRole('button', { name: 'Wipe it' }).click();
  await expect(page.getByText(/best \d+ of 100/)).toBeHidden();
});

test.describe('by thumb', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a bench is taken up where it was left', async ({ page }) => {
    await page.goto('/#/plan/practice/one-rotting');
    await page.getByRole('button', { name: /^Wait a day/ }).tap();
    await page.getByRole('button', { name: /^Wait a day/ }).tap();
    await page.getByRole('button', { name: /^Lift and look/ }).tap();
    await expect(page.getByText('wound open').first()).toBeVisible();
    await page.reload();
    await expect(page.getByText('Day 2 of 60.')).toBeVisible();
    await page.getByRole('button', { name: 'From the start' }).tap();
    await expect(page.getByText('Day 0 of 60.')).toBeVisible();
  });
});
