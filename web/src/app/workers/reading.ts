import {
  languageOf,
  placesWithout,
  readMessagesAs,
  takeTable,
  type Table,
} from '@hypogeon/messages';

export type Tables = Readonly<Record<string, Table>>;

/**
 * A worker has no page to ask: it is told what is read, and given the messages of its own code. Beside what a worker is
 * asked: no worker has calls of these names.
 */
export const reading = {
  /** Places whose code is in this worker, and whose messages are not. */
  placesWithout,
  sayIn(locale: string, tables: Tables): void {
    for (const [place, table] of Object.entries(tables))
      takeTable(languageOf(locale), place, table);
    readMessagesAs({ locale: () => locale, missing: () => undefined });
  },
};

export type Reading = typeof reading;
