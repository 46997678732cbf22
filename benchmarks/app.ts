import { chromium, type Browser, type Page } from '@playwright/test';
import { writeJournal } from '@hypogeon/core/formats';
import { existsSync } from 'node:fs';
import { mkdtemp, writeFile } from 'node:fs/promises';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from '../server/src/app';
import { benchWork } from './bench-work';
import { chromiumPace } from './calibration';
import { doorFigures } from './door';
import { median, type Figure, print as printAt } from './figure';
import { jobs } from './jobs';
import { journeys, planned } from './journeys';
import { largeJournal } from './large-journal';
import { loggerYear } from './logger-year';
import { places } from './places';
import { pottedJournal } from './potted-journal';
import { trayDrawn } from './trays';
import { VISITED } from './visited';

const TODAY = new Date().toISOString().slice(0, 10);
const RUNS = 5;

/** The figures of the built app in Chromium: bytes of the first screen, and time until Round is usable. */
export async function runApp(only: 'app' | 'door' | 'places' | 'jobs' | 'work'): Promise<void> {
  const folder = fileURLToPath(new URL('../dist/web/browser', import.meta.url));
  const server = await new Promise<Server>((resolve) => {
    const listening = createApp({ folder, demo: true }).listen(0, () => resolve(listening));
  });
  const address = `http://localhost:${(server.address() as AddressInfo).port}`;
  const executablePath = ['/usr/bin/chromium', '/usr/bin/google-chrome'].find((p) => existsSync(p));
  const browser = await chromium.launch({
    ...(executablePath ? { executablePath } : {}),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
  });
  try {
    // One reading of the pace differs from the next by a half: several, taken between the figures, say what they cost.
    const paces: number[] = [];
    const calibrate = async (times: number): Promise<void> => {
      for (let i = 0; i < times; i++) paces.push(await chromiumPace(browser));
      const [least, most] = [Math.min(...paces), Math.max(...paces)].map((x) => x.toFixed(2));
      console.log(
        `Chromium takes ${median(paces).toFixed(2)} times as long as the reference (${least}–${most})`,
      );
    };
    await calibrate(5);
    const print = (figure: Figure): void => printAt(figure, median(paces));
    if (only === 'door') {
      for (const figure of await doorFigures(browser, address)) print(figure);
      return;
    }
    if (only === 'jobs') {
      for (const figure of await jobs(browser, address)) print(figure);
      return;
    }
    if (only === 'places') {
      for (const measured of [
        () => places(browser, address),
        () => planned(browser, address),
        () => trayDrawn(browser, address, TODAY, withJournal),
      ]) {
        const figures = await measured();
        await calibrate(3);
        figures.forEach(print);
      }
      return;
    }
    if (only === 'work') {
      const large = writeJournal(largeJournal(TODAY));
      for await (const figure of benchWork(browser, address, large, withJournal)) print(figure);
      return;
    }
    print({
      name: 'first screen with its worker, compressed',
      value: await firstScreenKb(browser, address),
      unit: 'kB',
      target: 200,
    });
    print({
      name: 'first screen usable with the demo',
      value: (await roundUsable(browser, address, null)).usable,
      unit: 'ms',
      target: 1000,
    });
    const file = join(await mkdtemp(join(tmpdir(), 'hypogeon-')), 'large.json');
    await writeFile(file, writeJournal(largeJournal(TODAY, 2000, 50, 300)));
    for (const figure of await longJournal(browser, address, file, '300 batches living', 700))
      print(figure);
    await writeFile(file, writeJournal(largeJournal(TODAY)));
    for (const figure of await longJournal(browser, address, file, '2,000 batches living', 1500))
      print(figure);
    for (const figure of await journeys(browser, address)) print(figure);
    for (const figure of await planned(browser, address)) print(figure);
    for (const figure of await places(browser, address)) print(figure);
    for (const figure of await trayDrawn(browser, address, TODAY, withJournal)) print(figure);
    const large = writeJournal(largeJournal(TODAY));
    for await (const figure of benchWork(browser, address, large, withJournal)) print(figure);
    for (const figure of await waterFrames(browser, address)) print(figure);
    for (const figure of await loggerImport(browser, address)) print(figure);
    for (const figure of await rehearsed(browser, address)) print(figure);
  } finally {
    await browser.close();
    server.closeAllConnections();
    server.close();
  }
}

async function firstScreenKb(browser: Browser, address: string): Promise<number> {
  const page = await browser.newPage();
  await page.goto(address);
  await page.locator('hy-agenda-line').first().waitFor();
  const bytes = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((r) => /\.(js|css)$/.test(new URL(r.name).pathname))
      .reduce((sum, r) => sum + r.encodedBodySize, 0),
  );
  await page.close();
  return bytes / 1000;
}

/**
 * Notes in the page when the day's work stands: drawn, and the thread free for a tap again. The driver asks only
 * every half second.
 */
const WHEN_USABLE = `{
  const once = (stands) => new Promise((resolve) => {
    const seen = new MutationObserver(() => {
      if (!stands()) return;
      seen.disconnect();
      requestAnimationFrame(() => setTimeout(() => resolve(performance.now())));
    });
    seen.observe(document, { subtree: true, childList: true });
  });
  window.usable = once(() => [...document.querySelectorAll('h2')].some((h) => h.textContent.includes('Leave alone')));
  window.whole = once(() => document.querySelector('.counts') !== null);
}`;

/** Both of a long journal: its first batches are there to be done before all of them are looked over. */
async function longJournal(
  browser: Browser,
  address: string,
  file: string,
  living: string,
  target: number,
): Promise<readonly Figure[]> {
  const { usable, whole } = await roundUsable(browser, address, file);
  const name = `first screen usable with 100,000 entries, ${living}`;
  return [
    { name, value: usable, unit: 'ms', target },
    { name: 'all its batches looked over', value: whole, unit: 'ms' },
  ];
}

/**
 * Milliseconds from opening the page until the first of the round stands, and all of it, with the journal already
 * stored.
 */
async function roundUsable(
  browser: Browser,
  address: string,
  file: string | null,
): Promise<{ readonly usable: number; readonly whole: number }> {
  const context = await browser.newContext(VISITED);
  const page = await context.newPage();
  await page.goto(`${address}/#/settings`);
  if (file) {
    await page.getByRole('button', { name: 'To my own journal' }).click();
    await page.goto(`${address}/#/settings/data`);
    await page.getByLabel('Restore or add a backup').setInputFiles(file);
    await page.getByRole('button', { name: 'Add them' }).click({ timeout: 120_000 });
    await page.getByText('All saved in this browser').waitFor({ timeout: 120_000 });
    await page.getByText(/entries, 2,?000 batches/).waitFor({ timeout: 120_000 });
  } else await page.getByText(/entries, \d+ batches/).waitFor();
  await page.close();
  const usable: number[] = [];
  const whole: number[] = [];
  for (let i = 0; i <= RUNS; i++) {
    const fresh = await context.newPage();
    await fresh.addInitScript(WHEN_USABLE);
    await fresh.goto(`${address}/#/today`, { waitUntil: 'commit' });
    await fresh.getByRole('heading', { name: 'Leave alone' }).waitFor();
    const ms = await fresh.evaluate(() => {
      const { usable, whole } = window as unknown as Record<'usable' | 'whole', Promise<number>>;
      return Promise.all([usable, whole]);
    });
    // The first opening fills the browser's caches.
    if (i > 0) {
      usable.push(ms[0]);
      whole.push(ms[1]);
    }
    await fresh.close();
  }
  await context.close();
  return { usable: median(usable), whole: median(whole) };
}

/** A page with the grower's own journal filled from a file. */
async function withJournal(page: Page, address: string, text: string): Promise<void> {
  const file = join(await mkdtemp(join(tmpdir(), 'hypogeon-')), 'journal.json');
  await writeFile(file, text);
  await page.goto(`${address}/#/settings`);
  await page.getByRole('button', { name: 'To my own journal' }).click();
  await page.goto(`${address}/#/settings/data`);
  await page.getByLabel('Restore or add a backup').setInputFiles(file);
  await page.getByRole('button', { name: 'Add them' }).click({ timeout: 120_000 });
  await page.getByText('All saved in this browser').waitFor({ timeout: 120_000 });
}

/**
 * 300 pots worked out anew after their air changed, from the tap to the last verdict on the screen, and
 * the longest wait between two frames meanwhile.
 */
async function waterFrames(browser: Browser, address: string): Promise<readonly Figure[]> {
  const context = await browser.newContext(VISITED);
  const page = await context.newPage();
  await withJournal(page, address, writeJournal(pottedJournal(TODAY)));
  await page.goto(`${address}/#/settings/air/s0`);
  const other = await context.newPage();
  // The names that the runner gives to functions are not known in the page.
  await other.addInitScript('globalThis.__name = (f) => f');
  await other.goto(`${address}/#/bench`);
  await other.locator('.water').first().waitFor({ timeout: 30_000 });
  await other.evaluate(() => {
    const kept = window as unknown as { gaps: number[]; changed: number; last: number };
    kept.gaps = [];
    kept.changed = 0;
    kept.last = performance.now();
    const frame = (): void => {
      const now = performance.now();
      kept.gaps.push(now - kept.last);
      kept.last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    new MutationObserver(() => (kept.changed = performance.timeOrigin + performance.now())).observe(
      document.querySelector('main')!,
      { subtree: true, childList: true, characterData: true },
    );
  });
  // The other tab hears of the change as it would of any entry, and judges all pots of that air again.
  await other.bringToFront();
  const takes: number[] = [];
  for (const light of [
    'open bench in sun',
    'dim room',
    'glasshouse, bright',
    'outdoors, half shade',
    'sunny sill',
  ]) {
    await page.getByRole('combobox', { name: 'Light', exact: true }).click();
    await page.getByRole('option', { name: light }).first().click();
    const tapped = await page.evaluate(() => performance.timeOrigin + performance.now());
    await other.waitForTimeout(1500);
    const changed = await other.evaluate(() => (window as unknown as { changed: number }).changed);
    if (changed > tapped) takes.push(changed - tapped);
  }
  const gaps = await other.evaluate(() => (window as unknown as { gaps: number[] }).gaps);
  await context.close();
  return [
    {
      name: '300 pots after their air changed, to the screen',
      value: median(takes),
      unit: 'ms',
      target: 500,
    },
    { name: 'longest frame meanwhile', value: Math.max(...gaps.slice(2)), unit: 'ms' },
    {
      name: 'frames over 50 ms meanwhile',
      value: gaps.slice(2).filter((g) => g > 50).length,
      unit: '',
    },
  ];
}

/** A year of ten-minute readings: from the file to its preview, and from the tap to the chart. */
async function loggerImport(browser: Browser, address: string): Promise<readonly Figure[]> {
  const file = join(await mkdtemp(join(tmpdir(), 'hypogeon-')), 'year.csv');
  await writeFile(file, loggerYear());
  const context = await browser.newContext(VISITED);
  const page = await context.newPage();
  await page.goto(`${address}/#/settings/air/porch`);
  await page.getByRole('heading', { name: 'Air: North porch' }).waitFor();
  const start = performance.now();
  await page.locator('input[type=file]').first().setInputFiles(file);
  await page.getByText('52,560 readings').waitFor({ timeout: 30_000 });
  const preview = performance.now() - start;
  const tapped = performance.now();
  await page.getByRole('button', { name: 'Take these readings' }).click();
  await page.getByText('52,560 readings taken. Saved.').waitFor({ timeout: 30_000 });
  const taken = performance.now() - tapped;
  const drawn = performance.now();
  await page.getByRole('button', { name: 'All', exact: true }).click();
  await page.getByRole('img', { name: /[\d,]{5,} readings/ }).waitFor();
  await page.evaluate(
    () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))),
  );
  const chart = performance.now() - drawn;
  await context.close();
  return [
    { name: 'a year of readings, file to preview', value: preview, unit: 'ms' },
    { name: 'a year of readings, taken and stored', value: taken, unit: 'ms' },
    {
      name: 'a year of readings, imported in all',
      value: preview + taken,
      unit: 'ms',
      target: 2000,
    },
    { name: 'all of it charted', value: chart, unit: 'ms' },
  ];
}

/** Six ways played in the page: from a choice to the first answer and to the firm one, and the frames meanwhile. */
async function rehearsed(browser: Browser, address: string): Promise<readonly Figure[]> {
  const context = await browser.newContext(VISITED);
  const page = await context.newPage();
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.goto(`${address}/#/plan/rehearse?mother=m-aeon`);
  await page.getByText('this play of 2,000 cuttings').waitFor({ timeout: 30_000 });
  for (const day of ['3', '9']) {
    await page.getByLabel('Days to dry').fill(day);
    await page.getByRole('button', { name: 'Keep this way beside the others' }).click();
    await page.waitForTimeout(400);
  }
  // What matters most is reckoned once the sliders rest, and belongs to the quiet after.
  await page.getByRole('heading', { name: 'What matters most here' }).waitFor({ timeout: 30_000 });
  const takes = { first: [] as number[], firm: [] as number[] };
  let gaps: number[] = [];
  for (const day of ['5', '12', '6', '10', '4']) {
    const taken = await page.evaluate(async (to) => {
      const slider = document.querySelector<HTMLInputElement>('[aria-label="Days to dry"]')!;
      const frames: number[] = [];
      let [last, on] = [performance.now(), true];
      const frame = (): void => {
        const now = performance.now();
        frames.push(now - last);
        last = now;
        if (on) requestAnimationFrame(frame);
      };
      requestAnimationFrame(frame);
      const says = (): string =>
        /this play of ([\d,]+) cuttings/.exec(document.body.textContent)?.[1] ?? '';
      const begun = performance.now();
      slider.value = to;
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      slider.dispatchEvent(new Event('change', { bubbles: true }));
      const until = (text: string): Promise<number> =>
        new Promise((done) => {
          const look = (): void => {
            if (says() === text) done(performance.now() - begun);
            else setTimeout(look, 5);
          };
          look();
        });
      const first = await until('200');
      const firm = await until('2,000');
      on = false;
      return { first, firm, frames: frames.slice(1) };
    }, day);
    takes.first.push(taken.first);
    takes.firm.push(taken.firm);
    gaps = [...gaps, ...taken.frames];
  }
  await context.close();
  return [
    {
      name: 'rehearsal: first answer, six ways',
      value: median(takes.first),
      unit: 'ms',
      target: 300,
    },
    { name: 'rehearsal: firm with 2,000', value: median(takes.firm), unit: 'ms', target: 2000 },
    { name: 'its longest frame meanwhile', value: Math.max(...gaps), unit: 'ms' },
    {
      name: 'its frames over 50 ms',
      value: gaps.filter((g) => g > 50).length,
      unit: '',
      target: 0,
    },
  ];
}
