import { CATALOGUE } from '../botany';
import { append, appendAll, fold, isKind, type Entry, type State } from '../journal';
import { walkDeeds } from '../testing/deeds';
import { rootingPace } from './rooting';
import { packRoots, recallRoots, toldIn, type PackedRoots } from './root-evidence';
import { sumOf } from './pace-evidence';

const paces = (state: State): readonly number[] =>
  CATALOGUE.flatMap(({ id, methods }) =>
    methods.flatMap((way) => {
      const { factor, low, high } = rootingPace(state, id, way);
      return [factor, low, high];
    }),
  );
const nearly = (a: readonly number[], b: readonly number[]): void => {
  expect(a).toHaveLength(b.length);
  a.forEach((value, i) => expect(Math.abs(value - b[i]!)).toBeLessThan(1e-9));
};
/** As a store gives it back. */
const stored = (state: State): PackedRoots =>
  JSON.parse(JSON.stringify(packRoots(state))) as PackedRoots;

/** Every sum is the whole sum of what stands in it, however it came about. */
function whole(state: State): void {
  for (const { all, own, sum } of toldIn(state).values()) {
    const full = sumOf(all.map(({ vector }) => ({ vector, weight: 1 })));
    nearly([...sum], [...full]);
    expect([...own.values()].flatMap(({ told }) => told)).toHaveLength(all.length);
  }
}

describe('evidence of roots', () => {
  it('adds up to the same entry by entry, with what is taken back, as at once', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const { entries } = walkDeeds(seed, 80);
      let state = fold(entries.slice(0, 60));
      for (const entry of entries.slice(60)) {
        state = append(state, entry);
        whole(state);
      }
      const tally = entries.find(isKind('tally'));
      if (!tally) continue;
      state = append(state, {
        ...tally,
        id: 'gone',
        at: state.lastStamp!,
        kind: 'retract',
        entry: tally.id,
        subject: `batch/${tally.batch}`,
      } as unknown as Entry);
      whole(state);
    }
  });

  it('is taken up from beside the journal as it was, and goes on from there', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const { entries } = walkDeeds(seed, 80);
      const half = entries.slice(0, 60);
      const packed = stored(fold(half));
      const opened = fold(half);
      recallRoots(opened, packed);
      whole(opened);
      nearly(paces(opened), paces(fold(half)));
      const on = appendAll(opened, entries.slice(60));
      whole(on);
      nearly(paces(on), paces(fold(entries)));
    }
  });

  it('a drink changes nothing of it', () => {
    const { state } = walkDeeds(4, 120);
    const [batch] = [...state.batches.values()].filter((b) => b.lastLook !== null && !b.ended);
    const before = toldIn(state);
    const after = toldIn(
      append(state, {
        id: 'drink',
        at: `2099${state.lastStamp!.slice(4)}`,
        day: '2026-12-01',
        by: 'x',
        kind: 'watered',
        batch: batch!.id,
        how: 'poured',
      }),
    );
    expect([...after.values()]).toEqual([...before.values()]);
    for (const [key, group] of after) expect(group).toBe(before.get(key));
  });
});
