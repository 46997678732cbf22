// Writes docs/journal.schema.json, the JSON Schema of the journal file, from the Zod schemas.
import { format } from 'prettier';
import { writeFile } from 'node:fs/promises';
import { journalJsonSchema } from '../core/src/formats';

await writeFile(
  'docs/journal.schema.json',
  await format(JSON.stringify(journalJsonSchema()), { parser: 'json', printWidth: 100 }),
);
console.log('docs/journal.schema.json');
