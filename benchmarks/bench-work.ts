import type { Browser, Page } from '@playwright/test';
import { awake } from '../e2e/awake';
import { median, type Figure } from './figure';
import { VISITED } from './visited';

const RUNS = 15;
/** The names that the runner gives to functions are not known in the page. */
const NAMED = 'globalThis.__name = (f) => f';

/**
 * The bench at work with the large journal in the browser: finding, scrolling, a count saved, the round after a
 * change. Everything is measured in the page, from the stroke or tap to the screen or the store.
 * @param withJournal fills the grower's own journal of a page from a text
 */
export async function* benchWork(
  browser: Browser,
  address: string,
  text: string,
  withJournal: (page: Page, address: string, text: string) => Promise<void>,
): AsyncGenerator<Figure> {
  const context = await browser.newContext(VISITED);
  const page = await context.newPage();
  await page.addInitScript(NAMED);
  await withJournal(page, address, text);
  await page.close();
  // Each on a page opened anew, as one comes to the bench: reading sixteen megabytes just before is no part of it.
  // Told as they come: what stands still later takes nothing of what was measured.
  for (const measured of [finding, scrolling, saving, roundAfter]) {
    const opened = await context.newPage();
    await opened.addInitScript(NAMED);
    yield* await measured(opened, address);
    await opened.close();
  }
  await context.close();
}

async function finding(page: Page, address: string): Promise<readonly Figure[]> {
  await page.goto(`${address}/#/bench`);
  await page.locator('h1').waitFor();
  await page.locator('.find').click();
  await page.getByRole('combobox', { name: 'Find anything' }).waitFor({ timeout: 30_000 });
  await awake(page);
  const times = await page.evaluate(async () => {
    const input = document.querySelector<HTMLInputElement>('hy-find-dialog input')!;
    const took: number[] = [];
    for (const query of [
      'e',
      'ec',
      'ech',
      'echeveria',
      'tray 12',
      'rooted lean',
      'opu pads',
      'zz',
      's',
    ]) {
      const start = performance.now();
      input.value = query;
      input.dispatchEvent(new Event('input'));
      // Drawn, and the thread free again.
      await new Promise((r) => requestAnimationFrame(() => setTimeout(r)));
      took.push(performance.now() - start);
    }
    return took;
  });
  await page.keyboard.press('Escape');
  // The first stroke also makes the index.
  return [
    {
      name: 'find, 2,000 batches, stroke to screen',
      value: median(times.slice(1)),
      unit: 'ms',
      target: 50,
    },
    { name: 'find, the first stroke', value: times[0]!, unit: 'ms' },
  ];
}

async function scrolling(page: Page, address: string): Promise<readonly Figure[]> {
  await page.goto(`${address}/#/bench`);
  await page.getByLabel('with those that are done').check();
  await page
    .getByRole('status')
    .filter({ hasText: /^\s*2,?000 batches/ })
    .first()
    .waitFor({ timeout: 60_000 });
  await awake(page);
  const busy = await busyTracker(page);
  const gaps = await page.evaluate(async () => {
    const took: number[] = [];
    let last = performance.now();
    for (let i = 0; i < 240; i++) {
      window.scrollBy(0, 60);
      await new Promise((r) => requestAnimationFrame(r));
      const now = performance.now();
      took.push(now - last);
      last = now;
    }
    return took.slice(10);
  });
  const work = (await busy()) / 240;
  const ms = gaps.reduce((sum, g) => sum + g, 0) / gaps.length;
  return [
    // 60 frames a second are 16.7 ms each.
    { name: 'bench list of 2,000 batches, scrolling, a frame', value: ms, unit: 'ms', target: 17 },
    // What the page's own thread does for a frame: scripts, styles, layout, painting.
    { name: 'its work for a frame', value: work, unit: 'ms', target: 12 },
    { name: 'its longest frame', value: Math.max(...gaps), unit: 'ms' },
    { name: 'its frames over 34 ms of 230', value: gaps.filter((g) => g > 34).length, unit: '' },
  ];
}

/** Begins to count what the page's thread is busy; the result tells how many milliseconds it was since. */
async function busyTracker(page: Page): Promise<() => Promise<number>> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Performance.enable');
  const seconds = async (): Promise<number> => {
    const { metrics } = await devtools.send('Performance.getMetrics');
    return metrics.find((m) => m.name === 'TaskDuration')!.value;
  };
  const before = await seconds();
  return async () => ((await seconds()) - before) * 1000;
}

async function saving(page: Page, address: string): Promise<readonly Figure[]> {
  await page.goto(`${address}/#/today/walk`);
  await page.getByRole('button', { name: 'Begin' }).click({ timeout: 30_000 });
  await awake(page);
  const times = await page.evaluate(async (runs) => {
    const took: number[] = [];
    // Another ear on the channel hears of an entry once the store has confirmed it.
    const channel = new BroadcastChannel('hypogeon-journal');
    for (let i = 0; i < runs; i++) {
      const start = performance.now();
      const heard = new Promise<void>((r) => (channel.onmessage = () => r()));
      document.dispatchEvent(new KeyboardEvent('keydown', { key: '6', code: 'Digit6' }));
      const told = await Promise.race([
        heard,
        new Promise((r) => setTimeout(() => r('late'), 10_000)),
      ]);
      if (told === 'late') throw new Error('no count was taken by its key');
      took.push(performance.now() - start);
      await new Promise((r) => setTimeout(r, 400));
    }
    channel.close();
    return took;
  }, RUNS);
  return [
    {
      name: 'a count, stroke to confirmed by the store',
      value: median(times),
      unit: 'ms',
      target: 50,
    },
  ];
}

async function roundAfter(page: Page, address: string): Promise<readonly Figure[]> {
  await page.goto(`${address}/#/today`);
  // Counts come once all batches are looked over.
  await page.locator('.counts').waitFor({ timeout: 60_000 });
  await page.locator('hy-agenda-line').first().waitFor();
  await page.waitForTimeout(2000);
  const times = await page.evaluate(async () => {
    const took: number[] = [];
    const work = document.querySelector('.work')!;
    for (let i = 0; i < 8; i++) {
      // One batch of a line: behind it, where several stand in one.
      if (!work.querySelector('hy-ask-taps button')) {
        work.querySelector<HTMLButtonElement>('hy-agenda-line .more')?.click();
        await new Promise((r) => setTimeout(r, 300));
      }
      const button = work.querySelector<HTMLButtonElement>('hy-ask-taps button');
      if (!button) break;
      // The line goes, or says what is next: a count above it may stay as it was.
      const start = performance.now();
      const changed = new Promise<void>((r) => {
        const seen = new MutationObserver(() => {
          seen.disconnect();
          r();
        });
        seen.observe(work, { childList: true, characterData: true, subtree: true });
      });
      button.click();
      const late = new Promise((r) => setTimeout(() => r('late'), 10_000));
      if ((await Promise.race([changed, late])) === 'late')
        throw new Error(`nothing came of “${button.textContent.trim()}”`);
      await new Promise((r) => requestAnimationFrame(() => setTimeout(r)));
      took.push(performance.now() - start);
      await new Promise((r) => setTimeout(r, 900));
    }
    return took;
  });
  return [
    { name: 'Today after a tap, 2,000 batches', value: median(times), unit: 'ms', target: 300 },
  ];
}
