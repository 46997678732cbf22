import type { Forecast } from '@hypogeon/core/rehearse';
import type { Draft } from '../data/journal';

/** A forecast as an entry of the batch it speaks of. @param more what is known of it beside its figures */
export function forecastEntry(
  batch: string,
  { half: _, ...figures }: Forecast,
  more: { readonly had?: number; readonly way?: string } = {},
): Draft {
  return { kind: 'forecast', batch, ...figures, ...more };
}
