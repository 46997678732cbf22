import { batchCode, batchTitle, placeOf, spaceDrying } from '../bench';
import { addDays, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { sparing } from '../faults';
import type { RoundItem } from './item';
import { noticesOn } from './notices';
import { batchRound, type Verdicts } from './round';
import { TASK_NAME } from './task-name';

/** A task on its day, for a calendar. */
export interface TaskAhead {
  /** The same from export to export: a calendar moves the task instead of doubling it. */
  readonly uid: string;
  readonly title: string;
  readonly from: Day;
  /** The last day it may come to, where its day is uncertain. */
  readonly to: Day;
  readonly text: string;
}

/** As far as a clock or a window can be trusted without another look. */
export const AHEAD_DAYS = 42;

/**
 * What the coming weeks ask, as things stand: the round of every day, each task of a batch where it first comes
 * up. What hangs on something done before (water on sticking) comes with the next export.
 */
export function tasksAhead(
  state: State,
  today: Day,
  verdicts: Verdicts = new Map(),
): readonly TaskAhead[] {
  const drying = spaceDrying(state);
  const tasks = sparing(state.batches.values(), (b) =>
    b.stage === 'done' ? [] : batchTasks(state, b, today, verdicts, drying),
  ).results.flat();
  const notices = noticesOn(state, today).map((n) => ({
    uid: `${n.id}@hypogeon`,
    title: n.title,
    from: n.day,
    to: n.day,
    text: `${n.reason} (${n.sure})`,
  }));
  return [...notices, ...tasks].sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

function batchTasks(
  state: State,
  batch: Batch,
  today: Day,
  verdicts: Verdicts,
  drying: ReturnType<typeof spaceDrying>,
): readonly TaskAhead[] {
  const found = new Map<string, TaskAhead>();
  const who = `${batchTitle(state, batch)} ${batchCode(state, batch)}`;
  const at = [placeOf(state, batch), state.spaces.get(spaceOn(batch, today, true))?.name]
    .filter(Boolean)
    .join(', ');
  const add = (kind: string, title: string, from: Day, to: Day, text: string): void => {
    if (found.has(kind)) return;
    const where = at ? `\nAt: ${at}` : '';
    found.set(kind, {
      uid: `${batch.id}-${kind}@hypogeon`,
      title: `${title}: ${who}`,
      from,
      to,
      text: text + where,
    });
  };
  for (let n = 0; n < AHEAD_DAYS; n++) {
    const day = addDays(today, n);
    const items = batchRound(
      state,
      batch,
      day,
      n === 0 ? verdicts.get(batch.id) : undefined,
      drying,
    );
    for (const item of items) {
      if (item.band === 'leave') {
        if (n === 0) addLeft(item, add);
      } else
        add(
          item.kind,
          TASK_NAME[item.kind],
          day,
          day,
          `${item.title}. ${item.reason}\nHow sure: ${item.sure}`,
        );
    }
  }
  return [...found.values()];
}

function addLeft(
  item: Extract<RoundItem, { band: 'leave' }>,
  add: (kind: string, title: string, from: Day, to: Day, text: string) => void,
): void {
  const { earliest, latest, until, reason } = item;
  if (item.kind === 'gate')
    add(
      'gate',
      'Gate may open',
      earliest,
      latest,
      `No water before ${until}: the wound is ${reason}.`,
    );
  else if (item.kind === 'water')
    add(
      'water',
      'Water likely due',
      until,
      latest > until ? latest : until,
      `Not before: ${reason}.`,
    );
}
