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
export class Hand {
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
      { name: `${name}: taps`, value: this.taps, unit: '', ...MOST_TAPS[name] },
      { name: `${name}: keys`, value: this.keys, unit: '' },
      { name: `${name}: seconds of hand and head`, value: seconds, unit: 's', ...LIMITS[name] },
    ];
  }
}

/** A figure is good below its target: one more than is allowed. */
const MOST_TAPS: Readonly<Record<string, { readonly target: number }>> = {
  'what is already cut': { target: 8 },
  'a plan, recorded': { target: 9 },
  'a cut day of three mothers': { target: 13 },
  'an order with its slip': { target: 9 },
};
const LIMITS: Readonly<Record<string, { readonly target: number }>> = {
  'what is already cut': { target: 20 },
};

export type Go = (page: Page, hand: Hand) => Promise<void>;

/** One errand in the demo, from Today until the journal has it. */
export async function errandOf(
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
