import { addDays } from '../days';
import { appendAll, fold, suppose, type EntryDraft, type State } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { courseOf } from './course-of';
import { cutDayWrong, putRight } from './put-right';

const CUT = addDays(DAY, 3);
const TODAY = addDays(DAY, 20);
const told: readonly Parameters<typeof written>[number][] = [
  batchPut({ ...FIELDS, cutOn: CUT }),
  { kind: 'cut', batch: 'b1', day: CUT },
  { kind: 'note', batch: 'b1', day: DAY, text: 'Bought' },
  { kind: 'stuck', batch: 'b1', day: addDays(CUT, 4) },
];
const state = fold(written(...told));
const batchIn = (s: State) => s.batches.get('b1')!;
const after = (drafts: readonly EntryDraft[], of = state): State => suppose(of, drafts, TODAY);

describe('a batch put right', () => {
  it('writes nothing where nothing differs', () => {
    expect(putRight(state, batchIn(state), {})).toEqual([]);
    expect(putRight(state, batchIn(state), { taxon: FIELDS.taxon!, cutOn: CUT })).toEqual([]);
  });

  it('takes a cut told on the wrong day back, tells it anew, and can be undone', () => {
    const sooner = addDays(CUT, -2);
    const drafts = putRight(state, batchIn(state), { cutOn: sooner });
    const right = batchIn(after(drafts));
    expect([right.cut, right.cutOn]).toEqual([sooner, sooner]);
    // The old cut stays in the history, and comes back with Undo.
    const fixed = after(drafts);
    const written = [...fixed.log.get('batch/b1')!].filter((e) => e.by === 'supposed');
    const back = suppose(
      fixed,
      written.map((e): EntryDraft => ({ kind: 'retract', entry: e.id, subject: 'batch/b1' })),
      TODAY,
    );
    expect(batchIn(back).cut).toBe(CUT);
  });

  it('puts the plan of a cut that is still ahead right', () => {
    const planned = fold(written(batchPut({ ...FIELDS, cutOn: CUT })));
    const drafts = putRight(planned, batchIn(planned), { cutOn: addDays(CUT, 9) });
    expect(drafts).toEqual([
      { kind: 'put', record: 'batch', key: 'b1', fields: { cutOn: addDays(CUT, 9) } },
    ]);
    expect(batchIn(suppose(planned, drafts, DAY)).cut).toBeNull();
  });

  it('forgets what belonged to the old way alone', () => {
    const leaf = fold(
      written(
        batchPut({ ...FIELDS, method: 'leaf', opening: 'broken', course: 'propped', cutOn: CUT }),
        { kind: 'cut', batch: 'b1', day: CUT },
      ),
    );
    const right = after(putRight(leaf, batchIn(leaf), { method: 'crown' }), leaf);
    expect(batchIn(right)).toMatchObject({
      method: 'crown',
      opening: undefined,
      course: undefined,
    });
    expect(courseOf(right, batchIn(right))).toBe('dried');
  });

  it('keeps a chosen course that the other plant has, too', () => {
    const jar = fold(
      written(batchPut({ ...FIELDS, course: 'water' }), { kind: 'cut', batch: 'b1', day: DAY }),
    );
    const drafts = putRight(jar, batchIn(jar), { taxon: 'crassula-ovata', method: 'crown' });
    expect(batchIn(after(drafts, jar))).toMatchObject({ taxon: 'crassula-ovata', course: 'water' });
  });
});

describe('the day of a cut', () => {
  it('lies neither ahead nor after what was done to the pieces; notes may be older', () => {
    const batch = batchIn(state);
    expect(cutDayWrong(batch, addDays(TODAY, 1), TODAY)).toEqual({ why: 'ahead' });
    expect(cutDayWrong(batch, addDays(CUT, 5), TODAY)).toMatchObject({
      why: 'done-sooner',
      entry: { kind: 'stuck' },
    });
    expect(cutDayWrong(batch, addDays(CUT, 4), TODAY)).toBeNull();
    expect(cutDayWrong(batch, addDays(DAY, 1), TODAY)).toBeNull();
  });
});

describe('what would be', () => {
  it('is folded as if it were told, and leaves the journal as it was', () => {
    const size = state.size;
    const moved = after([{ kind: 'moved', batch: 'b1', space: 'shelf' }]);
    expect(batchIn(moved).space).toBe('shelf');
    expect([state.size, batchIn(state).space]).toEqual([size, 'bench']);
    expect(appendAll(state, []).size).toBe(size);
  });
});
