import { mount } from '../../testing/mount';
import { Prices } from './prices';

describe('what things cost', () => {
  it('is kept as soon as it makes sense, and cleared by emptying', async () => {
    const page = await mount(Prices, {}, []);
    await page.fill('A label', 'dear');
    expect(page.text).toContain('“dear” is none');
    expect(page.recorded()).toEqual([]);
    await page.fill('A label', '0,25');
    await page.fill('A rooted plant sells for', '3.5');
    await page.fill('Price of a container', 'clay-8');
    await page.fill('One of them costs', '1.2');
    await page.fill('A label', '');
    expect(page.recorded()).toMatchObject([
      { record: 'settings', fields: { labelPrice: 0.25 } },
      { record: 'settings', fields: { plantPrice: 3.5 } },
      { record: 'settings', fields: { labelPrice: null } },
      { record: 'container', key: 'clay-8', fields: { price: 1.2 } },
    ]);
    expect(page.journal.state().settings).toEqual({ plantPrice: 3.5 });
    // A price alone leaves the measures of a usual pot as they are.
    expect(page.text).toContain('Clay pot');
  });

  it('has a currency, by the name the region gives it', async () => {
    const page = await mount(Prices, {}, []);
    await page.fill('Currency', 'EUR');
    expect(page.shown('Currency')).toBe('Euro (EUR)');
    expect(page.journal.state().settings).toEqual({ currency: 'EUR' });
    await page.fill('Currency', '');
    expect(page.journal.state().settings).toEqual({});
  });
});
