import { FILES_WORKER } from '../data/files-worker';
import { mount } from '../../testing/mount';
import { Shell } from './shell';

const worker = { provide: FILES_WORKER, useValue: () => ({}) };
const mother = { kind: 'put', record: 'mother', key: 'm', fields: { name: 'x' } } as const;

describe('the shell', () => {
  it('has what is done above the soil line and what lies beneath below', async () => {
    const page = await mount(Shell, {}, [], [worker]);
    const side = (s: string) => page.all(`.${s} a`).map((a) => a.textContent.trim());
    expect(side('above')).toEqual(['Round', 'Plan', 'Mothers', 'Mix', 'Bench']);
    expect(side('below')).toEqual(['Ledger', 'Library', 'Store room']);
  });

  it('says at once what is not saved, and lets the tab close only after a warning', async () => {
    const page = await mount(Shell, {}, [], [worker]);
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

  it('says that part of the store is damaged and what brings it back', async () => {
    const page = await mount(Shell, {}, [], [worker]);
    page.stores.books.own.set('chunk/torn', '{"version":2,"ent');
    await page.journal.openOwn();
    await page.settle();
    expect(page.text).toContain('Part of the store could not be read.');
    expect(page.text).toContain('1 of its pieces');
  });

  it('marks the demo as invented', async () => {
    const page = await mount(Shell, {}, [], [worker]);
    expect(page.text).not.toContain('invented');
    await page.journal.openDemo();
    await page.settle();
    expect(page.text).toContain('Demo: the Tidewall glasshouse, invented.');
  });
});
