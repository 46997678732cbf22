import { readFileSync } from 'node:fs';
import { choose, expect, goTo, test } from './bench-test';

test('two ways are compared in words, on a plate and in a file', async ({ page }) => {
  await page.goto('/#/today');
  await goTo(page, 'Results');
  await page.getByRole('tab', { name: 'Compare' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Compare ways');
  await choose(page, 'By', 'How long the cut dried');
  await choose(page, 'Against', /^(A day|Long cure|Pot at once)/);
  const came = page.getByRole('region', { name: 'What came of it' });
  await expect(came).toContainText(/No clear difference|roots? more often/);
  await expect(
    came.getByRole('img', { name: /^Share that rooted\. Dry to the touch/ }),
  ).toBeVisible();
  // Tests and p values stand folded.
  await expect(page.getByText(/The difference is/)).toBeHidden();
  await page.getByText('How this was worked out').click();
  await expect(page.getByText(/The difference is −?\d+ of 100/)).toBeVisible();
  await page.getByText('Roots and losses over time').click();
  await expect(page.getByRole('img', { name: /% rooted and \d+% lost by day/ })).toBeVisible();
  await page.getByText('The same as a table').last().click();
  for (const kind of ['CSV', 'SVG', 'PNG']) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: kind }).click();
    const file = await download;
    expect(file.suggestedFilename()).toMatch(new RegExp(` against .*\\.${kind.toLowerCase()}$`));
    const bytes = readFileSync(await file.path());
    if (kind === 'PNG') expect(bytes.subarray(1, 4).toString()).toBe('PNG');
    // The drawing carries its colours with it.
    if (kind === 'SVG') {
      expect(bytes.toString()).toMatch(/<svg.*xmlns.*stroke="(#|rgb)/s);
      const broken = await page.evaluate(
        (text) =>
          new DOMParser().parseFromString(text, 'image/svg+xml').querySelector('parsererror') !==
          null,
        bytes.toString(),
      );
      expect(broken).toBe(false);
    }
  }
  // What was chosen is there again after a reload.
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'By', exact: true })).toHaveText(
    'How long the cut dried',
  );
});

test('a batch left out teaches nothing until it is taken in again', async ({ page }) => {
  await page.goto('/#/results/learned');
  await page.getByText('Way by way').click();
  const row = page.getByRole('row', { name: /Echeveria elegans leaves/ });
  await expect(row).toContainText('36');
  const leave = page.getByRole('button', { name: /^Leave out Snowball bowl, leaves/ });
  await leave.click();
  const asks = page.getByRole('dialog');
  await asks.getByRole('button', { name: 'Leave out' }).click();
  await expect(asks.getByText('Say why: in a year you will want to know.')).toBeVisible();
  await asks.getByLabel('Why').fill('Labels were mixed up');
  await asks.getByRole('button', { name: 'Leave out' }).click();
  await expect(row).toBeHidden();
  await expect(page.getByText('Not: left out, Labels were mixed up')).toBeVisible();
  await page.getByRole('button', { name: /^Take in again/ }).click();
  await expect(row).toBeVisible();
});

test('batches are filtered, the plate is read by day, and the filter holds on the next page', async ({
  page,
}) => {
  await page.goto('/#/results');
  await choose(page, 'Only by', 'Method');
  await choose(page, 'Which method', /^Leaf \(/);
  await page.getByText('Roots over time: Leaf').click();
  const chart = page.getByRole('img', { name: /^Roots over \d+ days/ });
  await expect(chart.locator('svg')).toBeVisible();
  await chart.focus();
  await chart.press('Home');
  await expect(chart.getByText(/^Day 0, of \d+: 0/)).toBeVisible();
  await chart.press('Escape');
  await chart.hover();
  await expect(chart.getByText(/^Day [1-9]\d+, of \d+: \d+/)).toBeVisible();
  await page.getByRole('tab', { name: 'Money' }).click();
  await expect(page.getByText(/A finished plant cost/)).toBeVisible();
  await expect(page.getByRole('row', { name: /^Leaf/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Crown/ })).toBeHidden();
  await page.getByRole('button', { name: 'All again, not only Leaf' }).click();
  await expect(page.getByRole('row', { name: /^Crown/ })).toBeVisible();
});

test('counts of other benches are taken in by file, stand before one’s own, and go out again', async ({
  page,
}) => {
  await page.goto('/#/results/benches');
  await expect(page.getByText(/Most figures of the guide are from memory/)).toBeVisible();
  const broken = '{"format":"hypogeon-counts","version":1,"rows":[{"rooted":-5}]}';
  await page.getByLabel('Choose files').setInputFiles({
    name: 'torn.json',
    mimeType: 'application/json',
    buffer: Buffer.from(broken),
  });
  await expect(page.getByText(/^torn\.json\. /).first()).toBeVisible();
  await page.getByRole('button', { name: 'Try the six files of an invented society' }).click();
  await expect(page.getByText(/No bench loses nothing/)).toBeVisible();
  await page.getByRole('button', { name: 'Take in all without a doubt' }).click();
  await expect(page.getByText('5 taken in. Saved.')).toBeVisible();
  await choose(page, 'Plant and way', /^Echeveria elegans, leaves/);
  await expect(page.getByRole('img', { name: /A bench to come: \d+%/ })).toBeVisible();
  // The guide says on how many benches its figure rests, and no longer once all are out.
  await page.goto('/#/plants/echeveria-elegans');
  await expect(page.getByText(/counted on 4 other benches/).first()).toBeVisible();
  await page.goto('/#/results/benches');
  for (const name of ['Kiln loft', 'Fern cellar', 'Kitchen sill', 'Walled yard'])
    await page.getByRole('button', { name: `Take out: ${name}` }).click();
  await page.goto('/#/plants/echeveria-elegans');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText(/other benches/)).toHaveCount(0);
  // What is given away is all on the screen, and comes as a file.
  await page.goto('/#/results/benches');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('hypogeon-counts-1.json');
  expect(readFileSync(await file.path(), 'utf8')).not.toMatch(/\d{4}-\d{2}-\d{2}/);
});

test('a trial is designed, cut, counted through the bench, and judged as agreed', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/#/results/trials');
  await page.getByRole('link', { name: 'Design a trial' }).click();
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.getByText('Choose the mother all cuttings come from')).toBeVisible();
  await choose(page, 'Mother', /Snowball bowl/);
  await choose(page, 'Taken as', 'Leaf');
  await choose(page, 'Against', /innamon/);
  await page.getByText('Change how many').click();
  await page.getByLabel('Usually root, %').fill('40');
  await page.getByLabel('Worth changing for, %').fill('95');
  await page.getByLabel('In each group (optional)').fill('8');
  await expect(page.getByText(/With 8 in each the chance is \d\d%/)).toBeVisible();
  // What was typed is there after a reload.
  await page.reload();
  await page.getByText('Change how many').click();
  await expect(page.getByLabel('In each group (optional)')).toHaveValue('8');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Nothing or Ground cinnamon');
  await expect(page.getByText('Not cut yet.')).toBeVisible();
  const trial = page.url();
  for (const [arm, rooted] of [
    ['Nothing', '2'],
    ['Ground cinnamon', '8'],
  ] as const) {
    await page.goto(trial);
    await page
      .getByRole('row', { name: new RegExp(`^. ${arm}`) })
      .getByRole('link')
      .click();
    await page.getByRole('button', { name: 'Cut', exact: true }).click();
    await expect(page.getByText('Cut. Saved.')).toBeVisible();
    await page.goto(`${page.url()}/count`);
    await page.getByLabel('Rooted', { exact: true }).fill(rooted);
    if (rooted === '2') await page.getByLabel('Rotted', { exact: true }).fill('6');
    await page.getByRole('button', { name: 'Save the count' }).click();
    await expect(page.getByText(/Saved\./).first()).toBeVisible();
  }
  await page.goto(trial);
  await expect(page.getByText('Ground cinnamon rooted more often than nothing.')).toBeVisible();
});

test('on paper a chart is whole, whatever the sheet, and nothing of the screen is printed', async ({
  page,
}) => {
  await page.goto('/#/results/report');
  const drawn = page.locator('hy-chart svg').first();
  await expect(drawn).toBeVisible();
  for (const wide of [718, 740]) {
    await page.emulateMedia({ media: 'print' });
    // A4 and Letter between their margins, CSS pixels.
    await page.setViewportSize({ width: wide, height: 1000 });
    const edge = await drawn.evaluate((svg) => [
      svg.getBoundingClientRect().right,
      Math.max(...[...svg.querySelectorAll('text')].map((t) => t.getBoundingClientRect().right)),
    ]);
    for (const right of edge) expect(right).toBeLessThanOrEqual(wide);
    await expect(page.getByRole('link', { name: 'To the page' })).toBeHidden();
    await page.emulateMedia({ media: 'screen' });
    await page.setViewportSize({ width: 1280, height: 800 });
    await expect(drawn).not.toHaveAttribute('viewBox', /./);
  }
});
