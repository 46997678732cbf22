import '../zod-setup';
import * as z from 'zod';
import { METHODS } from '../botany';
import { COURSES } from '../course';
import { countField, idField } from './field';

/*
 * What benches tell one another: how many of a plant taken one way lived, by half-year. Nothing finer: no mother, no
 * place, no note, no day.
 */

export const AIR_TEMPERATURES = ['cool', 'warm'] as const;
export const AIR_DAMPS = ['dry', 'damp'] as const;
/** April to September in the north, October to March in the south; and the other half. */
export const HALVES = ['warm', 'cold'] as const;

/** More cuttings of one row than a nursery takes in a half-year are something else. */
const MOST_SET = 100_000;
export const MOST_ROWS = 2000;

/** Roots came between two looks, in shares of the time in which half are expected to have them; `by` is missing never. */
const betweenField = z.strictObject({
  after: z.number().min(0).max(100),
  by: z.number().gt(0).max(100),
  count: countField.max(MOST_SET),
});

export const countsRowField = z
  .strictObject({
    taxon: idField,
    method: z.enum(METHODS),
    course: z.enum(COURSES),
    year: z.int().min(1950).max(2200),
    half: z.enum(HALVES),
    /** Nothing of its batches waits any more: only then do the shares say what came of them. */
    settled: z.boolean(),
    temperature: z.enum(AIR_TEMPERATURES).optional(),
    damp: z.enum(AIR_DAMPS).optional(),
    batches: z.int().min(1).max(10_000),
    set: z.int().min(1).max(MOST_SET),
    /** Roots seen, with pups or without. */
    rooted: countField.max(MOST_SET),
    pupped: countField.max(MOST_SET),
    rotted: countField.max(MOST_SET),
    dried: countField.max(MOST_SET),
    lost: countField.max(MOST_SET),
    waiting: countField.max(MOST_SET),
    roots: z.array(betweenField).max(200),
  })
  // Which rule is broken is worked out where a file is read; here it only must not be.
  .refine(
    (r) =>
      r.rooted + r.rotted + r.dried + r.lost + r.waiting === r.set &&
      r.pupped <= r.rooted &&
      r.batches <= r.set &&
      !(r.settled && r.waiting > 0),
    'contradicts',
  );
export type CountsRow = Readonly<z.infer<typeof countsRowField>>;

export const countsField = z.strictObject({
  /** The bench: a number by chance, and no name. */
  bench: z.string().regex(/^[a-z0-9]{8,40}$/, 'bench'),
  /** Goes up each time the bench gives its counts. */
  edition: z.int().min(1).max(1_000_000),
  /** How alike cuttings of one tray fare there, and on how many trays that rests. */
  correlation: z.strictObject({
    value: z.number().min(0).max(0.9),
    trays: z.int().min(0).max(1_000_000),
  }),
  rows: z.array(countsRowField).max(MOST_ROWS),
});
/** The counts of one bench. */
export type BenchCounts = Readonly<z.infer<typeof countsField>>;
