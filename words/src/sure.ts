import type { Sure } from '@hypogeon/core/care';
import * as say from '@hypogeon/messages/care';
import { chanceText } from './chances';
import { percentSpan } from './shares';

/** How sure it is, and by what. */
export function sureText(sure: Sure): string {
  switch (sure.by) {
    case 'closure':
      return say.closedByNow({ chance: chanceText(sure.chance) });
    case 'window':
      return say.thereByNow({ chance: chanceText(sure.chance) });
    case 'pot':
      return say.holdsOfItsWater({ percentSpan: percentSpan(sure) });
    default:
      return SURE[sure.by];
  }
}

const SURE = {
  get plan() {
    return say.asPlanned();
  },
  get practice() {
    return say.commonPractice();
  },
  get count() {
    return say.countedARulerIs();
  },
  get sight() {
    return say.byWhatWasSeen();
  },
  get ruler() {
    return say.measured();
  },
  get time() {
    return say.byTimeAlone();
  },
  get habit() {
    return say.byHabitThePot();
  },
  get air() {
    return say.byTheAirOf();
  },
  get fact() {
    return say.sure();
  },
} as const;
