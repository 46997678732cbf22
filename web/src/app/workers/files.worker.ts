import { expose } from 'comlink';
import { files } from './files';
import { reading } from './reading';

expose({ ...files, ...reading });
