import { capacityOf, type Column } from './column';

/** How wet a pot is: each layer against drained, 0–1, and what stands free at a closed base. */
export interface Wetness {
  readonly layers: Float64Array;
  /** Free water in a pot without holes, mm³. */
  readonly poolMm3: number;
}

/** As dry as air leaves it, against drained. Working assumption; 0.01–0.06 make sense. */
export const AIR_DRY = 0.03;
/** Evaporation through an unglazed wall against a wet surface. Working assumption; 0.2–0.4. */
export const CLAY_SHARE = 0.3;
/** What a dressing of grit leaves of the evaporation. Working assumption; 0.4–0.6. */
export const GRIT_DRESSING = 0.5;
/** What a dressing of moss, coir or vermiculite leaves of it: it dries itself first, and shades. Working assumption; 0.6–0.85. */
export const MOIST_DRESSING = 0.7;

export const TOP_DRESSINGS = ['grit', 'moist'] as const;
export type TopDressing = (typeof TOP_DRESSINGS)[number];

/** What a top-dress leaves of the evaporation. */
export const dressingLeaves = (dressing: TopDressing | undefined): number =>
  dressing === undefined ? 1 : dressing === 'grit' ? GRIT_DRESSING : MOIST_DRESSING;
/**
 * What succulents drink against the evaporation of a wet surface, where their crowns cover all of the pot: they open by
 * night. Source: FAO-56 (Allen et al. 1998), table 17, basal coefficient of pineapple over bare soil, 0.25 (from memory).
 */
export const DRINKS_SHARE = 0.25;
/** Roots no longer draw their full share once the medium round them is drier than this. Working assumption; 0.1–0.3. */
const ROOTS_FALTER = 0.2;
/** A wall no longer gives its full share once the medium beside it is drier than this. */
const WALL_FALTERS = 0.5;

export function evenly(column: Column, wetness: number): Wetness {
  return { layers: new Float64Array(column.thick.length).fill(wetness), poolMm3: 0 };
}

/** Water in the pot, mm³. */
export function waterIn(column: Column, { layers, poolMm3 }: Wetness): number {
  let sum = poolMm3;
  for (let i = 0; i < layers.length; i++) sum += layers[i]! * column.capacity[i]!;
  return sum;
}

/** Water against what it holds after draining; above 1 where it pools. */
export function fillOf(column: Column, wetness: Wetness): number {
  return waterIn(column, wetness) / capacityOf(column);
}

/** How wet it is at a depth, against drained, between the middles of layers. */
export function wetnessAt(column: Column, { layers }: Wetness, depthMm: number): number {
  const { middle } = column;
  const last = middle.length - 1;
  if (depthMm <= middle[0]!) return layers[0]!;
  if (depthMm >= middle[last]!) return layers[last]!;
  let i = 0;
  while (middle[i + 1]! < depthMm) i++;
  const share = (depthMm - middle[i]!) / (middle[i + 1]! - middle[i]!);
  return layers[i]! + (layers[i + 1]! - layers[i]!) * share;
}

/** Mean wetness from the surface to a depth, against drained. */
export function wetnessTo(column: Column, { layers }: Wetness, depthMm: number): number {
  let held = 0;
  let room = 0;
  let top = 0;
  for (let i = 0; i < layers.length && top < depthMm; i++) {
    const share = Math.min(1, (depthMm - top) / column.thick[i]!);
    held += layers[i]! * column.capacity[i]! * share;
    room += column.capacity[i]! * share;
    top += column.thick[i]!;
  }
  return room === 0 ? 0 : held / room;
}

export interface Dried {
  readonly wetness: Wetness;
  /** Lost to the air, mm³. */
  readonly lostMm3: number;
}

/**
 * Dries a pot for a while: water moves up the column as fast as the medium lets it and leaves by the
 * surface no faster than the air can take it, and through unglazed walls.
 *
 * `∂θ/∂t = ∂/∂z (D θr ∂(θ/θr)/∂z) − wall − roots`, θr the drained profile, so that a drained pot is at rest
 * (docs/decisions/007); implicit finite volumes, closed to rounding. Roots draw on all of the pot alike.
 * @param evaporationMm from a wet surface, mm/d, ≥ 0
 * @param days > 0; divided into steps of at most `stepDays`
 * @param cover share of the surface that the crowns of rooted plants cover, 0–1; 0 where nothing drinks
 */
export function dry(
  column: Column,
  start: Wetness,
  evaporationMm: number,
  days: number,
  stepDays = 0.125,
  cover = 0,
): Dried {
  const steps = Math.max(1, Math.round(days / stepDays));
  const dt = days / steps;
  let { poolMm3 } = start;
  let lost = 0;
  const layers = Float64Array.from(start.layers);
  makeRoom(layers.length);
  // mm³ a day from all layers alike, by what each holds.
  const drunk =
    cover > 0 ? (DRINKS_SHARE * cover * evaporationMm * column.surfaceMm2) / capacityOf(column) : 0;
  for (let s = 0; s < steps; s++) {
    lost += step(column, layers, evaporationMm, dt, drunk);
    poolMm3 = soakUp(column, layers, poolMm3);
  }
  return { wetness: { layers, poolMm3 }, lostMm3: lost };
}

/** Scratch space, filled anew in every step; one allocation serves all pots. */
let before = new Float64Array(64);
let c = new Float64Array(64);
let d = new Float64Array(64);
let wall = new Float64Array(64);

function makeRoom(layers: number): void {
  if (layers <= c.length) return;
  [before, c, d, wall] = [0, 0, 0, 0].map(() => new Float64Array(layers)) as [
    Float64Array<ArrayBuffer>,
    Float64Array<ArrayBuffer>,
    Float64Array<ArrayBuffer>,
    Float64Array<ArrayBuffer>,
  ];
}

/** Dry surface: the layer gives what it can, not what the air asks. */
function step(
  column: Column,
  u: Float64Array,
  evaporationMm: number,
  dt: number,
  drunk: number,
): number {
  const asked = evaporationMm * column.surfaceMm2;
  const supply = column.surfaceEase * (u[0]! - AIR_DRY);
  if (asked < supply) {
    before.set(u);
    const lost = solve(column, u, evaporationMm, dt, drunk, asked, 0);
    if (column.surfaceEase * (u[0]! - AIR_DRY) >= asked) return lost;
    // It ran short within the step: take it again as a dry surface.
    u.set(before.subarray(0, u.length));
  }
  return solve(
    column,
    u,
    evaporationMm,
    dt,
    drunk,
    0,
    asked === 0 || supply <= 0 ? 0 : column.surfaceEase,
  );
}

/**
 * One implicit step in place: a fixed loss from the first layer, or one in proportion to how far it is
 * above air-dry. Tridiagonal, by Thomas' algorithm.
 * @returns mm³ lost
 */
function solve(
  column: Column,
  u: Float64Array,
  evaporationMm: number,
  dt: number,
  drunk: number,
  fixed: number,
  surfaceEase: number,
): number {
  const { capacity, ease, clayMm2 } = column;
  const n = u.length;
  let above = 0;
  for (let i = 0; i < n; i++) {
    const store = capacity[i]! / dt;
    const clay = clayMm2[i]!;
    // To nothing at air-dry: no medium gives water to dry air, nor drinks from it.
    wall[i] =
      clay > 0 && u[i]! > AIR_DRY
        ? (CLAY_SHARE * evaporationMm * clay) / (Math.max(u[i]!, WALL_FALTERS) - AIR_DRY)
        : 0;
    if (drunk > 0 && u[i]! > AIR_DRY)
      wall[i]! += (drunk * capacity[i]!) / (Math.max(u[i]!, ROOTS_FALTER) - AIR_DRY);
    const below = i < n - 1 ? ease[i]! : 0;
    let diagonal = store + above + below + wall[i]!;
    let right = store * u[i]! + wall[i]! * AIR_DRY;
    if (i === 0) {
      diagonal += surfaceEase;
      right += surfaceEase * AIR_DRY - fixed;
    }
    // Forward elimination; the term above is −`above`.
    const pivot = diagonal - (i > 0 ? above * c[i - 1]! : 0);
    c[i] = below / pivot;
    d[i] = (right + (i > 0 ? above * d[i - 1]! : 0)) / pivot;
    above = below;
  }
  for (let i = n - 1; i >= 0; i--) u[i] = d[i]! + (i < n - 1 ? c[i]! * u[i + 1]! : 0);
  let lost = (fixed + surfaceEase * (u[0]! - AIR_DRY)) * dt;
  for (let i = 0; i < n; i++) lost += wall[i]! * (u[i]! - AIR_DRY) * dt;
  return lost;
}

/** Free water at a closed base rises into the layers above it, lowest first. */
function soakUp(column: Column, layers: Float64Array, poolMm3: number): number {
  let pool = poolMm3;
  for (let i = layers.length - 1; i >= 0 && pool > 0; i--) {
    const room = Math.max(0, 1 - layers[i]!) * column.capacity[i]!;
    const taken = Math.min(room, pool);
    layers[i]! += taken / column.capacity[i]!;
    pool -= taken;
  }
  return pool;
}
