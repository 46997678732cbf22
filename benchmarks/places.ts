import type { Browser } from '@playwright/test';
import type { Figure } from './figure';
import { VISITED } from './visited';

const RUNS = 5;

/** Notes in the page when something stands: drawn, and the thread free for a tap again. */
const whenDrawn = (
  path: string,
  selector: string,
): string => `window.drawn = new Promise((resolve) => {
  const from = () => performance.now() - window.opened;
  addEventListener('hashchange', () => { if (location.hash.startsWith('#${path}')) window.opened = performance.now(); });
  const seen = new MutationObserver(() => {
    if (!location.hash.startsWith('#${path}') || !document.querySelector(${JSON.stringify(selector)})) return;
    seen.disconnect();
    requestAnimationFrame(() => setTimeout(() => resolve(from())));
  });
  seen.observe(document, { subtree: true, childList: true });
});`;

/** Places that are opened from Today, in the demo: milliseconds from the change of address until they can be used. */
const PLACES = [
  {
    name: 'Plan usable, ways to what is wanted',
    path: '/plan?mother=m-eche',
    selector: 'hy-plan-answer button',
    target: 800,
  },
  {
    name: 'Losses, first chart on screen after the page',
    path: '/results/losses',
    selector: 'hy-chart svg path',
    after: 'h1',
    target: 400,
  },
  {
    name: 'Plant guide, its first rows drawn',
    path: '/plants',
    // Those of Today, and twenty of the guide.
    selector: 'svg > g:nth-of-type(40) > path',
    target: 600,
  },
  {
    name: 'A mother’s year on screen after the page',
    path: '/mothers/m-eche',
    selector: 'hy-chart svg path',
    after: 'h1',
    target: 400,
  },
] as const;

export async function places(browser: Browser, address: string): Promise<readonly Figure[]> {
  const figures: Figure[] = [];
  for (const place of PLACES) {
    const times: number[] = [];
    const context = await browser.newContext(VISITED);
    for (let i = 0; i <= RUNS; i++) {
      const page = await context.newPage();
      await page.addInitScript(whenDrawn(place.path, place.selector));
      if ('after' in place)
        await page.addInitScript(
          whenDrawn(place.path, place.after).replaceAll('window.drawn', 'window.headed'),
        );
      await page.goto(`${address}/#/today`);
      await page.getByRole('heading', { name: 'Leave alone' }).waitFor();
      await page.evaluate((to) => (location.hash = to), place.path);
      const ms = await page.evaluate(async () => {
        const { drawn, headed } = window as unknown as {
          drawn: Promise<number>;
          headed?: Promise<number>;
        };
        const never = new Promise<never>((_, reject) =>
          setTimeout(() => reject(new Error('it was not drawn within half a minute')), 30_000),
        );
        return (await Promise.race([drawn, never])) - ((await headed) ?? 0);
      });
      // The first opening fills the browser's caches.
      if (i > 0) times.push(ms);
      await page.close();
    }
    await context.close();
    times.sort((a, b) => a - b);
    figures.push({
      name: place.name,
      value: times[Math.floor(times.length / 2)]!,
      unit: 'ms',
      target: place.target,
    });
  }
  return figures;
}
