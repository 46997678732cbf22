import { batchTitle, plantOf } from '@hypogeon/core/bench';
import { methodAs, type Method } from '@hypogeon/core/botany';
import type { Batch, State } from '@hypogeon/core/journal';
import type { LengthUnit, TemperatureUnit } from '@hypogeon/core/units';
import * as say from '@hypogeon/messages/speech';
import type { DayStyle } from './days';
import { lengthUnitOf, temperatureUnitOf } from './locale';
import { pieceRule } from './piece-rules';

/** All that a sentence needs to be written for one grower: units, language, today, and what things are called. */
export interface Speech extends DayStyle {
  readonly length: LengthUnit;
  readonly temperature: TemperatureUnit;
  /** What to mind when taking pieces of a batch, in metric. */
  readonly ruleOf: (batch: Pick<Batch, 'taxon' | 'method'>) => string;
  /** A way as it goes with the plant of a batch: what its pieces are called. */
  readonly wayOf: (batch: Pick<Batch, 'taxon' | 'method'>) => Method;
  /** What a batch is called: `Sedum leaves`. */
  readonly batchName: (id: string) => string;
}

/** In the units of a grower's settings; until they are set, in those of the region. */
export const speechFor = (state: State, style: DayStyle): Speech => ({
  ...style,
  length: state.settings.length ?? lengthUnitOf(style.locale),
  temperature: state.settings.temperature ?? temperatureUnitOf(style.locale),
  ruleOf: ({ taxon, method }) => pieceRule(plantOf(state, taxon)?.taxon ?? null, method),
  wayOf: ({ taxon, method }) => methodAs(plantOf(state, taxon)?.taxon ?? null, method),
  batchName: (id) => {
    const batch = state.batches.get(id);
    return batch ? batchTitle(state, batch) : say.anotherBatch();
  },
});
