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
    return { kind, items, title: first.title, says: `${near}. ${first.reason}` };
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
