import { messageLocale } from '@hypogeon/messages';
import type { MethodId } from '@hypogeon/core/botany';
import type { Belief, HeadsEach } from '@hypogeon/core/learn';
import type { LedgerCount } from '@hypogeon/core/ledger';
import { effectiveSize } from '@hypogeon/core/stats';
import * as say from '@hypogeon/messages/beliefs';
import { benchesText } from './counts';
import { decimal } from './numbers';
import { percent } from './shares';

/** What a figure rests on, in words: `the guide`, `your own 43, with what was counted on 6 other benches`. */
export function beliefWords({ own, genus, pooled }: Belief, method: MethodId): string {
  if (own.cuttings === 0 && genus.cuttings === 0)
    return pooled ? benchesText(pooled.benches) : say.theGuide();
  const parts = [
    own.cuttings > 0 ? say.yourOwn({ cuttings: own.cuttings }) : '',
    genus.cuttings > 0 ? say.ofTheGenus({ cuttings: genus.cuttings }) : '',
  ].filter(Boolean);
  return say.withWord({
    parts: parts.join(say.and()),
    what: method === 'leaf' ? say.leaves() : '',
    what2: pooled ? say.whatWas({ benches: benchesText(pooled.benches) }) : say.theGuide(),
  });
}

/** What the pace rests on, in words: `the guide`, `30% slower than the guide, by your own 43`. */
export function paceWords({ pace: { factor }, own, genus }: Belief): string {
  if (own.lived + genus.lived === 0) return say.theGuide();
  const whose = [
    own.lived > 0 ? say.yourOwn2({ lived: own.lived }) : '',
    genus.lived > 0 ? say.ofTheGenus2({ lived: genus.lived }) : '',
  ]
    .filter(Boolean)
    .join(say.and());
  const percent = Math.round((factor - 1) * 100);
  if (Math.abs(percent) < 3) return say.asTheGuideBy({ whose });
  return say.thanTheGuideBy({
    abs: Math.abs(percent),
    what: percent > 0 ? say.slower() : say.sooner(),
    whose,
  });
}

/** How many young plants a piece brings: ` Yours brought 1.6 young plants each, 14 from 9.`; nothing where one each. */
export const eachText = (each: HeadsEach | null, locale = messageLocale()): string =>
  each === null
    ? ''
    : say.yoursBroughtYoungPlants({
        pieces: decimal(each.heads / each.pieces, 1, locale),
        heads: each.heads,
        pieces2: each.pieces,
      });

/** The same short, for a table: `1.6 each`. */
export const eachOf = (
  { heads: { count, of } }: Pick<LedgerCount, 'heads'>,
  locale = messageLocale(),
): string => (count > of ? say.each({ of: decimal(count / of, 1, locale) }) : '');

/** What the correlation of cuttings of a tray means: `Cuttings of one tray share their fate: 40 tell as much as 8.` */
export function trayWords(correlation: number): string {
  const one = 40;
  const tell = Math.max(1, Math.round(effectiveSize([one], correlation)));
  return say.cuttingsOfOneTray({ one, tell });
}

/** What was learned of one way, beside what the guide came with. Chances 0–1. */
export interface LearnedWay {
  readonly name: string;
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  readonly before: number;
}

/** The way furthest from the guide, where its range leaves the guide out; else that none is. */
export function learnedHeadline(ways: readonly LearnedWay[]): string {
  const off = ({ low, high, before }: LearnedWay): number => Math.max(low - before, before - high);
  const [most] = ways
    .filter((w) => off(w) > 0)
    .sort((a, b) => off(b) - off(a) || (a.name < b.name ? -1 : 1));
  return most
    ? say.liveHereWhereThe({
        name: most.name,
        percent: percent(most.likely),
        percent2: percent(most.before),
      })
    : say.nothingCountedHereSpeaks();
}
