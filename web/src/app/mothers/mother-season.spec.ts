import { seasonNow, seasonYear } from '@hypogeon/core/bench';
import { CATALOGUE } from '@hypogeon/core/botany';
import { SETTINGS_KEY } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import { MotherSeason } from './mother-season';

const taxon = (id: string) => CATALOGUE.find((t) => t.id === id)!;
const open = (id: string, space: string): Promise<Bench<MotherSeason>> =>
  mount(MotherSeason, { taxon: taxon(id), space });

describe('the season of a mother where she stands', () => {
  it.each([
    ['gasteria-carinata', 'shelf'],
    ['sedum-pachyphyllum', 'leanto'],
    ['cereus-hildmannianus', 'porch'],
  ])('of %s in %s says today and what comes next as core has it', async (id, space) => {
    const page = await open(id, space);
    const now = seasonNow(seasonYear(page.journal.state(), taxon(id), space, DAY));
    expect(page.text).toContain(`today: ${now.reason}.`);
    const next =
      now.state === 'active'
        ? /It does not close within the year|Roots should stand by/
        : /It does not open within the year|It opens about/;
    expect(page.text).toMatch(next);
  });

  it('says whose air it is, and leads there', async () => {
    const page = await open('gasteria-carinata', 'shelf');
    expect(page.button('Warm shelf').getAttribute('href')).toBe('/settings/air/shelf');
    expect(page.text).toMatch(/The line is the mean of the day.* in Warm shelf, /);
  });

  it('says what would tell more: a latitude, for the hours of light', async () => {
    const page = await open('gasteria-carinata', 'porch');
    expect(page.text).toContain('Under the line: hours of light from the sun.');
    await page.journal.record({
      kind: 'put',
      record: 'settings',
      key: SETTINGS_KEY,
      fields: { latitude: null },
    });
    await page.settle();
    expect(page.text).toContain('Give the place’s latitude in its air for the hours of light.');
  });
});
