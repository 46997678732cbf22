import { ledgerDesk } from '@hypogeon/core/ledger';

/** The ledger's sums, off the screen's thread. */
export const ledger = ledgerDesk();

export type LedgerWorker = typeof ledger;
