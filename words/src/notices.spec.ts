import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import type { Notice } from '@hypogeon/core/round';
import { noticeLines, noticeReason, noticeTitle } from './notices';
import { speechFor } from './speech';

const DAY = '2026-04-09';
const speech = speechFor(fold(demoJournal(DAY)), { locale: 'en-GB', today: DAY });
const notice = (kind: Notice['kind'], id: string, day: string): Notice => {
  const about = { id, day, about: id };
  switch (kind) {
    case 'frost':
      return { ...about, kind, place: id, batches: 2, by: 'reading' };
    case 'order':
      return { ...about, kind, who: id, late: false, count: 9, ready: 4, growing: 2, short: 3 };
    case 'season':
      return { ...about, kind, name: id, by: 'year' };
  }
};

describe('notices of the day', () => {
  it('one alone says what it is, when and why', () => {
    expect(noticeLines([notice('order', 'fair', '2026-04-10')], speech)).toMatchObject([
      {
        title: 'fair: make ready',
        says: 'tomorrow. Of 9: 4 ready, 2 without roots as yet, 3 short.',
      },
    ]);
  });

  it('each kind has its own words', () => {
    const order = notice('order', 'Fair', DAY) as Extract<Notice, { kind: 'order' }>;
    expect(noticeTitle({ ...order, late: true, who: null })).toBe('An order: late');
    expect(noticeReason({ ...order, ready: 9, growing: 0, short: 0 })).toBe(
      'All 9 are ready and set aside.',
    );
    const frost = notice('frost', 'Porch', DAY) as Extract<Notice, { kind: 'frost' }>;
    expect(noticeTitle({ ...frost, place: null })).toBe('Frost may come: a plain room');
    expect(noticeReason({ ...frost, batches: 1 })).toMatch(/^One batch stands there\. Bring/);
    expect(noticeReason(notice('season', 'Bowl', DAY))).toMatch(/roots should stand/);
  });

  it('many of a kind are one line, from the soonest of them', () => {
    const lines = noticeLines(
      [
        notice('season', 'a', '2026-04-20'),
        notice('frost', 'porch', '2026-04-11'),
        notice('season', 'b', '2026-04-10'),
        notice('frost', 'sill', '2026-04-12'),
      ],
      speech,
    );
    expect(lines.map((l) => l.title)).toEqual(['2 mothers', 'Frost in 2 places']);
    expect(lines[0]!.says).toBe('go to rest from tomorrow: cut now or wait for the next season');
    expect(lines[1]!.says).toBe('from Sat 11 Apr');
    expect(lines[0]!.items.map((n) => n.id)).toEqual(['a', 'b']);
  });
});
