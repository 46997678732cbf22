import { doseFor, PACE_SCALE, paceBelief, type WoundLook } from '../wound';
import { drawsOf } from './draws';

/** How well a thumb tells, and how often it is asked. */
export interface Thumb {
  /** How many times as far from its closing a wound is still taken for the other as the product supposes. */
  readonly coarse: number;
  /** Touched each so many modelled closures until it was firm twice; null never. */
  readonly every: number | null;
}

export const NEVER_TOUCHED: Thumb = { coarse: 1, every: null };
export const FINE_THUMB: Thumb = { coarse: 1, every: 0.25 };
export const COARSE_THUMB: Thumb = { coarse: 2, every: 0.25 };

/** A thumb is wrong one time in twenty, and of a wound a quarter past its closing as often again. */
const WRONG = 0.05;
const NEAR = Math.log(1.25) / Math.log(19);

/**
 * Wounds as they are modelled, each with its own pace, touched as told and let go to water on the day that is said to be
 * safe: the share that had closed by then.
 * @param stated how surely closed it is said to be, 0–1
 */
export function closedAtGate(
  { coarse, every }: Thumb,
  stated: number,
  wounds: number,
  seed: number,
): number {
  const { random, normal } = drawsOf(seed);
  const untouched = paceBelief();
  let closed = 0;
  for (let n = 0; n < wounds; n++) {
    // Student's t with four degrees of freedom: a normal over the root of half a gamma of shape two.
    const spread = -Math.log(1 - random()) - Math.log(1 - random());
    const pace = Math.exp((PACE_SCALE * normal()) / Math.sqrt(spread / 2));
    const looks: WoundLook[] = [];
    let gate = doseFor(untouched, stated);
    if (every !== null)
      for (let dose = every, firm = 0; dose < gate && firm < 2; dose += every) {
        const open = (1 - WRONG) / (1 + Math.exp(Math.log(dose / pace) / (coarse * NEAR)));
        const seen = random() < open ? 'tacky' : 'firm';
        if (seen === 'firm') firm++;
        looks.push({ dose, seen });
        gate = Math.max(dose, doseFor(paceBelief(looks), stated));
      }
    if (gate >= pace) closed++;
  }
  return closed / wounds;
}
