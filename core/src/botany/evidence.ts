/** What a figure rests on. Shown beside it, so that nobody takes a habit for a measurement. */
export type Evidence =
  | 'common practice'
  | 'from memory'
  /** Nobody's published value: set so that the whole agrees with practice. */
  | 'working assumption'
  /** The grower's own figure. */
  | 'measured here'
  | { readonly published: string };

export function evidenceText(evidence: Evidence): string {
  if (typeof evidence !== 'string') return evidence.published;
  return evidence === 'measured here' ? evidence : `${evidence}, no source`;
}
