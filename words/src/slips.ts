import type { Slip } from '@hypogeon/core/care';
import { WATER_SCHOOL, type RegimeId, type WaterSchoolId } from '@hypogeon/core/water';
import { dayText } from './days';
import { ruleText } from './quantities';
import type { Speech } from './speech';
import { LIGHT_PLACE } from './tasks';

/** A care slip as it is read by someone who knows nothing of the plant: a title, and short lines. */
export interface SlipText {
  readonly title: string;
  readonly lines: readonly string[];
  readonly cautions: readonly string[];
}

/** @param count pieces that are handed over */
export function slipText(slip: Slip, count: number, speech: Speech): SlipText {
  const day = (d: string): string => dayText(d, speech);
  const pieces = count === 1 ? `One ${slip.piece.one}` : `${count} ${slip.piece.many}`;
  const lines = [
    slip.pottedOn === null
      ? `${pieces}, cut ${day(slip.cutOn)}, ${rootsSay(slip, count)}.`
      : `${pieces}, cut ${day(slip.cutOn)}, potted ${day(slip.pottedOn)}.`,
    ...(slip.from.length === 0 ? [] : [`From ${slip.from.join('; ')}.`]),
    waterLine(slip, day),
    ...(slip.inJar
      ? []
      : [
          slip.crown
            ? 'Water the mix, not the leaves: what stands in the crown rots it.'
            : 'Water the mix, not the plant.',
        ]),
    ...(slip.setOn === null
      ? []
      : [`Lay it in airy shade; into dry, gritty mix from ${day(slip.setOn)}.`]),
    ...(slip.rootsFrom === null
      ? []
      : [
          `Roots may come from ${day(slip.rootsFrom)}. Wrinkles before that are normal; do not dig. A dark, soft base is rot: cut back to clean tissue.`,
        ]),
    slip.light.now === slip.light.later
      ? `Light: ${LIGHT_PLACE[slip.light.now]}.`
      : `Light: ${LIGHT_PLACE[slip.light.now]}; over two weeks, ${slip.rooted ? '' : 'once it has roots, '}to ${LIGHT_PLACE[slip.light.later]}.`,
    ...(slip.rooted && !slip.inJar
      ? ['Feed at half strength while it grows, every two weeks; none in its rest.']
      : []),
  ];
  const common = slip.common === null ? '' : `, ${slip.common}`;
  return {
    title: `${slip.name}${common}${slip.crested ? ', crested' : ''} (${slip.code})`,
    lines: lines.map((l) => ruleText(l, speech.length)),
    cautions: slip.cautions.map((c) => `${c.title}. ${c.advice}`),
  };
}

/** With roots are those that have them, and no others. */
function rootsSay({ withRoots, living }: Slip, count: number): string {
  if (withRoots === 0) return 'without roots as yet';
  if (withRoots >= living) return 'with roots';
  // Those with roots go first.
  if (count <= withRoots) return `with roots (${withRoots} of ${living} have them)`;
  return `${withRoots} with roots, the rest without as yet`;
}

function waterLine(slip: Slip, day: (d: string) => string): string {
  if (slip.inJar)
    return 'It stands in water: only the bare stem under; change the water every 4–7 days. Into mix at 2.5–5 cm of root, kept moist for two weeks.';
  if (slip.dryUntilRoots) return `No water until it has roots. Then ${THEN[slip.school]}.`;
  const habit = habitOf(slip);
  if (slip.noWaterBefore !== null)
    return `No water before ${day(slip.noWaterBefore)}. Then ${habit}.`;
  return `${habit.charAt(0).toUpperCase()}${habit.slice(1)}.`;
}

/** What it is given from now on, and what once it stands on roots of its own. */
function habitOf({ regime, school }: Slip): string {
  if (regime === null) return THEN[school];
  return `${UNTIL[regime]}; after that ${THEN[school]}`;
}

const UNTIL: Readonly<Record<RegimeId, string>> = {
  dry: 'nothing until it has roots',
  sip: 'a small drink when the mix has been bone dry for days, no more, until it has roots',
  half: 'half a drink when the mix is dry, until it has roots',
  damp: 'keep the surface just damp until its roots hold',
  mist: 'mist the surface every day or two until its roots hold, and never soak it before',
  base: 'a few drops at its base every few days until it stands in a pot of its own',
};

/** By habit, as said to someone who has not heard of it. Common practice, no source. */
const THEN: Readonly<Record<WaterSchoolId, string>> = {
  mist: 'mist it by heat',
  surface: 'water it through once the surface is dry',
  'top-25': 'water it through once the top 2.5 cm are dry',
  'top-60': `water it through once the ${WATER_SCHOOL['top-60'].name.replace(' dry', '').toLowerCase()} are dry`,
  third: 'water it once a third of its water is gone by weight',
  'bone-dry': 'let all of it dry out, then soak it',
  'bone-dry-rest': 'let all of it dry out, wait five days, then soak it',
  weekly: 'water it about weekly, less in the cool',
};

/** The slip as plain text, to be sent or pasted. */
export const slipPlain = ({ title, lines, cautions }: SlipText): string =>
  [title, '', ...lines, ...(cautions.length > 0 ? ['', ...cautions] : [])].join('\n');
