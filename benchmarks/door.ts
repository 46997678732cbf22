import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { EMPTY_STATE } from '@hypogeon/core/journal';
import { readEntry, readJournal } from '@hypogeon/core/formats';
import {
  hostileFile,
  hostilePack,
  hostileTable,
  packSays,
  takenFrom,
  writtenDown,
} from '@hypogeon/core/testing';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Figure } from './figure';

/** Files of harm over all importers, with seeds no test uses. */
const FILES = 2500;
const FIRST_SEED = 700_000;
const KILLS = 20;
const EACH_TAB = 200;

/** What the door to storage lets through, and what it loses: all targets are none. */
export async function doorFigures(browser: Browser, address: string): Promise<readonly Figure[]> {
  return [...hostile(), ...(await killed(address)), ...(await twoTabs(browser, address))];
}

function hostile(): readonly Figure[] {
  const found = { taken: 0, unplaced: 0, thrown: 0, slow: 0 };
  const timed = (work: () => void): void => {
    const start = performance.now();
    try {
      work();
    } catch {
      found.thrown++;
    }
    if (performance.now() - start > 2000) found.slow++;
  };
  for (let seed = FIRST_SEED; seed < FIRST_SEED + FILES; seed++) {
    timed(() => {
      const { text, bad, oneEntry, nowMs } = hostileFile(seed);
      const read = readJournal(text, EMPTY_STATE, nowMs);
      if (read.ok && bad) found.taken++;
      if (!read.ok && (read.problems[0]!.sentence === '' || (oneEntry && !read.problems[0]!.line)))
        found.unplaced++;
    });
    timed(() => {
      takenFrom(hostileTable(seed)).forEach((draft, n) => {
        if (!readEntry(writtenDown(draft, n)).ok) found.taken++;
      });
      if (packSays(hostilePack(seed)) === '') found.unplaced++;
    });
  }
  const figure = (name: string, value: number): Figure => ({
    name: `${2 * FILES} hostile inputs, ${name}`,
    value,
    unit: '',
    target: 1,
  });
  return [
    figure('taken though bad', found.taken),
    figure('refused without place and sentence', found.unplaced),
    figure('thrown', found.thrown),
    figure('over 2 s', found.slow),
  ];
}

/** Counts as fast as keys repeat while the browser is killed; how many confirmed entries are missing afterwards. */
async function killed(address: string): Promise<readonly Figure[]> {
  let confirmed = 0;
  let lost = 0;
  for (let round = 0; round < KILLS; round++) {
    const profile = mkdtempSync(join(tmpdir(), 'hypogeon-kill-'));
    try {
      const first = await persistent(profile);
      const page = first.pages()[0] ?? (await first.newPage());
      await openPrices(page, address);
      const heard = await listen(await first.newPage(), address);
      await page.bringToFront();
      void typePrices(page, 4000, round).catch(() => undefined);
      const until = Date.now() + 20_000;
      while (heard.size < 3 + 4 * round && Date.now() < until)
        await new Promise((resolve) => setTimeout(resolve, 3));
      execFileSync('pkill', ['-9', '-f', profile]);
      await first.close().catch(() => undefined);
      const second = await persistent(profile);
      const again = second.pages()[0] ?? (await second.newPage());
      await again.goto(`${address}/#/today`);
      await again.locator('h1').waitFor();
      const stored = new Set(await storedIds(again));
      confirmed += heard.size;
      lost += [...heard].filter((id) => !stored.has(id)).length;
      await second.close();
    } finally {
      rmSync(profile, { recursive: true, force: true });
    }
  }
  return [
    { name: `${KILLS} kills while it writes, entries confirmed`, value: confirmed, unit: '' },
    {
      name: `${KILLS} kills while it writes, confirmed and lost`,
      value: lost,
      unit: '',
      target: 1,
    },
  ];
}

async function twoTabs(browser: Browser, address: string): Promise<readonly Figure[]> {
  const context = await browser.newContext();
  const tabs = [await context.newPage(), await context.newPage()];
  for (const tab of tabs) {
    await openPrices(tab, address);
  }
  const heard = await listen(await context.newPage(), address);
  await Promise.all(tabs.map((tab, i) => typePrices(tab, EACH_TAB, i)));
  await tabs[0]!.waitForTimeout(1500);
  const stored = new Set(await storedIds(tabs[0]!));
  const lost = [...heard].filter((id) => !stored.has(id)).length;
  await context.close();
  return [
    { name: 'two tabs writing at once, entries confirmed', value: heard.size, unit: '' },
    { name: 'two tabs writing at once, confirmed and lost', value: lost, unit: '', target: 1 },
  ];
}

function persistent(profile: string): Promise<BrowserContext> {
  const executablePath = ['/usr/bin/chromium', '/usr/bin/google-chrome'].find((p) => existsSync(p));
  return chromium.launchPersistentContext(profile, {
    ...(executablePath ? { executablePath } : {}),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
  });
}

/** The ids of entries that a tab says are saved. */
async function listen(ear: Page, address: string): Promise<Set<string>> {
  const heard = new Set<string>();
  await ear.exposeFunction('heard', (ids: string[]) => ids.forEach((id) => heard.add(id)));
  await ear.goto(`${address}/start.json`);
  await ear.evaluate(() => {
    const channel = new BroadcastChannel('hypogeon-journal');
    channel.onmessage = ({ data }: MessageEvent<{ entries?: { id: string }[] }>) =>
      (window as unknown as { heard: (ids: string[]) => void }).heard(
        (data.entries ?? []).map((e) => e.id),
      );
  });
  return heard;
}

async function openPrices(page: Page, address: string): Promise<void> {
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.goto(`${address}/#/settings`);
  await page.getByLabel('A label', { exact: true }).waitFor();
}

/** One price after another, as fast as the screen takes them: an entry each. */
function typePrices(page: Page, count: number, from: number): Promise<void> {
  return page.getByLabel('A label', { exact: true }).evaluate(
    async (field, { many, first }) => {
      const input = field as HTMLInputElement;
      for (let i = 1; i <= many; i++) {
        input.value = String((first * 100_000 + i) / 1000);
        input.dispatchEvent(new Event('input'));
        input.dispatchEvent(new Event('change'));
        await new Promise((resolve) => setTimeout(resolve));
      }
    },
    { many: count, first: from },
  );
}

function storedIds(page: Page): Promise<readonly string[]> {
  return page.evaluate(
    () =>
      new Promise<string[]>((resolve, reject) => {
        const open = indexedDB.open('hypogeon');
        open.onerror = () => reject(new Error('no store'));
        open.onsuccess = () => {
          const all = open.result.transaction('journal_demo').objectStore('journal_demo').getAll();
          all.onsuccess = () => {
            open.result.close();
            resolve(
              (all.result as string[]).flatMap((text) =>
                (JSON.parse(text) as { entries: { id: string }[] }).entries.map((e) => e.id),
              ),
            );
          };
        };
      }),
  );
}
