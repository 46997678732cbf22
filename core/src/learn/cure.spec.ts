import { shareBy, slowed, timeWithin } from '../botany';
import { GENUS_WEIGHT } from './belief';
import { cureVector, ownLikelihood, sumOf, type CureEvidence } from './cure-evidence';
import { BATCH_LOGITS, BATCH_PACES, logitOf, PACES, shareAt, SHIFTS } from './cure-grid';
import { refined } from './refine';
import { correlationFrom, correlationVector } from './tray-correlation';
import { traySpread } from './tray-spread';

const time = timeWithin({ from: 14, to: 35 });
const roots = { roots: time, pups: null };
const between = (after: number, by: number, count: number) =>
  ({ sign: 'roots', after, by, count }) as const;

/** Where a smooth surface over a grid is highest, between its points. */
function summit(
  values: Float64Array,
  rows: readonly number[],
  columns: readonly number[],
): { readonly row: number; readonly column: number } {
  const FINE = 40;
  const width = columns.length;
  const peakOf = (row: number): { value: number; at: number } => {
    const fine = refined(values.subarray(row * width, (row + 1) * width), FINE);
    const value = Math.max(...fine);
    return { value, at: fine.indexOf(value) };
  };
  const peaks = rows.map((_, x) => peakOf(x));
  const ridge = refined(
    peaks.map((p) => p.value),
    FINE,
  );
  const at = ridge.indexOf(Math.max(...ridge));
  const along = refined(
    peaks.map((p) => p.at),
    FINE,
  )[at]!;
  const point = (axis: readonly number[], fine: number): number =>
    axis[0]! + (fine / FINE) * (axis[1]! - axis[0]!);
  return { row: point(rows, at), column: point(columns, along) };
}

// References: R 4.2.2 (2022-11-10 r83330), optim(method = "BFGS") and integrate() on the same likelihoods, a Weibull of
// shape 3.366180258 and scale 27.318929632.
describe('chance and pace of a batch together, against R 4.2.2', () => {
  it('fifty cuttings, 29 rooted between looks, 4 lost, 17 waiting: its highest point', () => {
    const evidence: CureEvidence = {
      logit: 0,
      ...roots,
      seen: [
        between(0, 14, 1),
        between(14, 21, 6),
        between(21, 28, 9),
        between(28, 35, 8),
        between(35, 60, 5),
      ],
      lived: 29,
      lost: 4,
      waits: [{ growth: 60, count: 17 }],
    };
    const { row, column } = summit(ownLikelihood(evidence), BATCH_LOGITS, BATCH_PACES);
    expect(row).toBeCloseTo(0.3228, 1);
    expect(Math.abs(column - 0.08928)).toBeLessThan(0.01);
  });

  it('one of fifty by day 60 and none by day 120: two in a hundred, not all', () => {
    const evidence: CureEvidence = {
      logit: 0,
      ...roots,
      seen: [between(40, 60, 1)],
      lived: 1,
      lost: 0,
      waits: [{ growth: 120, count: 49 }],
    };
    const { row } = summit(ownLikelihood(evidence), BATCH_LOGITS, BATCH_PACES);
    expect(shareAt(row)).toBeCloseTo(0.02, 2);
  });

  const BATCHES: readonly CureEvidence[] = [
    {
      seen: [between(10, 20, 4), between(20, 30, 5)],
      lived: 9,
      lost: 1,
      waits: [{ growth: 30, count: 6 }],
    },
    { seen: [between(14, 28, 7)], lived: 7, lost: 0, waits: [{ growth: 28, count: 3 }] },
    { seen: [between(18, 25, 3), between(25, 32, 6)], lived: 9, lost: 3, waits: [] },
    { seen: [between(20, 40, 9)], lived: 9, lost: 1, waits: [{ growth: 40, count: 2 }] },
  ].map((b) => ({ logit: 0, ...roots, ...b }));

  // Marginal ln likelihoods at two points of the grid, tray correlation 0.1, batch pace 0.2.
  it.each([
    [0, -19.17537, -19.92197],
    [1, -9.490871, -8.24471],
    [2, -19.49083, -19.7097],
    [3, -11.43053, -11.78342],
  ])(
    'batch %d tells of its plant what the integral over its own chance and pace says',
    (i, one, two) => {
      const vector = cureVector(BATCHES[i]!, 0.1);
      const at = (logit: number, pace: number): number => {
        const column = PACES.findIndex((p) => Math.abs(p - pace) < 1e-9);
        const rows = SHIFTS.map((_, x) => vector[x * PACES.length + column]!);
        const fine = refined(rows, 20);
        return fine[Math.round(((logit - SHIFTS[0]!) / (SHIFTS[1]! - SHIFTS[0]!)) * 20)]!;
      };
      expect(Math.abs(at(2, -0.2) - at(0, 0) - (two - one))).toBeLessThan(0.05);
    },
  );

  it('and all four together have their highest point where R finds it', () => {
    const sum = sumOf(BATCHES.map((b) => ({ vector: cureVector(b, 0.1), weight: 1 })));
    const { row, column } = summit(sum, SHIFTS, PACES);
    expect(Math.abs(row - 1.116)).toBeLessThan(0.05);
    expect(Math.abs(column + 0.0017)).toBeLessThan(0.03);
  });
});

describe('evidence', () => {
  const one: CureEvidence = {
    logit: 1,
    ...roots,
    seen: [between(7, 14, 4)],
    lived: 4,
    lost: 1,
    waits: [{ growth: 30, count: 6 }],
  };
  const two: CureEvidence = { ...one, seen: [between(14, 30, 2)], lived: 2, waits: [] };

  it('adds up in any order, and what is taken away again leaves no trace', () => {
    const vectors = [one, two].map((e) => cureVector(e, 0.1));
    const both = sumOf(vectors.map((vector) => ({ vector, weight: 1 })));
    const turned = sumOf(vectors.toReversed().map((vector) => ({ vector, weight: 1 })));
    const back = sumOf([
      { vector: both, weight: 1 },
      { vector: vectors[1]!, weight: -1 },
    ]);
    vectors[0]!.forEach((value, i) => {
      expect(turned[i]).toBeCloseTo(both[i]!, 9);
      expect(back[i]).toBeCloseTo(value, 9);
    });
  });

  it('is finite also where it is next to impossible, and slower still is told as slower', () => {
    const narrow = timeWithin({ from: 20, to: 20 });
    const slow = (by: number): number => {
      const vector = cureVector(
        {
          ...one,
          roots: narrow,
          seen: [between(by * 0.9, by, 3)],
          waits: [{ growth: 9 * by, count: 40 }],
        },
        0.1,
      );
      expect([...vector].every(Number.isFinite)).toBe(true);
      return summit(vector, SHIFTS, PACES).column;
    };
    const paces = [15, 20, 30, 50, 90_000].map(slow);
    for (const [i, pace] of paces.entries()) if (i > 0) expect(pace).toBeGreaterThan(paces[i - 1]!);
  });

  it('waiting past the window says slow or never, before it nothing', () => {
    const waits = (growth: number): Float64Array =>
      cureVector({ ...one, seen: [], lived: 0, lost: 0, waits: [{ growth, count: 20 }] }, 0.1);
    const spread = (v: Float64Array): number => Math.max(...v) - Math.min(...v);
    expect(spread(waits(2))).toBeLessThan(spread(waits(14)));
    const late = waits(60);
    const at = (shift: number, pace: number): number =>
      late[
        SHIFTS.indexOf(shift) * PACES.length + PACES.findIndex((p) => Math.abs(p - pace) < 1e-9)
      ]!;
    expect(at(SHIFTS[0]!, 0)).toBeGreaterThan(at(0, 0));
    expect(at(0, 1)).toBeGreaterThan(at(0, 0));
  });

  it('a mate is measured by its own figures: by its own window and share it moves nothing', () => {
    const quarters = [0.25, 0.5, 0.75];
    for (const window of [timeWithin({ from: 21, to: 60 }), timeWithin({ from: 60, to: 240 })]) {
      const seen = quarters.map((share) => {
        const at = window.scale * (-Math.log(1 - share)) ** (1 / window.shape);
        return between(at * 0.95, at * 1.05, 5);
      });
      const vector = cureVector(
        { logit: logitOf(0.75), roots: window, pups: null, seen, lived: 15, lost: 5, waits: [] },
        0.1,
      );
      const { row, column } = summit(vector, SHIFTS, PACES);
      expect(Math.abs(row)).toBeLessThan(0.1);
      expect(Math.abs(column)).toBeLessThan(0.1);
    }
    expect(GENUS_WEIGHT).toBeLessThan(1);
  });

  it('the pace comes back from a thousand cuttings of twenty batches that rooted at it', () => {
    const edges = [0, 10, 20, 30, 40, 50, 60, 80, 120];
    const pace = slowed(time, 1.5);
    const seen = edges
      .slice(1)
      .map((by, i) =>
        between(edges[i]!, by, Math.round(50 * (shareBy(pace, by) - shareBy(pace, edges[i]!)))),
      );
    const lived = seen.reduce((n, s) => n + s.count, 0);
    const vector = cureVector({ ...one, seen, lived, lost: 50 - lived, waits: [] }, 0.1);
    const { column } = summit(sumOf([{ vector, weight: 20 }]), SHIFTS, PACES);
    expect(Math.exp(column)).toBeCloseTo(1.5, 1);
  });
});

describe('how alike cuttings of a tray fare', () => {
  const trays = (lived: readonly number[], of: number) => {
    const logit = logitOf(0.7);
    const sum = sumOf(
      lived.map((n) => ({
        vector: correlationVector({ logit, lived: n, lost: of - n }),
        weight: 1,
      })),
      correlationVector({ logit, lived: 1, lost: 1 }).length,
    );
    return { logit, worth: 8, sum };
  };

  // R 4.2.2: posterior mean over ρ ~ Beta(1, 9), p ~ Beta(5.6, 2.4), by integrate(): 0.1700.
  it('four trays of forty with 38, 36, 16 and 30: 0.17', () => {
    expect(Math.abs(correlationFrom([trays([38, 36, 16, 30], 40)]) - 0.17)).toBeLessThanOrEqual(
      0.02,
    );
  });

  it('trays that differ by luck alone say that they hardly differ, and a wide spread says so', () => {
    const alike = trays([28, 29, 27, 28, 30, 26, 28, 29, 27, 28], 40);
    expect(correlationFrom([alike])).toBe(0.02);
    expect(correlationFrom([trays([40, 4, 38, 20, 0, 36, 12, 39, 25, 8], 40)])).toBeGreaterThan(
      0.25,
    );
    // Two plants tell more than one.
    expect(correlationFrom([alike, alike])).toBe(0.02);
  });

  it('a beta of the plant’s mean, as wide as the correlation says', () => {
    for (const p of [0.1, 0.5, 0.9])
      for (const rho of [0.05, 0.1, 0.3]) {
        const weights = traySpread(logitOf(p), rho);
        const shares = BATCH_LOGITS.map(shareAt);
        const mean = weights.reduce((sum, w, i) => sum + w * shares[i]!, 0);
        const variance = weights.reduce((sum, w, i) => sum + w * (shares[i]! - mean) ** 2, 0);
        expect(Math.abs(mean - p)).toBeLessThan(0.005);
        expect(Math.abs(variance / (rho * p * (1 - p)) - 1)).toBeLessThan(0.05);
      }
  });
});
