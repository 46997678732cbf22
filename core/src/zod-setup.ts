import { config } from 'zod';

/*
 * Imported before any schema is made: a page that forbids eval, as ours does, would otherwise log an
 * error when Zod tries whether it may compile its schemas.
 */
config({ jitless: true });
