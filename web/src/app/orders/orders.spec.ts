import { mount } from '../../testing/mount';
import { OrdersPage } from './orders-page';

describe('orders', () => {
  it('say what is ready, what grows and what is short, the earliest due first', async () => {
    const page = await mount(OrdersPage);
    expect(page.all('h2').map((h) => h.textContent)).toEqual(['Fair table', 'Ines']);
    expect(page.text).toContain('14 ready, 15 without roots yet, 1 short');
    const plan = page.button('Plan 1 more') as HTMLAnchorElement;
    expect(plan.getAttribute('href')).toContain('want=1');
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
    // What was set aside and has roots, and six pups that nobody was promised.
    await page.tap('Sold, 14');
    expect(page.field('Price each, EUR (optional)').value).toBe('4.50');
    await page.fill('Price each, EUR (optional)', 'much');
    await page.tap('Record the sale');
    expect(page.text).toContain('A price is a number of 0 or more, or nothing.');
    await page.fill('Price each, EUR (optional)', '4');
    await page.tap('Record the sale');
    expect(page.recorded()).toContainEqual(
      expect.objectContaining({ kind: 'parted', why: 'sold', priceEach: 4 }),
    );
    expect(page.journal.state().batches.get('b-19')!.here.rooted).toBe(before.rooted - 8);
    expect(page.journal.state().batches.get('b-19')!.counts.rooted).toBe(8);
    // Of thirty fourteen have gone: it stays open until all have.
    expect(page.text).toMatch(/14 gone, \d+ ready, 15 without roots yet/);
    expect(page.text).not.toContain('done or cancelled');
  });

  it('refuse a plant, a number or a day that cannot be, and keep what was typed', async () => {
    const page = await mount(OrdersPage);
    await page.tap('Add an order');
    await page.fill('Who', 'Mira');
    await page.fill('Plant', 'aeonium-arboreum');
    await page.fill('How many', '2.5');
    await page.tap('Add it');
    expect(page.text).toContain('A whole number of 1 or more.');
    await page.fill('How many', '2');
    await page.fill('By', '31 Feb');
    await page.tap('Add it');
    expect(page.recorded()).toEqual([]);
    expect(page.field('Who').value).toBe('Mira');
    expect(page.field('How many').value).toBe('2');
  });

  it('set plants aside where there are some, and each says from which batch', async () => {
    const page = await mount(OrdersPage);
    const before = page.recorded().length;
    const [aside] = page
      .all('button')
      .filter((b) => b.textContent.trim() === 'Set aside what there is');
    if (!aside) throw new Error('the demo has nothing to set aside');
    aside.click();
    await page.settle();
    expect(page.recorded().length).toBeGreaterThan(before);
    const from = page
      .all('li a')
      .filter((a) => /^\/bench\/b-\d+$/.test(a.getAttribute('href') ?? ''));
    expect(from.length).toBeGreaterThan(0);
    expect(page.text).toContain('Set aside:');
  });

  it('that are cancelled go below, with their plants free again', async () => {
    const page = await mount(OrdersPage);
    const many = page.all('h2').length;
    await page.tap('Cancel the order');
    expect(page.recorded()).toMatchObject([
      { kind: 'put', record: 'order', fields: { calledOff: 'cancelled' } },
    ]);
    expect(page.all('h2')).toHaveLength(many - 1);
    expect(page.text).toContain('One order done or cancelled');
  });
});
