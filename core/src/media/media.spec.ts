import * as fc from 'fast-check';
import { component, mix, recipe, straightPot } from '../testing/components';
import {
  areaAt,
  average,
  componentProblems,
  containerProblems,
  correctionBy,
  drainClass,
  dustCautions,
  fillPot,
  filledLitres,
  fringeHeight,
  handierMl,
  jugPot,
  jugProblems,
  litresTo,
  loadKg,
  loosening,
  meanSaturation,
  mediumOf,
  airLack,
  LEAST_AIR,
  mixNotes,
  packingOf,
  partsProblem,
  porosity,
  quantityFor,
  readJug,
  averageJugs,
  RECIPES,
  saturationAt,
  scoops,
  SHELF,
  solveMix,
  USUAL_CONTAINERS,
  wall,
  type MixWish,
} from '.';

describe('the volume really got (linear packing model, de Larrard 1999)', () => {
  it('equal sizes keep their packing: nothing falls between', () => {
    const same = { grainMm: 4, packing: 0.58, share: 0.5 };
    expect(packingOf([same, { ...same }])).toBeCloseTo(0.58, 12);
    expect(mix({ pumice: 1, akadama: 1 }).yield).toBeCloseTo(1, 12);
  });

  it('at unlimited size ratio the fines fill all gaps: 1 − 0.36² = 0.870', () => {
    const packed = packingOf([
      { grainMm: 1000, packing: 0.64, share: 0.735 },
      { grainMm: 1e-6, packing: 0.64, share: 0.265 },
    ]);
    expect(packed).toBeCloseTo(0.87, 3);
  });

  it('a litre of pumice and a litre of fine sand make about 1.64 L, not 2', () => {
    expect(2 * mix({ pumice: 1, 'sand-fine': 1 }).yield).toBeCloseTo(1.64, 2);
  });

  it('the coefficients run from 0 (lost in the gaps) to 1 (equal size)', () => {
    expect([loosening(0), loosening(1), wall(0), wall(1)]).toEqual([0, 1, 0, 1]);
  });

  it('a mix never takes more room than its heaps, nor less than its largest share', () => {
    const part = fc.record({ i: fc.nat(SHELF.length - 1), parts: fc.integer({ min: 1, max: 9 }) });
    fc.assert(
      fc.property(
        fc.uniqueArray(part, { selector: (p) => p.i, minLength: 1, maxLength: 5 }),
        (ps) => {
          const medium = mediumOf(ps.map(({ i, parts }) => ({ component: SHELF[i]!, parts })));
          expect(medium.yield).toBeLessThanOrEqual(1 + 1e-9);
          const most = Math.max(...ps.map((p) => p.parts)) / ps.reduce((s, p) => s + p.parts, 0);
          expect(medium.yield).toBeGreaterThan(most - 1e-9);
        },
      ),
    );
  });

  it('refuses shares that do not add up', () => {
    expect(() => packingOf([{ grainMm: 4, packing: 0.5, share: 0.4 }])).toThrow(RangeError);
    expect(() => packingOf([])).toThrow(RangeError);
    expect(() => packingOf([{ grainMm: 4, packing: 1, share: 1 }])).toThrow(/packing/);
  });
});

describe('the wet foot (Terzaghi & Peck, Soil Mechanics in Engineering Practice)', () => {
  it('rises within the published range of C = 0.1–0.5 cm²', () => {
    // Fine sand: e = 0.6, D = 0.02 cm, so between 8.3 and 41.7 cm.
    const rise = fringeHeight(0.6 / 1.6, 0.2) / 10;
    expect(rise).toBeGreaterThan(0.1 / (0.6 * 0.02));
    expect(rise).toBeLessThan(0.5 / (0.6 * 0.02));
    expect(rise).toBeCloseTo(25, 9);
  });

  it('is full below, drains above, and its mean agrees with summing thin slices', () => {
    expect(saturationAt(9, 10)).toBe(1);
    expect(saturationAt(20, 10)).toBeCloseTo(0.12 + 0.88 / 4, 12);
    for (const [from, to] of [
      [0, 5],
      [0, 80],
      [30, 60],
      [8, 12],
    ] as const) {
      const n = 20_000;
      let sum = 0;
      for (let i = 0; i < n; i++) sum += saturationAt(from + ((i + 0.5) / n) * (to - from), 10);
      expect(meanSaturation(from, to, 10)).toBeCloseTo(sum / n, 5);
    }
  });
});

describe('containers', () => {
  it('a tapered round pot holds a frustum', () => {
    const pot = straightPot(100, { topMm: 120, bottomMm: 80 });
    const frustum = ((Math.PI * 100) / 3) * (60 ** 2 + 60 * 40 + 40 ** 2);
    expect(litresTo(pot, 100)).toBeCloseTo(frustum / 1e6, 9);
    expect(areaAt(pot, 100)).toBeCloseTo(Math.PI * 60 ** 2, 6);
  });

  it('freeboard is left out, cells add up', () => {
    const cells = USUAL_CONTAINERS.find((c) => c.shape === 'cells')!;
    expect(filledLitres(cells)).toBeCloseTo(24 * filledLitres({ ...cells, cells: 1 }), 12);
    expect(filledLitres(straightPot(100, { freeboardMm: 10 }))).toBeCloseTo(
      0.9 * litresTo(straightPot(100), 100),
      12,
    );
  });

  it('a pot of no volume gets a sentence at its field, in the length one reads', () => {
    const mm = (length: number): string => `${length} mm`;
    const inches = (length: number): string => `${(length / 25.4).toFixed(1)} in`;
    expect(containerProblems(straightPot(0), inches).heightMm).toMatch(
      /between 0.2 in and 118.1 in/,
    );
    expect(containerProblems(straightPot(80), mm)).toEqual({});
    expect(containerProblems(straightPot(0), mm).heightMm).toMatch(/between 5 mm and 3000 mm/);
    expect(containerProblems(straightPot(20, { freeboardMm: 18 }), mm).freeboardMm).toMatch(
      /no room/,
    );
    expect(containerProblems(straightPot(20, { shape: 'cells' }), mm).cells).toMatch(/cells/);
    expect(containerProblems(straightPot(20, { shape: 'tray' }), mm).breadthMm).toMatch(/broad/);
    expect(() => fillPot(recipe('coir'), straightPot(10, { freeboardMm: 10 }))).toThrow(RangeError);
  });
});

describe('what a mix becomes in a pot', () => {
  it('a shallow tray of a mix is wetter than a deep pot of it', () => {
    for (const { id } of RECIPES) {
      const wet = [40, 80, 160].map((h) => fillPot(recipe(id), straightPot(h)).water);
      expect(wet[0]).toBeGreaterThan(wet[1]!);
      expect(wet[1]).toBeGreaterThan(wet[2]!);
    }
  });

  it('potting mixes lie near the nursery ranges, gritty ones airier', () => {
    // Air-filled 10–30%, water 45–65%: Yeager et al., BMP Guide for Producing Container-Grown
    // Plants (from memory), for pots of about 15 cm.
    for (const id of ['thirds', 'sixty', 'coir', 'half-and-half']) {
      const { air, water } = fillPot(recipe(id), straightPot(110));
      expect(air).toBeGreaterThan(0.1);
      expect(air).toBeLessThan(0.45);
      expect(water).toBeGreaterThan(0.38);
      expect(water).toBeLessThan(0.65);
    }
    const gritty = fillPot(recipe('two-to-one'), straightPot(110));
    expect(gritty.air).toBeGreaterThan(fillPot(recipe('half-and-half'), straightPot(110)).air);
  });

  it('water and air fill what there is to fill, and water weighs what it weighs', () => {
    for (const { id } of RECIPES) {
      const pot = fillPot(recipe(id), straightPot(80));
      expect(pot.water + pot.air).toBeCloseTo(porosity(pot.medium), 9);
      expect(pot.wetG - pot.dryG).toBeCloseTo(pot.waterMl, 9);
      expect(pot.waterMl).toBeCloseTo(pot.water * pot.litres * 1000, 9);
    }
  });

  it('vermiculite holds several times its own weight (common practice, no source)', () => {
    const { wetG, dryG } = fillPot(mix({ vermiculite: 1 }), straightPot(80));
    expect((wetG - dryG) / dryG).toBeGreaterThan(3);
  });

  it('gritty mixes drain within two minutes (common practice, no source)', () => {
    for (const { id } of RECIPES)
      expect(['at once', 'within two minutes']).toContain(recipe(id).drains);
    expect(mix({ 'sand-fine': 1 }).pondedSeconds).toBeGreaterThan(mix({ grit: 1 }).pondedSeconds);
    expect(drainClass(121)).toBe('slowly');
    expect(drainClass(3600)).toBe('hardly');
  });

  it('warns of a pot without air, and of no other', () => {
    const tray = USUAL_CONTAINERS.find((c) => c.id === 'tray-4')!;
    const soggy = fillPot(mix({ 'sand-fine': 1 }), tray);
    expect(soggy.air).toBeLessThan(LEAST_AIR);
    expect(airLack(soggy)).toEqual({ air: soggy.air, soggy: true });
    for (const { id } of RECIPES.filter((r) => r.id === 'all-mineral' || r.id === 'two-to-one'))
      expect(airLack(fillPot(recipe(id), tray))).toBeNull();
  });

  it('says what it will ask for, and each dust once', () => {
    expect(mixNotes(recipe('all-mineral'))[0]).toContain('feeds nothing');
    expect(mixNotes(recipe('thirds')).join()).toContain('breaks down');
    expect(mixNotes(mix({ pumice: 1, 'sand-fine': 1 })).join()).toContain(
      'ten parts of ingredients give 8.2',
    );
    expect(dustCautions(recipe('sand-half'))).toHaveLength(2);
    expect(dustCautions(recipe('two-to-one'))).toHaveLength(1);
  });

  it('25 components and more ship, each figure with its evidence, none impossible', () => {
    expect(SHELF.length).toBeGreaterThanOrEqual(25);
    expect(new Set(SHELF.map((c) => c.id)).size).toBe(SHELF.length);
    for (const c of SHELF) {
      expect(componentProblems(c)).toEqual({});
      for (const evidence of Object.values(c.evidence)) expect(evidence).toBeTruthy();
    }
    for (const { parts } of RECIPES) for (const [id] of parts) component(id);
  });

  it('nonsense gets a sentence', () => {
    expect(partsProblem([])).toMatch(/needs something/);
    expect(partsProblem([{ parts: 0 }, { parts: 0 }])).toMatch(/All parts are 0/);
    expect(partsProblem([{ parts: -1 }])).toMatch(/0 or more/);
    expect(() => mix({ pumice: 0 })).toThrow(RangeError);
    const zero = componentProblems({ ...component('pumice'), densityGPerL: 0, grainMm: 0 });
    expect(Object.keys(zero)).toEqual(['grainMm', 'densityGPerL']);
    expect(
      Object.keys(
        componentProblems({ ...component('coir'), packing: NaN, heldWater: 2, diffusivity: 0 }),
      ),
    ).toHaveLength(3);
  });
});

describe('the jug test', () => {
  // Worked example: a pot of 1000 mL takes 620 mL until water stands at the surface; 180 mL run out.
  const test = { potMl: 1000, depthMm: 100, soakedMl: 620, drainedMl: 180, dryG: 410 };

  it('porosity 62%, air 18%, water 44%, 410 g/L', () => {
    const read = readJug(test);
    expect(read.porosity).toBeCloseTo(0.62, 12);
    expect(read.air).toBeCloseTo(0.18, 12);
    expect(read.water).toBeCloseTo(0.44, 12);
    expect(read.densityGPerL).toBeCloseTo(410, 9);
  });

  it('repeats are averaged with their spread', () => {
    expect(averageJugs([test])!.water.spread).toBeNull();
    const two = averageJugs([test, { ...test, drainedMl: 220 }])!;
    expect(two.air.mean).toBeCloseTo(0.2, 12);
    expect(two.air.spread).toBeCloseTo(Math.SQRT2 * 0.02, 9);
    expect(average([1, 2, 3])).toEqual({ mean: 2, spread: 1, tests: 3 });
    expect(averageJugs([])).toBeNull();
  });

  it('corrects the mix in its own pot exactly, and in others alike', () => {
    const medium = recipe('half-and-half');
    const correction = correctionBy(medium, [test]);
    const own = straightPot(100, { topMm: 112.838, bottomMm: 112.838 });
    expect(fillPot(medium, own, correction).water).toBeCloseTo(0.44, 2);
    expect(fillPot(medium, own, correction).dryG).toBeCloseTo(410, 0);
    const tray = straightPot(40);
    const much = fillPot(medium, tray, correction).water / fillPot(medium, tray).water;
    expect(Math.abs(much - correction.water)).toBeLessThan(0.15);
    expect(fillPot(medium, own, correction).air).toBeCloseTo(0.18, 2);
    const wetter = mix({ peat: 1, perlite: 1 });
    for (const drainedMl of [10, 40, 76, 120, 300]) {
      const read = { ...test, soakedMl: 800, drainedMl };
      const filled = fillPot(wetter, jugPot(read), correctionBy(wetter, [read]));
      expect(filled.air).toBeCloseTo(drainedMl / 1000, 3);
      expect(filled.water).toBeCloseTo((800 - drainedMl) / 1000, 3);
    }
    expect(correctionBy(medium, [])).toEqual({ water: 1, pores: 1, weight: 1 });
  });

  it.each([
    [{ potMl: 0 }, 'potMl', /Fill the pot/],
    [{ depthMm: 0 }, 'depthMm', /ruler/],
    [{ soakedMl: 1200 }, 'soakedMl', /running out below/],
    [{ drainedMl: 700 }, 'drainedMl', /More came out/],
    [{ drainedMl: NaN }, 'drainedMl', /0 if nothing/],
    [{ dryG: 0 }, 'dryG', /without a scale/],
    [{ pondedSeconds: -1 }, 'pondedSeconds', /not timed/],
  ] as const)('%j is asked about at its field', (over, field, sentence) => {
    expect(jugProblems({ ...test, ...over })[field]).toMatch(sentence);
    expect(() => readJug({ ...test, ...over })).toThrow(RangeError);
  });
});

describe('how much to mix', () => {
  const pot = straightPot(100, { topMm: 112.838, bottomMm: 112.838 });

  it('fills the pots, spill counted in, with what yields less than it heaps', () => {
    const medium = mix({ pumice: 1, 'sand-fine': 1 });
    const { litres, ingredients } = quantityFor(medium, pot, 10);
    expect(litres).toBeCloseTo(10.5, 3);
    const heaps = ingredients.reduce((sum, i) => sum + i.litres, 0);
    expect(heaps).toBeCloseTo(10.5 / medium.yield, 3);
    expect(ingredients[0]!.kg).toBeCloseTo(ingredients[0]!.litres * 0.45, 9);
  });

  it('costs what is priced and buys what is not in the shed', () => {
    const shed = new Map([['pumice', { litres: 2, pricePerL: 1.5 }]]);
    const { cost, unpriced, ingredients } = quantityFor(recipe('two-to-one'), pot, 10, shed);
    // Five parts in eight of 10.5 L, less the two in the shed.
    expect(ingredients[0]!.toBuy).toBeCloseTo(4.5625, 2);
    expect(ingredients[1]!.toBuy).toBeNull();
    expect(cost).toBeCloseTo(6.5625 * 1.5, 1);
    expect(unpriced.map((c) => c.id)).toEqual(['akadama']);
    expect(quantityFor(recipe('coir'), pot, 1).cost).toBeNull();
  });

  it('counts scoops and weighs the tray', () => {
    expect(scoops(1, 300)).toBeCloseTo(10 / 3, 9);
    expect(handierMl([0.2, 0.1], 500)).toBe(50);
    expect(handierMl([0.02, 0.01], 500)).toBeNull();
    expect(handierMl([2, 1], 500)).toBeNull();
    const filled = fillPot(recipe('all-mineral'), pot);
    expect(loadKg(filled, 12).wet).toBeCloseTo((filled.wetG * 12) / 1000, 9);
    expect(() => quantityFor(recipe('coir'), pot, 0)).toThrow(RangeError);
  });
});

describe('solving for a mix (linear programme, checked with the full model)', () => {
  const choices = ['pumice', 'perlite', 'coir', 'compost', 'sand-coarse'].map((id) => ({
    component: component(id),
  }));
  const wish = (over: Partial<MixWish>): MixWish => ({
    choices,
    targets: [],
    container: USUAL_CONTAINERS[0]!,
    litres: 10,
    aim: 'closest',
    from: { pumice: 0.6, coir: 0.4 },
    ...over,
  });

  it('changes nothing where nothing is asked', () => {
    const solved = solveMix(wish({}))!;
    expect(solved.feasible).toBe(true);
    expect(solved.parts.map((p) => [p.component.id, p.parts])).toEqual([
      ['pumice', expect.closeTo(0.6, 6)],
      ['coir', expect.closeTo(0.4, 6)],
    ]);
  });

  it('where nothing meets the wish, no mix of tenths misses it by less', () => {
    const ids = ['zeolite', 'kanuma', 'charcoal', 'peat'];
    const few = ids.map((id) => ({ component: component(id) }));
    const [container] = USUAL_CONTAINERS;
    for (const [water, air] of [
      [0.12, 0.75],
      [0.45, 0.6],
      [0.2, 0.3],
    ] as const) {
      const missed = (values: Readonly<Record<'water' | 'air', number>>): number =>
        Math.abs(values.water - water) + Math.abs(values.air - air);
      const solved = solveMix(
        wish({
          choices: few,
          from: undefined,
          targets: [
            { name: 'water', min: water, max: water },
            { name: 'air', min: air, max: air },
          ],
        }),
      )!;
      let least = Infinity;
      for (let a = 0; a <= 10; a++)
        for (let b = 0; a + b <= 10; b++)
          for (let c = 0; a + b + c <= 10; c++) {
            const parts = [a, b, c, 10 - a - b - c].map((n, i) => ({
              component: few[i]!.component,
              parts: n,
            }));
            const medium = mediumOf(parts.filter((p) => p.parts > 0));
            least = Math.min(least, missed(fillPot(medium, container!)));
          }
      expect(missed(solved.reached)).toBeLessThan(least + 0.005);
    }
  });

  it('meets its targets by the full model, not only by the linear one', () => {
    const solved = solveMix(
      wish({
        targets: [
          { name: 'water', min: 0.38, max: 0.42 },
          { name: 'mineral', min: 0.7 },
        ],
      }),
    )!;
    expect(solved.feasible).toBe(true);
    const pot = fillPot(mediumOf(solved.parts), USUAL_CONTAINERS[0]!);
    expect(solved.reached.water).toBeCloseTo(pot.water, 9);
    expect(pot.water).toBeGreaterThan(0.378);
    expect(pot.water).toBeLessThan(0.422);
    expect(pot.medium.mineral).toBeGreaterThan(0.698);
    expect(solved.binding.length).toBeGreaterThan(0);
  });

  it('is no worse than the best of a fine grid of three components', () => {
    const three = [
      { component: component('pumice'), pricePerL: 3 },
      { component: component('coir'), pricePerL: 1 },
      { component: component('perlite'), pricePerL: 2 },
    ];
    const targets = [
      { name: 'air' as const, min: 0.25 },
      { name: 'mineral' as const, min: 0.5 },
    ];
    const solved = solveMix(wish({ choices: three, targets, aim: 'cheapest', from: undefined }))!;
    let best = Infinity;
    for (let a = 0; a <= 50; a++)
      for (let b = 0; a + b <= 50; b++) {
        const x = [a / 50, b / 50, (50 - a - b) / 50];
        const medium = mediumOf(three.map((t, i) => ({ component: t.component, parts: x[i]! })));
        const { air } = fillPot(medium, USUAL_CONTAINERS[0]!);
        if (air >= 0.25 && medium.mineral >= 0.5)
          best = Math.min(
            best,
            x.reduce((s, v, i) => s + v * three[i]!.pricePerL, 0),
          );
      }
    const got = solved.parts.reduce(
      (s, p) => s + p.parts * three.find((t) => t.component === p.component)!.pricePerL,
      0,
    );
    expect(solved.feasible).toBe(true);
    expect(got).toBeLessThan(best + 0.02);
    expect(solved.cost).toBeCloseTo((got * 10) / solved.pot.medium.yield, 6);
  });

  it('keeps within what is in the shed and says that it binds', () => {
    const solved = solveMix(
      wish({ choices: choices.map((c) => (c.component.id === 'coir' ? { ...c, litres: 2 } : c)) }),
    )!;
    const coir = solved.parts.find((p) => p.component.id === 'coir')!;
    expect((coir.parts * 10) / solved.pot.medium.yield).toBeLessThan(2.05);
    expect(solved.binding.map((b) => b.what)).toContain('Coir: 2 L in the shed');
  });

  it('explains what cannot be, with the nearest', () => {
    const solved = solveMix(
      wish({
        choices: choices.slice(0, 2),
        targets: [{ name: 'water', min: 0.6 }],
      }),
    )!;
    expect(solved.feasible).toBe(false);
    expect(solved.binding[0]!.what).toBe('water after draining at least 60%');
    expect(solved.binding[0]!.missedBy).toBeCloseTo(0.6 - solved.reached.water, 6);
    expect(solveMix(wish({ choices: [{ component: component('coir'), litres: 3 }] }))).toBeNull();
  });
});
