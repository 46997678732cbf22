import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Locator, type Page } from '@playwright/test';
import { choose, expect, test, toLog, fillDay } from './bench-test';

/** The point in the middle of something on the screen. */
const middle = async (of: Locator): Promise<{ x: number; y: number }> => {
  const box = (await of.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** Goes on by the key, and waits until the walk has gone on: a key that comes before the screen skips a stop. */
async function nextStop(page: Page): Promise<void> {
  const batch = page.locator('header a[href*="/bench/"]');
  const left = await batch.getAttribute('href');
  // A button that has the focus would take the key for itself.
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('Enter');
  await expect(page.locator(`header a[href="${left}"]`)).toHaveCount(0);
}

test('a round walked with the keys, a task put off, and what it changed', async ({ page }) => {
  await page.goto('/#/today/walk');
  await page.getByRole('button', { name: 'Begin' }).click();
  const h1 = page.locator('h1');
  await expect(page.getByRole('group', { name: 'On the walk' })).toBeVisible();
  for (let i = 0; i < 20 && (await h1.textContent()) !== 'Mat tray'; i++) await nextStop(page);
  await expect(
    page.getByRole('button', { name: 'Jelly beans, crowns', pressed: true }),
  ).toBeVisible();
  await page.keyboard.press('1');
  await page.keyboard.press('1');
  await page.keyboard.press('Enter');
  // The same tray, its other batch.
  await expect(
    page.getByRole('button', { name: 'Snowball bowl, crowns', pressed: true }),
  ).toBeVisible();
  // Two taps, no typing: why, and until when.
  await page
    .getByRole('button', { name: /^Postpone: / })
    .first()
    .click();
  await page.getByRole('option', { name: 'rain' }).click();
  await page.getByRole('button', { name: 'tomorrow' }).click();
  await expect(page.getByText('Postponed to tomorrow. Saved.')).toBeVisible();
  for (let i = 0; i < 30 && (await h1.textContent()) !== 'Walked through'; i++)
    await nextStop(page);
  await expect(page.getByText('+2 with roots')).toBeVisible();
  await page.getByRole('button', { name: 'Finish the walk' }).click();
  await expect(page.getByRole('heading', { name: 'Walk the benches' })).toBeVisible();
});

test('everything is found by typing', async ({ page }) => {
  await page.goto('/#/today');
  await expect(page.locator('h1')).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find anything' }).fill('moonstones');
  await page.getByRole('option', { name: /Moonstones, blue pot/ }).click();
  await expect(page.locator('h1')).toContainText('Moonstones');
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog').getByText('find anything')).toBeVisible();
});

test('a plant, a way and a cut day put down wrong are put right where they stand', async ({
  page,
}) => {
  await page.goto('/#/bench/b-24');
  await expect(page.getByText('6 pads of Opuntia microdasys, cut Sat 4 Apr')).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('Plant', { exact: true }).fill('Opuntia ficus-indica');
  await page.keyboard.press('Tab');
  await fillDay(page, 'Cut on', '30 Mar 2026');
  await expect(page.getByText('What follows')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('6 pads of Opuntia ficus-indica, cut Mon 30 Mar')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('6 pads of Opuntia microdasys, cut Sat 4 Apr')).toBeVisible();
});

test('a count and its day put down wrong are put right in the log', async ({ page }) => {
  await page.goto('/#/bench/b-19/log');
  await page.getByRole('button', { name: /^Change: Counted: 8 rooted, 1 rotted/ }).click();
  await page.getByLabel('Rotted', { exact: true }).fill('900');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('but the batch had');
  await page.getByLabel('Rotted', { exact: true }).fill('2');
  await fillDay(page, 'Day', '25 Mar 2026');
  // A key throws nothing away that was typed.
  await page.keyboard.press('Escape');
  await expect(page.getByText('Cancel throws it away')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Counted: 8 rooted, 2 rotted')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText('Counted: 8 rooted, 1 rotted')).toBeVisible();
});

test('rot is cut back, and the new wound has a gate of its own', async ({ page }) => {
  await page.goto('/#/bench/b-19/part?way=rescued');
  await page.getByLabel('Without roots').fill('2');
  await page.getByRole('button', { name: 'Take them out' }).click();
  await expect(page.getByText('cut afresh from')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Today' }).getByText('Not before')).toBeVisible();
  await page.getByRole('link', { name: 'Jelly beans, crowns', exact: true }).last().click();
  await toLog(page);
  await expect(page.getByText(/2 cut afresh \(SED-/)).toBeVisible();
});

test('a tray is laid out by filling and by dragging', async ({ page }) => {
  await page.goto('/#/bench/trays');
  await page.getByRole('link', { name: 'Mat tray' }).click();
  const cell = (name: string): Locator =>
    page.getByRole('button', { name: new RegExp(`^${name}, `) });
  await expect(cell('E8')).toHaveAccessibleName('E8, free');
  const from = await middle(cell('A1').locator('span.piece'));
  const to = await middle(cell('E8'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 6 });
  await page.mouse.move(to.x, to.y, { steps: 6 });
  await page.mouse.up();
  await expect(cell('E8')).toHaveAccessibleName(/^E8, Jelly beans, crowns/);
  await expect(cell('A1')).toHaveAccessibleName('A1, free');
  // And back by keys.
  await cell('E8').focus();
  await page.keyboard.press('Enter');
  await cell('A1').focus();
  await page.keyboard.press('Enter');
  await expect(cell('A1')).toHaveAccessibleName(/^A1, Jelly beans, crowns/);
});

test('labels: the code on the printed sheet opens the batch', async ({ page, baseURL }) => {
  await page.goto('/#/bench/labels?of=b-19');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save one label as PDF' }).click();
  const folder = mkdtempSync(join(tmpdir(), 'labels-'));
  try {
    await (await saved).saveAs(join(folder, 'labels.pdf'));
    // Drawn by poppler and read by zbar: neither had a hand in making it.
    execFileSync('pdftoppm', [
      '-r',
      '300',
      '-png',
      join(folder, 'labels.pdf'),
      join(folder, 'page'),
    ]);
    const [png] = readdirSync(folder).filter((f) => f.endsWith('.png'));
    const read = execFileSync('zbarimg', ['--quiet', '--raw', join(folder, png!)], {
      encoding: 'utf8',
    }).trim();
    expect(read).toBe(`${baseURL}/#/bench/b-19`);
    const text = execFileSync('pdftotext', [join(folder, 'labels.pdf'), '-'], { encoding: 'utf8' });
    expect(text).toMatch(/Sedum/);
    expect(text).toMatch(/SED-\w{3}/);
    // The same sheet held before the product's own scanner.
    await page.goto('/#/bench/scan');
    await page.locator('input[type=file]').setInputFiles(join(folder, png!));
    await expect(page.locator('h1')).toHaveText('Jelly beans, crowns');
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test('a label held before the camera opens its batch', async ({ page, baseURL }) => {
  const folder = mkdtempSync(join(tmpdir(), 'camera-'));
  await page.goto('/#/bench/labels?of=b-16');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save one label as PDF' }).click();
  await (await saved).saveAs(join(folder, 'labels.pdf'));
  // What a camera above the upper left corner of the sheet would see, again and again.
  const corner = ['-x', '0', '-y', '0', '-W', '640', '-H', '480'];
  execFileSync('pdftoppm', [
    '-r',
    '200',
    ...corner,
    '-jpeg',
    join(folder, 'labels.pdf'),
    join(folder, 'seen'),
  ]);
  const [jpeg] = readdirSync(folder).filter((f) => f.endsWith('.jpg'));
  const frame = readFileSync(join(folder, jpeg!));
  writeFileSync(join(folder, 'camera.mjpeg'), Buffer.concat([frame, frame, frame]));
  const { args = [], ...launch } = test.info().project.use.launchOptions ?? {};
  const browser = await chromium.launch({
    ...launch,
    args: [
      ...args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${join(folder, 'camera.mjpeg')}`,
    ],
  });
  try {
    const camera = await browser.newPage({ serviceWorkers: 'block' });
    await camera.goto(`${baseURL}/#/bench/scan`);
    await camera.getByRole('button', { name: 'Start the camera' }).click();
    await expect(camera.locator('h1')).toHaveText('Jelly beans, leaves');
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true });
  }
});

test('a picture is shrunk, kept, measured, and goes along in the zip', async ({ page }) => {
  // A ruler of 500 px to 50 mm and a wound of 120 px, drawn large.
  const png = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = 3200;
    canvas.height = 2000;
    const c = canvas.getContext('2d')!;
    c.fillStyle = '#dde';
    c.fillRect(0, 0, 3200, 2000);
    c.fillStyle = '#111';
    c.fillRect(400, 400, 1000, 30);
    c.fillRect(400, 1200, 240, 60);
    const blob = await new Promise<Blob>((r) => canvas.toBlob((b) => r(b!), 'image/png'));
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  await page.goto('/#/bench/b-19/pictures');
  await page.locator('input[type=file]').setInputFiles({
    name: 'wound.png',
    mimeType: 'image/png',
    buffer: Buffer.from(png),
  });
  await expect(page.getByText('One picture kept.')).toBeVisible();
  const img = page.locator('hy-picture img').first();
  await expect(img).toHaveAttribute('width', '1600');
  await page.getByRole('button', { name: /^Measure on/ }).click();
  const stage = (await page.locator('.stage svg').boundingBox())!;
  const tap = (x: number, y: number): Promise<void> =>
    page.mouse.click(stage.x + (x / 3200) * stage.width, stage.y + (y / 2000) * stage.height);
  await page.locator('.stage').scrollIntoViewIfNeeded();
  await page.getByLabel('The known length is').fill('50 mm');
  const box = (await page.locator('.stage svg').boundingBox())!;
  Object.assign(stage, box);
  await tap(400, 415);
  await tap(1400, 415);
  await tap(400, 1230);
  await tap(640, 1230);
  // 240 of 1000 px, of 50 mm: 12 mm.
  await expect(page.locator('.result strong')).toHaveText(/^1[12](\.\d)? mm$/);
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto('/#/bench/b-19/log');
  await expect(page.getByText(/Measured: wound 1[12]/)).toBeVisible();

  await page.goto('/#/settings/data');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save zip' }).click();
  const path = await (await saved).path();
  await page.goto('/#/settings');
  await page.getByRole('button', { name: 'To my own journal' }).click();
  await expect(page.getByRole('button', { name: 'Look round the demo' })).toBeVisible();
  await page.goto('/#/settings/data');
  await page.locator('input[accept*=zip]').setInputFiles({
    name: 'all.zip',
    mimeType: 'application/zip',
    buffer: readFileSync(path),
  });
  await expect(page.getByText('1 picture comes along.')).toBeVisible();
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByText('Added:')).toBeVisible();
  await page.goto('/#/bench/b-19/pictures');
  await expect(page.locator('hy-picture img').first()).toBeVisible();
});

test('an old paper log: columns told, rows seen, batches made', async ({ ownBook: page }) => {
  await page.goto('/#/settings/paper');
  // The page before stands until this one is loaded, and has a field for files too.
  await expect(page.locator('h1')).toHaveText('An old paper log');
  await page.locator('input[type=file]').setInputFiles({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Plant,How,Cut on,Qty,Took\nEcheveria elegans,leaf,2025-03-01,20,14\nMystery,leaf,2025-03-02,5,1\n',
    ),
  });
  await expect(page.getByText('1 of 2 rows become batches; 1 are left out.')).toBeVisible();
  await expect(page.getByText('“Mystery” is not in the plant guide.')).toBeVisible();
  await choose(page, 'Mystery is like', 'Echeveria elegans');
  await expect(page.getByText('2 of 2 rows become batches.')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2 batches in' }).click();
  await expect(page.locator('h1')).toHaveText('Results');
  await page.goto('/#/bench');
  await page.getByLabel('with those that are done').check();
  await expect(page.getByRole('status').filter({ hasText: '2 batches' })).toBeVisible();
});

test('an order: set aside, what is short goes to Plan', async ({ page }) => {
  await page.goto('/#/bench/orders');
  const order = page.getByRole('listitem').filter({ hasText: 'Fair table' });
  await expect(order).toContainText('14 ready, 15 without roots yet, 1 short');
  await order.getByRole('link', { name: 'Plan 1 more' }).click();
  await expect(page.locator('h1')).toHaveText('Plan');
  await expect(page.getByLabel(/^Plants wanted/)).toHaveValue('1');
});
