import { ledgerDesk } from '@hypogeon/core';
import { expose } from 'comlink';

// The ledger's sums, off the screen's thread.
expose(ledgerDesk());
