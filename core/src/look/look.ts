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
    /** Left out of the file where it is a rosette: most are. */
    habit: z.enum(HABITS).default('rosette'),
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

/** What a grower may say better of a plant's look: what is left out is as its kin has it. */
export const ownLookSchema = z.looseObject({
  habit: z.enum(HABITS).optional(),
  fill: tone.optional(),
  edge: tone.optional(),
  /** `none` takes off what its kin wears. */
  mark: z.enum([...MARKINGS, 'none']).optional(),
  markTone: tone.optional(),
  count: z.int().min(1).max(80).optional(),
  heads: z.int().min(1).max(24).optional(),
  wide: z.number().min(0.02).max(2).optional(),
  rise: z.number().min(-40).max(85).optional(),
});
export type OwnLook = Partial<
  Pick<Look, 'habit' | 'fill' | 'edge' | 'markTone' | 'count' | 'heads' | 'wide' | 'rise'>
> & { readonly mark?: Marking | 'none' | undefined };

/** Its kin's look with what was said over it. */
export function dressed(kin: Look, { mark, ...own }: OwnLook): Look {
  const { mark: worn, markTone, ...bare } = kin;
  const shown = mark ?? worn;
  return {
    ...bare,
    ...(shown === undefined || shown === 'none'
      ? {}
      : { mark: shown, ...(markTone ? { markTone } : {}) }),
    ...own,
  };
}
