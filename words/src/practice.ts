import type { Act, Habit, Lesson, Plants, Seen } from '@hypogeon/core/practice';
import type { LengthUnit, TemperatureUnit } from '@hypogeon/core/units';
import * as say from '@hypogeon/messages/practice';
import { volumeText } from './amounts';
import { counted, type Noun } from './plural';
import { temperatureText } from './quantities';
import { percent } from './shares';

const PIECE: Noun = {
  get one() {
    return say.piece();
  },
  get other() {
    return say.pieces();
  },
};
const DAY_IN_ROW: Noun = {
  get one() {
    return say.day();
  },
  get other() {
    return say.days();
  },
};

const ACT: Readonly<Record<Act, string>> = {
  get wait() {
    return say.waitADay();
  },
  get week() {
    return say.waitAWeek();
  },
  get set() {
    return say.setThem();
  },
  get water() {
    return say.water();
  },
  get mist() {
    return say.mist();
  },
  get look() {
    return say.liftAndLook();
  },
  get tug() {
    return say.tug();
  },
  get recut() {
    return say.cutBackSoftOnes();
  },
  get move() {
    return say.moveItElsewhere();
  },
  get warm() {
    return say.heatMat();
  },
};
export const actText = (act: Act): string => ACT[act];

const HABIT: Readonly<Record<Habit, string>> = {
  get advice() {
    return say.byTheAdvice();
  },
  get weekly() {
    return say.weekly();
  },
  get 'now and then'() {
    return say.whenIThinkOf();
  },
  get 'never until roots'() {
    return say.neverUntilRoots();
  },
};
export const habitText = (habit: Habit): string => HABIT[habit];

/** `5 rooted, 2 rotted, 1 dried up` */
export function plantsText({ rooted, rotted, dried }: Plants): string {
  return [
    say.rooted({ rooted }),
    ...(rotted > 0 ? [say.rotted({ rotted })] : []),
    ...(dried > 0 ? [say.driedUp({ dried })] : []),
  ].join(', ');
}

const WEIGHT: Readonly<Record<NonNullable<Seen['weight']>, string>> = {
  get light() {
    return say.light();
  },
  get middling() {
    return say.middling();
  },
  get heavy() {
    return say.heavy();
  },
};
const FINGER: Readonly<Record<NonNullable<Seen['finger']>, string>> = {
  get 'bone dry'() {
    return say.boneDry();
  },
  get dry() {
    return say.dry();
  },
  get cool() {
    return say.cool();
  },
  get wet() {
    return say.wet();
  },
};

/** `18 °C, 62% damp. The pot is light, about 40 mL in it. A finger feels it dry at the stems.` */
export function seenText(
  { tempC, rh, weight, waterMl, finger, smell }: Seen,
  units: {
    readonly length: LengthUnit;
    readonly temperature: TemperatureUnit;
    readonly locale: string;
  },
): readonly string[] {
  return [
    say.todayHumidity({
      temperature: temperatureText(Math.round(tempC), units.temperature, units.locale),
      percent: percent(rh),
    }),
    weight === null || waterMl === null
      ? say.theyLieBareOn()
      : say.thePotIsAbout({
          weight: WEIGHT[weight],
          volume: volumeText(waterMl, units.length, units.locale),
        }),
    ...(finger === null ? [] : [say.aFingerAtThe({ finger: FINGER[finger] })]),
    ...(smell ? [say.itSmellsSour()] : []),
  ];
}

/** What to take from a game, made from what happened in it. */
export function lessonText(lesson: Lesson): string {
  switch (lesson.kind) {
    case 'early':
      return say.youWateredOnDay({
        day: lesson.day,
        counted: counted(lesson.open, PIECE),
        what:
          lesson.lost > 0
            ? say.rottedWithinFourWeeks({ counted: counted(lesson.lost, PIECE) })
            : say.itWentWellThis(),
      });
    case 'somebody':
      return say.somebodyElseWateredThe({
        what: say.times({ times: lesson.times }),
        what2: lesson.open > 0 ? say.onOpenWounds() : '',
      });
    case 'wet':
      return say.theStemsStoodWet({
        counted: counted(lesson.days, DAY_IN_ROW),
        what: lesson.lost > 0 ? say.andRotted({ counted: counted(lesson.lost, PIECE) }) : '',
      });
    case 'torn':
      return say.theTugOnDay({ day: lesson.day, counted: counted(lesson.torn, PIECE) });
    case 'thirst':
      return say.driedUpWrinklesCome({ counted: counted(lesson.lost, PIECE) });
    case 'fuss':
      return say.lookFromBelowAnd({ looks: lesson.looks, tugs: lesson.tugs });
    case 'closed':
      return say.allWoundsWereClosed({ day: lesson.day });
    case 'patience':
      return say.youLeftItAlone({ days: lesson.days });
    case 'advice':
      return lesson.rooted > lesson.you
        ? say.withTheSameLuck({ rooted: lesson.rooted, you: lesson.you })
        : say.withTheSameLuckThe({ rooted: lesson.rooted, you: lesson.you });
    case 'found':
      return say.youTookOutThat({ counted: counted(lesson.found, PIECE) });
  }
}
