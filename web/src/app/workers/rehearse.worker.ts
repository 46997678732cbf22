import { expose } from 'comlink';
import { rehearse } from './rehearse';

expose(rehearse);
