// Takes the pictures of docs/screenshots from the demo data on a fixed day: builds if need be, serves
// on a port of its own, and stops. Names given are the only ones taken; --built trusts the last build.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { chromium } from '@playwright/test';

const DAY = '2026-04-09T09:30:00';
const PORT = '4181';
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** Name, address, what to wait for, theme, size, what to type, what to tap. */
const SHOTS = [
  ['today', '/today', 'Leave alone', 'noon', WIDE],
  ['today-lamp', '/today', 'Leave alone', 'lamp', WIDE],
  ['today-phone', '/today', 'Lean-to', 'noon', PHONE],
  ['rehearse', '/plan/rehearse?mother=m-eche', 'What matters most here', 'noon', WIDE],
  ['mother', '/mothers/m-gra2', 'What came of it', 'noon', WIDE],
  ['plan', '/plan?mother=m-gast', 'What changes that date', 'noon', WIDE],
  ['bench', '/bench', 'Warm shelf', 'noon', WIDE],
  ['batch', '/bench/b-19', 'Jelly beans, crowns', 'noon', WIDE],
  ['tray', '/bench/trays/t-mat', 'Mat tray', 'noon', WIDE],
  [
    'walk',
    '/today/walk',
    'Walk the benches',
    'lamp',
    PHONE,
    {},
    ['Begin', ...Array(8).fill('Next')],
  ],
  ['cut-map', '/plan/stem?mother=m-sedu', 'Cut map', 'noon', WIDE],
  ['results', '/results', 'Results', 'noon', WIDE],
  ['plants', '/plants', 'Plant guide', 'noon', WIDE],
  ['compare', '/results/compare', 'Compare ways', 'noon', WIDE],
  ['trial', '/results/trials/t-cinnamon', 'The tray', 'noon', WIDE],
  ['mix', '/mixes', 'Mixes', 'noon', WIDE],
  ['water', '/bench/b-15/water', 'The same pot by every watering habit', 'noon', WIDE],
  ['air', '/settings/air/leanto', 'Its usual year', 'noon', WIDE],
  ['practice', '/plan/practice/one-rotting', 'One of them smells', 'noon', WIDE],
];

/** Waits until the page has said all it has to say: nothing is being read, and what it shows stands still. */
async function settled(page, name) {
  const seen = () =>
    page.evaluate(() => {
      const main = document.querySelector('main');
      const busy = main?.querySelector('progress, [aria-busy=true]') !== null;
      return {
        busy,
        text: main?.innerText.trim() ?? '',
        marks: main?.querySelectorAll('svg *').length ?? 0,
      };
    });
  let before = await seen();
  let still = 0;
  for (let i = 0; i < 100 && still < 6; i++) {
    await page.waitForTimeout(150);
    const now = await seen();
    const same = !now.busy && now.text === before.text && now.marks === before.marks;
    still = same ? still + 1 : 0;
    before = now;
  }
  if (still < 6) throw new Error(`${name}: the page did not come to rest`);
  // A page with nothing below its filter has a heading and little else.
  if (before.text.length < 120) throw new Error(`${name}: the page is empty: “${before.text}”`);
}

const only = process.argv.slice(2).filter((a) => !a.startsWith('--'));
if (!process.argv.includes('--built')) {
  const build = spawnSync(process.execPath, ['scripts/build.mjs'], { stdio: 'inherit' });
  if (build.status !== 0) process.exit(1);
}
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts', '--demo'], {
  env: { ...process.env, PORT },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));

const executablePath =
  process.env.CHROMIUM_PATH ??
  ['/usr/bin/chromium', '/usr/bin/google-chrome'].find((path) => existsSync(path));
const browser = await chromium.launch({
  ...(executablePath ? { executablePath } : {}),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
try {
  await mkdir('docs/screenshots', { recursive: true });
  for (const [name, path, heading, theme, viewport, typed = {}, taps = []] of SHOTS) {
    if (only.length > 0 && !only.includes(name)) continue;
    const context = await browser.newContext({
      viewport,
      locale: 'en-GB',
      reducedMotion: 'reduce',
    });
    await context.addInitScript((t) => localStorage.setItem('hypogeon.theme', t), theme);
    const page = await context.newPage();
    await page.clock.setFixedTime(new Date(DAY));
    await page.goto(`http://localhost:${PORT}/#${path}`);
    await page.getByRole('heading', { name: heading }).first().waitFor();
    for (const [label, value] of Object.entries(typed)) await page.getByLabel(label).fill(value);
    for (const tap of taps) await page.getByRole('button', { name: tap, exact: true }).click();
    await page.evaluate(() => document.fonts.ready);
    await settled(page, name);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await context.close();
    console.log(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  server.kill();
}
