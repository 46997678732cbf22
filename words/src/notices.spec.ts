import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import type { Notice } from '@hypogeon/core/round';
import { noticeLines } from './notices';
import { speechFor } from './speech';

const DAY = '2026-04-09';
const speech = speechFor(fold(demoJournal(DAY)), { locale: 'en-GB', today: DAY });
const notice = (kind: Notice['kind'], id: string, day: string): Notice => ({
  id,
  kind,
  title: `About ${id}`,
  reason: 'Because.',
  sure: '',
  day,
  about: id,
});

describe('notices of the day', () => {
  it('one alone says what it is, when and why', () => {
    expect(noticeLines([notice('order', 'fair', '2026-04-10')], speech)).toMatchObject([
      { title: 'About fair', says: 'tomorrow. Because.' },
    ]);
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
