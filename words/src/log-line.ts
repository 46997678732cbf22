import { forecastText } from './forecast';
import { batchCode } from '@hypogeon/core/bench';
import type { BatchEntry, State } from '@hypogeon/core/journal';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/log-line';
import { volumeText, weightText } from './amounts';
import { nearDay } from './days';
import { moneyText } from './numbers';
import { lengthText } from './quantities';
import type { Speech } from './speech';
import { SIGN_NAME, TASK_NAME } from './tasks';

const SEEN = {
  get tacky() {
    return say.woundStillTacky();
  },
  get firm() {
    return say.woundDryAndFirm();
  },
  get fine() {
    return say.lookedFine();
  },
  get wrinkled() {
    return say.lookedWrinkledFirm();
  },
  get soft() {
    return say.lookedSoftOrDark();
  },
} as const;

const HOW = {
  get poured() {
    return say.watered();
  },
  get misted() {
    return say.misted();
  },
  get soaked() {
    return say.soaked();
  },
  get bottom() {
    return say.wateredFromBelow();
  },
} as const;

/** One line of the log, in the grower's units. */
export function logLine(state: State, entry: BatchEntry, speech: Speech): string {
  const { length, locale } = speech;
  switch (entry.kind) {
    case 'cut':
      return say.cut();
    case 'stuck':
      return [
        entry.count === undefined ? say.setInTheMix() : say.setInTheMix2({ count: entry.count }),
        entry.wet ? say.whichWasWet() : '',
      ].join('');
    case 'reopened':
      return REOPENED[entry.why];
    case 'inspected':
      return [
        SEEN[entry.seen],
        ...(entry.roots === undefined ? [] : [ROOTS[entry.roots]]),
        ...(entry.rootMm === undefined
          ? []
          : [say.rootsOf({ length: lengthText(entry.rootMm, length, locale) })]),
        ...(entry.signs ?? []).map((s) => inSentence(SIGN_NAME[s])),
      ]
        .join(', ')
        .concat(entry.text ? `: ${entry.text}` : '');
    case 'watered':
      return [
        entry.ml === undefined
          ? HOW[entry.how]
          : say.aPot({ how: HOW[entry.how], volume: volumeText(entry.ml, length, locale) }),
        entry.breach === undefined ? '' : say.beforeItWasSafe({ breach: entry.breach }),
      ].join('');
    case 'weighed':
      return say.weighed({ weight: weightText(entry.grams, length, locale) });
    case 'felt':
      return say.feltDeep({ seen: entry.seen, length: lengthText(entry.depthMm, length, locale) });
    case 'tally':
      return tallyWords(entry);
    case 'potted':
      return [
        say.pottedOn({ count: entry.count }),
        entry.roots === undefined || entry.roots === 'whole'
          ? ''
          : say.roots({ roots: entry.roots }),
        entry.wet ? say.intoAWetMix() : '',
      ].join('');
    case 'moved': {
      const space = state.spaces.get(entry.space)?.name ?? say.anotherBench();
      return say.movedTo({ list: [space, entry.place].filter(Boolean).join(', ') });
    }
    case 'note':
      return entry.text;
    case 'parted':
      return partedWords(state, entry, locale);
    case 'joined': {
      const from = state.batches.get(entry.from);
      const count = entry.cuttings.reduce((sum, c) => sum + c.count, 0);
      return say.joinedFrom({ count, what: from ? batchCode(state, from) : say.anotherBatch() });
    }
    case 'tended':
      return entry.text ? `${TENDED[entry.what]}: ${entry.text}` : TENDED[entry.what];
    case 'put-off':
      return entry.until === undefined
        ? say.dropped({ taskName: TASK_NAME[entry.task], text: entry.text })
        : say.postponedTo({
            taskName: TASK_NAME[entry.task],
            nearDay: nearDay(entry.until, speech),
            text: entry.text,
          });
    case 'photo':
      return entry.text ? say.picture({ text: entry.text }) : say.pictureTaken();
    case 'measured':
      return say.measured({ what: entry.what, length: lengthText(entry.mm, length, locale) });
    case 'forecast':
      return forecastText(entry);
    case 'ended':
      return entry.text ? say.ended({ text: entry.text }) : say.ended2();
  }
}

const REOPENED = {
  get recut() {
    return say.cutAfreshTheWound();
  },
  get torn() {
    return say.tornWhileSettingThe();
  },
  get 'roots-cut'() {
    return say.rootsCutAWound();
  },
  get broken() {
    return say.brokenTheWoundIs();
  },
} as const;

const ROOTS = {
  get none() {
    return say.noRoots();
  },
  get few() {
    return say.aFewRoots();
  },
  get brush() {
    return say.aBrushOfRoots();
  },
} as const;

const TENDED = {
  get 'jar-feed'() {
    return say.fedInTheJar();
  },
  get 'jar-stir'() {
    return say.waterInTheJar();
  },
  get 'jar-change'() {
    return say.waterInTheJarChanged();
  },
  get light() {
    return say.aStepMoreLight();
  },
  get feed() {
    return say.fedAtHalfStrength();
  },
  get 'leaf-off'() {
    return say.motherLeafTakenOff();
  },
  get air() {
    return say.aStepMoreAir();
  },
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
      ? ` (${mother.name ?? say.mother()})`
      : '';
  const price =
    priceEach === undefined
      ? ''
      : say.each({ money: moneyText(priceEach, state.settings.currency, locale) });
  return `${PARTED[why](count)}${where}${price}${text ? `: ${text}` : ''}`;
}

type PartedEntry = Extract<BatchEntry, { kind: 'parted' }>;

const PARTED: Readonly<Record<PartedEntry['why'], (n: number) => string>> = {
  split: (n) => say.splitOff({ n }),
  merged: (n) => say.mergedIntoAnotherBatch({ n }),
  rescued: (n) => say.cutAfresh({ n }),
  single: (n) => say.pottedSingly({ n }),
  mother: () => say.oneBecameAMother(),
  given: (n) => say.givenAway({ n }),
  sold: (n) => say.sold({ n }),
  discarded: (n) => say.thrownOut({ n }),
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
    return say.marked({
      what: list.length === 1 ? say.onePlace() : say.places({ count: list.length }),
      list: [...new Set(list)].join(', '),
    });
  }
  const c = counts ?? { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
  const parts = [
    [c.rooted, say.rooted()],
    [c.pupped, say.withPups()],
    [heads ?? 0, say.youngPlantsInAll()],
    [buds ?? 0, say.withABudBelow()],
    [c.rotted, say.rotted()],
    [c.dried, say.driedUp()],
    [c.lost, say.lostOtherwise()],
  ].filter(([n]) => n !== 0);
  const text = parts.length > 0 ? parts.map(([n, w]) => `${n} ${w}`).join(', ') : say.noChange();
  return `${recount === undefined ? say.counted() : say.recounted()}: ${text}`;
}
