import type { PartVerdict, PartWater } from '@hypogeon/core/plan';
import * as say from '@hypogeon/messages/division';
import { counted, NOUN } from './plural';
import { depthSpan, depthText, lengthSpan } from './quantities';
import type { Speech } from './speech';

const STAYS: Readonly<Record<Extract<PartVerdict, { is: 'leave' }>['reason'], string>> = {
  get 'no growing point'() {
    return say.leaveItOnNothing();
  },
  get 'nothing to live off'() {
    return say.leaveItOnNo();
  },
  get 'spent tuber'() {
    return say.offWithItA();
  },
};

const POTS: Readonly<Record<Extract<PartVerdict, { is: 'pot' }>['reason'], string>> = {
  get 'roots of its own'() {
    return say.potItItHas();
  },
  get 'cut, with roots'() {
    return say.dryTheCutThen();
  },
  get 'lives off its tuber'() {
    return say.potItItLives();
  },
  get 'no roots yet'() {
    return say.treatItAsA();
  },
};

/** When its first water comes, and what it risks. Common practice, no source. */
function waterText(water: PartWater): string {
  switch (water.is) {
    case 'settles':
      return say.waterWhenPottedThen();
    case 'at-once':
      return say.wateredInAtOnce();
    case 'days':
      return say.firstWaterAfterPotting({
        what: water.days === 1 ? say.aDay() : counted(water.days, NOUN.day),
        what2: water.open ? say.asYouChoseThe() : '',
      });
    case 'gate':
      return say.firstWaterOnceThe();
    case 'roots':
      return say.noWaterBeforeIt();
  }
}

/** What is to be done with a part of a clump, in short sentences. */
export function partText(verdict: PartVerdict, { length, locale }: Speech): string {
  if (verdict.is === 'leave') return STAYS[verdict.reason];
  const { potMm, depthMm, pointsToRoom, water, short, rimGapMm } = verdict;
  return [
    POTS[verdict.reason],
    depthMm === null
      ? say.noDeeperThanIt()
      : say.setItDeepAs({ depth: depthText(depthMm, length) }),
    potMm ? say.aPotAcross({ lengthSpan: lengthSpan(potMm.from, potMm.to, length, locale) }) : '',
    say.theMixEndsUnder({ lengthSpan: depthSpan(rimGapMm.from, rimGapMm.to, length) }),
    pointsToRoom ? say.oldEndToThe() : '',
    waterText(water),
    short ? say.shortOfTheSuch({ enough: depthText(40, length) }) : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** What she asks herself after she was parted. Common practice, no source. */
export const motherAfterDivision = (): readonly string[] =>
  [say.oldDarkOrMushy(), say.backToTheDepth(), say.aboutAWeekDry()] as const;
