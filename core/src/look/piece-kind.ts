/** What a piece looks like above the soil line: what it was cut as, whatever plant it is of. */
export const PIECES = [
  'leaf',
  'crown',
  'segment',
  'strap',
  'ball',
  'pad',
  'column',
  'offset',
  'trailing',
  'stacked',
  'fan',
  'branch',
  'bare-branch',
  'stone',
  'tuber',
  'plantlet',
  'bulbil',
  'root',
  'seed',
] as const;

export type Piece = (typeof PIECES)[number];

/** Pieces, and the whole plant. */
export type Part = Piece | 'plant';
