import { expose } from 'comlink';
import { pictures } from './pictures';

expose(pictures);
