import { bySpace, growingDay, type AirState } from '../bench';
import { growthOn, type Grower } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { memoAround } from '../memo';

/** Growth from a fixed day to the morning of another, in days at the warmth of the plant's window in season. */
class Sums {
  /** Of the first 0, 1, 2 … days from the origin on, and of the last 0, 1, 2 … before it. */
  private readonly on: number[] = [0];
  private readonly back: number[] = [0];

  constructor(private readonly origin: Day) {}

  until(day: Day, grown: (day: Day) => number): number {
    const { origin, on, back } = this;
    const n = daysBetween(origin, day);
    for (let k = on.length; k <= n; k++) on.push(on[k - 1]! + grown(addDays(origin, k - 1)));
    for (let k = back.length; k <= -n; k++) back.push(back[k - 1]! + grown(addDays(origin, -k)));
    return n >= 0 ? on[n]! : -back[-n]!;
  }
}

/** Growth up to the morning of a day: differences of it are what counts. */
export type GrowthUntil = (space: string, day: Day) => number;

const kept = memoAround<object, Map<Grower, Sums>>();

/**
 * Growth of a plant in the spaces of a bench. Readings where there are any, else the expected air; many batches ask
 * for the same, so that each day is worked out once.
 */
export function growthUntil({ settings, spaces, air }: AirState, grower: Grower): GrowthUntil {
  // No more of the state is held on to than it hangs on.
  const state = { settings, spaces, air };
  // One piece is asked for many days of the place it is in.
  let latest: { readonly space: string; readonly until: (day: Day) => number } | null = null;
  return (space, day) => {
    if (latest?.space !== space) {
      const growers = bySpace(state, space, kept, () => new Map<Grower, Sums>());
      let sums = growers.get(grower);
      if (!sums) growers.set(grower, (sums = new Sums(day)));
      const is = sums;
      const grown = (on: Day): number => growthOn(grower, growingDay(state, space, on));
      latest = { space, until: (to) => is.until(to, grown) };
    }
    return latest.until(day);
  };
}

/** The same air, changed: every day and night so much warmer, °C, or lamps on for so many hours. */
export interface GrowthChange {
  readonly byC?: number;
  /** Days whose warmth is guessed are off by so many standard deviations: above 0 warmer. */
  readonly guessesBy?: number;
  readonly lampHours?: number;
}

/** The same were every day and night so much warmer, or so long lit. */
export function growthUnder(
  state: AirState,
  grower: Grower,
  { byC = 0, lampHours = 0, guessesBy = 0 }: GrowthChange,
): GrowthUntil {
  const spaces = new Map<string, Sums>();
  return (space, day) => {
    const sums = spaces.get(space) ?? new Sums(day);
    spaces.set(space, sums);
    return sums.until(day, (on) => {
      const { tempC, dayHours, nightC, noonC, spreadC } = growingDay(state, space, on);
      const by = byC + guessesBy * spreadC;
      const warmer = (c: number | undefined): number | undefined => (c === undefined ? c : c + by);
      return growthOn(grower, {
        tempC: tempC + by,
        dayHours: dayHours === undefined ? dayHours : Math.max(dayHours, lampHours),
        nightC: warmer(nightC),
        noonC: warmer(noonC),
      });
    });
  };
}
