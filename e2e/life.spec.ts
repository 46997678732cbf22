import { cutABatch, expect, goTo, test, wakeOn } from './bench-test';
import { openCutBatch } from './seed';

test('a batch from the cut to a counted result', async ({ ownBook: page }) => {
  await goTo(page, 'Round');
  await expect(page.getByText('Nothing on the bench yet')).toBeVisible();
  await cutABatch(page);

  await expect(page.getByText(/No water until/)).toBeVisible();
  await goTo(page, 'Round');
  await expect(page.getByText('Echeveria crowns')).toBeVisible();
  await expect(page.locator('hy-leave-ruler')).toContainText('No water until');

  // Three days on, the wound is worth a touch and the cuttings want medium.
  await wakeOn(page, '2026-04-13');
  await page.getByRole('button', { name: 'Dry and firm: Echeveria crowns' }).click();
  await expect(page.getByText('Dry and firm. Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Set: Echeveria crowns' }).click();
  await expect(page.getByText('Set. Saved.')).toBeVisible();

  await wakeOn(page, '2026-04-16');
  await page.getByRole('button', { name: 'Watered: Echeveria crowns' }).click();
  await expect(page.getByText('Watered. Saved.')).toBeVisible();
  await expect(page.locator('hy-leave-ruler')).toContainText(/(No water|Leave alone) until/);

  // In the rooting window: count, with keys and with taps.
  await wakeOn(page, '2026-05-04');
  await page.getByRole('link', { name: 'Count Echeveria crowns' }).click();
  // The page before stands until this one is loaded.
  await page.getByRole('heading', { level: 1, name: 'Count Echeveria crowns' }).click();
  for (let i = 0; i < 8; i++) await page.keyboard.press('1');
  await page.getByRole('button', { name: 'One more Rotted' }).click();
  await expect(page.getByText('3 still waiting')).toBeVisible();
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText('Counted: 8 rooted, 1 rotted')).toBeVisible();

  await wakeOn(page, '2026-06-20');
  await page.getByRole('button', { name: 'Potted on', exact: true }).click();
  await expect(page.getByLabel('How many went into pots')).toHaveValue('8');
  await page.getByLabel('How many went into pots').fill('9');
  await page.getByRole('button', { name: 'Potted on', exact: true }).last().click();
  await expect(page.getByText('Only 8 with roots are left to pot.')).toBeVisible();
  await page.getByLabel('How many went into pots').fill('8');
  await page.getByRole('button', { name: 'Potted on', exact: true }).last().click();
  await expect(page.getByText('Potted on 8', { exact: true })).toBeVisible();

  await goTo(page, 'Ledger');
  await expect(
    page.getByText(/Of 12 cuttings stuck in 1 batch, 8 have rooted, 67 % \(39–86\)/),
  ).toBeVisible();
  const row = page.getByRole('row', { name: /Echeveria crowns/ });
  await expect(row).toContainText('0–25');
  await expect(
    page.getByRole('img', { name: /of 12, 8 rooted, 0 with pups, 1 rotted/ }),
  ).toBeVisible();

  // And it is all still there after a reload.
  await page.reload();
  await expect(page.getByText(/8 have rooted/)).toBeVisible();
});

test('water before the gate asks for a reason, and is remembered as a breach', async ({ page }) => {
  await openCutBatch(page);
  const entry = page.getByText('Watered before the gate opened: By mistake');

  await page.getByRole('button', { name: 'Watered', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('The gate is shut until');
  const anyway = page.getByRole('button', { name: 'Water anyway, and remember it' });
  await expect(anyway).toBeDisabled();
  await page.getByRole('button', { name: 'Keep the can away' }).click();
  await expect(entry).toBeHidden();

  await page.getByRole('button', { name: 'Watered', exact: true }).click();
  await page.getByLabel('By mistake').check();
  await anyway.click();
  await expect(entry).toBeVisible();
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await goTo(page, 'Ledger');
  await expect(page.getByText('One batch had water before the gate opened.')).toBeVisible();
});

test('everything can be taken back, and the history keeps it', async ({ page }) => {
  await openCutBatch(page);
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Taken back. It stays in the history.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Set', exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByLabel('Note', { exact: true }).fill('Two looked <b>glassy</b>');
  await page.getByRole('button', { name: 'Keep it' }).click();
  const line = page.getByRole('listitem').filter({ hasText: 'Two looked <b>glassy</b>' });
  await expect(line).toBeVisible();
  await line.getByRole('button', { name: /Take back/ }).click();
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
  await expect(page.getByText('Marked 2 places: rotted')).toBeVisible();
});

test('a count that contradicts the last is asked about, a draft survives a reload', async ({
  page,
}) => {
  await openCutBatch(page, { count: 5 });
  await page.getByRole('button', { name: 'Count', exact: true }).click();
  await page.getByRole('textbox', { name: 'Rotted' }).fill('2');
  await page.getByRole('textbox', { name: 'Rotted' }).press('Tab');
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText('Counted: 2 rotted')).toBeVisible();

  await page.getByRole('button', { name: 'Count', exact: true }).click();
  await page.getByRole('button', { name: 'One less Rotted' }).click();
  await expect(page.getByText('A loss does not come back')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save the count' })).toBeDisabled();
  await page.reload();
  await expect(page.getByText('You were in the middle of this count')).toBeVisible();
  await page.getByLabel(/say why the last was not/).fill('One was only callused');
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText('Recounted: 1 rotted')).toBeVisible();

  await page.getByRole('button', { name: 'Count', exact: true }).click();
  await page.getByRole('textbox', { name: 'Dried up' }).fill('9');
  await page.getByRole('textbox', { name: 'Dried up' }).press('Tab');
  await expect(page.getByText('10 outcomes, but only 5 in the batch. Take 5 off.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save the count' })).toBeDisabled();
});

test('a planned cut waits for its day; entries can be back-dated, not post-dated', async ({
  page,
}) => {
  await openCutBatch(page, { count: 3 });
  await page.getByLabel('On', { exact: true }).fill('2026-04-08');
  await expect(page.getByText(/It was cut on/)).toBeVisible();
  await page.getByLabel('On', { exact: true }).fill('2026-04-10');
  await expect(page.getByText('That day is still to come.')).toBeVisible();

  await goTo(page, 'Plan');
  await page.getByRole('combobox', { name: /^Mother/ }).selectOption({ label: 'The bowl' });
  await page.getByLabel('How many').fill('4');
  await page.getByLabel('Cut on').fill('2026-04-20');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText('Planned for Mon 20 Apr', { exact: false }).first()).toBeVisible();
  await wakeOn(page, '2026-04-20');
  await goTo(page, 'Round');
  await page.getByRole('button', { name: /^Cut: Echeveria leaves/ }).click();
  await expect(page.getByText('Cut. Saved.')).toBeVisible();
});
