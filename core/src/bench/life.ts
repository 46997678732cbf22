import { windowAt } from '../botany';
import { addDays, type Day } from '../days';
import type { Batch, State } from '../journal';
import { chanceClosedOn } from '../wound';
import { airOf } from './air-of';
import { clockOf } from './clock-of';
import { firstDrinkFrom } from './first-drink';
import { figuresOf } from './plant';
import { rootingPace } from './rooting';

export type MilestoneId =
  'cut' | 'callused' | 'stuck' | 'gate' | 'water' | 'roots' | 'pups' | 'potted';

/** A station in the life of a batch: done on a day, or ahead somewhere in a range. */
export type Milestone = {
  readonly id: MilestoneId;
  readonly name: string;
} & (
  | { readonly is: 'done'; readonly from: Day; readonly to: Day }
  | { readonly is: 'ahead'; readonly from: Day; readonly to: Day }
  /** It cannot be said: the clock stands still, or nothing is known. */
  | { readonly is: 'open' }
);

/**
 * The life of a batch as stations, past ones as they were recorded, coming ones with their range.
 * What was seen at a check lies between that check and the one before.
 */
export function lifeOf(state: State, batch: Batch, today: Day): readonly Milestone[] {
  const figures = figuresOf(state, batch);
  const clock = clockOf(state, batch);
  const gate = clock?.gate.state === 'dated' ? clock.gate : null;
  const { tempC } = airOf(state, batch.space, batch.cutOn);
  const pace = figures ? rootingPace(state, batch.taxon, figures).factor : 1;

  const done = (id: MilestoneId, name: string, from: Day, to = from): Milestone => ({
    id,
    name,
    is: 'done',
    from,
    to,
  });
  const ahead = (id: MilestoneId, name: string, from: Day | null, to = from): Milestone =>
    from === null || to === null ? { id, name, is: 'open' } : { id, name, is: 'ahead', from, to };
  const within = (id: MilestoneId, name: string, window: { from: number; to: number }) =>
    ahead(id, name, addDays(batch.cutOn, window.from), addDays(batch.cutOn, window.to));
  const first = (kind: 'rooted' | 'pupped'): { after: Day; by: Day } | null =>
    batch.cuttings
      .flatMap((c) => c[kind] ?? [])
      .reduce<{ after: Day; by: Day } | null>((a, b) => (a === null || b.by < a.by ? b : a), null);

  const milestones: Milestone[] = [
    batch.cut ? done('cut', 'Cut', batch.cut) : ahead('cut', 'Cut', batch.cutOn),
  ];
  if (clock) {
    const firm = batch.woundChecks.find((c) => c.seen === 'firm');
    const surely = chanceClosedOn(clock, today) >= 0.9;
    milestones.push(
      firm
        ? done('callused', 'Callused', firm.day)
        : gate && surely
          ? done('callused', 'Callused', gate.earliest, gate.latest)
          : ahead('callused', 'Callused', gate?.earliest ?? null, gate?.latest ?? null),
    );
  }
  milestones.push(
    batch.stuck
      ? done('stuck', 'Stuck', batch.stuck)
      : ahead('stuck', 'Stick', clock ? clock.stickOn : batch.cutOn),
  );
  if (clock)
    milestones.push(
      gate && gate.opens <= today && batch.cut
        ? done('gate', 'Gate open', gate.opens)
        : ahead('gate', 'Gate opens', gate?.opens ?? null),
    );
  const water = batch.waterings[0];
  milestones.push(
    water
      ? done('water', water.breach === undefined ? 'First water' : 'Water, early', water.day)
      : ahead('water', 'First water', firstWaterAhead()),
  );
  const rooted = first('rooted');
  if (rooted) milestones.push(done('roots', 'First roots', rooted.after, rooted.by));
  else if (figures) milestones.push(within('roots', 'Roots', windowAt(figures.roots, tempC, pace)));
  const pupped = first('pupped');
  if (pupped) milestones.push(done('pups', 'First pups', pupped.after, pupped.by));
  else if (figures?.pups)
    milestones.push(within('pups', 'Pups', windowAt(figures.pups, tempC, pace)));
  const potted = batch.entries.find((e) => e.kind === 'potted');
  milestones.push(potted ? done('potted', 'Potted on', potted.day) : pottingAhead());
  return milestones;

  function firstWaterAhead(): Day | null {
    const opens = gate?.opens ?? (clock ? null : batch.cutOn);
    const stuckOn = batch.stuck ?? (clock ? clock.stickOn : batch.cutOn);
    if (opens === null || stuckOn === null) return null;
    const school = firstDrinkFrom(batch, stuckOn);
    return school !== null && school < opens ? opens : school;
  }

  function pottingAhead(): Milestone {
    const window = figures && windowAt(figures.pups ?? figures.roots, tempC, pace);
    if (!window) return { id: 'potted', name: 'Pot on', is: 'open' };
    const sign = (figures.pups ? pupped : rooted)?.by;
    const from = sign ?? addDays(batch.cutOn, window.from);
    const to = sign ?? addDays(batch.cutOn, window.to);
    return ahead('potted', 'Pot on', addDays(from, ROOTS_GROW_DAYS), addDays(to, ROOTS_GROW_DAYS));
  }
}

/** Working assumption: roots are past 2.5 cm about four weeks after they first show; 3–6 make sense. */
export const ROOTS_GROW_DAYS = 28;
