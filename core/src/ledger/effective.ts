import jStat from 'jstat';
import { effectiveSize, wilsonOf, type ShareInterval } from '../stats';

/** Pieces of one batch, which share a tray, a day and a hand: of so many of them so many did. */
export interface Tray {
  readonly of: number;
  readonly yes: number;
}

/** Those that did and did not, as many as they count for: not whole numbers. */
export interface Effective {
  readonly yes: number;
  readonly no: number;
}

/**
 * The share is that of all pieces, their number the effective one: forty leaves that rotted together are not forty
 * pieces of evidence.
 * @param correlation of two cuttings of a tray, 0–1
 */
export function effectiveOf(trays: readonly Tray[], correlation: number): Effective {
  const size = sizeOf(
    trays.map((t) => t.of),
    correlation,
  );
  const of = total(trays.map((t) => t.of));
  const yes = of === 0 ? 0 : (size * total(trays.map((t) => t.yes))) / of;
  return { yes, no: Math.max(0, size - yes) };
}

/**
 * The effective number of pieces in trays of these sizes: the fewer the trays, the less is known of how they differ.
 * Source: Korn & Graubard 1998, Survey Methodology 24:193, the effective size by degrees of freedom.
 */
export const sizeOf = (sizes: readonly number[], correlation: number): number =>
  surenessOf(sizes.length) * effectiveSize(sizes, correlation);

/** What was known beforehand of how trays differ, as so many of them. Working assumption, by simulation; 1–8. */
const KNOWN_BEFORE = 4;

/** How much less so many trays tell than they would were it known how trays differ; 0–1. */
export function surenessOf(trays: number): number {
  sureness[trays] ??=
    (jStat.normal.inv(0.975, 0, 1) / jStat.studentt.inv(0.975, trays + KNOWN_BEFORE)) ** 2;
  return sureness[trays];
}
const sureness: number[] = [];

/** The share of them with the range it lies in nineteen times in twenty; null of none. */
export function shareOf(trays: readonly Tray[], correlation: number): ShareInterval | null {
  const range = wilsonOf(effectiveOf(trays, correlation));
  const [of, yes] = [total(trays.map((t) => t.of)), total(trays.map((t) => t.yes))];
  return range && { ...range, share: yes / of };
}

const total = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);

/** In whole numbers, as an exact test wants them. */
export const whole = ({ yes, no }: Effective): Effective => ({
  yes: Math.round(yes),
  no: Math.round(no),
});
