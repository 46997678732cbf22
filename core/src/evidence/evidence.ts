import '../zod-setup';
import * as z from 'zod';

/** What a figure rests on. Shown beside it, so that nobody takes a habit for a measurement. */
export const evidenceSchema = z.union([
  z.enum([
    'common practice',
    'from memory',
    /** Nobody's published value: set so that the whole agrees with practice. */
    'working assumption',
    /** The grower's own figure. */
    'measured here',
  ]),
  z.object({ published: z.string().min(1) }).readonly(),
]);
export type Evidence = z.infer<typeof evidenceSchema>;
