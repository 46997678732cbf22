import jStat from 'jstat';
import { LEAST_CORRELATION, type Belief } from '../learn';
import { plantsReady, sumOf } from './distribution';
import type { PaceReady } from './readiness';

/** One cut: so many taken, and how many of those that live are ready, pace by pace. */
export interface Cut {
  readonly taken: number;
  readonly paces: readonly PaceReady[];
}

/** In so many steps of equal weight the chance of the plant is gone through. */
const STEPS = 11;
/** Paces by which about as many are ready are taken as one. */
const ALIKE = 0.05;

/**
 * Chances of 0, 1 … plants ready of two cuts of one plant and way: their trays differ, but what is not known of the
 * plant is the same for both, so that a second cut makes good less than one of another plant would.
 * @returns taken + taken + 1 chances that sum to 1
 * Source: the beta-binomial of each tray, integrated over the one belief of the plant’s chance.
 */
export function readyOfTwoCuts(
  first: Cut,
  second: Cut,
  { a, b, correlation }: Pick<Belief, 'a' | 'b' | 'correlation'>,
): readonly number[] {
  const worth = 1 / Math.max(correlation, LEAST_CORRELATION) - 1;
  const [one, other] = [byReadiness(first), byReadiness(second)];
  const out = new Array<number>(first.taken + second.taken + 1).fill(0);
  for (let step = 0; step < STEPS; step++) {
    const chance = Math.min(Math.max(jStat.beta.inv((step + 0.5) / STEPS, a, b), 1e-6), 1 - 1e-6);
    const given = ({ taken, paces }: Cut): readonly number[] =>
      plantsReady(
        taken,
        paces.map((is) => ({ ...is, a: chance * worth, b: (1 - chance) * worth })),
      );
    sumOf(given(one), given(other)).forEach((p, k) => (out[k]! += p / STEPS));
  }
  return out;
}

function byReadiness({ taken, paces }: Cut): Cut {
  const weights = new Map<number, number>();
  for (const { weight, ready } of paces) {
    const about = ready === 0 || ready === 1 ? ready : ALIKE * Math.round(ready / ALIKE);
    weights.set(about, (weights.get(about) ?? 0) + weight);
  }
  return {
    taken,
    paces: [...weights].map(([ready, weight]) => ({ weight, ready: Math.min(1, ready) })),
  };
}
