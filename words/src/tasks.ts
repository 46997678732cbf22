import type { LightPlace, Young } from '@hypogeon/core/botany';
import type { LeaveKind, Link, StepId } from '@hypogeon/core/care';
import type { Feeding, MotherTending, Sign, TaskId } from '@hypogeon/core/journal';
import type { LookAnswer } from '@hypogeon/core/round';

/** What a task is called where there is no room for its sentence. */
export const TASK_NAME: Readonly<Record<TaskId, string>> = {
  'water-mother': 'Water the mother',
  cut: 'Cut',
  stick: 'Set in the mix',
  wound: 'Touch a wound',
  stopped: 'Wound stands still',
  'first-water': 'First water',
  water: 'Water',
  mist: 'Mist',
  pool: 'Water at the base',
  roots: 'Look for roots',
  pups: 'Look for new growth',
  overdue: 'Long without roots',
  alive: 'See whether it still lives',
  neighbour: 'Look: rot near it',
  'pot-on': 'Pot on',
  'pot-water': 'First drink in the pot',
  'jar-stir': 'Move the jar’s water',
  'jar-change': 'Change the jar’s water',
  'jar-feed': 'Feed in the jar',
  wean: 'From jar to mix',
  light: 'More light',
  feed: 'Feed',
  'leaf-off': 'Mother leaf',
  air: 'More air',
  again: 'Look again',
};

export const STEP_NAME: Readonly<Record<StepId, string>> = {
  'water-mother': 'Water the mother',
  cut: 'Cut',
  callused: 'Dry and closed',
  stick: 'Set',
  gate: 'Safe to water',
  'first-water': 'First water',
  roots: 'Roots',
  wean: 'Into the mix',
  pups: 'Pups',
  light: 'More light',
  feed: 'First feed',
  'pot-on': 'Pot on',
};

export const LIGHT_PLACE: Readonly<Record<LightPlace, string>> = {
  'bright-shade': 'bright shade, no sun',
  window: 'a place near a window, no sun',
  morning: 'an hour of morning sun',
  'half-day': 'half a day of sun, shaded at noon',
  'noon-shade': 'bright light, shaded at noon',
  sun: 'full sun',
};

export const LINK_NAME: Readonly<Record<Link, string>> = {
  tray: 'in the same tray',
  place: 'in the same place',
  blade: 'cut with the same blade that day',
  mother: 'of the same mother',
  mix: 'in the same mix and pot',
};

/** What a piece with roots brings: as it is looked for, and as it is counted. */
export const YOUNG_NAME: Readonly<Record<Young, string>> = {
  pups: 'pups',
  shoots: 'new shoots',
  heads: 'new heads',
  joints: 'new joints',
  plantlets: 'plantlets',
  'true-leaves': 'true leaves',
};

/** The same on the key that counts them, with what is looked for. Common practice, no source. */
export const YOUNG_KEY: Readonly<Record<Young, { readonly name: string; readonly says: string }>> =
  {
    pups: { name: 'With pups', says: 'rooted, a new plant shows' },
    shoots: { name: 'With new shoots', says: 'rooted, a shoot beside the old piece' },
    heads: { name: 'With new heads', says: 'rooted, and growing on' },
    joints: { name: 'With new joints', says: 'rooted, a joint on top' },
    plantlets: { name: 'With plantlets', says: 'along its edge, with roots' },
    'true-leaves': { name: 'With true leaves', says: 'ready to be pricked out' },
  };

/** What is to be left alone, before its day: `No water until …`. */
export const LEAVE_NAME: Readonly<Record<LeaveKind, string>> = {
  planned: 'Planned',
  gate: 'No water',
  drying: 'Let it dry',
  held: 'Hold the water',
  water: 'No water',
  rooting: 'Leave alone',
  jar: 'Leave the jar',
  shade: 'Keep it shaded',
  rest: 'Let it rest',
  grown: 'Grown on',
  postponed: 'Postponed',
};

/** What feeding is, and what leaving it costs. Common practice, no source. */
export const FEEDING_SAYS = 'Half strength, every two weeks. Unfed they grow slower and tougher.';

/** When rooted ones are fed. */
export const FEEDING_NAME: Readonly<Record<Feeding, string>> = {
  'in-growth': 'While it grows',
  fortnightly: 'Always but in its rest',
  never: 'Never',
};

/** What a look may find. */
export const SIGN_NAME: Readonly<Record<Sign, string>> = {
  'root-points': 'Root points',
  'white-roots': 'White roots',
  'brown-roots': 'Brown, firm roots',
  'dead-roots': 'Dead or mushy roots',
  'black-leaf': 'A black leaf',
  'broken-leaf': 'A broken leaf',
  'leaf-crisp': 'The old leaf is crisp',
  'crown-wet': 'Water in the crown',
  crested: 'Crested growth',
  'new-growth': 'New growth',
  'pot-bulging': 'The pot bulges',
  'roots-out': 'Roots out of the holes',
  gnats: 'Gnats over the mix',
};

export const MOTHER_TASK: Readonly<Record<MotherTending, string>> = {
  watered: 'Water it',
  light: 'More light',
  feed: 'Feed',
  looked: 'Look for new heads',
};

/** An answer to a look, on its button, and as it is told once it is saved. */
export const ANSWER_NAME: Readonly<Record<LookAnswer, string>> = {
  firm: 'Firm',
  tacky: 'Tacky',
  fine: 'Firm',
  soft: 'Soft',
  alive: 'Alive',
  'leaf-off': 'Taken off',
};

export const ANSWER_SAYS: Readonly<Record<LookAnswer, string>> = {
  firm: 'Dry and firm',
  tacky: 'Still tacky',
  fine: 'Looked: firm',
  soft: 'Looked: soft',
  alive: 'It lives',
  'leaf-off': 'Old leaf taken off',
};

export const MOTHER_DONE: Readonly<Record<MotherTending, string>> = {
  watered: 'Watered',
  light: 'Brighter',
  feed: 'Fed',
  looked: 'Looked',
};
