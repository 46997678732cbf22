import { reasonOf } from '@hypogeon/core/faults';

/** The store's reason in a grower's words; its own words where they are not known. The cause goes to the log. */
export function storeReason(error: unknown, doing: 'open' | 'save'): string {
  console.error(`the store, asked to ${doing}:`, error);
  const name = error instanceof Error ? error.name : '';
  switch (name) {
    case 'QuotaExceededError':
      return 'This browser’s store is full.';
    case 'SecurityError':
    case 'InvalidStateError':
      return 'This browser does not let Hypogeon store anything: a private window, or a setting that blocks it.';
    case 'VersionError':
      return 'The store was written by a newer Hypogeon. Close all its tabs and open it again.';
    default:
      return `The store of this browser answers: ${reasonOf(error)}`;
  }
}
