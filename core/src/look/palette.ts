/** The colours plants are drawn in: each has a fill and an ink, and a side for each theme. Ours, mixed for this. */
export const TONES = [
  'blue',
  'green',
  'jade',
  'lime',
  'olive',
  'grey',
  'plum',
  'pink',
  'red',
  'bronze',
  'gold',
  'cream',
  'white',
  'wood',
  'stone',
  'clay',
] as const;
export type Tone = (typeof TONES)[number];
