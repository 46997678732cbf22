import { writeFile } from 'node:fs/promises';
import { choose, expect, goTo, logged, test, toLog, wakeOn, setAll } from './bench-test';
import { chunkOf, cutBatch, layChunks, openCutBatch } from './seed';

test('one bad entry is set aside by name; the rest opens, and goes on being saved', async ({
  page,
}) => {
  const [space, mother, batch, cut] = cutBatch();
  await layChunks(page, {
    'chunk/a': chunkOf([space, null, mother, { ...cut, id: 'bad', day: 'never' }, batch, cut]),
    'chunk/b': '{"version":99,"entries":[]}',
    'chunk/c': '{"version":3,"entr',
  });
  await page.goto('/#/bench/cut-1');
  await expect(page.getByRole('region', { name: 'Pieces' })).toBeVisible();
  const aside = page.getByRole('region', { name: 'Set aside' });
  await expect(aside).toContainText('4 things in the store are set aside.');
  await expect(aside).toContainText('kept as they are, and the rest is open');
  await setAll(page);
  await expect(page.getByText('Set. Saved.')).toBeVisible();
  await page.reload();
  await expect(aside).toContainText('4 things');
  await toLog(page);
  await expect(page.getByRole('button', { name: 'Undo: Set in the mix' }).first()).toBeVisible();
});

/** Two clicks on the very same button, faster than a screen is drawn. */
const twice = (button: HTMLElement | SVGElement): void => {
  (button as HTMLElement).click();
  (button as HTMLElement).click();
};

test('a double click does a thing once', async ({ page }) => {
  await openCutBatch(page);
  await wakeOn(page, '2026-04-20');
  const set = page.getByRole('button', { name: /^Set: / });
  await set.evaluate(twice);
  await expect(page.getByText('Set. Saved.')).toBeVisible();
  await toLog(page);
  await expect(page.getByRole('button', { name: /^Undo: Set in the mix/ })).toHaveCount(1);

  // The next button moves to where this one stood: a real double click must not press that too.
  await page.getByRole('button', { name: /^Undo: Set in the mix/ }).click();
  await page.getByRole('tab', { name: 'Pieces' }).click();
  await set.dblclick();
  await expect(page.getByText('Set. Saved.').first()).toBeVisible();
  await toLog(page);
  await expect(page.getByRole('button', { name: /^Undo: Set in the mix/ })).toHaveCount(1);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Undo: Watered/ })).toHaveCount(0);

  await goTo(page, 'Mother plants');
  await page.getByRole('link', { name: 'Add a mother' }).first().click();
  await page.getByRole('combobox', { name: /^Plant/ }).fill('Echeveria elegans');
  await page.keyboard.press('Escape');
  await page.getByLabel('What you call it').fill('Twin');
  await choose(page, 'May it be propagated?', 'my own plant');
  await page.getByRole('button', { name: 'Add the mother' }).evaluate(twice);
  await expect(page.getByRole('heading', { level: 1, name: 'Twin' })).toBeVisible();
  await goTo(page, 'Mother plants');
  await expect(page.getByRole('link', { name: 'Twin' })).toHaveCount(1);
});

test('a plant called constructor comes in from paper, and all after it is saved', async ({
  page,
}, info) => {
  await openCutBatch(page);
  const log = info.outputPath('log.csv');
  await writeFile(
    log,
    'plant,how,date,qty,took\nconstructor,leaf,2025-03-01,20,14\n__proto__,leaf,2025-03-02,5,1\n',
  );
  await page.goto('/#/settings/paper');
  await page.locator('input[type=file]').setInputFiles(log);
  await expect(page.getByText('“constructor” is not in the plant guide')).toBeVisible();
  for (const list of await page.getByRole('combobox', { name: /is like/ }).all()) {
    await list.click();
    await page.getByRole('option', { name: 'Echeveria elegans', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Take 2 batches in' }).click();
  await page.goto('/#/bench/cut-1');
  await setAll(page);
  await expect(page.getByText('Set. Saved.')).toBeVisible();
  await page.reload();
  await toLog(page);
  await expect(page.getByRole('button', { name: /^Undo: Set in the mix/ })).toBeVisible();
  await page.goto('/#/plants');
  await expect(page.getByText('constructor').first()).toBeVisible();
});

test('a walk or a form begun in the demo is none in the own journal, and says its age', async ({
  page,
}) => {
  await page.goto('/#/mothers/new');
  await page.getByLabel('What you call it').fill('Half done in the demo');
  await page.reload();
  await expect(page.getByLabel('What you call it')).toHaveValue('Half done in the demo');
  await expect(page.getByText(/Taken up where you left it/)).toBeVisible();
  await page.goto('/#/settings');
  await page.getByRole('button', { name: 'To my own journal' }).click();
  // The other book is open once its buttons stand.
  await expect(page.getByRole('button', { name: 'Look round the demo' })).toBeVisible();
  await page.goto('/#/mothers/new');
  await expect(page.getByLabel('What you call it')).toHaveValue('');
  await page.goto('/#/settings');
  await page.getByRole('button', { name: 'Look round the demo' }).click();
  await expect(page.getByRole('button', { name: 'Clear the demo' })).toBeVisible();
  await page.goto('/#/mothers/new');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(page.getByLabel('What you call it')).toHaveValue('');
});

test('a form opened and saved without a touch stores nothing', async ({ page }) => {
  await openCutBatch(page);
  await page.goto('/#/settings');
  await choose(page, 'Temperatures', '°F');
  const before = await page.getByText(/entries, 1 batch,/).textContent();
  await page.getByRole('button', { name: /^Change Plain room/ }).click();
  await page.getByRole('button', { name: 'Save the place' }).click();
  await page.goto('/#/mothers/bowl/edit');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'The bowl' })).toBeVisible();
  await page.goto('/#/settings');
  await expect(page.getByText(/entries, 1 batch,/)).toHaveText(before!);
});

test('files made to hurt end with a sentence, and the next is read all the same', async ({
  page,
}, info) => {
  await openCutBatch(page);
  await page.goto('/#/settings/data');
  const give = async (name: string, text: string): Promise<void> => {
    const path = info.outputPath(name);
    await writeFile(path, text);
    await page.getByLabel('Restore or add a backup').setInputFiles(path);
    await expect(page.getByText(`${name} was refused, and nothing was changed.`)).toBeVisible();
  };
  const head = '{"format":"hypogeon-journal","version":3,"entries":[\n';
  await give('deep.json', `${head}${'['.repeat(100_000)}`);
  await expect(page.getByText(/Line 2: is nested more than 40 deep/)).toBeVisible();
  const group = '{"count":10000,"outcome":"waiting","lastLook":"2026-03-01"}';
  const joined = `{"id":"x","at":"2026-03-01T08:00:00.000Z~0000","day":"2026-03-01","by":"p","kind":"joined","batch":"cut-1","from":"b","cuttings":[${Array(1000).fill(group).join()}]}`;
  await give('many.json', `${head}${joined}\n]}`);
  // What was written by a clock that stood ahead is taken, and it is said.
  const ahead = info.outputPath('ahead.json');
  const empty = joined.replace('2026-03-01T', '2199-01-01T').replace(/\[.*\]/, '[]');
  await writeFile(ahead, `${head}${empty}\n]}`);
  await page.getByLabel('Restore or add a backup').setInputFiles(ahead);
  await expect(page.getByText(/One entry was written by a clock that stood ahead/)).toBeVisible();
});

test('a worker that cannot start leaves nobody waiting, and the file can still be saved', async ({
  page,
  quiet,
}, info) => {
  await openCutBatch(page);
  await page.route(/worker-[A-Z0-9]+\.js/, (route) => route.abort());
  await page.goto('/#/settings/data');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup file' }).click();
  const path = info.outputPath('saved.json');
  await (await download).saveAs(path);
  await page.getByLabel('Restore or add a backup').setInputFiles(path);
  await expect(
    page.getByText('That did not work: a part of Hypogeon could not be read'),
  ).toBeVisible();
  await page.goto('/#/today');
  await expect(page.getByText('The bowl').first()).toBeVisible();
  logged(quiet, /worker|ERR_FAILED|could not be read/);
});
