import type { PartVerdict, PartWater } from '@hypogeon/core/plan';
import { counted, NOUN } from './plural';
import { lengthSpan, lengthText } from './quantities';
import type { Speech } from './speech';

const STAYS: Readonly<Record<Extract<PartVerdict, { is: 'leave' }>['reason'], string>> = {
  'no growing point': 'Leave it on: nothing of it would shoot.',
  'nothing to live off': 'Leave it on: no roots, and too short a rhizome to live off.',
  'spent tuber': 'Off with it: a dark, shrivelled tuber has given what it had. It is not potted.',
};

const POTS: Readonly<Record<Extract<PartVerdict, { is: 'pot' }>['reason'], string>> = {
  'roots of its own': 'Pot it: it has its own roots and no cut.',
  'cut, with roots': 'Dry the cut, then pot it; or pot it dry at once.',
  'lives off its tuber': 'Pot it: it lives off its tuber until it roots.',
  'no roots yet': 'Treat it as a cutting: it has no roots yet.',
};

/** When its first water comes, and what it risks. Common practice, no source. */
function waterText(water: PartWater): string {
  switch (water.is) {
    case 'settles':
      return 'Water when potted, then shade for a week or two.';
    case 'at-once':
      return 'Watered in at once, as you chose: with the cut still open it may rot.';
    case 'days':
      return `First water ${water.days === 1 ? 'a day' : counted(water.days, NOUN.day)} after potting${water.open ? ', as you chose: the cut may be open then' : ''}, in shade.`;
    case 'gate':
      return 'First water once the cut is closed: about a week, dry in its pot.';
    case 'roots':
      return 'No water before it has roots.';
  }
}

/** What is to be done with a part of a clump, in short sentences. */
export function partText(verdict: PartVerdict, { length, locale }: Speech): string {
  if (verdict.is === 'leave') return STAYS[verdict.reason];
  const say = (mm: number): string => lengthText(mm, length, locale);
  const { potMm, depthMm, pointsToRoom, water, short, rimGapMm } = verdict;
  return [
    POTS[verdict.reason],
    depthMm === null
      ? 'No deeper than it stood.'
      : `Set it ${say(depthMm)} deep, as its pale band shows.`,
    potMm ? `A pot ${lengthSpan(potMm.from, potMm.to, length, locale)} across.` : '',
    `The mix ends ${lengthSpan(rimGapMm.from, rimGapMm.to, length, locale)} under the rim.`,
    pointsToRoom ? 'Old end to the wall, growing point towards the room.' : '',
    waterText(water),
    short ? `Short of the ${say(40)} such a piece should have: watch it.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** What she asks herself after she was parted. Common practice, no source. */
export const MOTHER_AFTER_DIVISION = [
  'Old dark or mushy roots and spent tubers off; old peat shaken out.',
  'Back to the depth its pale band shows, in a pot a finger wider than its roots.',
  'About a week dry, bright shade, then as usual; feed after four weeks if it grows.',
] as const;
