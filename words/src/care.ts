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
      return `${ask.batch.method === 'seed' ? 'Gather' : 'Cut'} ${pieces(ask, speech)}`;
    case 'stick':
      return ask.reason.why === 'into-jar'
        ? `Into the jar: ${pieces(ask, speech)}`
        : ask.reason.why === 'sow'
          ? `Sow ${pieces(ask, speech)}`
          : ask.onto
            ? `Lay ${pieces(ask, speech)} on the mix`
            : `Set ${pieces(ask, speech)} in the mix`;
    case 'first-water':
      return `${first(ask)}${amount(ask, speech)}${some(ask, speech)}`;
    case 'water':
    case 'mist':
      return `${verb(ask)}${amount(ask, speech)}${some(ask, speech)}`;
    case 'pot-water':
      return `First drink in the pot, ${pieces(ask, speech)}`;
    case 'pot-on':
      return `Pot on ${pieces(ask, speech)}`;
    case 'wean':
      return `Move ${pieces(ask, speech)} from the jar into the mix`;
    case 'light':
      return ask.reason.why === 'harden' && ask.reason.of > 1
        ? `A step more light, ${ask.reason.step} of ${ask.reason.of}`
        : 'A step more light';
    case 'feed':
      return 'Feed at half strength';
    case 'jar-feed':
      return 'Feed in the jar, half strength';
    case 'jar-change':
      return 'Change the water, wash the jar';
    case 'jar-stir':
      return 'Move the water gently';
    case 'roots':
      return rootsTitle(ask.reason);
    case 'leaf-off':
      return 'Is the mother leaf crisp?';
    case 'stopped':
      return 'The wound stands still';
    case 'pool':
      return 'Water stands at the base';
    case 'air':
      return ask.reason.why === 'opened'
        ? `A step more air, ${ask.reason.step} of ${ask.reason.of}`
        : 'A step more air';
    case 'pups':
      return ask.reason.why === 'pups'
        ? `Look for ${YOUNG_NAME[ask.reason.young]}`
        : 'Look for new growth';
    case 'wound':
      return 'Touch one wound';
    case 'overdue':
      return ask.reason.why === 'long-without-roots'
        ? longTitle(ask.reason)
        : ask.reason.why === 'bare-long'
          ? longTitle({ ...ask.reason, then: 'leaf' })
          : 'Long without roots';
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
  const some = count < of ? `${count} of ${of}: ` : '';
  const says =
    then === 'own-roots'
      ? 'long without a hold'
      : then === 'seed'
        ? 'long without seedlings'
        : then === 'root-piece'
          ? 'long without shoots'
          : 'long without roots';
  return some === '' ? capital(says) : `${some}${says}`;
}

function rootsTitle(reason: Reason): string {
  switch (reason.why) {
    case 'not-yet':
      return rootsTitle(reason.look);
    case 'glass':
      return 'Look through the glass';
    case 'bare-roots':
      return 'Look for root points';
    case 'lying':
      return 'Look for roots where they lie';
    case 'roots-seen':
      return 'Count those with roots';
    case 'taken-hold':
      return 'See whether it has taken hold';
    case 'shoots':
      return 'Look for shoots';
    case 'seedlings':
      return 'Look for seedlings';
    default:
      return 'Tug lightly: roots?';
  }
}

const VERB = {
  misted: 'Mist',
  soaked: 'Soak',
  poured: 'Water',
  bottom: 'Water from below',
} as const;

const verb = (ask: Do): string =>
  isSip(ask)
    ? 'Sips at the base'
    : ask.drink
      ? VERB[ask.drink.manner]
      : ask.kind === 'mist'
        ? 'Mist the surface'
        : 'Water';

/** Some drops to each, of what shares a tray. */
const isSip = ({ reason }: Do): boolean =>
  (reason.why === 'habit' && reason.regime === 'base') ||
  (reason.why === 'verdict' && reason.is.why === 'regime' && reason.is.regime === 'base');

const isMist = (ask: Do): boolean =>
  ask.drink ? ask.drink.manner === 'misted' : ask.kind === 'mist';

const first = (ask: Do): string =>
  isMist(ask) || (ask.drink === undefined && ask.manner === 'misted')
    ? 'First misting'
    : 'First water';

function amount(ask: Do, { length, locale }: Speech): string {
  if (!ask.drink || ask.drink.manner === 'misted') return '';
  const drink = drinkText(ask.drink.ml, ask.batch.containers ?? 1, length, locale);
  // What stands in a pot without a hole stands there for good.
  const closed = ask.drink.closed ? '; nothing can run out' : '';
  return `, ${drink}${isSip(ask) && !drink.endsWith('each') ? ' in all' : ''}${closed}`;
}

/** A sentence has one end: a question keeps its mark. */
export const ended = (text: string): string => (/[.?!]$/.test(text) ? text : `${text}.`);

/** `12 days late`; empty while it is not. */
export const lateText = ({ late }: Pick<Ask, 'late'>): string =>
  late < LATE_FROM ? '' : `${days(late)} late`;
/** A day or two is no lateness in this trade. */
const LATE_FROM = 3;

const ago = (day: string, speech: Speech): string => {
  const n = daysBetween(day, speech.today);
  return n <= 0 ? 'today' : n === 1 ? 'yesterday' : `${days(n)} ago`;
};

const habitText = (regime: RegimeId, rooted: boolean): string => {
  const name = REGIME_NAME[regime];
  return rooted ? name : name.toLowerCase();
};

const missingText = (missing: readonly ('pot' | 'mix')[]): string =>
  missing.length === 0
    ? ''
    : ` Its ${missing.join(' and ')} ${missing.length > 1 ? 'are' : 'is'} not told, so this is by habit: tell ${missing.length > 1 ? 'them' : 'it'} and the pot is worked out.`;

/** Why it is asked or left alone, in one or two sentences. */
export function reasonText(reason: Reason, speech: Speech): string {
  const { length, locale, temperature } = speech;
  switch (reason.why) {
    case 'planned':
      return `Planned for ${nearDay(reason.on, speech)}.`;
    case 'plump-mother':
      return `The cut is planned for ${nearDay(reason.cutOn, speech)}: a plump piece lives off itself until it roots.`;
    case 'closing':
      if (reason.again !== null) return slowText(reason.again, speech);
      return `The cut is ${closureText(reason.closure)}${reason.opens === null ? '' : `; safe to water from ${nearDay(reason.opens, speech)}`}.`;
    case 'chosen-days':
      return `${dryText(reason.days)}, as you chose${reason.opens === null ? '' : `; safe to water from ${nearDay(reason.opens, speech)}`}.`;
    case 'stopped':
      return reason.tacky
        ? 'Still tacky far past its time: look for rot, and cut afresh.'
        : 'Too cold, too hot or too damp here to close within a year. Move it.';
    case 'touch':
      return 'Dry and firm, or still tacky? Either answer moves the date.';
    case 'no-wound':
      return reason.ownRoots
        ? 'It has its own roots and no open cut: no deeper than it stood.'
        : 'Nothing is cut: it came away by itself.';
    case 'closed':
      return 'The cut is likely closed. Dry mix, and no water yet.';
    case 'school':
      return reason.school === 'straight-in'
        ? 'Potted at once, as you do it: into dry mix, and no water yet.'
        : `${WOUND_SCHOOL[reason.school].name}: into dry mix, and no water yet.`;
    case 'into-jar':
      return `The cut is closed. ${UNDER[reason.under](depth(length))}, held by a narrow neck or a float; soft or stood water.`;
    case 'roots-on-rack':
      return reason.misted
        ? 'Roots showed where they lie: onto the mix, then a mist.'
        : 'Roots showed before they were set: into the mix now, then the first drink.';
    case 'gate-opened':
      return `Safe since ${nearDay(reason.on, speech)}: the cut can bear it.${
        reason.open > 0 ? ` About ${reason.open} of them may be open still.` : ''
      }`;
    case 'settles':
      return 'No open cut: water settles the mix round the roots.';
    case 'sown':
      return 'Sown: the surface kept just damp until they are up, never soaked.';
    case 'woke':
      return 'It was too cold for it to grow, and wet it would have rotted: now it grows again.';
    case 'first-chosen':
      return `${FIRST_SAYS[reason.choice]}, as you chose${
        reason.open === null
          ? '.'
          : reason.open.closes === null
            ? ', with the cut still open: it may rot.'
            : `, with the cut still open: it may rot. By itself it would be safe ${nearDay(reason.open.closes, speech)}.`
      }`;
    case 'roots-first':
      return `Its first water waits until roots show${reason.look === null ? '' : `; look for them ${nearDay(reason.look, speech)}`}.`;
    case 'roots-show':
      return reason.misted
        ? 'Roots show: a mist, so that they do not dry out before they reach the mix.'
        : 'Roots show: the first real drink.';
    case 'laid-dry':
      return 'Laid pieces stay dry for three days, then they are misted.';
    case 'verdict':
      return verdictReasonText(reason.is, speech);
    case 'unread':
      return `Its pot is being worked out. Last water ${ago(reason.last, speech)}.`;
    case 'habit':
      return `${reason.wet ? 'Set in wet mix' : 'Last water'} ${ago(reason.last, speech)}; every ${reason.days === 1 ? 'day' : days(reason.days)} in this air. ${
        reason.regime === null
          ? `${ruleText(WATER_SCHOOL[reason.school].name, length)}.`
          : `${reason.hasRoots ? '' : 'No roots yet: '}${habitText(reason.regime, reason.hasRoots)}.`
      }${reason.felt ? ` Felt ${reason.felt.seen} ${ago(reason.felt.day, speech)}.` : ''}${reason.regime === 'base' ? '' : missingText(reason.missing)}`;
    case 'mist':
      return `${reason.last === null ? 'Set in wet mix' : `Last mist ${ago(reason.last, speech)}`}; the air takes ${evaporationText(reason.evaporationMm, length, locale)}: every ${reason.days === 1 ? 'day' : days(reason.days)}. Hold while it is damp.`;
    case 'dry-until-roots':
      return `No roots yet, so it drinks next to nothing: dry until they show${reason.look === null ? '' : `, look ${nearDay(reason.look, speech)}`}. Wrinkling is normal.`;
    case 'tapers':
      return `Out of the jar for ${days(reason.days)}, last water ${ago(reason.last, speech)}: moist for two weeks, then drier by steps; now every ${days(reason.every)}.`;
    case 'too-soon':
      return TOO_SOON[reason.for];
    case 'looked-lately':
      return reason.free
        ? 'Looked at lately; not much is new before then.'
        : 'Counted lately; each look sets roots back.';
    case 'bare-roots':
      return `${reason.held} of ${reason.of} have roots. Those that show root points are ${reason.misted ? 'set on the mix and misted' : 'leaned in their mix, damp on top'}; the rest stay.`;
    case 'bare-long':
      return `Past ${reason.count === 1 ? 'its' : 'their'} window without roots: try a light misting, or give ${reason.count === 1 ? 'it' : 'them'} up.`;
    case 'lying':
      return `${reason.held === null ? '' : `${reason.held} of ${reason.of} have roots. `}Nothing needs lifting. Those with roots: the base onto the mix.`;
    case 'tug':
      return `${reason.held === null ? '' : `${reason.held} of ${reason.of} held at the last count. `}Wrinkled is normal; mind a dark, soft base.`;
    case 'not-yet':
      return `Not yet, and not given up. ${everText({ pieces: reason.count, ever: reason.ever })}`;
    case 'glass':
      return 'Nothing needs lifting. White tips are roots, slime is rot.';
    case 'roots-seen':
      return 'Roots were seen: what has them is set and watered.';
    case 'taken-hold':
      return 'No tugging: firm, and new growth, is enough.';
    case 'shoots':
      return 'Shoots come in ten to fourteen weeks; nearly dry until then.';
    case 'seedlings':
      return 'Count them where they stand; they are not moved before true leaves.';
    case 'pups':
      return reason.young === 'true-leaves'
        ? `${reason.pupped} of ${reason.rooted} seedlings with true leaves at the last count.`
        : `${reason.rooted} with roots, ${reason.pupped} with ${YOUNG_NAME[reason.young]}${
            reason.buds > 0 ? ` and ${reason.buds} with a bud` : ''
          } at the last count.`;
    case 'long-without-roots':
      return `Day ${reason.days}, long past ${reason.count === 1 ? 'its' : 'their'} window: ${LONG_THEN[reason.then]}.`;
    case 'forgotten':
      return `${reason.ask === 'overdue' ? 'A look at those that wait' : `“${TASK_NAME[reason.ask]}”`} has stood for ${days(reason.days)} and nobody touched it since.`;
    case 'stir':
      return `Moved ${ago(reason.since, speech)}; every third day, for air. ${JUST_UNDER[reason.under]}`;
    case 'stale':
      return `The water is from ${ago(reason.since, speech)}; at ${temperatureText(Math.round(reason.tempC), temperature, locale)} every ${days(reason.every)}.`;
    case 'jar-rests':
      return reason.next === 'stir' ? 'Then move its water.' : 'Then change its water.';
    case 'jar-hungry':
      return `Roots since ${ago(reason.rooted, speech)}: what stays in the jar is fed every two weeks.`;
    case 'roots-long':
      return reason.mm === null
        ? `Roots for two weeks: likely ${rootSpan(length)}. Kept moist for two weeks, then drier by steps. Or postpone it, and let it stay until pups.`
        : `Roots of ${lengthText(reason.mm, length, locale)}. Kept moist for two weeks, then drier by steps.`;
    case 'opened':
      return 'Out of closed air by steps over two to three weeks: the lid a finger wider each time. Back a step if it wilts.';
    case 'stored':
      return `Seed is kept dry and airy for about ${counted(Math.round(reason.days / 7), NOUN.week)}, then sown.`;
    case 'sow':
      return 'On the surface, barely covered, damp and bright; warm as it likes to grow.';
    case 'harden':
      return `Now ${LIGHT_PLACE[reason.to]}. Shade at noon if it bleaches.`;
    case 'feed':
      return reason.fed === null
        ? `It grows${reason.rooted === null ? '' : `, with roots since ${ago(reason.rooted, speech)}`}. By the label, halved.`
        : `Last fed ${ago(reason.fed, speech)}, and it grows. By the label, halved.`;
    case 'mother-leaf':
      return 'It feeds the pup. Leave it until it is crisp, and a few days more.';
    case 'ready-roots':
      return `Roots of ${lengthText(reason.mm, length, locale)}: ${rootSpan(length)} is the time.`;
    case 'pot-bound':
      return 'Roots fill the pot: they come out below, or its wall bulges.';
    case 'ready-leaf-off':
      return 'The mother leaf is gone.';
    case 'ready-counted':
      return `${READY[reason.by](lengthText(25, length, locale))}${
        reason.heads === null ? '' : ` ${reason.heads} in all: part them as you pot.`
      }`;
    case 'potted-whole':
      return 'The ball came whole: a drink settles it.';
    case 'potted-rested':
      return `Roots were bared or hurt: dry for ${days(reason.days)}, then the first drink.`;
    case 'noon-sun':
      return 'Without roots it cannot drink: shade it at noon, in hot weather all afternoon.';
    case 'shaded':
      return 'New in its pot: a week or two of shade before sun.';
    case 'resting':
      return `${reason.by === 'heat' ? 'Too hot for it to grow: shade, air and nearly dry' : 'It rests: cool and nearly dry'}, no feed${reason.opens === null ? '' : ` until ${nearDay(reason.opens, speech)}`}.`;
    case 'grown':
      return 'A plant like any other by now. Tell what becomes of it: kept, sold, given, a mother.';
    case 'put-off':
      return `${TASK_NAME[reason.task]}, postponed: ${reason.text}.`;
    case 'nothing-due':
      return 'Nothing is due; have a look at it then.';
    case 'rot-near':
      return `${speech.batchName(reason.near.batch)} had rot ${ago(reason.near.day, speech)}, ${LINK_NAME[reason.near.link]}. Look at the bases, keep it dry, clean the blade before the next cut.`;
    case 'mother-dry':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}: as dry as before for some days, bright.`;
    case 'mother-drinks':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}: it has been dry for about a week.`;
    case 'mother-shade':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}: bright shade while roots mend.`;
    case 'mother-light':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}: back into its light by steps.`;
    case 'mother-feed':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}, and it grows. By the label, halved.`;
    case 'regrowth':
    case 'regrowing':
      return reason.heads && reason.heads.count > 0
        ? `${headsText(reason.heads, speech)}: the next cut when they are as large as what was cut.`
        : `Cut ${ago(reason.cut, speech)}: ${WHERE[reason.where]}.`;
    case 'buds':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}: a bud or a new leaf tells that it was taken well.${reason.heads ? ` ${headsText(reason.heads, speech)}.` : ''}`;
    case 'buds-ahead':
      return `${DEED[reason.what]} ${ago(reason.on, speech)}: the buds tell how it was taken, no sooner.`;
    case 'sign':
      return `${SIGN_NAME[reason.sign]} ${ago(reason.seen, speech)}. ${SIGN_THEN[reason.sign] ?? ''}`.trim();
  }
}

/** What of it stands under water. Common practice, no source. */
const JUST_UNDER: Readonly<Record<JarEnd, string>> = {
  stem: 'The stem only just under.',
  stalk: 'The stalk only just under, the blade dry.',
  base: 'Its base end only just under.',
};

const UNDER: Readonly<Record<JarEnd, (depth: string) => string>> = {
  stem: (deep) => `Only bare stem under, ${deep}; leaves above`,
  stalk: (deep) => `Only the stalk under, ${deep}; the blade above`,
  base: (deep) => `The end that stood lower under, ${deep}`,
};

const TOO_SOON: Readonly<Record<Awaited | Young, string>> = {
  roots: 'Roots are not expected sooner.',
  pups: 'Pups are not expected sooner.',
  heads: 'New heads are not expected sooner.',
  joints: 'New joints are not expected sooner.',
  plantlets: 'Plantlets are not expected sooner.',
  'true-leaves': 'True leaves are not expected sooner.',
  shoots: 'Shoots are not expected sooner.',
  seedlings: 'Seedlings are not expected sooner.',
  hold: 'It has its roots; new growth will tell that it has taken hold.',
};

/** What may be done for what waits long. Common practice, no source. */
const LONG_THEN: Readonly<Record<LongThen, string>> = {
  'cut-again': 'a fresh cut, more warmth, a little moisture',
  leaf: 'firm ones may lie on, glassy or brown ones go',
  section: 'firm ones may stand on in more warmth, soft ones go',
  jar: 'a fresh cut, fresh water, more warmth',
  'own-roots': 'look at the base; what is soft or loose comes out',
  'root-piece': 'more warmth; firm pieces may lie on, nearly dry',
  seed: 'old seed, too cold or too deep; more warmth, then give it up',
};

/** Where new growth is looked for. Common practice, no source. */
const WHERE: Readonly<Record<RegrowsAt, string>> = {
  stem: 'new heads come on the bare stem in 3–6 weeks. Cut again when they are as large as a crown',
  soil: 'new shoots come from the soil beside the cut, within some months. The cut strap itself never grows on',
  joint: 'new pads come at the joint below the cut in 4–8 weeks of growth',
  rim: 'new heads come round the rim below the cut in 4–8 weeks of growth',
  base: 'new heads come from the base in its season',
};

/** What is done about it. Common practice, no source. */
const SIGN_THEN: Readonly<Partial<Record<Sign, string>>> = {
  'dead-roots': 'Off with them to where they are firm, then some dry days before the next drink.',
  'black-leaf': 'Off with it; dry, and airy, until the rest is seen to be firm.',
  'broken-leaf': 'It roots seldom, and only if its base came whole: look whether it still is firm.',
  'crown-wet': 'Tip it out or blow it dry; water at the rim.',
  gnats: 'They live in wet compost: let it dry out, grit on top.',
};

const dryText = (n: number): string =>
  n === 0 ? 'Set without drying' : `${n < 1 ? 'Some hours' : capital(days(Math.round(n)))} to dry`;

const READY: Readonly<Record<ReadyBy, (past: string) => string>> = {
  roots: (past) => `Roots for four weeks: likely past ${past}.`,
  heads: (past) => `New heads for four weeks: roots likely past ${past}.`,
  'leaf-pups': () => 'Pups for four weeks. Leave the mother leaf on until it is crisp.',
  section: () =>
    'New shoots for four weeks: they have roots of their own. The old piece never grows on; it may go.',
  'true-leaves': () => 'With true leaves they may be moved, each by its leaf, never by its stem.',
};

const DEED = { cut: 'Cut', divided: 'Divided', repotted: 'Repotted' } as const;

/** When the first water was chosen for. */
export const FIRST_SAYS = {
  'with-gate': 'Once it is safe',
  'at-once': 'At once',
  'next-day': 'A day after setting',
  'few-days': 'Two or three days after setting',
  week: 'About a week after setting',
  'roots-show': 'Only once roots show',
} as const;

const headsText = ({ count, on }: HeadsSeen, speech: Speech): string =>
  `${count === 1 ? 'One new head or bud' : `${count} new heads or buds`} ${nearDay(on, speech)}`;

const depth = (unit: Speech['length']): string => (unit === 'in' ? 'about 1 in' : '2–3 cm at most');
/** Roots long enough for a pot. */
export const rootSpan = (unit: Speech['length']): string => (unit === 'in' ? '1–2 in' : '2.5–5 cm');

/** How sure it is, and by what. */
export function sureText(sure: Sure): string {
  switch (sure.by) {
    case 'closure':
      return `closed by now: ${chanceText(sure.chance)}`;
    case 'window':
      return `there by now: ${chanceText(sure.chance)}`;
    case 'pot':
      return `holds ${percentSpan(sure)} of its water, 8 times in 10`;
    default:
      return SURE[sure.by];
  }
}

const SURE = {
  plan: 'as planned',
  practice: 'common practice',
  count: 'counted; a ruler is surer',
  sight: 'by what was seen',
  ruler: 'measured',
  time: 'by time alone',
  habit: 'by habit; the pot is not worked out',
  air: 'by the air of its place',
  fact: 'sure',
} as const;

/** `No water until Sat 28 Nov`, without its reason. */
export function leaveText(leave: Leave, speech: Speech): string {
  const name = LEAVE_NAME[leave.kind];
  if (leave.kind === 'planned') return `Planned for ${nearDay(leave.until, speech)}`;
  if (leave.kind === 'grown') return name;
  if (leave.reason.why === 'noon-sun') return `Shade at noon until ${nearDay(leave.until, speech)}`;
  // Nobody can say when such a rest ends: the day is one to look again.
  if (leave.reason.why === 'resting' && leave.reason.opens === null && leave.kind === 'rest')
    return `${name}; look again ${nearDay(leave.until, speech)}`;
  return `${name} until ${nearDay(leave.until, speech)}`;
}

/** Why it is left alone, with the range where there is one. */
export function leaveReason(leave: Leave, speech: Speech): string {
  const { kind, earliest, latest, reason, closure } = leave;
  const ranged = earliest < latest;
  if (kind === 'gate' && reason.why === 'closing' && reason.again !== null)
    return slowText(reason.again, speech);
  if (kind === 'gate')
    return `The cut is ${closureText(closure)}${ranged ? `; it closes ${daySpan(earliest, latest, speech)}` : ''}.`;
  if (kind === 'water' && ranged && reason.why === 'verdict' && reason.is.why === 'holds')
    return `${percent(Math.min(reason.is.fill, 1))} of its water left; likely ${daySpan(earliest, latest, speech)}.`;
  return reasonText(reason, speech);
}

/** One tacky look long past its time says little of when it closes: the next one does. */
const slowText = (again: Day, speech: Speech): string =>
  `Still tacky, far slower than its like, so this date is only a bound. Touch it again ${nearDay(again, speech)}: firm then, it is soon safe; soft or dark, cut afresh.`;

/** A day of water that was moved: `Water from Mon 14 Dec instead of Thu 10 Dec: it was still tacky.` */
export function waterMovedText({ from, to, leave }: WaterMoved, speech: Speech): string {
  const say = (day: Day | null): string => (day === null ? 'today' : nearDay(day, speech));
  const why = leave ? ` ${leaveReason(leave, speech)}` : '';
  return `Water from ${say(to)} instead of ${say(from)}.${why}`;
}

/** What a mother asks, short. */
export const motherAskText = (ask: MotherAsk): string => MOTHER_TASK[ask.kind];
export const motherLeaveText = (leave: MotherLeave, speech: Speech): string =>
  leave.reason.why === 'mother-dry'
    ? `No water until ${nearDay(leave.until, speech)}`
    : leave.reason.why === 'mother-shade'
      ? `Shade until ${nearDay(leave.until, speech)}`
      : `Leave alone until ${nearDay(leave.until, speech)}`;

/** What to mind when a mother is repotted. Common practice, no source. */
export const repottingText = ({ length }: Speech): string =>
  ruleText(
    'Same depth as the pale band shows, old dark or mushy roots off, old peat shaken out, a pot 1–2 cm wider than the roots, 1–1.5 cm free below the rim.',
    length,
  );
