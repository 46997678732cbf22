import { EMPTY_STATE } from '@hypogeon/core/journal';
import { planHeadline, speechFor, timesInTen, type PlanComesTo } from '.';

const speech = speechFor(EMPTY_STATE, { locale: 'en-GB', today: '2026-11-30' });
const plan: PlanComesTo = {
  parts: [{ method: 'branch', taken: 6 }],
  plants: { likely: 5.1, low: 4, high: 6 },
  size: 'rooted',
  by: '2027-02-28',
  wanted: 40,
  short: { would: { plants: 8, by: '2028-03-06' }, instead: null },
};
const said = (over: Partial<PlanComesTo>): string => planHeadline({ ...plan, ...over }, speech);

describe('the answer of a plan in one breath', () => {
  it('is what to take, where that is enough', () => {
    expect(said({ short: null, parts: [{ method: 'leaf', taken: 43 }] })).toBe(
      'Take 43 leaves for 40 rooted by Sun 28 Feb 2027.',
    );
  });

  it('is what would do, where it is not', () => {
    const gives = '6 branches give about 5 rooted by Sun 28 Feb 2027 (4 to 6).';
    expect(said({})).toBe(`${gives} For 40 you need 8 such plants, or until Mon 6 Mar 2028.`);
    expect(said({ short: { would: { plants: null, by: '2028-03-06' }, instead: null } })).toBe(
      `${gives} For 40 it takes until Mon 6 Mar 2028.`,
    );
    expect(said({ short: { would: { plants: 8, by: null }, instead: null } })).toBe(
      `${gives} For 40 you need 8 such plants.`,
    );
    const later = { instead: 'later', soonest: '2027-04-01' } as const;
    expect(said({ short: { would: null, instead: later } })).toMatch(
      /The soonest are ready around Thu 1 Apr 2027/,
    );
  });

  it('is what there is, where nothing was wanted; one gives, and none says so', () => {
    expect(said({ wanted: null, short: null })).toBe(
      '6 branches give about 5 rooted by Sun 28 Feb 2027 (4 to 6).',
    );
    const one = { parts: [{ method: 'leaf', taken: 1 }], plants: { likely: 1, low: 1, high: 1 } };
    expect(said({ ...(one as Partial<PlanComesTo>), wanted: null, short: null })).toBe(
      '1 leaf gives 1 rooted by Sun 28 Feb 2027.',
    );
    const plant = { ...(one as Partial<PlanComesTo>), size: 'small' } as const;
    expect(said({ ...plant, wanted: null, short: null })).toBe(
      '1 leaf gives 1 small plant by Sun 28 Feb 2027.',
    );
    const none = { likely: 0, low: 0, high: 0 };
    expect(said({ plants: none, size: 'saleable', wanted: null, short: null })).toBe(
      'No saleable plants by Sun 28 Feb 2027.',
    );
    expect(said({ plants: { likely: 0, low: 0, high: 0 }, wanted: null, short: null })).toBe(
      'None is rooted by Sun 28 Feb 2027.',
    );
  });

  it('says a certainty as growers do', () => {
    expect([50, 80, 90, 95, 70].map(timesInTen)).toEqual([
      'five times in ten',
      'eight times in ten',
      'nine times in ten',
      '19 times in 20',
      '70 times in 100',
    ]);
  });
});
