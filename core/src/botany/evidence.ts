import * as z from 'zod';

/** What a figure rests on. Shown beside it, so that nobody takes a habit for a measurement. */
export const evidenceSchema = z.union([
  z.enum(['common practice', 'from memory']),
  z.object({ published: z.string().min(1) }),
]);

export type Evidence = z.infer<typeof evidenceSchema>;

export function evidenceText(evidence: Evidence): string {
  return typeof evidence === 'string' ? `${evidence}, no source` : evidence.published;
}
