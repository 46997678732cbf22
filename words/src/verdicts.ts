import {
  WATER_SCHOOL,
  type RegimeId,
  type UnrootedWaterId,
  type VerdictReason,
  type VerdictUnless,
} from '@hypogeon/core/water';
import { capital } from './capital';
import { counted, NOUN } from './plural';
import { volumeText } from './amounts';
import { lengthText, ruleText } from './quantities';
import { percent } from './shares';
import type { Speech } from './speech';

const share = (fill: number): string => percent(Math.min(fill, 1));
const days = (n: number): string => counted(n, NOUN.day);

/** What a piece without roots is given. */
export const UNROOTED_NAME: Readonly<Record<UnrootedWaterId, string>> = {
  dry: 'Dry until there are roots',
  sip: 'A small drink when bone dry for days',
  damp: 'The surface kept just damp',
  mist: 'Misted',
  half: 'As if rooted, but half as much',
};

export const REGIME_NAME: Readonly<Record<RegimeId, string>> = {
  ...UNROOTED_NAME,
  base: 'Some drops at the base of each',
};

/** The same of young roots, with its reason. Common practice, no source. */
const YOUNG: Readonly<Record<RegimeId, string>> = {
  ...REGIME_NAME,
  mist: 'Young roots at the surface dry out: misted until they hold in the mix, never soaked',
  damp: 'Young roots dry out: the surface kept just damp until each stands in a pot',
  base: 'Their roots hold: some drops at the base of each, not the whole tray',
};

/** Why the verdict on a pot is what it is. */
export function verdictReasonText(reason: VerdictReason, speech: Speech): string {
  switch (reason.why) {
    case 'gate-stopped':
      return 'The wound does not close in this air.';
    case 'gate-closed':
      return 'The cut is still open: wet medium would rot it.';
    case 'pool':
      return `Water stands at the closed base (about ${volumeText(reason.ml, speech.length, speech.locale)}): roots there drown.`;
    case 'first-waits':
      return reason.for === 'roots'
        ? 'Its first water waits until roots show.'
        : 'The cut could bear it; its first water was chosen for later.';
    case 'first-mist':
      return 'It is safe now: a first mist wakes roots at the surface.';
    case 'first-drink':
      return `It is safe now: a first drink, no deeper than the stem (${lengthText(reason.depthMm, speech.length, speech.locale)}).`;
    case 'holds': {
      const weaning = reason.weaning ? ' Roots from water are weaned by steps.' : '';
      if (reason.school === 'mist') return `Misted lately: the surface is still moist.${weaning}`;
      if (reason.school === 'weekly')
        return `A week has not passed; it still holds ${share(reason.fill)} of its water.`;
      return `It still holds ${share(reason.fill)} of its water; water once ${trigger(reason.school, speech)}.${weaning}`;
    }
    case 'asks': {
      const since =
        reason.days > 1
          ? `${capital(lasting(reason.school, speech))} for ${days(reason.days)}`
          : capital(trigger(reason.school, speech));
      return `${since}: ${share(reason.fill)} of its water is left.`;
    }
    case 'overdue':
      return `${capital(lasting(reason.school, speech))} for ${days(reason.days)}: wrinkling is likely. Thirst mends, rot does not: water once, do not make up for it.`;
    case 'first-soak':
      return 'It has roots: its first real drink, until some runs through.';
    case 'regime':
      if (reason.sown) return 'Sown: the surface kept just damp until they are up, never soaked.';
      return reason.rooted
        ? `${YOUNG[reason.regime]}.${reason.beside && reason.regime === 'base' ? ' Mist those without roots.' : ''}`
        : `No roots yet, so it drinks next to nothing. ${REGIME_NAME[reason.regime]}.`;
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
      return 'A look that finds it dry and firm brings the day forward.';
    case 'tip-out':
      return 'Tip it out, or pot into something with holes.';
    case 'soft':
      return 'Wrinkled and soft, not only wrinkled: then look at the base.';
    case 'wrinkling':
      return 'Wrinkling before that is expected and mends.';
    case 'soft-base':
      return 'A soft or dark base: then no water, and a fresh cut.';
    case 'plump':
      return 'If it is plump and firm it may wait: then weigh or feel the pot, the model dries too fast.';
    case 'moist':
      return 'If it feels moist all the same, hold and note it: the pot learns from that.';
    case 'warmer': {
      const warmer = temperature === 'F' ? 'Seven degrees F warmer' : 'Four degrees warmer';
      const moves =
        unless.days > 0
          ? `${warmer}: ${unless.days === 1 ? 'a day' : days(unless.days)} sooner`
          : `${warmer} hardly moves it`;
      return unless.weigh ? `${moves}. A weighing narrows the range.` : `${moves}.`;
    }
  }
}
