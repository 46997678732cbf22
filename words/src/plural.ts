import { messageLocale } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/plural';

/** A word for one and for many: `{ one: 'batch', other: 'batches' }`. */
export interface Noun {
  readonly one: string;
  readonly other: string;
}

const rules = new Map<string, Intl.PluralRules>();

/** The form of a word that a number asks for. */
export function pluralOf(count: number, { one, other }: Noun, locale = messageLocale()): string {
  let rule = rules.get(locale);
  if (!rule) rules.set(locale, (rule = new Intl.PluralRules(locale)));
  return rule.select(count) === 'one' ? one : other;
}

/** `1 day`, `3 days`, `1,200 batches`. */
export const counted = (count: number, noun: Noun, locale = messageLocale()): string =>
  `${count.toLocaleString(locale)} ${pluralOf(count, noun, locale)}`;

/** Words that stand all over the product. */
export const NOUN = {
  day: {
    get one() {
      return say.day();
    },
    get other() {
      return say.days();
    },
  },
  week: {
    get one() {
      return say.week();
    },
    get other() {
      return say.weeks();
    },
  },
  seedling: {
    get one() {
      return say.seedling();
    },
    get other() {
      return say.seedlings();
    },
  },
  batch: {
    get one() {
      return say.batch();
    },
    get other() {
      return say.batches();
    },
  },
  entry: {
    get one() {
      return say.entry();
    },
    get other() {
      return say.entries();
    },
  },
  mother: {
    get one() {
      return say.mother();
    },
    get other() {
      return say.mothers();
    },
  },
  reading: {
    get one() {
      return say.reading();
    },
    get other() {
      return say.readings();
    },
  },
  piece: {
    get one() {
      return say.piece();
    },
    get other() {
      return say.pieces();
    },
  },
  plant: {
    get one() {
      return say.plant();
    },
    get other() {
      return say.plants();
    },
  },
  cutting: {
    get one() {
      return say.cutting();
    },
    get other() {
      return say.cuttings();
    },
  },
  cut: {
    get one() {
      return say.cut();
    },
    get other() {
      return say.cuts();
    },
  },
  picture: {
    get one() {
      return say.picture();
    },
    get other() {
      return say.pictures();
    },
  },
} as const satisfies Readonly<Record<string, Noun>>;
