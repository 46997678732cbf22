import type { Tissue } from '../wound';
import type { Least, MethodId, Piece } from './method';
import type { Hazard, Taxon, TaxonMethod } from './taxon';

/*
 * Short builders for the plants that ship. They give every figure its evidence: `common practice`
 * unless told otherwise, because that is what nearly all of it is.
 */
const PRACTICE = 'common practice' as const;
const MEMORY = 'from memory' as const;

type Days = readonly [from: number, to: number];

export interface Way {
  readonly method: MethodId;
  readonly tissue?: Tissue;
  readonly wound?: number | readonly [widthMm: number, thicknessMm: number];
  readonly roots: Days;
  readonly pups?: Days;
  readonly success: number;
  readonly piece?: Piece;
  readonly poor?: string;
  readonly least?: Least;
}

export function way({
  method,
  tissue,
  wound,
  roots,
  pups,
  success,
  piece,
  poor,
  least,
}: Way): TaxonMethod {
  const [widthMm, thicknessMm] = typeof wound === 'number' ? [wound] : (wound ?? []);
  return {
    method,
    worth: poor === undefined ? 'good' : 'poor',
    ...(poor === undefined ? {} : { why: poor }),
    ...(piece === undefined ? {} : { piece }),
    wound:
      tissue === undefined || widthMm === undefined
        ? null
        : {
            tissue,
            widthMm,
            ...(thicknessMm === undefined ? {} : { thicknessMm }),
            evidence: MEMORY,
          },
    ...(least === undefined ? {} : { least }),
    roots: { from: roots[0], to: roots[1], evidence: PRACTICE },
    pups: pups ? { from: pups[0], to: pups[1], evidence: PRACTICE } : null,
    success: { mean: success, worth: 8, evidence: MEMORY },
  };
}

export const season = (grower: Taxon['season']['grower'], fromC: number, toC: number) => ({
  grower,
  fromC,
  toC,
  evidence: MEMORY,
});

export const hazard = (kind: Hazard, part: string) => ({ kind, part, evidence: PRACTICE });
