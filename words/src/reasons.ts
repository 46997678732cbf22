import type { Young } from '@hypogeon/core/botany';
import type {
  Awaited,
  HeadsSeen,
  JarEnd,
  LongThen,
  ReadyBy,
  Reason,
  RegrowsAt,
} from '@hypogeon/core/care';
import { daysBetween, type Day } from '@hypogeon/core/days';
import type { Sign } from '@hypogeon/core/journal';
import { WATER_SCHOOL, type RegimeId } from '@hypogeon/core/water';
import { WOUND_SCHOOL } from '@hypogeon/core/wound';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/care';
import { evaporationText } from './amounts';
import { capital } from './capital';
import { closureText } from './chances';
import { nearDay } from './days';
import { counted, NOUN } from './plural';
import { lengthText, ruleText, temperatureText } from './quantities';
import { everText } from './roots-fan';
import type { Speech } from './speech';
import { LIGHT_PLACE, LINK_NAME, SIGN_NAME, TASK_NAME, YOUNG_NAME } from './tasks';
import { REGIME_NAME, verdictReasonText } from './verdicts';

const days = (n: number): string => counted(n, NOUN.day);

const ago = (day: string, speech: Speech): string => {
  const n = daysBetween(day, speech.today);
  return n <= 0 ? say.today() : n === 1 ? say.yesterday() : say.dayAgo({ n });
};

const habitText = (regime: RegimeId, rooted: boolean): string => {
  const name = REGIME_NAME[regime];
  return rooted ? name : inSentence(name);
};

const missingText = (missing: readonly ('pot' | 'mix')[]): string =>
  missing.length === 0
    ? ''
    : say.itsNotToldSo({
        missing: missing.join(say.and()),
        count: missing.length,
      });

/** Why it is asked or left alone, in one or two sentences. */
export function reasonText(reason: Reason, speech: Speech): string {
  const { length, locale, temperature } = speech;
  switch (reason.why) {
    case 'planned':
      return say.plannedFor({ nearDay: nearDay(reason.on, speech) });
    case 'plump-mother':
      return say.theCutIsPlanned({ nearDay: nearDay(reason.cutOn, speech) });
    case 'closing':
      if (reason.again !== null) return slowWoundText(reason.again, speech);
      return say.theCutIs({
        closure: closureText(reason.closure),
        what: reason.opens === null ? '' : safeText(reason.opens, speech),
      });
    case 'chosen-days':
      return say.asYouChose({
        dry: dryText(reason.days),
        what: reason.opens === null ? '' : safeText(reason.opens, speech),
      });
    case 'stopped':
      return reason.tacky ? say.stillTackyFarPast() : say.tooColdTooHot();
    case 'touch':
      return say.dryAndFirmOr();
    case 'no-wound':
      if (reason.left) return say.nothingToDigRoots();
      return reason.ownRoots ? say.itHasItsOwn() : say.nothingIsCutIt();
    case 'closed':
      return say.theCutIsLikely();
    case 'school':
      return reason.school === 'straight-in'
        ? say.pottedAtOnceAs()
        : say.intoDryMixAnd({ name: WOUND_SCHOOL[reason.school].name });
    case 'into-jar':
      return say.theCutIsClosed({ under: UNDER[reason.under](depth(length)) });
    case 'roots-on-rack':
      return reason.misted ? say.rootsShowedWhereThey() : say.rootsShowedBeforeThey();
    case 'gate-opened':
      return say.safeSinceTheCut({
        nearDay: nearDay(reason.on, speech),
        what: reason.open > 0 ? say.aboutOfThemMay({ open: reason.open }) : '',
      });
    case 'settles':
      return say.noOpenCutWater();
    case 'sown':
      return say.sownTheSurfaceKept();
    case 'woke':
      return say.itWasTooCold();
    case 'first-chosen':
      return say.asYouChose2({
        firstSays: FIRST_SAYS[reason.choice],
        what:
          reason.open === null
            ? '.'
            : reason.open.closes === null
              ? say.withTheCutStill()
              : say.withTheCutStillOpen({ nearDay: nearDay(reason.open.closes, speech) }),
      });
    case 'roots-first':
      return say.itsFirstWaterWaits({
        what:
          reason.look === null ? '' : say.lookForThem({ nearDay: nearDay(reason.look, speech) }),
      });
    case 'roots-show':
      return reason.misted ? say.rootsShowAMist() : say.rootsShowTheFirst();
    case 'laid-dry':
      return say.laidPiecesStayDry();
    case 'verdict':
      return verdictReasonText(reason.is, speech);
    case 'unread':
      return say.itsPotIsBeing({ ago: ago(reason.last, speech) });
    case 'habit':
      return say.everyInThisAir({
        what: reason.wet ? say.setInWetMix() : say.lastWater(),
        ago: ago(reason.last, speech),
        days: reason.days,
        what3:
          reason.regime === null
            ? `${ruleText(WATER_SCHOOL[reason.school].name, length)}.`
            : `${reason.hasRoots ? '' : say.noRootsYet()}${habitText(reason.regime, reason.hasRoots)}.`,
        what4: reason.felt
          ? say.felt({ seen: reason.felt.seen, ago: ago(reason.felt.day, speech) })
          : '',
        what5: reason.regime === 'base' ? '' : missingText(reason.missing),
      });
    case 'mist':
      return say.theAirTakesEvery({
        what:
          reason.last === null
            ? say.setInWetMix()
            : say.lastMist({ ago: ago(reason.last, speech) }),
        evaporation: evaporationText(reason.evaporationMm, length, locale),
        days: reason.days,
      });
    case 'dry-until-roots':
      return say.noRootsYetSo({
        what: reason.look === null ? '' : say.look({ nearDay: nearDay(reason.look, speech) }),
      });
    case 'tapers':
      return say.outOfTheJar({
        days: reason.days,
        ago: ago(reason.last, speech),
        every: reason.every,
      });
    case 'too-soon':
      return TOO_SOON[reason.for];
    case 'looked-lately':
      return reason.free ? say.lookedAtLatelyNot() : say.countedLatelyEachLook();
    case 'bare-roots':
      return say.ofHaveRootsThose({
        held: reason.held,
        of: reason.of,
        what: reason.misted ? say.setOnTheMix() : say.leanedInTheirMix(),
      });
    case 'bare-long':
      return say.pastItsWindowWithout({ count: reason.count });
    case 'lying':
      return say.nothingNeedsLiftingThose({
        what: reason.held === null ? '' : say.ofHaveRoots({ held: reason.held, of: reason.of }),
      });
    case 'tug':
      return say.wrinkledIsNormalMind({
        what: reason.held === null ? '' : say.ofHeldAtThe({ held: reason.held, of: reason.of }),
      });
    case 'not-yet':
      return say.notYetAndNot({ ever: everText({ pieces: reason.count, ever: reason.ever }) });
    case 'glass':
      return say.nothingNeedsLiftingWhite();
    case 'roots-seen':
      return say.rootsWereSeenWhat();
    case 'taken-hold':
      return say.noTuggingFirmAnd();
    case 'shoots':
      return say.shootsComeInTen();
    case 'seedlings':
      return say.countThemWhereThey();
    case 'pups':
      return reason.young === 'true-leaves'
        ? say.ofSeedlingsWithTrue({ pupped: reason.pupped, rooted: reason.rooted })
        : say.withRootsWithAt({
            rooted: reason.rooted,
            pupped: reason.pupped,
            youngName: YOUNG_NAME[reason.young],
            what: reason.buds > 0 ? say.andWithABud({ buds: reason.buds }) : '',
          });
    case 'long-without-roots':
      return say.dayLongPastIts({
        days: reason.days,
        count: reason.count,
        longThen: LONG_THEN[reason.then],
      });
    case 'forgotten':
      return say.hasStoodForDay({
        what: reason.ask === 'overdue' ? say.aLookAtThose() : `“${TASK_NAME[reason.ask]}”`,
        days: reason.days,
      });
    case 'stir':
      return say.movedEveryThirdDay({
        ago: ago(reason.since, speech),
        justUnder: JUST_UNDER[reason.under],
      });
    case 'stale':
      return say.theWaterIsFrom({
        ago: ago(reason.since, speech),
        temperature: temperatureText(Math.round(reason.tempC), temperature, locale),
        every: reason.every,
      });
    case 'jar-rests':
      return reason.next === 'stir' ? say.thenMoveItsWater() : say.thenChangeItsWater();
    case 'jar-hungry':
      return say.rootsSinceWhatStays({ ago: ago(reason.rooted, speech) });
    case 'roots-long':
      return reason.mm === null
        ? say.rootsForTwoWeeks({ rootSpan: rootSpan(length) })
        : say.rootsOfKeptMoist({ length: lengthText(reason.mm, length, locale) });
    case 'opened':
      return say.outOfClosedAir();
    case 'stored':
      return say.seedIsKeptDry({ days: Math.round(reason.days / 7) });
    case 'sow':
      return say.onTheSurfaceBarely();
    case 'harden':
      return say.nowShadeAtNoon({ lightPlace: LIGHT_PLACE[reason.to] });
    case 'feed':
      return reason.fed === null
        ? say.itGrowsByThe({
            what:
              reason.rooted === null ? '' : say.withRootsSince({ ago: ago(reason.rooted, speech) }),
          })
        : say.lastFedAndIt({ ago: ago(reason.fed, speech) });
    case 'mother-leaf':
      return say.itFeedsThePup();
    case 'ready-roots':
      return say.rootsOfIsThe({
        length: lengthText(reason.mm, length, locale),
        rootSpan: rootSpan(length),
      });
    case 'pot-bound':
      return say.rootsFillThePot();
    case 'ready-leaf-off':
      return say.theMotherLeafIs();
    case 'ready-counted':
      return `${READY[reason.by](lengthText(25, length, locale))}${
        reason.heads === null ? '' : say.inAllPartThem({ heads: reason.heads })
      }`;
    case 'potted-whole':
      return say.theBallCameWhole();
    case 'potted-rested':
      return say.rootsWereBaredOr({ days: reason.days });
    case 'noon-sun':
      return say.withoutRootsItCannot();
    case 'shaded':
      return say.newInItsPot();
    case 'rest-drink':
      return reason.by === 'heat' ? say.tooHotALittle() : say.itRestsALittle();
    case 'resting':
      return say.noFeed({
        what: reason.by === 'heat' ? say.tooHotForIt() : say.itRestsCoolAnd(),
        what2: reason.opens === null ? '' : say.until({ nearDay: nearDay(reason.opens, speech) }),
      });
    case 'grown':
      return say.aPlantLikeAny();
    case 'put-off':
      return say.postponed({ taskName: TASK_NAME[reason.task], text: reason.text });
    case 'nothing-due':
      return say.nothingIsDueHave();
    case 'rot-near':
      return say.hadRotLookAt({
        batchName: speech.batchName(reason.near.batch),
        ago: ago(reason.near.day, speech),
        linkName: LINK_NAME[reason.near.link],
      });
    case 'mother-dry':
      return say.asDryAsBefore({ deed: DEED[reason.what], ago: ago(reason.on, speech) });
    case 'mother-drinks':
      return say.itHasBeenDry({ deed: DEED[reason.what], ago: ago(reason.on, speech) });
    case 'mother-shade':
      return say.brightShadeWhileRoots({ deed: DEED[reason.what], ago: ago(reason.on, speech) });
    case 'mother-light':
      return say.backIntoItsLight({ deed: DEED[reason.what], ago: ago(reason.on, speech) });
    case 'mother-feed':
      return say.andItGrowsBy({ deed: DEED[reason.what], ago: ago(reason.on, speech) });
    case 'regrowth':
    case 'regrowing':
      return reason.heads && reason.heads.count > 0
        ? say.theNextCutWhen({ heads: headsText(reason.heads, speech) })
        : say.cut2({ ago: ago(reason.cut, speech), where: WHERE[reason.where] });
    case 'buds':
      return say.aBudOrA({
        deed: DEED[reason.what],
        ago: ago(reason.on, speech),
        what: reason.heads ? ` ${headsText(reason.heads, speech)}.` : '',
      });
    case 'buds-ahead':
      return say.theBudsTellHow({ deed: DEED[reason.what], ago: ago(reason.on, speech) });
    case 'sign':
      return `${SIGN_NAME[reason.sign]} ${ago(reason.seen, speech)}. ${SIGN_THEN[reason.sign] ?? ''}`.trim();
  }
}

/** What of it stands under water. Common practice, no source. */
const JUST_UNDER: Readonly<Record<JarEnd, string>> = {
  get stem() {
    return say.theStemOnlyJust();
  },
  get stalk() {
    return say.theStalkOnlyJust();
  },
  get base() {
    return say.itsBaseEndOnly();
  },
};

const UNDER: Readonly<Record<JarEnd, (depth: string) => string>> = {
  stem: (deep) => say.onlyBareStemUnder({ deep }),
  stalk: (deep) => say.onlyTheStalkUnder({ deep }),
  base: (deep) => say.theEndThatStood({ deep }),
};

const TOO_SOON: Readonly<Record<Awaited | Young, string>> = {
  get roots() {
    return say.rootsAreNotExpected();
  },
  get pups() {
    return say.pupsAreNotExpected();
  },
  get heads() {
    return say.newHeadsAreNot();
  },
  get joints() {
    return say.newJointsAreNot();
  },
  get plantlets() {
    return say.plantletsAreNotExpected();
  },
  get 'true-leaves'() {
    return say.trueLeavesAreNot();
  },
  get shoots() {
    return say.shootsAreNotExpected();
  },
  get seedlings() {
    return say.seedlingsAreNotExpected();
  },
  get hold() {
    return say.itHasItsRoots();
  },
};

/** What may be done for what waits long. Common practice, no source. */
const LONG_THEN: Readonly<Record<LongThen, string>> = {
  get 'cut-again'() {
    return say.aFreshCutMore();
  },
  get leaf() {
    return say.firmOnesMayLie();
  },
  get section() {
    return say.firmOnesMayStand();
  },
  get jar() {
    return say.aFreshCutFresh();
  },
  get 'own-roots'() {
    return say.lookAtTheBase();
  },
  get 'root-piece'() {
    return say.moreWarmthFirmPieces();
  },
  get seed() {
    return say.oldSeedTooCold();
  },
};

/** Where new growth is looked for. Common practice, no source. */
const WHERE: Readonly<Record<RegrowsAt, string>> = {
  get stem() {
    return say.newHeadsComeOn();
  },
  get soil() {
    return say.newShootsComeFrom();
  },
  get joint() {
    return say.newPadsComeAt();
  },
  get rim() {
    return say.newHeadsComeRound();
  },
  get base() {
    return say.newHeadsComeFrom();
  },
};

/** What is done about it. Common practice, no source. */
const SIGN_THEN: Readonly<Partial<Record<Sign, string>>> = {
  get 'dead-roots'() {
    return say.offWithThemTo();
  },
  get 'black-leaf'() {
    return say.offWithItDry();
  },
  get 'broken-leaf'() {
    return say.itRootsSeldomAnd();
  },
  get 'crown-wet'() {
    return say.tipItOutOr();
  },
  get gnats() {
    return say.theyLiveInWet();
  },
};

const dryText = (n: number): string =>
  n === 0
    ? say.setWithoutDrying()
    : say.toDry({ what: n < 1 ? say.someHours() : capital(days(Math.round(n))) });

const READY: Readonly<Record<ReadyBy, (past: string) => string>> = {
  roots: (past) => say.rootsForFourWeeks({ past }),
  shoots: (past) => say.shootsForFourWeeks({ past }),
  heads: (past) => say.newHeadsForFour({ past }),
  'leaf-pups': () => say.pupsForFourWeeks(),
  section: () => say.newShootsForFour(),
  'true-leaves': () => say.withTrueLeavesThey(),
};

const DEED = {
  get cut() {
    return say.cut();
  },
  get divided() {
    return say.divided();
  },
  get repotted() {
    return say.repotted();
  },
} as const;

/** When the first water was chosen for. */
export const FIRST_SAYS = {
  get 'with-gate'() {
    return say.onceItIsSafe();
  },
  get 'at-once'() {
    return say.atOnce();
  },
  get 'next-day'() {
    return say.aDayAfterSetting();
  },
  get 'few-days'() {
    return say.twoOrThreeDays();
  },
  get week() {
    return say.aboutAWeekAfter();
  },
  get 'roots-show'() {
    return say.onlyOnceRootsShow();
  },
} as const;

const headsText = ({ count, on }: HeadsSeen, speech: Speech): string =>
  `${count === 1 ? say.oneNewHeadOr() : say.newHeadsOrBuds({ count })} ${nearDay(on, speech)}`;

const depth = (unit: Speech['length']): string => (unit === 'in' ? say.about1In() : say.n23CmAt());
/** Roots long enough for a pot. */
export const rootSpan = (unit: Speech['length']): string =>
  unit === 'in' ? say.n12In() : say.n255Cm();

/** From when on the cut bears water; since when, once that day is past. */
const safeText = (opens: Day, speech: Speech): string =>
  opens < speech.today
    ? say.safeToWaterSince({ nearDay: nearDay(opens, speech) })
    : say.safeToWaterFrom({ nearDay: nearDay(opens, speech) });

/** One tacky look long past its time says little of when it closes: the next one does. */
export const slowWoundText = (again: Day, speech: Speech): string =>
  say.stillTackyFarSlower({ nearDay: nearDay(again, speech) });
