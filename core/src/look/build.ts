import type { Habit } from './look';

/** How growers sort plants by eye. */
export const BUILDS = [
  'rosettes',
  'straps',
  'columns',
  'globes',
  'pads',
  'bushes',
  'stems',
  'mats',
  'trails',
  'fronds',
  'stones',
] as const;
export type Build = (typeof BUILDS)[number];

const OF: Readonly<Record<Habit, Build>> = {
  rosette: 'rosettes',
  stalked: 'rosettes',
  fan: 'rosettes',
  straps: 'straps',
  column: 'columns',
  globe: 'globes',
  pads: 'pads',
  joints: 'pads',
  shrub: 'bushes',
  tree: 'bushes',
  sticks: 'bushes',
  stacked: 'stems',
  herb: 'stems',
  mat: 'mats',
  trail: 'trails',
  climber: 'trails',
  fronds: 'fronds',
  stones: 'stones',
};

export const buildOf = (habit: Habit): Build => OF[habit];
