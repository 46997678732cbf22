import type { Day } from '../days';
import type { Leave } from './care';
import type { WaterSays } from './verdict';

/** The day of its water, before and after something was told; null is the day it was told on. */
export interface WaterMoved {
  readonly from: Day | null;
  readonly to: Day | null;
  /** What keeps it now; null where nothing does, or it is to be set first. */
  readonly leave: Leave | null;
}

/** Whether what was told moved the day of its water; null where it did not, or neither day can be said. */
export function waterMoved(before: WaterSays, after: WaterSays): WaterMoved | null {
  const [from, to] = [dayOf(before), dayOf(after)];
  if (from === undefined || to === undefined || from === to) return null;
  return { from, to, leave: after.is === 'not before' ? after.leave : null };
}

/** Undefined where nobody has looked into its pot, or nothing is said of water at all. */
function dayOf(says: WaterSays): Day | null | undefined {
  if (says.is === 'now') return null;
  if (says.is === 'free' || says.leave?.reason.why === 'unread') return undefined;
  return says.day;
}
