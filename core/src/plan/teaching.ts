import { figuresOf } from '../bench';
import { shareBy, timeOf, type TaxonMethod } from '../botany';
import { daysBetween, type Day } from '../days';
import type { Batch, State } from '../journal';

/** What a batch teaches of success, or why it teaches nothing. */
export type Teaching =
  | { readonly kind: 'whole' }
  /** @param far 0–1, how much of its story it has told */
  | { readonly kind: 'part'; readonly far: number }
  | { readonly kind: 'left-out'; readonly why: string }
  | { readonly kind: 'before'; readonly since: Day }
  | { readonly kind: 'unseen' }
  /** Its plant or way is not in the guide, nor among the grower's own. */
  | { readonly kind: 'unknown' };

export function teachingOf(state: State, batch: Batch): Teaching {
  if (batch.excluded !== undefined) return { kind: 'left-out', why: batch.excluded };
  const since = state.settings.learnFrom;
  if (since !== undefined && batch.cutOn < since) return { kind: 'before', since };
  const figures = figuresOf(state, batch);
  if (!figures) return { kind: 'unknown' };
  if (batch.lastLook === null || batch.count === batch.waiting) return { kind: 'unseen' };
  const far = howFar(batch, figures);
  return far >= 1 ? { kind: 'whole' } : { kind: 'part', far };
}

/**
 * How much of its story a batch has told, 0–1: what is lost is seen before what roots, so that a young batch looks
 * worse than it will be. Working assumption: by the share that should have roots by its last look.
 */
export function howFar({ stage, cutOn, lastLook }: Batch, figures: TaxonMethod): number {
  return stage === 'done' || lastLook === null
    ? 1
    : shareBy(timeOf(figures), daysBetween(cutOn, lastLook));
}
