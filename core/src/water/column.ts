import { areaAt, perimeterAt, porosity, waterBetween, type FilledPot } from '../media';

/**
 * A filled container cut into layers, surface first. Lengths mm, volumes mm³. What a layer holds is
 * told against what it holds after draining: 1 is drained, 0 dry, in every layer alike.
 */
export interface Column {
  readonly depthMm: number;
  /** Thickness of each layer. */
  readonly thick: readonly number[];
  /** Depth of each layer's middle under the surface. */
  readonly middle: readonly number[];
  /** Water each layer holds after draining, mm³. */
  readonly capacity: readonly number[];
  /** Ease of flow to the layer below, mm³/d per unit of wetness; one fewer than layers. */
  readonly ease: readonly number[];
  /** Ease of flow from the first layer's middle to the surface. */
  readonly surfaceEase: number;
  readonly surfaceMm2: number;
  /** Unglazed wall beside each layer, mm²; 0 for tight walls. */
  readonly clayMm2: readonly number[];
  /** Holes let go what is beyond draining; without them it pools. */
  readonly drains: boolean;
  /** What can stand in the pores beyond drained, mm³. */
  readonly poolMax: number;
}

export interface Layering {
  /** Thickness of the first layer, mm. */
  readonly firstMm: number;
  /** Each layer is so much thicker than the one above. */
  readonly growth: number;
}

/** Fine where it dries first. */
const USUAL_LAYERING: Layering = { firstMm: 1.2, growth: 1.16 };

/** The layers of a filled pot. */
export function columnOf(pot: FilledPot, layering: Layering = USUAL_LAYERING): Column {
  const { container, medium, depthMm, correction } = pot;
  const thick = layers(depthMm, layering);
  const tops: number[] = [];
  thick.reduce((depth, t) => (tops.push(depth), depth + t), 0);
  const height = (depth: number): number => depthMm - depth;
  const middle = thick.map((t, i) => tops[i]! + t / 2);
  const area = middle.map((m) => areaAt(container, height(m)));
  const rest = thick.map((t, i) =>
    waterBetween(medium, height(tops[i]! + t), height(tops[i]!), correction),
  );
  const capacity = thick.map((t, i) => t * area[i]! * rest[i]!);
  const diffusivity = medium.diffusivity * 100;
  const ease = thick.slice(0, -1).map((t, i) => {
    const below = thick[i + 1]!;
    const face = areaAt(container, height(tops[i + 1]!));
    return (diffusivity * face) / (t / 2 / rest[i]! + below / 2 / rest[i + 1]!);
  });
  const surfaceMm2 = areaAt(container, depthMm);
  const total = capacity.reduce((a, b) => a + b, 0);
  return {
    depthMm,
    thick,
    middle,
    capacity,
    ease,
    surfaceEase: (diffusivity * surfaceMm2 * rest[0]!) / (thick[0]! / 2),
    surfaceMm2,
    clayMm2: thick.map((t, i) =>
      container.wall === 'clay' ? perimeterAt(container, height(middle[i]!)) * t : 0,
    ),
    drains: container.holes,
    poolMax: Math.max(0, porosity(medium, correction) * pot.litres * 1e6 - total),
  };
}

/** Layers that grow with depth and fill it exactly. */
function layers(depthMm: number, { firstMm, growth }: Layering): readonly number[] {
  const raw: number[] = [];
  let sum = 0;
  for (let t = firstMm; sum < depthMm; t *= growth) {
    raw.push(t);
    sum += t;
  }
  return raw.map((t) => (t * depthMm) / sum);
}

/** All that a pot holds after draining, mm³. */
export function capacityOf(column: Column): number {
  return column.capacity.reduce((a, b) => a + b, 0);
}
