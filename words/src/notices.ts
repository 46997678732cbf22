import type { Notice } from '@hypogeon/core/round';
import * as say from '@hypogeon/messages/notices';
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
        says: say.goToRestFrom({ near }),
      };
    }
    case 'frost':
      return {
        kind,
        items,
        title: say.frostInPlaces({ itemsCount: items.length }),
        says: say.from({ near }),
      };
    case 'order':
      return {
        kind,
        items,
        title: say.ordersToMakeReady({ itemsCount: items.length }),
        says: say.from({ near }),
      };
  }
}

/** What one notice is about, in a few words. */
export function noticeTitle(notice: Notice): string {
  switch (notice.kind) {
    case 'frost':
      return say.frostMayCome({ place: notice.place ?? say.aPlainRoom() });
    case 'order':
      return `${notice.who ?? say.anOrder()}: ${notice.late ? say.late() : say.makeReady()}`;
    case 'season':
      return say.itsSeasonEnds({ name: notice.name });
  }
}

/** Why it is said, and what to do. */
export function noticeReason(notice: Notice): string {
  switch (notice.kind) {
    case 'frost':
      return say.thereBringThemIn({
        what:
          notice.batches === 1
            ? say.oneBatchStands()
            : say.batchesStand({ batches: notice.batches }),
      });
    case 'order': {
      const { count, ready, growing, short } = notice;
      if (short + growing === 0) return say.allAreReadyAnd({ count });
      const parts = [
        say.ready({ ready }),
        ...(growing > 0 ? [say.withoutRootsAsYet({ growing })] : []),
        ...(short > 0 ? [say.short({ short })] : []),
      ];
      return say.ofWord({ count, parts: parts.join(', ') });
    }
    case 'season':
      return say.cutNowOrWait();
  }
}

/** What it rests on. */
export function noticeSure(notice: Notice): string {
  switch (notice.kind) {
    case 'order':
      return say.byTheOrder();
    case 'frost':
    case 'season':
      return SURE[notice.by];
  }
}

const SURE = {
  get reading() {
    return say.byItsLastReading();
  },
  get year() {
    return say.byTheUsualYear();
  },
  get air() {
    return say.byTheUsualAir();
  },
} as const;
