import { cameIn } from '@hypogeon/core/bench';
import { fold, type Entry } from '@hypogeon/core/journal';
import { cameInText } from './devices';

let n = 0;
const written = (by: string, draft: object): Entry =>
  ({
    id: `e${n}`,
    at: `2026-03-01T08:00:00.000Z~${(n++).toString(16).padStart(4, '0')}`,
    day: '2026-03-01',
    by,
    ...draft,
  }) as Entry;
const mother = (key: string, name: string) => ({
  kind: 'put',
  record: 'mother',
  key,
  fields: { name },
});

describe('what came in from where', () => {
  const theirs = [
    written('d2', {
      kind: 'put',
      record: 'device',
      key: 'd2',
      fields: { name: 'the lean-to phone' },
    }),
    written('d2', mother('m1', 'Jelly beans')),
    written('d2', mother('m2', 'Hall snake')),
    written('d2', mother('m2', 'Hall snake, tall')),
    written('d2', mother('m3', 'Old Grey')),
    written('d3', mother('m1', 'Jelly beans')),
    written('d3', { kind: 'from-the-future', batch: 'b' }),
  ];
  const state = fold(theirs);

  it('tells devices apart, the one with most first, and names what is written of', () => {
    expect(cameIn(state, theirs).map((c) => cameInText(state, c, 'en'))).toEqual([
      '5 entries from the lean-to phone: Hall snake, tall; Jelly beans; 1 more',
      '2 entries from another device: Jelly beans',
    ]);
  });

  it('says of what this device had written itself that it was here before', () => {
    const [, own] = cameIn(state, theirs);
    expect(cameInText(state, own!, 'en', 'd3')).toBe(
      '2 entries from this device, from before: Jelly beans',
    );
  });

  it('says a number where nothing of it has a name', () => {
    const unknown = [theirs[6]!];
    expect(cameIn(state, unknown).map((c) => cameInText(state, c, 'en'))).toEqual([
      '1 entry from another device',
    ]);
  });
});
