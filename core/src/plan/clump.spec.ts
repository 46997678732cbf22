import * as fc from 'fast-check';
import { addDays } from '../days';
import { DAY } from '../testing/entries';
import { CATALOGUE, methodOf, type MethodId } from '../botany';
import { clumpProblem, cutStraps, judgeOffset, offsetRules, strapProblem } from '.';

const rulesOf = (id: string, method: MethodId) =>
  offsetRules(
    methodOf(
      CATALOGUE.find((t) => t.id === id)!,
      method,
    )!,
  );
const RULES = rulesOf('echeveria-elegans', 'offset');
const summer = (): number => 1;

describe('a clump', () => {
  it('leaves a pup of ten centimetres with hardly a root on a mother that spreads by rhizome', () => {
    const snake = rulesOf('dracaena-trifasciata', 'rooted-offset');
    const verdict = judgeOffset({ sizeMm: 100, ownRoots: false }, 600, snake, DAY, () => 1);
    expect(verdict).toMatchObject({ is: 'leave', reason: expect.stringMatching(/hardly a root/) });
    expect(judgeOffset({ sizeMm: 100, ownRoots: true }, 600, snake, DAY, () => 1)).toMatchObject({
      is: 'take',
      with: 'roots',
    });
  });

  it('an offset with one or two rings of leaves and no roots waits', () => {
    const aloe = rulesOf('aloe-vera', 'offset');
    const of = (rings?: number) =>
      judgeOffset({ sizeMm: 90, ownRoots: false, rings }, 200, aloe, DAY, () => 1).is;
    expect(of(2)).toBe('leave');
    expect(of(3)).toBe('take');
    expect(of()).toBe('take');
  });

  // A third of the mother’s size; rooted ones are potted at once, unrooted ones cut and callused: common practice, no source.
  it('gives what is a third of the mother: rooted at once, unrooted by a cut', () => {
    const offset = (sizeMm: number, ownRoots = false) =>
      judgeOffset({ sizeMm, ownRoots }, 120, RULES, DAY, summer);
    expect(offset(40, true)).toMatchObject({ is: 'take', with: 'roots' });
    expect(offset(45)).toMatchObject({ is: 'take', with: 'cut' });
    expect(offset(39)).toMatchObject({ is: 'wait' });
    expect(
      judgeOffset({ sizeMm: 60, ownRoots: false }, 120, { ...RULES, rooted: true }, DAY, summer).is,
    ).toBe('leave');
  });

  it('a snake plant’s at 10 cm, however tall the mother (common practice, no source)', () => {
    const rules = rulesOf('dracaena-trifasciata', 'rooted-offset');
    expect(rules).toEqual({ share: 1 / 3, tallMm: 100, rooted: true });
    expect(rulesOf('opuntia-microdasys', 'pad').share).toBeCloseTo(2 / 3, 12);
    expect(judgeOffset({ sizeMm: 100, ownRoots: true }, 900, rules, DAY, summer).is).toBe('take');
    const small = judgeOffset({ sizeMm: 70, ownRoots: true }, 900, rules, DAY, summer);
    expect(small).toMatchObject({
      is: 'wait',
      reason: expect.stringContaining('70% of the height') as string,
    });
  });

  it('half the size is one doubling: 200 days at 22 °C in season, sooner to later', () => {
    const half = judgeOffset({ sizeMm: 20, ownRoots: false }, 120, RULES, DAY, summer);
    expect(half).toMatchObject({
      is: 'wait',
      likely: addDays(DAY, 200),
      from: addDays(DAY, 134),
      to: addDays(DAY, 300),
    });
    // Out of season nothing grows, and nobody plans for years.
    expect(judgeOffset({ sizeMm: 20, ownRoots: false }, 120, RULES, DAY, () => 0.1).is).toBe(
      'leave',
    );
  });

  it('says what is wrong with what was typed', () => {
    expect(clumpProblem(0, [10])).toMatch(/How large/);
    expect(clumpProblem(100, [])).toMatch(/No offset/);
    expect(clumpProblem(100, [0])).toMatch(/has a size/);
    expect(clumpProblem(100, [200])).toMatch(/larger than its mother/);
    expect(clumpProblem(100, [20])).toBe('');
  });
});

describe('strap leaves', () => {
  it('by hand: 400 mm in sections of 75: five from the base, the tip keeps the rest', () => {
    const plan = cutStraps([{ lengthMm: 400 }], 75);
    expect(plan.sections.map((s) => s.name)).toEqual(['1.1', '1.2', '1.3', '1.4', '1.5']);
    expect(plan.sections[1]).toMatchObject({ fromMm: 76, toMm: 151, tip: false });
    expect(plan.sections.at(-1)).toMatchObject({ fromMm: 304, toMm: 400, tip: true });
    expect(plan.cuts).toBe(5);
    expect(plan.leftMm).toEqual([0]);
    expect(plan.depthMm).toBe(37.5);
  });

  it('nothing is longer than 10 cm or shorter than asked, and all of the leaf is accounted for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 30, max: 1200 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 50, max: 100 }),
        (lengths, section) => {
          const plan = cutStraps(
            lengths.map((lengthMm) => ({ lengthMm })),
            section,
          );
          for (const s of plan.sections) {
            expect(s.toMm - s.fromMm).toBeGreaterThanOrEqual(section);
            expect(s.toMm - s.fromMm).toBeLessThanOrEqual(100);
          }
          lengths.forEach((length, leaf) => {
            const mine = plan.sections.filter((s) => s.leaf === leaf);
            const used = mine.reduce((sum, s) => sum + s.toMm - s.fromMm, 0);
            const blade = Math.max(0, mine.length - 1);
            expect(used + blade + plan.leftMm[leaf]!).toBeCloseTo(length, 9);
          });
        },
      ),
      { numRuns: 200 },
    );
  });

  it('says what is wrong, and what could be done', () => {
    const mm = (length: number): string => `${length} mm`;
    expect(strapProblem([], 75, mm)).toMatch(/No leaf/);
    expect(strapProblem([{ lengthMm: 0 }], 75, mm)).toMatch(/Measure it/);
    expect(strapProblem([{ lengthMm: 300 }], 30, mm)).toMatch(/50 mm to 100 mm/);
    expect(strapProblem([{ lengthMm: 60 }], 80, mm)).toMatch(/longest leaf is 60 mm.*whole leaf/);
    expect(strapProblem([{ lengthMm: 300 }], 75, mm)).toBe('');
  });
});
