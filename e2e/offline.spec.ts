import { expect, test as base, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { DAY } from './bench-test';

/** A server of its own, that can be stopped; tests beside one another have each theirs. */
const PORT = 4189 + 10 * Number(process.env.TEST_PARALLEL_INDEX ?? 0);
const test = base.extend<{ server: () => Promise<ChildProcess> }>({
  // eslint-disable-next-line no-empty-pattern -- the runner wants a pattern even where nothing is asked for
  server: async ({}, use) => {
    const running: ChildProcess[] = [];
    await use(async () => {
      const child = spawn('node', ['--import', 'tsx', 'server/src/main.ts', '--demo'], {
        env: { ...process.env, PORT: String(PORT) },
      });
      running.push(child);
      await expect
        .poll(() =>
          fetch(`http://localhost:${PORT}/start.json`).then(
            (r) => r.ok,
            () => false,
          ),
        )
        .toBe(true);
      return child;
    });
    running.forEach((child) => child.kill());
  },
});

test.use({ serviceWorkers: 'allow' });

/** Whether what the page asks for is answered by the worker. */
async function byWorker(page: Page): Promise<boolean> {
  const asked = page.waitForResponse('**/favicon.svg?probe');
  await page.evaluate(() => fetch('favicon.svg?probe'));
  return (await asked).fromServiceWorker();
}

test('after the first visit all else goes without a network', async ({ page, server }) => {
  test.slow();
  const running = await server();
  await page.clock.setFixedTime(new Date(`${DAY}T09:30:00`));
  await page.goto(`http://localhost:${PORT}/#/today`);
  await expect(page.locator('h1')).toHaveText('Thursday 9 April');
  // The worker waits until the round has been drawn, then keeps everything.
  await page.evaluate(() => navigator.serviceWorker.register('offline-worker.js'));
  await page.evaluate(() => navigator.serviceWorker.ready);
  // Meanwhile no page waits for it.
  expect(await byWorker(page)).toBe(false);
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const names = (await caches.keys()).filter((n) => n.includes('assets:application:cache'));
          const kept = await Promise.all(
            names.map(async (n) => (await (await caches.open(n)).keys()).length),
          );
          const { assetGroups } = (await (await fetch('ngsw.json')).json()) as {
            assetGroups: { name: string; urls: string[] }[];
          };
          return kept[0] === assetGroups.find((g) => g.name === 'application')!.urls.length;
        }),
      { timeout: 60_000 },
    )
    .toBe(true);
  await expect.poll(() => byWorker(page)).toBe(true);

  running.kill();
  await expect
    .poll(() =>
      fetch(`http://localhost:${PORT}/start.json`).then(
        () => true,
        () => false,
      ),
    )
    .toBe(false);
  await page.reload();
  await expect(page.locator('h1')).toHaveText('Thursday 9 April');
  // Pages never opened before, the worker of the ledger, and a write.
  for (const [path, title] of [
    ['/#/results', 'Results'],
    ['/#/bench/labels', 'Labels'],
    ['/#/plan', 'Plan'],
  ] as const) {
    await page.goto(`http://localhost:${PORT}${path}`);
    await expect(page.locator('h1')).toHaveText(title);
  }
  await page.goto(`http://localhost:${PORT}/#/bench/b-19`);
  await page.getByRole('button', { name: /^Watered: / }).click();
  await expect(page.getByText('Watered. Saved.')).toBeVisible();
  await page.reload();
  await expect(page.locator('h1')).toHaveText('Jelly beans, crowns');

  // A file that another program shares arrives, and says what it would change.
  await page.evaluate(() => {
    const form = document.createElement('form');
    Object.assign(form, { method: 'post', action: 'take', enctype: 'multipart/form-data' });
    const input = document.createElement('input');
    Object.assign(input, { type: 'file', name: 'journal' });
    const given = new DataTransfer();
    const text = '{"format":"hypogeon-journal","version":4,"entries":[]}';
    given.items.add(new File([text], 'from the phone.json', { type: 'application/json' }));
    input.files = given.files;
    form.append(input);
    document.body.append(form);
    form.submit();
  });
  await expect(page.getByText('from the phone.json would add 0 entries')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Backup' })).toBeVisible();
  await expect(page.getByText('from the phone.json')).toHaveCount(0);
});

test('it can be installed: manifest, icons, start', async ({ page, server }) => {
  await server();
  await page.goto(`http://localhost:${PORT}/`);
  const href = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await page.request.get(`http://localhost:${PORT}/${href}`)).json()) as {
    name: string;
    display: string;
    start_url: string;
    icons: { src: string; sizes: string; purpose: string }[];
  };
  expect(manifest).toMatchObject({ name: 'Hypogeon', display: 'standalone' });
  expect(manifest.icons.map((i) => i.sizes)).toEqual(
    expect.arrayContaining(['192x192', '512x512']),
  );
  for (const icon of manifest.icons)
    expect((await page.request.get(`http://localhost:${PORT}/${icon.src}`)).ok()).toBe(true);
});
