import {
  WATER_SCHOOL,
  type RegimeId,
  type UnrootedWaterId,
  type VerdictReason,
  type VerdictUnless,
} from '@hypogeon/core/water';
import * as say from '@hypogeon/messages/verdicts';
import { capital } from './capital';
import { counted, NOUN } from './plural';
import { volumeText } from './amounts';
import { depthText, ruleText } from './quantities';
import { percent } from './shares';
import type { Speech } from './speech';

const share = (fill: number): string => percent(Math.min(fill, 1));
const days = (n: number): string => counted(n, NOUN.day);

/** What a piece without roots is given. */
export const UNROOTED_NAME: Readonly<Record<UnrootedWaterId, string>> = {
  get dry() {
    return say.dryUntilThereAre();
  },
  get sip() {
    return say.aSmallDrinkWhen();
  },
  get damp() {
    return say.justDampRoundThe();
  },
  get mist() {
    return say.misted();
  },
  get half() {
    return say.asIfRootedBut();
  },
};

export const REGIME_NAME: Readonly<Record<RegimeId, string>> = {
  get dry() {
    return say.dryUntilThereAre();
  },
  get sip() {
    return say.aSmallDrinkWhen();
  },
  get damp() {
    return say.justDampRoundThe();
  },
  get mist() {
    return say.misted();
  },
  get half() {
    return say.asIfRootedBut();
  },
  get base() {
    return say.someDropsAtThe();
  },
};

/** The same of young roots, with its reason. Common practice, no source. */
const YOUNG: Readonly<Partial<Record<RegimeId, string>>> = {
  get mist() {
    return say.youngRootsAtThe();
  },
  get damp() {
    return say.youngRootsDryOut();
  },
  get base() {
    return say.theirRootsHoldSome();
  },
};

/** Why the verdict on a pot is what it is. */
export function verdictReasonText(reason: VerdictReason, speech: Speech): string {
  switch (reason.why) {
    case 'gate-stopped':
      return say.theWoundDoesNot();
    case 'gate-closed':
      return say.theCutIsStill();
    case 'pool':
      return say.waterStandsAtThe({ volume: volumeText(reason.ml, speech.length, speech.locale) });
    case 'first-waits':
      return reason.for === 'roots' ? say.itsFirstWaterWaits() : say.theCutCouldBear();
    case 'first-mist':
      return say.itIsSafeNow();
    case 'first-drink':
      return say.itIsSafeNowA({ length: depthText(reason.depthMm, speech.length) });
    case 'holds': {
      const weaning = reason.weaning ? say.rootsFromWaterAre() : '';
      if (reason.school === 'mist') return say.mistedLatelyTheSurface({ weaning });
      if (reason.school === 'weekly') return say.aWeekHasNot({ share: share(reason.fill) });
      return say.itStillHoldsOf({
        share: share(reason.fill),
        trigger: trigger(reason.school, speech),
        weaning,
      });
    }
    case 'asks': {
      const since =
        reason.days > 1
          ? say.forWord({
              lasting: capital(lasting(reason.school, speech)),
              days: days(reason.days),
            })
          : capital(trigger(reason.school, speech));
      return say.ofItsWaterIs({ since, share: share(reason.fill) });
    }
    case 'overdue':
      return say.forWrinklingIsLikely({
        lasting: capital(lasting(reason.school, speech)),
        days: days(reason.days),
      });
    case 'first-soak':
      return say.itHasRootsIts();
    case 'regime':
      if (reason.sown) return say.sownTheSurfaceKept();
      return reason.rooted
        ? `${YOUNG[reason.regime] ?? REGIME_NAME[reason.regime]}.${reason.beside && reason.regime === 'base' ? say.mistThoseWithoutRoots() : ''}`
        : say.noRootsYetSo({ regimeName: REGIME_NAME[reason.regime] });
  }
}

type SchoolId = keyof typeof WATER_SCHOOL;

/** What the pot must show, with its depth in the grower's units. */
const trigger = (school: SchoolId, { length }: Speech): string =>
  ruleText(WATER_SCHOOL[school].trigger, length);
const lasting = (school: SchoolId, { length }: Speech): string =>
  ruleText(WATER_SCHOOL[school].lasting, length);

/** What would change it. */
export function verdictUnlessText(unless: VerdictUnless, { temperature }: Speech): string {
  switch (unless.what) {
    case 'firm':
      return say.aLookThatFinds();
    case 'tip-out':
      return say.tipItOutOr();
    case 'soft':
      return say.wrinkledAndSoftNot();
    case 'wrinkling':
      return say.wrinklingBeforeThatIs();
    case 'soft-base':
      return say.aSoftOrDark();
    case 'plump':
      return say.ifItIsPlump();
    case 'moist':
      return say.ifItFeelsMoist();
    case 'warmer': {
      const warmer = temperature === 'F' ? say.sevenDegreesFWarmer() : say.fourDegreesWarmer();
      const moves =
        unless.days > 0
          ? say.sooner({ warmer, what: unless.days === 1 ? say.aDay() : days(unless.days) })
          : say.hardlyMovesIt({ warmer });
      return unless.weigh ? say.aWeighingNarrowsThe({ moves }) : `${moves}.`;
    }
  }
}
