import { plantOf } from '../bench';
import type { TaxonMethod } from '../botany';
import { foldBatch, type Batch, type State } from '../journal';
import { outlookOf, type Outlook } from '../learn';
import { usualSchool } from '../wound';
import type { Wish } from './wish';

/** What a wish says of where and when a piece is cut and grown. */
export type PlannedPiece = Pick<
  Wish,
  'taxon' | 'cutOn' | 'space' | 'callusSpace' | 'school' | 'dryDays' | 'courses'
>;

/** The batch a plan of one piece becomes; null for an unknown plant. */
export function plannedBatch(
  state: State,
  { taxon, cutOn, space, callusSpace = space, school, dryDays, courses }: PlannedPiece,
  { method, wound }: TaxonMethod,
): Batch | null {
  if (!plantOf(state, taxon)) return null;
  const course = courses?.[method];
  return foldBatch(
    'planned',
    {
      taxon,
      method,
      count: 1,
      cutOn,
      space,
      callusSpace,
      callusAt: 'rack',
      school: school ?? usualSchool(wound, state.settings.school),
      ...(course === undefined ? {} : { course }),
      ...(dryDays === undefined ? {} : { dryDays }),
    },
    [],
  );
}

/**
 * The clock of roots of a piece that is not cut yet: that of the batch the plan becomes.
 * @param warmerC °C added to every day
 * @returns null for an unknown plant
 */
export function plannedOutlook(
  state: State,
  piece: PlannedPiece,
  figures: TaxonMethod,
  warmerC = 0,
): Outlook | null {
  const batch = plannedBatch(state, piece, figures);
  return batch && outlookOf(state, batch, { byC: warmerC });
}
