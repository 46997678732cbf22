import type { Day } from '../days';
import type { State } from '../journal';
import { csvOf } from './csv';
import { writeJournal } from './journal-file';
import { entriesOf } from '../journal';
import { dataTables, type DataTable } from './tables';

/** A file of a package: its name and its text. */
export interface PackageFile {
  readonly name: string;
  readonly text: string;
}

/**
 * Everything as a tabular data package: a CSV for every table, a descriptor with their schemas, and the journal
 * itself, so that the package can be read back.
 * Source: Frictionless Data, Data Package and Table Schema, specs v1 (checked in the tests by their own library).
 */
export function dataPackage(state: State, today: Day, writtenAt: Date): readonly PackageFile[] {
  const tables = dataTables(state, today);
  const descriptor = {
    profile: 'data-package',
    name: 'hypogeon-journal',
    title: 'Hypogeon: a propagation journal',
    created: writtenAt.toISOString(),
    resources: [
      ...tables.map(resourceOf),
      {
        name: 'journal',
        path: 'journal.json',
        profile: 'data-resource',
        format: 'json',
        mediatype: 'application/json',
        encoding: 'utf-8',
        title: 'The journal itself, to be imported again',
      },
    ],
  };
  return [
    { name: 'datapackage.json', text: `${JSON.stringify(descriptor, null, 2)}\n` },
    ...tables.map((t) => ({ name: `${t.name}.csv`, text: tableCsv(t) })),
    { name: 'journal.json', text: writeJournal(entriesOf(state)) },
  ];
}

export function tableCsv({ columns, rows }: DataTable): string {
  return csvOf(
    columns.map((c) => c.name),
    rows,
  );
}

function resourceOf({ name, title, columns, links = [] }: DataTable): object {
  const keys = columns.filter((c) => c.key).map((c) => c.name);
  return {
    name: name.replace(/_/g, '-'),
    title,
    path: `${name}.csv`,
    profile: 'tabular-data-resource',
    format: 'csv',
    mediatype: 'text/csv',
    encoding: 'utf-8',
    schema: {
      fields: columns.map(({ name: field, type, description, key }) => ({
        name: field,
        type,
        description,
        ...(key ? { constraints: { required: true, unique: true } } : {}),
      })),
      missingValues: [''],
      ...(keys.length > 0 ? { primaryKey: keys.length === 1 ? keys[0] : keys } : {}),
      ...(links.length > 0
        ? {
            foreignKeys: links.map((l) => ({
              fields: l.column,
              // A table that refers to itself is named by nothing.
              reference: {
                resource: l.table === name ? '' : l.table.replace(/_/g, '-'),
                fields: l.key,
              },
            })),
          }
        : {}),
    },
  };
}
