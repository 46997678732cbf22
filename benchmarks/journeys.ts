import type { Browser, Locator, Page } from '@playwright/test';
import type { Figure } from './figure';

/**
 * Seconds of a hand and a head, keystroke-level model: pointing 1.1, pressing 0.1, a key 0.28, making up one's mind
 * 1.35. Source: Card, Moran & Newell 1980, CACM 23:396–410 (from memory).
 */
const POINT_S = 1.2;
const KEY_S = 0.28;
const MIND_S = 1.35;

/** Taps and strokes of one errand, as they are made. */
class Hand {
  taps = 0;
  keys = 0;
  minds = 0;

  constructor(private readonly page: Page) {}

  /** Looks, decides, taps. */
  async tap(on: Locator): Promise<void> {
    this.minds++;
    await this.tapOn(on);
  }

  /** Taps what was decided already: an option of the list just opened. */
  async tapOn(on: Locator): Promise<void> {
    await on.click();
    this.taps++;
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.keys += text.length;
  }

  figures(name: string): readonly Figure[] {
    const seconds = this.taps * POINT_S + this.keys * KEY_S + this.minds * MIND_S;
    return [
      { name: `${name}: taps`, value: this.taps, unit: '' },
      { name: `${name}: keys`, value: this.keys, unit: '' },
      { name: `${name}: seconds of hand and head`, value: seconds, unit: 's', ...LIMITS[name] },
    ];
  }
}

const LIMITS: Readonly<Record<string, { readonly target: number }>> = {
  'what is already cut': { target: 20 },
};

type Go = (page: Page, hand: Hand) => Promise<void>;

/** One errand in the demo, from Today until the journal has it. */
async function errandOf(
  browser: Browser,
  address: string,
  name: string,
  go: Go,
): Promise<readonly Figure[]> {
  const context = await browser.newContext({ locale: 'en-GB' });
  const page = await context.newPage();
  await page.clock.setFixedTime(new Date('2026-04-09T09:30:00'));
  await page.goto(`${address}/#/today`);
  await page.getByRole('heading', { name: 'Leave alone' }).waitFor();
  const hand = new Hand(page);
  await go(page, hand);
  await context.close();
  return hand.figures(name);
}

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
    await hand.tap(page.getByRole('button', { name: 'Cut: put it on the bench' }));
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
