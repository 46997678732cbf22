import type { Sales } from '@hypogeon/core/ledger';

/** What sales brought: `14 were sold for €63.00.`; those without a price are said to be without. Empty where none were. */
export function soldText(
  { count, priced, income }: Sales,
  money: (value: number) => string,
): string {
  if (count === 0) return '';
  const were = count === 1 ? 'One was sold' : `${count} were sold`;
  if (priced === 0) return `${were}, no price told.`;
  const without = count - priced;
  return `${were} for ${money(income)}${without > 0 ? `, ${without} of them without a price` : ''}.`;
}
