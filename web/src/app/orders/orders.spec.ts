import { mount } from '../../testing/mount';
import { OrdersPage } from './orders-page';

describe('orders', () => {
  it('say what is ready, what grows and what is short, the earliest due first', async () => {
    const page = await mount(OrdersPage);
    expect(page.all('h2').map((h) => h.textContent)).toEqual(['Fair table', 'Ines']);
    expect(page.text).toContain('8 ready, 15 without roots yet, 7 short');
    const plan = page.button('Plan 7 more') as HTMLAnchorElement;
    expect(plan.getAttribute('href')).toContain('want=7');
  });

  it('take a new one, field by field', async () => {
    const page = await mount(OrdersPage);
    await page.tap('Add an order');
    await page.tap('Add it');
    expect(page.text).toContain('Which plant?');
    await page.fill('Plant', 'aeonium-arboreum');
    await page.fill('How many', '0');
    await page.tap('Add it');
    expect(page.text).toContain('A whole number of 1 or more.');
    await page.fill('How many', '3');
    await page.fill('Who', 'Jon');
    await page.tap('Add it');
    expect(page.recorded()).toMatchObject([
      { record: 'order', fields: { who: 'Jon', taxon: 'aeonium-arboreum', count: 3 } },
    ]);
  });

  it('set aside what there is and hand it over; the plants leave their batch', async () => {
    const page = await mount(OrdersPage);
    const before = page.journal.state().batches.get('b-19')!.here;
    page.all('li')[0]!.querySelectorAll<HTMLElement>('button');
    await page.tap('Sold, 8');
    expect(page.journal.state().batches.get('b-19')!.here.rooted).toBe(before.rooted - 8);
    expect(page.journal.state().batches.get('b-19')!.counts.rooted).toBe(8);
    // Of thirty eight have gone: it stays open until all have.
    expect(page.text).toContain('8 gone, 0 ready, 15 without roots yet, 7 short');
    expect(page.text).not.toContain('done or cancelled');
  });
});
