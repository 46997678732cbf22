import { growingDay, plantOf, seasonNow, seasonYear } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import { shortfall } from '../order';
import { spaceOn, type Space, type State } from '../journal';

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
  return [...frosts(state, today), ...orders(state, today), ...seasons(state, today)];
}

function frosts(state: State, today: Day): readonly Notice[] {
  const stand = new Map<string, number>();
  for (const batch of state.batches.values()) {
    if (batch.stage === 'done' || batch.stage === 'planned') continue;
    const space = spaceOn(batch, today, batch.stuck !== null);
    stand.set(space, (stand.get(space) ?? 0) + 1);
  }
  return [...stand].flatMap(([id, batches]) => {
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
  });
}

function orders(state: State, today: Day): readonly Notice[] {
  return [...state.orders.values()].flatMap((order) => {
    if (order.doneOn !== undefined || order.calledOff !== undefined || !order.by) return [];
    const days = daysBetween(today, order.by);
    if (days > ORDER_AHEAD) return [];
    const { short, ready } = shortfall(state, order);
    return [
      {
        id: `order-${order.id}`,
        kind: 'order' as const,
        title: `${order.who ?? 'An order'}: ${days < 0 ? 'late' : 'make ready'}`,
        reason:
          short > 0
            ? `${ready} of ${order.count ?? 0} are set aside, ${short} are short.`
            : `All ${order.count ?? 0} are set aside.`,
        sure: 'by the order',
        day: order.by,
        about: order.id,
      },
    ];
  });
}

function seasons(state: State, today: Day): readonly Notice[] {
  return [...state.mothers.values()].flatMap((mother) => {
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
  });
}

interface Closing {
  readonly around: readonly unknown[];
  readonly closes: Day | null;
}

const known = new WeakMap<Space, Map<string, Closing>>();

/** The last day of the season of a plant in a space; a year of days is gone through once a day. */
function closing(
  state: State,
  figures: string,
  taxon: string,
  space: Space,
  today: Day,
): Day | null {
  let plants = known.get(space);
  if (!plants) known.set(space, (plants = new Map<string, Closing>()));
  const around = [
    today,
    state.air.get(space.id),
    state.settings.latitude,
    state.ownTaxa.get(taxon),
  ];
  const key = `${taxon}/${figures}`;
  const kept = plants.get(key);
  if (kept?.around.every((part, i) => part === around[i])) return kept.closes;
  const year = seasonYear(state, plantOf(state, taxon)!.taxon, space.id, today);
  const { state: now, closes } = seasonNow(year);
  const found = { around, closes: now === 'active' ? closes : null };
  plants.set(key, found);
  return found.closes;
}
