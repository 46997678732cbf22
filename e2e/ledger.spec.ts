import { expect, goTo, test } from './bench-test';

test('two ways are compared in words, on a plate and in a file', async ({ page }) => {
  await page.goto('/#/round');
  await goTo(page, 'Ledger');
  await page.getByRole('link', { name: 'Compare ways' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Compare ways');
  await page.getByLabel('By', { exact: true }).selectOption('school');
  await page.getByLabel('Against').selectOption({ index: 2 });
  const came = page.getByRole('region', { name: 'What came of it' });
  await expect(came).toContainText(/The difference is -?\d+ points/);
  await expect(page.getByRole('img', { name: /% rooted and \d+ % lost by day/ })).toBeVisible();
  await page.getByText('The same as a table').click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Table as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('compared.csv');
  // What was chosen is there again after a reload.
  await page.reload();
  await expect(page.getByLabel('By', { exact: true })).toHaveValue('school');
});

test('a batch left out teaches nothing until it is taken in again', async ({ page }) => {
  await page.goto('/#/ledger/learned');
  const row = page.getByRole('row', { name: /Echeveria elegans leaves/ });
  await expect(row).toContainText('36');
  const leave = page.getByRole('button', { name: /^Leave out Echeveria leaves/ });
  await leave.click();
  await expect(page.getByText('Say why: in a year you will want to know.')).toBeVisible();
  await page.getByLabel(/^Why leave out Echeveria leaves/).fill('Labels were mixed up');
  await leave.click();
  await expect(row).toBeHidden();
  await expect(page.getByText('left out: Labels were mixed up')).toBeVisible();
  await page.getByRole('button', { name: 'Take in again' }).click();
  await expect(row).toBeVisible();
});
