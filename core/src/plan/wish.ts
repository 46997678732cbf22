import type { MethodId } from '../botany';
import type { CourseId } from '../course';
import type { Day } from '../days';
import type { WoundSchoolId } from '../wound';
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
  /** Where they dry, by what school, for how many days; else where they stand, as usual. */
  readonly callusSpace?: string | undefined;
  readonly school?: WoundSchoolId | undefined;
  readonly dryDays?: number | undefined;
  /** How pieces of a way are grown, where that was chosen. */
  readonly courses?: Readonly<Partial<Record<MethodId, CourseId>>> | undefined;
  /** Whose cuttings they are: what it can spare is then looked at. */
  readonly mother?: string | undefined;
  /** What they are put into, for the cost. */
  readonly container?: string | undefined;
  readonly mix?: string | undefined;
}
