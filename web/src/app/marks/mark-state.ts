import type { Ask } from '@hypogeon/core/care';
import { daysBetween, type Day } from '@hypogeon/core/days';
import type { Cutting, Outcome } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/mark-state';

/** Everything a cutting mark shows. */
export interface MarkState {
  /** 0 fresh … 1 closed: how far the ring round the wound has come. */
  readonly closure: number;
  /** Length class of the roots, 0–3. */
  readonly roots: 0 | 1 | 2 | 3;
  readonly pup: boolean;
  readonly potted: boolean;
  /** Rot creeping up from the wound, before all is lost. */
  readonly rotBegins: boolean;
  readonly lost: Extract<Outcome, 'rotted' | 'dried' | 'lost'> | null;
}

export const FRESH: MarkState = {
  closure: 0,
  roots: 0,
  pup: false,
  potted: false,
  rotBegins: false,
  lost: null,
};

/** Days after which roots are drawn longer. Working assumption: nobody measures every root. */
const BRUSH_DAYS = 10;
const SYSTEM_DAYS = 28;

export function markOf(cutting: Cutting, closure: number, potted: boolean, today: Day): MarkState {
  const { outcome } = cutting;
  const since = cutting.rooted ? daysBetween(cutting.rooted.by, today) : -1;
  const roots = since < 0 ? 0 : since < BRUSH_DAYS ? 1 : since < SYSTEM_DAYS ? 2 : 3;
  return {
    closure: outcome === 'waiting' ? closure : 1,
    roots,
    pup: outcome === 'pupped',
    potted,
    rotBegins: false,
    lost: outcome === 'rotted' || outcome === 'dried' || outcome === 'lost' ? outcome : null,
  };
}

/** A batch in one mark: what the furthest of it shows. */
export function markOfBatch({ batch, closure }: Pick<Ask, 'batch' | 'closure'>): MarkState {
  const { rooted, pupped } = batch.counts;
  return { ...FRESH, closure, roots: rooted + pupped > 0 ? 2 : 0, pup: pupped > 0 };
}

export const OUTCOME_WORD: Readonly<Record<Outcome, string>> = {
  get waiting() {
    return say.waiting();
  },
  get rooted() {
    return say.rooted();
  },
  get pupped() {
    return say.rootedWithAPup();
  },
  get rotted() {
    return say.rotted();
  },
  get dried() {
    return say.driedUp();
  },
  get lost() {
    return say.lostOtherwise();
  },
};
