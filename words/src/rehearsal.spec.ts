import { METHOD } from '@hypogeon/core/botany';
import type { Outcome } from '@hypogeon/core/rehearse';
import {
  dearText,
  differenceText,
  grownText,
  livedText,
  matterText,
  ofHundred,
  othersText,
  rootDaysText,
} from '.';
import { METHOD_RULE } from './piece-rules';

const outcome = (over: Partial<Outcome> = {}): Outcome => ({
  name: 'This plan',
  counts: 'roots',
  rooted: { share: 0.88, se: 0.01 },
  rotted: { share: 0.05, se: 0.01 },
  dried: { share: 0.001, se: 0 },
  waiting: { share: 0.07, se: 0.01 },
  byDay: [],
  days: { early: 15, half: 22, late: 34 },
  waterings: 6,
  litres: 0.4,
  grown: 0.843,
  minutes: 200,
  ...over,
});

describe('what a rehearsal comes to, in words', () => {
  it('of a hundred, with what chance may do', () => {
    expect(ofHundred(outcome().rooted, 'rooted')).toBe('88 of 100 rooted (86–90)');
    expect(ofHundred({ share: 0, se: 0 }, 'rooted')).toBe('0 of 100 rooted');
    // None of them says nothing.
    expect(othersText(outcome())).toBe('5 rotted, 7 still without roots');
    expect(rootDaysText(outcome())).toBe('Roots on day 15–34, half by day 22.');
    expect(rootDaysText(outcome({ days: null }))).toBe('None roots.');
    // A leaf lives by its young plant: the days are those of it, and are called so.
    const leaf = { counts: 'plants' as const };
    expect(othersText(outcome(leaf))).toContain('7 still without a young plant');
    expect(livedText(outcome(leaf))).toBe('88 of 100 with a young plant (86–90)');
    expect(livedText(outcome())).toBe('88 of 100 rooted (86–90)');
    expect(rootDaysText(outcome(leaf))).toBe('Young plants on day 15–34, half by day 22.');
    expect(rootDaysText(outcome({ ...leaf, days: null }))).toBe('None makes a young plant.');
    expect(grownText(outcome())).toBe('Since their roots: growth on 84% of their days.');
    expect(grownText(outcome({ grown: null }))).toBe('');
  });

  it('two against each other, and no difference where chance alone would do', () => {
    const apart = (share: number, se: number) =>
      differenceText({ a: 0, b: 1, rooted: { share, se } }, 'This plan', 'Set at once');
    expect(apart(0.23, 0.015)).toBe('This plan brings on 23 more of 100 than set at once (20–26).');
    expect(apart(-0.1, 0.01)).toBe('This plan brings on 10 fewer of 100 than set at once (8–12).');
    expect(apart(0.01, 0.02)).toBe('This plan and set at once: no difference to speak of.');
  });

  it('what one brings on more is held against what it loses more', () => {
    const share = (value: number) => ({ share: value, se: 0.005 });
    const dry = outcome({ name: 'Dry', rooted: share(0.18), waiting: share(0.8) });
    const wet = outcome({ name: 'Weekly', rooted: share(0.22), waiting: share(0.54) });
    const against = (a: Outcome, b: Outcome): string =>
      dearText(
        { a: 0, b: 1, rooted: share(a.rooted.share - b.rooted.share) },
        a,
        b,
        ({ name }) => name,
      );
    expect(against(dry, wet)).toBe('But weekly loses 22 more of 100.');
    expect(against(wet, dry)).toBe('But weekly loses 22 more of 100.');
    // Nine more for five lost are worth it.
    expect(against(dry, outcome({ rooted: share(0.27), waiting: share(0.66) }))).toBe('');
  });
});

const speech = {
  locale: 'en',
  today: '2026-04-09',
  length: 'in',
  temperature: 'F',
  wayOf: () => METHOD.leaf,
  ruleOf: () => METHOD_RULE.leaf,
  batchName: () => '',
} as const;

it('says what a choice does from one end to the other, and its part where it has one', () => {
  expect(
    matterText(
      { choice: 'first', low: 0.31, high: 0.88, share: { share: 0.61, se: 0.05 } },
      speech,
    ),
  ).toBe(
    'The first water: on the day they are set 31 of 100 root, three weeks later 88. By itself 55–67% of what these choices can do.',
  );
  expect(
    matterText({ choice: 'width', low: 0.8, high: 0.8, share: { share: 0, se: 0.05 } }, speech),
  ).toBe('The width of the wound: half as wide 80 of 100 root, twice as wide 80.');
  expect(
    matterText({ choice: 'warmth', low: 0.2, high: 0.7, share: { share: 0, se: 0.05 } }, speech),
  ).toBe('Warmth: 11 °F cooler 20 of 100 root, 11 °F warmer 70.');
});
