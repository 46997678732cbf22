import * as say from '@hypogeon/messages/core-climate-light';

/** Where light falls from, with the light of a mean day of the year. */
export const LIGHT_LEVELS = [
  'dim',
  'north-sill',
  'side-sill',
  'sun-sill',
  'shaded-glass',
  'bright-glass',
  'open-shade',
  'open-sun',
] as const;
export type LightLevelId = (typeof LIGHT_LEVELS)[number];

export interface LightLevel {
  readonly id: LightLevelId;
  readonly name: string;
  /** Daily light integral, mol m⁻² d⁻¹. Working assumption; half to double makes sense. */
  readonly molPerDay: number;
  /** Usual movement of the air there, m/s. Working assumption. */
  readonly windMps: number;
}

export const LIGHT_LEVEL: Readonly<Record<LightLevelId, LightLevel>> = {
  dim: {
    id: 'dim',
    get name() {
      return say.dimRoom();
    },
    molPerDay: 0.8,
    windMps: 0.05,
  },
  'north-sill': {
    id: 'north-sill',
    get name() {
      return say.sillAwayFromThe();
    },
    molPerDay: 2,
    windMps: 0.1,
  },
  'side-sill': {
    id: 'side-sill',
    get name() {
      return say.sillWithMorningOr();
    },
    molPerDay: 5,
    windMps: 0.1,
  },
  'sun-sill': {
    id: 'sun-sill',
    get name() {
      return say.sunnySill();
    },
    molPerDay: 9,
    windMps: 0.1,
  },
  'shaded-glass': {
    id: 'shaded-glass',
    get name() {
      return say.glasshouseShaded();
    },
    molPerDay: 9,
    windMps: 0.15,
  },
  'bright-glass': {
    id: 'bright-glass',
    get name() {
      return say.glasshouseBright();
    },
    molPerDay: 18,
    windMps: 0.2,
  },
  'open-shade': {
    id: 'open-shade',
    get name() {
      return say.outdoorsHalfShade();
    },
    molPerDay: 14,
    windMps: 1,
  },
  'open-sun': {
    id: 'open-sun',
    get name() {
      return say.openBenchInSun();
    },
    molPerDay: 32,
    windMps: 1.5,
  },
};

/** Photons in a joule of light, µmol/J. Source: McCree 1972 (from memory). */
const PHOTONS_PER_JOULE = 4.57;
/** Share of sunlight that plants use. Source: common in plant physiology, 0.45 (from memory). */
const USED_SHARE = 0.45;
/** Share of shortwave that warms a wet surface after reflection and longwave loss. Working assumption; 0.6–0.77. */
const NET_SHARE = 0.7;

/** Net radiation under sunlight, outdoors or behind glass. @param molPerDay mol m⁻² d⁻¹ @returns MJ m⁻² d⁻¹ */
export function netOfSun(molPerDay: number): number {
  return (molPerDay / (PHOTONS_PER_JOULE * USED_SHARE)) * NET_SHARE;
}

/** Net radiation under lamps, whose light is all of the kind plants use. @returns MJ m⁻² d⁻¹ */
export function netOfLamps(molPerDay: number): number {
  return (molPerDay / PHOTONS_PER_JOULE) * NET_SHARE;
}

/** Daily light of lamps. @param ppfd µmol m⁻² s⁻¹ at the leaves @param hours a day @returns mol m⁻² d⁻¹ */
export function lampLight(ppfd: number, hours: number): number {
  return (ppfd * hours * 3600) / 1e6;
}
