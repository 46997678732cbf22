import '../zod-setup';
import * as z from 'zod';
import { isDay } from '../days';
import { isStamp } from './stamp';

/** Fields that several kinds of entry share, with the sentence a grower reads when one is wrong. */
export const dayField = z
  .string()
  .refine(isDay, { error: 'is not a day of the calendar (write 2026-04-09)' });

export const stampField = z
  .string()
  .refine(isStamp, { error: 'is not a time stamp of this journal' });

export const idField = z.string().min(1).max(80);

export const nameField = z.string().trim().min(1, 'must not be empty').max(120);

export const countField = z
  .number({ error: 'must be a number' })
  .refine((n) => Number.isSafeInteger(n) && n >= 0, {
    error: 'must be a whole number of 0 or more',
  });

/** The fields a schema names, without the door that a loose object leaves open for unknown ones. */
export type Named<T> = T extends unknown
  ? { [K in keyof T as string extends K ? never : K]: T[K] }
  : never;
