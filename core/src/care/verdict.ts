import type { Day } from '../days';
import type { Ask, Care, Leave } from './care';

/** Asks that bring water to it. */
export const CAN: ReadonlySet<Ask['kind']> = new Set(['first-water', 'water', 'mist', 'pot-water']);
/** Left alone because of water. */
export const NO_CAN: ReadonlySet<Leave['kind']> = new Set(['gate', 'held', 'water']);

/** What keeps the can away longest; the first told of those that keep it as long. */
export const longestDry = (leave: readonly Leave[]): Leave | null =>
  leave
    .filter((l) => NO_CAN.has(l.kind))
    .reduce<Leave | null>((a, b) => (a === null || b.until > a.until ? b : a), null);

/** What keeps the can away, as far as it is known: a pot that nobody judged on the day says nothing of it. */
export const keptDry = (leave: readonly Leave[]): Leave | null => {
  const longest = longestDry(leave);
  return longest?.reason.why === 'unread' ? null : longest;
};

/** The one thing that is said of the water of a batch, wherever it is said. */
export type WaterSays =
  | { readonly is: 'now'; readonly ask: Ask }
  /** Not before this day; why is what keeps it longest. */
  | { readonly is: 'not before'; readonly day: Day; readonly leave: Leave | null }
  /** It stands in a jar, or drinks as it is used to. */
  | { readonly is: 'free' };

/** What is said of its water on a day: label, slip, headline and list read it. */
export function waterSays({ asks, leave, steps }: Care, day: Day): WaterSays {
  const ask = asks.find((a) => CAN.has(a.kind));
  if (ask) return { is: 'now', ask };
  const longest = longestDry(leave);
  // What is not set yet waits for that, and for its first water then.
  const first = steps.find((s) => s.id === 'first-water');
  const unset = leave.some((l) => l.kind === 'drying') || asks.some((a) => a.kind === 'stick');
  const ahead = unset && first?.is === 'ahead' && first.from > day ? first.from : null;
  if (longest && (ahead === null || longest.until >= ahead))
    return { is: 'not before', day: longest.until, leave: longest };
  return ahead === null ? { is: 'free' } : { is: 'not before', day: ahead, leave: null };
}
