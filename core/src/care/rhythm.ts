/*
 * When things are due, and how long they may stand. All are common practice, no source, unless a line says
 * otherwise; air, plant and what was seen stretch them elsewhere.
 */

import { addDays, daysBetween, type Day } from '../days';

/**
 * The next day of a rhythm: it stays the same from day to day until it is there.
 * @param since the day it began, and every so many days
 */
export function nextOf(since: Day, every: number, day: Day): Day {
  const gone = Math.max(0, Math.floor(daysBetween(since, day) / every));
  return addDays(since, (gone + 1) * every);
}

/** A wound is worth touching once it is this likely closed: sooner, a thumb does harm. Working assumption. */
export const TOUCH_CHANCE = 0.5;

/** What shows without touching is looked at about weekly. */
export const FREE_LOOK_DAYS = 7;
/**
 * A tug sets roots back by about two days of growth: between two of them lies at least five times that, as growth, so
 * that looking costs no more than a fifth of what it finds; in the cold six weeks will do. Working assumptions.
 */
export const TUG_GROWTH = 10;
export const MOST_LOOK_DAYS = 42;
/** A look stands so many days before it is late: half as long as the last one is past, within these. */
export const LEAST_STANDS = 4;
export const MOST_STANDS = 10;
/** A bud has opened into a young plant about so long after it shows. Working assumption; 10–30 days. */
export const BUD_OPENS = 14;

/** Roots are past 2.5 cm about so long after they first show. Working assumption; 3–6 weeks. */
export const ROOTS_GROW_DAYS = 28;
/** Long enough for a pot, or from water into medium, mm. */
export const SOIL_ROOT_MM = 25;

/** The water in a jar is moved every third day, for air; changed every 4 days in warmth, every 7 in the cool. */
export const STIR_DAYS = 3;
const CHANGE_WARM = { tempC: 23, days: 4 } as const;
const CHANGE_COOL = { tempC: 15, days: 7 } as const;
/** Roots in water are 2.5–5 cm long about so long after they first show. Working assumption; 10–21. */
export const JAR_ROOTS_DAYS = 14;
/** What stays in the jar is fed at half strength so long after roots, and again. */
export const JAR_FEED_DAYS = 14;

/** Days between two changes of a jar's water. @param tempC of the air it stands in */
export function jarChangeDays(tempC: number): number {
  const { tempC: cool, days: seldom } = CHANGE_COOL;
  const { tempC: warm, days: often } = CHANGE_WARM;
  const share = Math.min(Math.max((tempC - cool) / (warm - cool), 0), 1);
  return Math.round(seldom - share * (seldom - often));
}

/** Plants that have long stood as they stand need no hardening any more, days. */
export const LIGHT_UNTIL = 28;
/** First feed after roots, and again while it grows. */
export const FEED_AFTER = 14;
export const FEED_EVERY = 14;

/** A mother leaf is worth a look so long after its pup was seen, and again. Working assumption; 4–8 weeks. */
export const LEAF_AFTER = 42;
export const LEAF_AGAIN = 14;

/** A week or two of shade after potting on. */
export const SHADE_DAYS = 10;
/** So long a potted plant is looked after; then it is a plant like any other. Working assumption; 3–6 months. */
export const GROW_ON_DAYS = 120;

/** Rot seen near it: an extra look is asked for so long, and the can is held until then or for so long. */
export const NEIGHBOUR_DAYS = 14;
export const HELD_DAYS = 7;

/** How long each may stand; past twice as long without a touch one looks whether it still lives. Working assumptions. */
export const STANDS: Readonly<Record<string, number>> = {
  stick: 14,
  'first-water': 14,
  water: 14,
  mist: 7,
  'pot-water': 7,
  'jar-stir': 7,
  'jar-change': 7,
  roots: 21,
  overdue: 21,
  wean: 21,
  'pot-on': 42,
};

/** Every so many days where pot and mix are not told, at 2 mm a day. Common practice, no source. */
export const HABIT_DAYS = {
  mist: 2,
  surface: 4,
  'top-25': 8,
  'top-60': 12,
  third: 6,
  'bone-dry': 14,
  'bone-dry-rest': 20,
  weekly: 7,
} as const;
export const UNROOTED_HABIT_DAYS = { mist: 2, damp: 3, sip: 14, half: 14, dry: 14 } as const;
/** Air that takes so much is what the habits are for, mm a day. */
const HABIT_MM = 2;

/** A habit stretched by the air. @param evaporationMm what the air takes from a wet surface, mm a day */
export function habitDays(days: number, evaporationMm: number): number {
  const stretch = Math.min(Math.max(HABIT_MM / Math.max(evaporationMm, 0.1), 0.6), 2.5);
  return Math.max(1, Math.round(days * stretch));
}

/** The mother: watered a day or two before the cut. */
export const PLUMP_DAYS = 2;
/** After a division or repotting about a week dry; after a cut some days as dry as before. */
export const MOTHER_DRY_DAYS = { cut: 3, divided: 7, repotted: 7 } as const;
export const MOTHER_SHADE_DAYS = 10;
export const MOTHER_FEED_DAYS = 28;
/** New heads on a stump in three to six weeks; looked for again every two. */
export const REGROWTH_FROM = 21;
export const REGROWTH_AGAIN = 14;
/** Buds of a mother that was parted or moved: about three weeks, a month and four months on. */
export const BUD_LOOKS = [21, 30, 120] as const;
/** What is done for her in her first weeks stands so long; past it she is as she is. */
export const MOTHER_STANDS = 21;
/** A mother's course ends so long after what was done to her. */
export const MOTHER_UNTIL = { cut: 84, divided: 150, repotted: 150 } as const;
