import type { Day } from '../days';
import type { Column } from './column';
import type { WaterSchoolId } from './school';
import type { RegimeId } from './unrooted';
import type { WaterManner } from './watering';

/** What is told of the air and of what was done, by days counted from `from`: index 0 is that day. */
export interface WaterCase {
  readonly id: string;
  readonly column: Column;
  /** Weight of the dry filling and of the empty container, g; the latter null where not known. */
  readonly dryG: number;
  readonly emptyG: number | null;
  readonly from: Day;
  /** How wet the medium was on that first day, against drained. */
  readonly startWetness: number;
  /** Evaporation from a wet surface, mm/d, one figure a day, to the end of the outlook. */
  readonly evaporation: readonly number[];
  /** Share of the surface that the crowns of those with roots cover, and so drink for, one figure a day. */
  readonly cover: readonly number[];
  readonly rainMm: readonly number[];
  /** How readily water moves in the medium, against 20 °C, one figure a day. */
  readonly mobility: readonly number[];
  /** Four degrees warmer, the air's moisture unchanged: evaporation and mobility against today's. */
  readonly warmer: { readonly evaporation: number; readonly mobility: number };
  readonly today: number;
  readonly waterings: readonly CaseWatering[];
  /** It has had water, whether or not within these days. */
  readonly wateredBefore: boolean;
  readonly weighings: readonly { readonly at: number; readonly grams: number }[];
  readonly touches: readonly CaseTouch[];
  readonly school: WaterSchoolId;
  /** What it is given while its roots do not drink for a pot; null once they do. */
  readonly regime: RegimeId | null;
  /** Since when its regime or school holds: what was due by another before is no wait. */
  readonly regimeAt: number;
  /** Some have roots. */
  readonly rooted: boolean;
  /** Seed that is not up as yet. */
  readonly sown: boolean;
  /** Some beside those with roots wait for theirs. */
  readonly beside: boolean;
  /** Living pieces to a container, not below 1. */
  readonly pieces: number;
  /** Depth to which stems or roots reach, mm. */
  readonly stemMm: number;
  /** How deep what is kept damp is felt for, mm. */
  readonly feltMm: number;
  /** From the day its gate opens; null while that cannot be said. */
  readonly gateAt: number | null;
  /** Its school of first water waits until then; null while it waits for roots. */
  readonly firstAt: number | null;
  /** The day it went from water into medium, if its roots grew in water. */
  readonly weanedAt: number | null;
  /** Laid on the surface, so that a mist is its drink. */
  readonly laid: boolean;
}

export interface CaseWatering {
  readonly at: number;
  readonly manner: WaterManner;
  readonly ml?: number | undefined;
}

export const TOUCHES = ['dry', 'moist', 'wet'] as const;
export type Touch = (typeof TOUCHES)[number];

export interface CaseTouch {
  readonly at: number;
  readonly depthMm: number;
  readonly seen: Touch;
}
