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
import { percent } from './shares';

/** What was agreed of a trial whose arms cannot share a tray; nothing for others. */
export function trayRules(trial: Trial): readonly string[] {
  if (!needsTrays(trial.factor)) return [];
  const arms = trial.arms?.length ?? 2;
  const trays = trial.trays ?? leastTrays(arms);
  return [
    `One tray cannot have both ways, so the tray counts, not the cutting: ${trays} trays of ${perTrayOf(trial)} in each group, their places by lot.`,
    `Alike groups are called different at most ${fewIn(alphaOf(arms))}; with fewer than ${leastTrays(arms)} trays in each group it cannot be told.`,
    `Stopped before for harm only: losses of trays so uneven that chance would do it less than once in ${1 / HARM} times.`,
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
  return `${trays} trays of ${each} in each group find ${percent(usual)} against ${percent(better)} with a chance of about ${percent(chance)}, as alike as cuttings of a tray are here.`;
}

/** Where too few trays were counted to tell; empty where they were enough, or trays do not count. */
export function tooFewTrays({ against }: Pick<TrialResult, 'against'>): string {
  const few = against.find(({ trays }) => trays !== null && !trays.enough)?.trays;
  if (!few) return '';
  const least = Math.min(...few.trays);
  return `With ${least === 1 ? 'one tray' : `${least} trays`} in a group this cannot be told, whatever the shares: trays differ by themselves. At least ${few.least} in each are needed.`;
}

/** How many trays, and what they tell. */
export function traysText(
  trays: number | null,
  perTray: number,
  arms: number,
  between: string,
  power: number,
): string {
  if (trays === null)
    return `No number of trays a bench can hold would tell ${between} apart. Ask for a larger difference.`;
  return `${trays} trays of ${perTray} in each group tell ${between} apart about ${Math.round(power * 100)} times in a hundred: ${trays * arms} trays, ${trays * arms * perTray} cuttings in all.`;
}
