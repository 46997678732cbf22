import type { LightLevelId } from './light';

/** What a leaf at that place sees of the sky, looked at from where it lies. */
export const SKY_SEEN = ['none', 'slice', 'half', 'glass', 'open'] as const;
export type SkySeen = (typeof SKY_SEEN)[number];

/** How long the sun itself falls on it on a clear day. */
export const SUN_SEEN = ['never', 'hours', 'most'] as const;
export type SunSeen = (typeof SUN_SEEN)[number];

/**
 * Where light falls from, by two things that anyone can see. A leaf lives by the sky it sees: the wall beside a window
 * is a dim room, however bright it seems to an eye.
 * Common practice, no source.
 */
export function lightFrom(sky: SkySeen, sun: SunSeen): LightLevelId {
  switch (sky) {
    case 'none':
      return 'dim';
    case 'slice':
      return sun === 'never' ? 'north-sill' : 'side-sill';
    case 'half':
      return sun === 'never' ? 'north-sill' : sun === 'hours' ? 'side-sill' : 'sun-sill';
    case 'glass':
      return sun === 'most' ? 'bright-glass' : 'shaded-glass';
    case 'open':
      return sun === 'most' ? 'open-sun' : 'open-shade';
  }
}
