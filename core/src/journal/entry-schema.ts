import '../zod-setup';
import * as z from 'zod';
import { minuteFrom, SERIES_COLUMNS } from '../climate/series';
import { TOUCHES } from '../water/case';
import { WATER_MANNERS } from '../water/watering';
import { MEASURED, OUTCOMES, SEEN } from './entry';
import { countField, dayField, idField, stampField } from './field';
import type { RecordName } from './record';
import { PARTINGS, RECUT_FOR } from './parting';
import { carriedField, RECORD_FIELDS } from './record-schema';
import { TASKS, TENDINGS } from './task';

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
    put('component'),
    put('mix'),
    put('container'),
    put('protocol'),
    put('trial'),
    put('tray'),
    put('order'),
    put('settings'),
  ]),
  observation('cut', {}),
  observation('stuck', {}),
  observation('inspected', { seen: z.enum(SEEN), text: text.optional() }),
  /** `breach` is the reason given for water before the gate opened. */
  observation('watered', {
    how: z.enum(WATER_MANNERS),
    /** Of one container. */
    ml: z.number().positive().max(100_000).optional(),
    breach: text.optional(),
  }),
  /** One container of the batch on a scale, as it stands. */
  observation('weighed', { grams: z.number().positive().max(200_000) }),
  /** A finger or stick at a depth. */
  observation('felt', { depthMm: z.number().min(0).max(1000), seen: z.enum(TOUCHES) }),
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
  /** Cuttings leave the batch. */
  observation('parted', {
    why: z.enum(PARTINGS),
    /** How many of what they had come to. */
    taken: z.partialRecord(z.enum(OUTCOMES), countField),
    /** Which ones, where that is told; else the last of their kind. */
    places: z.array(z.int().min(0).max(100_000)).max(10_000).optional(),
    /** So many of them were potted on before. */
    potted: countField.optional(),
    /** The batch or mother they are in now. */
    to: idField.optional(),
    cause: z.enum(RECUT_FOR).optional(),
    order: idField.optional(),
    text: text.optional(),
  }),
  /** Cuttings of another batch join this one. */
  observation('joined', { from: idField, cuttings: carriedField, potted: countField.optional() }),
  /** Done for the batch: a jar changed, more light, feed. */
  observation('tended', { what: z.enum(TENDINGS), text: text.optional() }),
  /** A task put off until a day, or dropped for good where `until` is missing. */
  observation('put-off', {
    task: z.enum(TASKS),
    until: dayField.optional(),
    text: z.string().trim().min(1).max(400),
  }),
  /** A picture; the picture itself is kept beside the journal under its id. */
  observation('photo', {
    picture: idField,
    width: z.int().min(1).max(20_000),
    height: z.int().min(1).max(20_000),
    bytes: z.int().min(1).max(100_000_000),
    name: z.string().max(200).optional(),
    text: text.optional(),
  }),
  /** A length measured on a picture, against a scale drawn on it. */
  observation('measured', {
    what: z.enum(MEASURED),
    mm: z.number().positive().max(5000),
    /** Half the width of the range the eye and the hand leave. */
    errorMm: z.number().min(0).max(5000).optional(),
    picture: idField.optional(),
  }),
  observation('ended', { text: text.optional() }),
  z.looseObject({
    ...envelope,
    kind: z.literal('air'),
    space: idField,
    tempC: z.number().min(-40).max(70),
    rh: z.number().min(0).max(1),
    minC: z.number().min(-60).max(70).optional(),
    maxC: z.number().min(-60).max(70).optional(),
    windMps: z.number().min(0).max(60).optional(),
    rainMm: z.number().min(0).max(500).optional(),
    /** Light at the bench, mol a day. */
    molPerDay: z.number().min(0).max(120).optional(),
  }),
  /** Readings of a logger, a weather table or a paired device, in order of time. */
  z.looseObject({
    ...envelope,
    kind: z.literal('series'),
    space: idField,
    source: z.string().max(200),
    /** Wall clock of the grower, `2026-04-09T08:30`; the offsets count minutes from it. */
    start: z.string().refine((t) => minuteFrom(t) !== null, {
      error: 'is not a time (write 2026-04-09T08:30)',
    }),
    offsets: z
      .array(z.int().min(0))
      .max(100_000)
      .refine((o) => o.every((m, i) => i === 0 || m >= o[i - 1]!), {
        error: 'must not run backwards',
      }),
    columns: z.partialRecord(z.enum(SERIES_COLUMNS), z.array(z.number().nullable()).max(100_000)),
  }),
  /** A look at a mother before she is cut; what was not looked at is left out. */
  z.looseObject({
    ...envelope,
    kind: z.literal('examined'),
    mother: idField,
    turgid: z.boolean().optional(),
    clean: z.boolean().optional(),
    growing: z.boolean().optional(),
    flowering: z.boolean().optional(),
    wateredOn: dayField.optional(),
    text: text.optional(),
  }),
  /** A round that was walked to its end. */
  z.looseObject({
    ...envelope,
    kind: z.literal('walked'),
    stops: countField,
    skipped: countField,
  }),
  /** A drain test of a mix. */
  z.looseObject({
    ...envelope,
    kind: z.literal('jug'),
    mix: idField,
    potMl: z.number().positive().max(1e6),
    depthMm: z.number().positive().max(3000),
    soakedMl: z.number().positive().max(1e6),
    drainedMl: z.number().min(0).max(1e6),
    dryG: z.number().positive().max(1e6).optional(),
    pondedSeconds: z.number().positive().max(1e6).optional(),
  }),
  /** Takes an entry out of the account. Nothing is deleted; a retract may itself be retracted. */
  z.looseObject({ ...envelope, kind: z.literal('retract'), entry: idField, subject: idField }),
]);

/** An entry of a kind, or a put of a record, that this version does not know: kept and passed on untouched. */
export const unknownEntrySchema = z.looseObject({ ...envelope, kind: z.string().min(1).max(40) });
