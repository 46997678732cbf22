import { batchTitle, type CameIn } from '@hypogeon/core/bench';
import type { State } from '@hypogeon/core/journal';
import * as say from '@hypogeon/messages/words-devices';
import { counted, NOUN } from './plural';

/** So many are named; the rest are a number. */
const MOST_NAMED = 2;

/** What a device is called: as the grower named it, else as little as is known. @param here this device */
export const deviceName = (state: State, device: string, here?: string): string =>
  device === here
    ? say.thisDeviceFromBefore()
    : (state.devices.get(device)?.name ?? say.anotherDevice());

/**
 * What came in, from where: `12 entries from the phone of the lean-to: Jelly beans, leaves, Hall snake, sections and 3
 * more`.
 */
export function cameInText(state: State, came: CameIn, locale: string, here?: string): string {
  const names = came.about.flatMap(({ record, id }) => {
    const batch = record === 'batch' ? state.batches.get(id) : undefined;
    const name = batch ? batchTitle(state, batch) : state.mothers.get(id)?.name;
    return name === undefined || name === '' ? [] : [name];
  });
  const once = [...new Set(names)];
  const named = once.slice(0, MOST_NAMED);
  const more = once.length - named.length;
  const about = more > 0 ? [...named, say.more({ more })] : named;
  const entries = counted(came.entries, NOUN.entry, locale);
  const from = say.from({ entries, deviceName: deviceName(state, came.device, here) });
  return about.length === 0 ? from : `${from}: ${about.join('; ')}`;
}
