import { addDays } from '../days';
import { fold, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { deedsOf, storyCare, storyDay } from '../testing/story';

/** Crowns whose roots are seen, told on the day or so many days late: `told('9: cut', '40+12: count 3r')`. */
function told(...lines: readonly string[]): State {
  const drafts = lines.flatMap((line) => {
    const [when, deed] = line.split(': ');
    const [n, late] = when!.split('+').map(Number);
    return deedsOf(deed!, n!).map((draft) => ({ draft, on: addDays(storyDay(n!), late ?? 0) }));
  });
  const first = batchPut({ ...FIELDS, mother: null, taxon: 'echeveria-elegans', method: 'crown' });
  return fold(
    written(first, ...drafts.map((d) => d.draft)).map((entry, i) => ({
      ...entry,
      at: `${i === 0 ? DAY : drafts[i - 1]!.on}T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
    })),
  );
}
const potOn = (state: State, n: number) =>
  storyCare(state, n).asks.find((ask) => ask.kind === 'pot-on');

describe('since when potting is asked for', () => {
  const BEGUN = ['0: cut', '4: set', '8: water'] as const;

  it('four weeks after the roots were counted, whatever is counted after', () => {
    const counts = ['60: count 6r', '67: count 7r', '74: count 8r'];
    const state = told(...BEGUN, '30: count 5r', ...counts);
    expect(potOn(state, 80)).toMatchObject({ since: storyDay(58), late: 22 });
    // What has roots since a week is not ready; what has had them for four is.
    expect(potOn(state, 80)!.count).toBe(5);
  });

  it('since it was told, where the roots were told late', () => {
    const state = told(...BEGUN, '30+40: count 5r', '75: count 6r');
    expect(potOn(state, 80)).toMatchObject({ since: storyDay(70), late: 10 });
  });

  it('since the count that took it up again, where nobody had stood at it for months', () => {
    const state = told(...BEGUN, '30: count 5r', '200: count 5r');
    expect(potOn(state, 205)).toMatchObject({ since: storyDay(200), late: 5 });
  });
});
