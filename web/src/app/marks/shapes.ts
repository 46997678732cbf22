/** What a mark shows beside its piece, in a field of 64 × 64 with the line at y = 36. */
export interface Shape {
  readonly body: readonly string[];
  readonly lines: readonly string[];
}

/** Roots by length class: first strokes, a brush, a whole system. */
export const ROOTS: readonly (readonly string[])[] = [
  [],
  ['M32 40C31.5 43 30.5 44.5 29.5 47', 'M32 40C32.5 42.5 33.5 44 34.5 45.5'],
  [
    'M32 40C31 45 27.5 47.5 24.5 52',
    'M32 40C32 45 31 49 31.5 54',
    'M32 40C33 44.5 37 47 39.5 51',
    'M30.5 41C27.5 43 24 43.5 20.5 45.5',
    'M33.5 41C36.5 42.5 40 42.5 43 44',
  ],
  [
    'M32 40C31 46 26.5 50 22.5 57',
    'M32 40C32 47 30.5 52 31.5 60',
    'M32 40C33 46 38 50 41.5 57',
    'M30.5 41C26 43.5 21 44 14.5 48.5',
    'M33.5 41C38 43 43 43.5 49 47',
    'M28 47.5C25.5 48 23 49.5 20 52.5',
    'M36.5 48C39.5 48.5 43 50.5 46 53.5',
    'M31.3 50C29.5 52 27.5 54 26.5 58',
    'M31.6 52C33.5 54 35.5 55.5 36 59',
  ],
];

/** A young rosette on the line, right of the wound. */
export const PUP: Shape = {
  body: [
    'M50 36C46 35.5 42.5 33 41.5 29C45.5 29 49 31.5 50 35.5Z',
    'M50 36C54 35.5 57.5 33 58.5 29C54.5 29 51 31.5 50 35.5Z',
    'M50 36C47 32 47 27.5 50 24C53 27.5 53 32 50 36Z',
  ],
  lines: [],
};

export const POT = { rim: 'M13 36.5H51V41.5H13Z', body: 'M16 41.5H48L44.5 62H19.5Z' };
