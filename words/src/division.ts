import type { PartVerdict } from '@hypogeon/core/plan';
import { lengthSpan, lengthText } from './quantities';
import type { Speech } from './speech';

const STAYS: Readonly<Record<Extract<PartVerdict, { is: 'leave' }>['reason'], string>> = {
  'no growing point': 'Leave it on: nothing of it would shoot.',
  'nothing to live off': 'Leave it on: no roots, and too short a rhizome to live off.',
};

const POTS: Readonly<Record<Extract<PartVerdict, { is: 'pot' }>['reason'], string>> = {
  'roots of its own': 'Pot it: it has its own roots and no cut.',
  'cut, with roots': 'Dry the cut, then pot it; or pot it dry at once.',
  'lives off its tuber': 'Pot it: it lives off its tuber until it roots.',
  'no roots yet': 'Treat it as a cutting: it has no roots yet.',
};

/** What is to be done with a part of a clump, in short sentences. */
export function partText(verdict: PartVerdict, { length, locale }: Speech): string {
  if (verdict.is === 'leave') return STAYS[verdict.reason];
  const say = (mm: number): string => lengthText(mm, length, locale);
  const { potMm, depthMm, pointsToRoom, dryDays, short, rimGapMm } = verdict;
  return [
    POTS[verdict.reason],
    depthMm === null
      ? 'No deeper than it stood.'
      : `Set it ${say(depthMm)} deep, as its pale band shows.`,
    potMm ? `A pot ${lengthSpan(potMm.from, potMm.to, length, locale)} across.` : '',
    `The mix ends ${lengthSpan(rimGapMm.from, rimGapMm.to, length, locale)} under the rim.`,
    pointsToRoom ? 'Old end to the wall, growing point towards the room.' : '',
    dryDays === null
      ? ''
      : dryDays === 0
        ? 'Water when potted, then shade for a week or two.'
        : `Water after ${dryDays} days, in shade.`,
    short ? `Short of the ${say(40)} such a piece should have: watch it.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** What she asks herself after she was parted. Common practice, no source. */
export const MOTHER_AFTER_DIVISION = [
  'Old dark or mushy roots and spent tubers off; old peat shaken out.',
  'Back to the depth her pale band shows, in a pot a finger wider than her roots.',
  'About a week dry, bright shade, then as usual; feed after four weeks if she grows.',
] as const;
