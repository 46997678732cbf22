/** What a cutting may have come to. */
export const OUTCOMES = ['waiting', 'rooted', 'pupped', 'rotted', 'dried', 'lost'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What a count counts; all others of the batch are still waiting. */
export type Counts = Readonly<Record<Exclude<Outcome, 'waiting'>, number>>;

/** A wound to the finger. */
export const WOUND_SEEN = ['tacky', 'firm'] as const;
export const SEEN = [...WOUND_SEEN, 'fine', 'wrinkled', 'soft'] as const;

/** What else a look may find. */
export const SIGNS = [
  'root-points',
  'white-roots',
  'brown-roots',
  'dead-roots',
  'black-leaf',
  'broken-leaf',
  'leaf-crisp',
  'crown-wet',
  'crested',
  'new-growth',
  'pot-bulging',
  'roots-out',
  'gnats',
] as const;
export type Sign = (typeof SIGNS)[number];

/** What may be measured on a picture. */
export const MEASURED = ['wound', 'root'] as const;
export type Measured = (typeof MEASURED)[number];
