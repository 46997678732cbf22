import type { Permission } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/permission-words';

export const PERMISSION_WORD: Readonly<Record<Permission, string>> = {
  get own() {
    return say.myOwnPlant();
  },
  get given() {
    return say.givenToMeTo();
  },
  get asked() {
    return say.theOwnerSaidYes();
  },
  get unknown() {
    return say.notAskedYet();
  },
};
