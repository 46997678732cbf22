import type { Habit, Look } from '../look';

/** Figures with all that is usual of the habit filled in. */
export type FullLook = Required<
  Pick<
    Look,
    | 'habit'
    | 'fill'
    | 'count'
    | 'heads'
    | 'wide'
    | 'at'
    | 'tip'
    | 'rise'
    | 'bend'
    | 'tall'
    | 'long'
    | 'stem'
  >
> &
  Look;

const USUAL: Readonly<Record<Habit, Omit<FullLook, 'habit'>>> = (() => {
  const leaf = { fill: 'green', wide: 0.4, at: 0.6, tip: 'point', bend: 0, stem: 'wood' } as const;
  const of = (more: Partial<FullLook>): Omit<FullLook, 'habit'> => ({
    ...leaf,
    count: 20,
    heads: 1,
    rise: 15,
    tall: 0.5,
    long: 0.3,
    ...more,
  });
  return {
    rosette: of({ count: 28 }),
    stalked: of({ count: 18, heads: 3, tall: 0.6 }),
    fan: of({ count: 7, rise: 20, wide: 0.24, tip: 'round', at: 0.7 }),
    straps: of({ count: 5, wide: 0.13, at: 0.5, tip: 'point', rise: 72 }),
    column: of({ count: 6, heads: 1, wide: 0.26 }),
    globe: of({ count: 11, heads: 1, wide: 1 }),
    pads: of({ count: 8, heads: 5, wide: 0.7, at: 0.6, tip: 'round' }),
    joints: of({ count: 3, heads: 5, wide: 0.55, at: 0.75, tip: 'blunt' }),
    shrub: of({ count: 3, heads: 5, long: 0.2, wide: 0.6, at: 0.65, tip: 'round', tall: 0.45 }),
    tree: of({ count: 9, heads: 3, long: 0.3, wide: 0.3, at: 0.6, tall: 0.55 }),
    sticks: of({ count: 4, heads: 4, wide: 0.06 }),
    stacked: of({ count: 8, heads: 3, long: 0.16, wide: 0.7, at: 0.4 }),
    mat: of({ count: 9, heads: 9, long: 0.1, wide: 0.45, tip: 'round' }),
    herb: of({ count: 6, heads: 3, long: 0.24, wide: 0.5, at: 0.45, stem: 'green' }),
    trail: of({ count: 9, heads: 7, long: 0.08, wide: 0.9, tip: 'round', at: 0.5, stem: 'olive' }),
    climber: of({ count: 5, heads: 2, long: 0.24, wide: 0.5, at: 0.45, stem: 'olive' }),
    fronds: of({ count: 7, heads: 6, long: 0.16, wide: 0.42, at: 0.45, stem: 'green' }),
    stones: of({ count: 2, heads: 4, wide: 1.1 }),
  };
})();

export const fullLook = (look: Look): FullLook => ({ ...USUAL[look.habit], ...look });
