import * as say from '@hypogeon/messages/core-kinds';
import '../zod-setup';
import * as z from 'zod';
import { LONGEST_SERIES_MINUTES, minuteFrom, SERIES_COLUMNS, SERIES_LIMITS } from '../climate';
import { TOUCHES, WATER_MANNERS } from '../water';
import { TISSUES } from '../wound';
import { countField, dayField, idField, noteField, saidField, textField } from './field';
import { MEASURED, OUTCOMES, SEEN, SIGNS } from './outcome';
import { PARTINGS, RECUT_FOR } from './parting';
import { CUT_REASONS, OWN_ROOTS, REOPENINGS, ROOT_STATES } from './record-choices';
import { carriedField, MOST_CUTTINGS } from './record-fields';
import { MOTHER_TENDINGS, TASKS, TENDINGS } from './task';

/** What a tally counts; the rest of the batch is still waiting. */
export const countsSchema = z.looseObject({
  rooted: countField,
  pupped: countField,
  rotted: countField,
  dried: countField,
  lost: countField,
});

const position = z.string().regex(/^\d{1,5}$/, { error: say.isNoPlace });

const share = z.number().min(0).max(1);

/** One of a batch: what was done to it and seen of it. */
const ofBatch = <S extends z.ZodRawShape>(shape: S) => ({
  subject: 'batch' as const,
  key: 'batch' as const,
  schema: z.looseObject({ batch: idField, ...shape }),
});

/**
 * The one table of entry kinds: what each says, and of which subject. Entries of one subject are folded together;
 * `key` names the field that tells which one, null where there is but one. A new kind is a line here, an effect in
 * the fold of its subject and its words; what is forgotten does not compile.
 */
export const KINDS = {
  cut: ofBatch({}),
  /** Set into the medium or the jar. */
  stuck: ofBatch({
    /** So many of them: those with roots first; all where it is not told. */
    count: countField.optional(),
    /** Into a medium that is wet already. */
    wet: z.boolean().optional(),
  }),
  /** A wound laid open again: its gate begins anew. */
  reopened: ofBatch({
    why: z.enum(REOPENINGS),
    widthMm: z.number().positive().max(1000).optional(),
    through: z.enum(TISSUES).optional(),
  }),
  inspected: ofBatch({
    seen: z.enum(SEEN),
    signs: z.array(z.enum(SIGNS)).max(SIGNS.length).optional(),
    roots: z.enum(OWN_ROOTS).optional(),
    rootMm: z.number().positive().max(5000).optional(),
    text: noteField.optional(),
  }),
  /** `breach` is the reason given for water before the gate opened. */
  watered: ofBatch({
    how: z.enum(WATER_MANNERS),
    /** Of one container. */
    ml: z.number().positive().max(100_000).optional(),
    breach: noteField.optional(),
    /** What was known of the gate when it was given: the day it would open, null where that could not be said. */
    gate: z.looseObject({ opens: dayField.nullable() }).optional(),
  }),
  /** One container of the batch on a scale, as it stands. */
  weighed: ofBatch({ grams: z.number().positive().max(200_000) }),
  /** A finger or stick at a depth. */
  felt: ofBatch({ depthMm: z.number().min(0).max(1000), seen: z.enum(TOUCHES) }),
  /** Either counts of the whole batch, or the outcomes of single places in the tray. */
  tally: ofBatch({
    counts: countsSchema.optional(),
    places: z.record(position, z.enum(OUTCOMES)).optional(),
    /** The grower says an earlier count was wrong; without it a contradiction is asked about. */
    recount: noteField.optional(),
    /** Rooted ones on which a bud shows and no young plant yet. */
    buds: countField.optional(),
    /** Young plants in all, of those that have any: one piece may bring several. */
    heads: countField.optional(),
  }),
  /** Potted on, into what, where, and how the roots came through it. */
  potted: ofBatch({
    count: countField,
    container: idField.optional(),
    mix: idField.optional(),
    space: idField.optional(),
    roots: z.enum(ROOT_STATES).optional(),
    /** Into a medium that is wet already. */
    wet: z.boolean().optional(),
  }),
  moved: ofBatch({ space: idField, place: textField(80).optional() }),
  note: ofBatch({ text: noteField }),
  /** Cuttings leave the batch. */
  parted: ofBatch({
    why: z.enum(PARTINGS),
    /** How many of what they had come to. */
    taken: z.partialRecord(z.enum(OUTCOMES), countField),
    /** Which ones, where that is told; else the last of their kind. */
    places: z.array(z.int().min(0).max(100_000)).max(MOST_CUTTINGS).optional(),
    /** So many of them were potted on before. */
    potted: countField.optional(),
    /** The batch or mother they are in now. */
    to: idField.optional(),
    cause: z.enum(RECUT_FOR).optional(),
    order: idField.optional(),
    /** What each was sold for, in the grower's currency. */
    priceEach: z.number().min(0).max(1_000_000).optional(),
    text: noteField.optional(),
  }),
  /** Cuttings of another batch join this one. */
  joined: ofBatch({ from: idField, cuttings: carriedField, potted: countField.optional() }),
  /** Done for the batch: a jar changed, more light, feed. */
  tended: ofBatch({ what: z.enum(TENDINGS), text: noteField.optional() }),
  /** A task put off until a day, or dropped for good where `until` is missing. */
  'put-off': ofBatch({
    task: z.enum(TASKS),
    until: dayField.optional(),
    text: saidField(400),
  }),
  /** A picture; the picture itself is kept beside the journal under its id. */
  photo: ofBatch({
    picture: idField,
    width: z.int().min(1).max(20_000),
    height: z.int().min(1).max(20_000),
    bytes: z.int().min(1).max(100_000_000),
    name: textField(200).optional(),
    text: noteField.optional(),
  }),
  /** A length measured on a picture, against a scale drawn on it. */
  measured: ofBatch({
    what: z.enum(MEASURED),
    mm: z.number().positive().max(5000),
    /** Half the width of the range the eye and the hand leave. */
    errorMm: z.number().min(0).max(5000).optional(),
    picture: idField.optional(),
  }),
  /** What a rehearsal said beforehand: kept, to be held against what came of it. Shares of `cuttings`, 0–1. */
  forecast: ofBatch({
    /** Days from the cut it speaks of. */
    days: z.int().min(1).max(3650),
    cuttings: countField.min(1),
    rooted: share,
    /** Eight batches of ten like it lie between. */
    low: share,
    high: share,
    rotted: share,
    dried: share,
    /** So many had roots already and are not among the cuttings. */
    had: countField.optional(),
    /** What was to be done, in words. */
    way: textField(200).optional(),
  }),
  ended: ofBatch({ text: noteField.optional() }),
  /** The air of a place on a day, written by hand. */
  air: {
    subject: 'air',
    key: 'space',
    schema: z
      .looseObject({
        space: idField,
        tempC: z.number().min(-40).max(70),
        rh: z.number().min(0).max(1),
        minC: z.number().min(-60).max(70).optional(),
        maxC: z.number().min(-60).max(70).optional(),
        windMps: z.number().min(0).max(60).optional(),
        rainMm: z.number().min(0).max(500).optional(),
        /** Light at the bench, mol a day. */
        molPerDay: z.number().min(0).max(120).optional(),
      })
      .refine(({ minC, maxC }) => minC === undefined || maxC === undefined || minC <= maxC, {
        path: ['minC'],
        error: say.aboveTheHigh,
      }),
  },
  /** Readings of a logger, a weather table or a paired device, in order of time. */
  series: {
    subject: 'air',
    key: 'space',
    schema: z
      .looseObject({
        space: idField,
        source: textField(200),
        /** Wall clock of the grower, `2026-04-09T08:30`; the offsets count minutes from it. */
        start: z.string().refine((t) => minuteFrom(t) !== null, {
          error: say.isNotATime,
        }),
        offsets: z
          .array(z.int().min(0).max(LONGEST_SERIES_MINUTES))
          .max(100_000)
          .refine((o) => o.every((m, i) => i === 0 || m >= o[i - 1]!), {
            error: say.mustNotRunBackwards,
          }),
        columns: z.partialRecord(
          z.enum(SERIES_COLUMNS),
          z.array(z.number().nullable()).max(100_000),
        ),
      })
      .superRefine(({ offsets, columns }, context) => {
        for (const column of SERIES_COLUMNS) {
          const values = columns[column];
          if (!values) continue;
          if (values.length !== offsets.length)
            context.addIssue({
              code: 'custom',
              path: ['columns', column],
              message: `has ${values.length} values for ${offsets.length} times`,
            });
          const [low, high] = SERIES_LIMITS[column];
          const bad = values.findIndex((v) => v !== null && (v < low || v > high));
          if (bad >= 0)
            context.addIssue({
              code: 'custom',
              path: ['columns', column, bad],
              message: `must lie between ${low} and ${high}`,
            });
        }
      }),
  },
  /** A look at a mother before she is cut; what was not looked at is left out. */
  examined: {
    subject: 'mother',
    key: 'mother',
    schema: z.looseObject({
      mother: idField,
      turgid: z.boolean().optional(),
      clean: z.boolean().optional(),
      growing: z.boolean().optional(),
      flowering: z.boolean().optional(),
      /** Why one would cut her. */
      reasons: z.array(z.enum(CUT_REASONS)).max(CUT_REASONS.length).optional(),
      wateredOn: dayField.optional(),
      text: noteField.optional(),
    }),
  },
  /** A mother put into a new pot, and how her roots came through it. */
  repotted: {
    subject: 'mother',
    key: 'mother',
    schema: z.looseObject({
      mother: idField,
      container: idField.optional(),
      mix: idField.optional(),
      roots: z.enum(ROOT_STATES).optional(),
      text: noteField.optional(),
    }),
  },
  /** A mother parted: what stays of her has wounds of its own. */
  divided: {
    subject: 'mother',
    key: 'mother',
    schema: z.looseObject({
      mother: idField,
      pieces: countField.optional(),
      /** Nothing was cut: it parted by itself. */
      parted: z.boolean().optional(),
      text: noteField.optional(),
    }),
  },
  /** Watered, brighter, fed, looked at after a cut. */
  mothered: {
    subject: 'mother',
    key: 'mother',
    schema: z.looseObject({
      mother: idField,
      what: z.enum(MOTHER_TENDINGS),
      /** New heads or buds on her, as counted on a look. */
      heads: countField.optional(),
    }),
  },
  /** A round that was walked to its end. */
  walked: {
    subject: 'walk',
    key: null,
    schema: z.looseObject({ stops: countField, skipped: countField }),
  },
  /** A drain test of a mix. */
  jug: {
    subject: 'jug',
    key: 'mix',
    schema: z.looseObject({
      mix: idField,
      potMl: z.number().positive().max(1e6),
      depthMm: z.number().positive().max(3000),
      soakedMl: z.number().positive().max(1e6),
      drainedMl: z.number().min(0).max(1e6),
      dryG: z.number().positive().max(1e6).optional(),
      pondedSeconds: z.number().positive().max(1e6).optional(),
    }),
  },
  /** Takes an entry out of the account. Nothing is deleted; a retract may itself be retracted. */
  retract: {
    subject: null,
    key: 'subject',
    schema: z.looseObject({ entry: idField, subject: textField(200) }),
  },
} as const;

export type Kinds = typeof KINDS;
