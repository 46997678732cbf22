import { CATALOGUE } from '../botany';
import { append, appendAll, fold, isKind, type Entry, type State } from '../journal';
import { walkDeeds } from '../testing/deeds';
import { beliefOf, correlationOf } from './belief';
import { cureVector, sumOf } from './cure-evidence';
import { packRoots } from './packed';
import { recallRoots, toldIn, type PackedRoots } from './told';
import { correlationVector, CORRELATION_CELLS } from './tray-correlation';

const beliefs = (state: State): readonly number[] =>
  CATALOGUE.flatMap(({ id, methods }) =>
    methods.flatMap((way) => {
      const { mean, a, pace } = beliefOf(state, id, way);
      return [mean, a, pace.factor, pace.low, pace.high];
    }),
  );
const nearly = (a: ArrayLike<number>, b: ArrayLike<number>): void => {
  expect(a).toHaveLength(b.length);
  const far = Array.from(a).filter((value, i) => !(Math.abs(value - b[i]!) < 1e-9));
  expect(far).toEqual([]);
};
/** As a store gives it back. */
const stored = (state: State): PackedRoots =>
  JSON.parse(JSON.stringify(packRoots(state))) as PackedRoots;

/** Every sum is the whole sum of what stands in it, however it came about. */
function whole(state: State): void {
  const correlation = correlationOf(state);
  for (const { all, own, sumAt } of toldIn(state).values()) {
    const full = sumOf(all.map((told) => ({ vector: cureVector(told, correlation), weight: 1 })));
    nearly(sumAt(correlation), full);
    expect([...own.values()].flatMap(({ told }) => told)).toHaveLength(all.length);
    for (const plant of own.values()) {
      const settled = plant.told.filter((t) => t.waits.length === 0 && t.lived + t.lost > 1);
      nearly(
        plant.trays(),
        sumOf(
          settled.map((t) => ({ vector: correlationVector(t), weight: 1 })),
          CORRELATION_CELLS,
        ),
      );
    }
  }
}

describe('evidence of roots', () => {
  it('adds up to the same entry by entry, with what is taken back, as at once', () => {
    for (let seed = 1; seed <= 8; seed++) {
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
    for (let seed = 1; seed <= 4; seed++) {
      const { entries } = walkDeeds(seed, 80);
      const half = entries.slice(0, 60);
      const packed = stored(fold(half));
      // Every plant that was told of is in it, whether or not anybody has asked.
      expect(packed.sums).toHaveLength(
        [...toldIn(fold(half)).values()].reduce((n, { own }) => n + own.size, 0),
      );
      const opened = fold(half);
      recallRoots(opened, packed);
      whole(opened);
      nearly(beliefs(opened), beliefs(fold(half)));
      const on = appendAll(opened, entries.slice(60));
      whole(on);
      nearly(beliefs(on), beliefs(fold(entries)));
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
    expect(after).toBe(before);
  });
});
