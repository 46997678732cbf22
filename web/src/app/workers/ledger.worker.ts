import { expose } from 'comlink';
import { ledger } from './ledger';

expose(ledger);
