import type { Slip } from '@hypogeon/core/care';
import type { RegimeId, WaterSchoolId } from '@hypogeon/core/water';
import * as say from '@hypogeon/messages/slips';
import { dayText } from './days';
import { ruleText } from './quantities';
import type { Speech } from './speech';
import { LIGHT_PLACE } from './tasks';

/** A care slip as it is read by someone who knows nothing of the plant: a title, and short lines. */
export interface SlipText {
  readonly title: string;
  readonly lines: readonly string[];
  /** Which of them saves a cutting in another’s hands: it stands out. */
  readonly loud: number | null;
  readonly cautions: readonly string[];
}

/** @param count pieces that are handed over */
export function slipText(slip: Slip, count: number, speech: Speech): SlipText {
  const day = (d: string): string => dayText(d, speech);
  const pieces = count === 1 ? say.one({ one: slip.piece.one }) : `${count} ${slip.piece.many}`;
  const lines = [
    slip.pottedOn === null
      ? say.cut({ pieces, day: day(slip.cutOn), rootsSay: rootsSay(slip, count) })
      : say.cutPotted({ pieces, day: day(slip.cutOn), day2: day(slip.pottedOn) }),
    ...(slip.from.length === 0 ? [] : [say.from({ from: slip.from.join('; ') })]),
    waterLine(slip, day),
    ...(slip.inJar ? [] : [slip.crown ? say.waterTheMixNot() : say.waterTheMixNotThe()]),
    ...(slip.setOn === null ? [] : [say.layItInAiry({ day: day(slip.setOn) })]),
    ...(slip.rootsFrom === null ? [] : [say.rootsMayComeFrom({ day: day(slip.rootsFrom) })]),
    slip.light.now === slip.light.later
      ? say.light({ lightPlace: LIGHT_PLACE[slip.light.now] })
      : say.lightOverTwoWeeks({
          lightPlace: LIGHT_PLACE[slip.light.now],
          what: slip.rooted ? '' : say.onceItHasRoots(),
          lightPlace2: LIGHT_PLACE[slip.light.later],
        }),
    ...(slip.rooted && !slip.inJar ? [say.feedAtHalfStrength()] : []),
  ];
  const common = slip.common === null ? '' : `, ${slip.common}`;
  const loud =
    slip.inJar || !(slip.dryUntilRoots || slip.noWaterBefore !== null)
      ? null
      : 1 + (slip.from.length === 0 ? 0 : 1);
  return {
    loud,
    title: `${slip.name}${common}${slip.crested ? say.crested() : ''} (${slip.code})`,
    lines: lines.map((l) => ruleText(l, speech.length)),
    cautions: slip.cautions.map((c) => `${c.title}. ${c.advice}`),
  };
}

/** With roots are those that have them, and no others. */
function rootsSay({ withRoots, living }: Slip, count: number): string {
  if (withRoots === 0) return say.withoutRootsAsYet();
  if (withRoots >= living) return say.withRoots();
  // Those with roots go first.
  if (count <= withRoots) return say.withRootsOfHave({ withRoots, living });
  return say.withRootsTheRest({ withRoots });
}

function waterLine(slip: Slip, day: (d: string) => string): string {
  if (slip.inJar) return say.itStandsInWater();
  if (slip.dryUntilRoots) return say.noWaterUntilIt({ then: THEN[slip.school] });
  const habit = habitOf(slip);
  if (slip.noWaterBefore !== null)
    return say.noWaterBeforeThen({ day: day(slip.noWaterBefore), habit });
  return `${habit.charAt(0).toUpperCase()}${habit.slice(1)}.`;
}

/** What it is given from now on, and what once it stands on roots of its own. */
function habitOf({ regime, school }: Slip): string {
  if (regime === null) return THEN[school];
  return say.afterThat({ until: UNTIL[regime], then: THEN[school] });
}

const UNTIL: Readonly<Record<RegimeId, string>> = {
  get dry() {
    return say.nothingUntilItHas();
  },
  get sip() {
    return say.aSmallDrinkWhen();
  },
  get half() {
    return say.halfADrinkWhen();
  },
  get damp() {
    return say.keepItJustDamp();
  },
  get mist() {
    return say.mistTheSurfaceEvery();
  },
  get base() {
    return say.aFewDropsAt();
  },
};

/** By habit, as said to someone who has not heard of it. Common practice, no source. */
const THEN: Readonly<Record<WaterSchoolId, string>> = {
  get mist() {
    return say.mistItByHeat();
  },
  get surface() {
    return say.waterItThroughOnce();
  },
  get 'top-25'() {
    return say.waterItThroughOnceThe();
  },
  get 'top-60'() {
    return say.waterItThroughOnceTheAre();
  },
  get third() {
    return say.waterItOnceA();
  },
  get 'bone-dry'() {
    return say.letAllOfIt();
  },
  get 'bone-dry-rest'() {
    return say.letAllOfItDry();
  },
  get weekly() {
    return say.waterItAboutWeekly();
  },
};

/** The slip as plain text, to be sent or pasted. */
export const slipPlain = ({ title, lines, cautions }: SlipText): string =>
  [title, '', ...lines, ...(cautions.length > 0 ? ['', ...cautions] : [])].join('\n');
