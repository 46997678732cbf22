import {
  allPotted,
  clockOf,
  courseOf,
  drinksOf,
  dueToSet,
  figuresOf,
  firstDrink,
  forJar,
  gateClock,
  hadRoots,
  hasRoots,
  inJar,
  isLaid,
  plantOf,
  potting,
  rootsHoldFrom,
  rootsSince,
  spaceDrying,
  staysPut,
  surroundingsOf,
  waitsForRoots,
  waterSchoolOf,
  wetStart,
  type Drying,
  type FirstDrink,
} from '../bench';
import type { Taxon, TaxonMethod } from '../botany';
import { COURSE, type Course, type CourseId } from '../course';
import { daysBetween, type Day } from '../days';
import { isRooted, type Batch, type Cutting, type State } from '../journal';
import { correlationOf, evidenceFor, outlookOf, toldIn, type Ahead, type Outlook } from '../learn';
import { memo } from '../memo';
import type { WaterSchoolId } from '../water';
import type { WoundClock } from '../wound';

/** Days since the cut by which one in ten and nine in ten of those that will have it have it. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** What is known of a batch whatever the day: worked out once, and again only when something it hangs on changes. */
export interface Facts {
  readonly course: CourseId;
  /** What tells its course from others. */
  readonly row: Course;
  readonly figures: TaxonMethod | null;
  readonly taxon: Taxon | null;
  readonly clock: WoundClock | null;
  /** The same while it counts: roots seen since say more. */
  readonly gate: WoundClock | null;
  readonly forJar: boolean;
  readonly inJar: boolean;
  /** When it is to be set; null where that cannot be said. */
  readonly setOn: Day | null;
  readonly first: FirstDrink | null;
  /** When roots and pups come, all looks laid in: the one clock of roots. */
  readonly outlook: Outlook | null;
  readonly roots: Span | null;
  readonly pups: Span | null;
  /** Pieces that live here: not set yet, of those with roots; set; potted on. */
  readonly living: number;
  readonly unset: number;
  readonly unsetRooted: number;
  /** Set, and not in pots of their own: those drink by themselves. */
  readonly inTray: number;
  readonly rootsSince: Day | null;
  /** The day by which half of those that stand had roots: light and feed are for the whole tray. */
  readonly halfRooted: Day | null;
  readonly rootedDays: readonly Day[];
  readonly puppedDays: readonly Day[];
  readonly hasRoots: boolean;
  /** It came with roots of its own. */
  readonly ownRoots: boolean;
  /** A mist is its drink: it lies on the surface, or is a crumb. */
  readonly laid: boolean;
  /** From this day on its young roots hold in the mix; null while that cannot be said. */
  readonly holds: Day | null;
  readonly school: WaterSchoolId;
  readonly drinks: Batch['waterings'];
  readonly wet: boolean;
  /** All stand in pots of their own, since this day. */
  readonly pottedOn: Day | null;
  readonly missing: readonly ('pot' | 'mix')[];
  /** It stands where it is to grow: nothing is potted on until its pot is full of roots. */
  readonly staysPut: boolean;
  /** Somebody last stood at it; a forecast is made at the desk. */
  readonly lastTouch: Day;
}

const kept = new WeakMap<
  Batch,
  {
    readonly around: object;
    /** What all batches have told, and of it what its own figures hang on. */
    readonly told: object;
    readonly group: object | null;
    readonly correlation: number;
    readonly facts: Facts;
  }
>();

/** The facts of a batch. */
export function factsOf(state: State, batch: Batch): Facts {
  const around = surroundingsOf(state);
  const told = toldIn(state);
  const known = kept.get(batch);
  // After a tap on one batch nothing changed for nearly all others: they are told in a moment.
  if (known?.around === around && known.told === told) return known.facts;
  const figures = figuresOf(state, batch);
  const group = figures && evidenceFor(state, batch.taxon, figures);
  const correlation = correlationOf(state);
  const same =
    known?.around === around && known.group === group && known.correlation === correlation;
  const facts = same ? known.facts : workOut(state, batch, figures);
  kept.set(batch, { around, told, group, correlation, facts });
  return facts;
}

function workOut(state: State, batch: Batch, figures: TaxonMethod | null): Facts {
  const course = courseOf(state, batch);
  const clock = clockOf(state, batch);
  const gate = gateClock(batch, clock);
  const jar = forJar(state, batch);
  const setOn = batch.stuck ?? dueToSet(state, batch, clock);
  const standing = batch.cuttings.filter((c) => !c.left && !isGone(c));
  const rooted = standing.filter(isRooted).length;
  const set = setCount(batch, standing.length);
  const inTray = Math.max(0, set - batch.here.potted);
  const outlook = outlookOf(state, batch);
  const told = potting(batch);
  const rootedDays = seenDays(standing, 'rooted');
  return {
    course,
    row: COURSE[course],
    figures,
    taxon: plantOf(state, batch.taxon)?.taxon ?? null,
    clock,
    gate,
    forJar: jar,
    inJar: inJar(state, batch),
    setOn,
    first:
      setOn === null || jar || (batch.stuck !== null && inTray === 0)
        ? null
        : firstDrink(state, batch, clock, setOn),
    outlook,
    get roots() {
      return outlook && spanOf(batch, outlook.roots);
    },
    get pups() {
      return outlook?.pups ? spanOf(batch, outlook.pups) : null;
    },
    living: standing.length,
    unset: standing.length - set,
    unsetRooted: Math.max(0, rooted - set),
    inTray,
    rootsSince: rootsSince(batch),
    halfRooted: rootedDays[Math.ceil(standing.length / 2) - 1] ?? null,
    rootedDays,
    puppedDays: seenDays(standing, 'pupped'),
    hasRoots: hasRoots(state, batch),
    ownRoots: hadRoots(state, batch),
    laid: isLaid(state, batch),
    holds: rootsHoldFrom(state, batch),
    school: waterSchoolOf(state, batch),
    drinks: drinksOf(batch),
    wet: wetStart(batch),
    pottedOn: allPotted(batch) ? batch.pottings.at(-1)!.day : null,
    missing: [
      ...(told.container === undefined ? (['pot'] as const) : []),
      ...(told.mix === undefined ? (['mix'] as const) : []),
    ],
    staysPut: staysPut(state, batch),
    lastTouch: batch.entries.findLast((e) => e.kind !== 'forecast')?.day ?? batch.cutOn,
  };
}

/** Living pieces that were not set as yet. */
export const unsetOf = (state: State, batch: Batch): number => factsOf(state, batch).unset;

const spanOf = ({ cutOn }: Batch, { from, to }: Ahead): Span => ({
  from: daysBetween(cutOn, from),
  to: daysBetween(cutOn, to),
});

const isGone = ({ outcome }: Cutting): boolean =>
  outcome === 'rotted' || outcome === 'dried' || outcome === 'lost';

/** How many of the living pieces were set: in the medium, or into pots at once. */
function setCount({ settings, pottings, rootedInWater }: Batch, living: number): number {
  const told = rootedInWater ? settings.slice(-1) : settings;
  if (told.some((s) => s.count === null)) return living;
  const count = told.reduce((sum, s) => sum + (s.count ?? 0), 0);
  const potted = pottings.reduce((sum, p) => sum + p.count, 0);
  return Math.min(living, told.length === 0 ? potted : Math.max(count, potted));
}

function seenDays(standing: readonly Cutting[], kind: 'rooted' | 'pupped'): readonly Day[] {
  return standing.flatMap((c) => c[kind]?.by ?? []).sort();
}

const dryings = memo((state: State) => spaceDrying(state));

/** What the air of a space takes on a day. */
export const dryingOn = (state: State, space: string, day: Day): Drying =>
  dryings(state)(space, day);

/** How far past its day something is; 0 on it and before. */
export const daysSince = (since: Day, day: Day): number => Math.max(0, daysBetween(since, day));

/** Nothing is given before roots show, by choice or because such pieces are kept so. */
export const keptUntilRoots = (state: State, batch: Batch, { first, unset }: Facts): boolean =>
  first === null
    ? unset > 0 && waitsForRoots(state, batch)
    : first.on === null && first.by === 'roots';
