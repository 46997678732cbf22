import type { Evidence } from '@hypogeon/core/evidence';
import * as say from '@hypogeon/messages/evidence';

/** How firm the ground under a figure is. */
export type Ground = 'published' | 'here' | 'practice' | 'guess';

/** What a figure rests on, and in which words that is told. */
export interface RestsOn {
  readonly ground: Ground;
  readonly text: string;
}

/** What the evidence of a figure comes to: `common practice, no source`, or the source itself as it is called. */
export function restsOn(evidence: Evidence): RestsOn {
  if (typeof evidence !== 'string') return { ground: 'published', text: evidence.published };
  switch (evidence) {
    case 'common practice':
      return { ground: 'practice', text: say.commonPractice() };
    case 'from memory':
      return { ground: 'guess', text: say.fromMemory() };
    case 'working assumption':
      return { ground: 'guess', text: say.workingAssumption() };
    case 'measured here':
      return { ground: 'here', text: say.measuredHere() };
  }
}

/** What was counted rests on the benches it was counted on. */
export const countedHere = (text: string): RestsOn => ({ ground: 'here', text });
