import { addDays } from '../days';
import { written } from '../testing/entries';
import { append, EMPTY_STATE, fold, loggedSeries } from '.';

const DAY = '2026-04-09';
type Series = Extract<Parameters<typeof written>[number], { kind: 'series' }>;

const logged = (start: string, tempC: (number | null)[], over: Partial<Series> = {}): Series => ({
  kind: 'series',
  space: 'bench',
  day: start.slice(0, 10),
  source: 'logger',
  start,
  offsets: tempC.map((_, i) => i * 60),
  columns: { tempC, rh: tempC.map(() => 0.5) },
  ...over,
});
const air = (...drafts: Parameters<typeof written>) => fold(written(...drafts)).air.get('bench');

describe('the air of a space from the journal', () => {
  it('takes days from a logger', () => {
    expect(air(logged(`${DAY}T22:00`, [10, 12, 6]))).toMatchObject([
      { day: DAY, tempC: 11 },
      { day: addDays(DAY, 1), tempC: 6 },
    ]);
  });

  it('what was written by hand for a day stands before the logger', () => {
    const hand = { kind: 'air', space: 'bench', day: DAY, tempC: 30, rh: 0.3 } as const;
    expect(air(logged(`${DAY}T08:00`, [10, 12]), hand)).toEqual([{ day: DAY, tempC: 30, rh: 0.3 }]);
    expect(air(hand, logged(`${DAY}T08:00`, [10, 12]))).toEqual([{ day: DAY, tempC: 30, rh: 0.3 }]);
  });

  it('two files of one day are read together; imported twice they count once', () => {
    const morning = logged(`${DAY}T08:00`, [10, 10]);
    const evening = logged(`${DAY}T20:00`, [16, 16]);
    expect(air(morning, evening)).toMatchObject([{ tempC: 13 }]);
    expect(air(morning, evening, { ...evening, id: 'again' })).toMatchObject([{ tempC: 13 }]);
  });

  it('an entry at a time and all at once tell the same', () => {
    const entries = written(logged(`${DAY}T08:00`, [10, 10]), logged(`${DAY}T20:00`, [16, 16]));
    const stepwise = entries.reduce(append, EMPTY_STATE);
    expect(stepwise.air).toEqual(fold(entries).air);
    expect(loggedSeries(entries).columns.tempC).toEqual([10, 10, 16, 16]);
  });

  it('is taken back like anything else', () => {
    const entry = { ...logged(`${DAY}T08:00`, [10, 10]), id: 'e0' };
    expect(air(entry, { kind: 'retract', entry: 'e0', subject: 'air/bench', day: DAY })).toEqual(
      [],
    );
  });
});
