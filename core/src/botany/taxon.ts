import '../zod-setup';
import * as z from 'zod';
import { COURSES } from '../course';
import { UNROOTED_WATERS, WATER_SCHOOLS } from '../water';
import { TISSUES } from '../wound';
import { evidenceSchema } from '../evidence';
import { lookSchema } from '../look';
import { METHODS, PIECES } from './method';

/** What a figure of the guide rests on; left out of the file where it is from memory, as most are. */
const told = evidenceSchema.default('from memory');

/** A span of days from the cut, at 22 °C in season. */
export const windowSchema = z
  .object({ from: z.int().positive(), to: z.int().positive(), evidence: told })
  .refine((w) => w.from <= w.to, 'a window must not end before it begins');

export const taxonMethodSchema = z.object({
  method: z.enum(METHODS),
  /** The courses it takes with this plant, the usual one first, where they differ from those of the way; no jar. */
  courses: z.array(z.enum(COURSES)).min(1).readonly().optional(),
  /** What it is given while it has no roots, where that differs from what its way is given. */
  unrootedWater: z.enum(UNROOTED_WATERS).optional(),
  /** Left out of the file where it is good. */
  worth: z.enum(['good', 'poor']).default('good'),
  why: z.string().optional(),
  /** The shape of its mark, where it differs from the method's usual one. */
  piece: z.enum(PIECES).optional(),
  /** Null where nothing is cut that could rot: then there is no gate. */
  wound: z
    .object({
      tissue: z.enum(TISSUES),
      widthMm: z.number().positive(),
      thicknessMm: z.number().positive().optional(),
      evidence: told,
    })
    .nullable(),
  /** What it asks for beyond what the method does. */
  least: z
    .object({
      lengthMm: z.number().positive().optional(),
      nodes: z.int().positive().optional(),
      share: z.number().gt(0).max(1).optional(),
      tallMm: z.number().positive().optional(),
    })
    .optional(),
  roots: windowSchema,
  pups: windowSchema.nullable().default(null),
  /** Mean chance of success and how many cuttings that opinion is worth. */
  success: z.object({
    mean: z.number().gt(0).lt(1),
    worth: z.number().positive(),
    evidence: told,
  }),
});

export const HAZARDS = [
  'latex',
  'oxalate',
  'irritant sap',
  'poisonous',
  'spines',
  'glochids',
] as const;

export const taxonSchema = z.object({
  id: z.string().regex(/^[a-z-]+$/),
  name: z.string().min(1),
  family: z.string().min(1),
  /** What growers call it, in the language that is read. */
  common: z.array(z.string()).readonly().default([]),
  /** The figures it is drawn from, from memory. A grower's own plant may take those of a kin. */
  look: lookSchema.optional(),
  // Lists that are empty are left out of the file.
  synonyms: z.array(z.string()).readonly().default([]),
  /** Mean °C between which it grows; the season follows from the place, never from month names. */
  season: z.object({
    grower: z.enum(['summer', 'winter', 'either']),
    fromC: z.number(),
    toC: z.number(),
    evidence: told,
  }),
  /** How it is usually watered once it has roots, whatever its pot: what has stores bone dry, what has none by the top. */
  waterSchool: z.enum(WATER_SCHOOLS).optional(),
  /** Its pieces are commonly rooted in water, too. */
  inWater: z.boolean().default(false),
  methods: z.array(taxonMethodSchema).min(1).readonly(),
  /** Methods growers try that do not work, and why. */
  not: z
    .array(z.object({ method: z.enum(METHODS), why: z.string() }))
    .readonly()
    .default([]),
  hazards: z
    .array(z.object({ kind: z.enum(HAZARDS), part: z.string(), evidence: told }))
    .readonly()
    .default([]),
  law: z
    .array(z.enum(['cites', 'weed', 'rights']))
    .readonly()
    .default([]),
});

export type Window = z.infer<typeof windowSchema>;
export type TaxonMethod = z.infer<typeof taxonMethodSchema>;
export type Hazard = (typeof HAZARDS)[number];
export type Taxon = z.infer<typeof taxonSchema>;
