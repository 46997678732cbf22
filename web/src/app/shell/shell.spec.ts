import { mount } from '../../testing/mount';
import { Shell } from './shell';

const mother = { kind: 'put', record: 'mother', key: 'm', fields: { name: 'x' } } as const;

describe('the shell', () => {
  it('has what is done above the soil line and what lies beneath below', async () => {
    const page = await mount(Shell, {}, []);
    const side = (s: string) => page.all(`.${s} a`).map((a) => a.textContent.trim());
    expect(side('above')).toEqual(['Today', 'Plan', 'Mother plants', 'Mixes', 'Bench']);
    expect(side('below')).toEqual(['Results', 'Plant guide', 'Settings']);
  });

  it('says at once what is not saved, and lets the tab close only after a warning', async () => {
    const page = await mount(Shell, {}, []);
    const leave = (): boolean => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(leave()).toBe(false);
    page.stores.refuses = new DOMException('full', 'QuotaExceededError');
    await page.journal.record(mother);
    await page.settle();
    expect(page.text).toContain(
      'Not saved. This browser’s store is full. One entry is only in this tab',
    );
    expect(leave()).toBe(true);
    page.stores.refuses = null;
    await page.tap('Try again');
    expect(page.text).not.toContain('Not saved.');
    expect(leave()).toBe(false);
  });

  it('says what of the store is set aside, why, and what brings it back', async () => {
    const page = await mount(Shell, {}, []);
    page.stores.books.own.set('chunk/torn', '{"version":2,"ent');
    await page.journal.openOwn();
    await page.settle();
    expect(page.text).toContain('Something in the store is set aside.');
    expect(page.text).toContain('it is torn');
    expect(page.text).toContain('A saved file brings back what is missing.');
  });

  it('calls what a newer version wrote newer, not damaged', async () => {
    const page = await mount(Shell, {}, []);
    page.stores.books.own.set('chunk/new', '{"version":99,"entries":[]}');
    await page.journal.openOwn();
    await page.settle();
    expect(page.text).toContain('of version 99, newer than this Hypogeon');
    expect(page.text).toContain('Update Hypogeon and it is there again');
  });

  it('marks the demo as invented', async () => {
    const page = await mount(Shell, {}, []);
    expect(page.text).not.toContain('invented');
    await page.journal.openDemo();
    await page.settle();
    expect(page.text).toContain('Demo: an invented glasshouse.');
  });
});
