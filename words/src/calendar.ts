import { batchCode, batchTitle, placeOf } from '@hypogeon/core/bench';
import { spaceOn, type Batch, type State } from '@hypogeon/core/journal';
import type { TaskAhead } from '@hypogeon/core/round';
import * as say from '@hypogeon/messages/calendar';
import { askText, ended, leaveText } from './care';
import { reasonText } from './reasons';
import { sureText } from './sure';
import type { Speech } from './speech';
import { TASK_NAME } from './tasks';
import { noticeReason, noticeSure, noticeTitle } from './notices';

/** A task of the coming weeks as a calendar keeps it. */
export interface CalendarText {
  readonly uid: string;
  readonly title: string;
  readonly from: string;
  readonly to: string;
  readonly text: string;
}

export function calendarText(state: State, task: TaskAhead, speech: Speech): CalendarText {
  const { uid, from, to, is } = task;
  // What is said of a day ahead is said as on that day.
  const then: Speech = { ...speech, today: from };
  switch (is.kind) {
    case 'notice': {
      const { notice } = is;
      const text = `${noticeReason(notice)} (${noticeSure(notice)})`;
      return { uid, from, to, title: noticeTitle(notice), text };
    }
    case 'leave':
      return {
        uid,
        from,
        to,
        title: say.safeToWater({ who: who(state, is.leave.batch) }),
        text: `${leaveText(is.leave, speech)}.${where(state, is.leave.batch, from)}`,
      };
    case 'ask': {
      const { ask } = is;
      return {
        uid,
        from,
        to,
        title: `${TASK_NAME[ask.kind]}: ${who(state, ask.batch)}`,
        text: say.howSure({
          ended: ended(askText(ask, then)),
          reason: reasonText(ask.reason, then),
          sure: sureText(ask.sure),
          where: where(state, ask.batch, from),
        }),
      };
    }
  }
}

const who = (state: State, batch: Batch): string =>
  `${batchTitle(state, batch)} ${batchCode(state, batch)}`;

function where(state: State, batch: Batch, day: string): string {
  const at = [placeOf(state, batch), state.spaces.get(spaceOn(batch, day, true))?.name]
    .filter(Boolean)
    .join(', ');
  return at ? say.at({ at }) : '';
}
