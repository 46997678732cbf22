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
    name: 'Nothing',
    says: 'Most of these root by themselves; a clean dry wound is the aid.',
  },
  hormone: {
    id: 'hormone',
    name: 'Rooting hormone',
    says: 'For woody stems rather than fleshy ones. Gloves, and only as its label allows.',
  },
  cinnamon: {
    id: 'cinnamon',
    name: 'Ground cinnamon',
    says: 'Dries and protects the wound. As a rooting aid the evidence is thin; never on roots.',
  },
  aloe: {
    id: 'aloe',
    name: 'Aloe gel',
    says: 'Keeps the wound wet for a day: count from when it has dried. Evidence is thin.',
  },
};
