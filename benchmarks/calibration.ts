import type { Browser } from '@playwright/test';
import { median } from './figure';

/*
 * Machines differ by a factor of two from hour to hour. Before anything is judged a fixed piece of work is timed
 * in the same run, and figures are held against their targets as if the machine ran at the pace of the reference.
 */

/** The same work on the machine the targets were set on, when it had nothing else to do. */
const REFERENCE = { node: 128, chromium: 62 } as const;
const RUNS = 7;

/** How many times as long this machine takes in Node as the reference. */
export function nodePace(): number {
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    arithmeticAndAllocation();
    return performance.now() - start;
  });
  return median(times.slice(1)) / REFERENCE.node;
}

/** The same for layout and script in Chromium. */
export async function chromiumPace(browser: Browser): Promise<number> {
  const page = await browser.newPage();
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.setContent('<main style="width: 600px"></main>');
  const times = await page.evaluate((runs) => {
    const main = document.querySelector('main')!;
    return Array.from({ length: runs }, () => {
      const start = performance.now();
      main.innerHTML = '';
      let height = 0;
      for (let row = 0; row < 600; row++) {
        const p = document.createElement('p');
        p.textContent = `row ${row} `.repeat(1 + (row % 7));
        main.append(p);
        if (row % 20 === 0) height += p.offsetHeight;
      }
      const words = new Map<string, number>();
      for (let i = 0; i < 120_000; i++) {
        const key = `w${(i * 7919) % 9973}`;
        words.set(key, (words.get(key) ?? 0) + height);
      }
      return performance.now() - start + words.size * 0;
    });
  }, RUNS);
  await page.close();
  return median(times.slice(1)) / REFERENCE.chromium;
}

function arithmeticAndAllocation(): number {
  let sum = 0;
  const rows: { readonly n: number; readonly text: string }[] = [];
  for (let i = 0; i < 120_000; i++) {
    const n = Math.sqrt(i) * Math.sin(i);
    rows.push({ n, text: `row ${i % 977}` });
    sum += n;
  }
  rows.sort((a, b) => a.n - b.n);
  const groups = new Map<string, number>();
  for (const { n, text } of rows) groups.set(text, (groups.get(text) ?? 0) + n);
  return sum + groups.size;
}
