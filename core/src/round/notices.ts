import { memoAround } from '../memo';
import { growingDay, plantOf, seasonNow, seasonYear } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import { shortfall } from '../order';
import { spaceOn, type Space, type State } from '../journal';

import { settleAll } from '../faults';

/** Something a day asks that concerns no single batch; words/ says it. */
export type Notice = Frost | OrderDue | SeasonEnds;

interface About {
  /** Stable from day to day and from export to export. */
  readonly id: string;
  /** The day it is about. */
  readonly day: Day;
  /** The space, mother or order it is about. */
  readonly about: string;
}

interface Frost extends About {
  readonly kind: 'frost';
  /** Name of the place; null where it has none. */
  readonly place: string | null;
  /** Batches that stand there. */
  readonly batches: number;
  readonly by: 'reading' | 'year';
}

interface OrderDue extends About {
  readonly kind: 'order';
  readonly who: string | null;
  readonly late: boolean;
  readonly count: number;
  readonly ready: number;
  /** Set aside, and without roots as yet. */
  readonly growing: number;
  readonly short: number;
}

interface SeasonEnds extends About {
  readonly kind: 'season';
  /** The mother's name, or the plant's. */
  readonly name: string;
  readonly by: 'year' | 'air';
}

/** Nights ahead that are looked at for frost: what a reading and a usual year can bear. */
const FROST_AHEAD = 7;
/** A season is said to end so many days before: roots need about that long. Working assumption; 2–6 weeks. */
const SEASON_AHEAD = 28;
/** An order is got ready so many days before it is due. Working assumption; 3–14. */
const ORDER_AHEAD = 10;

export function noticesOn(state: State, today: Day): readonly Notice[] {
  return settleAll([frosts, orders, seasons], (ask) => ask(state, today)).results.flat();
}

function frosts(state: State, today: Day): readonly Notice[] {
  const stand = new Map<string, number>();
  for (const batch of state.batches.values()) {
    if (batch.stage === 'done' || batch.stage === 'planned') continue;
    const space = spaceOn(batch, today, batch.stuck !== null);
    stand.set(space, (stand.get(space) ?? 0) + 1);
  }
  return settleAll(stand, ([id, batches]) => {
    for (let n = 0; n < FROST_AHEAD; n++) {
      const day = addDays(today, n);
      const air = growingDay(state, id, day);
      if (!air.frost) continue;
      return [
        {
          id: `frost-${id}`,
          kind: 'frost' as const,
          place: state.spaces.get(id)?.name ?? null,
          batches,
          by: air.from === 'reading' ? ('reading' as const) : ('year' as const),
          day,
          about: id,
        },
      ];
    }
    return [];
  }).results.flat();
}

function orders(state: State, today: Day): readonly Notice[] {
  return settleAll(state.orders.values(), (order) => {
    if (order.doneOn !== undefined || order.calledOff !== undefined || !order.by) return [];
    const days = daysBetween(today, order.by);
    if (days > ORDER_AHEAD) return [];
    const { short, ready, growing } = shortfall(state, order);
    return [
      {
        id: `order-${order.id}`,
        kind: 'order' as const,
        who: order.who ?? null,
        late: days < 0,
        count: order.count ?? 0,
        ready,
        growing,
        short,
        day: order.by,
        about: order.id,
      },
    ];
  }).results.flat();
}

function seasons(state: State, today: Day): readonly Notice[] {
  return settleAll(state.mothers.values(), (mother) => {
    const plant = mother.taxon === undefined ? null : plantOf(state, mother.taxon);
    const space = mother.space === undefined ? undefined : state.spaces.get(mother.space);
    if (!plant || !space) return [];
    const closes = closing(state, plant.taxon.id, mother.taxon!, space, today);
    if (closes === null || daysBetween(today, closes) > SEASON_AHEAD) return [];
    return [
      {
        id: `season-${mother.id}`,
        kind: 'season' as const,
        name: mother.name ?? plant.name,
        by: space.monthly ? ('year' as const) : ('air' as const),
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
