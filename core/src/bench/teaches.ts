import type { Batch, State } from '../journal';

/** Whether the product learns from a batch: not when it was left out, nor when it lies before a fresh start. */
export function teaches({ settings }: State, batch: Batch): boolean {
  if (batch.excluded !== undefined) return false;
  return settings.learnFrom === undefined || batch.cutOn >= settings.learnFrom;
}
