import { addDays } from '@hypogeon/core/days';
import type { Entry } from '@hypogeon/core/journal';
import { DAY, mount } from '../../testing/mount';
import { TrialForm } from './trial-form';
import { TrialPage } from './trial-page';
import { TrialsPage } from './trials-page';

interface Recorded {
  record?: string;
  key?: string;
  fields?: Record<string, unknown>;
}

describe('a trial', () => {
  it('is designed: refuses what cannot be judged, then puts a batch for every arm on the bench', async () => {
    const page = await mount(TrialForm);
    expect(page.text).toContain('Against');
    await page.tap('Put it on the bench');
    expect(page.text).toContain('Choose the mother all cuttings come from');
    expect(page.recorded()).toEqual([]);
    await page.fill('Mother', 'm-eche');
    await page.fill('Taken as', 'leaf');
    // What is no share is told, not taken for the usual one.
    for (const typed of ['120', 'most']) {
      await page.fill('Usually root, %', typed);
      expect(page.text).toContain('A share from 1 to 99%.');
    }
    await page.fill('Usually root, %', '50');
    await page.fill('Worth changing for, %', '50');
    expect(page.text).toContain('there is no difference to find');
    await page.fill('Worth changing for, %', '90');
    expect(page.text).toMatch(
      /23 in each group tell 50% against 90% apart 80 times in a hundred: 46 cuttings in all/,
    );
    await page.fill('In each group (optional)', '1');
    expect(page.text).toContain('A whole number from 2 to 2,000');
    await page.fill('In each group (optional)', '10');
    expect(page.text).toMatch(/With 10 in each the chance is \d\d%/);
    expect(page.all('hy-trial-map td')).toHaveLength(20);
    await page.fill('Against', 'none');
    expect(page.text).toContain('Two groups are the same way');
    await page.fill('Against', 'cinnamon');
    await page.tap('Put it on the bench');
    const [trial, a, b] = page.recorded() as Recorded[];
    expect(trial).toMatchObject({
      record: 'trial',
      fields: { factor: 'aid', each: 10, usual: 0.5, better: 0.9, judgeOn: addDays(DAY, 21) },
    });
    expect(a).toMatchObject({ record: 'batch', fields: { aid: 'none', arm: 0, count: 10 } });
    expect(b).toMatchObject({ fields: { aid: 'cinnamon', arm: 1, trial: trial!.key } });
  });

  it('of a mix is designed by trays: the tray counts, trays by lot, a batch for each', async () => {
    const page = await mount(TrialForm);
    await page.fill('What is tried', 'mix');
    await page.fill('Mother', 'm-eche');
    await page.fill('Taken as', 'leaf');
    await page.fill('Usually root, %', '50');
    await page.fill('Worth changing for, %', '90');
    expect(page.text).toMatch(/\d+ trays of 10 in each group tell 50% against 90% apart/);
    expect(page.text).toContain('One tray cannot have both ways');
    expect(page.text).not.toContain('Fisher');
    await page.fill('Trays in each group (optional)', '2');
    await page.tap('Put it on the bench');
    expect(page.text).toContain('A whole number from 4 to 40: with fewer it could not be told.');
    expect(page.recorded()).toEqual([]);
    await page.fill('Trays in each group (optional)', '4');
    await page.fill('Cuttings in a tray', '6');
    expect(page.all('hy-trial-map td')).toHaveLength(8);
    await page.tap('Put it on the bench');
    const [trial, ...batches] = page.recorded() as Recorded[];
    expect(trial).toMatchObject({ fields: { factor: 'mix', each: 24, trays: 4 } });
    expect(batches).toHaveLength(8);
    for (const { fields } of batches) expect(fields).toMatchObject({ count: 6, trial: trial!.key });
  });

  it('draws another lot while nothing is cut, and says what lacks', async () => {
    const page = await mount(TrialForm);
    await page.fill('Mother', 'm-eche');
    await page.fill('In each group (optional)', '12');
    const lot = (): string =>
      page
        .all('hy-trial-map td b')
        .map((b) => b.textContent)
        .join('');
    const before = lot();
    expect(before).toHaveLength(24);
    for (let i = 0; i < 3 && lot() === before; i++) await page.tap('Draw another layout');
    expect(lot()).not.toBe(before);
    expect((await mount(TrialForm, {}, [])).text).toContain('Add it first');
  });
});

const ENTRIES: readonly Entry[] = (
  [
    {
      kind: 'put',
      record: 'trial',
      key: 't1',
      fields: {
        name: 'Cinnamon or not',
        factor: 'aid',
        arms: [
          { name: 'Nothing', value: 'none' },
          { name: 'Ground cinnamon', value: 'cinnamon' },
        ],
        taxon: 'echeveria-elegans',
        method: 'leaf',
        each: 12,
        usual: 0.5,
        better: 0.9,
        columns: 6,
        seed: 5,
        cutOn: addDays(DAY, -60),
        judgeOn: addDays(DAY, -20),
      },
    },
    ...['none', 'cinnamon'].flatMap((aid, arm) => [
      {
        kind: 'put',
        record: 'batch',
        key: `arm${arm}`,
        fields: {
          taxon: 'echeveria-elegans',
          method: 'leaf',
          count: 12,
          cutOn: addDays(DAY, -60),
          school: 'dry-to-touch',
          callusAt: 'rack',
          space: 's1',
          aid,
          trial: 't1',
          arm,
          columns: 6,
          cells: Array.from({ length: 12 }, (_, i) => 2 * i + arm),
        },
      },
      { kind: 'cut', batch: `arm${arm}`, day: addDays(DAY, -60) },
      {
        kind: 'tally',
        batch: `arm${arm}`,
        day: addDays(DAY, -18),
        counts: {
          rooted: arm === 0 ? 2 : 8,
          pupped: arm === 0 ? 0 : 3,
          rotted: 1,
          dried: 0,
          lost: 0,
        },
        ...(arm === 0 ? {} : { heads: 5 }),
      },
    ]),
  ] as object[]
).map((e, i) => ({
  id: `e${i}`,
  at: `2026-02-01T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
  by: 'demo',
  day: addDays(DAY, -60),
  ...e,
})) as unknown as readonly Entry[];

describe('its page', () => {
  it('tells the answer first, then the figures, the tray and the rules', async () => {
    const page = await mount(TrialPage, { id: 't1' }, ENTRIES);
    expect(page.all('.words')[0]!.textContent).toContain(
      'Ground cinnamon rooted more often than nothing.',
    );
    expect(page.text).not.toContain('Fisher');
    await page.unfold();
    expect(page.text).toMatch(
      /75 of 100 \(\d\d to \d\d\); Fisher’s exact test, (p below 0.001|p 0\.00)/,
    );
    expect(page.all('hy-trial-map td')).toHaveLength(24);
    expect(page.all('hy-trial-map td hy-mark')).toHaveLength(24);
    // What its pieces bring is counted beside, and not judged.
    expect(page.text).toContain('With pups');
    expect(page.text).toContain('3, 5 in all');
    expect(page.text).toContain('Stopped before for harm only');
    expect(page.text).not.toContain('Give it up');
    expect((await mount(TrialPage, { id: 'nobody' }, ENTRIES)).text).toContain('No such trial');
  });

  it('of a mix with one tray in each group says that this cannot be told, and draws trays', async () => {
    const mix = (arm: number): string => (arm === 0 ? 'all-mineral' : 'half-and-half');
    const byMix = (ENTRIES as readonly (Entry & Recorded)[]).map((e) => {
      const { record, key, fields } = e;
      if (!fields) return e;
      const arms = [0, 1].map((a) => ({ name: mix(a), value: mix(a) }));
      const told =
        record === 'trial'
          ? { factor: 'mix', trays: 1, arms }
          : { mix: mix(Number(key!.slice(-1))) };
      return { ...e, fields: { ...fields, ...told } } as Entry;
    });
    const page = await mount(TrialPage, { id: 't1' }, byMix);
    expect(page.all('.words')[0]!.textContent).toContain('show no clear difference');
    expect(page.text).toContain('With one tray in a group this cannot be told');
    expect(page.text).toContain('The trays along the bench');
    expect(page.all('hy-trial-map td').map((td) => td.textContent)).toEqual([
      expect.stringMatching(/Tray 1, .*: \d+ of 12 rooted/),
      expect.stringMatching(/Tray 2, .*: \d+ of 12 rooted/),
    ]);
    expect(page.text).not.toContain('Fisher');
  });

  it('is given up with a reason only', async () => {
    const young = ENTRIES.filter((e) => e.kind !== 'tally');
    const page = await mount(TrialPage, { id: 't1' }, young);
    await page.tap('Give up the trial');
    expect(page.text).toContain('Say why');
    await page.fill('Why', 'The tray fell');
    await page.tap('Give up the trial');
    expect(page.recorded()).toMatchObject([{ fields: { stopped: 'The tray fell' } }]);
    expect(page.text).toContain('Given up: The tray fell');
  });

  it('stands in the list', async () => {
    const page = await mount(TrialsPage, {}, ENTRIES);
    expect(page.text).toMatch(
      /Cinnamon or not ?Nothing or Ground cinnamon ?Ground cinnamon rooted more/,
    );
    expect((await mount(TrialsPage, {}, [])).text).toContain('No trial yet');
  });
});
