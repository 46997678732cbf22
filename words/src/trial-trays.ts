import type { Trial } from '@hypogeon/core/journal';
import {
  alphaOf,
  chanceByTrays,
  fewIn,
  HARM,
  leastTrays,
  needsTrays,
  perTrayOf,
  type TrialResult,
} from '@hypogeon/core/trial';
import * as say from '@hypogeon/messages/trial-trays';
import { percent } from './shares';

/** What was agreed of a trial whose arms cannot share a tray; nothing for others. */
export function trayRules(trial: Trial): readonly string[] {
  if (!needsTrays(trial.factor)) return [];
  const arms = trial.arms?.length ?? 2;
  const trays = trial.trays ?? leastTrays(arms);
  return [
    say.oneTrayCannotHave({ trays, perTrayOf: perTrayOf(trial) }),
    say.alikeGroupsAreCalled({ fewIn: fewIn(alphaOf(arms)), leastTrays: leastTrays(arms) }),
    say.stoppedBeforeForHarm({ harm: 1 / HARM }),
  ];
}

/** Why so many trays: what they tell apart, and how surely. @param correlation of two cuttings of a tray here, 0–1 */
export function traySize(trial: Trial, correlation: number): string {
  const { usual, better, arms } = trial;
  if (!needsTrays(trial.factor) || usual === undefined || better === undefined || !arms) return '';
  const trays = trial.trays ?? leastTrays(arms.length);
  const each = perTrayOf(trial);
  const chance = chanceByTrays(trays, { arms: arms.length, usual, better }, each, correlation);
  if (chance === 0) return '';
  return say.traysOfInEach({
    trays,
    each,
    percent: percent(usual),
    percent2: percent(better),
    percent3: percent(chance),
  });
}

/** Where too few trays were counted to tell; empty where they were enough, or trays do not count. */
export function tooFewTrays({ against }: Pick<TrialResult, 'against'>): string {
  const few = against.find(({ trays }) => trays !== null && !trays.enough)?.trays;
  if (!few) return '';
  const least = Math.min(...few.trays);
  return say.withInAGroup({
    what: least === 1 ? say.oneTray() : say.trays({ least }),
    least: few.least,
  });
}

/** How many trays, and what they tell. */
export function traysText(
  trays: number | null,
  perTray: number,
  arms: number,
  between: string,
  power: number,
): string {
  if (trays === null) return say.noNumberOfTrays({ between });
  return say.traysOfInEachGroup({
    trays,
    perTray,
    between,
    power: Math.round(power * 100),
    arms: trays * arms,
    perTray2: trays * arms * perTray,
  });
}
