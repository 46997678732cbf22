import * as say from '@hypogeon/messages/core-trouble';
import { daysBetween, type Day } from '../days';
import type { Batch } from '../journal';

/** What makes a batch worth a second look among hundreds. */
export const TROUBLES = ['losses', 'soft', 'late', 'disagree', 'apart'] as const;
export type Trouble = (typeof TROUBLES)[number];

export const TROUBLE_NAME: Readonly<Record<Trouble, string>> = {
  get losses() {
    return say.manyLost();
  },
  get soft() {
    return say.softAtTheLast();
  },
  get late() {
    return say.notLookedAtFor();
  },
  get disagree() {
    return say.countsDisagree();
  },
  get apart() {
    return say.keptApart();
  },
};

/** How a place begins that is kept apart from the others, in the language that is read. */
export const apartWord = (): string => say.apartWord();

/**
 * A place that begins with the word, in English or in the language that is read: what it holds is kept apart from the
 * others. An apartment window keeps nothing apart.
 */
const isApart = (place: string | undefined): boolean =>
  place !== undefined &&
  ['Apart', apartWord()].some((word) => new RegExp(`^${word}\\b`).test(place));

/** From this share of losses on, of three at least. Working assumption; 0.2–0.5. */
const MANY = 0.3;
const LEAST_LOST = 3;
/** A batch with cuttings that wait is looked at within so many days. Working assumption; 28–60. */
const LONG_DAYS = 42;

/** The troubles of a batch, the gravest first. */
export function troublesOf(batch: Batch, today: Day): readonly Trouble[] {
  if (batch.stage === 'done' || batch.stage === 'planned') return [];
  const { counts, count } = batch;
  const lost = counts.rotted + counts.dried + counts.lost;
  const last = batch.entries.findLast((e) => e.kind === 'inspected');
  const soft = last?.kind === 'inspected' && last.seen === 'soft';
  const looked = batch.lastLook ?? batch.cutOn;
  const troubles: Trouble[] = [];
  if (lost >= LEAST_LOST && lost >= MANY * count) troubles.push('losses');
  if (soft) troubles.push('soft');
  if (batch.here.waiting > 0 && daysBetween(looked, today) > LONG_DAYS) troubles.push('late');
  if (batch.conflicts.length > 0) troubles.push('disagree');
  if (isApart(batch.place)) troubles.push('apart');
  return troubles;
}
