/** When growers reach for the can again. */
export const WATER_SCHOOLS = [
  'mist',
  'surface',
  'top-25',
  'top-60',
  'third',
  'bone-dry',
  'bone-dry-rest',
  'weekly',
] as const;
export type WaterSchoolId = (typeof WATER_SCHOOLS)[number];

export interface WaterSchool {
  readonly id: WaterSchoolId;
  readonly name: string;
  /** What the pot must show before water. */
  readonly trigger: string;
  /** The same once it has lasted. */
  readonly lasting: string;
  readonly says: string;
}

/** Common practice, no source. */
export const WATER_SCHOOL: Readonly<Record<WaterSchoolId, WaterSchool>> = {
  mist: {
    id: 'mist',
    name: 'Mist by heat',
    trigger: 'the last mist has dried',
    lasting: 'the last mist has been dry',
    says: 'The surface is kept barely moist: for leaves and fine roots, not for open wounds.',
  },
  surface: {
    id: 'surface',
    name: 'Dry surface',
    trigger: 'the surface is dry',
    lasting: 'the surface has been dry',
    says: 'Water as soon as the surface pales. Wettest of all; for thirsty roots in warmth.',
  },
  'top-25': {
    id: 'top-25',
    name: 'Top 2.5 cm dry',
    trigger: 'it is dry to 2.5 cm',
    lasting: 'it has been dry to 2.5 cm',
    says: 'A finger’s first joint finds it dry. The usual choice once there are roots.',
  },
  'top-60': {
    id: 'top-60',
    name: 'Top 5–7 cm dry',
    trigger: 'it is dry to 6 cm',
    lasting: 'it has been dry to 6 cm',
    says: 'A stick comes out clean. For deep pots and thick roots.',
  },
  third: {
    id: 'third',
    name: 'A third gone',
    trigger: 'a third of its water is gone',
    lasting: 'a third of its water has been gone',
    says: 'By weight or by guess: steady, never dry.',
  },
  'bone-dry': {
    id: 'bone-dry',
    name: 'Bone dry, then soak',
    trigger: 'nine tenths of its water are gone',
    lasting: 'it has been bone dry',
    says: 'Everything dries, then a thorough soak.',
  },
  'bone-dry-rest': {
    id: 'bone-dry-rest',
    name: 'Bone dry and five days',
    trigger: 'it has been bone dry for five days',
    lasting: 'its rest has been over',
    says: 'Dry, then dry some more. The harshest; for resting plants and winter.',
  },
  weekly: {
    id: 'weekly',
    name: 'Weekly by habit',
    trigger: 'a week has passed',
    lasting: 'the week has been over',
    says: 'The calendar waters, whatever the pot holds. Shown so that you can compare.',
  },
};

/** Drier than this against drained, a finger calls it dry. Working assumption; 0.25–0.45. */
export const DRY_TO_TOUCH = 0.35;
export const BONE_DRY = 0.1;
export const BONE_DRY_REST_DAYS = 5;
export const SURFACE_MM = 3;

/** Days between mistings: daily in warm dry air, every second day else. Common practice, no source. */
export function mistEvery(evaporationMm: number): number {
  return evaporationMm > 2.5 ? 1 : 2;
}
