import { chromium, type Browser } from '@playwright/test';
import { writeJournal } from '@hypogeon/core';
import { existsSync } from 'node:fs';
import { mkdtemp, writeFile } from 'node:fs/promises';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from '../server/src/app';
import { median, print } from './figure';
import { largeJournal } from './large-journal';

const TODAY = new Date().toISOString().slice(0, 10);
const RUNS = 5;

/** The figures of the built app in Chromium: bytes of the first screen, and time until Round is usable. */
export async function runApp(): Promise<void> {
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
    print({
      name: 'first screen, scripts and styles compressed',
      value: await firstScreenKb(browser, address),
      unit: 'kB',
      target: 200,
    });
    print({
      name: 'Round usable with the demo',
      value: await roundUsable(browser, address, null),
      unit: 'ms',
      target: 1000,
    });
    const file = join(await mkdtemp(join(tmpdir(), 'hypogeon-')), 'large.json');
    await writeFile(file, writeJournal(largeJournal(TODAY)));
    print({
      name: 'Round usable with 100,000 entries',
      value: await roundUsable(browser, address, file),
      unit: 'ms',
      target: 3000,
    });
  } finally {
    await browser.close();
    server.closeAllConnections();
    server.close();
  }
}

async function firstScreenKb(browser: Browser, address: string): Promise<number> {
  const page = await browser.newPage();
  await page.goto(address);
  await page.locator('h1').waitFor();
  const bytes = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((r) => /\.(js|css)$/.test(new URL(r.name).pathname))
      .reduce((sum, r) => sum + r.encodedBodySize, 0),
  );
  await page.close();
  return bytes / 1000;
}

/** Milliseconds from opening the page until the round stands, with the journal already stored. */
async function roundUsable(
  browser: Browser,
  address: string,
  file: string | null,
): Promise<number> {
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.goto(`${address}/#/store-room`);
  if (file) {
    await page.getByRole('button', { name: 'To my own journal' }).click();
    await page.getByLabel('Merge in a file').setInputFiles(file);
    await page.getByRole('button', { name: 'Merge them in' }).click({ timeout: 120_000 });
    await page.getByText('All saved in this browser').waitFor({ timeout: 120_000 });
    await page.getByText(/entries, 2000 batches/).waitFor({ timeout: 120_000 });
  } else await page.getByText(/entries, 28 batches/).waitFor();
  await page.close();
  const times: number[] = [];
  for (let i = 0; i <= RUNS; i++) {
    const fresh = await context.newPage();
    await fresh.goto(`${address}/#/round`, { waitUntil: 'commit' });
    await fresh.getByRole('heading', { name: 'Leave alone' }).waitFor();
    const ms = await fresh.evaluate(
      () =>
        new Promise<number>((resolve) => {
          // Usable: drawn, and the thread free for a tap again.
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now())));
        }),
    );
    // The first opening fills the browser's caches.
    if (i > 0) times.push(ms);
    await fresh.close();
  }
  await context.close();
  return median(times);
}
