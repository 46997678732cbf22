import * as say from '@hypogeon/messages/core-scenario';
import type { Day } from '../days';
import { fold, type BatchFields, type Entry } from '../journal';
import { strategyOf, USUAL_WEATHER, type Strategy, type Weather } from '../rehearse';

export const SCENARIO_IDS = [
  'warm-leaves',
  'damp-porch',
  'weekly-can',
  'forgotten-jar',
  'one-rotting',
  'winter-sill',
  'order',
  'division',
] as const;
export type ScenarioId = (typeof SCENARIO_IDS)[number];

/** A bench to practise on. Invented, from easy to hard; common practice, no source. */
export interface Scenario {
  readonly id: ScenarioId;
  readonly title: string;
  /** What is told at the start, and no more. */
  readonly told: string;
  readonly pieces: number;
  /** Days until the truth is laid open. */
  readonly days: number;
  readonly cutOn: Day;
  readonly space: { readonly tempC: number; readonly rh: number; readonly lightLevel: Light };
  readonly batch: BatchFields;
  readonly weather: Weather;
  readonly seed: number;
  /** It stands in its medium from the start. */
  readonly setAtOnce?: boolean;
  /** The medium as it is found, against drained. */
  readonly foundWet?: number;
  /** Somebody else waters it on the first day given and every so many after it, until it is moved out of reach. */
  readonly meddler?: { readonly first: number; readonly every: number };
  /** The first piece is infected already. */
  readonly oneSick?: boolean;
  /** Where “move” takes it: another pot or mix. */
  readonly movedTo?: BatchFields;
  /** So many rooted plants are asked for. */
  readonly wanted?: number;
}

type Light = 'sun-sill' | 'side-sill' | 'north-sill' | 'shaded-glass' | 'bright-glass';

const SUMMER = '2026-05-04';
const WINTER = '2026-11-30';
const ROOM: Weather = { tempSd: 1, rhSd: 0.04, persistence: 0.7 };

const batch = (fields: BatchFields): BatchFields => ({
  school: 'dry-to-touch',
  callusAt: 'rack',
  callusSpace: 'here',
  space: 'here',
  disinfectant: 'alcohol',
  ...fields,
});

export const SCENARIOS: Readonly<Record<ScenarioId, Scenario>> = {
  'warm-leaves': {
    id: 'warm-leaves',
    get title() {
      return say.leavesInAWarm();
    },
    get told() {
      return say.aDozenLeavesTwisted();
    },
    pieces: 12,
    days: 70,
    cutOn: SUMMER,
    space: { tempC: 25, rh: 0.36, lightLevel: 'side-sill' },
    batch: batch({
      taxon: 'sedum-pachyphyllum',
      method: 'leaf',
      container: 'tray-4',
      mix: 'half-and-half',
    }),
    weather: ROOM,
    seed: 11,
  },
  'damp-porch': {
    id: 'damp-porch',
    get title() {
      return say.aCactusTopIn();
    },
    get told() {
      return say.sixTopsOfA();
    },
    pieces: 6,
    days: 140,
    cutOn: SUMMER,
    space: { tempC: 16, rh: 0.8, lightLevel: 'shaded-glass' },
    batch: batch({
      taxon: 'cereus-hildmannianus',
      method: 'column',
      widthMm: 55,
      container: 'pot-12',
      mix: 'two-to-one',
    }),
    weather: USUAL_WEATHER,
    seed: 22,
  },
  'weekly-can': {
    id: 'weekly-can',
    get title() {
      return say.somebodyWatersOnSundays();
    },
    get told() {
      return say.eightHeadsOnFat();
    },
    pieces: 8,
    days: 70,
    cutOn: SUMMER,
    space: { tempC: 18, rh: 0.66, lightLevel: 'sun-sill' },
    batch: batch({
      taxon: 'echeveria-elegans',
      method: 'crown',
      widthMm: 20,
      container: 'pot-7',
      mix: 'half-and-half',
    }),
    weather: ROOM,
    seed: 404,
    setAtOnce: true,
    foundWet: 0.1,
    meddler: { first: 2, every: 7 },
  },
  'forgotten-jar': {
    id: 'forgotten-jar',
    get title() {
      return say.aJarForgotten();
    },
    get told() {
      return say.fiveStemsStuckInto();
    },
    pieces: 5,
    days: 60,
    cutOn: SUMMER,
    space: { tempC: 21, rh: 0.55, lightLevel: 'side-sill' },
    batch: batch({
      taxon: 'crassula-ovata',
      method: 'crown',
      widthMm: 9,
      container: 'glass-9',
      mix: 'coir',
    }),
    weather: ROOM,
    seed: 202,
    setAtOnce: true,
    foundWet: 1,
    movedTo: { container: 'clay-8', mix: 'two-to-one' },
  },
  'one-rotting': {
    id: 'one-rotting',
    get title() {
      return say.oneOfThemSmells();
    },
    get told() {
      return say.twelveCrownsShareA();
    },
    pieces: 12,
    days: 60,
    cutOn: SUMMER,
    space: { tempC: 23, rh: 0.6, lightLevel: 'bright-glass' },
    batch: batch({
      taxon: 'echeveria-elegans',
      method: 'crown',
      widthMm: 8,
      container: 'tray-4',
      mix: 'half-and-half',
    }),
    weather: ROOM,
    seed: 404,
    setAtOnce: true,
    foundWet: 0.75,
    oneSick: true,
  },
  'winter-sill': {
    id: 'winter-sill',
    get title() {
      return say.aWinterSill();
    },
    get told() {
      return say.eightStemPiecesCut();
    },
    pieces: 8,
    days: 110,
    cutOn: WINTER,
    space: { tempC: 11, rh: 0.74, lightLevel: 'north-sill' },
    batch: batch({
      taxon: 'sedum-pachyphyllum',
      method: 'segment',
      widthMm: 10,
      container: 'pot-7',
      mix: 'half-and-half',
    }),
    weather: ROOM,
    seed: 202,
  },
  order: {
    id: 'order',
    get title() {
      return say.anOrderInFour();
    },
    get told() {
      return say.tenCrownsInA();
    },
    pieces: 10,
    days: 28,
    cutOn: SUMMER,
    space: { tempC: 14, rh: 0.55, lightLevel: 'bright-glass' },
    batch: batch({
      taxon: 'sedum-pachyphyllum',
      method: 'crown',
      widthMm: 6,
      container: 'pot-7',
      mix: 'half-and-half',
    }),
    weather: ROOM,
    seed: 505,
    wanted: 6,
  },
  division: {
    id: 'division',
    get title() {
      return say.aClumpJustParted();
    },
    get told() {
      return say.sixPartsOfA();
    },
    pieces: 6,
    days: 60,
    cutOn: SUMMER,
    space: { tempC: 18, rh: 0.7, lightLevel: 'side-sill' },
    batch: batch({
      taxon: 'haworthiopsis-attenuata',
      method: 'rooted-offset',
      widthMm: 6,
      container: 'pot-12',
      mix: 'coir',
    }),
    weather: ROOM,
    seed: 88,
    setAtOnce: true,
    foundWet: 1,
  },
};

/** The bench of a scenario as the product would advise it: its own course, schools, pot and air. */
export function adviceFor(scenario: Scenario, over: BatchFields = {}): Strategy {
  const place: Entry = {
    id: 'place',
    at: '2026-01-01T00:00:00.000Z~0000',
    by: 'practice',
    day: scenario.cutOn,
    kind: 'put',
    record: 'space',
    key: 'here',
    fields: { name: say.here(), ...scenario.space },
  };
  const fields = { ...scenario.batch, count: scenario.pieces, cutOn: scenario.cutOn, ...over };
  const made = strategyOf(fold([place]), 'advice', fields, scenario.days + 1);
  if ('problem' in made) throw new RangeError(`scenario ${scenario.id}: ${made.problem}`);
  return made;
}
