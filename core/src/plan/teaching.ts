import { figuresOf } from '../bench';
import { shareBy } from '../botany';
import type { Day } from '../days';
import type { Batch, State } from '../journal';
import { toldOf, type RootEvidence } from '../learn';

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
  const told = toldOf(state, batch);
  if (told === null) return { kind: 'unseen' };
  const far = batch.stage === 'done' ? 1 : howFar(told);
  return far >= 1 ? { kind: 'whole' } : { kind: 'part', far };
}

/** How much of its story a batch has told, 0–1: what waits could have come by its last look, and has not. */
function howFar({ roots, waits, lived, lost }: RootEvidence): number {
  const waiting = waits.reduce((n, w) => n + w.count, 0);
  const told = waits.reduce((sum, w) => sum + w.count * shareBy(roots, w.growth), lived + lost);
  return told / (lived + lost + waiting);
}
