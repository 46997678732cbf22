import type { Sales } from '@hypogeon/core/ledger';
import * as say from '@hypogeon/messages/sales';

/** What sales brought: `14 were sold for €63.00.`; those without a price are said to be without. Empty where none were. */
export function soldText(
  { count, priced, income }: Sales,
  money: (value: number) => string,
): string {
  if (count === 0) return '';
  const were = count === 1 ? say.oneWasSold() : say.wereSold({ count });
  if (priced === 0) return say.noPriceTold({ were });
  const without = count - priced;
  return say.forWord({
    were,
    money: money(income),
    what: without > 0 ? say.ofThemWithoutA({ without }) : '',
  });
}
