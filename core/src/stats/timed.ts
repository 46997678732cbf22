/**
 * When something happened: after `left` and by `right`, days. Equal where the day is known, `right`
 * infinite where it has not happened by `left`.
 */
export interface Timed {
  readonly left: number;
  readonly right: number;
  /** What happened, where several things can; nothing where it has not. */
  readonly cause?: string | undefined;
  /** Rows alike, counted instead of repeated. */
  readonly count?: number | undefined;
}

export const isCensored = ({ right }: Timed): boolean => right === Infinity;

/** The time a row is known by: when it was seen, or until when it was not. */
export const seenAt = ({ left, right }: Timed): number => (right === Infinity ? left : right);

/** @throws RangeError for a row that cannot be */
export function assertTimed(rows: readonly Timed[]): void {
  for (const row of rows) {
    const { left, right } = row;
    const count = row.count ?? 1;
    if (!(left >= 0) || left === Infinity || !(right >= left))
      throw new RangeError(`a row must have 0 ≤ left ≤ right, got ${left} and ${right}`);
    if (!Number.isSafeInteger(count) || count < 0)
      throw new RangeError(`a count must be a whole number of 0 or more, got ${count}`);
  }
}
