import { METHOD, type MethodId } from '@hypogeon/core/botany';
import type { Combination, Instead, WayChange, WayReason, Ways } from '@hypogeon/core/plan';
import { piecesText } from './care';
import { nearDay } from './days';
import { percent } from './shares';
import type { Speech } from './speech';

/** What the mother loses by a way. Common practice, no source. */
export const LOSES: Readonly<Record<MethodId, string>> = {
  leaf: 'some lower leaves',
  'leaf-section': 'whole straps',
  crown: 'its heads; the stumps break again',
  segment: 'stem; the stump breaks again',
  trailing: 'hanging length',
  branch: 'side branches',
  pad: 'outer pads',
  column: 'its top',
  offset: 'young ones',
  'rooted-offset': 'rooted young ones',
  division: 'a part of the clump',
  plantlet: 'nothing it needs',
  'root-cutting': 'some thick roots',
  bulbil: 'nothing it needs',
  'flower-stalk': 'flowers',
  seed: 'nothing it needs',
  culture: 'nothing',
};

const REASON: Readonly<Record<WayReason, string>> = {
  'only one of which there are enough': 'It is the only way of which there are enough.',
  'only one ready in time': 'It is the only way that can be ready in time.',
  'takes fewest': 'It takes the fewest from the mother.',
  'ready soonest': 'It is ready soonest.',
  'least work': 'It is the least work.',
  'least work among those it takes well': 'It is the least work for a way it takes well.',
};

/** Why the best way is the best, and what would change that, in sentences. */
export function whyBest({ reasons, changes, rival }: Ways, speech: Speech): string {
  const close =
    rival === null
      ? []
      : [`By no more than its range: ${METHOD[rival.method].name.toLowerCase()} may be as good.`];
  return [
    ...reasons.map((r) => REASON[r]),
    ...close,
    ...changes.map((c) => changeWords(c, speech)),
  ].join(' ');
}

function changeWords(change: WayChange, speech: Speech): string {
  const take = (n: number | null): string => (n === null ? 'no number would do' : `take ${n}`);
  switch (change.change) {
    case 'cut later':
      return `Cut a week later: ${take(change.needed)}.`;
    case 'warmer':
      return `${warmthStep(change.byC, speech)} warmer: ${take(change.needed)}.`;
    case 'more':
      return `${change.more} more: ${percent(change.to)} sure instead of ${percent(change.from)}.`;
  }
}

/** A step of warmth is no reading: 4 °C more is 7 °F more, not 39 °F. */
export const warmthStep = (byC: number, { temperature }: Speech): string =>
  temperature === 'F' ? `${Math.round(byC * 1.8)} °F` : `${byC} °C`;

/** The parts of a combination in a row: `her 3 offsets, 1 crown and 24 leaves`. */
export function partsText({ parts }: Pick<Combination, 'parts'>): string {
  const each = parts.map((p) => piecesText(p.method, p.taken));
  return each.length < 2 ? each.join('') : `${each.slice(0, -1).join(', ')} and ${each.at(-1)!}`;
}

/**
 * What several ways come to together, in sentences.
 * @param wanted so many are wanted
 * @param by the day they are wanted
 * @param certainty that is asked for, 0–1
 * @example `Her 3 offsets, 1 crown and 24 leaves: 24 by Mon 5 Oct, 83% sure.`
 */
export function togetherText(
  combination: Combination,
  wanted: number,
  by: string,
  certainty: number,
  speech: Speech,
): string {
  const day = nearDay(by, speech);
  const all = partsText(combination);
  const guess = combination.guessed ? ' Not all of it is counted: count before you cut.' : '';
  if (combination.enough)
    return `${all} together: ${wanted} by ${day}, ${percent(combination.chance)} sure.${guess}`;
  const { reached, again } = combination;
  const sure = percent(certainty);
  const first =
    reached > 0
      ? `All it can spare, ${all}: ${reached} of ${wanted} by ${day}, ${sure} sure.`
      : `All it can spare, ${all}, is not enough: none is ${sure} sure by ${day}.`;
  const second = again
    ? ` Take ${METHOD[again.method].many} again about ${nearDay(again.day, speech)}, and it may be ${again.reached}.`
    : '';
  return `${first}${second}${guess}`;
}

/** What could be done where no way gives so many by then. */
export function insteadText(instead: Instead, speech: Speech): string {
  switch (instead.instead) {
    case 'fewer': {
      const whose = instead.hers ? `the ${instead.from} it can spare` : String(instead.from);
      return `By ${METHOD[instead.method].many} about ${instead.plants} can be had by then from ${whose}.`;
    }
    case 'later':
      return `Nothing is ready by then. The soonest are ready around ${nearDay(instead.soonest, speech)}: ask for a later day or a smaller size.`;
    case 'nothing grows':
      return 'Nothing of it is ready within three years in this air: give more warmth, or another plant.';
  }
}
