import { METHOD } from '@hypogeon/core/botany';
import type {
  Ask,
  Do,
  Leave,
  MotherAsk,
  MotherLeave,
  Reason,
  WaterMoved,
} from '@hypogeon/core/care';
import type { Day } from '@hypogeon/core/days';
import * as say from '@hypogeon/messages/care';
import { drinkText } from './amounts';
import { capital } from './capital';
import { closureText } from './chances';
import { daySpan, nearDay } from './days';
import { counted, NOUN } from './plural';
import { ruleText } from './quantities';
import { reasonText, slowWoundText } from './reasons';
import { percent } from './shares';
import type { Speech } from './speech';
import { LEAVE_NAME, MOTHER_TASK, TASK_NAME, YOUNG_NAME } from './tasks';

/** `12 crowns`, `one leaf`. */
export function piecesText(method: Ask['batch']['method'], count: number): string {
  return `${count} ${count === 1 ? METHOD[method].one : METHOD[method].many}`;
}

/** `6 strap leaves`: as the plant's pieces are called. */
function pieces({ batch, count, kind }: Ask | Leave, { wayOf }: Speech): string {
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
        : ask.reason.why === 'no-wound' && ask.reason.left
          ? say.leaveInTheirPot({ pieces: pieces(ask, speech) })
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
    : ask.reason.why === 'rest-drink'
      ? say.aLittleWater()
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
  if (leave.kind === 'shade' && leave.count < livingIn(leave.batch))
    return say.keepShaded({
      pieces: pieces(leave, speech),
      nearDay: nearDay(leave.until, speech),
    });
  return say.until2({ name, nearDay: nearDay(leave.until, speech) });
}

/** Why it is left alone, with the range where there is one. */
export function leaveReason(leave: Leave, speech: Speech): string {
  const { kind, earliest, latest, reason, closure } = leave;
  const ranged = earliest < latest;
  if (kind === 'gate' && reason.why === 'closing' && reason.again !== null)
    return slowWoundText(reason.again, speech);
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
