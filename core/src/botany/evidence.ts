/** What a figure rests on. Shown beside it, so that nobody takes a habit for a measurement. */
export type Evidence = 'common practice' | 'from memory' | { readonly published: string };

export function evidenceText(evidence: Evidence): string {
  return typeof evidence === 'string' ? `${evidence}, no source` : evidence.published;
}
