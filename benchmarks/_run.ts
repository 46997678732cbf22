import { runApp } from './_app';
await runApp('app');
