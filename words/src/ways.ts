import { METHOD, type MethodId } from '@hypogeon/core/botany';
import type { Combination, Instead, WayChange, WayReason, Ways } from '@hypogeon/core/plan';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/ways';
import { piecesText } from './care';
import { nearDay } from './days';
import { percent } from './shares';
import type { Speech } from './speech';

/** What the mother loses by a way. Common practice, no source. */
export const LOSES: Readonly<Record<MethodId, string>> = {
  get leaf() {
    return say.someLowerLeaves();
  },
  get 'leaf-section'() {
    return say.wholeStraps();
  },
  get crown() {
    return say.itsHeadsTheStumps();
  },
  get segment() {
    return say.stemTheStumpBreaks();
  },
  get trailing() {
    return say.hangingLength();
  },
  get branch() {
    return say.sideBranches();
  },
  get pad() {
    return say.outerPads();
  },
  get column() {
    return say.itsTop();
  },
  get offset() {
    return say.youngOnes();
  },
  get 'rooted-offset'() {
    return say.rootedYoungOnes();
  },
  get division() {
    return say.aPartOfThe();
  },
  get plantlet() {
    return say.nothingItNeeds();
  },
  get 'root-cutting'() {
    return say.someThickRoots();
  },
  get bulbil() {
    return say.nothingItNeeds();
  },
  get 'flower-stalk'() {
    return say.flowers();
  },
  get seed() {
    return say.nothingItNeeds();
  },
  get culture() {
    return say.nothing();
  },
};

const REASON: Readonly<Record<WayReason, string>> = {
  get 'only one of which there are enough'() {
    return say.itIsTheOnly();
  },
  get 'only one ready in time'() {
    return say.itIsTheOnlyWay();
  },
  get 'takes fewest'() {
    return say.itTakesTheFewest();
  },
  get 'ready soonest'() {
    return say.itIsReadySoonest();
  },
  get 'least work'() {
    return say.itIsTheLeast();
  },
  get 'least work among those it takes well'() {
    return say.itIsTheLeastWork();
  },
};

/** Why the best way is the best, and what would change that, in sentences. */
export function whyBest({ reasons, changes, rival }: Ways, speech: Speech): string {
  const close =
    rival === null ? [] : [say.byNoMoreThan({ name: inSentence(METHOD[rival.method].name) })];
  return [
    ...reasons.map((r) => REASON[r]),
    ...close,
    ...changes.map((c) => changeWords(c, speech)),
  ].join(' ');
}

function changeWords(change: WayChange, speech: Speech): string {
  const take = (n: number | null): string => (n === null ? say.noNumberWouldDo() : say.take({ n }));
  switch (change.change) {
    case 'cut later':
      return say.cutAWeekLater({ take: take(change.needed) });
    case 'warmer':
      return say.warmer({ warmthStep: warmthStep(change.byC, speech), take: take(change.needed) });
    case 'more':
      return say.moreSureInsteadOf({
        more: change.more,
        percent: percent(change.to),
        percent2: percent(change.from),
      });
  }
}

/** A step of warmth is no reading: 4 °C more is 7 °F more, not 39 °F. */
export const warmthStep = (byC: number, { temperature }: Speech): string =>
  temperature === 'F' ? say.f({ byC: Math.round(byC * 1.8) }) : say.c({ byC });

/** The parts of a combination in a row: `her 3 offsets, 1 crown and 24 leaves`. */
export function partsText({ parts }: Pick<Combination, 'parts'>): string {
  const each = parts.map((p) => piecesText(p.method, p.taken));
  return each.length < 2
    ? each.join('')
    : say.and({ each: each.slice(0, -1).join(', '), at: each.at(-1)! });
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
  const guess = combination.guessed ? say.notAllOfIt() : '';
  if (combination.enough)
    return say.togetherBySure({ all, wanted, day, percent: percent(combination.chance), guess });
  const { reached, again } = combination;
  const sure = percent(certainty);
  const first =
    reached > 0
      ? say.allItCanSpare({ all, reached, wanted, day, sure })
      : say.allItCanSpareIs({ all, sure, day });
  const second = again
    ? say.takeAgainAboutAnd({
        many: METHOD[again.method].many,
        nearDay: nearDay(again.day, speech),
        reached: again.reached,
      })
    : '';
  return `${first}${second}${guess}`;
}

/** What could be done where no way gives so many by then. */
export function insteadText(instead: Instead, speech: Speech): string {
  switch (instead.instead) {
    case 'fewer': {
      const whose = instead.hers ? say.theItCanSpare({ from: instead.from }) : String(instead.from);
      return say.byAboutCanBe({ many: METHOD[instead.method].many, plants: instead.plants, whose });
    }
    case 'later':
      return say.nothingIsReadyBy({ nearDay: nearDay(instead.soonest, speech) });
    case 'nothing grows':
      return say.nothingOfItIs();
  }
}
