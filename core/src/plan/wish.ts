import type { Day } from '../days';
import type { Size } from './readiness';

/** What is wanted of a mother. */
export interface Wish {
  readonly taxon: string;
  readonly count: number;
  readonly size: Size;
  readonly by: Day;
  /** 0–1. */
  readonly certainty: number;
  readonly cutOn: Day;
  /** Where they stand. */
  readonly space: string;
  /** Whose cuttings they are: what she can spare is then looked at. */
  readonly mother?: string | undefined;
  /** What they are put into, for the cost. */
  readonly container?: string | undefined;
  readonly mix?: string | undefined;
}
