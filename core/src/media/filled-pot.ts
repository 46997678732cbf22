import { meanSaturation } from './capillary';
import { areaAt, assertContainer, fillDepth, filledLitres, type Container } from './container';
import type { Medium } from './mix';

/** Corrections that a jug test gives the modelled water of a mix; 1 leaves it as modelled. */
export interface Correction {
  /** Measured over modelled water after draining. */
  readonly water: number;
  /** Measured over modelled pores, all of them. */
  readonly pores: number;
  /** Measured over modelled dry weight. */
  readonly weight: number;
}

export const AS_MODELLED: Correction = { water: 1, pores: 1, weight: 1 };

/** A container filled with a mix, soaked and left to drain. */
export interface FilledPot {
  readonly container: Container;
  readonly medium: Medium;
  readonly correction: Correction;
  readonly depthMm: number;
  readonly litres: number;
  /** Water held after draining (container capacity), share of the volume, 0–1. */
  readonly water: number;
  /** Air left after draining (air-filled porosity), share of the volume, 0–1. */
  readonly air: number;
  /** Height of the full foot above the base, mm, no more than the filling. */
  readonly footMm: number;
  /** Millilitres held after draining, of one container. */
  readonly waterMl: number;
  /** Weights of the medium in one container without the container itself, g. */
  readonly dryG: number;
  readonly wetG: number;
}

const SLICES = 60;

/**
 * Water and air in a filled pot after draining: inside the grains, and between them full up to the
 * wet foot and less above it, over the pot's own shape. A shallow tray is wetter than a deep pot.
 * @throws RangeError if the container could hold nothing
 */
export function fillPot(
  medium: Medium,
  container: Container,
  correction: Correction = AS_MODELLED,
): FilledPot {
  assertContainer(container);
  const depthMm = fillDepth(container);
  const litres = filledLitres(container);
  let held = 0;
  let volume = 0;
  for (let i = 0; i < SLICES; i++) {
    const from = (i / SLICES) * depthMm;
    const to = ((i + 1) / SLICES) * depthMm;
    const area = areaAt(container, (from + to) / 2);
    held += waterBetween(medium, from, to, correction) * area;
    volume += area;
  }
  const water = held / volume;
  const dryG = medium.densityGPerL * litres * correction.weight;
  const waterMl = water * litres * 1000;
  return {
    container,
    medium,
    correction,
    depthMm,
    litres,
    water,
    air: Math.max(porosity(medium, correction) - water, 0),
    footMm: Math.min(medium.fringeMm, depthMm),
    waterMl,
    dryG,
    wetG: dryG + waterMl,
  };
}

/** All that water can fill: the voids and what the grains take up, share of the volume. */
export function porosity(medium: Medium, { pores }: Correction = AS_MODELLED): number {
  return Math.min((medium.voids + medium.heldWater) * pores, 1);
}

/** Mean water after draining between two heights above the base, share of the volume. */
export function waterBetween(
  medium: Medium,
  fromMm: number,
  toMm: number,
  correction: Correction = AS_MODELLED,
): number {
  const modelled = medium.heldWater + medium.voids * meanSaturation(fromMm, toMm, medium.fringeMm);
  return Math.min(modelled * correction.water, porosity(medium, correction));
}
