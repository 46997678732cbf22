import * as fc from 'fast-check';
import { demoJournal } from '../demo';
import { fold } from '../journal';
import {
  BEFORE,
  beforeLooking,
  CAUSE_IDS,
  CAUSES,
  ELSEWHERE,
  entropyOf,
  likelyCauses,
  mostTelling,
  SIGN_IDS,
  type Seen,
} from '.';

const first = (seen: Seen) => likelyCauses(seen)[0]!;
const TODAY = '2026-04-09';
const DEMO = fold(demoJournal(TODAY));

describe('what is seen, and what it usually is (common practice, no source)', () => {
  it.each<[string, Seen, string]>([
    [
      'wrinkled and firm',
      { wrinkled: true, firm: true, smell: false, 'base-dark': false },
      'reserves',
    ],
    ['base dark, soft and foul', { 'base-dark': true, 'base-soft': true, smell: true }, 'rot'],
    ['base dark but hard and dry', { 'base-dark': true, firm: true, 'base-soft': false }, 'callus'],
    ['yellow and glassy', { glassy: true, 'base-dark': false }, 'damaged'],
    ['shrinking while a pup grows', { wrinkled: true, pup: true }, 'feeding'],
    ['resists a light tug', { tug: true, 'roots-out': false }, 'rooted'],
    ['roots out of the holes', { 'roots-out': true, tug: true }, 'bound'],
    ['roots in the air', { 'air-roots': true }, 'dry-stem'],
    ['stretched and pale', { stretched: true }, 'dark'],
    ['bleached', { bleached: true }, 'sun'],
    ['white fluff', { fluff: true }, 'pests'],
    ['small flies', { gnats: true }, 'gnats'],
  ])('%s', (_name, seen, cause) => {
    expect(first(seen).cause).toBe(cause);
  });

  it('new top growth without a hold on the medium is no root', () => {
    const ranked = likelyCauses({ 'new-top': true, tug: false });
    const of = (cause: string) => ranked.find((r) => r.cause === cause)!.chance;
    expect(of('rooted')).toBeLessThan(of('reserves'));
  });
});

describe('the odds', () => {
  it('by hand: a tug that holds', () => {
    // Parts before times how often it is seen: rooted 15·0.95, bound 2·0.9, feeding 4·0.6, all others 79·0.04.
    const total = 15 * 0.95 + 2 * 0.9 + 4 * 0.6 + 79 * ELSEWHERE;
    expect(first({ tug: true })).toEqual({
      cause: 'rooted',
      chance: expect.closeTo((15 * 0.95) / total, 12),
    });
  });

  it('by hand: two causes left, one question, and the bits it takes', () => {
    const before = Object.fromEntries(CAUSE_IDS.map((c) => [c, 0])) as Record<string, number>;
    const two = { ...before, rot: 1, callus: 1 } as typeof BEFORE;
    expect(entropyOf(likelyCauses({}, two))).toBe(1);
    // Soft in 0.9 of rot and 0.04 of callus: yes in 0.47 of all.
    const h = (p: number): number => -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);
    const expected = 1 - (0.47 * h(0.9 / 0.94) + 0.53 * h(0.1 / 1.06));
    expect(mostTelling({}, two)).toEqual({ sign: 'base-soft', bits: expect.closeTo(expected, 12) });
  });

  it('always add up, whatever is seen, and a look never tells less than nothing', () => {
    const seen = fc.dictionary(fc.constantFrom(...SIGN_IDS), fc.boolean()) as fc.Arbitrary<Seen>;
    fc.assert(
      fc.property(seen, (s) => {
        const ranked = likelyCauses(s);
        expect(ranked.reduce((sum, r) => sum + r.chance, 0)).toBeCloseTo(1, 9);
        const next = mostTelling(s);
        if (next) expect(next.bits).toBeGreaterThan(-1e-9);
        else expect(Object.keys(s)).toHaveLength(SIGN_IDS.length);
      }),
    );
  });

  it('the table has no holes: shares within 0–1, something to do, a sign of its own', () => {
    for (const cause of CAUSE_IDS) {
      const { shows, then } = CAUSES[cause];
      expect(then.length).toBeGreaterThan(0);
      const shares = Object.values(shows);
      expect(Math.min(...shares)).toBeGreaterThan(0);
      expect(Math.max(...shares)).toBeLessThan(1);
      expect(Math.max(...shares)).toBeGreaterThan(0.7);
    }
    for (const sign of SIGN_IDS)
      expect(CAUSE_IDS.some((c) => (CAUSES[c].shows[sign] ?? 0) >= 0.5)).toBe(true);
  });
});

describe('what the batch itself says before', () => {
  const of = (id: string) => beforeLooking(DEMO, DEMO.batches.get(id)!, TODAY);

  it('rooted ones are likely rooted, leaves with pups feed them, young ones are no failures', () => {
    expect(of('b-19').rooted).toBeGreaterThan(BEFORE.rooted);
    expect(of('b-17').feeding).toBeGreaterThan(BEFORE.feeding);
    expect(of('b-20').stalled).toBe(BEFORE.stalled);
    expect(of('b-19').feeding).toBeLessThan(BEFORE.feeding);
  });

  it('long past its window wrinkled means stalled', () => {
    const batch = DEMO.batches.get('b-20')!;
    const late = beforeLooking(DEMO, batch, '2026-08-01');
    const ranked = likelyCauses({ wrinkled: true, 'base-dark': false, tug: false }, late);
    expect(ranked[0]!.cause).toBe('stalled');
  });
});
