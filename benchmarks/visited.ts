/**
 * A browser in which the app was open before: its offline worker fetches everything once, a dozen seconds after the first
 * opening, and would share two cores with what is measured.
 */
export const VISITED = { serviceWorkers: 'block' } as const;
