import type { Browser } from '@playwright/test';
import type { Figure } from './figure';
import { errandOf, type Go } from './hand';

/** Deciding with the blade in hand: what is wanted, the way, onto the bench. */
export const planned = (browser: Browser, address: string): Promise<readonly Figure[]> =>
  errandOf(browser, address, 'a plan, recorded', async (page, hand) => {
    await hand.tap(page.getByRole('link', { name: 'Plan', exact: true }));
    await hand.tap(page.getByLabel('Mother', { exact: true }));
    await hand.tapOn(page.getByRole('option', { name: /^Snowball bowl/ }).first());
    await hand.tap(page.getByLabel('Plants wanted'));
    await page.getByLabel('Plants wanted').fill('');
    await hand.type('12');
    await page.getByRole('button', { name: /best for this/, pressed: true }).waitFor();
    await hand.tap(page.getByRole('button', { name: /^Put .* on the bench/ }).first());
    await page
      .getByText(/on the bench/)
      .first()
      .waitFor();
  });

/** The errands of every day. */
export async function journeys(browser: Browser, address: string): Promise<readonly Figure[]> {
  const errand = (name: string, go: Go): Promise<readonly Figure[]> =>
    errandOf(browser, address, name, go);
  return [
    ...(await errand('what is already cut', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Add cuttings' }));
      await hand.tapOn(page.getByLabel('Plant', { exact: true }));
      await hand.type('jade');
      await hand.tap(page.getByRole('option', { name: /^Crassula ovata/ }));
      await hand.tap(page.getByRole('combobox', { name: 'What was taken' }));
      await hand.tapOn(page.getByRole('option', { name: 'Crown', exact: true }));
      await hand.tap(page.getByLabel('How many'));
      await hand.type('12');
      await hand.tap(page.getByRole('button', { name: 'Put it on the bench' }));
      await page
        .getByText(/on the bench/)
        .first()
        .waitFor();
    })),
    ...(await errand('a tray counted on the walk', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Walk the benches' }));
      await hand.tap(page.getByRole('button', { name: 'Begin' }));
      const next = page.getByRole('button', { name: 'Next', exact: true });
      const more = page.locator('button[aria-label^="One more "]:enabled');
      // To the first tray where a count is due.
      let passed = 0;
      while ((await more.count()) === 0 && passed++ < 20) {
        await next.click();
        // The stop is drawn before it is looked at.
        await page.waitForTimeout(200);
      }
      await hand.tap(more.first());
      await hand.tapOn(more.first());
      await hand.tap(page.getByRole('button', { name: 'Save, next' }));
    })),
    ...(await errand('a whole place watered', async (page, hand) => {
      await hand.tap(page.getByRole('button', { name: /^All \d+: Watered/ }).first());
      await page.getByText(/Undo/).first().waitFor();
    })),
  ];
}
