import type { LightPlace, Young } from '../botany';
import type { CourseId } from '../course';
import type { Day } from '../days';
import type { Batch, Sign, TaskId } from '../journal';
import type { FirstWaterId, RegimeId, VerdictReason, WaterSchoolId } from '../water';
import type { WoundSchoolId } from '../wound';
import type { Neighbour } from './neighbours';

/** Water comes on a day that was chosen, and the wound is likely closed no sooner than then; null where it stands still. */
export interface StillOpen {
  readonly closes: Day | null;
}

/** Why something is asked or left: data, to be put into words in the grower's units. */
export type Reason =
  | { readonly why: 'planned'; readonly on: Day }
  | { readonly why: 'plump-mother'; readonly cutOn: Day }
  /** It dries: the wound is this far closed. */
  /** `again`: seen tacky far past its time, so that the next touch says more than the date. */
  | {
      readonly why: 'closing';
      readonly closure: number;
      readonly opens: Day | null;
      readonly again: Day | null;
      /** What keeps the can away for longer than the wound does. */
      readonly then?: Reason | undefined;
    }
  | { readonly why: 'chosen-days'; readonly days: number; readonly opens: Day | null }
  | { readonly why: 'stopped'; readonly tacky: boolean }
  | { readonly why: 'touch' }
  /** To be set, or put into the jar. */
  /** `left` where it grew: roots in their old pot. */
  | { readonly why: 'no-wound'; readonly ownRoots: boolean; readonly left: boolean }
  | { readonly why: 'closed' }
  | { readonly why: 'school'; readonly school: WoundSchoolId }
  /** What of it stands under water: a stem, the stalk of a leaf, the base end of a section or strap. */
  | { readonly why: 'into-jar'; readonly under: JarEnd }
  | { readonly why: 'roots-on-rack'; readonly misted: boolean }
  /** The first water. */
  /** `open`: so many of them are likely open still. */
  | {
      readonly why: 'gate-opened';
      readonly on: Day;
      readonly school: WoundSchoolId;
      readonly open: number;
    }
  | { readonly why: 'settles' }
  /** Seed: its first mist. */
  | { readonly why: 'sown' }
  /** Its rest in the cold is over. */
  | { readonly why: 'woke' }
  | { readonly why: 'first-chosen'; readonly choice: FirstWaterId; readonly open: StillOpen | null }
  | { readonly why: 'roots-first'; readonly look: Day | null }
  | { readonly why: 'roots-show'; readonly misted: boolean }
  | { readonly why: 'laid-dry' }
  /** Water, later. */
  | { readonly why: 'verdict'; readonly is: VerdictReason }
  | { readonly why: 'unread'; readonly last: Day }
  | {
      readonly why: 'habit';
      /** The last drink, or the day it was set in a mix that was wet. */
      readonly last: Day;
      readonly wet: boolean;
      readonly days: number;
      readonly missing: readonly ('pot' | 'mix')[];
      readonly regime: RegimeId | null;
      readonly hasRoots: boolean;
      readonly school: WaterSchoolId;
      /** What a finger or a meter said since. */
      readonly felt: Batch['touches'][number] | null;
    }
  | {
      readonly why: 'mist';
      /** Null where it had none as yet: it was set in a mix that was wet. */
      readonly last: Day | null;
      readonly days: number;
      readonly evaporationMm: number;
      readonly missing: readonly ('pot' | 'mix')[];
    }
  | { readonly why: 'dry-until-roots'; readonly look: Day | null }
  /** Out of the jar for so many days: moist for two weeks, then drier by steps. */
  | { readonly why: 'tapers'; readonly days: number; readonly last: Day; readonly every: number }
  /** Roots and pups. */
  | { readonly why: 'too-soon'; readonly for: Awaited | Young }
  /** A look that sets roots back, or one that costs nothing. */
  | { readonly why: 'looked-lately'; readonly free: boolean }
  | {
      readonly why: 'bare-roots';
      readonly held: number;
      readonly of: number;
      readonly misted: boolean;
    }
  | { readonly why: 'bare-long'; readonly count: number; readonly of: number }
  /** It lies on the mix: one looks where it lies. */
  | { readonly why: 'lying'; readonly held: number | null; readonly of: number }
  | { readonly why: 'roots-seen' }
  /** Past their window, and by the clock of roots still likelier than not to root. */
  | {
      readonly why: 'not-yet';
      readonly count: number;
      readonly ever: number;
      /** How one looks. */
      readonly look: Reason;
    }
  | { readonly why: 'tug'; readonly held: number | null; readonly of: number }
  | { readonly why: 'glass' }
  | { readonly why: 'taken-hold' }
  | { readonly why: 'shoots' }
  | { readonly why: 'seedlings' }
  | {
      readonly why: 'pups';
      readonly rooted: number;
      readonly pupped: number;
      readonly buds: number;
      readonly young: Young;
    }
  /** So many of those that live wait long past their window. */
  | {
      readonly why: 'long-without-roots';
      readonly days: number;
      readonly count: number;
      readonly of: number;
      readonly then: LongThen;
    }
  | { readonly why: 'forgotten'; readonly ask: TaskId; readonly days: number }
  /** The jar. */
  | { readonly why: 'stir'; readonly since: Day; readonly under: JarEnd }
  | { readonly why: 'stale'; readonly since: Day; readonly every: number; readonly tempC: number }
  | { readonly why: 'jar-rests'; readonly next: 'stir' | 'change' }
  | { readonly why: 'jar-hungry'; readonly rooted: Day }
  | { readonly why: 'roots-long'; readonly mm: number | null }
  /** Once there are roots. */
  /** Out of closed air by steps. */
  | { readonly why: 'opened'; readonly step: number; readonly of: number }
  /** Seed is kept dry before it is sown; it is time. */
  | { readonly why: 'stored'; readonly days: number }
  | { readonly why: 'sow' }
  | { readonly why: 'harden'; readonly step: number; readonly of: number; readonly to: LightPlace }
  | { readonly why: 'feed'; readonly rooted: Day | null; readonly fed: Day | null }
  | { readonly why: 'mother-leaf' }
  | { readonly why: 'ready-roots'; readonly mm: number }
  | { readonly why: 'ready-leaf-off' }
  | { readonly why: 'pot-bound' }
  /** `heads` young plants in all, where a piece brought several. */
  | { readonly why: 'ready-counted'; readonly by: ReadyBy; readonly heads: number | null }
  /** In a pot of its own. */
  | { readonly why: 'potted-whole' }
  | { readonly why: 'potted-rested'; readonly days: number }
  | { readonly why: 'shaded' }
  /** Without roots in the sun of noon. */
  | { readonly why: 'noon-sun' }
  /** In its rest a little now and then, so that its roots live. */
  | { readonly why: 'rest-drink'; readonly by: 'cold' | 'heat' }
  /** It rests, for cold or for heat: nearly dry. */
  | {
      readonly why: 'resting';
      readonly opens: Day | null;
      readonly by: 'cold' | 'heat';
    }
  | { readonly why: 'grown' }
  /** The grower put it off, or there is nothing to say but when to look again. */
  | { readonly why: 'put-off'; readonly task: TaskId; readonly text: string }
  | { readonly why: 'nothing-due'; readonly course: CourseId }
  /** What a look found beside its answer. */
  | { readonly why: 'sign'; readonly sign: Sign; readonly seen: Day }
  /** Rot near it. */
  | { readonly why: 'rot-near'; readonly near: Neighbour }
  /** A mother after a cut, a division, a repotting. */
  | { readonly why: 'mother-dry'; readonly what: MotherDeed; readonly on: Day }
  | { readonly why: 'mother-drinks'; readonly what: MotherDeed; readonly on: Day }
  | { readonly why: 'mother-shade'; readonly what: MotherDeed; readonly on: Day }
  | { readonly why: 'mother-light'; readonly what: MotherDeed; readonly on: Day }
  | { readonly why: 'mother-feed'; readonly what: MotherDeed; readonly on: Day }
  | {
      readonly why: 'regrowth' | 'regrowing';
      readonly cut: Day;
      readonly where: RegrowsAt;
      /** New heads when they were last counted. */
      readonly heads: HeadsSeen | null;
    }
  /** A mother that was parted or moved has her buds looked at. */
  | {
      readonly why: 'buds';
      readonly what: MotherDeed;
      readonly on: Day;
      readonly heads: HeadsSeen | null;
    }
  | { readonly why: 'buds-ahead'; readonly what: MotherDeed; readonly on: Day };

/** New heads or buds on a mother, and the day they were counted. */
export interface HeadsSeen {
  readonly count: number;
  readonly on: Day;
}

/** Where new growth comes after a cut: on the bare stem, beside what was cut, at the joint, below the rim. */
export type RegrowsAt = 'stem' | 'soil' | 'joint' | 'rim' | 'base';

/** What is awaited first: roots, shoots that tell of them, seedlings, or that what has roots takes hold. */
export type Awaited = 'roots' | 'shoots' | 'seedlings' | 'hold';
/** What may be done for what waits long: by what it is and how it lies. */
export type LongThen =
  'cut-again' | 'leaf' | 'section' | 'jar' | 'own-roots' | 'root-piece' | 'seed';
/** What tells that it is ready for a pot of its own. */
export type ReadyBy = 'roots' | 'shoots' | 'heads' | 'leaf-pups' | 'section' | 'true-leaves';
/** What of a piece stands under water. */
export type JarEnd = 'stem' | 'stalk' | 'base';

export type MotherDeed = 'cut' | 'divided' | 'repotted';

/** How sure it is, and by what. */
export type Sure =
  | { readonly by: 'plan' | 'practice' | 'count' | 'sight' | 'ruler' | 'time' | 'habit' | 'air' }
  | { readonly by: 'fact' }
  /** The chance that the wound is closed, or that what is looked for is there, 0–1. */
  | { readonly by: 'closure' | 'window'; readonly chance: number }
  /** What the pot holds, eight times in ten between the two. */
  | { readonly by: 'pot'; readonly low: number; readonly high: number };
