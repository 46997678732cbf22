import * as say from '@hypogeon/messages/core-mix';
import { fringeHeight } from './capillary';
import type { Component } from './component';
import { drainClass, pondedSeconds, type DrainClass } from './drainage';
import { packingOf } from './packing';

/** So many parts, by loose volume, of one component. */
export interface Part {
  readonly component: Component;
  readonly parts: number;
}

/** What a mix becomes once stirred. Everything per litre of mix, dry and loosely filled. */
export interface Medium {
  readonly parts: readonly Part[];
  /** Litres of mix from one litre of heaps: below 1 where the fines fall between the coarse. */
  readonly yield: number;
  /** Share that grains fill, 0–1. */
  readonly packing: number;
  /** Share between the grains, 0–1. */
  readonly voids: number;
  /** Water held inside the grains, as a share of the mix, 0–1. */
  readonly heldWater: number;
  /** 1 / Σ(share / size), mm. */
  readonly surfaceMeanMm: number;
  /** Height of the wet foot over the drain holes, mm. */
  readonly fringeMm: number;
  readonly densityGPerL: number;
  /** Share of the heaps that is mineral, 0–1. */
  readonly mineral: number;
  /** cm²/d. */
  readonly diffusivity: number;
  readonly pondedSeconds: number;
  readonly drains: DrainClass;
  /** Grain that breaks down, and that feeds, as shares of the heaps. */
  readonly breaksDown: number;
  readonly feeds: number;
}

/** What is wrong with the parts, in the grower's words; empty if nothing. */
export function partsProblem(parts: readonly { readonly parts: number }[]): string {
  if (parts.length === 0) return say.aMixNeedsSomething();
  if (parts.some((p) => !Number.isFinite(p.parts) || p.parts < 0)) return say.partsAreFiguresOf();
  if (!(parts.reduce((sum, p) => sum + p.parts, 0) > 0)) return say.allPartsAre0();
  return '';
}

/**
 * What a mix becomes.
 * @param given parts by loose dry volume, any scale
 * @throws RangeError if the parts add up to nothing
 */
export function mediumOf(given: readonly Part[]): Medium {
  const problem = partsProblem(given);
  if (problem) throw new RangeError(`parts: ${problem}`);
  const parts = given.filter((p) => p.parts > 0);
  const heap = parts.reduce((sum, p) => sum + p.parts, 0);
  const volume = parts.map((p) => p.parts / heap);
  const envelope = parts.map((p, i) => volume[i]! * p.component.packing);
  const solid = envelope.reduce((sum, e) => sum + e, 0);
  const share = envelope.map((e) => e / solid);
  const sum = (of: (c: Component, i: number) => number): number =>
    parts.reduce((total, p, i) => total + of(p.component, i), 0);

  const packing = packingOf(
    parts.map((p, i) => ({
      grainMm: p.component.grainMm,
      packing: p.component.packing,
      share: share[i]!,
    })),
  );
  const litres = solid / packing;
  const voids = 1 - packing;
  const surfaceMeanMm = 1 / sum((c, i) => share[i]! / c.grainMm);
  const seconds = pondedSeconds(voids, surfaceMeanMm);
  return {
    parts,
    yield: litres,
    packing,
    voids,
    heldWater: packing * sum((c, i) => share[i]! * c.heldWater),
    surfaceMeanMm,
    fringeMm: fringeHeight(voids, surfaceMeanMm),
    densityGPerL: sum((c, i) => volume[i]! * c.densityGPerL) / litres,
    mineral: sum((c, i) => (c.kind === 'mineral' ? volume[i]! : 0)),
    // Water seeks the easier of ways that lie in series and side by side: between the two means.
    diffusivity: Math.exp(sum((c, i) => share[i]! * Math.log(c.diffusivity))),
    pondedSeconds: seconds,
    drains: drainClass(seconds),
    breaksDown: sum((c, i) => (c.breaksDown ? volume[i]! : 0)),
    feeds: sum((c, i) => (c.feeds ? volume[i]! : 0)),
  };
}
