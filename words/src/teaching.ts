import type { Teaching } from '@hypogeon/core/plan';
import * as say from '@hypogeon/messages/teaching';
import { percent } from './shares';

/** `Wholly`, `As far as it has come: 60% should have roots by now`, `Not: left out, the cat slept on it`. */
export function teachingText(teaching: Teaching): string {
  switch (teaching.kind) {
    case 'whole':
      return say.wholly();
    case 'part':
      return say.asFarAsIt({ percent: percent(teaching.far) });
    case 'left-out':
      return say.notLeftOut({ why: teaching.why });
    case 'before':
      return say.notCutBeforeThe();
    case 'unseen':
      return say.notYetNothingOf();
    case 'unknown':
      return say.notItsPlantOr();
  }
}
