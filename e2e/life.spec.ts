import { choose, cutABatch, expect, goTo, more, test, toLog, wakeOn, setAll } from './bench-test';
import { openCutBatch } from './seed';

test('a batch from the cut to a counted result', async ({ ownBook: page }) => {
  await goTo(page, 'Today');
  await expect(page.getByText(/keeps succulent and cactus cuttings alive/)).toBeVisible();
  await cutABatch(page);

  await expect(page.getByRole('region', { name: 'Today' })).toContainText('Not before');
  await goTo(page, 'Today');
  await expect(page.locator('hy-leave-ruler')).toContainText('The bowl');
  await expect(page.locator('hy-leave-ruler')).toContainText('No water until');

  // Three days on, the wound is worth a touch and the cuttings want medium.
  await wakeOn(page, '2026-04-13');
  await page.getByRole('button', { name: 'Dry and firm: The bowl, crowns' }).click();
  await expect(page.getByText('Dry and firm. Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Set: The bowl, crowns' }).click();
  await expect(page.getByText('Set. Saved.')).toBeVisible();

  await wakeOn(page, '2026-04-16');
  await page.getByRole('button', { name: 'Watered: The bowl, crowns' }).click();
  await expect(page.getByText('Watered. Saved.')).toBeVisible();
  await expect(page.locator('hy-leave-ruler')).toContainText(/(No water|Leave alone) until/);

  // In the rooting window: count, with keys and with taps.
  await wakeOn(page, '2026-05-04');
  await page.getByRole('link', { name: 'Count: The bowl, crowns' }).click();
  // The page before stands until this one is loaded.
  await page.getByRole('heading', { level: 1, name: 'Count The bowl, crowns' }).click();
  for (let i = 0; i < 8; i++) await page.keyboard.press('1');
  await page.getByRole('button', { name: 'One more Rotted' }).click();
  await expect(page.getByText('3 of 12 still waiting')).toBeVisible();
  await page.getByRole('button', { name: 'Save the count' }).click();
  await toLog(page);
  await expect(page.getByText('Counted: 8 rooted, 1 rotted')).toBeVisible();
  await page.getByRole('tab', { name: 'Pieces' }).click();

  await wakeOn(page, '2026-06-20');
  await more(page, 'Potted on …');
  await expect(page.getByLabel('How many went into pots')).toHaveValue('8');
  await page.getByLabel('How many went into pots').fill('9');
  await page.getByRole('button', { name: 'Potted on', exact: true }).last().click();
  await expect(page.getByText('Only 8 with roots are left to pot.')).toBeVisible();
  await page.getByLabel('How many went into pots').fill('8');
  await page.getByRole('button', { name: 'Potted on', exact: true }).last().click();
  await expect(page.getByText('Potted on 8. Saved.')).toBeVisible();

  await goTo(page, 'Results');
  await expect(
    page.getByText(/Of 12 cuttings set in 1 batch, 8 have rooted, 67% \(22–93\)/),
  ).toBeVisible();
  const row = page.getByRole('row', { name: /The bowl, crowns/ });
  await expect(row).toContainText('0–25');
  await page.getByText(/^Roots over time: /).click();
  await expect(
    page.getByRole('img', { name: /of 12, 8 rooted, 0 with pups, 1 rotted/ }),
  ).toBeVisible();

  // And it is all still there after a reload.
  await page.reload();
  await expect(page.getByText(/8 have rooted/)).toBeVisible();
});

test('water before the gate asks for a reason, and is remembered as a breach', async ({ page }) => {
  await openCutBatch(page);
  const entry = page.getByText('Watered before it was safe: By mistake');

  await more(page, 'Watered');
  await expect(page.getByRole('dialog')).toContainText('No water until');
  const anyway = page.getByRole('button', { name: 'Water anyway' });
  await expect(anyway).toBeDisabled();
  await page.getByRole('button', { name: 'Don’t water' }).click();
  await more(page, 'Watered');
  await page.getByLabel('By mistake').check();
  await anyway.click();
  await setAll(page);
  await toLog(page);
  await expect(entry).toHaveCount(1);
  await goTo(page, 'Results');
  await expect(page.getByText('One batch had water before it was safe.')).toBeVisible();
});

test('everything can be taken back, and the history keeps it', async ({ page }) => {
  await openCutBatch(page);
  await setAll(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone. It stays in the history.')).toBeVisible();

  await more(page, 'Note …');
  await page.getByLabel('Note', { exact: true }).fill('Two looked <b>glassy</b>');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await toLog(page);
  await expect(page.getByText(/Set in the mix/)).toHaveCount(0);
  const line = page.getByRole('listitem').filter({ hasText: 'Two looked <b>glassy</b>' });
  await expect(line).toBeVisible();
  await line.getByRole('button', { name: /Undo/ }).click();
  await expect(line).toBeHidden();
});

test('the tray map tells single places, by tap and by key', async ({ page }) => {
  await openCutBatch(page, { count: 6 });
  const tray = page.getByRole('group', { name: 'Tray map' });
  await tray.getByRole('button', { name: 'A2, waiting' }).click();
  await tray.getByRole('button', { name: 'A3, waiting' }).click();
  await page.getByRole('button', { name: /^rotted/ }).click();
  await expect(tray.getByRole('button', { name: 'A2, rotted' })).toBeVisible();

  await tray.getByRole('button', { name: 'A3, rotted' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('1');
  await expect(tray.getByRole('button', { name: 'A4, rooted' })).toBeFocused();
  await toLog(page);
  await expect(page.getByText('Marked 2 places: rotted')).toBeVisible();
});

test('a count that contradicts the last is asked about, a draft survives a reload', async ({
  page,
}) => {
  await openCutBatch(page, { count: 5 });
  await page.getByRole('link', { name: 'Count', exact: true }).click();
  await page.getByRole('textbox', { name: 'Rotted' }).fill('2');
  await page.getByRole('textbox', { name: 'Rotted' }).press('Tab');
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText('Counted The bowl, crowns. Saved.')).toBeVisible();

  await page.getByRole('link', { name: 'Count', exact: true }).click();
  await page.getByRole('button', { name: 'One less Rotted' }).click();
  await expect(page.getByText('A loss does not come back')).toBeVisible();
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText('A loss does not come back')).toBeVisible();
  await page.reload();
  await expect(page.getByText('You were in the middle of this count')).toBeVisible();
  await page.getByRole('option', { name: 'looked closer' }).click();
  await page.getByRole('button', { name: 'Save the count' }).click();
  await toLog(page);
  await expect(page.getByText('Recounted: 1 rotted')).toBeVisible();
  await page.getByRole('tab', { name: 'Pieces' }).click();

  await page.getByRole('link', { name: 'Count', exact: true }).click();
  await page.getByRole('textbox', { name: 'Dried up' }).fill('9');
  await page.getByRole('textbox', { name: 'Dried up' }).press('Tab');
  await expect(page.getByText('10 outcomes, but only 5 in the batch. Take 5 off.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Dried up' }).fill('1');
  // Put right as it is typed: the first click saves.
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.locator('h1')).toHaveText('The bowl, crowns');
});

test('a planned cut waits for its day; entries can be back-dated, not post-dated', async ({
  page,
}) => {
  await openCutBatch(page, { count: 3 });
  await more(page, 'For another day …');
  await page.getByLabel('On', { exact: true }).fill('8 Apr');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/It was cut on/)).toBeVisible();
  await page.getByLabel('On', { exact: true }).fill('10 April 2026');
  await page.keyboard.press('Tab');
  await expect(page.getByText('That day is still to come.')).toBeVisible();

  await goTo(page, 'Plan');
  await choose(page, /^Mother/, 'The bowl');
  await page.getByLabel('How many').fill('4');
  await page.getByLabel('Cut on').fill('20.4.2026');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Plan 4 leaves' }).click();
  await expect(page.getByText('Planned for Mon 20 Apr', { exact: false }).first()).toBeVisible();
  await wakeOn(page, '2026-04-20');
  await goTo(page, 'Today');
  await page.getByRole('button', { name: /^Cut: The bowl, leaves/ }).click();
  await expect(page.getByText('Cut. Saved.')).toBeVisible();
});
