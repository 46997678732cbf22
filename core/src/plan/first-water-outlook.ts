import { addDays, daysBetween, type Day } from '../days';
import { FIRST_WATER, FIRST_WATERS, type FirstWater } from '../water';
import { chanceClosedOn, type WoundClock } from '../wound';

/** What a school of first water means for one batch. */
export interface FirstWaterOutlook {
  readonly school: FirstWater;
  /** The day it would water; null where it waits for roots. */
  readonly wants: Day | null;
  /** The day it comes: not before the gate, but at once. Null where it waits for roots or the wound does not close. */
  readonly on: Day | null;
  /** Chance that the wound is still open on the day it wants, 0–1. */
  readonly open: number;
  /** Days a wound would sit wet, were it watered then: until it is closed nine times in ten. */
  readonly wetDays: number;
}

/**
 * The schools of first water side by side.
 * @param clock null where nothing was cut that could rot
 * @param keptDry it is kept dry until it has roots: as soon as is safe is then with the roots
 */
export function firstWaterOutlooks(
  clock: WoundClock | null,
  cutOn: Day,
  keptDry = false,
): readonly FirstWaterOutlook[] {
  const stuck = clock ? clock.stickOn : cutOn;
  const gate = clock?.gate;
  return FIRST_WATERS.map((id) => {
    const school = FIRST_WATER[id];
    if (stuck === null || gate?.state === 'stopped')
      return { school, wants: null, on: null, open: 1, wetDays: 0 };
    const gated = id === 'with-gate' && gate ? gate.opens : stuck;
    const after = keptDry && id === 'with-gate' ? null : school.afterDays;
    const wants = after === null ? null : addDays(gated, after);
    if (wants === null || !clock || !gate) return { school, wants, on: wants, open: 0, wetDays: 0 };
    return {
      school,
      wants,
      // At once is at once, whatever the wound: the last two figures say what it risks.
      on: id === 'at-once' || wants >= gate.opens ? wants : gate.opens,
      open: 1 - chanceClosedOn(clock, wants),
      wetDays: Math.max(0, daysBetween(wants, gate.latest)),
    };
  });
}
