import '../zod-setup';
import * as z from 'zod';
import { OUTCOMES, SEEN } from './entry';
import { countField, dayField, idField, stampField } from './field';
import type { RecordName } from './record';
import { RECORD_FIELDS } from './record-schema';

/** What every entry carries: who wrote it, when, and of which of the grower's days it speaks. */
const envelope = {
  id: idField,
  at: stampField,
  day: dayField,
  by: idField,
};

/** What a tally counts; the rest of the batch is still waiting. */
export const countsSchema = z.looseObject({
  rooted: countField,
  pupped: countField,
  rotted: countField,
  dried: countField,
  lost: countField,
});

const position = z.string().regex(/^\d{1,5}$/, 'is not a place in the tray');

const observation = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.looseObject({ ...envelope, kind: z.literal(kind), batch: idField, ...shape });

const text = z.string().max(4000);

const put = <R extends RecordName>(record: R) =>
  z.looseObject({
    ...envelope,
    kind: z.literal('put'),
    record: z.literal(record),
    key: idField,
    fields: RECORD_FIELDS[record],
  });

export const entrySchema = z.discriminatedUnion('kind', [
  /** Sets fields of a record. */
  z.discriminatedUnion('record', [
    put('taxon'),
    put('mother'),
    put('space'),
    put('batch'),
    put('settings'),
  ]),
  observation('cut', {}),
  observation('stuck', {}),
  observation('inspected', { seen: z.enum(SEEN), text: text.optional() }),
  /** `breach` is the reason given for water before the gate opened. */
  observation('watered', { how: z.enum(['poured', 'misted', 'soaked']), breach: text.optional() }),
  /** Either counts of the whole batch, or the outcomes of single places in the tray. */
  observation('tally', {
    counts: countsSchema.optional(),
    places: z.record(position, z.enum(OUTCOMES)).optional(),
    /** The grower says an earlier count was wrong; without it a contradiction is asked about. */
    recount: text.optional(),
  }),
  observation('potted', { count: countField }),
  observation('moved', { space: idField, place: z.string().max(80).optional() }),
  observation('note', { text }),
  observation('ended', { text: text.optional() }),
  z.looseObject({
    ...envelope,
    kind: z.literal('air'),
    space: idField,
    tempC: z.number().min(-40).max(70),
    rh: z.number().min(0).max(1),
  }),
  /** Takes an entry out of the account. Nothing is deleted; a retract may itself be retracted. */
  z.looseObject({ ...envelope, kind: z.literal('retract'), entry: idField, subject: idField }),
]);

/** An entry of a kind, or a put of a record, that this version does not know: kept and passed on untouched. */
export const unknownEntrySchema = z.looseObject({ ...envelope, kind: z.string().min(1).max(40) });
