import type { LightLevelId } from '../climate';
import { spaceOn, type Batch, type State } from '../journal';
import type { Day } from '../days';
import type { Asker } from './asker';
import type { Facts } from './facts';
import { FREE_LOOK_DAYS, nextOf } from './rhythm';
import { nextLook } from './roots';

/** Where the sun of noon falls on what stands there. */
const SUNNY: ReadonlySet<LightLevelId> = new Set(['sun-sill', 'bright-glass', 'open-sun']);

/** What has no roots cannot drink: in the sun of noon it scorches. Common practice, no source. */
export function noonSun(ask: Asker, state: State, batch: Batch, facts: Facts, day: Day): void {
  if (batch.here.waiting === 0 || facts.rootsSince !== null || facts.pottedOn !== null) return;
  const level = state.spaces.get(spaceOn(batch, day, batch.stuck !== null))?.lightLevel;
  if (level === undefined || !SUNNY.has(level)) return;
  if (ask.leaves.some((l) => l.kind === 'shade' && l.count === facts.living)) return;
  const look = nextLook(batch, facts)?.day;
  const until =
    look !== undefined && look > day
      ? look
      : nextOf(batch.stuck ?? batch.cutOn, FREE_LOOK_DAYS, day);
  ask.leave('shade', {
    count: batch.here.waiting,
    until,
    earliest: until,
    latest: until,
    reason: { why: 'noon-sun' },
  });
}
