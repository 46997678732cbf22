import '../zod-setup';
import * as z from 'zod';
import { anyEntrySchema } from '../journal';
import { JOURNAL_VERSION } from './migrate';

/** The JSON Schema (draft 2020-12) of the journal file, generated from what the reader checks with. */
export function journalJsonSchema(): object {
  const file = z.looseObject({
    format: z.literal('hypogeon-journal'),
    version: z.literal(JOURNAL_VERSION),
    entries: z.array(anyEntrySchema),
  });
  return { title: 'Hypogeon journal', ...z.toJSONSchema(file, { unrepresentable: 'any' }) };
}
