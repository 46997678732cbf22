import { expose } from 'comlink';
import { rehearse } from './rehearse';
import { reading } from './reading';

expose({ ...rehearse, ...reading });
