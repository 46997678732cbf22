import type { AirLack } from '@hypogeon/core/media';
import * as say from '@hypogeon/messages/mixes';

/** That roots will lack air, why, and what helps; empty where they will not. */
export function airWarning(lack: AirLack | null): string {
  if (lack === null) return '';
  const why = lack.soggy ? say.mostOfItsDepth() : say.itsFinesHoldWater();
  return say.onlyAirOnceDrained({ air: Math.round(lack.air * 100), why });
}
