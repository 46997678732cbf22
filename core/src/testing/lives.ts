import * as fc from 'fast-check';
import { CATALOGUE, coursesFor, METHODS, type MethodId } from '../botany';
import type { Ask, Care, StepId } from '../care';
import {
  FEEDINGS,
  fold,
  SIGNS,
  type Batch,
  type BatchFields,
  type Entry,
  type State,
} from '../journal';
import { FIRST_WATERS, UNROOTED_WATERS } from '../water';
import { WOUND_SCHOOLS } from '../wound';
import { batchPut, DAY, FIELDS, written } from './entries';
import { deedsOf } from './story';

/** The days over which lives are asked about. */
export const LIFE_DAYS = 130;

type Draft = Parameters<typeof written>[number];

const WAYS: readonly (readonly [taxon: string, method: MethodId])[] = CATALOGUE.flatMap((t) => [
  ...t.methods.map((m) => [t.id, m.method] as const),
  ...METHODS.slice(-5).map((m) => [t.id, m] as const),
]);

const deed = fc.oneof(
  { weight: 4, arbitrary: fc.constant('set') },
  {
    weight: 3,
    arbitrary: fc.constantFrom(
      'tacky',
      'firm',
      'fine',
      'wrinkled',
      'soft',
      'torn',
      'recut',
      'roots-cut',
    ),
  },
  { weight: 4, arbitrary: fc.constantFrom('water', 'mist', 'breach') },
  {
    weight: 5,
    arbitrary: fc.constantFrom(
      'count 0r',
      'count 3r',
      'count 6r 1x',
      'count 5r 3p',
      'count 8r 1x 1d',
      'count 4r 4p 1x 1d',
    ),
  },
  {
    weight: 2,
    arbitrary: fc.constantFrom(
      'potted 2',
      'potted 3 bared',
      'potted 5 hurt',
      'potted 9 in pot-7 two-to-one',
    ),
  },
  { weight: 2, arbitrary: fc.constantFrom('set 3', 'set wet', 'wean', 'root 30mm', 'root 8mm') },
  {
    weight: 2,
    arbitrary: fc.constantFrom('stir', 'change', 'light', 'feed', 'jar-feed', 'leaf-off', 'air'),
  },
  {
    weight: 2,
    arbitrary: fc.oneof(
      fc.constantFrom(...SIGNS).map((sign) => `sign ${sign}`),
      fc.constantFrom('felt dry', 'felt moist', 'felt wet'),
    ),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      'put-off roots 60',
      'put-off stick 30',
      'put-off feed',
      'put-off water',
    ),
  },
);

/** A batch of any plant, way and course, with deeds in any order. */
export interface Life {
  readonly fields: BatchFields;
  readonly deeds: readonly (readonly [number, string])[];
  readonly room: { readonly tempC: number; readonly rh: number };
}

export const anyLife: fc.Arbitrary<Life> = fc
  .record({
    way: fc.constantFrom(...WAYS),
    pick: fc.nat(20),
    school: fc.constantFrom(...WOUND_SCHOOLS),
    callusAt: fc.constantFrom('rack' as const, 'medium' as const),
    firstWater: fc.option(fc.constantFrom(...FIRST_WATERS), { nil: null, freq: 2 }),
    unrootedWater: fc.option(fc.constantFrom(...UNROOTED_WATERS), { nil: null, freq: 2 }),
    dryDays: fc.option(fc.constantFrom(0, 0.25, 2, 14), { nil: null, freq: 4 }),
    opening: fc.option(fc.constantFrom('snapped' as const, 'parted' as const, 'broken' as const), {
      nil: null,
      freq: 3,
    }),
    feeding: fc.option(fc.constantFrom(...FEEDINGS), { nil: null, freq: 2 }),
    pot: fc.boolean(),
    containers: fc.option(fc.constantFrom(1, 10), { nil: null }),
    room: fc.constantFrom(
      { tempC: 22, rh: 0.55 },
      { tempC: 15, rh: 0.7 },
      { tempC: 27, rh: 0.4 },
      { tempC: 2, rh: 0.7 },
    ),
    deeds: fc.array(fc.tuple(fc.nat(LIFE_DAYS), deed), { maxLength: 14 }),
  })
  .map(({ way: [taxon, method], pick, pot, room, deeds, ...choice }) => {
    const plant = CATALOGUE.find((t) => t.id === taxon)!;
    const wound = plant.methods.find((m) => m.method === method)?.wound ?? null;
    const courses = coursesFor(plant, method, wound);
    return {
      fields: {
        ...FIELDS,
        mother: null,
        taxon,
        method,
        count: 10,
        ...choice,
        ...(pick % 3 === 0 ? { course: courses[pick % courses.length]! } : {}),
        ...(pot ? { container: 'pot-7', mix: 'two-to-one' } : {}),
      },
      deeds: [[0, 'cut'] as const, ...[...deeds].sort(([a], [b]) => a - b)],
      room,
    };
  });

export const entriesOf = ({ fields, deeds, room }: Life): readonly Entry[] =>
  written(
    { kind: 'put', record: 'space', day: DAY, key: 'bench', fields: { name: 'Bench', ...room } },
    batchPut(fields),
    ...deeds.flatMap(([n, d]): readonly Draft[] => deedsOf(d, n)),
  );

export const stateOf = (l: Life): State => fold(entriesOf(l));
export const batchOf = (state: State): Batch => state.batches.get('b1')!;

/** The last day anything was written of it: from then on only time passes. */
export const lastDay = ({ deeds }: Life): number => Math.max(...deeds.map(([n]) => n));

/** Steps that a task is told by. */
const STEP_OF: Readonly<Partial<Record<Ask['kind'], StepId>>> = {
  cut: 'cut',
  stick: 'stick',
  'first-water': 'first-water',
  roots: 'roots',
  overdue: 'roots',
  wean: 'wean',
  pups: 'pups',
  light: 'light',
  feed: 'feed',
  'pot-on': 'pot-on',
};

/** What contradicts itself in one answer; empty where nothing does. */
export function contradictions({ asks, leave, steps }: Care, chosen: boolean): readonly string[] {
  const asked = new Set<string>(asks.map((a) => a.kind));
  const left = new Set<string>(leave.map((l) => l.kind));
  const wrong: string[] = [];
  if (asked.size < asks.length) wrong.push(`asked twice: ${asks.map((a) => a.kind).join()}`);
  if (!chosen && left.has('gate') && ['first-water', 'water', 'mist'].some((k) => asked.has(k)))
    wrong.push('a shut gate and the can');
  if (left.has('drying') && asked.has('stick')) wrong.push('drying and set');
  if (left.has('rooting') && (asked.has('roots') || asked.has('overdue')))
    wrong.push('leave the roots and look for them');
  if (left.has('water') && (asked.has('water') || asked.has('mist') || asked.has('first-water')))
    wrong.push('no water and water');
  if (left.has('held') && ['first-water', 'water', 'mist'].some((k) => asked.has(k)))
    wrong.push('the can held and asked for');
  for (const kind of asked) {
    const id = STEP_OF[kind as Ask['kind']];
    const step = steps.find((s) => s.id === id);
    if (step && step.is !== 'due' && step.is !== 'late')
      wrong.push(`${kind} is asked, and its step is ${step.is}`);
  }
  return wrong;
}
