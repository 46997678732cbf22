import * as fc from 'fast-check';
import { fillPot, USUAL_CONTAINERS } from '../media';
import { recipe, straightPot } from '../testing/components';
import {
  capacityOf,
  columnOf,
  dry,
  dryOut,
  evenly,
  fillOf,
  mobilityAt,
  rain,
  water,
  waterIn,
  WATER_MANNERS,
  wetnessAt,
  wetnessTo,
  type Column,
} from '.';

/** A straight column of even medium: what a textbook reckons with. Lengths mm, D mm²/d. */
function evenColumn(depthMm: number, theta: number, diffusivity: number, layers: number): Column {
  const thick = Array<number>(layers).fill(depthMm / layers);
  const t = thick[0]!;
  return {
    depthMm,
    thick,
    middle: thick.map((_, i) => (i + 0.5) * t),
    capacity: thick.map(() => theta * t),
    ease: thick.slice(1).map(() => (diffusivity * theta) / t),
    surfaceEase: (diffusivity * theta) / (t / 2),
    surfaceMm2: 1,
    clayMm2: thick.map(() => 0),
    drains: true,
    poolMax: 0,
  };
}

const pot = (name: string, mixName = 'two-to-one'): Column =>
  columnOf(
    fillPot(
      recipe(mixName),
      USUAL_CONTAINERS.find((c) => c.id === name)!,
    ),
  );

/** E0 of a warm bright sill and of a cool dim room in winter, mm/d. */
const WARM = 2;
const COOL = 0.5;

describe('drying of a column, against Crank 1975, The Mathematics of Diffusion', () => {
  it('loses 2Δθ√(Dt/π) while the wet zone reaches the base', () => {
    const [theta, diffusivity] = [0.3, 200];
    const column = evenColumn(400, theta, diffusivity, 800);
    // An endless thirst of the air, down to air-dry.
    for (const days of [2, 5, 10]) {
      const { lostMm3 } = dry(column, evenly(column, 1), 1e9, days, 0.01);
      const delta = theta * 0.97;
      const crank = 2 * delta * Math.sqrt((diffusivity * days) / Math.PI);
      expect(lostMm3 / crank).toBeGreaterThan(0.98);
      expect(lostMm3 / crank).toBeLessThan(1.02);
    }
  });

  it('afterwards dies away as exp(−π²Dt/4L²), the first term of the finite solution', () => {
    const [depth, diffusivity] = [65, 200];
    const column = evenColumn(depth, 0.3, diffusivity, 260);
    const left = (days: number): number =>
      fillOf(column, dry(column, evenly(column, 1), 1e9, days, 0.02).wetness) - 0.03;
    const rate = Math.log(left(20) / left(30)) / 10;
    expect(rate).toBeCloseTo((Math.PI ** 2 * diffusivity) / (4 * depth ** 2), 3);
  });

  it('gives the air all it asks while the surface is wet', () => {
    const column = evenColumn(65, 0.3, 200, 40);
    expect(dry(column, evenly(column, 1), 1.5, 1).lostMm3).toBeCloseTo(1.5, 9);
  });

  it('balances its water to 1e-9, whatever the pot, air and hour', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...USUAL_CONTAINERS.map((c) => c.id)),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.constantFrom(0.1, 0.7, 1, 3),
        fc.constantFrom(0, 0.2, 1),
        (name, evaporation, wetness, days, cover) => {
          const column = pot(name);
          const start = { ...evenly(column, wetness), poolMm3: column.drains ? 0 : 5000 };
          const before = waterIn(column, start);
          const { wetness: after, lostMm3 } = dry(
            column,
            start,
            evaporation,
            days,
            undefined,
            cover,
          );
          expect(Math.abs(before - waterIn(column, after) - lostMm3)).toBeLessThan(
            1e-9 * capacityOf(column),
          );
          for (const u of after.layers) expect(u).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('roots draw their share of what the air takes, from all of the pot, and nothing from dry mix', () => {
    const column = pot('pot-12');
    const lost = (wetness: number, cover: number): number =>
      dry(column, evenly(column, wetness), 2, 1, 0.125, cover).lostMm3 / column.surfaceMm2;
    // FAO-56, table 17 (from memory): a crop of the night drinks a quarter of what a wet surface loses.
    expect(lost(1, 1) - lost(1, 0)).toBeCloseTo(0.25 * 2, 1);
    expect(lost(1, 0.4) - lost(1, 0)).toBeCloseTo(0.1 * 2, 1);
    expect(lost(0.03, 1)).toBeCloseTo(0, 9);
    // The foot of the pot dries too, which the air alone hardly reaches.
    const foot = (cover: number): number =>
      dry(column, evenly(column, 1), 2, 20, 0.125, cover).wetness.layers.at(-1)!;
    expect(foot(1)).toBeLessThan(0.8 * foot(0));
  });

  it('leaves a drained pot at rest where nothing evaporates', () => {
    const column = pot('pot-7');
    const { wetness, lostMm3 } = dry(column, evenly(column, 1), 0, 30);
    expect(lostMm3).toBe(0);
    for (const u of wetness.layers) expect(u).toBeCloseTo(1, 9);
  });

  it('coarser steps and layers move the answer by little', () => {
    const fine = columnOf(fillPot(recipe('two-to-one'), USUAL_CONTAINERS[0]!), {
      firstMm: 0.3,
      growth: 1.05,
    });
    const coarse = pot('pot-7');
    for (const days of [3, 8, 20]) {
      const exact = fillOf(fine, dry(fine, evenly(fine, 1), WARM, days, 0.01).wetness);
      const usual = fillOf(coarse, dry(coarse, evenly(coarse, 1), WARM, days, 0.25).wetness);
      expect(Math.abs(exact - usual)).toBeLessThan(0.02);
    }
  });
});

describe('sense checks (common practice, no source)', () => {
  /** Days until a drained pot has come to this. */
  const until = (column: Column, e: number, is: (u: ReturnType<typeof evenly>) => boolean) => {
    let wetness = evenly(column, 1);
    for (let day = 1; day < 400; day++) {
      wetness = dry(column, wetness, e, 1).wetness;
      if (is(wetness)) return day;
    }
    return Infinity;
  };
  const third = (column: Column, e: number): number =>
    until(column, e, (w) => fillOf(column, w) < 2 / 3);
  const top25 = (column: Column, e: number): number =>
    until(column, e, (w) => wetnessAt(column, w, 25) < 0.35);

  it('7 cm plastic, gritty, warm sill: a third dry in 3–6 days, the top 2.5 cm in 5–12', () => {
    expect(third(pot('pot-7'), WARM)).toBeGreaterThanOrEqual(3);
    expect(third(pot('pot-7'), WARM)).toBeLessThanOrEqual(6);
    expect(top25(pot('pot-7'), WARM)).toBeGreaterThanOrEqual(5);
    expect(top25(pot('pot-7'), WARM)).toBeLessThanOrEqual(12);
  });

  it('unglazed clay dries two to three times as fast', () => {
    const shape = { topMm: 70, bottomMm: 52, heightMm: 80, freeboardMm: 10 };
    const of = (wall: 'clay' | 'plastic') =>
      columnOf(fillPot(recipe('two-to-one'), straightPot(80, { ...shape, wall })));
    const ratio = top25(of('plastic'), WARM) / top25(of('clay'), WARM);
    expect(ratio).toBeGreaterThanOrEqual(1.8);
    expect(ratio).toBeLessThanOrEqual(3.2);
  });

  it('a 4 cm tray is dry before a 7 cm pot, and that before a 12 cm pot', () => {
    const gone = (name: string): number => third(pot(name), WARM);
    expect(gone('tray-4')).toBeLessThan(gone('pot-7'));
    expect(gone('pot-7')).toBeLessThan(gone('pot-12'));
  });

  it('a cool dim winter room takes two to three and a half times as long', () => {
    const ratio = top25(pot('pot-7'), COOL) / top25(pot('pot-7'), WARM);
    expect(ratio).toBeGreaterThanOrEqual(2);
    expect(ratio).toBeLessThanOrEqual(3.5);
  });

  it('dries from the top', () => {
    const column = pot('pot-12');
    const { wetness } = dry(column, evenly(column, 1), WARM, 10);
    expect(wetnessAt(column, wetness, 3)).toBeLessThan(wetnessAt(column, wetness, 40));
    expect(wetnessAt(column, wetness, 40)).toBeLessThan(wetnessAt(column, wetness, 90));
    expect(wetnessTo(column, wetness, 20)).toBeLessThan(wetnessTo(column, wetness, 90));
  });
});

describe('a warm medium gives faster', () => {
  it('by the viscosity of water: 1.307, 1.002 and 0.798 mPa s at 10, 20 and 30 °C (CRC Handbook, from memory)', () => {
    expect(mobilityAt(10)).toBeCloseTo(1.002 / 1.307, 1);
    expect(mobilityAt(20)).toBe(1);
    expect(mobilityAt(30)).toBeCloseTo(1.002 / 0.798, 1);
    expect(mobilityAt(-20)).toBe(mobilityAt(0));
  });
});

describe('how long a pot lasts', () => {
  it('the range holds the modelled day, and a pot that never dries has none', () => {
    const out = dryOut(pot('pot-7'), WARM, 1);
    expect(out.third!.from).toBeLessThanOrEqual(4);
    expect(out.third!.to).toBeGreaterThanOrEqual(4);
    expect(out.top25!.from).toBeGreaterThan(out.third!.from);
    expect(dryOut(pot('pot-7'), WARM, 1.5).top25!.to).toBeLessThan(out.top25!.to);
    expect(dryOut(pot('pot-12'), 0, 1)).toEqual({ third: null, top25: null });
  });
});

describe('watering a pot', () => {
  it('adds up: what is given is held or runs off', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('pot-7', 'glass-9'),
        fc.constantFrom(...WATER_MANNERS),
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (name, manner, ml, wetness) => {
          const column = pot(name);
          const start = evenly(column, wetness);
          const { wetness: after, runOffMm3 } = water(column, start, manner, ml);
          const held = waterIn(column, after) - waterIn(column, start);
          expect(Math.abs(held + runOffMm3 - ml * 1000)).toBeLessThan(1e-6);
        },
      ),
    );
  });

  it('a can without a figure fills and drains; a mist wets the top; from below the foot', () => {
    const column = pot('pot-7');
    const start = evenly(column, 0.4);
    expect(fillOf(column, water(column, start, 'poured').wetness)).toBeCloseTo(1, 9);
    const misted = water(column, start, 'misted').wetness;
    expect(wetnessAt(column, misted, 1)).toBeGreaterThan(0.9);
    expect(wetnessAt(column, misted, 30)).toBeCloseTo(0.4, 9);
    const below = water(column, start, 'bottom', 14).wetness;
    expect(wetnessAt(column, below, 69)).toBeCloseTo(1, 9);
    expect(wetnessAt(column, below, 5)).toBeCloseTo(0.4, 9);
  });

  it('bone-dry medium sheds the can and takes a soak', () => {
    const column = pot('pot-7');
    const start = evenly(column, 0.05);
    expect(fillOf(column, water(column, start, 'poured').wetness)).toBeLessThan(0.8);
    expect(fillOf(column, water(column, start, 'soaked').wetness)).toBeCloseTo(1, 9);
  });

  it('without a hole it pools, feeds the pot from below, and runs over in the end', () => {
    const column = pot('glass-9');
    const { wetness, runOffMm3 } = water(column, evenly(column, 0.9), 'poured', 120);
    expect(wetness.poolMm3).toBeGreaterThan(0);
    expect(runOffMm3).toBe(0);
    const later = dry(column, wetness, WARM, 6).wetness;
    expect(later.poolMm3).toBeLessThan(wetness.poolMm3);
    expect(water(column, wetness, 'poured', 5000).runOffMm3).toBeGreaterThan(4e6);
  });

  it('rain falls by the millimetre', () => {
    const column = pot('pot-7');
    const start = evenly(column, 0.3);
    const gained = waterIn(column, rain(column, start, 4).wetness) - waterIn(column, start);
    expect(gained).toBeCloseTo(4 * column.surfaceMm2, 6);
  });
});

describe('an unglazed pot left alone', () => {
  it('comes to air-dry and stays there: no medium drinks from the air', () => {
    const column = pot('clay-8');
    let wetness = evenly(column, 0.2);
    let before = waterIn(column, wetness);
    for (let day = 0; day < 60; day++) {
      const dried = dry(column, wetness, WARM, 1);
      wetness = dried.wetness;
      const now = waterIn(column, wetness);
      expect(dried.lostMm3).toBeGreaterThanOrEqual(-1e-9);
      expect(now).toBeLessThanOrEqual(before + 1e-9);
      before = now;
    }
    for (const layer of wetness.layers) expect(layer).toBeGreaterThanOrEqual(0.03 - 1e-9);
    expect(fillOf(column, wetness)).toBeLessThan(0.04);
    // Set drier than that, it stays as it is.
    const bone = evenly(column, 0.01);
    expect(dry(column, bone, WARM, 5).lostMm3).toBeCloseTo(0, 9);
  });
});
