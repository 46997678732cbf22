import * as say from '@hypogeon/messages/core-dilution';
import { perCent } from '../units';

/** A bottle thinned with water: how much of each, mL. */
export interface Dilution {
  readonly stockMl: number;
  readonly waterMl: number;
}

/** What is wrong with a dilution that is asked for, in the grower's words; empty if nothing. */
export function dilutionProblem(bottle: number, wanted: number, totalMl: number): string {
  if (!(bottle > 0 && bottle <= 1)) return say.theBottlesStrengthStands();
  if (!(wanted > 0 && wanted <= 1)) return say.theStrengthYouWant();
  if (wanted > bottle)
    return say.theBottleIsWeaker({ percent: percent(bottle), percent2: percent(wanted) });
  if (!(totalMl > 0)) return say.howMuchDoYou();
  return '';
}

/**
 * How much of a bottle and of water make a disinfectant of a strength, by volume: C₁V₁ = C₂V₂.
 * Ethanol and water shrink by up to 4% when mixed; a blade does not mind.
 * @param bottle, wanted fractions 0–1
 * @throws RangeError if it cannot be
 */
export function dilute(bottle: number, wanted: number, totalMl: number): Dilution {
  const problem = dilutionProblem(bottle, wanted, totalMl);
  if (problem) throw new RangeError(problem);
  const stockMl = (totalMl * wanted) / bottle;
  return { stockMl, waterMl: totalMl - stockMl };
}

const percent = (share: number): string => perCent(+(share * 100).toFixed(1));
