import type { MethodId } from '../botany';
import type { LightLevelId } from '../climate';
import type { ComponentFields, MixFields, Permission } from '../journal';
import type { WaterSchoolId } from '../water';
import type { WoundSchoolId } from '../wound';

/*
 * The demo's invented scenario: the volunteers of the Tidewall glasshouse raise plants from their
 * own stock for a table at the spring fair. Days are counted back from the day it is loaded.
 */

export interface DemoSpace {
  readonly id: string;
  readonly name: string;
  readonly light: string;
  readonly tempC: number;
  readonly rh: number;
  readonly lightLevel: LightLevelId;
  readonly lamps?: { readonly lampPpfd: number; readonly lampHours: number };
  readonly matC?: number;
  /** A logger hangs there. */
  readonly logged?: boolean;
  /** Its usual year: means of the day and the swing to either side. */
  readonly year?: { readonly means: readonly number[]; readonly swing: number };
}

export const DEMO_SPACES: readonly DemoSpace[] = [
  {
    id: 'leanto',
    name: 'Lean-to',
    light: 'bright, shaded at noon',
    tempC: 19.5,
    rh: 0.6,
    lightLevel: 'shaded-glass',
    logged: true,
    year: { means: [11, 11.5, 14, 19, 21, 23.5, 25.5, 25, 21.5, 17, 13, 11], swing: 5 },
  },
  {
    id: 'shelf',
    name: 'Warm shelf',
    light: 'lamps, 12 hours',
    tempC: 24.5,
    rh: 0.46,
    lightLevel: 'dim',
    lamps: { lampPpfd: 160, lampHours: 12 },
    matC: 4,
  },
  {
    id: 'porch',
    name: 'North porch',
    light: 'dim',
    tempC: 10,
    rh: 0.79,
    lightLevel: 'north-sill',
  },
];

/** What the volunteers mix for themselves, and what lies in their shed. */
export const DEMO_MIXES: readonly (MixFields & { readonly id: string })[] = [
  {
    id: 'mix-bench',
    name: 'Bench mix',
    notes: 'What the long bench is filled with since the spring before last.',
    parts: [
      { component: 'pumice', parts: 3 },
      { component: 'coir', parts: 1 },
      { component: 'sand-coarse', parts: 1 },
    ],
  },
  {
    id: 'mix-thimble',
    name: 'Thimble mix',
    notes: 'For the small cacti.',
    parts: [
      { component: 'pumice-fine', parts: 4 },
      { component: 'zeolite', parts: 1 },
      { component: 'compost', parts: 1 },
    ],
  },
];

export const DEMO_SHED: readonly (ComponentFields & { readonly id: string })[] = [
  { id: 'pumice', stockL: 38, pricePerL: 1.1 },
  { id: 'pumice-fine', stockL: 12, pricePerL: 1.2 },
  { id: 'perlite', stockL: 60, pricePerL: 0.35 },
  { id: 'coir', stockL: 25, pricePerL: 0.3 },
  { id: 'sand-coarse', stockL: 20, pricePerL: 0.25 },
  { id: 'compost', stockL: 40, pricePerL: 0.2 },
  { id: 'worm-castings', stockL: 6, pricePerL: 0.9 },
  { id: 'zeolite', stockL: 5, pricePerL: 1.4 },
  { id: 'akadama', stockL: 0, pricePerL: 1.6 },
  { id: 'bark', stockL: 10, pricePerL: 0.4 },
];

/** What the volunteers pay for: a label, a pot with its wear; their hours are given. */
export const DEMO_PRICES = {
  label: 0.06,
  pots: { 'pot-7': 0.12, 'pot-12': 0.3, 'clay-8': 0.4 },
} as const;

/** A way of doing it that the volunteers agreed on. */
export const DEMO_PROTOCOLS = [
  {
    id: 'p-fair',
    name: 'For the fair',
    school: 'dry-to-touch',
    callusAt: 'rack',
    disinfectant: 'alcohol',
    aid: 'none',
    firstWater: 'few-days',
    waterSchool: 'top-25',
    mix: 'mix-bench',
    container: 'pot-7',
  },
] as const;

/** Drain tests of the bench mix: days ago, and what the jug said. */
export const DEMO_JUGS = [
  { daysAgo: 200, potMl: 720, depthMm: 95, soakedMl: 395, drainedMl: 150, pondedSeconds: 3 },
  { daysAgo: 60, potMl: 720, depthMm: 95, soakedMl: 402, drainedMl: 168, pondedSeconds: 4 },
] as const;

/** What a batch stands in and how it is watered. */
export interface DemoPot {
  readonly container: string;
  readonly containers: number;
  readonly mix: string;
  readonly waterSchool?: WaterSchoolId;
  /** Not watered for the last so many days although it asked. */
  readonly thirst?: number;
  /** One of its pots stands on the scale now and then. */
  readonly weighed?: boolean;
}

export const DEMO_POTS: Readonly<Record<string, DemoPot>> = {
  'b-05': { container: 'tray-4', containers: 1, mix: 'half-and-half' },
  'b-09': { container: 'pot-12', containers: 4, mix: 'snake-plant', waterSchool: 'top-60' },
  'b-13': { container: 'tray-4', containers: 1, mix: 'leaf-bed', thirst: 12 },
  'b-14': { container: 'clay-8', containers: 8, mix: 'all-mineral', waterSchool: 'bone-dry' },
  'b-15': { container: 'pot-12', containers: 4, mix: 'snake-plant', weighed: true },
  'b-16': { container: 'tray-4', containers: 1, mix: 'leaf-bed' },
  'b-17': { container: 'tray-4', containers: 1, mix: 'leaf-bed', thirst: 4 },
  'b-18': { container: 'pot-7', containers: 9, mix: 'two-to-one', weighed: true },
  'b-19': { container: 'cells-24', containers: 1, mix: 'mix-bench', waterSchool: 'third' },
  'b-20': { container: 'pot-7', containers: 12, mix: 'mix-bench', waterSchool: 'third' },
  'b-21': { container: 'pot-7', containers: 9, mix: 'mix-bench' },
  'b-22': { container: 'pot-7', containers: 7, mix: 'mix-bench' },
  'b-23': { container: 'pot-7', containers: 12, mix: 'mix-thimble', waterSchool: 'bone-dry' },
  'b-24': { container: 'clay-8', containers: 6, mix: 'all-mineral', waterSchool: 'bone-dry' },
};

/** Volunteers' pots that dry a little faster than the model has it, as a weighing would find. */
export const DEMO_POT_PACE = 1.12;

export interface DemoMother {
  readonly id: string;
  readonly taxon: string;
  readonly name: string;
  readonly provenance: string;
  readonly permission: Permission;
  readonly daysAgo: number;
  readonly space: string;
  readonly heightMm: number;
  /** Age when she came, days. */
  readonly oldThen?: number;
  readonly fromBatch?: string;
  readonly has: Readonly<Partial<Record<MethodId, number>>>;
  readonly look?: DemoLook;
}

/** A look at a mother: days ago, and what was seen. */
export interface DemoLook {
  readonly daysAgo: number;
  readonly turgid: boolean;
  readonly clean: boolean;
  readonly growing: boolean;
  readonly flowering: boolean;
  readonly wateredDaysAgo?: number;
  readonly text?: string;
}

const WELL = { turgid: true, clean: true, growing: true, flowering: false } as const;

export const DEMO_MOTHERS: readonly DemoMother[] = [
  {
    id: 'm-grap',
    taxon: 'graptopetalum-paraguayense',
    name: 'Ghost plant by the tap',
    provenance: 'Grown here from one leaf',
    permission: 'own',
    daysAgo: 900,
    space: 'leanto',
    heightMm: 260,
    oldThen: 30,
    has: { leaf: 110, crown: 6, segment: 5 },
    look: { ...WELL, daysAgo: 3, wateredDaysAgo: 2 },
  },
  {
    id: 'm-gra2',
    taxon: 'graptopetalum-paraguayense',
    name: 'Ghost plant, the second',
    provenance: 'The best of Tray 11',
    permission: 'own',
    daysAgo: 96,
    space: 'leanto',
    heightMm: 120,
    fromBatch: 'b-11',
    has: { leaf: 38, crown: 2 },
    look: { ...WELL, daysAgo: 2, wateredDaysAgo: 3 },
  },
  {
    id: 'm-pach',
    taxon: 'pachyphytum-oviferum',
    name: 'Moonstones, blue pot',
    provenance: 'Swapped at the autumn fair',
    permission: 'given',
    daysAgo: 640,
    space: 'leanto',
    heightMm: 180,
    oldThen: 400,
    has: { leaf: 70, crown: 3 },
    look: { ...WELL, daysAgo: 6, flowering: true, wateredDaysAgo: 5 },
  },
  {
    id: 'm-eche',
    taxon: 'echeveria-elegans',
    name: 'Snowball bowl',
    provenance: 'Left with us by a member who moved',
    permission: 'given',
    daysAgo: 1100,
    space: 'leanto',
    heightMm: 90,
    has: { leaf: 900, crown: 62, offset: 30 },
    look: { ...WELL, daysAgo: 2, wateredDaysAgo: 3 },
  },
  {
    id: 'm-sedu',
    taxon: 'sedum-pachyphyllum',
    name: 'Jelly beans, long trough',
    provenance: 'Grown here',
    permission: 'own',
    daysAgo: 800,
    space: 'leanto',
    heightMm: 320,
    has: { leaf: 400, crown: 24, segment: 20 },
    look: { ...WELL, daysAgo: 12, wateredDaysAgo: 13 },
  },
  {
    id: 'm-aeon',
    taxon: 'aeonium-arboreum',
    name: 'The tall aeonium',
    provenance: 'Cutting from the library courtyard, caretaker asked',
    permission: 'asked',
    daysAgo: 1500,
    space: 'porch',
    heightMm: 780,
    oldThen: 60,
    has: { crown: 9, segment: 6 },
    look: { ...WELL, daysAgo: 4, wateredDaysAgo: 4 },
  },
  {
    id: 'm-gast',
    taxon: 'gasteria-carinata',
    name: 'Ox tongue, shelf end',
    provenance: 'Grown here from an offset',
    permission: 'own',
    daysAgo: 2000,
    space: 'shelf',
    heightMm: 210,
    oldThen: 200,
    has: { 'leaf-section': 9, offset: 4 },
    look: { ...WELL, daysAgo: 5, growing: false, wateredDaysAgo: 9 },
  },
  {
    id: 'm-hawo',
    taxon: 'haworthiopsis-attenuata',
    name: 'Zebra clump',
    provenance: 'Bought for the stock bench',
    permission: 'own',
    daysAgo: 730,
    space: 'leanto',
    heightMm: 110,
    has: { offset: 5, 'rooted-offset': 6 },
    look: {
      ...WELL,
      daysAgo: 1,
      turgid: false,
      wateredDaysAgo: 20,
      text: 'Pulled in tight; the tap was off.',
    },
  },
  {
    id: 'm-opun',
    taxon: 'opuntia-microdasys',
    name: 'Bunny ears',
    provenance: 'Bought for the stock bench',
    permission: 'own',
    daysAgo: 500,
    space: 'leanto',
    heightMm: 340,
    has: { pad: 17 },
    look: { ...WELL, daysAgo: 5, wateredDaysAgo: 11 },
  },
  {
    id: 'm-mamm',
    taxon: 'mammillaria-vetula',
    name: 'Thimble cushion',
    provenance: 'Swapped at the autumn fair',
    permission: 'given',
    daysAgo: 420,
    space: 'leanto',
    heightMm: 70,
    has: { offset: 26 },
    look: {
      ...WELL,
      daysAgo: 2,
      clean: false,
      wateredDaysAgo: 8,
      text: 'White fluff deep between three heads.',
    },
  },
  {
    id: 'm-cere',
    taxon: 'cereus-hildmannianus',
    name: 'Hedge cactus in the corner',
    provenance: 'Rescued from a skip, owner asked',
    permission: 'asked',
    daysAgo: 1300,
    space: 'porch',
    heightMm: 1450,
    has: { column: 3 },
  },
  {
    id: 'm-kala',
    taxon: 'kalanchoe-tomentosa',
    name: 'Panda plant',
    provenance: 'Grown here',
    permission: 'own',
    daysAgo: 460,
    space: 'shelf',
    heightMm: 290,
    oldThen: 20,
    has: { leaf: 60, crown: 5 },
    look: { ...WELL, daysAgo: 7, wateredDaysAgo: 6 },
  },
];

/** What fate holds for the cuttings of a batch: shares of all; the rest roots. */
export interface DemoFate {
  readonly rot?: number;
  readonly dry?: number;
  readonly other?: number;
  /** Neither root nor die: they just sit there. */
  readonly sit?: number;
}

export interface DemoBatch {
  readonly id: string;
  readonly mother: string;
  readonly method: MethodId;
  readonly count: number;
  /** Days since the cut; negative for one that is planned. */
  readonly daysAgo: number;
  readonly space: string;
  readonly callusSpace?: string;
  readonly school: WoundSchoolId;
  readonly place: string;
  readonly columns: number;
  readonly fate: DemoFate;
  readonly widthMm?: number;
  /** Watered on this day after the cut, gate or no gate, for this reason. */
  readonly breach?: { readonly day: number; readonly reason: string };
  /** Wound looks, days after the cut. */
  readonly touches?: readonly { readonly day: number; readonly seen: 'tacky' | 'firm' }[];
  /** Not counted for the last so many days: the Round asks for it. */
  readonly countGap?: number;
  /** Nothing stuck yet although the day has come. */
  readonly unstuck?: boolean;
  /** Stuck, but not watered although the gate is open. */
  readonly dryStill?: boolean;
  readonly note?: string;
  readonly pottedShare?: number;
}

export const DEMO_BATCHES: readonly DemoBatch[] = [
  // Last year's season: all settled.
  {
    id: 'b-01',
    mother: 'm-grap',
    method: 'leaf',
    count: 60,
    daysAgo: 418,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray 1',
    columns: 12,
    fate: { rot: 0.05, dry: 0.08 },
    pottedShare: 1,
  },
  {
    id: 'b-02',
    mother: 'm-pach',
    method: 'leaf',
    count: 40,
    daysAgo: 405,
    space: 'leanto',
    school: 'straight-in',
    place: 'Tray 2',
    columns: 10,
    fate: { rot: 0.42, dry: 0.05, other: 0.03 },
    pottedShare: 1,
    note: 'Cold spell in the second week.',
  },
  {
    id: 'b-03',
    mother: 'm-eche',
    method: 'crown',
    count: 14,
    daysAgo: 391,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray 3',
    columns: 7,
    fate: { rot: 0.07 },
    pottedShare: 1,
  },
  {
    id: 'b-04',
    mother: 'm-sedu',
    method: 'segment',
    count: 30,
    daysAgo: 352,
    space: 'shelf',
    school: 'short-dry',
    place: 'Tray 4',
    columns: 10,
    fate: { rot: 0.17, dry: 0.03 },
    pottedShare: 1,
    breach: { day: 1, reason: 'Misted with the rest by mistake' },
  },
  {
    id: 'b-05',
    mother: 'm-aeon',
    method: 'segment',
    count: 16,
    daysAgo: 330,
    space: 'porch',
    school: 'dry-to-touch',
    place: 'Tray 5',
    columns: 8,
    fate: { rot: 0.31, dry: 0.06 },
    pottedShare: 1,
  },
  {
    id: 'b-06',
    mother: 'm-aeon',
    method: 'crown',
    count: 10,
    daysAgo: 330,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray 6',
    columns: 5,
    fate: { rot: 0.1 },
    pottedShare: 1,
  },
  {
    id: 'b-07',
    mother: 'm-cere',
    method: 'column',
    count: 4,
    daysAgo: 301,
    space: 'shelf',
    school: 'short-dry',
    place: 'Crate',
    columns: 4,
    fate: { rot: 0.5 },
    pottedShare: 1,
    breach: { day: 6, reason: 'Looked shrivelled' },
  },
  {
    id: 'b-08',
    mother: 'm-hawo',
    method: 'rooted-offset',
    count: 11,
    daysAgo: 286,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray 7',
    columns: 6,
    fate: {},
    pottedShare: 1,
  },
  {
    id: 'b-09',
    mother: 'm-gast',
    method: 'leaf-section',
    count: 24,
    daysAgo: 268,
    space: 'shelf',
    school: 'dry-to-touch',
    place: 'Tray 8',
    columns: 8,
    fate: { rot: 0.13, dry: 0.08, sit: 0.08 },
    pottedShare: 0.8,
  },
  {
    id: 'b-10',
    mother: 'm-mamm',
    method: 'offset',
    count: 18,
    daysAgo: 240,
    space: 'shelf',
    school: 'long-cure',
    place: 'Tray 9',
    columns: 6,
    fate: { rot: 0.06 },
    pottedShare: 1,
  },
  {
    id: 'b-11',
    mother: 'm-grap',
    method: 'leaf',
    count: 50,
    daysAgo: 214,
    space: 'shelf',
    school: 'straight-in',
    place: 'Tray 10',
    columns: 10,
    fate: { rot: 0.16, dry: 0.12 },
    pottedShare: 1,
  },
  {
    id: 'b-12',
    mother: 'm-kala',
    method: 'leaf',
    count: 20,
    daysAgo: 190,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray 11',
    columns: 10,
    fate: { rot: 0.1, dry: 0.15, other: 0.1 },
    pottedShare: 1,
    note: 'A cat slept in the tray.',
  },
  {
    id: 'b-13',
    mother: 'm-eche',
    method: 'leaf',
    count: 36,
    daysAgo: 163,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray 12',
    columns: 12,
    fate: { rot: 0.08, dry: 0.17 },
    pottedShare: 0.7,
  },
  {
    id: 'b-14',
    mother: 'm-opun',
    method: 'pad',
    count: 8,
    daysAgo: 140,
    space: 'leanto',
    school: 'long-cure',
    place: 'Tray 13',
    columns: 4,
    fate: { other: 0.12 },
  },
  // This season: on the bench now.
  {
    id: 'b-15',
    mother: 'm-gast',
    method: 'leaf-section',
    count: 20,
    daysAgo: 96,
    space: 'shelf',
    school: 'dry-to-touch',
    place: 'Tray C',
    columns: 10,
    fate: { rot: 0.1, dry: 0.05 },
  },
  {
    id: 'b-16',
    mother: 'm-sedu',
    method: 'leaf',
    count: 48,
    daysAgo: 74,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray D',
    columns: 12,
    fate: { rot: 0.06, dry: 0.13 },
  },
  {
    id: 'b-17',
    mother: 'm-pach',
    method: 'leaf',
    count: 32,
    daysAgo: 52,
    space: 'shelf',
    school: 'dry-to-touch',
    place: 'Tray E',
    columns: 8,
    fate: { rot: 0.09, dry: 0.06 },
  },
  {
    id: 'b-18',
    mother: 'm-hawo',
    method: 'offset',
    count: 9,
    daysAgo: 43,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray F',
    columns: 9,
    fate: { rot: 0.11 },
  },
  {
    id: 'b-19',
    mother: 'm-sedu',
    method: 'crown',
    count: 24,
    daysAgo: 31,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray G',
    columns: 8,
    fate: { rot: 0.08 },
    countGap: 6,
  },
  {
    id: 'b-20',
    mother: 'm-eche',
    method: 'crown',
    count: 12,
    daysAgo: 24,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray B',
    columns: 6,
    fate: { rot: 0.08 },
    countGap: 5,
  },
  {
    id: 'b-21',
    mother: 'm-kala',
    method: 'crown',
    count: 9,
    daysAgo: 11,
    space: 'shelf',
    callusSpace: 'leanto',
    school: 'dry-to-touch',
    place: 'Tray H',
    columns: 9,
    fate: {},
    dryStill: true,
    touches: [
      { day: 3, seen: 'tacky' },
      { day: 6, seen: 'firm' },
    ],
  },
  {
    id: 'b-22',
    mother: 'm-aeon',
    method: 'crown',
    count: 7,
    daysAgo: 6,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Rack A',
    columns: 7,
    fate: {},
    unstuck: true,
  },
  {
    id: 'b-23',
    mother: 'm-mamm',
    method: 'offset',
    count: 12,
    daysAgo: 3,
    space: 'shelf',
    school: 'long-cure',
    place: 'Rack B',
    columns: 6,
    fate: {},
  },
  {
    id: 'b-24',
    mother: 'm-opun',
    method: 'pad',
    count: 6,
    daysAgo: 5,
    space: 'leanto',
    school: 'long-cure',
    place: 'Rack B',
    columns: 6,
    fate: {},
    touches: [{ day: 4, seen: 'tacky' }],
  },
  {
    id: 'b-25',
    mother: 'm-gra2',
    method: 'leaf',
    count: 40,
    daysAgo: 1,
    space: 'leanto',
    school: 'dry-to-touch',
    place: 'Rack C',
    columns: 10,
    fate: {},
  },
  {
    id: 'b-26',
    mother: 'm-gast',
    method: 'leaf-section',
    count: 18,
    daysAgo: 2,
    space: 'porch',
    school: 'dry-to-touch',
    place: 'Rack A',
    columns: 9,
    fate: {},
  },
  {
    id: 'b-27',
    mother: 'm-cere',
    method: 'column',
    count: 3,
    daysAgo: 12,
    space: 'leanto',
    school: 'long-cure',
    place: 'Floor crate',
    columns: 3,
    fate: {},
  },
  {
    id: 'b-28',
    mother: 'm-pach',
    method: 'crown',
    count: 10,
    daysAgo: -3,
    space: 'shelf',
    school: 'dry-to-touch',
    place: 'Tray J',
    columns: 5,
    fate: {},
  },
];
