import { choose, expect, test } from './bench-test';

test('the first minute: from nothing, over a wrong turn, to a first batch and its day', async ({
  ownBook: page,
}) => {
  await page.goto('/#/today');
  await expect(
    page.getByRole('heading', { name: /keeps succulent and cactus cuttings alive/ }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Start my own' }).click();

  // A wrong turn: without a place nothing is begun, and the hand is led to the field.
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Place' })).toBeFocused();
  await page.keyboard.type('Kitchen sill');
  await page.getByRole('radio', { name: 'dry', exact: true }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();

  await expect(
    page.getByRole('heading', { name: 'Your bench is ready. What is on it?' }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Add cuttings you already have' }).click();
  await page.getByLabel('Plant', { exact: true }).fill('jade');
  await page.getByRole('option', { name: /^Crassula ovata/ }).click();
  await choose(page, 'What was taken', 'Crown');
  await page.getByLabel('How many').fill('6');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();

  await page.goto('/#/today');
  await expect(page.getByRole('heading', { name: 'Leave alone' })).toBeVisible();
  await expect(page.getByText(/6 crowns/).first()).toBeVisible();
  // Nothing is asked of a fresh cut: it is left alone, and until when is said.
  await expect(page.getByText(/0 to do/)).toBeVisible();
});

test('a demo looked round is no journal: starting one’s own from its strip begins empty', async ({
  page,
}) => {
  await page.goto('/#/today');
  await expect(page.getByText('Demo: an invented glasshouse.')).toBeVisible();
  await page.getByRole('link', { name: 'Start your own journal' }).click();
  await page.getByRole('textbox', { name: 'Place' }).fill('Porch');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(
    page.getByRole('heading', { name: 'Your bench is ready. What is on it?' }),
  ).toBeVisible();
  await expect(page.getByText('Demo: an invented glasshouse.')).toBeHidden();
  await page.goto('/#/bench');
  await expect(page.getByText('Jelly beans')).toBeHidden();
});

test('a form begins under its title, also where a note may stand above it', async ({ page }) => {
  await page.goto('/#/mothers/new');
  const title = await page.getByRole('heading', { name: 'Add a mother' }).boundingBox();
  const first = await page.getByRole('combobox', { name: 'Plant' }).boundingBox();
  expect(first!.x - title!.x).toBeLessThan(40);
});
