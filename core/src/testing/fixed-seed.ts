import { configureGlobal } from 'fast-check';

/** Laws are tried on the same lives at every run, so that a change is judged by itself; `SEED=7` tries others. */
configureGlobal({ seed: Number(process.env.SEED ?? 26) });
