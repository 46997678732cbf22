import '../zod-setup';
import * as z from 'zod';
import { METHODS } from '../botany/method';
import { DISINFECTANTS } from '../safety/caution';
import { WOUND_SCHOOLS } from '../wound/school';
import { dayField, idField, nameField } from './field';
import { CALLUS_PLACES, PERMISSIONS, type RecordName } from './record';

/*
 * The records a grower keeps, as the fields that a `put` may set. Every field is optional in a put:
 * it changes what it names and leaves the rest, so that two devices can edit one record.
 * A field set to null is cleared. Fields of a newer version are kept untouched (loose objects).
 */
const clear = <T extends z.ZodType>(field: T) => field.nullable().optional();

export const taxonFields = z.looseObject({
  name: clear(nameField),
  family: clear(z.string().max(80)),
  /** The library taxon whose figures it borrows until the bench knows better. */
  like: clear(idField),
});

export const motherFields = z.looseObject({
  name: clear(nameField),
  taxon: clear(idField),
  provenance: clear(z.string().max(400)),
  permission: clear(z.enum(PERMISSIONS)),
  protectedVariety: clear(z.boolean()),
  since: clear(dayField),
  notes: clear(z.string().max(4000)),
});

export const spaceFields = z.looseObject({
  name: clear(nameField),
  /** What the space usually has, day's mean: °C, and relative humidity 0–1. */
  tempC: clear(z.number().min(-30).max(60)),
  rh: clear(z.number().min(0).max(1)),
  light: clear(z.string().max(80)),
});

export const batchFields = z.looseObject({
  mother: clear(idField),
  taxon: clear(idField),
  method: clear(z.enum(METHODS)),
  count: clear(z.int().min(1).max(10_000)),
  /** The day of the cut: planned while it lies ahead. */
  cutOn: clear(dayField),
  widthMm: clear(z.number().positive().max(1000)),
  thicknessMm: clear(z.number().positive().max(1000)),
  school: clear(z.enum(WOUND_SCHOOLS)),
  callusAt: clear(z.enum(CALLUS_PLACES)),
  callusSpace: clear(idField),
  space: clear(idField),
  place: clear(z.string().max(80)),
  columns: clear(z.int().min(1).max(100)),
  disinfectant: clear(z.enum(DISINFECTANTS)),
  medium: clear(z.string().max(120)),
});

export const settingsFields = z.looseObject({
  length: clear(z.enum(['mm', 'in'])),
  temperature: clear(z.enum(['C', 'F'])),
  school: clear(z.enum(WOUND_SCHOOLS)),
});

/** The records by name, with the schema of their fields. */
export const RECORD_FIELDS = {
  taxon: taxonFields,
  mother: motherFields,
  space: spaceFields,
  batch: batchFields,
  settings: settingsFields,
} as const satisfies Record<RecordName, unknown>;
