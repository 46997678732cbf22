import { forecastText } from './forecast';
import { batchCode } from '@hypogeon/core/bench';
import type { BatchEntry, State } from '@hypogeon/core/journal';
import { volumeText, weightText } from './amounts';
import { nearDay } from './days';
import { moneyText } from './numbers';
import { lengthText } from './quantities';
import type { Speech } from './speech';
import { SIGN_NAME, TASK_NAME } from './tasks';

const SEEN = {
  tacky: 'Wound still tacky',
  firm: 'Wound dry and firm',
  fine: 'Looked: fine',
  wrinkled: 'Looked: wrinkled, firm',
  soft: 'Looked: soft or dark at the base',
} as const;

const HOW = {
  poured: 'Watered',
  misted: 'Misted',
  soaked: 'Soaked',
  bottom: 'Watered from below',
} as const;

/** One line of the log, in the grower's units. */
export function logLine(state: State, entry: BatchEntry, speech: Speech): string {
  const { length, locale } = speech;
  switch (entry.kind) {
    case 'cut':
      return 'Cut';
    case 'stuck':
      return [
        entry.count === undefined ? 'Set in the mix' : `${entry.count} set in the mix`,
        entry.wet ? ', which was wet' : '',
      ].join('');
    case 'reopened':
      return REOPENED[entry.why];
    case 'inspected':
      return [
        SEEN[entry.seen],
        ...(entry.roots === undefined ? [] : [ROOTS[entry.roots]]),
        ...(entry.rootMm === undefined
          ? []
          : [`roots of ${lengthText(entry.rootMm, length, locale)}`]),
        ...(entry.signs ?? []).map((s) => SIGN_NAME[s].toLowerCase()),
      ]
        .join(', ')
        .concat(entry.text ? `: ${entry.text}` : '');
    case 'watered':
      return [
        entry.ml === undefined
          ? HOW[entry.how]
          : `${HOW[entry.how]}, ${volumeText(entry.ml, length, locale)} a pot`,
        entry.breach === undefined ? '' : ` before it was safe: ${entry.breach}`,
      ].join('');
    case 'weighed':
      return `Weighed: ${weightText(entry.grams, length, locale)}`;
    case 'felt':
      return `Felt ${entry.seen}, ${lengthText(entry.depthMm, length, locale)} deep`;
    case 'tally':
      return tallyWords(entry);
    case 'potted':
      return [
        `Potted on ${entry.count}`,
        entry.roots === undefined || entry.roots === 'whole' ? '' : `, roots ${entry.roots}`,
        entry.wet ? ', into a wet mix' : '',
      ].join('');
    case 'moved': {
      const space = state.spaces.get(entry.space)?.name ?? 'another bench';
      return `Moved to ${[space, entry.place].filter(Boolean).join(', ')}`;
    }
    case 'note':
      return entry.text;
    case 'parted':
      return partedWords(state, entry, locale);
    case 'joined': {
      const from = state.batches.get(entry.from);
      const count = entry.cuttings.reduce((sum, c) => sum + c.count, 0);
      return `${count} joined from ${from ? batchCode(state, from) : 'another batch'}`;
    }
    case 'tended':
      return entry.text ? `${TENDED[entry.what]}: ${entry.text}` : TENDED[entry.what];
    case 'put-off':
      return entry.until === undefined
        ? `${TASK_NAME[entry.task]} dropped: ${entry.text}`
        : `${TASK_NAME[entry.task]} postponed to ${nearDay(entry.until, speech)}: ${entry.text}`;
    case 'photo':
      return entry.text ? `Picture: ${entry.text}` : 'Picture taken';
    case 'measured':
      return `Measured: ${entry.what} ${lengthText(entry.mm, length, locale)}`;
    case 'forecast':
      return forecastText(entry);
    case 'ended':
      return entry.text ? `Ended: ${entry.text}` : 'Ended';
  }
}

const REOPENED = {
  recut: 'Cut afresh: the wound is open again',
  torn: 'Torn while setting: the wound is open again',
  'roots-cut': 'Roots cut: a wound of its own',
  broken: 'Broken: the wound is open again',
} as const;

const ROOTS = { none: 'no roots', few: 'a few roots', brush: 'a brush of roots' } as const;

const TENDED = {
  'jar-feed': 'Fed in the jar',
  'jar-stir': 'Water in the jar moved',
  'jar-change': 'Water in the jar changed',
  light: 'A step more light',
  feed: 'Fed at half strength',
  'leaf-off': 'Mother leaf taken off',
  air: 'A step more air',
} as const;

function partedWords(
  state: State,
  { why, taken, to, text, priceEach }: PartedEntry,
  locale: string,
): string {
  const count = Object.values(taken).reduce((sum, n) => sum + n, 0);
  const batch = to === undefined ? undefined : state.batches.get(to);
  const mother = to === undefined ? undefined : state.mothers.get(to);
  const where = batch
    ? ` (${batchCode(state, batch)})`
    : mother
      ? ` (${mother.name ?? 'mother'})`
      : '';
  const price =
    priceEach === undefined
      ? ''
      : `, ${moneyText(priceEach, state.settings.currency, locale)} each`;
  return `${PARTED[why](count)}${where}${price}${text ? `: ${text}` : ''}`;
}

type PartedEntry = Extract<BatchEntry, { kind: 'parted' }>;

const PARTED: Readonly<Record<PartedEntry['why'], (n: number) => string>> = {
  split: (n) => `${n} split off`,
  merged: (n) => `${n} merged into another batch`,
  rescued: (n) => `${n} cut afresh`,
  single: (n) => `${n} potted singly`,
  mother: () => 'One became a mother',
  given: (n) => `${n} given away`,
  sold: (n) => `${n} sold`,
  discarded: (n) => `${n} thrown out`,
};

function tallyWords({
  counts,
  places,
  recount,
  buds,
  heads,
}: Extract<BatchEntry, { kind: 'tally' }>): string {
  if (places) {
    const list = Object.values(places);
    return `Marked ${list.length === 1 ? 'one place' : `${list.length} places`}: ${[...new Set(list)].join(', ')}`;
  }
  const c = counts ?? { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
  const parts = [
    [c.rooted, 'rooted'],
    [c.pupped, 'with pups'],
    [heads ?? 0, 'young plants in all'],
    [buds ?? 0, 'with a bud below'],
    [c.rotted, 'rotted'],
    [c.dried, 'dried up'],
    [c.lost, 'lost otherwise'],
  ].filter(([n]) => n !== 0);
  const text = parts.length > 0 ? parts.map(([n, w]) => `${n} ${w}`).join(', ') : 'no change';
  return `${recount === undefined ? 'Counted' : 'Recounted'}: ${text}`;
}
