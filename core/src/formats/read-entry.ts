import * as say from '@hypogeon/messages/core-read-entry';
import type * as z from 'zod';
import { entryIssues, type Entry } from '../journal';

export type ReadEntry =
  | { readonly ok: true; readonly entry: Entry }
  | { readonly ok: false; readonly issues: readonly EntryProblem[] };

export interface EntryProblem {
  readonly path: readonly (string | number)[];
  readonly sentence: string;
}

/** One entry as the current version writes it, or what is wrong with it: the door of files, store and screens. */
export function readEntry(raw: unknown): ReadEntry {
  const issues = entryIssues(raw);
  return issues.length === 0
    ? { ok: true, entry: raw as Entry }
    : {
        ok: false,
        issues: issues.map((issue) => ({
          path: issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key)),
          sentence: sentenceOf(issue),
        })),
      };
}

/** Zod's words turned into a grower's: what is wrong, without the parser's jargon. */
function sentenceOf(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'custom':
      return `${issue.message}.`;
    case 'invalid_type':
      // The parser's own words where a field has none.
      return issue.message.startsWith('Invalid input')
        ? say.mustBeOfKind({ kind: issue.expected })
        : `${issue.message}.`;
    case 'invalid_value':
      return say.mustBeOneOf({ values: issue.values.map(String).join(', ') });
    case 'too_small':
      return say.isTooSmall({ least: Number(issue.minimum) });
    case 'too_big':
      return say.isTooLarge({ most: Number(issue.maximum) });
    default:
      return `${issue.message}.`;
  }
}
