import * as say from '@hypogeon/messages/core-field';
import '../zod-setup';
import * as z from 'zod';
import { FIRST_DAY, isDay, LAST_DAY } from '../days';
import { isStamp } from './stamp';

/** Fields that several kinds of entry share, with the sentence a grower reads when one is wrong. */
export const dayField = z
  .string()
  .refine(isDay, { error: say.isNotADay })
  .refine((day) => day >= FIRST_DAY && day <= LAST_DAY, {
    error: () => say.mustLieBetween({ from: FIRST_DAY, to: LAST_DAY }),
  });

export const stampField = z.string().refine(isStamp, { error: say.isNoStamp });

/** Half of a sign: such a text cannot become an address, a file name or a label. */
const BROKEN_SIGN = /\p{Surrogate}/u;

/** Whether a text is made of whole signs. */
export const isWhole = (text: string): boolean => !BROKEN_SIGN.test(text);

/** The first `most` of a text, no sign cut in half. */
export const cutText = (text: string, most: number): string => {
  const cut = text.slice(0, most);
  return isWhole(cut) ? cut : cut.replace(/\p{Surrogate}$/u, '');
};

const whole = (field: z.ZodString) =>
  field.refine(isWhole, {
    error: say.holdsHalfASign,
  });

/** Text of at most so many signs. */
export const textField = (most: number) => whole(z.string().max(most));

/** Text that must say something. */
export const saidField = (most: number) =>
  whole(z.string().trim().min(1, { error: say.mustNotBeEmpty }).max(most));

export const idField = whole(z.string().min(1).max(80));

/** Signs of a name, at most. */
export const MOST_NAME = 120;
export const nameField = saidField(MOST_NAME);

export const noteField = textField(4000);

export const countField = z
  .number({ error: say.mustBeANumber })
  .refine((n) => Number.isSafeInteger(n) && n >= 0, {
    error: say.mustBeWhole,
  });

/** The fields a schema names, without the door that a loose object leaves open for unknown ones. */
export type Named<T> = T extends unknown
  ? { [K in keyof T as string extends K ? never : K]: T[K] }
  : never;
