import { expose } from 'comlink';
import { bench } from './bench';
import { reading } from './reading';

expose({ ...bench, ...reading });
