import * as say from '@hypogeon/messages/core-slip';
import { formOf, lightNeedOf, lightSteps, methodAs, type Form, type LightPlace } from '../botany';
import type { CourseId } from '../course';
import type { RegimeId, WaterSchoolId, WaterVerdict } from '../water';
import { batchCode, plantOf, regimeOn } from '../bench';
import { addDays, type Day } from '../days';
import type { Batch, State } from '../journal';
import { cautionsFor, type Caution } from '../safety';
import { careOf } from './care-of';
import { factsOf, keptUntilRoots } from './facts';
import { isCrested } from './signs';
import { waterSays } from './verdict';

/** What goes with a piece that is handed over: how to keep it, as data. */
export interface Slip {
  readonly name: string;
  readonly code: string;
  /** One, and many: `crown`, `crowns`. */
  readonly piece: { readonly one: string; readonly many: string };
  readonly course: CourseId;
  readonly cutOn: Day;
  readonly pottedOn: Day | null;
  /** What it is commonly called; null where it is called nothing else. */
  readonly common: string | null;
  /** It grows crested, and is sold as that. */
  readonly crested: boolean;
  /** Where it is from: the mother's name and what is known of hers. */
  readonly from: readonly string[];
  /** Of those that live so many have roots. */
  readonly withRoots: number;
  readonly living: number;
  readonly rooted: boolean;
  /** No water before this day; null where it may have some at once. */
  readonly noWaterBefore: Day | null;
  /** It is kept dry until it has roots, whatever day that is. */
  readonly dryUntilRoots: boolean;
  /** What it is given until its roots drink for a pot; null once they do. */
  readonly regime: RegimeId | null;
  /** How it is watered once they do. */
  readonly school: WaterSchoolId;
  /** It holds water in its crown, or its leaves are better left dry. */
  readonly crown: boolean;
  /** It stands in water. */
  readonly inJar: boolean;
  /** Not set as yet: into dry mix on this day. */
  readonly setOn: Day | null;
  /** Roots may be looked for from this day on; null where it has them. */
  readonly rootsFrom: Day | null;
  /** Where it stands at first, and where it is going. */
  readonly light: { readonly now: LightPlace; readonly later: LightPlace };
  readonly cautions: readonly Caution[];
}

/** Water that stands in their crown rots them. Common practice, no source. */
const HOLDS_WATER: ReadonlySet<Form | null> = new Set(['rosette', 'stacked', 'strap', 'stone']);

/**
 * The care slip of a batch’s pieces on a day.
 * @param verdict on its pot, as judged on that day: the slip says of the water what its page says
 */
export function slipOf(state: State, batch: Batch, day: Day, verdict?: WaterVerdict): Slip {
  const facts = factsOf(state, batch);
  const care = careOf(state, batch, day, verdict);
  const { course } = care;
  const taxon = plantOf(state, batch.taxon)?.taxon ?? null;
  const { one, many } = methodAs(taxon, batch.method);
  const light = taxon ? lightSteps(lightNeedOf(taxon)) : lightSteps('bright');
  const water = waterSays(care, day);
  const rooted = facts.hasRoots;
  const { waiting, rooted: roots, pupped } = batch.here;
  const own = facts.ownRoots ? waiting : 0;
  const mother = batch.mother === undefined ? undefined : state.mothers.get(batch.mother);
  const regime = regimeOn(state, batch, day, facts.holds);
  // What was given water all the same goes on as such pieces do: it is kept dry no more, unless they all are.
  const drank = facts.wet || facts.drinks.length > 0;
  const dryUntilRoots =
    !facts.inJar && !rooted && (drank ? regime === 'dry' : keptUntilRoots(state, batch, facts));
  return {
    name: plantOf(state, batch.taxon)?.name ?? say.unknownPlant(),
    common: taxon?.common[0] ?? null,
    crested: isCrested(batch),
    from: [mother?.name, mother?.provenance].filter((t): t is string => t !== undefined),
    withRoots: roots + pupped + own,
    living: waiting + roots + pupped,
    dryUntilRoots,
    regime,
    school: facts.school,
    crown: HOLDS_WATER.has(taxon && formOf(taxon)),
    code: batchCode(state, batch),
    piece: { one, many },
    course,
    cutOn: batch.cutOn,
    pottedOn: facts.pottedOn,
    rooted,
    noWaterBefore: facts.inJar || dryUntilRoots || water.is !== 'not before' ? null : water.day,
    inJar: facts.inJar,
    setOn: facts.unset > 0 && facts.setOn !== null ? facts.setOn : null,
    rootsFrom: rooted || !facts.roots ? null : addDays(batch.cutOn, facts.roots.from),
    light: { now: light[0]!.to, later: light.at(-1)!.to },
    cautions: taxon ? cautionsFor(taxon) : [],
  };
}
