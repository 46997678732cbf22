import type { Browser, Page } from '@playwright/test';
import { writeJournal } from '@hypogeon/core/formats';
import { addDays, type Day } from '@hypogeon/core/days';
import type { BatchFields, Entry } from '@hypogeon/core/journal';
import { median, type Figure } from './figure';
import { VISITED } from './visited';

const RUNS = 7;
const [ROWS, COLUMNS, BATCHES] = [10, 20, 5];
const CELLS = ROWS * COLUMNS;
const PLANTS = [
  'echeveria-elegans',
  'crassula-ovata',
  'sedum-morganianum',
  'opuntia-microdasys',
  'haworthiopsis-attenuata',
] as const;

/** One tray with a cutting in each of its 200 cells, of five plants. */
export function fullTray(today: Day): readonly Entry[] {
  const day = addDays(today, -20);
  const bodies: object[] = [
    {
      kind: 'put',
      record: 'space',
      key: 's0',
      fields: { name: 'Bench', tempC: 21, rh: 0.6, lightLevel: 'shaded-glass' },
    },
    {
      kind: 'put',
      record: 'tray',
      key: 't200',
      fields: { name: 'Full tray', kind: 'tray', space: 's0', rows: ROWS, columns: COLUMNS },
    },
    ...PLANTS.flatMap((taxon, b) => {
      const count = CELLS / BATCHES;
      const fields: BatchFields = {
        taxon,
        method:
          taxon === 'opuntia-microdasys'
            ? 'pad'
            : taxon === 'haworthiopsis-attenuata'
              ? 'offset'
              : 'crown',
        count,
        cutOn: day,
        school: 'dry-to-touch',
        callusAt: 'rack',
        space: 's0',
        tray: 't200',
        cells: Array.from({ length: count }, (_, i) => b * count + i),
        columns: COLUMNS,
      };
      const batch = `full-${b}`;
      return [
        { kind: 'put', record: 'batch', key: batch, fields },
        { kind: 'cut', batch },
        { kind: 'stuck', batch },
      ];
    }),
  ];
  return bodies.map(
    (body, n) =>
      ({
        id: `full-${n}`,
        at: `${day}T08:00:00.000Z~${n.toString(16).padStart(4, '0')}`,
        day,
        by: 'maker',
        ...body,
      }) as Entry,
  );
}

/**
 * A tray of 200 cells, each with that plant's piece: from the tap to the drawing on the screen and a free thread.
 * @param withJournal fills the grower's own journal of a page from a text
 */
export async function trayDrawn(
  browser: Browser,
  address: string,
  today: Day,
  withJournal: (page: Page, address: string, text: string) => Promise<void>,
): Promise<readonly Figure[]> {
  const context = await browser.newContext(VISITED);
  const page = await context.newPage();
  await page.addInitScript('globalThis.__name = (f) => f');
  await withJournal(page, address, writeJournal(fullTray(today)));
  const times: number[] = [];
  for (let i = 0; i <= RUNS; i++) {
    await page.goto(`${address}/#/bench/trays`);
    await page.getByRole('link', { name: 'Full tray' }).first().waitFor();
    await page.waitForTimeout(500);
    const ms = await page.evaluate(async (cells) => {
      const start = performance.now();
      const stands = new Promise<void>((resolve) => {
        const seen = new MutationObserver(() => {
          const pictures = [...document.querySelectorAll<HTMLImageElement>('[data-cell] img[src]')];
          if (pictures.length < cells) return;
          seen.disconnect();
          resolve(Promise.all(pictures.map((picture) => picture.decode())).then(() => undefined));
        });
        seen.observe(document.body, { childList: true, subtree: true, attributes: true });
      });
      [...document.querySelectorAll('a')].find((a) => a.textContent.includes('Full tray'))!.click();
      await stands;
      await new Promise((r) => requestAnimationFrame(() => setTimeout(r)));
      return performance.now() - start;
    }, CELLS);
    // The first opening fetches the page.
    if (i > 0) times.push(ms);
  }
  await context.close();
  return [
    {
      name: `a tray of ${CELLS} cells, tap to drawn`,
      value: median(times),
      unit: 'ms',
      target: 100,
    },
  ];
}
