import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { JOURNAL_VERSION } from '@hypogeon/core/formats';
import type { BatchFields, Entry } from '@hypogeon/core/journal';
import { DAY } from './bench-test';

const LOCALFORAGE = readFileSync(
  createRequire(import.meta.url).resolve('localforage/dist/localforage.min.js'),
  'utf8',
);

/** Lays chunks into the store before the app is opened, as an earlier visit left them, and its book open. */
export async function layChunks(
  page: Page,
  chunks: Readonly<Record<string, string>>,
  book = 'own',
): Promise<void> {
  await page.goto('/start.json');
  await page.evaluate(LOCALFORAGE);
  await page.evaluate(
    async ({ texts, open }) => {
      const { localforage } = window as unknown as {
        localforage: {
          createInstance(o: object): { setItem(k: string, v: unknown): Promise<unknown> };
        };
      };
      const journal = localforage.createInstance({
        name: 'hypogeon',
        storeName: `journal_${open}`,
      });
      for (const [key, text] of Object.entries(texts)) await journal.setItem(key, text);
      const device = localforage.createInstance({ name: 'hypogeon', storeName: 'device' });
      await device.setItem('book', open);
    },
    { texts: chunks, open: book },
  );
}

export const chunkOf = (entries: readonly unknown[]): string =>
  JSON.stringify({ version: JOURNAL_VERSION, entries });

/** A mother, a room and a batch of hers cut today, as `cutABatch` makes them through the screens. */
export function cutBatch(fields: BatchFields = {}): readonly Entry[] {
  const envelope = (n: number) => ({
    id: `seed-${n}`,
    at: `${DAY}T07:00:00.000Z~000${n}`,
    day: DAY,
    by: 'seed',
  });
  return [
    {
      ...envelope(1),
      kind: 'put',
      record: 'space',
      key: 'room',
      fields: { name: 'Plain room', tempC: 20, rh: 0.55 },
    },
    {
      ...envelope(2),
      kind: 'put',
      record: 'mother',
      key: 'bowl',
      fields: { name: 'The bowl', taxon: 'echeveria-elegans', permission: 'own', space: 'room' },
    },
    {
      ...envelope(3),
      kind: 'put',
      record: 'batch',
      key: 'cut-1',
      fields: {
        mother: 'bowl',
        taxon: 'echeveria-elegans',
        method: 'crown',
        count: 12,
        cutOn: DAY,
        school: 'dry-to-touch',
        callusAt: 'rack',
        space: 'room',
        disinfectant: 'alcohol',
        ...fields,
      },
    },
    { ...envelope(4), kind: 'cut', batch: 'cut-1' },
  ];
}

/** Opens the page of a batch that was cut today, in the grower's own book. */
export async function openCutBatch(page: Page, fields: BatchFields = {}): Promise<void> {
  await layChunks(page, { 'chunk/seed': chunkOf(cutBatch(fields)) });
  await page.goto('/#/bench/cut-1');
  await page.getByRole('region', { name: 'Pieces' }).waitFor();
}
