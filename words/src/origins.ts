import type { Origin } from '@hypogeon/core/journal';

/** What a mother began as. */
export const ORIGIN_NAME: Readonly<Record<Origin, string>> = {
  bought: 'bought',
  given: 'a gift or swap',
  cutting: 'a cutting',
  division: 'a division or pup',
  seed: 'seed',
  culture: 'a laboratory flask',
  kept: 'kept from a tray of mine',
};
