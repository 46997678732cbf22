/** What a batch may ask of a grower; a task is named by it when it is put off or dropped. */
export const TASKS = [
  'cut',
  'stick',
  'wound',
  'stopped',
  'first-water',
  'water',
  'pool',
  'roots',
  'pups',
  'overdue',
  'pot-on',
  'jar-stir',
  'jar-change',
  'wean',
  'light',
  'feed',
  'leaf-off',
  'mist',
  'jar-feed',
  'alive',
  'neighbour',
  'pot-water',
  'water-mother',
  'air',
  'again',
] as const;
export type TaskId = (typeof TASKS)[number];

/** What is done for a batch and has no entry of its own kind. */
export const TENDINGS = [
  'jar-stir',
  'jar-change',
  'jar-feed',
  'light',
  'feed',
  'leaf-off',
  'air',
] as const;
export type Tending = (typeof TENDINGS)[number];

/** What is done for a mother, and has no entry of its own kind. */
export const MOTHER_TENDINGS = ['watered', 'light', 'feed', 'looked'] as const;
export type MotherTending = (typeof MOTHER_TENDINGS)[number];
