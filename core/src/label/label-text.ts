import * as say from '@hypogeon/messages/core-label-text';
import { batchCode, drawnOf, plantOf } from '../bench';
import { methodAs } from '../botany';
import { isCrested, slipOf, type Slip } from '../care';
import type { Day } from '../days';
import type { Batch, State } from '../journal';
import { labelAddress } from './code';
import type { WaterVerdict } from '../water';
import type { LabelText } from './draw';

/** How a grower writes days: with the year, and on the little room a stake has. */
export interface WriteDay {
  readonly full: (day: Day) => string;
  readonly short: (day: Day) => string;
  /** What stands for a day where it waits for roots. */
  readonly untilRoots: string;
}

/**
 * What the label of a batch says.
 * @param write a day as the grower writes days, with its year and without
 * @param today no day of first water is told once it is past
 * @param verdict on its pot, as judged today
 */
export function labelOf(
  state: State,
  batch: Batch,
  base: string,
  write: WriteDay,
  today: Day,
  verdict?: WaterVerdict,
): LabelText {
  const plant = plantOf(state, batch.taxon);
  const method = methodAs(plant?.taxon ?? null, batch.method);
  return {
    name: `${plant?.name ?? say.unknownPlant()}${isCrested(batch) ? say.crested() : ''}`,
    lines: [
      `${batch.count} ${batch.count === 1 ? method.one : method.many}`,
      say.cut({ day: write.full(batch.cutOn) }),
      ...noWaterLine(write, slipOf(state, batch, today, verdict)),
      ...fromLine(state, batch),
    ],
    code: batchCode(state, batch),
    polarity: method.polarity,
    piece: drawnOf(state, batch),
    address: labelAddress(base, batch.id),
  };
}

/** Whose it is of, so that a cutting can be traced wherever it goes. */
function fromLine({ mothers }: State, { mother }: Batch): readonly string[] {
  const name = mother === undefined ? undefined : mothers.get(mother)?.name;
  return name === undefined ? [] : [say.from({ name })];
}

/** The one line that saves a cutting in another’s hands. */
function noWaterLine(write: WriteDay, { noWaterBefore, dryUntilRoots }: Slip): readonly string[] {
  if (dryUntilRoots) return [write.untilRoots];
  return noWaterBefore === null ? [] : [say.noWaterBefore({ day: write.short(noWaterBefore) })];
}

/** The batch a scanned address or a typed code names; null if it is not in this journal. */
export function batchCalled(state: State, id: string): Batch | null {
  const wanted = id.trim().toUpperCase();
  return (
    state.batches.get(id) ??
    [...state.batches.values()].find((b) => batchCode(state, b) === wanted) ??
    null
  );
}
