import { batchTitle } from '@hypogeon/core/bench';
import type { State } from '@hypogeon/core/journal';
import type { LengthUnit, TemperatureUnit } from '@hypogeon/core/units';
import type { DayStyle } from './days';

/** All that a sentence needs to be written for one grower: units, language, today, and what things are called. */
export interface Speech extends DayStyle {
  readonly length: LengthUnit;
  readonly temperature: TemperatureUnit;
  /** What a batch is called: `Sedum leaves`. */
  readonly batchName: (id: string) => string;
}

/** In the units of a grower's settings. */
export const speechFor = (state: State, style: DayStyle): Speech => ({
  ...style,
  length: state.settings.length ?? 'mm',
  temperature: state.settings.temperature ?? 'C',
  batchName: (id) => {
    const batch = state.batches.get(id);
    return batch ? batchTitle(state, batch) : 'Another batch';
  },
});
