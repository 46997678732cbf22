import { methodOf } from '@hypogeon/core/botany';
import { plantOf } from '@hypogeon/core/bench';
import { fold } from '@hypogeon/core/journal';
import { beliefOf, headsEach } from '@hypogeon/core/learn';
import { countLedger } from '@hypogeon/core/ledger';
import { batchIn, storyState } from '@hypogeon/core/testing';
import { beliefWords, eachOf, eachText, learnedHeadline, paceWords, trayWords } from './beliefs';
import { everText, onItsWayText, fanText } from './roots-fan';
import type { Speech } from './speech';

const state = fold([]);
const way = methodOf(plantOf(state, 'echeveria-elegans')!.taxon, 'crown')!;
const guide = beliefOf(state, 'echeveria-elegans', way);
const told = (lived: number) => ({ batches: 1, cuttings: 40, lived, waiting: 0 });
const LEAVES = { taxon: 'echeveria-elegans', method: 'leaf', count: 10 } as const;
const speech = { today: '2026-05-20', locale: 'en-GB' } as Speech;

describe('what a figure rests on', () => {
  it('the guide, one’s own, the genus', () => {
    expect(beliefWords(guide, 'crown')).toBe('the guide');
    expect(beliefWords({ ...guide, own: told(10) }, 'leaf')).toBe(
      'your own 40 leaves, with the guide',
    );
    expect(beliefWords({ ...guide, own: told(10), genus: told(3) }, 'crown')).toBe(
      'your own 40 and 40 of the genus, with the guide',
    );
  });

  it('how many young plants a piece brings, where it is more than one', () => {
    const lives = storyState(LEAVES, [
      [0, 'cut, set'],
      [60, 'count 1r 9p 14h'],
    ]);
    const each = headsEach(lives, 'echeveria-elegans', 'leaf');
    expect(eachText(each, 'de')).toBe(' Yours brought 1,6 young plants each, 14 from 9.');
    const [count] = [...lives.batches.values()].map((b) => countLedger([b]));
    expect(eachOf(count!)).toBe('1.6 each');
    expect(eachOf({ heads: { count: 9, of: 9 } })).toBe('');
    const one = storyState(LEAVES, [[60, 'cut, set, count 9p 9h']]);
    expect(eachText(headsEach(one, 'echeveria-elegans', 'leaf'))).toBe('');
  });

  it('a later count tells buds anew, and keeps the young plants until it is told again', () => {
    const told = (...lines: [number, string][]) =>
      batchIn(storyState(LEAVES, [[0, 'cut, set'], ...lines]));
    expect(told([40, 'count 8r 3b'])).toMatchObject({ buds: { count: 3 }, heads: null });
    expect(told([40, 'count 8r 3b'], [60, 'count 5r 3p'])).toMatchObject({ buds: null });
    const heads = { count: 5, of: 3 };
    expect(told([40, 'count 5r 3p 5h'], [60, 'count 4r 4p']).heads).toMatchObject(heads);
    expect(told([40, 'count 5r 3p 2h']).heads).toMatchObject({ count: 3, of: 3 });
    expect(told([40, 'count 5r 3p 5h'], [60, 'count 8r']).heads).toBeNull();
  });

  it('how much a tray tells', () => {
    expect(trayWords(0.1)).toContain('40 tell as much as 8 ');
    expect(trayWords(0.5)).toContain('40 tell as much as 2 ');
  });

  it('a pace of one’s own, sooner, slower or alike', () => {
    const pace = (factor: number) =>
      paceWords({ ...guide, own: told(24), pace: { factor, low: 0.8, high: 2 } });
    expect(paceWords(guide)).toBe('the guide');
    expect(pace(1.3)).toBe('30% slower than the guide, by your own 24');
    expect(pace(0.8)).toBe('20% sooner than the guide, by your own 24');
    expect(pace(1.01)).toBe('as the guide, by your own 24');
  });
});

describe('roots to be expected', () => {
  const way24 = (is: 'behind' | 'as expected', seen: number) =>
    onItsWayText(
      {
        is,
        seen,
        of: 24,
        day: '2026-05-20',
        chance: 0.05,
        expected: { mean: 8, low: 4, high: 13 },
      },
      speech,
    );

  it('behind, or as expected, with what was likely', () => {
    expect(way24('behind', 2)).toBe('Behind: 2 of 24 with roots today, where 4 to 13 were likely.');
    expect(way24('as expected', 8)).toBe(
      'As expected: 8 of 24 with roots today, 4 to 13 were likely.',
    );
  });

  it('of those that wait, in tenths; of one by itself', () => {
    expect(everText({ pieces: 15, ever: 0.78 })).toBe(
      'Of the 15 that wait about 8 in 10 make it in the end.',
    );
    expect(everText({ pieces: 15, ever: 0.02 })).toBe(
      'Of the 15 that wait hardly any make it in the end.',
    );
    expect(everText({ pieces: 1, ever: 0.5 })).toBe('The one that waits makes it 5 times in 10.');
  });

  it('the fan, heard', () => {
    const day = (n: number, mean: number, low: number, high: number) => ({
      day: n,
      mean,
      low,
      high,
    });
    expect(
      fanText({
        of: 24,
        today: 20,
        expected: [day(0, 0, 0, 0), day(40, 20, 14, 24)],
        ahead: [],
        counted: [{ day: 20, rooted: 8 }],
      }),
    ).toBe('Roots to be expected of 24: 14 to 24 by day 40. 8 were counted on day 20.');
  });
});

describe('what was learned, in a sentence', () => {
  const way = (name: string, low: number, high: number, before: number) => ({
    name,
    low,
    likely: (low + high) / 2,
    high,
    before,
  });

  it('names the way furthest from the guide, and none where its range holds the guide', () => {
    expect(learnedHeadline([way('A', 0.6, 0.8, 0.7)])).toBe(
      'Nothing counted here speaks against the guide.',
    );
    expect(
      learnedHeadline([
        way('A', 0.6, 0.8, 0.55),
        way('B, leaves', 0.2, 0.4, 0.7),
        way('C', 0.6, 0.8, 0.7),
      ]),
    ).toBe('B, leaves: 30% live here, where the guide has 70%.');
    expect(learnedHeadline([])).toContain('Nothing counted');
  });
});
