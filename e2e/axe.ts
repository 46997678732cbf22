import type { Page } from '@playwright/test';
import type { run } from 'axe-core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** No page of ours has frames: axe runs in the page itself, read in once a load. */
export const readAxeIn = (page: Page): Promise<unknown> => page.evaluate(AXE);

/** Until nothing of the page has changed for 150 ms: a part fetched later stands for a moment without its words. */
export const atRest = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const still = (): void => {
          watch.disconnect();
          resolve();
        };
        let timer = setTimeout(still, 150);
        const watch = new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(still, 150);
        });
        watch.observe(document.body, { childList: true, subtree: true, characterData: true });
        // A page that never rests is looked at all the same.
        setTimeout(still, 5_000);
      }),
  );

/** What axe finds in the page as it stands, by rule and place. */
export async function findings(page: Page): Promise<readonly string[]> {
  await atRest(page);
  return page.evaluate(async (values) => {
    const { axe } = window as unknown as { axe: { run: typeof run } };
    // Drawings that are only kept to be used are hidden from readers, have no size, and are thousands of paths.
    const context = { exclude: [['#hy-drawings']] };
    const { violations } = await axe.run(context, {
      runOnly: { type: 'tag', values },
      resultTypes: ['violations'],
    });
    return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' | ')}`);
  }, TAGS);
}
