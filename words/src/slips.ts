import type { Slip } from '@hypogeon/core/care';
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
      ? `${pieces}, cut ${day(slip.cutOn)}, ${slip.rooted ? 'with roots' : 'without roots as yet'}.`
      : `${pieces}, cut ${day(slip.cutOn)}, potted ${day(slip.pottedOn)}.`,
    waterLine(slip, day),
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
  return {
    title: `${slip.name} (${slip.code})`,
    lines: lines.map((l) => ruleText(l, speech.length)),
    cautions: slip.cautions.map((c) => `${c.title}. ${c.advice}`),
  };
}

function waterLine(slip: Slip, day: (d: string) => string): string {
  if (slip.inJar)
    return 'It stands in water: only the bare stem under; change the water every 4–7 days. Into mix at 2.5–5 cm of root, kept moist for two weeks.';
  if (slip.noWaterBefore !== null)
    return `No water before ${day(slip.noWaterBefore)}. Then a small drink; again only when the mix has dried.`;
  return slip.rooted
    ? 'Water it, then again only when the mix has dried.'
    : 'A small drink when the mix has been bone dry for days, no more, until it has roots.';
}

/** The slip as plain text, to be sent or pasted. */
export const slipPlain = ({ title, lines, cautions }: SlipText): string =>
  [title, '', ...lines, ...(cautions.length > 0 ? ['', ...cautions] : [])].join('\n');
