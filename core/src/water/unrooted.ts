/** What a set piece without roots is given until they come: it drinks next to nothing, so nothing is overdue. */
export const UNROOTED_WATERS = ['dry', 'sip', 'damp', 'mist', 'half'] as const;
export type UnrootedWaterId = (typeof UNROOTED_WATERS)[number];

/** Bone dry for so many days before the stem's zone is dampened again. Working assumption; 5–14. */
export const SIP_REST_DAYS = 7;
