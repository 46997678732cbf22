import * as fc from 'fast-check';
import {
  aalenJohansen,
  betaBinomial,
  betaPosterior,
  eachNeededExactly,
  exactPowerOf,
  fisherExact,
  fisherP,
  gridPosterior,
  kaplanMeier,
  mergeRows,
  randomFrom,
  weightInCluster,
} from '.';

const near = (value: number, reference: number): void =>
  expect(Math.abs(value / reference - 1)).toBeLessThan(1e-6);

describe('beliefs after evidence', () => {
  it('a share as Beta: quantiles of R 4.2.2, qbeta(c(.025, .5, .975), 7.5, 3.5)', () => {
    const { mean, quantile } = betaPosterior(7, 3);
    near(mean, 7.5 / 11);
    near(quantile(0.025), 0.3941816818513);
    near(quantile(0.5), 0.6931763676024);
    near(quantile(0.975), 0.9073054060618);
    expect(() => betaPosterior(1.5, 2)).toThrow(RangeError);
  });

  it('beta-binomial: R 4.2.2, exp(lchoose(n, k) + lbeta(k + a, n − k + b) − lbeta(a, b))', () => {
    near(betaBinomial(3, 10, 2, 5), 0.1648351648352);
    near(betaBinomial(0, 40, 0.5, 0.5), 0.08892787877391);
    near(betaBinomial(40, 40, 8, 1.5), 0.07062379694358);
    expect(betaBinomial(11, 10, 2, 5)).toBe(0);
    const all = Array.from({ length: 26 }, (_, k) => betaBinomial(k, 25, 3.2, 0.7));
    near(
      all.reduce((a, b) => a + b),
      1,
    );
  });

  it('on a grid is the same as in closed form where there is one', () => {
    const grid = Array.from({ length: 4001 }, (_, i) => i / 4000);
    const onGrid = gridPosterior(grid, (p) => 6.5 * Math.log(p) + 2.5 * Math.log(1 - p));
    const exact = betaPosterior(7, 3);
    expect(onGrid.mean).toBeCloseTo(exact.mean, 5);
    expect(onGrid.sd).toBeCloseTo(exact.sd, 5);
    expect(onGrid.quantile(0.9)).toBeCloseTo(exact.quantile(0.9), 3);
    expect(() => gridPosterior([0, 1], () => -Infinity)).toThrow('nothing on the grid');
  });

  it('the design effect of Kish 1965: 20 alike by 0.05 tell as much as 20 / 1.95', () => {
    near(20 * weightInCluster(20, 0.05), 20 / 1.95);
    expect(weightInCluster(0, 0.1)).toBe(0);
    expect(weightInCluster(7, 0)).toBe(1);
  });
});

describe('sizes of trials, exactly', () => {
  it('the fewest each for Fisher’s test, by enumeration in R 4.2.2 with fisher.test', () => {
    near(exactPowerOf(30, 30, 0.5, 0.8), 0.5964425387656);
    expect(eachNeededExactly(0.8, 0.3, 0.8)).toBe(18);
    expect(eachNeededExactly(0.8, 0.5, 0.9)).toBe(23);
    expect(eachNeededExactly(0.8, 0.3, 0.8, 0.025)).toBe(22);
    expect(eachNeededExactly(0.8, 0.5, 0.5)).toBeNull();
  });
});

describe('the same work done faster', () => {
  it('p alone is the p of the whole test', () => {
    fc.assert(
      fc.property(fc.nat(12), fc.nat(12), fc.nat(12), fc.nat(12), (a, b, c, d) => {
        const table = { a: { yes: a, no: b }, b: { yes: c, no: d } };
        expect(fisherP(table)).toBe(fisherExact(table)?.p ?? null);
      }),
      { numRuns: 60 },
    );
  });

  it('merged rows tell the same', () => {
    const random = randomFrom(7);
    const rows = Array.from({ length: 400 }, () => {
      const left = Math.floor(random() * 9);
      return random() < 0.3
        ? { left, right: Infinity }
        : { left, right: left + 1, cause: random() < 0.6 ? 'rooted' : 'rotted' };
    });
    const merged = mergeRows(rows);
    expect(merged.length).toBeLessThan(30);
    expect(kaplanMeier(merged)).toEqual(kaplanMeier(rows));
    const [a, b] = [aalenJohansen(merged), aalenJohansen(rows)];
    near(a.causes.get('rooted')!.at(-1)!.se, b.causes.get('rooted')!.at(-1)!.se);
    near(a.causes.get('rotted')!.at(-1)!.incidence, b.causes.get('rotted')!.at(-1)!.incidence);
  });
});
