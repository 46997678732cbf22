import * as say from '@hypogeon/messages/core-set-choices';
import type { Firming, LeafCare } from '../journal';

/** How hard a mix was pressed round pieces, by name. */
export const FIRMED_NAME: Readonly<Record<Firming, string>> = {
  get hard() {
    return say.firmedHard();
  },
  get loose() {
    return say.setLoose();
  },
};

/** What their leaves were given before there were roots. */
export const LEAVES_NAME: Readonly<Record<LeafCare, string>> = {
  get misted() {
    return say.leavesMisted();
  },
  get dry() {
    return say.leavesDry();
  },
};
