import type { CutReason } from '@hypogeon/core/journal';
import type { LengthUnit } from '@hypogeon/core/units';
import { ruleText } from './quantities';

/** Why one would cut a mother, as it is chosen. */
export const CUT_REASON_NAME: Readonly<Record<CutReason, string>> = {
  leggy: 'leggy',
  toppled: 'toppled',
  bare: 'a bare stretch',
  'pot-bound': 'pot-bound',
  crowded: 'crowded',
  shedding: 'sheds leaves',
  'aerial-roots': 'air roots',
  fuller: 'should be fuller',
  insurance: 'a copy, to be safe',
};

/** Where the blade then goes. Common practice, no source. */
export const WHERE_TO_CUT: Readonly<Record<CutReason, string>> = {
  leggy: 'Leggy: take the top with 2–3 cm of bare stem; more light, or the next one stretches too.',
  toppled:
    'Toppled: cut above the bend; the upright top roots, the lying stem shoots from its nodes.',
  bare: 'A bare stretch: cut there. Its nodes root on the top piece and shoot on the stump.',
  'pot-bound':
    'Pot-bound: repot or part it in the growing season; cuttings alone do not help its roots.',
  crowded: 'Crowded: take the outer heads or pups first, the centre stays.',
  shedding: 'Sheds leaves: those that fell whole root; find out why before you take more.',
  'aerial-roots': 'Air roots: cut below them. They shorten the wait; they close no wound.',
  fuller:
    'Fuller: cut close to good leaves and it branches there; at the base it gives two shoots.',
  insurance: 'A copy: one head or a few leaves, kept in another place than the mother.',
};

/** Where to cut her, a sentence a reason, in the order of the list. */
export const whereToCut = (reasons: readonly CutReason[], unit: LengthUnit): readonly string[] =>
  (Object.keys(WHERE_TO_CUT) as CutReason[])
    .filter((r) => reasons.includes(r))
    .map((r) => ruleText(WHERE_TO_CUT[r], unit));
