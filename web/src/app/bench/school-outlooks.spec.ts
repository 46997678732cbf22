import type { SchoolOutlook } from '@hypogeon/core/water';
import { mount, type Bench } from '../../testing/mount';
import { SchoolOutlooks } from './school-outlooks';

const outlook = (over: Partial<SchoolOutlook>): SchoolOutlook => ({
  school: 'top-25',
  next: '2026-04-12',
  earliest: '2026-04-11',
  latest: '2026-04-14',
  everyDays: 8.4,
  ml: 90,
  waterings: ['2026-04-12'],
  wetShare: 0.35,
  fill: [1, 0.5, 0],
  ...over,
});

const open = (outlooks: readonly SchoolOutlook[]): Promise<Bench<SchoolOutlooks>> =>
  mount(SchoolOutlooks, { outlooks, chosen: 'top-25' });

describe('all watering habits on one pot', () => {
  it('say when, how often, how much and how long the stem is wet, with the range of the day', async () => {
    const page = await open([outlook({})]);
    expect(page.text).toContain('11–14 Apr');
    expect(page.text).toContain('8 days');
    expect(page.text).toContain('90 mL');
    expect(page.text).toContain('35%');
    expect(page.text).toContain('in use');
  });

  it('say nothing that they do not know', async () => {
    const page = await open([
      outlook({ school: 'bone-dry', next: null, everyDays: null, ml: 0, earliest: null }),
    ]);
    expect(page.text).toContain('not within two months');
    expect(page.text).not.toMatch(/\b0 mL|NaN|null/);
  });

  it('hang the water under the soil line, down to the bottom when the pot is full', async () => {
    const page = await open([outlook({})]);
    const d = page.root.querySelector('path.water')!.getAttribute('d')!;
    const points = [...d.matchAll(/L([\d.]+) ([\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
    expect(points).toEqual([
      [0, 32],
      [75, 16.5],
      [150, 1],
    ]);
  });

  it('sort by how often, and another is taken with one tap', async () => {
    const page = await open([
      outlook({ everyDays: 20, school: 'bone-dry' }),
      outlook({ everyDays: 4, school: 'surface' }),
    ]);
    const first = (): string => page.all('tbody tr')[0]!.textContent;
    const every = page
      .all('thead th')
      .find((th) => th.textContent.includes('Every'))!
      .querySelector<HTMLElement>('.mat-sort-header-container')!;
    const seen = [first()];
    for (let i = 0; i < 2; i++) {
      every.click();
      await page.settle();
      seen.push(first());
    }
    expect(new Set(seen).size).toBe(2);
    const chosen: string[] = [];
    page.fixture.componentInstance.choose.subscribe((id) => chosen.push(id));
    page
      .all('tbody tr')
      .find((tr) => tr.textContent.includes('4 days'))!
      .querySelector('button')!
      .click();
    expect(chosen).toEqual(['surface']);
  });
});
