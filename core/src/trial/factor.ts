import * as say from '@hypogeon/messages/core-factor';
import { containersOf, FIRMED_NAME, LEAVES_NAME, mixesOf } from '../bench';
import { FIRMINGS, LEAF_CARES, type BatchFields, type State, type TrialFactor } from '../journal';
import { DISINFECTANTS } from '../safety';
import { FIRST_WATER, FIRST_WATERS, WATER_SCHOOL, WATER_SCHOOLS } from '../water';
import { AID, AIDS, WOUND_SCHOOL, WOUND_SCHOOLS } from '../wound';

export const FACTOR_NAME: Readonly<Record<TrialFactor, string>> = {
  get school() {
    return say.howLongTheCut();
  },
  get callusAt() {
    return say.whereItDries();
  },
  get aid() {
    return say.aidOnTheWound();
  },
  get firstWater() {
    return say.firstWater();
  },
  get waterSchool() {
    return say.watering();
  },
  get mix() {
    return say.mix();
  },
  get container() {
    return say.pot();
  },
  get disinfectant() {
    return say.blade();
  },
  get course() {
    return say.mediumOrWater();
  },
  get dryDays() {
    return say.daysToDry();
  },
  get firmed() {
    return say.firmness();
  },
  get stemMm() {
    return say.depth();
  },
  get leaves() {
    return say.leaves();
  },
  get lengthMm() {
    return say.pieceLength();
  },
};

export interface FactorOption {
  readonly value: string;
  readonly name: string;
}

/** What a factor can be set to on this bench. */
export function optionsOf(state: State, factor: TrialFactor): readonly FactorOption[] {
  switch (factor) {
    case 'school':
      return WOUND_SCHOOLS.map((value) => ({ value, name: WOUND_SCHOOL[value].name }));
    case 'callusAt':
      return [
        { value: 'rack', name: say.bareOnARack() },
        { value: 'medium', name: say.inDryMedium() },
      ];
    case 'aid':
      return AIDS.map((value) => ({ value, name: AID[value].name }));
    case 'firstWater':
      return FIRST_WATERS.map((value) => ({ value, name: FIRST_WATER[value].name }));
    case 'waterSchool':
      return WATER_SCHOOLS.map((value) => ({ value, name: WATER_SCHOOL[value].name }));
    case 'mix':
      return mixesOf(state).map(({ id, name }) => ({ value: id, name }));
    case 'container':
      return containersOf(state).map(({ id, name }) => ({ value: id, name }));
    case 'course':
      return [
        { value: 'dried', name: say.driedThenSet() },
        { value: 'bare', name: say.bareUntilRoots() },
        { value: 'laid', name: say.laidOnTheMix() },
        { value: 'water', name: say.inWater() },
      ];
    case 'dryDays':
      return DRY_CHOICES.map((days) => ({
        value: `${days}`,
        name:
          days === 0
            ? say.none()
            : days < 1
              ? say.someHours()
              : days === 1
                ? say.aDay()
                : say.days({ days }),
      }));
    case 'firmed':
      return FIRMINGS.map((value) => ({ value, name: FIRMED_NAME[value] }));
    case 'leaves':
      return LEAF_CARES.map((value) => ({ value, name: LEAVES_NAME[value] }));
    case 'stemMm':
      return DEPTHS_MM.map((mm) => ({ value: `${mm}`, name: say.mm({ mm }) }));
    case 'lengthMm':
      return LENGTHS_MM.map((mm) => ({ value: `${mm}`, name: say.mm({ mm }) }));
    case 'disinfectant':
      return DISINFECTANTS.map((value) => ({ value, name: BLADE_NAME[value] }));
  }
}

/** Days to dry that growers hold against each other. Common practice, no source. */
const DRY_CHOICES = [0, 0.25, 1, 3, 7, 14] as const;

/** Depths and lengths that growers hold against each other. Common practice, no source. */
const DEPTHS_MM = [10, 20, 40, 60] as const;
const LENGTHS_MM = [30, 60, 100, 150] as const;

const BLADE_NAME = {
  get alcohol() {
    return say.alcohol();
  },
  get bleach() {
    return say.bleachRinsed();
  },
  get none() {
    return say.cleanOnly();
  },
} as const;

/** Factors that are told as numbers. */
const NUMBERS: ReadonlySet<TrialFactor> = new Set(['dryDays', 'stemMm', 'lengthMm']);

/** Its ways are lengths, mm: said in the grower’s unit. */
export const isLength = (factor: TrialFactor): boolean =>
  factor === 'stemMm' || factor === 'lengthMm';

/** The field of a batch that makes it this arm. */
export function armField(factor: TrialFactor, value: string): BatchFields {
  return { [factor]: NUMBERS.has(factor) ? Number(value) : value };
}
