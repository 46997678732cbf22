import { airOn, type Air, type AirOnDay } from '../climate';
import type { Day } from '../days';
import type { State } from '../journal';

/** Where nothing is known of a space: a plain room. Working assumption, shown as such. */
export const PLAIN_ROOM: Air = { tempC: 20, rh: 0.55 };

/** The air of a space on a day. */
export function airOf(state: State, space: string, day: Day): AirOnDay {
  const record = state.spaces.get(space);
  const usual: Air = {
    tempC: record?.tempC ?? PLAIN_ROOM.tempC,
    rh: record?.rh ?? PLAIN_ROOM.rh,
  };
  return airOn(usual, state.air.get(space) ?? [], day);
}
