import { expose } from 'comlink';
import { pictures } from './pictures';
import { reading } from './reading';

expose({ ...pictures, ...reading });
