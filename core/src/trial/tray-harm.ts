import jStat from 'jstat';

/** Cuttings of one tray share their fate at least this much, whatever a few trays happen to show. */
const LEAST_CORRELATION = 0.1;

/** What was lost of a tray so far. */
export interface TrayLoss {
  readonly lost: number;
  readonly stuck: number;
}

/**
 * Chance that two groups of alike trays lose shares so far apart: Student’s t on the shares of trays, whose spread is
 * never taken for less than that of trays whose cuttings share their fate a little. A permutation of four trays against
 * four could never say less than 3 in 100: too much to stop a trial by.
 * @returns two-sided, 0–1; 1 where a group has fewer than two trays
 */
export function lossesByTrays(a: readonly TrayLoss[], b: readonly TrayLoss[]): number {
  const [mine, theirs] = [a, b].map((side) => side.filter((t) => t.stuck > 0)) as [
    TrayLoss[],
    TrayLoss[],
  ];
  if (Math.min(mine.length, theirs.length) < 2) return 1;
  const all = [...mine, ...theirs];
  const free = all.length - 2;
  const squares = (side: readonly TrayLoss[]): number => {
    const mean = meanOf(side);
    return side.reduce((sum, t) => sum + (t.lost / t.stuck - mean) ** 2, 0);
  };
  const variance = Math.max((squares(mine) + squares(theirs)) / free, leastVariance(all));
  const apart = Math.abs(meanOf(mine) - meanOf(theirs));
  if (apart === 0) return 1;
  const se = Math.sqrt(variance * (1 / mine.length + 1 / theirs.length));
  return Math.min(1, 2 * (1 - jStat.studentt.cdf(apart / se, free)));
}

const meanOf = (side: readonly TrayLoss[]): number =>
  side.reduce((sum, t) => sum + t.lost / t.stuck, 0) / side.length;

/** Between trays of one kind, by chance and a shared fate. Source: the variance of a beta-binomial share. */
function leastVariance(all: readonly TrayLoss[]): number {
  const share = meanOf(all);
  const size = all.reduce((sum, t) => sum + t.stuck, 0) / all.length;
  return share * (1 - share) * (1 / size + LEAST_CORRELATION * (1 - 1 / size));
}
