import { say } from '@hypogeon/messages/dry-days';

/** What is wrong with days of drying as typed, in the grower's words; empty if nothing. */
export function dryDaysProblem(text: string): string {
  if (text.trim() === '') return '';
  const days = Number(text);
  return Number.isFinite(days) && days >= 0 && days <= 120 ? '' : say.howManyDaysTo();
}

/** Days of drying as typed; undefined where none are, or what was typed is none. */
export const numberOrNone = (text: string): number | undefined =>
  text.trim() === '' || dryDaysProblem(text) !== '' ? undefined : Number(text);
