import * as fc from 'fast-check';
import { CATALOGUE, leastOf, methodOf, type MethodId } from '../botany';
import {
  baredLeaves,
  bestCutMap,
  sideBranches,
  columnRules,
  dilute,
  dilutionProblem,
  evenNodes,
  leastStem,
  looseRules,
  nodesFrom,
  pieceProblem,
  piecesAt,
  plantsFrom,
  smoothMarks,
  stemProblem,
  stemRules,
  trailRules,
  type CutRules,
  type PieceKind,
  type Stem,
} from '.';

const RULES: CutRules = {
  stumpNodes: 2,
  stumpMm: 25,
  crownNodes: 2,
  crownMm: 40,
  segmentNodes: 2,
  segmentMm: 30,
  bladeMm: 1,
  belowNodeMm: 2,
  bareNodes: { crown: 2, segment: 1 },
  crownChance: 0.92,
  segmentChance: 0.75,
  crownWorth: 0.92,
  segmentWorth: (nodes) => 0.75 * Math.min(1 + 0.25 * (nodes - 2), 1.75),
};

const CROWN = { chance: 0.9, least: { lengthMm: 50, nodes: 2 } };
const SEGMENT = { chance: 0.8, least: { lengthMm: 30, nodes: 3 } };

/** Every way to cut a stem just under its nodes, tried out. */
function bruteForce({ lengthMm, nodesMm }: Stem, rules: CutRules): number {
  const n = nodesMm.length;
  let best = -Infinity;
  for (let mask = 1; mask < 1 << n; mask++) {
    const cuts = Array.from({ length: n }, (_, i) => i).filter((i) => (mask & (1 << i)) !== 0);
    const at = (i: number): number =>
      Math.max(nodesMm[i]! - 2, (nodesMm[i]! + (nodesMm[i - 1] ?? 0)) / 2);
    const [first] = cuts;
    if (at(first!) < rules.stumpMm || first! < rules.stumpNodes) continue;
    const pieces = cuts.map((i, k) => {
      const next = cuts[k + 1];
      const nodes = (next ?? n) - i;
      const length = (next === undefined ? lengthMm : at(next)) - at(i) - rules.bladeMm;
      return next === undefined
        ? { good: nodes >= rules.crownNodes && length >= rules.crownMm, worth: rules.crownWorth }
        : {
            good: nodes >= rules.segmentNodes && length >= rules.segmentMm,
            worth: rules.segmentWorth(nodes),
          };
    });
    if (pieces.every((p) => p.good))
      best = Math.max(
        best,
        pieces.reduce((sum, p) => sum + p.worth, 0),
      );
  }
  return best;
}

describe('the best cutting up of a stem', () => {
  it('is as good as the best of all ways tried out, on small stems', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 500 }),
        fc.uniqueArray(fc.integer({ min: 5, max: 480 }), { minLength: 1, maxLength: 11 }),
        (lengthMm, raw) => {
          const stem = { lengthMm, nodesMm: raw.filter((m) => m < lengthMm).sort((a, b) => a - b) };
          if (stem.nodesMm.length === 0) return;
          const brute = bruteForce(stem, RULES);
          const map = bestCutMap(stem, RULES);
          if (brute === -Infinity) expect(map).toBeNull();
          else expect(map!.worth).toBeCloseTo(brute, 9);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('adds up: stump, pieces and blade make the stem, each within its rules, the right way up', () => {
    const stem = { lengthMm: 420, nodesMm: evenNodes(420, 21) };
    const map = bestCutMap(stem, RULES)!;
    const lengths = map.pieces.reduce((sum, p) => sum + p.toMm - p.fromMm, 0);
    expect(map.stump.toMm + lengths + map.cuts.length * RULES.bladeMm).toBeCloseTo(420, 9);
    expect(map.stump.nodes + map.pieces.reduce((sum, p) => sum + p.nodes, 0)).toBe(21);
    expect(map.pieces[0]!.kind).toBe('crown');
    for (const p of map.pieces) {
      expect(pieceProblem(p, RULES)).toBeNull();
      expect(p.fromMm).toBeLessThan(p.toMm);
    }
    expect(map.cuts).toEqual([...map.cuts].sort((a, b) => b - a));
  });

  it('cuts read back give the same pieces, and their plants a range', () => {
    const stem = { lengthMm: 420, nodesMm: evenNodes(420, 21) };
    const map = bestCutMap(stem, RULES)!;
    expect(piecesAt(stem, map.cuts, RULES)).toEqual(map.pieces);
    const crown = map.pieces.slice(0, 1);
    // One crown of 0.92: sd √(0.92 · 0.08) = 0.271.
    expect(plantsFrom(crown, RULES)).toEqual({ likely: 0.92, low: 1, high: 1 });
    const all = plantsFrom(map.pieces, RULES);
    expect(all.likely).toBeCloseTo(map.worth, 9);
    expect(all.low).toBeLessThan(all.likely);
    expect(all.high).toBeGreaterThan(all.likely);
  });

  it('a plant that does not come from segments gives its crown alone', () => {
    const stem = { lengthMm: 420, nodesMm: evenNodes(420, 21) };
    const map = bestCutMap(stem, stemRules(CROWN, null))!;
    expect(map.pieces).toHaveLength(1);
    // Not the whole stem as one crown: what is left of it breaks again.
    expect(map.pieces[0]!.toMm - map.pieces[0]!.fromMm).toBeLessThan(75);
    expect(stemRules(CROWN, SEGMENT).segmentWorth(5)).toBeCloseTo(0.8 * 1.5, 12);
    expect(stemRules(CROWN, SEGMENT).segmentWorth(50)).toBeCloseTo(0.8 * 1.75, 12);
  });

  it('says why a stem cannot be cut, and what a moved cut would break', () => {
    expect(stemProblem({ lengthMm: 300, nodesMm: [] })).toMatch(/never shoot/);
    expect(stemProblem({ lengthMm: 0, nodesMm: [1] })).toMatch(/no length/);
    expect(leastStem(RULES)).toBe(65);
    expect(stemProblem({ lengthMm: 300, nodesMm: [20, 10] })).toMatch(/in order/);
    expect(bestCutMap({ lengthMm: 50, nodesMm: [10, 20] }, RULES)).toBeNull();
    const piece = { kind: 'segment', fromMm: 10, toMm: 30, nodes: 3, worth: 1 } as const;
    expect(pieceProblem(piece, RULES)).toEqual({ lacks: 'length', hasMm: 20, leastMm: 30 });
    expect(pieceProblem({ ...piece, toMm: 90, nodes: 1 }, RULES)).toEqual({
      lacks: 'nodes',
      has: 1,
      least: 2,
    });
    expect(pieceProblem({ ...piece, nodes: 0 }, RULES)).toEqual({ lacks: 'any node' });
  });
});

/** Of every plant of the guide that is cut along its stem. */
const STEMS = CATALOGUE.flatMap((taxon) => {
  const kind = (method: MethodId) => {
    const way = methodOf(taxon, method);
    return way ? { chance: way.success.mean, least: leastOf(way) } : null;
  };
  const top = kind('crown') ?? kind('branch');
  const trail = kind('trailing');
  return [
    ...(top ? [{ name: taxon.name, rules: stemRules(top, kind('segment')) }] : []),
    ...(trail ? [{ name: `${taxon.name}, trail`, rules: trailRules(trail) }] : []),
  ];
});

describe('with the minima of each plant', () => {
  it.each(STEMS.map((s) => [s.name, s.rules] as const))(
    '%s: as good as all ways tried out, and no piece below its own least',
    (_name, rules) => {
      fc.assert(
        fc.property(
          fc.integer({ min: 40, max: 700 }),
          fc.uniqueArray(fc.integer({ min: 4, max: 690 }), { minLength: 1, maxLength: 9 }),
          (lengthMm, raw) => {
            const nodesMm = raw.filter((m) => m < lengthMm).sort((a, b) => a - b);
            if (nodesMm.length === 0) return;
            const stem = { lengthMm, nodesMm };
            const map = bestCutMap(stem, rules);
            const brute = bruteForce(stem, rules);
            if (brute === -Infinity) expect(map).toBeNull();
            else {
              expect(map!.worth).toBeCloseTo(brute, 9);
              // The same cuts moved nowhere by hand are the same pieces, and will do.
              const byHand = piecesAt(stem, map!.cuts, rules);
              expect(byHand).toEqual(map!.pieces);
              for (const piece of byHand) expect(pieceProblem(piece, rules)).toBeNull();
            }
          },
        ),
        { numRuns: 40 },
      );
    },
  );

  const of = (name: string): CutRules => STEMS.find((s) => s.name === name)!.rules;

  // Common practice, no source.
  it('a stacked crassula of 80 mm with eight nodes gives a crown of a leaf pair and segments', () => {
    const map = bestCutMap({ lengthMm: 80, nodesMm: evenNodes(80, 8) }, of('Crassula perforata'))!;
    expect(map.pieces.length).toBeGreaterThanOrEqual(2);
    const longer = { lengthMm: 120, nodesMm: evenNodes(120, 12) };
    expect(bestCutMap(longer, of('Crassula perforata'))!.pieces.length).toBeGreaterThan(
      map.pieces.length,
    );
  });

  it('a frangipani of 120 mm gives nothing: its branches are 150 mm', () => {
    const rules = of('Plumeria rubra');
    expect(bestCutMap({ lengthMm: 120, nodesMm: evenNodes(120, 12) }, rules)).toBeNull();
    const long = bestCutMap({ lengthMm: 400, nodesMm: evenNodes(400, 20) }, rules)!;
    expect(long.pieces[0]!.toMm - long.pieces[0]!.fromMm).toBeGreaterThanOrEqual(150);
  });

  it('a trail is cut into lengths of its own least, by nodes', () => {
    const map = bestCutMap(
      { lengthMm: 620, nodesMm: evenNodes(620, 31) },
      of('Curio rowleyanus, trail'),
    )!;
    // Nodes 20 mm apart: five with the blade’s millimetre are 99 mm, so six to a length.
    // It is cut off where it begins: no stump stays.
    expect(map.pieces.map((p) => p.nodes)).toEqual([6, 6, 6, 6, 6]);
  });

  it('nodes closer than the blade goes below them are counted alike by hand and by the best', () => {
    const stem = { lengthMm: 200, nodesMm: [20, 40, 60, 100, 101, 102.5, 130, 150] };
    const map = bestCutMap(stem, RULES)!;
    expect(piecesAt(stem, map.cuts, RULES)).toEqual(map.pieces);
  });
});

describe('other stems', () => {
  it('a smooth column is cut anywhere, each piece long enough to stand', () => {
    const rules = columnRules(0.85, 60);
    const map = bestCutMap({ lengthMm: 500, nodesMm: smoothMarks(500) }, rules)!;
    // 500 less a stump of 60: four pieces of 90 and more, and the blade between them.
    expect(map.pieces).toHaveLength(4);
    expect(map.worth).toBeCloseTo(4 * 0.85, 9);
    for (const p of map.pieces) expect(p.toMm - p.fromMm).toBeGreaterThanOrEqual(90);
    expect(map.stump.toMm).toBeGreaterThanOrEqual(60);
  });

  it('a jointed one only at its joints', () => {
    const joints = [70, 190, 300, 420];
    const map = bestCutMap({ lengthMm: 520, nodesMm: joints }, columnRules(0.9, 30))!;
    for (const cut of map.cuts) expect(joints).toContain(cut);
    expect(map.pieces).toHaveLength(4);
  });

  it('laid segments may be shorter than standing ones, and shoot from more nodes', () => {
    const stem = { lengthMm: 420, nodesMm: evenNodes(420, 21) };
    const laid = bestCutMap(stem, stemRules(CROWN, SEGMENT, true))!;
    const standing = bestCutMap(stem, stemRules(CROWN, SEGMENT))!;
    expect(laid.worth).toBeGreaterThan(standing.worth);
    expect(Math.min(...laid.pieces.map((p) => p.nodes))).toBe(2);
  });

  it('bared nodes give leaves: two of the crown, one of each standing segment, no more than there are', () => {
    const stem = { lengthMm: 420, nodesMm: evenNodes(420, 21) };
    const rules = stemRules(CROWN, SEGMENT);
    const { pieces } = bestCutMap(stem, rules)!;
    expect(baredLeaves(pieces, rules, 2)).toBe(4 + 2 * (pieces.length - 1));
    expect(baredLeaves([{ ...pieces[0]!, nodes: 1 }], rules, 1)).toBe(1);
    expect(baredLeaves(pieces, stemRules(CROWN, SEGMENT, true), 1)).toBe(2);
  });

  it('reads heights as they are typed', () => {
    const mm = (t: string): number | null =>
      Number.isFinite(Number(t.replace(',', '.'))) ? Number(t.replace(',', '.')) : null;
    expect(nodesFrom('80, 30 55', mm)).toEqual([30, 55, 80]);
    expect(nodesFrom('12,5; 30', mm)).toEqual([12.5, 30]);
    expect(nodesFrom('30, oak', mm)).toBeNull();
    expect(nodesFrom('  ', mm)).toEqual([]);
  });
});

describe('thinning a disinfectant', () => {
  it('by hand: 96% to 70%, 500 mL: 365 of spirit, 135 of water; 5% bleach to 0.5%: one to nine', () => {
    expect(dilute(0.96, 0.7, 500).stockMl).toBeCloseTo(364.58, 2);
    expect(dilute(0.96, 0.7, 500).waterMl).toBeCloseTo(135.42, 2);
    const bleach = dilute(0.05, 0.005, 1000);
    expect(bleach.stockMl).toBeCloseTo(100, 9);
    expect(bleach.waterMl).toBeCloseTo(900, 9);
    expect(dilute(0.7, 0.7, 200)).toEqual({ stockMl: 200, waterMl: 0 });
  });

  it('cannot strengthen', () => {
    expect(dilutionProblem(0.5, 0.7, 100)).toMatch(/weaker than that/);
    expect(dilutionProblem(0, 0.7, 100)).toMatch(/label/);
    expect(dilutionProblem(0.9, 0, 100)).toMatch(/between/);
    expect(dilutionProblem(0.9, 0.7, 0)).toMatch(/How much/);
    expect(() => dilute(0.5, 0.7, 100)).toThrow(RangeError);
  });
});

describe('a stem that lies on the table, or has branches', () => {
  it('leaves no stump: its base is a piece like others', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 500 }),
        fc.integer({ min: 3, max: 30 }),
        (lengthMm, count) => {
          const stem = { lengthMm, nodesMm: evenNodes(lengthMm, count) };
          const standing = bestCutMap(stem, RULES);
          const loose = bestCutMap(stem, looseRules(RULES));
          // Off the mother it gives at least as much, and whatever is long enough gives something.
          expect(loose?.worth ?? 0).toBeGreaterThanOrEqual(standing?.worth ?? 0);
          if (lengthMm >= RULES.crownMm && count >= RULES.crownNodes) expect(loose).not.toBeNull();
          if (!loose) return;
          const long = loose.pieces.reduce((sum, p) => sum + p.toMm - p.fromMm, 0);
          const blades = loose.cuts.filter((c) => c > 0).length * RULES.bladeMm;
          expect(long + blades + loose.stump.toMm).toBeCloseTo(lengthMm, 9);
          for (const p of loose.pieces) expect(pieceProblem(p, RULES)).toBeNull();
          expect(piecesAt(stem, loose.cuts, looseRules(RULES))).toEqual(loose.pieces);
        },
      ),
    );
  });

  it('a bare stretch is the place to cut, and its nodes are bared already', () => {
    const stem = { lengthMm: 300, nodesMm: evenNodes(300, 20), bareMm: { from: 60, to: 200 } };
    const map = bestCutMap(stem, stemRules(CROWN, null))!;
    expect(map.cuts[0]).toBeGreaterThanOrEqual(60);
    expect(map.cuts[0]).toBeLessThanOrEqual(180);
    // Without it the crown is as short as may be, up among good leaves.
    expect(
      bestCutMap({ ...stem, bareMm: undefined }, stemRules(CROWN, null))!.cuts[0],
    ).toBeGreaterThan(200);
    const rules = stemRules(CROWN, SEGMENT);
    const both = bestCutMap(stem, rules)!;
    expect(baredLeaves(both.pieces, rules, 2, stem)).toBeLessThan(
      baredLeaves(both.pieces, rules, 2),
    );
    // Where no cut in it would do, it is cut where it can be.
    expect(bestCutMap({ ...stem, bareMm: { from: 0, to: 5 } }, rules)).not.toBeNull();
  });

  it('of a loose stem the old end comes off first, straight: it is in no piece, and so are its nodes', () => {
    const stem = { lengthMm: 200, nodesMm: evenNodes(200, 20) };
    const rules = looseRules(stemRules(CROWN, SEGMENT), 10);
    const map = bestCutMap(stem, rules)!;
    expect(map.cuts.at(-1)).toBe(10);
    expect(map.pieces.at(-1)!.fromMm).toBe(10 + rules.bladeMm);
    expect(map.stump).toEqual({ toMm: 10, nodes: 1 });
    expect(map.pieces.reduce((sum, p) => sum + p.nodes, 0)).toBe(19);
    // What the cuts make is what the map said, and no end is worth having back.
    expect(piecesAt(stem, map.cuts, rules)).toEqual(map.pieces);
    expect(map.worth).toBeLessThanOrEqual(bestCutMap(stem, looseRules(rules))!.worth);
    // A short one is one cutting, shorter by its end; too short for that it is none.
    const short = bestCutMap({ lengthMm: 75, nodesMm: evenNodes(75, 6) }, rules)!;
    expect(short.pieces).toHaveLength(1);
    expect(short.pieces[0]!.fromMm).toBe(11);
  });

  it('each branch is cut at its base; what is too short for a cutting is told', () => {
    const branches = sideBranches([120, 60, 20], 15, stemRules(CROWN, null));
    expect(branches.map(({ pieces }) => pieces.length)).toEqual([1, 1, 0]);
    expect(branches.map(({ stem }) => stem.lengthMm)).toEqual([120, 60, 20]);
    expect(sideBranches([], 15, RULES)).toEqual([]);
    // With segments a long branch gives more than its top.
    const [long] = sideBranches([200], 12, stemRules(CROWN, SEGMENT));
    expect(long!.pieces.length).toBeGreaterThan(2);
  });

  // Common practice, no source: a strand of 10 cm takes; one or two leaf pairs of a stacked crassula do; pieces of a
  // kalanchoe have two or three nodes.
  it('a strand of 11 cm is one trail', () => {
    const pearls = plantOf('curio-rowleyanus', 'trailing');
    const map = bestCutMap({ lengthMm: 110, nodesMm: evenNodes(110, 14) }, trailRules(pearls))!;
    expect(map.pieces).toHaveLength(1);
    expect(map.pieces[0]!.toMm - map.pieces[0]!.fromMm).toBeGreaterThan(100);
  });

  it('a crown of a stacked crassula takes one or two leaf pairs', () => {
    const rules = stemRules(
      plantOf('crassula-perforata', 'crown'),
      plantOf('crassula-perforata', 'segment'),
    );
    const map = bestCutMap({ lengthMm: 160, nodesMm: evenNodes(160, 20) }, rules)!;
    expect(map.pieces[0]!.nodes).toBeLessThanOrEqual(2);
  });

  it('ten nodes of a kalanchoe give four pieces and a stump, five where it lies on the table', () => {
    const rules = stemRules(
      plantOf('kalanchoe-blossfeldiana', 'crown'),
      plantOf('kalanchoe-blossfeldiana', 'segment'),
    );
    const stem = { lengthMm: 200, nodesMm: evenNodes(200, 10) };
    expect(bestCutMap(stem, rules)!.pieces).toHaveLength(4);
    expect(bestCutMap(stem, looseRules(rules))!.pieces).toHaveLength(5);
  });
});

/** What takes of a plant by a way, its chance set aside. */
function plantOf(id: string, method: MethodId): PieceKind {
  const way = methodOf(
    CATALOGUE.find((t) => t.id === id)!,
    method,
  )!;
  return { chance: 0.8, least: leastOf(way) };
}
