import jStat from 'jstat';
import type { Form, MethodId } from '../botany';

/** How many of a kind a plant has, where nobody counted: eight in ten lie between low and high. */
export interface Estimate {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** How tall a plant of each build usually is in cultivation, mm; a taller one has more. Working assumptions. */
const USUAL_MM: Readonly<Record<Form, number>> = {
  rosette: 100,
  stacked: 150,
  trailing: 400,
  strap: 450,
  globe: 80,
  column: 400,
  pad: 250,
  branch: 300,
  'bare-branch': 500,
  stone: 30,
  tuber: 400,
};

type ByForm = Partial<Readonly<Record<Form, number>>> & { readonly other: number };

/**
 * What a plant of usual size has of each kind. Working assumptions, set low: what is promised and not there is worse
 * than what is found. A count replaces them.
 */
const USUAL: Readonly<Record<MethodId, ByForm>> = {
  leaf: { rosette: 24, stacked: 24, branch: 40, trailing: 60, strap: 6, tuber: 40, other: 12 },
  'leaf-section': { strap: 12, pad: 4, other: 4 },
  crown: { rosette: 1, stacked: 4, branch: 4, column: 6, tuber: 3, globe: 1, other: 2 },
  segment: { rosette: 1, stacked: 6, branch: 4, trailing: 4, column: 4, tuber: 4, other: 2 },
  trailing: { trailing: 6, other: 3 },
  branch: { branch: 4, 'bare-branch': 3, rosette: 2, other: 2 },
  pad: { pad: 8, other: 3 },
  column: { column: 1, other: 1 },
  offset: { globe: 6, rosette: 3, stacked: 4, pad: 3, other: 2 },
  'rooted-offset': { rosette: 2, strap: 2, globe: 3, tuber: 3, other: 2 },
  division: { tuber: 3, strap: 3, stone: 2, other: 2 },
  plantlet: { other: 20 },
  'root-cutting': { other: 6 },
  bulbil: { other: 15 },
  'flower-stalk': { other: 1 },
  seed: { other: 20 },
  culture: { other: 0 },
};

/** What grows with height, and what does not: a taller stem has more nodes, an older clump not surely more heads. */
const GROWS: ReadonlySet<MethodId> = new Set(['leaf', 'leaf-section', 'segment', 'branch', 'pad']);

/** Eight plants in ten have between a half and twice of what is usual. Working assumption. */
const SPREAD = 2;
const MOST_TIMES = 6;

/**
 * How many leaves, heads, young ones a plant of that build has, by eye.
 * @param heightMm of the plant, mm; null where nobody measured it
 * @returns whole numbers; low may be 0
 * @example estimateStock('rosette', 'crown', 90) // one head: nobody takes 31 crowns of one rosette
 */
export function estimateStock(
  form: Form | null,
  method: MethodId,
  heightMm: number | null = null,
): Estimate {
  const usual = USUAL[method];
  const base = (form === null ? undefined : usual[form]) ?? usual.other;
  const times =
    heightMm !== null && form !== null && GROWS.has(method)
      ? Math.min(Math.max(heightMm / USUAL_MM[form], 1 / MOST_TIMES), MOST_TIMES)
      : 1;
  const likely = base * times;
  return {
    low: Math.floor(likely / SPREAD),
    likely: Math.max(base > 0 ? 1 : 0, Math.round(likely)),
    high: Math.ceil(likely * SPREAD),
  };
}

const SLICES = 9;

/** Numbers that a plant may turn out to have where so many are likely, each as likely as the others; whole, rising. */
export const mayHave = (likely: number): readonly number[] =>
  Array.from({ length: SLICES }, (_, i) => {
    const z = jStat.normal.inv((i + 0.5) / SLICES, 0, 1);
    return Math.round(likely * SPREAD ** (z / NINTH_DECILE));
  });
const NINTH_DECILE = jStat.normal.inv(0.9, 0, 1);
