import * as say from '@hypogeon/messages/core-plan-cut-map';
import type { Least } from '../botany';

/** A stem as it stands, base to tip. Lengths mm. */
export interface Stem {
  readonly lengthMm: number;
  /** Where it has no leaves any more, heights above the base: there one cuts, for its nodes root and nothing is lost. */
  readonly bareMm?: { readonly from: number; readonly to: number } | undefined;
  /** Heights of the nodes above the base, in order. */
  readonly nodesMm: readonly number[];
}

export type StemPiece = 'crown' | 'segment';

/** What a piece must have, and what it is worth. */
export interface CutRules {
  /** It was cut off already: no stump stays, and its base is a piece like others. */
  readonly loose?: boolean;
  /** Its old cut is made afresh, straight across, so far up; 0 or untold where it stays as it is. */
  readonly trimMm?: number;
  /** Nodes that stay on the mother, and the least height of the stump. */
  readonly stumpNodes: number;
  readonly stumpMm: number;
  /** The crown with its bare stem. */
  readonly crownNodes: number;
  readonly crownMm: number;
  readonly segmentNodes: number;
  readonly segmentMm: number;
  /** Lost to every cut. */
  readonly bladeMm: number;
  /** The blade goes so far below a node or joint. */
  readonly belowNodeMm: number;
  /** Nodes bared for the surface: their leaves come off. */
  readonly bareNodes: { readonly crown: number; readonly segment: number };
  /** Chance that a crown, and that a segment, takes. */
  readonly crownChance: number;
  readonly segmentChance: number;
  /** Expected plants from a crown, and from a segment by its nodes (more nodes, more shoots). */
  readonly crownWorth: number;
  segmentWorth(nodes: number): number;
}

/** A segment gives so much of a shoot more for each node beyond its least. Working assumptions. */
const MORE_PER_NODE = 0.25;
const MORE_PER_NODE_LAID = 0.35;
const MOST_SHOOTS = 1.75;
/** A plant that does not come from segments: no stem has so many nodes. */
const NEVER = Number.MAX_SAFE_INTEGER;
/** Cuts are made so far below a node: it then stands at the base of the piece, where roots break. */
const BELOW_NODE_MM = 2;
/** Laid segments may be as short as this, whatever a standing one needs. Common practice, no source. */
const LAID: Required<Pick<Least, 'lengthMm' | 'nodes'>> = { lengthMm: 20, nodes: 2 };

/** One kind of piece of a plant: its chance, and the least that takes of that plant by that way. */
export interface PieceKind {
  readonly chance: number;
  readonly least: Least;
}

/**
 * The rules of a stem, with the minima of that plant: a stacked crown needs one leaf pair, a frangipani branch 150 mm.
 * @param crown of the top: a crown or a branch
 * @param segment null where the plant is not raised from segments
 * @param laid segments lie half covered instead of standing: shorter will do, and more nodes shoot
 */
export function stemRules(crown: PieceKind, segment: PieceKind | null, laid = false): CutRules {
  const { nodes = 1, lengthMm = 0 } = segment?.least ?? {};
  const segmentNodes = laid ? Math.min(nodes, LAID.nodes) : nodes;
  const chance = segment?.chance ?? 0;
  const more = laid ? MORE_PER_NODE_LAID : MORE_PER_NODE;
  const crownNodes = crown.least.nodes ?? 1;
  return {
    stumpNodes: 2,
    stumpMm: 25,
    crownNodes,
    crownMm: crown.least.lengthMm ?? 0,
    segmentNodes: segment === null ? NEVER : segmentNodes,
    segmentMm: laid ? Math.min(lengthMm, LAID.lengthMm) : lengthMm,
    bladeMm: 1,
    belowNodeMm: BELOW_NODE_MM,
    // A crown of a single leaf pair keeps it.
    bareNodes: { crown: crownNodes < 2 ? 0 : 2, segment: laid ? 0 : 1 },
    crownChance: crown.chance,
    segmentChance: chance,
    crownWorth: crown.chance,
    segmentWorth: (n) => chance * Math.min(1 + more * Math.max(0, n - segmentNodes), MOST_SHOOTS),
  };
}

/** A trail: cut into lengths, each of which lies on the surface and roots at its nodes. @param kind of the trail */
export function trailRules({ chance, least }: PieceKind): CutRules {
  const { nodes = 1, lengthMm = 0 } = least;
  return {
    // A strand is cut off where it begins.
    stumpNodes: 0,
    stumpMm: 0,
    crownNodes: nodes,
    crownMm: lengthMm,
    segmentNodes: nodes,
    segmentMm: lengthMm,
    bladeMm: 1,
    belowNodeMm: BELOW_NODE_MM,
    bareNodes: { crown: nodes, segment: nodes },
    crownChance: chance,
    segmentChance: chance,
    crownWorth: chance,
    segmentWorth: () => chance,
  };
}

/** An old, torn or slanting end comes off so far up. Common practice, no source; 5–20. */
export const TRIM_MM = 10;

/** The same rules for a stem that lies on the table. @param trimMm of its old end that comes off first */
export const looseRules = (rules: CutRules, trimMm = 0): CutRules => ({
  ...rules,
  loose: true,
  trimMm,
  stumpNodes: 0,
  stumpMm: 0,
});

/** A cactus column: cut at its joints where it has any, each piece long enough to stand. Common practice, no source. */
export function columnRules(
  chance: number,
  widthMm: number,
  { lengthMm = 80 }: Least = {},
): CutRules {
  // Stands by itself at one and a half times its width; thin ones want a hand's breadth.
  const least = Math.max(lengthMm, 1.5 * widthMm);
  return {
    stumpNodes: 0,
    stumpMm: Math.max(50, widthMm),
    crownNodes: 0,
    crownMm: least,
    segmentNodes: 1,
    segmentMm: least,
    bladeMm: 1,
    belowNodeMm: 0,
    bareNodes: { crown: 0, segment: 0 },
    crownChance: chance,
    segmentChance: chance,
    crownWorth: chance,
    segmentWorth: () => chance,
  };
}

/** A smooth column may be cut anywhere: marks every so many mm. */
export function smoothMarks(lengthMm: number, everyMm = 10): readonly number[] {
  return Array.from(
    { length: Math.max(0, Math.ceil(lengthMm / everyMm) - 1) },
    (_, i) => (i + 1) * everyMm,
  );
}

/** A piece of the stem, from its lower cut to its upper one. */
export interface CutPiece {
  readonly kind: StemPiece;
  readonly fromMm: number;
  readonly toMm: number;
  readonly nodes: number;
  readonly worth: number;
}

export interface CutMap {
  readonly pieces: readonly CutPiece[];
  /** What stays on the mother; of a loose stem what is thrown away. */
  readonly stump: { readonly toMm: number; readonly nodes: number };
  /** Where the blade goes, heights in order from the top; 0 where the base of a loose stem is a piece as it is. */
  readonly cuts: readonly number[];
  /** Expected plants. */
  readonly worth: number;
}

/** Why a stem cannot be cut up, in the grower's words; empty if it can. */
export function stemProblem({ lengthMm, nodesMm }: Stem): string {
  if (!(lengthMm > 0)) return say.theStemHasNo();
  if (nodesMm.length === 0) return say.noNodeIsMarked();
  if (nodesMm.some((n, i) => n < 0 || n > lengthMm || (i > 0 && n <= nodesMm[i - 1]!)))
    return say.theNodesStandIn();
  return '';
}

/** What a stem must be long at least: a stump that stays and a top that takes. */
export const leastStem = ({ stumpMm, crownMm }: CutRules): number => stumpMm + crownMm;

/** Where the blade goes just under a node: never through the node below it, however close that stands. */
function cutUnder({ nodesMm }: Stem, i: number, { belowNodeMm }: CutRules): number {
  const node = nodesMm[i]!;
  const below = i === 0 ? 0 : nodesMm[i - 1]!;
  return Math.max(node - belowNodeMm, (node + below) / 2);
}

/** The piece below a cut is the base of a loose stem. */
const BASE = -3;
/** A crown is cut so far into the bare stretch below its leaves, to stand on. Common practice, no source; 20–30. */
const BARE_STEM_MM = 20;

/** A cut in the bare stretch, with stem enough above it to stand on; anywhere where there is none. */
function inBare({ bareMm }: Stem, cutMm: number): boolean {
  if (!bareMm) return true;
  const room = Math.min(BARE_STEM_MM, (bareMm.to - bareMm.from) / 2);
  return cutMm >= bareMm.from && cutMm <= bareMm.to - room;
}

/**
 * The cutting up of a stem that gives the most expected plants: a stump at the base, segments, a crown.
 * Exact, by dynamic programming over the nodes from the base: the best that can be made of the stem
 * below each possible cut, which lies just under a node.
 * @returns null where not even a crown can be taken
 */
export function bestCutMap(stem: Stem, rules: CutRules): CutMap | null {
  if (stemProblem(stem) !== '' || stem.lengthMm < leastStem(rules)) return null;
  const { nodesMm, lengthMm } = stem;
  const n = nodesMm.length;
  const cutAt = (i: number): number => cutUnder(stem, i, rules);
  const trim = rules.loose ? (rules.trimMm ?? 0) : 0;
  /** Where the lowest piece of a loose stem begins, and the nodes below that are lost with the old end. */
  const foot = trim === 0 ? 0 : trim + rules.bladeMm;
  const lost = nodesMm.filter((mm) => mm < foot).length;
  // best[i]: the most of the stem below a cut just under node i; `back` the cut before it, −1 the stump.
  const best = new Float64Array(n).fill(-Infinity);
  const back = new Int32Array(n).fill(-2);
  for (let i = 0; i < n; i++) {
    if (cutAt(i) >= Math.max(rules.stumpMm, trim) && i >= rules.stumpNodes) {
      best[i] = 0;
      back[i] = -1;
    }
    if (rules.loose && i - lost >= rules.segmentNodes && cutAt(i) - foot >= rules.segmentMm) {
      best[i] = rules.segmentWorth(i - lost);
      back[i] = BASE;
    }
    for (let j = i - rules.segmentNodes; j >= 0; j--) {
      if (best[j] === -Infinity) continue;
      if (cutAt(i) - cutAt(j) - rules.bladeMm < rules.segmentMm) continue;
      const worth = best[j]! + rules.segmentWorth(i - j);
      if (worth > best[i]!) {
        best[i] = worth;
        back[i] = j;
      }
    }
  }
  const topOf = (allowed: (cutMm: number) => boolean): number => {
    let top = -1;
    for (let i = 0; i < n; i++) {
      if (best[i] === -Infinity || n - i < rules.crownNodes || !allowed(cutAt(i))) continue;
      if (lengthMm - cutAt(i) - rules.bladeMm < rules.crownMm) continue;
      // Of two that give as much, the shorter crown: what it leaves stays on her and breaks again. Of a loose one the
      // longer: what it leaves is thrown away.
      if (top === -1 || best[i]! > best[top]! || (!rules.loose && best[i] === best[top])) top = i;
    }
    return top;
  };
  const bare = topOf((cut) => inBare(stem, cut));
  const top = bare === -1 ? topOf(() => true) : bare;
  if (top === -1 || (rules.loose && best[top] === 0)) {
    // A loose one of which nothing but a top comes is one cutting as it is.
    if (!rules.loose || lengthMm - foot < rules.crownMm || n - lost < rules.crownNodes) return null;
    const whole: CutPiece = {
      kind: 'crown',
      fromMm: foot,
      toMm: lengthMm,
      nodes: n - lost,
      worth: rules.crownWorth,
    };
    const stump = { toMm: trim, nodes: lost };
    return { pieces: [whole], stump, cuts: [trim], worth: rules.crownWorth };
  }
  const cuts: number[] = [];
  const pieces: CutPiece[] = [
    {
      kind: 'crown',
      fromMm: cutAt(top) + rules.bladeMm,
      toMm: lengthMm,
      nodes: n - top,
      worth: rules.crownWorth,
    },
  ];
  let at = top;
  for (; back[at]! >= 0; at = back[at]!) {
    const below = back[at]!;
    cuts.push(cutAt(at));
    pieces.push({
      kind: 'segment',
      fromMm: cutAt(below) + rules.bladeMm,
      toMm: cutAt(at),
      nodes: at - below,
      worth: rules.segmentWorth(at - below),
    });
  }
  cuts.push(cutAt(at));
  if (back[at] === BASE) {
    cuts.push(trim);
    pieces.push({
      kind: 'segment',
      fromMm: foot,
      toMm: cutAt(at),
      nodes: at - lost,
      worth: rules.segmentWorth(at - lost),
    });
  }
  return {
    pieces,
    stump: back[at] === BASE ? { toMm: trim, nodes: lost } : { toMm: cutAt(at), nodes: at },
    cuts,
    worth: best[top]! + rules.crownWorth,
  };
}

/** Nodes evenly spaced over a stem, the lowest half a step above the base. */
export function evenNodes(lengthMm: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, i) => (lengthMm * (i + 0.5)) / count);
}

/** Heights of nodes as typed, `30, 55, 80`; null where one of them is no number. */
export function nodesFrom(
  text: string,
  toMm: (typed: string) => number | null,
): readonly number[] | null {
  const parts = text
    .split(/[\s;]+|,(?!\d)|,\s/)
    .map((t) => t.trim())
    .filter(Boolean);
  const heights = parts.map(toMm);
  return heights.some((h) => h === null) ? null : (heights as number[]).toSorted((a, b) => a - b);
}

/** A side branch, cut off at its base, and what it is cut into, from its tip; nothing where it is too short. */
export interface SideBranch {
  readonly stem: Stem;
  readonly pieces: readonly CutPiece[];
}

/**
 * Side branches, each cut off at its base and cut up like a loose stem, its nodes as close as on the stem.
 * @param branchesMm their lengths
 * @param everyMm from node to node
 */
export function sideBranches(
  branchesMm: readonly number[],
  everyMm: number,
  rules: CutRules,
): readonly SideBranch[] {
  return branchesMm.map((lengthMm) => {
    const nodes = Math.max(1, Math.round(lengthMm / Math.max(everyMm, 1)));
    const stem = { lengthMm, nodesMm: evenNodes(lengthMm, nodes) };
    return { stem, pieces: bestCutMap(stem, looseRules(rules))?.pieces ?? [] };
  });
}

/**
 * Leaves that come off where nodes are bared; a bare stretch has none.
 * @param perNode leaves at a node: 1, or 2 in pairs
 */
export function baredLeaves(
  pieces: readonly CutPiece[],
  { bareNodes }: CutRules,
  perNode: number,
  stem?: Stem,
): number {
  const bare = stem?.bareMm;
  const leafy = ({ fromMm, toMm, nodes }: CutPiece): number =>
    bare === undefined || stem === undefined
      ? nodes
      : stem.nodesMm.filter(
          (mm) => mm >= fromMm - 1 && mm <= toMm && (mm < bare.from || mm > bare.to),
        ).length;
  return pieces.reduce((sum, p) => {
    // What stands bare already is what goes under: leaves come off only where that is not enough.
    const wanted = Math.max(0, bareNodes[p.kind] - (p.nodes - leafy(p)));
    return sum + Math.min(wanted, leafy(p)) * perNode;
  }, 0);
}

/** What a cut that was moved by hand breaks of the rules. */
export type PieceProblem =
  | { readonly lacks: 'any node' }
  | { readonly lacks: 'nodes'; readonly has: number; readonly least: number }
  | { readonly lacks: 'length'; readonly hasMm: number; readonly leastMm: number };

/** @returns null where the piece will do */
export function pieceProblem(piece: CutPiece, rules: CutRules): PieceProblem | null {
  const length = piece.toMm - piece.fromMm;
  const [nodes, mm] =
    piece.kind === 'crown'
      ? [rules.crownNodes, rules.crownMm]
      : [rules.segmentNodes, rules.segmentMm];
  if (piece.nodes === 0 && nodes > 0) return { lacks: 'any node' };
  if (piece.nodes < nodes) return { lacks: 'nodes', has: piece.nodes, least: nodes };
  // What the blade takes is not weighed to the hair.
  if (length < mm - 1e-9) return { lacks: 'length', hasMm: length, leastMm: mm };
  return null;
}

/** The pieces that cuts at these heights make, from the top. @param cuts heights in order from the top */
export function piecesAt(
  { lengthMm, nodesMm }: Stem,
  cuts: readonly number[],
  rules: CutRules,
): readonly CutPiece[] {
  return cuts.map((cut, i) => {
    const toMm = cuts[i - 1] ?? lengthMm;
    // A joint that is cut at belongs to the piece above it; the tip to the top.
    const nodes = nodesMm.filter((n) => n >= cut && (i === 0 || n < toMm)).length;
    const kind = i === 0 ? 'crown' : 'segment';
    const worth = kind === 'crown' ? rules.crownWorth : rules.segmentWorth(nodes);
    // The base of a loose stem was cut before: no blade takes of it.
    const fromMm = cut === 0 ? 0 : cut + rules.bladeMm;
    return { kind, fromMm, toMm, nodes, worth };
  });
}

/** Eight times in ten. */
const Z80 = 1.2816;

/** Plants to be expected of pieces, each of which takes or does not; the range holds eight times in ten. */
export function plantsFrom(
  pieces: readonly CutPiece[],
  { crownChance, segmentChance }: CutRules,
): { readonly likely: number; readonly low: number; readonly high: number } {
  const likely = pieces.reduce((sum, p) => sum + p.worth, 0);
  const variance = pieces.reduce((sum, { kind, worth }) => {
    const chance = kind === 'crown' ? crownChance : segmentChance;
    return chance === 0 ? sum : sum + (worth ** 2 * (1 - chance)) / chance;
  }, 0);
  const spread = Z80 * Math.sqrt(variance);
  return {
    likely,
    low: Math.max(0, Math.round(likely - spread)),
    high: Math.round(likely + spread),
  };
}
