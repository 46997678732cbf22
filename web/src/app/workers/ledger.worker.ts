import { expose } from 'comlink';
import { ledger } from './ledger';
import { reading } from './reading';

expose({ ...ledger, ...reading });
