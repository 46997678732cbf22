/** What a set piece without roots is given until they come: it drinks next to nothing, so nothing is overdue. */
export const UNROOTED_WATERS = ['dry', 'sip', 'damp', 'mist', 'half'] as const;
export type UnrootedWaterId = (typeof UNROOTED_WATERS)[number];

/**
 * What small young plants that share a tray are given once their roots hold: some drops at the base of each, never a
 * soak of the whole tray. What came before their roots is given until then.
 */
export type RegimeId = UnrootedWaterId | 'base';

/** Roots first seen at the surface hold in the mix about so long after. Working assumption; 7–21 days. */
export const HOLD_AFTER = 14;

/** What a crumb sips at its base, mL: the mix round its roots, no wider than a thumb. Working assumption; 5–15. */
export const SIP_ML = 10;
