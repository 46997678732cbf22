import { memoAround } from '../memo';
import { growingDay, plantOf, seasonNow, seasonYear } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import { shortfall } from '../order';
import { spaceOn, type Space, type State } from '../journal';

import { sparing } from '../faults';

/** Something a day asks that concerns no single batch. */
export interface Notice {
  /** Stable from day to day and from export to export. */
  readonly id: string;
  readonly kind: 'frost' | 'season' | 'order';
  readonly title: string;
  readonly reason: string;
  readonly sure: string;
  /** The day it is about. */
  readonly day: Day;
  /** The space, mother or order it is about. */
  readonly about: string;
}

/** Nights ahead that are looked at for frost: what a reading and a usual year can bear. */
const FROST_AHEAD = 7;
/** A season is said to end so many days before: roots need about that long. Working assumption; 2–6 weeks. */
const SEASON_AHEAD = 28;
/** An order is got ready so many days before it is due. Working assumption; 3–14. */
const ORDER_AHEAD = 10;

export function noticesOn(state: State, today: Day): readonly Notice[] {
  return sparing([frosts, orders, seasons], (ask) => ask(state, today)).results.flat();
}

function frosts(state: State, today: Day): readonly Notice[] {
  const stand = new Map<string, number>();
  for (const batch of state.batches.values()) {
    if (batch.stage === 'done' || batch.stage === 'planned') continue;
    const space = spaceOn(batch, today, batch.stuck !== null);
    stand.set(space, (stand.get(space) ?? 0) + 1);
  }
  return sparing(stand, ([id, batches]) => {
    for (let n = 0; n < FROST_AHEAD; n++) {
      const day = addDays(today, n);
      const air = growingDay(state, id, day);
      if (!air.frost) continue;
      const name = state.spaces.get(id)?.name ?? 'a plain room';
      return [
        {
          id: `frost-${id}`,
          kind: 'frost' as const,
          title: `Frost may come: ${name}`,
          reason: `${batches === 1 ? 'One batch stands' : `${batches} batches stand`} there. Bring them in or cover them, and hold the can.`,
          sure: air.from === 'reading' ? 'by its last reading' : 'by the usual year of the place',
          day,
          about: id,
        },
      ];
    }
    return [];
  }).results.flat();
}

function orders(state: State, today: Day): readonly Notice[] {
  return sparing(state.orders.values(), (order) => {
    if (order.doneOn !== undefined || order.calledOff !== undefined || !order.by) return [];
    const days = daysBetween(today, order.by);
    if (days > ORDER_AHEAD) return [];
    const { short, ready, growing } = shortfall(state, order);
    return [
      {
        id: `order-${order.id}`,
        kind: 'order' as const,
        title: `${order.who ?? 'An order'}: ${days < 0 ? 'late' : 'make ready'}`,
        reason:
          short + growing > 0
            ? `Of ${order.count ?? 0}: ${[
                `${ready} ready`,
                growing > 0 ? `${growing} without roots as yet` : '',
                short > 0 ? `${short} short` : '',
              ]
                .filter(Boolean)
                .join(', ')}.`
            : `All ${order.count ?? 0} are ready and set aside.`,
        sure: 'by the order',
        day: order.by,
        about: order.id,
      },
    ];
  }).results.flat();
}

function seasons(state: State, today: Day): readonly Notice[] {
  return sparing(state.mothers.values(), (mother) => {
    const plant = mother.taxon === undefined ? null : plantOf(state, mother.taxon);
    const space = mother.space === undefined ? undefined : state.spaces.get(mother.space);
    if (!plant || !space) return [];
    const closes = closing(state, plant.taxon.id, mother.taxon!, space, today);
    if (closes === null || daysBetween(today, closes) > SEASON_AHEAD) return [];
    return [
      {
        id: `season-${mother.id}`,
        kind: 'season' as const,
        title: `${mother.name ?? plant.name}: her season ends`,
        reason: 'Cut now or wait for the next: roots should stand before she rests.',
        sure: space.monthly ? 'by the usual year of the place' : 'by the usual air of the place',
        day: closes,
        about: mother.id,
      },
    ];
  }).results.flat();
}

const kept = memoAround<Space, Map<string, Day | null>>();

/** The last day of the season of a plant in a space. */
function closing(
  state: State,
  figures: string,
  taxon: string,
  space: Space,
  today: Day,
): Day | null {
  // Whatever changes, all plants of the space are asked anew: a year of days is gone through once a day.
  const plants = kept(
    space,
    [today, state.air.get(space.id), state.settings.latitude, ...state.ownTaxa.values()],
    () => new Map<string, Day | null>(),
  );
  const key = `${taxon}/${figures}`;
  const known = plants.get(key);
  if (known !== undefined) return known;
  const year = seasonYear(state, plantOf(state, taxon)!.taxon, space.id, today);
  const { state: now, closes } = seasonNow(year);
  const found = now === 'active' ? closes : null;
  plants.set(key, found);
  return found;
}
