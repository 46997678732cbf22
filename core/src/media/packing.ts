import { assertPositive } from '../assert';
/** One size of grain in a heap of several. */
export interface Fraction {
  /** Grain size, mm. */
  readonly grainMm: number;
  /** Packing of this size alone, 0–1. */
  readonly packing: number;
  /** Its share of the grains by envelope volume; the shares of a heap add up to 1. */
  readonly share: number;
}

/**
 * Packing of a heap of several grain sizes: the finer fall between the coarser. Each size in turn is
 * taken as the one that fills the space; the densest heap that all allow is the least of them.
 * @returns share of the heap that grains fill, 0–1
 * @throws RangeError if the shares do not add up to 1 or a figure makes no sense
 * Source: linear packing model, Stovall, de Larrard & Buil 1986; coefficients of the loosening and
 * wall effect from de Larrard 1999, Concrete Mixture Proportioning.
 */
export function packingOf(fractions: readonly Fraction[]): number {
  if (fractions.length === 0) throw new RangeError('fractions must not be empty');
  const total = fractions.reduce((sum, f) => sum + f.share, 0);
  if (Math.abs(total - 1) > 1e-6)
    throw new RangeError(`fractions must have shares that add up to 1, got ${total}`);
  for (const { grainMm, packing } of fractions) {
    assertPositive('grainMm', grainMm);
    if (!(packing > 0 && packing < 1))
      throw new RangeError(`packing must be between 0 and 1, got ${packing}`);
  }
  return Math.min(...fractions.filter((f) => f.share > 0).map((f) => filledBy(f, fractions)));
}

/** Packing of the heap if this size were the one that fills the space. */
function filledBy(self: Fraction, all: readonly Fraction[]): number {
  const { packing: own, grainMm } = self;
  let taken = 0;
  for (const other of all) {
    if (other === self) continue;
    // Of equal size both expressions give the same.
    taken +=
      other.grainMm >= grainMm
        ? (1 - own + wall(grainMm / other.grainMm) * own * (1 - 1 / other.packing)) * other.share
        : (1 - (loosening(other.grainMm / grainMm) * own) / other.packing) * other.share;
  }
  return own / (1 - taken);
}

/** Loosening by finer grains: 1 at equal size, 0 where they are lost in the gaps. @param ratio fine / coarse */
export const loosening = (ratio: number): number => Math.sqrt(1 - (1 - ratio) ** 1.02);

/** Wall effect of coarser grains: 1 at equal size, 0 where they are vast. @param ratio fine / coarse */
export const wall = (ratio: number): number => 1 - (1 - ratio) ** 1.5;
