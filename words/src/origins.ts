import type { Origin } from '@hypogeon/core/journal';
import * as say from '@hypogeon/messages/origins';

/** What a mother began as. */
export const ORIGIN_NAME: Readonly<Record<Origin, string>> = {
  get bought() {
    return say.bought();
  },
  get given() {
    return say.aGiftOrSwap();
  },
  get cutting() {
    return say.aCutting();
  },
  get division() {
    return say.aDivisionOrPup();
  },
  get seed() {
    return say.seed();
  },
  get culture() {
    return say.aLaboratoryFlask();
  },
  get kept() {
    return say.keptFromATray();
  },
};
