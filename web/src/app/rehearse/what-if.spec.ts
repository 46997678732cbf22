import type { Entry } from '@hypogeon/core/journal';
import { addDays } from '@hypogeon/core/days';
import { DAY, mount, type Bench } from '../../testing/mount';
import { ForecastsPage } from '../results/forecasts-page';
import { WhatIfPage } from './what-if-page';

const played = async (page: Bench<WhatIfPage>): Promise<readonly string[]> => {
  await until(page, () => page.all('article').length > 0);
  return page.all('article h2').map((h) => h.textContent.trim());
};
async function until(page: Bench<WhatIfPage>, is: () => boolean): Promise<void> {
  for (let i = 0; i < 200 && !is(); i++) {
    await new Promise((done) => setTimeout(done, 20));
    await page.settle();
  }
}

describe('what if, of a batch', () => {
  it('an open one: from today on, for those that wait', async () => {
    const page = await mount(WhatIfPage, { id: 'b-19' });
    expect(await played(page)).toEqual([
      'By its course',
      'Watered today',
      'Watered today, then weekly',
      'No water until roots',
    ]);
    expect(page.text).toContain('Of the 15 that waited for roots at the last count, day 23:');
    expect(page.text).toContain('What was done so far is the same in all.');
    expect(page.text).not.toContain('Really');
  });

  it('one set on a fresh wound: water today costs', async () => {
    const page = await mount(WhatIfPage, { id: 'b-24' });
    await played(page);
    await until(page, () => page.text.includes('2,000 cuttings'));
    expect(page.text).toMatch(/By its course brings on \d+ more of 100 than watered today/);
  });

  it('a settled one: told again, beside what really came', async () => {
    const page = await mount(WhatIfPage, { id: 'b-16' });
    expect((await played(page))[0]).toBe('As it went');
    expect(page.text).toContain('Really 39 of 48 rooted (81%), 3 rotted, 6 dried up.');
    expect(page.text).not.toContain('Keep a forecast');
    expect(page.root.innerHTML).not.toMatch(/NaN|Infinity|undefined/);
  });

  it('keeps a forecast, which is an entry of the batch and stands in Results', async () => {
    const page = await mount(WhatIfPage, { id: 'b-22' });
    await played(page);
    await page.tap('Keep a forecast of its course');
    const kept = () => page.journal.state().batches.get('b-22')!.forecasts;
    await until(page, () => kept().length > 0);
    expect(kept()[0]).toMatchObject({ cuttings: 7, had: 0, way: 'By its course' });
    expect(kept()[0]!.low).toBeLessThanOrEqual(kept()[0]!.rooted);
    await page.settle();
    expect(page.text).toMatch(/Forecast: \d+% of 7 .* Kept today/);
  });

  it('says why not, and where there is none', async () => {
    const bare = await mount(WhatIfPage, { id: 'b-01' });
    expect((await played(bare))[0]).toBe('As it went');
    expect(bare.text).toMatch(
      /Played with .* and .*, until you say what it stands in\. Say it now/,
    );
    const done = await mount(WhatIfPage, { id: 'b-10' });
    await played(done);
    expect(done.text).toContain('Really 17 of 18 rooted');
    expect((await mount(WhatIfPage, { id: 'nobody' })).text).toContain('There is no such batch');
  });
});

describe('forecasts', () => {
  it('held against what came, one by one and together', async () => {
    const page = await mount(ForecastsPage);
    expect(page.text).toContain('What came lay within the range of 8 of 8 forecasts');
    await page.unfold();
    expect(page.text).toMatch(/Of those said 60–80% \(mean \d+%\): \d+% of 72 rooted/);
    expect(page.text).toMatch(/Hedge cactus in the corner, columns.*75% \(50–100%\) of 4/);
    expect(page.text).toContain('open until');
    expect(page.all('hy-chart')).toHaveLength(1);
  });

  it('none kept: says where one is', async () => {
    const page = await mount(ForecastsPage, {}, []);
    expect(page.text).toContain('No forecast was kept yet.');
    expect(page.button('Try it first').getAttribute('href')).toContain('plan/rehearse');
  });

  it('one that missed is told', async () => {
    const { DEMO_ENTRIES } = await missed();
    const page = await mount(ForecastsPage, {}, DEMO_ENTRIES);
    expect(page.text).toMatch(/within the range of 8 of 9 forecasts/);
    expect(page.all('hy-table').at(-1)!.textContent).toMatch(/10 of 10|9 of 10/);
    expect(page.all('td').some((td) => td.textContent.trim() === 'no')).toBe(true);
  });
});

/** The demo with a forecast that said too little. */
async function missed(): Promise<{ readonly DEMO_ENTRIES: readonly Entry[] }> {
  const { demoJournal } = await import('@hypogeon/core/demo');
  const entry: Entry = {
    id: 'missed',
    at: `${DAY}T09:00:00.000Z~0000`,
    by: 'phone',
    kind: 'forecast',
    batch: 'b-06',
    day: addDays(DAY, -1),
    days: 120,
    cuttings: 10,
    rooted: 0.3,
    low: 0.1,
    high: 0.5,
    rotted: 0.6,
    dried: 0.1,
  };
  return { DEMO_ENTRIES: [...demoJournal(DAY), entry] };
}
