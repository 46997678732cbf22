import type {
  Ask,
  Do,
  HeadsSeen,
  Leave,
  MotherAsk,
  Awaited,
  JarEnd,
  LongThen,
  MotherLeave,
  ReadyBy,
  Reason,
  RegrowsAt,
  Sure,
  WaterMoved,
} from '@hypogeon/core/care';
import { METHOD, type Young } from '@hypogeon/core/botany';
import { daysBetween, type Day } from '@hypogeon/core/days';
import type { Sign } from '@hypogeon/core/journal';
import { WATER_SCHOOL, type RegimeId } from '@hypogeon/core/water';
import { WOUND_SCHOOL } from '@hypogeon/core/wound';
import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/care';
import { capital } from './capital';
import { drinkText, evaporationText } from './amounts';
import { chanceText, closureText } from './chances';
import { daySpan, nearDay } from './days';
import { counted, NOUN } from './plural';
import { lengthText, ruleText, temperatureText } from './quantities';
import { percent, percentSpan } from './shares';
import { everText } from './roots-fan';
import type { Speech } from './speech';
import {
  LEAVE_NAME,
  LIGHT_PLACE,
  LINK_NAME,
  MOTHER_TASK,
  TASK_NAME,
  SIGN_NAME,
  YOUNG_NAME,
} from './tasks';
import { REGIME_NAME, verdictReasonText } from './verdicts';

const days = (n: number): string => counted(n, NOUN.day);

/** `12 crowns`, `one leaf`. */
export function piecesText(method: Ask['batch']['method'], count: number): string {
  return `${count} ${count === 1 ? METHOD[method].one : METHOD[method].many}`;
}

/** `6 strap leaves`: as the plant's pieces are called. */
function pieces({ batch, count, kind }: Ask, { wayOf }: Speech): string {
  // Seed that came up is no seed any more.
  if (batch.method === 'seed' && kind !== 'cut' && kind !== 'stick')
    return counted(count, NOUN.seedling);
  const { one, many } = wayOf(batch);
  return `${count} ${count === 1 ? one : many}`;
}

/** Some of them only: their number is said. */
const some = (ask: Ask, speech: Speech): string =>
  ask.count < livingIn(ask.batch) ? `, ${pieces(ask, speech)}` : '';

const livingIn = ({ here }: Ask['batch']): number => here.waiting + here.rooted + here.pupped;

/** What is asked, short, with how much. */
export function askText(ask: Ask, speech: Speech): string {
  switch (ask.kind) {
    case 'cut':
      return `${ask.batch.method === 'seed' ? say.gather() : say.cut()} ${pieces(ask, speech)}`;
    case 'stick':
      return ask.reason.why === 'into-jar'
        ? say.intoTheJar({ pieces: pieces(ask, speech) })
        : ask.reason.why === 'sow'
          ? say.sow({ pieces: pieces(ask, speech) })
          : ask.onto
            ? say.layOnTheMix({ pieces: pieces(ask, speech) })
            : say.setInTheMix({ pieces: pieces(ask, speech) });
    case 'first-water':
      return `${first(ask)}${amount(ask, speech)}${some(ask, speech)}`;
    case 'water':
    case 'mist':
      return `${verb(ask)}${amount(ask, speech)}${some(ask, speech)}`;
    case 'pot-water':
      return say.firstDrinkInThe({ pieces: pieces(ask, speech) });
    case 'pot-on':
      return say.potOn({ pieces: pieces(ask, speech) });
    case 'wean':
      return say.moveFromTheJar({ pieces: pieces(ask, speech) });
    case 'light':
      return ask.reason.why === 'harden' && ask.reason.of > 1
        ? say.aStepMoreLight({ step: ask.reason.step, of: ask.reason.of })
        : say.aStepMoreLight2();
    case 'feed':
      return say.feedAtHalfStrength();
    case 'jar-feed':
      return say.feedInTheJar();
    case 'jar-change':
      return say.changeTheWaterWash();
    case 'jar-stir':
      return say.moveTheWaterGently();
    case 'roots':
      return rootsTitle(ask.reason);
    case 'leaf-off':
      return say.isTheMotherLeaf();
    case 'stopped':
      return say.theWoundStandsStill();
    case 'pool':
      return say.waterStandsAtThe();
    case 'air':
      return ask.reason.why === 'opened'
        ? say.aStepMoreAir({ step: ask.reason.step, of: ask.reason.of })
        : say.aStepMoreAir2();
    case 'pups':
      return ask.reason.why === 'pups'
        ? say.lookFor({ youngName: YOUNG_NAME[ask.reason.young] })
        : say.lookForNewGrowth();
    case 'wound':
      return say.touchOneWound();
    case 'overdue':
      return ask.reason.why === 'long-without-roots'
        ? longTitle(ask.reason)
        : ask.reason.why === 'bare-long'
          ? longTitle({ ...ask.reason, then: 'leaf' })
          : say.longWithoutRoots();
    default:
      return TASK_NAME[ask.kind];
  }
}

/** Of those without roots alone, with their number. */
function longTitle({
  count,
  of,
  then,
}: Pick<Extract<Reason, { why: 'long-without-roots' }>, 'count' | 'of' | 'then'>): string {
  const some = count < of ? say.ofWord({ count, of }) : '';
  const says =
    then === 'own-roots'
      ? say.longWithoutAHold()
      : then === 'seed'
        ? say.longWithoutSeedlings()
        : then === 'root-piece'
          ? say.longWithoutShoots()
          : say.longWithoutRoots2();
  return some === '' ? capital(says) : `${some}${says}`;
}

function rootsTitle(reason: Reason): string {
  switch (reason.why) {
    case 'not-yet':
      return rootsTitle(reason.look);
    case 'glass':
      return say.lookThroughTheGlass();
    case 'bare-roots':
      return say.lookForRootPoints();
    case 'lying':
      return say.lookForRootsWhere();
    case 'roots-seen':
      return say.countThoseWithRoots();
    case 'taken-hold':
      return say.seeWhetherItHas();
    case 'shoots':
      return say.lookForShoots();
    case 'seedlings':
      return say.lookForSeedlings();
    default:
      return say.tugLightlyRoots();
  }
}

const VERB = {
  get misted() {
    return say.mist();
  },
  get soaked() {
    return say.soak();
  },
  get poured() {
    return say.water();
  },
  get bottom() {
    return say.waterFromBelow();
  },
} as const;

const verb = (ask: Do): string =>
  isSip(ask)
    ? say.sipsAtTheBase()
    : ask.drink
      ? VERB[ask.drink.manner]
      : ask.kind === 'mist'
        ? say.mistTheSurface()
        : say.water();

/** Some drops to each, of what shares a tray. */
const isSip = ({ reason }: Do): boolean =>
  (reason.why === 'habit' && reason.regime === 'base') ||
  (reason.why === 'verdict' && reason.is.why === 'regime' && reason.is.regime === 'base');

const isMist = (ask: Do): boolean =>
  ask.drink ? ask.drink.manner === 'misted' : ask.kind === 'mist';

const first = (ask: Do): string =>
  isMist(ask) || (ask.drink === undefined && ask.manner === 'misted')
    ? say.firstMisting()
    : say.firstWater();

function amount(ask: Do, { length, locale }: Speech): string {
  if (!ask.drink || ask.drink.manner === 'misted') return '';
  const drink = drinkText(ask.drink.ml, ask.batch.containers ?? 1, length, locale);
  // What stands in a pot without a hole stands there for good.
  const closed = ask.drink.closed ? say.nothingCanRunOut() : '';
  return `, ${drink}${isSip(ask) && (ask.batch.containers ?? 1) === 1 ? say.inAll() : ''}${closed}`;
}

/** A sentence has one end: a question keeps its mark. */
export const ended = (text: string): string => (/[.?!]$/.test(text) ? text : `${text}.`);

/** `12 days late`; empty while it is not. */
export const lateText = ({ late }: Pick<Ask, 'late'>): string =>
  late < LATE_FROM ? '' : say.dayLate({ late });
/** A day or two is no lateness in this trade. */
const LATE_FROM = 3;

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
      if (reason.again !== null) return slowText(reason.again, speech);
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

/** How sure it is, and by what. */
export function sureText(sure: Sure): string {
  switch (sure.by) {
    case 'closure':
      return say.closedByNow({ chance: chanceText(sure.chance) });
    case 'window':
      return say.thereByNow({ chance: chanceText(sure.chance) });
    case 'pot':
      return say.holdsOfItsWater({ percentSpan: percentSpan(sure) });
    default:
      return SURE[sure.by];
  }
}

const SURE = {
  get plan() {
    return say.asPlanned();
  },
  get practice() {
    return say.commonPractice();
  },
  get count() {
    return say.countedARulerIs();
  },
  get sight() {
    return say.byWhatWasSeen();
  },
  get ruler() {
    return say.measured();
  },
  get time() {
    return say.byTimeAlone();
  },
  get habit() {
    return say.byHabitThePot();
  },
  get air() {
    return say.byTheAirOf();
  },
  get fact() {
    return say.sure();
  },
} as const;

/** `No water until Sat 28 Nov`, without its reason. */
export function leaveText(leave: Leave, speech: Speech): string {
  const name = LEAVE_NAME[leave.kind];
  if (leave.kind === 'planned') return say.plannedFor2({ nearDay: nearDay(leave.until, speech) });
  if (leave.kind === 'grown') return name;
  if (leave.reason.why === 'noon-sun')
    return say.shadeAtNoonUntil({ nearDay: nearDay(leave.until, speech) });
  // Nobody can say when such a rest ends: the day is one to look again.
  if (leave.reason.why === 'resting' && leave.reason.opens === null && leave.kind === 'rest')
    return say.lookAgain({ name, nearDay: nearDay(leave.until, speech) });
  return say.until2({ name, nearDay: nearDay(leave.until, speech) });
}

/** Why it is left alone, with the range where there is one. */
export function leaveReason(leave: Leave, speech: Speech): string {
  const { kind, earliest, latest, reason, closure } = leave;
  const ranged = earliest < latest;
  if (kind === 'gate' && reason.why === 'closing' && reason.again !== null)
    return slowText(reason.again, speech);
  if (kind === 'gate') {
    const closes = say.theCutIs({
      closure: closureText(closure),
      what: ranged ? say.itCloses({ daySpan: daySpan(earliest, latest, speech) }) : '',
    });
    return reason.why === 'closing' && reason.then
      ? `${closes} ${reasonText(reason.then, speech)}`
      : closes;
  }
  if (kind === 'water' && ranged && reason.why === 'verdict' && reason.is.why === 'holds')
    return say.ofItsWaterLeft({
      percent: percent(Math.min(reason.is.fill, 1)),
      daySpan: daySpan(earliest, latest, speech),
    });
  return reasonText(reason, speech);
}

/** From when on the cut bears water; since when, once that day is past. */
const safeText = (opens: Day, speech: Speech): string =>
  opens < speech.today
    ? say.safeToWaterSince({ nearDay: nearDay(opens, speech) })
    : say.safeToWaterFrom({ nearDay: nearDay(opens, speech) });

/** One tacky look long past its time says little of when it closes: the next one does. */
const slowText = (again: Day, speech: Speech): string =>
  say.stillTackyFarSlower({ nearDay: nearDay(again, speech) });

/** A day of water that was moved: `Water from Mon 14 Dec instead of Thu 10 Dec: it was still tacky.` */
export function waterMovedText({ from, to, leave }: WaterMoved, speech: Speech): string {
  const told = (day: Day | null): string => (day === null ? say.today() : nearDay(day, speech));
  const why = leave ? ` ${leaveReason(leave, speech)}` : '';
  return say.waterFromInsteadOf({ to: told(to), from: told(from), why });
}

/** What a mother asks, short. */
export const motherAskText = (ask: MotherAsk): string => MOTHER_TASK[ask.kind];
export const motherLeaveText = (leave: MotherLeave, speech: Speech): string =>
  leave.reason.why === 'mother-dry'
    ? say.noWaterUntil({ nearDay: nearDay(leave.until, speech) })
    : leave.reason.why === 'mother-shade'
      ? say.shadeUntil({ nearDay: nearDay(leave.until, speech) })
      : say.leaveAloneUntil({ nearDay: nearDay(leave.until, speech) });

/** What to mind when a mother is repotted. Common practice, no source. */
export const repottingText = ({ length }: Speech): string => ruleText(say.sameDepthAsThe(), length);
