import { mount } from '../../testing/mount';
import { LedgerTabs } from './ledger-tabs';

const open = (at: string) => mount(LedgerTabs, { at }, []);

describe('the tabs of Results', () => {
  it('are four, and a tab shows the pages it has', async () => {
    const page = await open('/results/losses');
    expect(page.all('[mat-tab-link]').map((t) => t.textContent.trim())).toEqual([
      'Overview',
      'Compare',
      'Learned',
      'Money',
    ]);
    expect(page.all('.parts a').map((a) => a.textContent.trim())).toEqual([
      'All in all',
      'Losses',
      'Season report',
    ]);
    expect(page.all('[aria-current=page]').map((a) => a.textContent.trim())).toEqual(['Losses']);
    // A part has no tab of its own: the tab it belongs to is the chosen one.
    expect(page.all('[aria-selected=true]').map((t) => t.textContent.trim())).toEqual(['Overview']);
  });

  it('has no second row where there is one page', async () => {
    const page = await open('/results/money');
    expect(page.all('.parts')).toEqual([]);
    expect(page.all('[aria-selected=true]').map((t) => t.textContent.trim())).toEqual(['Money']);
  });
});
