import AxeBuilder from '@axe-core/playwright';
import { expect, goTo, test } from './bench-test';

/** Every screen by its heading. */
const SCREENS = [
  ['Thursday 9 April', '/#/round'],
  ['Plan a batch', '/#/plan?mother=m-opun'],
  ['Cut map', '/#/plan/stem?mother=m-sedu'],
  ['Strap leaves', '/#/plan/straps?mother=m-gast'],
  ['Clump', '/#/plan/clump?mother=m-hawo'],
  ['Multiply', '/#/plan/multiply?mother=m-kala'],
  ['Ghost plant, the second', '/#/mothers/m-gra2'],
  ['Plan sheet: Pachyphytum crowns', '/#/bench/b-28/sheet'],
  ['Add a plant', '/#/library/new'],
  ['Mothers', '/#/mothers'],
  ['Ox tongue, shelf end', '/#/mothers/m-gast'],
  ['Add a mother', '/#/mothers/new'],
  ['Bench', '/#/bench'],
  ['Sedum crowns', '/#/bench/b-19'],
  ['Count Sedum crowns', '/#/bench/b-19/count'],
  ['Water for Haworthiopsis offsets', '/#/bench/b-18/water'],
  ['Water for Graptopetalum leaves', '/#/bench/b-25/water'],
  ['What do you see?', '/#/bench/b-20/look'],
  ['Mix', '/#/mix'],
  ['Amounts', '/#/mix/amounts'],
  ['Solve for a mix', '/#/mix/solve'],
  ['Jug test', '/#/mix/jug'],
  ['Side by side', '/#/mix/beside'],
  ['Shelf', '/#/mix/shelf'],
  ['Pots', '/#/mix/pots'],
  ['Air: Lean-to', '/#/store-room/air/leanto'],
  ['Devices', '/#/store-room/devices'],
  ['Ledger', '/#/ledger'],
  ['Compare ways', '/#/ledger/compare'],
  ['Losses', '/#/ledger/losses'],
  ['Learned', '/#/ledger/learned'],
  ['Trials', '/#/ledger/trials'],
  ['Design a trial', '/#/ledger/trials/new'],
  ['Cinnamon or nothing', '/#/ledger/trials/t-cinnamon'],
  ['Money and time', '/#/ledger/money'],
  ['Season report', '/#/ledger/report'],
  ['Library', '/#/library'],
  ['Euphorbia milii', '/#/library/euphorbia-milii'],
  ['The marks', '/#/marks'],
  ['Store room', '/#/store-room'],
  ['Walk the benches', '/#/round/walk'],
  ['Pencil sheet', '/#/round/sheet'],
  ['Take some out', '/#/bench/b-19/part?way=rescued'],
  ['Pictures', '/#/bench/b-19/pictures'],
  ['Trays', '/#/bench/trays'],
  ['Mat tray', '/#/bench/trays/t-mat'],
  ['Orders', '/#/bench/orders'],
  ['Labels', '/#/bench/labels'],
  ['Scan a label', '/#/bench/scan'],
  ['Data in and out', '/#/store-room/data'],
  ['An old paper log', '/#/store-room/paper'],
  ['Nothing grows here', '/#/nowhere'],
] as const;

/** So many screens to a test: each test has its own time, however slow the machine. */
const AT_A_TIME = 10;
const PARTS = Array.from({ length: Math.ceil(SCREENS.length / AT_A_TIME) }, (_, i) =>
  SCREENS.slice(i * AT_A_TIME, (i + 1) * AT_A_TIME),
);

for (const theme of ['noon', 'lamp'] as const) {
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    for (const [part, screens] of PARTS.entries())
      test(`every screen is accessible and fits, ${theme}, ${width} wide, part ${part + 1}`, async ({
        page,
      }) => {
        test.setTimeout(240_000);
        await page.setViewportSize({ width, height });
        await page.addInitScript((t) => localStorage.setItem('hypogeon.theme', t), theme);
        await page.goto('/');
        await expect(page.locator('h1')).toBeVisible();
        for (const [name, path] of screens) {
          await page.goto(path);
          await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
          const { violations } = await new AxeBuilder({ page })
            .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
            .analyze();
          const found = violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' | ')}`);
          expect(found, name).toEqual([]);
          const beyond = await page.evaluate(
            () => document.documentElement.scrollWidth - window.innerWidth,
          );
          expect(beyond, `${name} scrolls sideways`).toBeLessThanOrEqual(0);
          const small = await page
            .locator(
              'button:visible, a.plain:visible, a.act:visible, select:visible, nav a:visible',
            )
            .evaluateAll((all) =>
              all
                .map((el) => ({ html: el.outerHTML.slice(0, 90), box: el.getBoundingClientRect() }))
                .filter(({ box }) => box.height > 0 && (box.height < 43.5 || box.width < 43.5))
                .map(
                  ({ html, box }) => `${Math.round(box.width)}×${Math.round(box.height)} ${html}`,
                ),
            );
          expect(small, `${name}: targets under 44 px`).toEqual([]);
        }
      });
  }
}

test('the round can be walked by keyboard alone', async ({ page }) => {
  await page.goto('/#/round');
  await expect(page.locator('h1')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the page' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  const tap = page.getByRole('button', { name: /^Watered: Kalanchoe/ });
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab');
    if (await tap.evaluate((el) => el === document.activeElement)) break;
  }
  await expect(tap).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Watered. Saved.')).toBeVisible();
});

test('deep links, the back button and a wrong address', async ({ page }) => {
  await page.goto('/#/bench/b-24');
  await expect(page.getByRole('heading', { name: 'Opuntia pads' })).toBeVisible();
  await expect(page).toHaveTitle('Batch · Hypogeon');
  await goTo(page, 'Ledger');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Opuntia pads' })).toBeVisible();
  await page.goto('/#/bench/never-was');
  await expect(page.getByText('No such batch')).toBeVisible();
});
