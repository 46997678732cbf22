import * as say from '@hypogeon/messages/core-notes';
import type { FilledPot } from './filled-pot';
import type { Medium } from './mix';
import { perCent } from '../units';

/** What a mix will ask for later, in the grower's words. */
export function mixNotes(medium: Medium): readonly string[] {
  const notes: string[] = [];
  const percent = (share: number): string => perCent(Math.round(share * 100));
  notes.push(
    medium.feeds >= 0.1
      ? say.ofItFeedsFor({ percent: percent(medium.feeds) })
      : say.itFeedsNothingFeed(),
  );
  if (medium.breaksDown >= 0.25)
    notes.push(say.ofItBreaksDown({ percent: percent(medium.breaksDown) }));
  if (medium.drains === 'slowly' || medium.drains === 'hardly') notes.push(say.waterStandsOnIt());
  if (medium.yield < 0.9)
    notes.push(say.theFinesFallBetween({ yield: (medium.yield * 10).toFixed(1) }));
  return notes;
}

/** The dust cautions of a mix, each once. */
export function dustCautions(medium: Medium): readonly string[] {
  return [...new Set(medium.parts.map((p) => p.component.dust).filter((d) => d !== ''))];
}

/** Below this share of air after draining roots suffocate and rot: common practice, no source. */
export const LEAST_AIR = 0.1;

/** Where a filled pot leaves roots too little air. */
export interface AirLack {
  /** Share of air once drained, 0–1. */
  readonly air: number;
  /** Half of its depth and more stays full; else its fines hold water everywhere. */
  readonly soggy: boolean;
}

/** Too little air, or null. A shallow tray is wetter than a deep pot with the same mix. */
export const airLack = ({ air, depthMm, footMm }: FilledPot): AirLack | null =>
  air >= LEAST_AIR ? null : { air, soggy: footMm >= 0.5 * depthMm };
