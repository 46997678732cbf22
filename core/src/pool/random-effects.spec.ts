import * as fc from 'fast-check';
import { binomialNormal } from './binomial-normal';
import { gaussHermite } from './quadrature';
import { dersimonianLaird, pauleMandel, reml, type Study } from './between-studies';
import { randomEffects } from './random-effects';

/** Vaccine trials of tuberculosis, log risk ratios: Colditz et al. 1994, JAMA 271, 698–702 (as R metafor's dat.bcg). */
const BCG: readonly Study[] = (
  [
    [4, 119, 11, 128],
    [6, 300, 29, 274],
    [3, 228, 11, 209],
    [62, 13536, 248, 12619],
    [33, 5036, 47, 5761],
    [180, 1361, 372, 1079],
    [8, 2537, 10, 619],
    [505, 87886, 499, 87892],
    [29, 7470, 45, 7232],
    [17, 1699, 65, 1600],
    [186, 50448, 141, 27197],
    [5, 2493, 3, 2338],
    [27, 16886, 29, 17825],
  ] as const
).map(([a, b, c, d]) => ({
  y: Math.log(a / (a + b) / (c / (c + d))),
  v: 1 / a - 1 / (a + b) + 1 / c - 1 / (c + d),
}));

/** Hyperdynamic therapy of vasospasm, how many improved: Pritz, Zhou & Brizendine 1997 (as R metafor's dat.pritz1997). */
const PRITZ = {
  yes: [16, 10, 4, 43, 10, 25, 13, 12, 22, 4, 5, 18, 58, 6],
  of: [17, 12, 8, 58, 10, 42, 14, 12, 41, 5, 6, 23, 68, 10],
};
const COUNTS = PRITZ.yes.map((yes, i) => ({ yes, of: PRITZ.of[i]! }));
/** Log-odds; where all improved half a case is added to each side, as metafor does. */
const ODDS: readonly Study[] = COUNTS.map(({ yes, of }) => {
  const add = yes === of ? 0.5 : 0;
  const [a, b] = [yes + add, of - yes + add];
  return { y: Math.log(a / b), v: 1 / a + 1 / b };
});

const METHOD = { DL: dersimonianLaird, REML: reml, PM: pauleMandel };
type Named = keyof typeof METHOD;

describe('random effects against R metafor 3.8-1 (rma, test = "knha")', () => {
  it.each<[Named, number, number, number, number, number, number, number, number]>([
    [
      'DL',
      -0.714117222073,
      0.180696628336,
      -1.10782135417,
      -0.320413089978,
      0.308760262862,
      92.1173468546,
      -1.50656086454,
      0.0783264203942,
    ],
    [
      'REML',
      -0.714532342158,
      0.180791744093,
      -1.10844371369,
      -0.320620970631,
      0.313243258136,
      92.2213845213,
      -1.51220135609,
      0.0831366717743,
    ],
    [
      'PM',
      -0.714968153493,
      0.180892191538,
      -1.1090983812,
      -0.320837925785,
      0.318068452205,
      92.3303379542,
      -1.5182226469,
      0.0882863399178,
    ],
  ])(
    '%s of the vaccine trials, to a millionth',
    (method, mean, se, low, high, tau2, i2, from, to) => {
      const is = randomEffects(BCG, { method: METHOD[method] });
      expect(is.q).toBeCloseTo(152.233008082, 6);
      const got = [
        is.mean,
        is.se,
        is.low,
        is.high,
        is.tau2,
        100 * is.i2,
        is.prediction.low,
        is.prediction.high,
      ];
      [mean, se, low, high, tau2, i2, from, to].forEach((value, i) =>
        expect(got[i]).toBeCloseTo(value, 6),
      );
    },
  );

  it.each<[Named, number, number, number, number, number]>([
    ['DL', 1.13796935371, 0.244285599437, 0.361558277235, 0.261674141034, 2.01426456638],
    ['REML', 1.13890911599, 0.244441470117, 0.364587778609, 0.259389453203, 2.01842877877],
    ['PM', 1.14535584151, 0.245502258469, 0.385868649045, 0.243526307568, 2.04718537546],
  ])('%s of log-odds, to a millionth', (method, mean, se, tau2, from, to) => {
    const is = randomEffects(ODDS, { method: METHOD[method] });
    const got = [is.mean, is.se, is.tau2, is.prediction.low, is.prediction.high];
    [mean, se, tau2, from, to].forEach((value, i) => expect(got[i]).toBeCloseTo(value, 6));
  });

  it('studies that agree have no spread between them; two are the least', () => {
    const alike = randomEffects([
      { y: 1, v: 0.2 },
      { y: 1, v: 0.2 },
      { y: 1.01, v: 0.2 },
    ]);
    expect(alike.tau2).toBe(0);
    expect(alike.i2).toBe(0);
    expect(() => randomEffects([{ y: 1, v: 0.2 }])).toThrow(RangeError);
    expect(() =>
      randomEffects([
        { y: 1, v: 0 },
        { y: 1, v: 1 },
      ]),
    ).toThrow(RangeError);
  });

  it('does not hang on the order, and moves with all of them', () => {
    const study = fc.record({
      y: fc.double({ min: -3, max: 3, noNaN: true }),
      v: fc.double({ min: 0.01, max: 2, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(study, { minLength: 2, maxLength: 8 }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (studies, by) => {
          const [is, turned] = [randomEffects(studies), randomEffects([...studies].reverse())];
          expect(turned.mean).toBeCloseTo(is.mean, 6);
          const moved = randomEffects(studies.map((s) => ({ ...s, y: s.y + by })));
          expect(moved.mean).toBeCloseTo(is.mean + by, 5);
          expect(moved.tau2).toBeCloseTo(is.tau2, 4);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('counts of benches, binomial and normal', () => {
  it('as R: its integrate() and optim() on the counts of Pritz 1997, to a ten thousandth', () => {
    const is = binomialNormal(COUNTS);
    expect(is.mean).toBeCloseTo(1.37659442588, 4);
    expect(is.tau).toBeCloseTo(0.767665031172, 4);
  });

  it('and as lme4 1.1 (glmer, 25 points)', () => {
    const is = binomialNormal(COUNTS, 25);
    expect(Math.abs(is.mean - 1.37659437676)).toBeLessThan(1e-4);
    expect(Math.abs(is.tau - 0.767664981293)).toBeLessThan(1e-4);
  });
});

describe('the quadrature', () => {
  it('is exact for even powers: of t^2k the moments of a normal with variance one half', () => {
    for (const n of [5, 7, 25]) {
      const { nodes, weights } = gaussHermite(n);
      for (const [power, moment] of [
        [0, 1],
        [2, 0.5],
        [4, 0.75],
        [6, 1.875],
      ] as const)
        expect(
          nodes.reduce((sum, t, i) => sum + weights[i]! * t ** power, 0) / Math.sqrt(Math.PI),
        ).toBeCloseTo(moment, 9);
    }
  });
});
