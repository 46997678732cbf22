import { careOf, type Ask, type Leave } from '../care';
import { addDays, type Day } from '../days';
import { settleAll } from '../faults';
import type { Batch, State } from '../journal';
import { noticesOn, type Notice } from './notices';
import type { Verdicts } from './round';

/** A task on its day, for a calendar: what it says is put into words elsewhere. */
export interface TaskAhead {
  /** The same from export to export: a calendar moves the task instead of doubling it. */
  readonly uid: string;
  readonly from: Day;
  /** The last day it may come to, where its day is uncertain. */
  readonly to: Day;
  readonly is:
    | { readonly kind: 'ask'; readonly ask: Ask }
    | { readonly kind: 'leave'; readonly leave: Leave }
    | { readonly kind: 'notice'; readonly notice: Notice };
}

/** As far as a clock or a window can be trusted without another look. */
export const AHEAD_DAYS = 42;

/**
 * What the coming weeks ask, as things stand: the care of every day, each task of a batch where it first comes up.
 * What hangs on something done before (water on setting) comes with the next export.
 */
export function tasksAhead(
  state: State,
  today: Day,
  verdicts: Verdicts = new Map(),
): readonly TaskAhead[] {
  const tasks = settleAll(state.batches.values(), (b) =>
    batchTasks(state, b, today, verdicts),
  ).results.flat();
  const notices = noticesOn(state, today).map((notice): TaskAhead => ({
    uid: `${notice.id}@hypogeon`,
    from: notice.day,
    to: notice.day,
    is: { kind: 'notice', notice },
  }));
  return [...notices, ...tasks].sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

function batchTasks(
  state: State,
  batch: Batch,
  today: Day,
  verdicts: Verdicts,
): readonly TaskAhead[] {
  const found = new Map<string, TaskAhead>();
  const add = (kind: string, from: Day, to: Day, is: TaskAhead['is']): void => {
    if (!found.has(kind))
      found.set(kind, { uid: `${batch.id}-${kind}@hypogeon`, from, to: to > from ? to : from, is });
  };
  for (let n = 0; n < AHEAD_DAYS; n++) {
    const day = addDays(today, n);
    const { asks, leave } = careOf(state, batch, day, verdicts.get(batch.id));
    if (n === 0) {
      if (asks.length === 0 && leave.length === 0) return [];
      for (const l of leave)
        if (l.kind === 'gate') add('gate', l.earliest, l.latest, { kind: 'leave', leave: l });
    }
    for (const ask of asks) add(ask.kind, day, day, { kind: 'ask', ask });
  }
  return [...found.values()];
}
