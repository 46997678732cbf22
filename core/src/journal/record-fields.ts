import * as say from '@hypogeon/messages/core-record-fields';
import '../zod-setup';
import * as z from 'zod';
import { METHODS } from '../botany';
import { COURSES } from '../course';
import { TISSUES } from '../wound';
import { AIDS } from '../wound';
import { FIRST_WATERS } from '../water';
import { AIR_LIMITS, LIGHT_LEVELS, type SeriesColumn } from '../climate';
import { ownLookSchema } from '../look';
import { COMPONENT_KINDS } from '../media';
import { CONTAINER_SHAPES, LEAST_FILL_MM, WALLS } from '../media';
import { DISINFECTANTS } from '../safety';
import { TOP_DRESSINGS, UNROOTED_WATERS, WATER_SCHOOLS } from '../water';
import { WOUND_SCHOOLS } from '../wound';
import { countsField } from './counts';
import { dayField, idField, nameField, noteField, saidField, textField } from './field';
import { OUTCOMES } from './outcome';
import { PARTINGS } from './parting';
import {
  FEEDINGS,
  FIRMINGS,
  LEAF_CARES,
  CALLUS_PLACES,
  OPENINGS,
  OWN_ROOTS,
  ORIGINS,
  PERMISSIONS,
  TRAY_KINDS,
  TRIAL_FACTORS,
} from './record-choices';

/*
 * The records a grower keeps, as the fields that a `put` may set. Every field is optional in a put:
 * it changes what it names and leaves the rest, so that two devices can edit one record.
 * A field set to null is cleared. Fields of a newer version are kept untouched (loose objects).
 */
const clear = <T extends z.ZodType>(field: T) => field.nullable().optional();

/** Days from the cut, first and last. */
const daysField = z
  .tuple([z.int().min(1).max(2000), z.int().min(1).max(2000)])
  .refine(([from, to]) => from <= to, { error: say.endsBeforeItBegins });

export const taxonFields = z.looseObject({
  name: clear(nameField),
  family: clear(textField(80)),
  /** The library taxon whose figures it borrows until the bench knows better. */
  like: clear(idField),
  /** The grower's own figures; where the key is a library plant's they stand over the library's. */
  season: clear(
    z
      .looseObject({
        fromC: z.number().min(-10).max(45),
        toC: z.number().min(-10).max(50),
      })
      .refine(({ fromC, toC }) => fromC < toC, { error: say.mustBeginCooler }),
  ),
  methods: clear(
    z
      .array(
        z.looseObject({
          method: z.enum(METHODS),
          /** `no` where it was tried here and does not work. */
          worth: z.enum(['good', 'poor', 'no']).optional(),
          why: textField(400).optional(),
          success: z.number().gt(0).lt(1).optional(),
          roots: daysField.optional(),
          pups: daysField.optional(),
          tissue: z.enum(TISSUES).optional(),
          widthMm: z.number().positive().max(1000).optional(),
        }),
      )
      .max(METHODS.length),
  ),
  /** How it looks, where that is not as its kin. */
  look: clear(ownLookSchema),
  notes: clear(noteField),
});

export const motherFields = z.looseObject({
  name: clear(nameField),
  taxon: clear(idField),
  provenance: clear(textField(400)),
  /** What she began as. */
  origin: clear(z.enum(ORIGINS)),
  permission: clear(z.enum(PERMISSIONS)),
  protectedVariety: clear(z.boolean()),
  since: clear(dayField),
  /** About when she was sown or rooted. */
  bornOn: clear(dayField),
  /** The batch it was raised in. */
  fromBatch: clear(idField),
  /** Where it stands. */
  space: clear(idField),
  heightMm: clear(z.number().positive().max(20_000)),
  /** What she has that could be taken, by method: leaves, heads, offsets … */
  has: clear(z.partialRecord(z.enum(METHODS), z.int().min(0).max(100_000))),
  notes: clear(noteField),
  /** The grower's own picture of it; the picture itself is kept beside the journal under its id. */
  picture: clear(
    z.looseObject({
      id: idField,
      width: z.int().min(1).max(20_000),
      height: z.int().min(1).max(20_000),
    }),
  ),
});

/** A way of doing it, kept under a name to be used again. */
export const protocolFields = z.looseObject({
  name: clear(nameField),
  school: clear(z.enum(WOUND_SCHOOLS)),
  callusAt: clear(z.enum(CALLUS_PLACES)),
  disinfectant: clear(z.enum(DISINFECTANTS)),
  aid: clear(z.enum(AIDS)),
  firstWater: clear(z.enum(FIRST_WATERS)),
  waterSchool: clear(z.enum(WATER_SCHOOLS)),
  mix: clear(idField),
  container: clear(idField),
  course: clear(z.enum(COURSES)),
  dryDays: clear(z.number().min(0).max(120)),
  unrootedWater: clear(z.enum(UNROOTED_WATERS)),
});

/** A trial: one question, ways drawn by lot over one tray. Its cuttings are counted in a batch for every arm. */
export const trialFields = z.looseObject({
  name: clear(nameField),
  question: clear(textField(400)),
  factor: clear(z.enum(TRIAL_FACTORS)),
  /** The first is what is done usually; the others are held against it. */
  arms: clear(
    z
      .array(z.looseObject({ name: nameField, value: saidField(120) }))
      .min(2)
      .max(6),
  ),
  taxon: clear(idField),
  method: clear(z.enum(METHODS)),
  mother: clear(idField),
  space: clear(idField),
  /** Cuttings in each arm. */
  each: clear(z.int().min(2).max(2000)),
  /** Trays in each arm, where arms cannot share one. */
  trays: clear(z.int().min(1).max(40)),
  /** The shares the number was worked out for, and the chance to find them apart. */
  usual: clear(z.number().gt(0).lt(1)),
  better: clear(z.number().gt(0).lt(1)),
  power: clear(z.number().min(0.5).max(0.99)),
  /** Cells in a row of the tray, and the seed of the lot. */
  columns: clear(z.int().min(2).max(100)),
  seed: clear(z.int().min(0).max(4_294_967_295)),
  cutOn: clear(dayField),
  /** Judged when all is settled, and on this day at the latest. */
  judgeOn: clear(dayField),
  /** Why it was given up before. */
  stopped: clear(saidField(400)),
});

const plausible = (column: SeriesColumn): z.ZodNumber => {
  const [low, high] = AIR_LIMITS[column];
  return z.number().min(low).max(high);
};

export const spaceFields = z.looseObject({
  name: clear(nameField),
  /** What the space usually has, day's mean: °C, and relative humidity 0–1. */
  tempC: clear(z.number().min(-30).max(60)),
  rh: clear(z.number().min(0).max(1)),
  light: clear(textField(80)),
  /** Where its light falls from, and how still its air is, m/s. */
  lightLevel: clear(z.enum(LIGHT_LEVELS)),
  windMps: clear(z.number().min(0).max(30)),
  /** Lamps: µmol m⁻² s⁻¹ at the leaves, and hours a day. */
  lampPpfd: clear(z.number().min(0).max(2500)),
  lampHours: clear(z.number().min(0).max(24)),
  /** A heat mat warms the medium by so many °C. */
  matC: clear(z.number().min(0).max(25)),
  /** A propagation lid is on. */
  lid: clear(z.boolean()),
  /** Its turn on the walk: smaller comes first. */
  turn: clear(z.number().min(-1e6).max(1e6)),
  /** Rain falls on it. */
  open: clear(z.boolean()),
  /** The tap there gives hard water: it leaves a crust. */
  hardWater: clear(z.boolean()),
  /** Put away: nothing stands there any more. Its air is still known, for what once stood there. */
  away: clear(z.boolean()),
  /** The place's usual year, January first. */
  monthly: clear(
    z
      .array(
        z
          .looseObject({
            minC: plausible('minC'),
            maxC: plausible('maxC'),
            // A journal of before may have the driest there is.
            rh: z.number().min(0).max(1),
            windMps: plausible('windMps').optional(),
            // Made from other months: so far off its mean may be, °C, a standard deviation.
            spreadC: z.number().min(0).max(30).optional(),
          })
          .refine(({ minC, maxC }) => minC <= maxC, { error: say.aLowAboveItsHigh }),
      )
      .length(12),
  ),
});

/** After one look and by the next. */
const betweenField = z
  .tuple([dayField, dayField])
  .refine(([after, by]) => after <= by, { error: say.endsBeforeItBegins });

/** More than this no batch holds: it is split instead. */
export const MOST_CUTTINGS = 10_000;

/** Cuttings alike that came from another batch, with what was seen of them there. */
export const carriedField = z
  .array(
    z.looseObject({
      count: z.int().min(1).max(MOST_CUTTINGS),
      outcome: z.enum(OUTCOMES),
      lastLook: dayField,
      rooted: betweenField.optional(),
      pupped: betweenField.optional(),
      lost: betweenField.optional(),
    }),
  )
  .max(MOST_CUTTINGS)
  .refine((groups) => groups.reduce((sum, { count }) => sum + count, 0) <= MOST_CUTTINGS, {
    error: `holds more than ${MOST_CUTTINGS} cuttings, the most of a batch`,
  });

export const batchFields = z.looseObject({
  mother: clear(idField),
  /** The first of the batches that were cut from one plant at one time. */
  cutWith: clear(idField),
  taxon: clear(idField),
  method: clear(z.enum(METHODS)),
  count: clear(z.int().min(1).max(MOST_CUTTINGS)),
  /** The day of the cut: planned while it lies ahead. */
  cutOn: clear(dayField),
  widthMm: clear(z.number().positive().max(1000)),
  thicknessMm: clear(z.number().positive().max(1000)),
  school: clear(z.enum(WOUND_SCHOOLS)),
  callusAt: clear(z.enum(CALLUS_PLACES)),
  callusSpace: clear(idField),
  space: clear(idField),
  place: clear(textField(80)),
  columns: clear(z.int().min(1).max(100)),
  disinfectant: clear(z.enum(DISINFECTANTS)),
  aid: clear(z.enum(AIDS)),
  firstWater: clear(z.enum(FIRST_WATERS)),
  medium: clear(textField(120)),
  /** What it stands in: containers of a kind, filled with a mix. */
  container: clear(idField),
  containers: clear(z.int().min(1).max(10_000)),
  mix: clear(idField),
  /** A dressing of grit on top: written before there were others. */
  dressed: clear(z.boolean()),
  /** What lies on top of the mix. */
  topDress: clear(z.enum(TOP_DRESSINGS)),
  waterSchool: clear(z.enum(WATER_SCHOOLS)),
  /** How deep stem or roots reach into the medium. */
  stemMm: clear(z.number().min(0).max(1000)),
  /** Why it teaches nothing: left out of what is learned and compared. */
  excluded: clear(saidField(400)),
  /** The trial it is an arm of, from 0, and the cells of the tray its cuttings sit in. */
  trial: clear(idField),
  arm: clear(z.int().min(0).max(5)),
  cells: clear(z.array(z.int().min(0).max(100_000)).max(10_000)),
  /** What it stands in, where that is a record of its own: then `cells` are cells of that tray. */
  tray: clear(idField),
  /** The batch its cuttings came out of, why, and what they had come to by then. */
  partOf: clear(idField),
  parting: clear(z.enum(PARTINGS)),
  carried: clear(carriedField),
  /** Its roots grew in a jar: it is weaned into medium by steps. */
  rootedInWater: clear(z.boolean()),
  /** The course it goes through, where it is not the usual one of its plant and way. */
  course: clear(z.enum(COURSES)),
  /** Days to dry of the grower's own choice; a quarter is some hours. */
  dryDays: clear(z.number().min(0).max(120)),
  /** What it is given once set, until there are roots. */
  unrootedWater: clear(z.enum(UNROOTED_WATERS)),
  /** How it came off, and what the blade went through where that is not as usual. */
  opening: clear(z.enum(OPENINGS)),
  through: clear(z.enum(TISSUES)),
  /** What it had when it was taken: roots, and rings of leaves on an offset. */
  ownRoots: clear(z.enum(OWN_ROOTS)),
  rings: clear(z.int().min(0).max(200)),
  feeding: clear(z.enum(FEEDINGS)),
  /** Of what growers disagree about, as it was done: compared in Results. */
  firmed: clear(z.enum(FIRMINGS)),
  leaves: clear(z.enum(LEAF_CARES)),
  /** How long its pieces are. */
  lengthMm: clear(z.number().positive().max(5000)),
});

/** A component of the grower's own, or what they measured of one that ships. */
export const componentFields = z.looseObject({
  name: clear(nameField),
  kind: clear(z.enum(COMPONENT_KINDS)),
  grainMm: clear(z.number().positive().max(60)),
  densityGPerL: clear(z.number().positive().max(4000)),
  packing: clear(z.number().min(0.05).max(0.95)),
  heldWater: clear(z.number().min(0).max(0.95)),
  diffusivity: clear(z.number().min(0.1).max(50)),
  breaksDown: clear(z.boolean()),
  feeds: clear(z.boolean()),
  dust: clear(textField(400)),
  /** In the shed, litres, and what a litre costs. */
  stockL: clear(z.number().min(0).max(1e6)),
  pricePerL: clear(z.number().min(0).max(1e6)),
});

export const mixFields = z.looseObject({
  name: clear(nameField),
  /** Parts by loose volume. */
  parts: clear(
    z
      .array(z.looseObject({ component: idField, parts: z.number().min(0).max(1e6) }))
      .min(1)
      .max(40),
  ),
  notes: clear(noteField),
});

const size = z.number().min(5).max(3000);

export const containerFields = z
  .looseObject({
    name: clear(nameField),
    shape: clear(z.enum(CONTAINER_SHAPES)),
    topMm: clear(size),
    bottomMm: clear(size),
    breadthMm: clear(size),
    heightMm: clear(size),
    freeboardMm: clear(z.number().min(0).max(3000)),
    cells: clear(z.int().min(1).max(1000)),
    wall: clear(z.enum(WALLS)),
    holes: clear(z.boolean()),
    /** Weight of the empty one, g. */
    emptyG: clear(z.number().positive().max(1e5)),
    /** What one costs, or its share of wear if it is used again. */
    price: clear(z.number().min(0).max(1e6)),
  })
  .refine(
    ({ heightMm, freeboardMm }) =>
      heightMm == null || freeboardMm == null || heightMm - freeboardMm >= LEAST_FILL_MM,
    {
      path: ['freeboardMm'],
      error: () => say.leavesNoRoom({ mm: LEAST_FILL_MM }),
    },
  );

/** A tray, a pot, a jar or a rack that cuttings of one or several batches stand in. */
export const trayFields = z.looseObject({
  name: clear(nameField),
  kind: clear(z.enum(TRAY_KINDS)),
  space: clear(idField),
  rows: clear(z.int().min(1).max(100)),
  columns: clear(z.int().min(1).max(100)),
  /** Its turn on the walk past its bench: smaller comes first. */
  turn: clear(z.number().min(-1e6).max(1e6)),
  /** Put away: it holds nothing any more. */
  away: clear(z.boolean()),
});

/** Who wants what by when. First names or codes: it never leaves this journal. */
export const orderFields = z.looseObject({
  who: clear(nameField),
  taxon: clear(idField),
  method: clear(z.enum(METHODS)),
  count: clear(z.int().min(1).max(100_000)),
  by: clear(dayField),
  notes: clear(noteField),
  /** What is set aside for it. */
  from: clear(
    z.array(z.looseObject({ batch: idField, count: z.int().min(1).max(100_000) })).max(1000),
  ),
  /** Handed over on, or called off on. */
  doneOn: clear(dayField),
  calledOff: clear(saidField(400)),
});

/** Counts of another bench that were taken in. The key is the bench. */
export const benchFields = z.looseObject({
  /** What the grower calls it, for themselves alone. */
  name: clear(nameField),
  edition: clear(z.int().min(1).max(1_000_000)),
  correlation: clear(countsField.shape.correlation),
  rows: clear(countsField.shape.rows),
  /** Taken out again: it is kept, and tells nothing. */
  out: clear(z.boolean()),
});

/** A device that writes in this journal. The key is its number. */
export const deviceFields = z.looseObject({
  /** What the grower calls it: the phone of the lean-to. */
  name: clear(textField(60)),
});

export const settingsFields = z.looseObject({
  /** The number by which other benches know this one's counts, and how often they were given. */
  bench: clear(countsField.shape.bench),
  given: clear(z.int().min(1).max(1_000_000)),
  length: clear(z.enum(['mm', 'in'])),
  temperature: clear(z.enum(['C', 'F'])),
  school: clear(z.enum(WOUND_SCHOOLS)),
  waterSchool: clear(z.enum(WATER_SCHOOLS)),
  feeding: clear(z.enum(FEEDINGS)),
  /** Degrees north of the equator, negative to the south: for the light of the season. */
  latitude: clear(z.number().min(-90).max(90)),
  scoopMl: clear(z.number().min(5).max(50_000)),
  /** For what a plant costs: a label, and an hour of the grower's hands. */
  labelPrice: clear(z.number().min(0).max(1e6)),
  hourPrice: clear(z.number().min(0).max(1e6)),
  /** What a rooted plant would fetch: for what losses are worth. */
  plantPrice: clear(z.number().min(0).max(1e6)),
  /** What all prices are in: ISO 4217. */
  currency: clear(z.string().regex(/^[A-Z]{3}$/)),
  /** Batches cut before this day teach nothing, and why. */
  learnFrom: clear(dayField),
  learnWhy: clear(textField(400)),
});
