import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { journalJsonSchema } from '.';

describe('the JSON Schema of the journal file', () => {
  it('in docs is the one the reader checks with (npm run schema writes it)', () => {
    const path = join(__dirname, '../../../docs/journal.schema.json');
    expect(JSON.parse(readFileSync(path, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(journalJsonSchema())),
    );
  });
});
