import type { Day } from '../days';
import type { Batch } from '../journal';
import type { Ask, Do, Leave, LeaveKind, Look } from './care';
import { daysSince } from './facts';

type Told<A extends Ask> = Omit<A, 'band' | 'kind' | 'batch' | 'closure' | 'late' | 'count'> & {
  readonly late?: number;
  readonly count?: number;
};
type ToldLeave = Omit<Leave, 'band' | 'kind' | 'batch' | 'closure' | 'count'> & {
  readonly count?: number;
};

/** Gathers what a day asks of a batch, and what it leaves alone. */
export class Asker {
  readonly asks: Ask[] = [];
  readonly leaves: Leave[] = [];

  constructor(
    readonly batch: Batch,
    readonly day: Day,
    readonly closure: number,
    private readonly living: number,
  ) {}

  do(kind: Do['kind'], told: Told<Do>): void {
    this.asks.push({ band: 'do', kind, ...this.common(told) });
  }

  look(kind: Look['kind'], told: Told<Look>): void {
    this.asks.push({ band: 'look', kind, ...this.common(told) });
  }

  leave(kind: LeaveKind, told: ToldLeave): void {
    const { batch, closure, living: count } = this;
    this.leaves.push({ band: 'leave', kind, batch, closure, count, ...told });
  }

  private common<A extends Ask>(
    told: Told<A>,
  ): Told<A> & Pick<A, 'batch' | 'closure' | 'late' | 'count'> {
    const { batch, closure, living: count } = this;
    return { batch, closure, count, late: daysSince(told.since, this.day), ...told };
  }
}
