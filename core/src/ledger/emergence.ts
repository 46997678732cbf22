import { daysBetween, type Day } from '../days';
import type { Batch, Between } from '../journal';

/** How many by this day since the cut: surely, and possibly (it may have come right after the look before). */
export interface EmergenceStep {
  readonly day: number;
  readonly sure: number;
  readonly possible: number;
}

/** What the emergence plate draws. Days are days since the cut. */
export interface Emergence {
  readonly count: number;
  /** The last day anything is known of. */
  readonly lastDay: number;
  readonly checks: readonly number[];
  readonly roots: readonly EmergenceStep[];
  readonly pups: readonly EmergenceStep[];
  readonly losses: Readonly<Record<'rotted' | 'dried' | 'lost', readonly EmergenceStep[]>>;
  /** Still waiting after each check. */
  readonly waiting: readonly { readonly day: number; readonly count: number }[];
}

/**
 * The course of one batch. A cutting that rooted and then rotted is in both curves: it had roots.
 * @param until how far the plate runs, for a batch nobody has looked at since
 */
export function emergence(
  batch: Pick<Batch, 'count' | 'cuttings' | 'cutOn' | 'tallies'>,
  until: Day,
): Emergence {
  const since = (day: Day): number => daysBetween(batch.cutOn, day);
  const betweens = batch.cuttings.flatMap((c) =>
    [c.rooted, c.pupped, c.lost].filter((b): b is Between => b !== undefined),
  );
  const checks = [
    ...new Set([...batch.tallies.map(since), ...betweens.map((b) => since(b.by))]),
  ].sort((a, b) => a - b);
  const steps = (events: readonly Between[]): readonly EmergenceStep[] => {
    const days = [...new Set([0, ...checks, ...events.map((b) => since(b.after))])];
    return days
      .sort((a, b) => a - b)
      .map((day) => ({
        day,
        sure: events.filter((b) => since(b.by) <= day).length,
        possible: events.filter((b) => since(b.after) <= day).length,
      }));
  };
  const lost = (cause: 'rotted' | 'dried' | 'lost'): readonly EmergenceStep[] =>
    steps(batch.cuttings.flatMap((c) => (c.outcome === cause && c.lost ? [c.lost] : [])));

  return {
    count: batch.count,
    lastDay: Math.max(since(until), checks.at(-1) ?? 0, 1),
    checks,
    roots: steps(batch.cuttings.flatMap((c) => c.rooted ?? [])),
    pups: steps(batch.cuttings.flatMap((c) => c.pupped ?? [])),
    losses: { rotted: lost('rotted'), dried: lost('dried'), lost: lost('lost') },
    waiting: checks.map((day) => ({
      day,
      count: batch.cuttings.filter((c) => {
        const settled = c.rooted?.by ?? c.lost?.by;
        return settled === undefined || since(settled) > day;
      }).length,
    })),
  };
}
