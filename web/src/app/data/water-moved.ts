import type { Injector } from '@angular/core';
import { verdictOn } from '@hypogeon/core/bench';
import { careOf, waterMoved, waterSays, type WaterSays } from '@hypogeon/core/care';
import type { State } from '@hypogeon/core/journal';
import { waterMovedText } from '@hypogeon/words';
import type { Draft } from './journal';
import { Today } from './today';
import { Words } from './words';

/** What was told of one batch may move its water: from when to when, and why; empty where it did not. */
export function waterMovedBy(
  drafts: readonly Draft[],
  before: State,
  after: State,
  injector: Injector,
): string {
  const ids = new Set(drafts.map(batchOf));
  const [id] = ids;
  if (ids.size !== 1 || !id || drafts.some((d) => d.kind === 'watered')) return '';
  const today = injector.get(Today).day();
  const says = (state: State): WaterSays | null => {
    const batch = state.batches.get(id);
    if (!batch?.cut) return null;
    return waterSays(careOf(state, batch, today, verdictOn(state, batch, today)), today);
  };
  const [was, is] = [says(before), says(after)];
  const moved = was && is && waterMoved(was, is);
  return moved ? waterMovedText(moved, injector.get(Words).speech()) : '';
}

/** The batch something is told of; null where it is of something else. */
function batchOf(draft: Draft): string | null {
  if (draft.kind === 'put') return draft.record === 'batch' ? draft.key : null;
  return 'batch' in draft && typeof draft.batch === 'string' ? draft.batch : null;
}
