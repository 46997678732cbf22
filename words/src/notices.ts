import type { Notice } from '@hypogeon/core/round';
import { nearDay } from './days';
import { counted, NOUN } from './plural';
import type { Speech } from './speech';

/** Notices of one kind on one line: eight mothers at the end of their season are one thing to know. */
export interface NoticeLine {
  readonly kind: Notice['kind'];
  readonly title: string;
  readonly says: string;
  readonly items: readonly Notice[];
}

/** The day's notices, a line a kind, in the order they came. */
export function noticeLines(notices: readonly Notice[], speech: Speech): readonly NoticeLine[] {
  const kinds = new Map<Notice['kind'], Notice[]>();
  for (const n of notices) kinds.set(n.kind, [...(kinds.get(n.kind) ?? []), n]);
  return [...kinds].map(([kind, items]) => line(kind, items, speech));
}

function line(kind: Notice['kind'], items: readonly Notice[], speech: Speech): NoticeLine {
  const [first] = items as [Notice];
  const soonest = items.reduce((day, n) => (n.day < day ? n.day : day), first.day);
  const near = nearDay(soonest, speech);
  if (items.length === 1)
    return { kind, items, title: noticeTitle(first), says: `${near}. ${noticeReason(first)}` };
  switch (kind) {
    case 'season': {
      const title = counted(items.length, NOUN.mother);
      return {
        kind,
        items,
        title,
        says: `go to rest from ${near}: cut now or wait for the next season`,
      };
    }
    case 'frost':
      return { kind, items, title: `Frost in ${items.length} places`, says: `from ${near}` };
    case 'order':
      return { kind, items, title: `${items.length} orders to make ready`, says: `from ${near}` };
  }
}

/** What one notice is about, in a few words. */
export function noticeTitle(notice: Notice): string {
  switch (notice.kind) {
    case 'frost':
      return `Frost may come: ${notice.place ?? 'a plain room'}`;
    case 'order':
      return `${notice.who ?? 'An order'}: ${notice.late ? 'late' : 'make ready'}`;
    case 'season':
      return `${notice.name}: its season ends`;
  }
}

/** Why it is said, and what to do. */
export function noticeReason(notice: Notice): string {
  switch (notice.kind) {
    case 'frost':
      return `${notice.batches === 1 ? 'One batch stands' : `${notice.batches} batches stand`} there. Bring them in or cover them, and hold the can.`;
    case 'order': {
      const { count, ready, growing, short } = notice;
      if (short + growing === 0) return `All ${count} are ready and set aside.`;
      const parts = [
        `${ready} ready`,
        ...(growing > 0 ? [`${growing} without roots as yet`] : []),
        ...(short > 0 ? [`${short} short`] : []),
      ];
      return `Of ${count}: ${parts.join(', ')}.`;
    }
    case 'season':
      return 'Cut now or wait for the next: roots should stand before it rests.';
  }
}

/** What it rests on. */
export function noticeSure(notice: Notice): string {
  switch (notice.kind) {
    case 'order':
      return 'by the order';
    case 'frost':
    case 'season':
      return SURE[notice.by];
  }
}

const SURE = {
  reading: 'by its last reading',
  year: 'by the usual year of the place',
  air: 'by the usual air of the place',
} as const;
