import type { Act, Habit, Lesson, Plants, Seen } from '@hypogeon/core/practice';
import type { LengthUnit, TemperatureUnit } from '@hypogeon/core/units';
import { volumeText } from './amounts';
import { counted, NOUN, type Noun } from './plural';
import { temperatureText } from './quantities';
import { percent } from './shares';

const PIECE: Noun = { one: 'piece', other: 'pieces' };
const DAY_IN_ROW: Noun = { one: 'day', other: 'days' };

const ACT: Readonly<Record<Act, string>> = {
  wait: 'Wait a day',
  week: 'Wait a week',
  set: 'Set them',
  water: 'Water',
  mist: 'Mist',
  look: 'Lift and look',
  tug: 'Tug',
  recut: 'Cut back soft ones',
  move: 'Move it elsewhere',
  warm: 'Heat mat',
};
export const actText = (act: Act): string => ACT[act];

const HABIT: Readonly<Record<Habit, string>> = {
  advice: 'by the advice',
  weekly: 'weekly',
  'now and then': 'when I think of it',
  'never until roots': 'never until roots',
};
export const habitText = (habit: Habit): string => HABIT[habit];

/** `5 rooted, 2 rotted, 1 dried up` */
export function plantsText({ rooted, rotted, dried }: Plants): string {
  return [
    `${rooted} rooted`,
    ...(rotted > 0 ? [`${rotted} rotted`] : []),
    ...(dried > 0 ? [`${dried} dried up`] : []),
  ].join(', ');
}

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
    `${temperatureText(Math.round(tempC), units.temperature, units.locale)} today, ${percent(rh)} humidity.`,
    weight === null || waterMl === null
      ? 'They lie bare, on a rack.'
      : `The pot is ${weight}: about ${volumeText(waterMl, units.length, units.locale)} of water in it.`,
    ...(finger === null ? [] : [`A finger at the depth of the stems: ${finger}.`]),
    ...(smell ? ['It smells sour.'] : []),
  ];
}

/** What to take from a game, made from what happened in it. */
export function lessonText(lesson: Lesson): string {
  switch (lesson.kind) {
    case 'early':
      return `You watered on day ${lesson.day} with ${counted(lesson.open, PIECE)} still open${
        lesson.lost > 0
          ? `; ${counted(lesson.lost, PIECE)} rotted within four weeks of it.`
          : '. It went well this time: an open wound in wet mix is a gamble.'
      }`;
    case 'somebody':
      return `Somebody else watered ${lesson.times === 1 ? 'once' : `${lesson.times} times`}${lesson.open > 0 ? ', on open wounds' : ''}: the first thing to do was to move it out of reach.`;
    case 'wet':
      return `The stems stood wet for ${counted(lesson.days, DAY_IN_ROW)}${lesson.lost > 0 ? `, and ${counted(lesson.lost, PIECE)} rotted` : ''}: water again once it is dry, not before.`;
    case 'torn':
      return `The tug on day ${lesson.day} tore young roots off ${counted(lesson.torn, PIECE)}: what holds a little is left alone for another week.`;
    case 'thirst':
      return `${counted(lesson.lost, PIECE)} dried up: wrinkles come weeks before, and a drink still saves them once the wound is closed.`;
    case 'fuss':
      return `${counted(lesson.looks, { one: 'look', other: 'looks' })} from below and ${counted(lesson.tugs, { one: 'tug', other: 'tugs' })}: each sets roots back. New growth tells the same, and costs nothing.`;
    case 'closed':
      return `All wounds were closed by day ${lesson.day}: from then on water is safe, and before then it is not.`;
    case 'patience':
      return `You left it alone for ${counted(lesson.days, NOUN.day)} on end. That is most of the work.`;
    case 'advice':
      return lesson.rooted > lesson.you
        ? `With the same luck the advice would have rooted ${lesson.rooted}, you ${lesson.you}.`
        : `With the same luck the advice would have rooted ${lesson.rooted}: you did no worse with ${lesson.you}.`;
    case 'found':
      return `You took out ${counted(lesson.found, PIECE)} that had rotted: what stays in infects the rest.`;
  }
}
