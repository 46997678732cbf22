import type { TaskId } from '../journal';

/** What a task is called where there is no room for its sentence. */
export const TASK_NAME: Readonly<Record<TaskId, string>> = {
  cut: 'Cut',
  stick: 'Stick',
  wound: 'Touch a wound',
  stopped: 'Wound stands still',
  'first-water': 'First water',
  water: 'Water',
  mist: 'Mist',
  pool: 'Water at the base',
  roots: 'Look for roots',
  pups: 'Look for pups',
  overdue: 'Long without roots',
  'pot-on': 'Pot on',
  'jar-stir': 'Move the jar’s water',
  'jar-change': 'Change the jar’s water',
  wean: 'From jar to soil',
  light: 'More light',
  feed: 'Feed',
  'leaf-off': 'Mother leaf',
};
