import * as say from '@hypogeon/messages/core-aid';

/** What growers put on a wound. */
export const AIDS = ['none', 'hormone', 'cinnamon', 'aloe'] as const;
export type AidId = (typeof AIDS)[number];

export interface Aid {
  readonly id: AidId;
  readonly name: string;
  readonly says: string;
}

/** Common practice, no source. None of them moves the wound clock: nobody has measured that they do. */
export const AID: Readonly<Record<AidId, Aid>> = {
  none: {
    id: 'none',
    get name() {
      return say.nothing();
    },
    get says() {
      return say.mostOfTheseRoot();
    },
  },
  hormone: {
    id: 'hormone',
    get name() {
      return say.rootingHormone();
    },
    get says() {
      return say.forWoodyStemsRather();
    },
  },
  cinnamon: {
    id: 'cinnamon',
    get name() {
      return say.groundCinnamon();
    },
    get says() {
      return say.driesAndProtectsThe();
    },
  },
  aloe: {
    id: 'aloe',
    get name() {
      return say.aloeGel();
    },
    get says() {
      return say.keepsTheWoundWet();
    },
  },
};
