import { assertFraction, assertPositive } from '../assert';
/** Terzaghi & Peck's constant lies between 0.1 and 0.5 cm²; the middle is taken. */
const CAPILLARY_CM2 = 0.3;
/** Pore-size index of the draining part. Working assumption; 1.5–3 make sense for grit. */
const LAMBDA = 2;
/** Share of the voids that stays wet however high. Working assumption; 0.08–0.2 make sense. */
const RESIDUAL = 0.12;

/**
 * Height above a free-draining base up to which the gaps between grains stay full: the wet foot.
 * @param voids share of the heap between the grains, 0–1
 * @param surfaceMeanMm grain size 1 / Σ(share / size), mm: the fines rule
 * @returns mm
 * Source: h = C / (e · D), Terzaghi & Peck, Soil Mechanics in Engineering Practice; e is the void
 * ratio, D the grain size in cm, C 0.1–0.5 cm².
 */
export function fringeHeight(voids: number, surfaceMeanMm: number): number {
  assertFraction('voids', voids);
  assertPositive('surfaceMeanMm', surfaceMeanMm);
  if (voids === 0 || voids === 1) return 0;
  const voidRatio = voids / (1 - voids);
  return (CAPILLARY_CM2 / (voidRatio * (surfaceMeanMm / 10))) * 10;
}

/**
 * How full the gaps are at a height above the base of a drained pot.
 * @param heightMm above the drain holes
 * @param fringeMm height of the wet foot
 * @returns 0–1
 * Source: Brooks & Corey 1964, with the wet foot as air entry.
 */
export function saturationAt(heightMm: number, fringeMm: number): number {
  if (heightMm <= fringeMm) return 1;
  return RESIDUAL + (1 - RESIDUAL) * (fringeMm / heightMm) ** LAMBDA;
}

/**
 * Mean of `saturationAt` between two heights, in closed form.
 * @returns 0–1
 */
export function meanSaturation(fromMm: number, toMm: number, fringeMm: number): number {
  if (toMm <= fromMm) return saturationAt(fromMm, fringeMm);
  const full = Math.max(0, Math.min(toMm, fringeMm) - fromMm);
  const from = Math.max(fromMm, fringeMm);
  const above = Math.max(0, toMm - from);
  // ∫ (h_b/h)² dh = h_b² (1/a − 1/b), for λ = 2.
  const held = above === 0 || from === 0 ? 0 : fringeMm ** LAMBDA * (1 / from - 1 / toMm);
  return (full + RESIDUAL * above + (1 - RESIDUAL) * held) / (toMm - fromMm);
}
