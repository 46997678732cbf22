import { reasonOf } from '@hypogeon/core/faults';
import { say } from '@hypogeon/messages/store-reason';

/** The store's reason in a grower's words; its own words where they are not known. The cause goes to the log. */
export function storeReason(error: unknown, doing: 'open' | 'save'): string {
  console.error(`the store, asked to ${doing}:`, error);
  const name = error instanceof Error ? error.name : '';
  switch (name) {
    case 'QuotaExceededError':
      return say.thisBrowsersStoreIs();
    case 'SecurityError':
    case 'InvalidStateError':
      return say.thisBrowserDoesNot();
    case 'VersionError':
      return say.theStoreWasWritten();
    default:
      return say.theStoreOfThis({ reasonOf: reasonOf(error) });
  }
}
