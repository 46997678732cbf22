import type { MethodId } from '../botany';
import type { Day } from '../days';
import {
  subjectOf,
  type Batch,
  type BatchEntry,
  type BatchFields,
  type EntryDraft,
  type State,
} from '../journal';
import { coursesOf } from './course-of';

/** What was put down wrong of a batch: only what differs is told. */
export interface PutRight {
  readonly taxon?: string;
  readonly method?: MethodId;
  readonly cutOn?: Day;
  /** The rest of its record that is put right with it. */
  readonly fields?: BatchFields;
}

/** Why a day cannot be the day of the cut. */
export type CutDayWrong =
  | { readonly why: 'ahead' }
  /** Something was done to the pieces sooner. */
  | { readonly why: 'done-sooner'; readonly entry: BatchEntry };

/** Entries that may be older than the cut: they are of no piece yet. */
const BEFORE_CUT: ReadonlySet<BatchEntry['kind']> = new Set(['cut', 'note', 'photo', 'put-off']);

/** Whether a day can be the day on which a batch was cut, or will be; null where it can. */
export function cutDayWrong(batch: Batch, day: Day, today: Day): CutDayWrong | null {
  if (batch.cut === null) return null;
  if (day > today) return { why: 'ahead' };
  const sooner = batch.entries.find((e) => !BEFORE_CUT.has(e.kind) && e.day < day);
  return sooner ? { why: 'done-sooner', entry: sooner } : null;
}

/**
 * What is recorded to put a batch right. A cut that was told on the wrong day is taken back and told anew, so that the
 * history keeps both. What was told of the old way alone, its course and how it came off, goes back to what is usual.
 * @returns nothing where nothing differs
 */
export function putRight(state: State, batch: Batch, right: PutRight): readonly EntryDraft[] {
  const { taxon = batch.taxon, method = batch.method, cutOn = batch.cutOn } = right;
  const fields: BatchFields = {
    ...right.fields,
    ...(taxon === batch.taxon ? {} : { taxon }),
    ...(method === batch.method ? {} : { method, ...ofOldWay(batch) }),
    ...(cutOn === batch.cutOn ? {} : { cutOn }),
  };
  if (
    batch.course !== undefined &&
    !coursesOf(state, { ...batch, taxon, method }).includes(batch.course)
  )
    fields.course = null;
  const put: readonly EntryDraft[] =
    Object.keys(fields).length === 0
      ? []
      : [{ kind: 'put', record: 'batch', key: batch.id, fields }];
  return cutOn === batch.cutOn ? put : [...put, ...cutAnew(batch, cutOn)];
}

const ofOldWay = ({ opening, through, rings }: Batch): BatchFields => ({
  ...(opening === undefined ? {} : { opening: null }),
  ...(through === undefined ? {} : { through: null }),
  ...(rings === undefined ? {} : { rings: null }),
});

function cutAnew(batch: Batch, day: Day): readonly EntryDraft[] {
  const told = batch.entries.filter((e) => e.kind === 'cut');
  if (told.length === 0) return [];
  return [
    ...told.map((e): EntryDraft => ({ kind: 'retract', entry: e.id, subject: subjectOf(e) })),
    { kind: 'cut', batch: batch.id, day },
  ];
}
