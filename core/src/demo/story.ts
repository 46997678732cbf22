import '../zod-setup';
import * as z from 'zod';
import { METHODS } from '../botany';
import { LIGHT_LEVELS } from '../climate';
import story from '../data/demo-story.json' with { type: 'json' };
import { PERMISSIONS, RECORDS } from '../journal';
import { WATER_SCHOOLS } from '../water';
import { WOUND_SCHOOLS } from '../wound';

/*
 * The demo's invented scenario: the volunteers of the Tidewall glasshouse raise plants from their
 * own stock for a table at the spring fair. Days are counted back from the day it is loaded.
 */

const id = z.string().min(1);
const daysAgo = z.int();
const share = z.number().min(0).max(1);

const space = z.object({
  id,
  name: z.string(),
  light: z.string(),
  tempC: z.number(),
  rh: share,
  lightLevel: z.enum(LIGHT_LEVELS),
  lamps: z.object({ lampPpfd: z.number(), lampHours: z.number() }).optional(),
  matC: z.number().optional(),
  /** A logger hangs there. */
  logged: z.boolean().optional(),
  /** Its usual year: means of the day and the swing to either side. */
  year: z.object({ means: z.array(z.number()).length(12), swing: z.number() }).optional(),
});

/** What a batch stands in and how it is watered. */
const pot = z.object({
  container: id,
  containers: z.int().positive(),
  mix: id,
  waterSchool: z.enum(WATER_SCHOOLS).optional(),
  /** Not watered for the last so many days although it asked. */
  thirst: z.int().optional(),
  /** One of its pots stands on the scale now and then. */
  weighed: z.boolean().optional(),
});

/** A look at a mother: days ago, and what was seen. */
const look = z.object({
  daysAgo,
  turgid: z.boolean(),
  clean: z.boolean(),
  growing: z.boolean(),
  flowering: z.boolean(),
  wateredDaysAgo: z.int().optional(),
  text: z.string().optional(),
});

const mother = z.object({
  id,
  taxon: id,
  name: z.string(),
  provenance: z.string(),
  permission: z.enum(PERMISSIONS),
  daysAgo,
  space: id,
  heightMm: z.number().positive(),
  /** Age when she came, days. */
  oldThen: z.int().optional(),
  fromBatch: id.optional(),
  has: z.partialRecord(z.enum(METHODS), z.int()),
  look: look.optional(),
});

/** What fate holds for the cuttings of a batch: shares of all; the rest roots. */
const fate = z.object({
  rot: share.optional(),
  dry: share.optional(),
  other: share.optional(),
  /** Neither root nor die: they just sit there. */
  sit: share.optional(),
});

const batch = z.object({
  id,
  mother: id,
  method: z.enum(METHODS),
  count: z.int().positive(),
  /** Days since the cut; negative for one that is planned. */
  daysAgo,
  space: id,
  callusSpace: id.optional(),
  school: z.enum(WOUND_SCHOOLS),
  place: z.string(),
  columns: z.int().positive(),
  fate,
  widthMm: z.number().optional(),
  /** Watered on this day after the cut, gate or no gate, for this reason. */
  breach: z.object({ day: z.int(), reason: z.string() }).optional(),
  /** Wound looks, days after the cut. */
  touches: z.array(z.object({ day: z.int(), seen: z.enum(['tacky', 'firm']) })).optional(),
  /** Not counted for the last so many days: the Round asks for it. */
  countGap: z.int().optional(),
  /** Nothing stuck yet although the day has come. */
  unstuck: z.boolean().optional(),
  /** Stuck, but not watered although the gate is open. */
  dryStill: z.boolean().optional(),
  note: z.string().optional(),
  pottedShare: share.optional(),
});

const storySchema = z
  .object({
    spaces: z.array(space),
    /** What the volunteers mix for themselves, and what lies in their shed. */
    mixes: z.array(RECORDS.mix.fields.extend({ id })),
    shed: z.array(RECORDS.component.fields.extend({ id })),
    /** What they pay for, a label, a pot with its wear, an hour; and what a young plant sells for. */
    prices: z.object({
      label: z.number(),
      pots: z.record(z.string(), z.number()),
      hour: z.number(),
      plant: z.number(),
      currency: z.string(),
    }),
    /** A way of doing it that they agreed on. */
    protocols: z.array(RECORDS.protocol.fields.extend({ id })),
    /** Drain tests of the bench mix: days ago, and what the jug said. */
    jugs: z.array(
      z.object({
        daysAgo,
        potMl: z.number(),
        depthMm: z.number(),
        soakedMl: z.number(),
        drainedMl: z.number(),
        pondedSeconds: z.number(),
      }),
    ),
    pots: z.record(z.string(), pot),
    /** Their pots dry a little faster than the model has it, as a weighing would find. */
    potPace: z.number(),
    mothers: z.array(mother),
    /** Last year's season first, then what stands on the bench now. */
    batches: z.array(batch),
  })
  .readonly();

export type DemoSpace = z.infer<typeof space>;
export type DemoPot = z.infer<typeof pot>;
export type DemoMother = z.infer<typeof mother>;
export type DemoBatch = z.infer<typeof batch>;

export const DEMO = storySchema.parse(story);
