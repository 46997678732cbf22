import { METHOD } from '@hypogeon/core/botany';
import type { Step } from '@hypogeon/core/care';
import type { Ways } from '@hypogeon/core/plan';
import { insteadText, planSentence, togetherText, whyBest, type Speech } from '.';
import { METHOD_RULE } from './piece-rules';

const speech: Speech = {
  locale: 'en-GB',
  today: '2026-04-09',
  length: 'mm',
  temperature: 'C',
  wayOf: () => METHOD.leaf,
  ruleOf: () => METHOD_RULE.leaf,
  batchName: () => 'A batch',
};
const ways = (over: Partial<Ways>): Ways => ({
  ways: [],
  best: null,
  reasons: [],
  changes: [],
  rival: null,
  together: null,
  instead: null,
  ...over,
});

describe('why a way is the best', () => {
  it('says the reasons, and then what would change them', () => {
    const text = whyBest(
      ways({
        reasons: ['takes fewest', 'ready soonest'],
        changes: [
          { change: 'cut later', days: 7, needed: 31 },
          { change: 'warmer', byC: 4, needed: null },
          { change: 'more', more: 5, from: 0.812, to: 0.87 },
        ],
      }),
      speech,
    );
    expect(text).toBe(
      'It takes the fewest from the mother. It is ready soonest. Cut a week later: take 31. 4 °C warmer: no number would do. 5 more: 87% sure instead of 81%.',
    );
  });

  it('names the way that may be as good, where the ranges do not tell them apart', () => {
    const rival = { method: 'leaf' } as Ways['rival'];
    expect(whyBest(ways({ reasons: ['least work'], rival }), speech)).toBe(
      'It is the least work. By no more than its range: leaf may be as good.',
    );
  });

  it('a step of warmth is a step in the other unit too, no reading', () => {
    const changes = [{ change: 'warmer', byC: 4, needed: 12 }] as const;
    expect(whyBest(ways({ changes }), { ...speech, temperature: 'F' })).toBe(
      '7 °F warmer: take 12.',
    );
  });
});

describe('several ways together', () => {
  const parts = [
    { method: 'offset', taken: 3 },
    { method: 'crown', taken: 1 },
    { method: 'leaf', taken: 24 },
  ] as const;

  it('in one sentence where they are enough', () => {
    const all = {
      parts,
      chance: 0.834,
      plants: { likely: 27, low: 23, high: 28 },
      enough: true,
      reached: 24,
      again: null,
      guessed: false,
    };
    expect(togetherText(all, 24, '2026-10-05', 0.8, speech)).toBe(
      '3 offsets, 1 crown and 24 leaves together: 24 by Mon 5 Oct, 83% sure.',
    );
  });

  it('with how far they go, and a second round, where they are not', () => {
    const all = {
      parts: [parts[2]],
      chance: 0.1,
      plants: { likely: 20, low: 15, high: 24 },
      enough: false,
      reached: 9,
      again: null,
      guessed: false,
    };
    expect(togetherText(all, 24, '2026-10-05', 0.8, speech)).toBe(
      'All it can spare, 24 leaves: 9 of 24 by Mon 5 Oct, 80% sure.',
    );
    const again = { method: 'leaf', day: '2026-06-18', chance: 0.4, reached: 14 } as const;
    expect(togetherText({ ...all, again }, 24, '2026-10-05', 0.8, speech)).toContain(
      'Take leaves again about Thu 18 Jun, and it may be 14.',
    );
    expect(togetherText({ ...all, guessed: true }, 24, '2026-10-05', 0.8, speech)).toContain(
      'Not all of it is counted: count before you cut.',
    );
    expect(togetherText({ ...all, reached: 0 }, 24, '2026-10-05', 0.8, speech)).toContain(
      'is not enough: none is 80% sure by',
    );
  });
});

describe('what could be done instead', () => {
  it.each([
    [
      { instead: 'fewer', method: 'leaf', plants: 8, from: 12, hers: true } as const,
      'By leaves about 8 can be had by then from the 12 it can spare.',
    ],
    [
      { instead: 'fewer', method: 'leaf', plants: 250, from: 400, hers: false } as const,
      'By leaves about 250 can be had by then from 400.',
    ],
    [
      { instead: 'later', soonest: '2026-05-02' } as const,
      'Nothing is ready by then. The soonest are ready around Sat 2 May: ask for a later day or a smaller size.',
    ],
    [
      { instead: 'nothing grows' } as const,
      'Nothing of it is ready within three years in this air: give more warmth, or another plant.',
    ],
  ])('%o', (instead, says) => {
    expect(insteadText(instead, speech)).toBe(says);
  });
});

describe('a plan in one breath', () => {
  const at = (id: Step['id'], from: string, to = from): Step => ({ id, is: 'ahead', from, to });
  const cut = at('cut', '2026-04-09');
  const roots = at('roots', '2026-05-05', '2026-06-01');

  it('dried, then set', () => {
    const steps = [
      cut,
      at('stick', '2026-04-15'),
      at('gate', '2026-04-19'),
      at('first-water', '2026-04-19'),
      roots,
    ];
    expect(planSentence(steps, 'dried', speech)).toBe(
      'Cut today; set Wed 15 Apr. No water before Sun 19 Apr. Look for roots from Tue 5 May.',
    );
  });

  it('laid, bare, in a jar, with its own roots, and where no cut closes', () => {
    const laid = [
      cut,
      at('stick', '2026-04-09'),
      at('gate', '2026-04-12'),
      at('first-water', '2026-04-13'),
      roots,
    ];
    expect(planSentence(laid, 'laid', speech)).toBe(
      'Cut today; set at once. First mist Mon 13 Apr. Look for roots from Tue 5 May.',
    );
    expect(planSentence([cut, roots], 'bare', speech)).toBe(
      'Cut today; leave them bare until roots show. No water until roots show. Look for roots from Tue 5 May.',
    );
    expect(planSentence([cut, at('stick', '2026-04-12'), roots], 'water', speech)).toBe(
      'Cut today; into the jar Sun 12 Apr. Look for roots from Tue 5 May.',
    );
    const own = [cut, at('stick', '2026-04-09'), at('first-water', '2026-04-09'), roots];
    expect(planSentence(own, 'rooted', speech)).toContain('set at once. Water today.');
    const open = [cut, { id: 'gate', is: 'open' } as Step];
    expect(planSentence(open, 'dried', speech)).toContain('does not close here');
  });
});
