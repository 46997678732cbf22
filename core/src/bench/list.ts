import * as say from '@hypogeon/messages/core-list';
import { memoAround } from '../memo';
import { methodAs, type MethodId } from '../botany';
import { daysBetween, type Day } from '../days';
import { foldText, matches, wordsOf } from '../text';
import {
  spaceOn,
  type Batch,
  type BatchStage,
  type Mother,
  type State,
  type Tray,
} from '../journal';

import { settleAll } from '../faults';
import { batchCode, batchTitle, plantOf } from './plant';
import { hasRoots, inJar, rowOf } from './course-of';
import { woundInput } from './wound-input';
import { TROUBLE_NAME, troublesOf, type Trouble } from './trouble';

export const STAGE_NAME: Readonly<Record<BatchStage, string>> = {
  get planned() {
    return say.toBeCut();
  },
  get callusing() {
    return say.callusing();
  },
  get stuck() {
    return say.setNoRootsYet();
  },
  get growing() {
    return say.rooted();
  },
  get done() {
    return say.done();
  },
};

/** How a batch stands, as lists say it: by what it is and has, not by its stage alone. */
export type Status =
  | { readonly is: 'planned' | 'callusing' | 'to-set' | 'bare' | 'done' }
  /** Set, without roots as yet, or with roots of its own. */
  | { readonly is: 'set'; readonly ownRoots: boolean; readonly jar: boolean }
  | {
      readonly is: 'growing';
      readonly rooted: number;
      readonly waiting: number;
      readonly jar: boolean;
    };

export function statusOf(state: State, batch: Batch): Status {
  const { stage, here, pottings } = batch;
  const set: Status = {
    is: 'set',
    ownRoots: hasRoots(state, batch),
    jar: inJar(state, batch),
  };
  switch (stage) {
    case 'callusing':
      // Potted as they were, they are set all the same.
      if (pottings.reduce((sum, p) => sum + p.count, 0) >= here.waiting) return set;
      if (rowOf(state, batch).setWhen === 'rooted') return { is: 'bare' };
      return { is: woundInput(state, batch) === null ? 'to-set' : 'callusing' };
    case 'stuck':
      return set;
    case 'growing': {
      const rooted = here.rooted + here.pupped;
      return { is: 'growing', rooted, waiting: here.waiting, jar: inJar(state, batch) };
    }
    default:
      return { is: stage };
  }
}

export const BENCH_SORTS = ['bench', 'age', 'plant', 'rooted', 'lost'] as const;
export type BenchSort = (typeof BENCH_SORTS)[number];

/** What is asked of the bench list; a field left out asks nothing. */
export interface BenchAsk {
  readonly query?: string | undefined;
  readonly withDone?: boolean | undefined;
  readonly stage?: BatchStage | undefined;
  readonly space?: string | undefined;
  readonly taxon?: string | undefined;
  readonly method?: MethodId | undefined;
  readonly mother?: string | undefined;
  readonly trouble?: Trouble | 'any' | undefined;
  /** Days since the cut, first and last. */
  readonly age?: readonly [number, number] | undefined;
  readonly sort?: BenchSort | undefined;
}

/** A batch as the list knows it, made once for a batch and what lies around it. */
export interface BenchLine {
  readonly batch: Batch;
  readonly title: string;
  readonly code: string;
  readonly space: string;
  readonly spaceName: string;
  readonly age: number;
  readonly troubles: readonly Trouble[];
  readonly text: string;
}

const kept = memoAround<Batch, BenchLine>();

/** All lines of the bench, in the order of the journal. */
export function benchLines(state: State, today: Day): readonly BenchLine[] {
  return settleAll(state.batches.values(), (batch) => lineOf(state, batch, today)).results;
}

function lineOf(state: State, batch: Batch, today: Day): BenchLine {
  const space = spaceOn(batch, today, batch.stuck !== null);
  const mother = batch.mother === undefined ? undefined : state.mothers.get(batch.mother);
  const tray = batch.tray === undefined ? undefined : state.trays.get(batch.tray);
  const around = [today, state.spaces.get(space), mother, tray, state.ownTaxa.get(batch.taxon)];
  return kept(batch, around, () => makeLine(state, batch, today, space, mother, tray));
}

function makeLine(
  state: State,
  batch: Batch,
  today: Day,
  space: string,
  mother: Mother | undefined,
  tray: Tray | undefined,
): BenchLine {
  const title = batchTitle(state, batch);
  const code = batchCode(state, batch);
  const spaceName = state.spaces.get(space)?.name ?? say.somewhere();
  const plant = plantOf(state, batch.taxon);
  const troubles = troublesOf(batch, today);
  const text = foldText(
    [
      title,
      code,
      batch.place,
      tray?.name,
      mother?.name,
      spaceName,
      plant?.name,
      ...(plant?.taxon.common ?? []),
      STAGE_NAME[batch.stage],
      methodAs(plant?.taxon ?? null, batch.method).many,
      ...troubles.map((t) => TROUBLE_NAME[t]),
    ]
      .filter(Boolean)
      .join(' '),
  );
  const age = daysBetween(batch.cutOn, today);
  return { batch, title, code, space, spaceName, age, troubles, text };
}

/** The lines that answer, sorted. */
export function askBench(lines: readonly BenchLine[], ask: BenchAsk): readonly BenchLine[] {
  const words = wordsOf(ask.query ?? '');
  return lines
    .filter(
      ({ batch, space, age, troubles, text }) =>
        (ask.withDone === true || ask.stage === 'done' || batch.stage !== 'done') &&
        (ask.stage === undefined || batch.stage === ask.stage) &&
        (ask.space === undefined || space === ask.space) &&
        (ask.taxon === undefined || batch.taxon === ask.taxon) &&
        (ask.method === undefined || batch.method === ask.method) &&
        (ask.mother === undefined || batch.mother === ask.mother) &&
        (ask.trouble === undefined ||
          (ask.trouble === 'any' ? troubles.length > 0 : troubles.includes(ask.trouble))) &&
        (ask.age === undefined || (age >= ask.age[0] && age <= ask.age[1])) &&
        matches(text, words),
    )
    .sort(SORTS[ask.sort ?? 'bench']);
}

type Order = (a: BenchLine, b: BenchLine) => number;
const youngest: Order = (a, b) => a.age - b.age;
const share = (n: number, { count }: Batch): number => (count === 0 ? 0 : n / count);
const rooted = ({ batch }: BenchLine): number =>
  share(batch.counts.rooted + batch.counts.pupped, batch);
const lost = ({ batch }: BenchLine): number =>
  share(batch.counts.rotted + batch.counts.dried + batch.counts.lost, batch);

const SORTS: Readonly<Record<BenchSort, Order>> = {
  bench: youngest,
  age: (a, b) => b.age - a.age,
  plant: (a, b) => (a.title < b.title ? -1 : a.title > b.title ? 1 : youngest(a, b)),
  rooted: (a, b) => rooted(b) - rooted(a) || youngest(a, b),
  lost: (a, b) => lost(b) - lost(a) || youngest(a, b),
};
