import { addDays, daysBetween, type Day } from '../days';
import { FIRST_WATER, FIRST_WATERS, type FirstWater } from '../water';
import { chanceClosedOn, type WoundClock } from '../wound';

/** What a school of first water means for one batch. */
export interface FirstWaterOutlook {
  readonly school: FirstWater;
  /** The day it comes, kept to whatever the wound; null where it waits for roots or the wound does not close. */
  readonly on: Day | null;
  /** Chance that the wound is still open on that day, 0–1. */
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
      return { school, on: null, open: 1, wetDays: 0 };
    const gated = id === 'with-gate' && gate ? gate.opens : stuck;
    const after = keptDry && id === 'with-gate' ? null : school.afterDays;
    const on = after === null ? null : addDays(gated, after);
    if (on === null || !clock || !gate) return { school, on, open: 0, wetDays: 0 };
    return {
      school,
      on,
      open: 1 - chanceClosedOn(clock, on),
      wetDays: Math.max(0, daysBetween(on, gate.latest)),
    };
  });
}
