import type { Browser, Page } from '@playwright/test';
import type { Figure } from './figure';
import { errandOf, type Hand } from './hand';
import { journeys, planned } from './journeys';

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('main').getByRole('button', { name }).first();

/** Chooses from a list: one look, two taps. */
async function choose(
  page: Page,
  hand: Hand,
  list: string,
  option: string | RegExp,
): Promise<void> {
  await hand.tap(page.getByRole('combobox', { name: list, exact: true }).first());
  await hand.tapOn(page.getByRole('option', { name: option }).first());
}

/** Ten whole jobs, as a grower does them, from Today to the last word of each. */
export async function jobs(browser: Browser, address: string): Promise<readonly Figure[]> {
  const job = (
    name: string,
    go: (page: Page, hand: Hand) => Promise<void>,
  ): Promise<readonly Figure[]> => errandOf(browser, address, name, go);
  const [quick, counted, watered] = await everyDay(browser, address);
  return [
    ...(await job('the first minute: a journal of one’s own', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Start your own journal' }));
      await hand.tap(page.getByRole('textbox', { name: 'Place' }));
      await hand.type('Porch');
      await hand.tap(page.getByRole('button', { name: 'Start', exact: true }));
      await page.getByRole('heading', { name: /^Your bench is ready/ }).waitFor();
    })),
    ...quick!,
    ...(await planned(browser, address)),
    ...(await job('a cut day of three mothers', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Plan', exact: true }));
      await hand.tap(page.getByRole('link', { name: 'Cut day' }));
      await hand.tap(button(page, /^Snowball bowl/));
      for (const name of [/^The tall aeonium/, /^Jelly beans/]) {
        await hand.tap(button(page, 'Add a mother'));
        await hand.tapOn(button(page, name));
      }
      for (const name of ['Snowball bowl', 'The tall aeonium', 'Jelly beans, long trough']) {
        await hand.tap(button(page, `Cut: ${name}`));
        await page.getByText(`${name}: on the bench. Saved.`).waitFor();
      }
      await hand.tap(page.getByRole('link', { name: 'Print 3 labels' }));
      await page.getByRole('button', { name: 'Save 3 labels as PDF' }).waitFor();
    })),
    ...counted!,
    ...watered!,
    ...(await job('rot seen, and cut afresh', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Bench', exact: true }));
      await hand.tap(page.getByRole('link', { name: /^Jelly beans, crowns/ }).first());
      await hand.tap(page.getByRole('main').getByRole('link', { name: 'What do you see?' }));
      const signs = page.getByRole('main');
      await hand.tap(
        signs.getByRole('group', { name: 'Base soft or wet' }).getByRole('button', { name: 'yes' }),
      );
      await hand.tap(button(page, 'Cut afresh'));
      await hand.tap(page.getByLabel('Without roots'));
      await page.getByLabel('Without roots').fill('');
      await hand.type('2');
      await hand.tap(button(page, 'Take them out'));
      await page.getByText('cut afresh from').waitFor();
    })),
    ...(await job('two ways compared', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Results', exact: true }));
      await hand.tap(page.getByRole('tab', { name: 'Compare' }));
      await choose(page, hand, 'By', 'How long the cut dried');
      await page
        .getByRole('region', { name: 'What came of it' })
        .getByRole('img')
        .first()
        .waitFor();
    })),
    ...(await job('a mix solved from the shed', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Mixes', exact: true }));
      await hand.tap(page.getByRole('tab', { name: 'Solve' }));
      await hand.tap(page.getByLabel('only what is in the shed'));
      await hand.tap(page.getByLabel('Air after draining, at least'));
      await page.getByLabel('Air after draining, at least').fill('');
      await hand.type('24');
      await hand.tap(button(page, 'Solve'));
      await page.getByRole('heading', { name: 'This does it' }).waitFor();
    })),
    ...(await job('a line of the log put right', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Bench', exact: true }));
      await hand.tap(page.getByRole('link', { name: /^Jelly beans, crowns/ }).first());
      await hand.tap(page.getByRole('tab', { name: 'Log' }));
      await hand.tap(button(page, /^Change: Counted: 8 rooted/));
      await hand.tap(page.getByLabel('Rotted', { exact: true }));
      await page.getByLabel('Rotted', { exact: true }).fill('');
      await hand.type('2');
      await hand.tap(button(page, 'Save'));
      await page.getByText('Put right. Saved.').waitFor();
    })),
    ...(await job('an order taken', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Bench', exact: true }));
      await hand.tap(page.getByRole('tab', { name: 'Orders' }));
      await hand.tap(button(page, 'Add an order'));
      await page.getByLabel('Who').and(page.locator(':focus')).waitFor();
      await hand.type('Ines');
      await choose(page, hand, 'Plant', 'Sedum pachyphyllum');
      await hand.tap(page.getByLabel('How many'));
      await hand.type('6');
      await hand.tap(button(page, 'Add it'));
      await page.getByText('Order taken. Saved.').waitFor();
    })),
    ...(await job('an order with its slip', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Bench', exact: true }));
      await hand.tap(page.getByRole('tab', { name: 'Orders' }));
      const order = page.getByRole('listitem').filter({ hasText: 'Fair table' });
      await hand.tap(order.getByRole('button', { name: /^Sold, \d+$/ }));
      await hand.tap(order.getByRole('button', { name: 'Record the sale' }));
      await page.getByText('Sold. Saved.').waitFor();
      await hand.tap(order.getByRole('link', { name: 'Care slip' }).first());
      await hand.tap(button(page, 'PDF'));
    })),
    ...(await job('a day of practice', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Plan', exact: true }));
      await hand.tap(page.getByRole('tab', { name: 'Practice' }));
      await hand.tap(page.getByRole('link', { name: 'An order in four weeks' }));
      await hand.tap(button(page, /^Wait a day/));
      await page.getByText('Day 1 of 28.').waitFor();
    })),
    ...(await job('what a plant cost', async (page, hand) => {
      await hand.tap(page.getByRole('link', { name: 'Results', exact: true }));
      await hand.tap(page.getByRole('tab', { name: 'Money' }));
      await page.getByRole('heading', { level: 1, name: /Money/ }).waitFor();
    })),
  ];
}

/** The errands of every day, by name: three figures each. */
async function everyDay(
  browser: Browser,
  address: string,
): Promise<readonly (readonly Figure[])[]> {
  const figures = await journeys(browser, address);
  return [0, 3, 6].map((from) => figures.slice(from, from + 3));
}
