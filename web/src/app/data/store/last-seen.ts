import * as z from 'zod';

/*
 * Browsers throw whole databases away: when space runs short, when a cleaner is run, when they find their own files
 * damaged after a crash. A journal that is gone would then look like one that never was. One short note outside the
 * database remembers that there was one, so that its loss is said.
 */

const KEY = 'hypogeon-last-seen';
const seenSchema = z.object({ entries: z.int().min(1), day: z.string().min(10).max(10) });
export type LastSeen = z.infer<typeof seenSchema>;

/** How many entries the grower's own journal had, and on which day they were last saved; null where nobody knows. */
export function lastSeen(): LastSeen | null {
  try {
    const read = seenSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** A browser without this store loses nothing but the warning. */
export function rememberSeen(seen: LastSeen): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(seen));
  } catch (error) {
    console.error('remembering that there is a journal', error);
  }
}

export function forgetSeen(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // Then it was not remembered either.
  }
}
