/** What a set piece without roots is given until they come: it drinks next to nothing, so nothing is overdue. */
export const UNROOTED_WATERS = ['dry', 'sip', 'damp', 'mist', 'half'] as const;
export type UnrootedWaterId = (typeof UNROOTED_WATERS)[number];
