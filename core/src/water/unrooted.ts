/** What a set piece without roots is given until they come: it drinks next to nothing, so nothing is overdue. */
export const UNROOTED_WATERS = ['dry', 'sip', 'damp', 'mist', 'half'] as const;
export type UnrootedWaterId = (typeof UNROOTED_WATERS)[number];

/**
 * What small young plants that share a tray are given once their roots hold: some drops at the base of each, never a
 * soak of the whole tray. What came before their roots is given until then.
 */
export type RegimeId = UnrootedWaterId | 'base';

/** What lies on its mix is sprayed while it is merely cool. Working assumption; 8–12 °C. */
const SPRAY_FROM_C = 10;

/**
 * Resting and colder than this, what has no roots is left dry: it drinks nothing, and wet it would rot. It has flesh to
 * live off; what is kept damp, a crumb or a seed has none.
 * @param fromC where its season begins, °C
 * @param crumb it is a crumb or a seed
 * @returns °C; −∞ where it is never left dry
 * @example leftDryBelow('sip', 14, false) === 14; leftDryBelow('mist', 14, false) === 10
 */
export function leftDryBelow(regime: RegimeId | null, fromC: number, crumb: boolean): number {
  if (regime === 'sip' || regime === 'half') return fromC;
  return regime === 'mist' && !crumb ? Math.min(fromC, SPRAY_FROM_C) : -Infinity;
}

/** Roots first seen at the surface hold in the mix about so long after. Working assumption; 7–21 days. */
export const HOLD_AFTER = 14;

/** What a crumb sips at its base, mL: the mix round its roots, no wider than a thumb. Working assumption; 5–15. */
export const SIP_ML = 10;
