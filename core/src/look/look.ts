import '../zod-setup';
import * as z from 'zod';
import { TONES } from './palette';

/** How a plant is built, as finely as a drawing tells it. */
export const HABITS = [
  'rosette',
  'stalked',
  'fan',
  'straps',
  'column',
  'globe',
  'pads',
  'joints',
  'shrub',
  'tree',
  'sticks',
  'stacked',
  'mat',
  'herb',
  'trail',
  'climber',
  'fronds',
  'stones',
] as const;
export type Habit = (typeof HABITS)[number];

export const TIPS = ['round', 'point', 'taper', 'notch', 'blunt', 'heart'] as const;
export type Tip = (typeof TIPS)[number];

/** What is to be seen on a leaf or a body. */
export const MARKINGS = [
  'bands',
  'dots',
  'warts',
  'stripe',
  'stripes',
  'window',
  'fur',
  'tip',
  'teeth',
  'net',
  'blotch',
  'web',
  'bloom',
] as const;
export type Marking = (typeof MARKINGS)[number];

const tone = z.enum(TONES);
const part = z.number().min(0).max(1);

/**
 * The figures a plant is drawn from. All but the habit have a usual value for it and are told only where they differ.
 * Drawn from memory, for all plants alike: they say what tells a plant from its neighbours, not what a botanist measures.
 */
export const lookSchema = z
  .strictObject({
    habit: z.enum(HABITS),
    fill: tone.optional(),
    /** The rim of its leaves, or the ribs of its body. */
    edge: tone.optional(),
    mark: z.enum(MARKINGS).optional(),
    markTone: tone.optional(),
    /** Leaves of a head, pairs of a stem, ribs of a body. */
    count: z.int().min(1).max(80).optional(),
    /** Heads, stems, arms, joints. */
    heads: z.int().min(1).max(24).optional(),
    /** Width of a leaf or a body over its length. */
    wide: z.number().min(0.02).max(2).optional(),
    /** Where along the leaf it is widest, 0–1. */
    at: part.optional(),
    tip: z.enum(TIPS).optional(),
    /** How steep the outermost leaves stand, degrees over the ground. */
    rise: z.number().min(-40).max(85).optional(),
    /** How far a leaf leans out (above 0) or in. */
    bend: z.number().min(-1).max(1).optional(),
    /** How tall a stem stands under its leaves, over the whole plant. */
    tall: part.optional(),
    /** Of a leaf over the plant. */
    long: part.optional(),
    spines: tone.optional(),
    /** Of spines, over the body. */
    spineLong: part.optional(),
    stem: tone.optional(),
    flower: tone.optional(),
    /** What it has under the soil line. */
    below: z.enum(['tuber', 'rhizome', 'bulb', 'caudex']).optional(),
    /** Leaves of a rosette spiral, of a stem stand in pairs, alternate, or whorled. */
    leaves: z.enum(['pairs', 'alternate', 'none']).optional(),
  })
  .readonly();
export type Look = z.infer<typeof lookSchema>;

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
