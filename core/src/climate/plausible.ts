import type { SeriesColumn } from './series';

/** What a bench can have at all; beyond it a sensor is wrong, not the weather. */
export const AIR_LIMITS: Readonly<Record<SeriesColumn, readonly [low: number, high: number]>> = {
  tempC: [-40, 60],
  minC: [-60, 60],
  maxC: [-60, 70],
  rh: [0.01, 1.0],
  windMps: [0, 60],
  rainMm: [0, 500],
  ppfd: [0, 2600],
};

/** Fastest believable change in ten minutes: beyond it a sensor jumped. Working assumption. */
const JUMP: Readonly<Partial<Record<SeriesColumn, number>>> = { tempC: 8, rh: 0.35 };

export function isPlausible(column: SeriesColumn, value: number): boolean {
  const [low, high] = AIR_LIMITS[column];
  return value >= low && value <= high;
}

export interface Sample {
  /** Seconds, any origin. */
  readonly at: number;
  readonly value: number;
}

export type Doubt = 'impossible' | 'jumped' | 'stuck' | null;

/** As many equal readings in a row mean that a sensor hangs: real air is never so still. */
const STUCK_AFTER = 30;

/**
 * Whether the newest reading of a sensor can be believed, seen with those before it.
 * @param samples in order of time, newest last
 */
export function doubtOf(column: SeriesColumn, samples: readonly Sample[]): Doubt {
  const last = samples.at(-1);
  if (!last) return null;
  if (!isPlausible(column, last.value)) return 'impossible';
  const before = samples.at(-2);
  const jump = JUMP[column];
  if (before && jump !== undefined) {
    const tens = Math.max(1, (last.at - before.at) / 600);
    if (isPlausible(column, before.value) && Math.abs(last.value - before.value) > jump * tens)
      return 'jumped';
  }
  // Nights are dark for hours: light at zero is no sign of a hang.
  if (column === 'ppfd' && last.value === 0) return null;
  if (
    samples.length >= STUCK_AFTER &&
    samples.slice(-STUCK_AFTER).every((s) => s.value === last.value)
  )
    return 'stuck';
  return null;
}
