import { clockOf, lifeOf, plantOf, type Milestone } from '../bench';
import { lightNeedOf, lightSteps, METHOD } from '../botany';
import { addDays, type Day } from '../days';
import type { Batch, State } from '../journal';
import { FIRST_WATER } from '../water';
import { AID, WOUND_SCHOOL } from '../wound';

export type StepId =
  | 'water-mother'
  | 'prepare'
  | 'cut'
  | 'touch'
  | 'stick'
  | 'first-water'
  | 'roots'
  | 'pups'
  | 'light'
  | 'feed'
  | 'pot-on';

/** Something to be done or looked at, on a day or somewhere between two. */
export interface Step {
  readonly id: StepId;
  readonly title: string;
  readonly from: Day;
  readonly to: Day;
  readonly why: string;
}

/** Feeding begins so long after roots, at half strength. Common practice, no source. */
const FEED_AFTER_DAYS = 14;

/** The dated steps of a batch from before its cut to its pot; what is past has gone. */
export function stepsOf(state: State, batch: Batch, today: Day): readonly Step[] {
  const life = new Map(lifeOf(state, batch, today).map((m) => [m.id, m]));
  const method = METHOD[batch.method];
  const steps: Step[] = [];
  const on = (id: StepId, title: string, from: Day, to: Day, why: string): void => {
    if (to >= today) steps.push({ id, title, from, to, why });
  };
  const pieces = `${batch.count} ${batch.count === 1 ? method.one : method.many}`;

  if (batch.cut === null) {
    on(
      'water-mother',
      'Water the mother',
      addDays(batch.cutOn, -2),
      addDays(batch.cutOn, -1),
      'A plump cutting lives off itself until it roots.',
    );
    on(
      'prepare',
      'Blade, labels, dry medium ready',
      addDays(batch.cutOn, -1),
      batch.cutOn,
      'Nothing wet stands near an open wound.',
    );
    on('cut', `Cut ${pieces}`, batch.cutOn, batch.cutOn, cutWords(batch, method.rule));
  }
  const clock = clockOf(state, batch);
  if (clock?.gate.state === 'dated' && batch.stuck === null)
    on(
      'touch',
      'Touch one wound',
      clock.gate.earliest,
      clock.gate.latest,
      'Dry and firm, or still tacky? Either answer moves the gate.',
    );
  const stick = ahead(life.get('stuck'));
  if (stick)
    on(
      'stick',
      `Stick ${pieces}`,
      ...stick,
      `${WOUND_SCHOOL[batch.school].name}: into dry medium, no water yet.`,
    );
  const water = ahead(life.get('water'));
  if (water)
    on(
      'first-water',
      batch.method === 'leaf' ? 'First misting' : 'First water',
      ...water,
      `${FIRST_WATER[batch.firstWater ?? 'with-gate'].name}. Not sooner: wet medium rots an open wound.`,
    );
  const roots = ahead(life.get('roots'));
  if (roots)
    on(
      'roots',
      'Look for roots',
      ...roots,
      'A light tug, or lift one. Not daily: each look sets them back.',
    );
  const pups = ahead(life.get('pups'));
  if (pups)
    on('pups', 'Look for pups', ...pups, 'The old leaf feeds them: leave it on until it is crisp.');
  const rooted = life.get('roots');
  if (rooted && rooted.is !== 'open') {
    const plant = plantOf(state, batch.taxon);
    const need = plant ? lightNeedOf(plant.taxon) : 'bright';
    const last = lightSteps(need).at(-1)!;
    on(
      'light',
      'Light up by steps',
      rooted.from,
      addDays(rooted.to, last.afterDays),
      `Over two weeks, to ${last.says}.`,
    );
    on(
      'feed',
      'First feed, half strength',
      addDays(rooted.from, FEED_AFTER_DAYS),
      addDays(rooted.to, FEED_AFTER_DAYS),
      'Every two weeks while it grows; none in its rest.',
    );
  }
  const pot = ahead(life.get('potted'));
  if (pot) on('pot-on', 'Pot on', ...pot, 'At 2.5 to 5 cm of root, or when the old leaf is gone.');
  return steps.toSorted((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

function ahead(milestone: Milestone | undefined): readonly [Day, Day] | null {
  return milestone?.is === 'ahead' ? [milestone.from, milestone.to] : null;
}

function cutWords({ aid }: Batch, rule: string): string {
  return aid === undefined || aid === 'none' ? rule : `${rule} ${AID[aid].name} on the wound.`;
}
