import type { MethodId, TaxonMethod } from '../botany';

/*
 * What nobody has measured about how cuttings die. Working assumptions, each with the range that makes sense; set so that
 * the losses growers name come out (`rehearse.spec.ts` holds them to that), and to be replaced by a grower's own records.
 */

/** Chance in a day that a fresh wound in wet medium at 22 °C is infected. 0.03–0.25. */
export const WET_WOUND_HAZARD = 0.1;
/** The same of a closed wound in a stem zone that has been waterlogged for longer than `LOGGED_DAYS`. 0.003–0.03. */
export const LOGGED_HAZARD = 0.01;
/**
 * Of pieces without roots that stand in wet mix while their plant rests so many of one rot a day: winter wet is what
 * kills them, not winter cold. Working assumption; 0.002–0.01.
 */
export const RESTING_WET_HAZARD = 0.005;
/**
 * Of leaves and crumbs that lie on a mix as wet as it can be so many rot a day until their roots hold: they are sprayed
 * and never soaked. Common practice, no source; the figure is a working assumption, 0.002–0.015.
 */
export const LYING_WET_HAZARD = 0.006;
export const LOGGED_DAYS = 2;
/** Wetter than this, against drained, the stem zone has no air to speak of. 0.85–1. */
export const LOGGED_FROM = 0.92;
/** An open wound in air damper than `MOULD_RH` moulds where it lies. 0.002–0.03. */
export const MOULD_HAZARD = 0.01;
/** In a tray of which all others rotted of late, at full wetness. 0.01–0.1. */
export const SPREAD_HAZARD = 0.03;
/** A rotted one infects for so many days, unless it is taken out. 3–10. */
export const SPREADS_DAYS = 7;
/** Infection goes so much faster ten degrees warmer. 1.5–2.5. */
export const ROT_Q10 = 2;
/** A blade that was not wiped. 1–2: how much it matters nobody has measured. */
export const UNWIPED = 1.2;

/** Spread of the pace of wounds and of pots: sd of the log. That of roots is learned, see `learn`. */
export const WOUND_SD = 0.35;
export const POT_SD = 0.2;
/** How long one lives off itself against others of its kind. */
export const RESERVE_SD = 0.3;

/** Days a turgid piece lives off itself at 1.2 kPa without a drink, by what it is. Half to twice of them make sense. */
export const LASTS_DAYS: Readonly<Record<MethodId, number>> = {
  leaf: 90,
  'leaf-section': 300,
  crown: 110,
  segment: 110,
  trailing: 50,
  // Wood keeps: branches are stored dry over a winter and root in spring. Common practice, no source.
  branch: 220,
  pad: 240,
  column: 400,
  offset: 150,
  'rooted-offset': 150,
  division: 90,
  plantlet: 45,
  'root-cutting': 150,
  bulbil: 60,
  'flower-stalk': 90,
  seed: 60,
  culture: 15,
};
/** A whole strap is no small leaf: it lives as long as a section of it; a trail of fat beads lives off them as a crown does. */
export function lastsDays({ method, piece, unrootedWater }: TaxonMethod): number {
  if (method === 'leaf' && piece === 'strap') return LASTS_DAYS['leaf-section'];
  if (method === 'trailing' && unrootedWater === 'sip') return LASTS_DAYS.crown;
  return LASTS_DAYS[method];
}
export const REFERENCE_VPD = 1.2;
/** With roots in moist medium it fills again within so many days. */
export const REFILLS_DAYS = 5;
/** Below this it wrinkles: what a grower sees. */
export const WRINKLED = 0.6;
/** Roots hardly grow out of a piece as thirsty as this. */
export const TOO_THIRSTY = 0.2;
/** Roots in a stem zone waterlogged for longer than two days, or bone dry for longer than two weeks. 0.2–0.8, 0.4–1. */
export const ROOTS_LOGGED = 0.4;
export const ROOTS_DRY = 0.7;
/** What has roots in bone dry mix lives off its flesh and hardly grows; 0–0.6 of what it would. */
export const GROWTH_DRY = 0.3;
/** A closed wound roots in dry medium as in moist for so long: growers set and wait. 7–21. */
export const PARCHED_DAYS = 14;
/** In moist medium a piece without roots loses so much of what it would in dry: its foot is damp, its air is. 0.2–0.6. */
export const DAMP_FOOT = 0.35;

/** Eight times in ten lie within so many standard deviations of a normal. */
export const Z80 = 1.2815515655446004;
