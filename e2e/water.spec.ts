import { readFileSync } from 'node:fs';
import { choose, expect, goTo, test } from './bench-test';

test('the can stays away, is called for by volume, and is done', async ({ page }) => {
  await page.goto('/#/bench/b-18/water');
  const today = page.getByRole('region', { name: 'Today' });
  await expect(page.getByRole('img', { name: /Small pot cut through/ })).toBeVisible();
  await expect(today).toContainText(/Water today, about \d+ mL each/);
  await goTo(page, 'Today');
  // The lean-to comes first, and the clump stands there.
  await page
    .getByRole('button', { name: /^Why, postpone: Water \d batches/ })
    .first()
    .click();
  const task = page.getByRole('button', { name: /^Watered: Zebra clump/ });
  await task.click();
  await expect(page.getByText('Watered. Saved.')).toBeVisible();
  await expect(task).toBeHidden();

  await page.goto('/#/bench/b-18/water');
  await expect(today).toContainText(/Leave it until/);
  await expect(today).toContainText(/It still holds (100|9\d)%/);
});

test('a weighing moves the date, and what it taught is told', async ({ page }) => {
  await page.goto('/#/bench/b-20/water');
  await expect(page.getByText('Modelled: nothing weighed yet')).toBeVisible();
  await page.getByRole('button', { name: 'Weighed' }).click();
  await page.getByLabel('One pot as it stands, g').fill('265');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/\(1 weighing\)/)).toBeVisible();
  await expect(page.getByText(/At \d+ g it asks for water/)).toBeVisible();
  await page.getByRole('button', { name: 'Water by: Bone dry, then soak' }).click();
  await expect(page.getByRole('row', { name: /Bone dry, then soak/ })).toContainText('in use');
});

test('a mix by dragging its layers, kept, and found in amounts', async ({ page }) => {
  await page.goto('/#/mixes');
  const edge = page.getByRole('slider', { name: /Pumice 3–6 mm and Coir/ });
  await expect(edge).toHaveAttribute('aria-valuenow', '60');
  const box = (await edge.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 80, { steps: 4 });
  await page.mouse.up();
  await expect(edge).not.toHaveAttribute('aria-valuenow', '60');
  await expect(page.getByText('Changed since.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this mix' }).click();
  await page.getByLabel('Name of the mix').fill('Dragged mix');
  await page.getByRole('button', { name: 'Keep as another' }).click();
  await expect(page.getByText('Dragged mix kept. Saved.')).toBeVisible();
  await page.getByRole('tab', { name: 'Amounts' }).click();
  await expect(page.getByRole('combobox', { name: 'Mix' })).not.toHaveText('');
  await expect(page.getByText(/[\d.]+ L of mix/)).toBeVisible();
  // A reload finds the table as it was left.
  await page.reload();
  await expect(page.getByText('Dragged mix').first()).toBeVisible();
});

test('a mix is solved in the worker from the shed', async ({ page }) => {
  await page.goto('/#/mixes/solve');
  await page.getByLabel('only what is in the shed').check();
  await page.getByLabel('Air after draining, at least').fill('24');
  await page.getByRole('button', { name: 'Solve' }).click();
  await expect(page.getByRole('heading', { name: 'This does it' })).toBeVisible();
  await page.getByLabel('Water after draining, at least').fill('75');
  await page.getByRole('button', { name: 'Solve' }).click();
  await expect(page.getByText(/at least 75%: missed by/)).toBeVisible();
});

test('the open Seattle weather table becomes readings, a chart, and a usual year', async ({
  page,
}) => {
  await page.goto('/#/settings/air/porch');
  await page.getByRole('button', { name: 'Try the open Seattle weather table' }).click();
  await expect(page.getByText('1,461 readings')).toBeVisible();
  await page.getByRole('button', { name: 'Take these readings' }).click();
  await expect(page.getByText('1,461 readings taken. Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'All', exact: true }).click();
  await expect(
    page
      .getByRole('img', { name: /Temperature and humidity in North porch/ })
      .locator('svg')
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Make it from the readings here' }).click();
  await expect(page.getByLabel('July, mean high')).toHaveValue(/^2[4-9]/);

  await page.getByText('The same as a table, and files').click();
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'CSV' }).click(),
  ]);
  const lines = readFileSync(await csv.path(), 'utf8').split(/\r?\n/);
  // Marked as UTF-8, so that a spreadsheet opens it with a double click.
  expect(lines[0]).toBe('\uFEFFday,tempC,rh,minC,maxC,humidity');
  expect(lines.filter((l) => l.endsWith('filled'))).toHaveLength(1461);
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'SVG' }).click(),
  ]);
  expect(readFileSync(await svg.path(), 'utf8')).toContain('<svg');
});

test('devices are paired, doubted when they lie, and keep working after the line broke', async ({
  page,
  quiet,
}) => {
  await page.goto('/#/settings/devices');
  await page.getByRole('button', { name: 'Look for devices' }).click();
  await page.getByRole('button', { name: /^Pair Thermo-hygrometer/ }).click();
  await expect(page.getByText(/^live/).first()).toBeVisible();
  await expect(page.getByText('temperature', { exact: true })).toBeVisible();
  await choose(page, /Simulated trouble/, 'simulate: lies');
  await expect(page.getByText('cannot be: left out').first()).toBeVisible();
  await choose(page, /Simulated trouble/, 'simulate: floods');
  await expect(page.getByText(/floods: \d+ packs thrown away/)).toBeVisible();
  await choose(page, /Simulated trouble/, 'simulate: works');
  await page.getByRole('button', { name: 'Keep readings now' }).click();
  await expect(page.getByText('Readings are in the journal. Saved.')).toBeVisible();

  // The line breaks: nothing else does.
  await page.route('**/devices/hygro-1/stream*', (route) => route.abort());
  await page.reload();
  await expect(page.getByText(/no answer, tried again in \d+ s/)).toBeVisible();
  await goTo(page, 'Today');
  await expect(page.getByRole('heading', { name: /Leave alone/ })).toBeVisible();
  await page.unroute('**/devices/hygro-1/stream*');
  await page.goto('/#/settings/devices');
  await expect(page.getByText(/^live/).first()).toBeVisible({ timeout: 60_000 });
  expect(quiet.every((n) => n.includes('ERR_FAILED') || n.includes('Failed to load'))).toBe(true);
  quiet.length = 0;
});
