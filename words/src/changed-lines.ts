import type { LinesText } from './lines';

/** A line of a batch's page that would read otherwise. */
export interface ChangedLine {
  readonly of: string;
  readonly was: string;
  readonly is: string;
}

const whole = (said: readonly { readonly what: string }[]): string =>
  said.map((s) => s.what).join(', ');

const linesIn = (text: LinesText): readonly { readonly of: string; readonly says: string }[] => [
  { of: 'Do', says: whole(text.deeds) || 'nothing today' },
  { of: 'Water', says: whole(text.water) },
  { of: 'Look', says: whole(text.look) },
  { of: 'Leave', says: whole(text.leave) },
];

/** What follows from a change, line by line: those that read as before are not told. */
export function changedLines(was: LinesText, is: LinesText): readonly ChangedLine[] {
  const after = linesIn(is);
  return linesIn(was).flatMap(({ of, says }, i) =>
    says === after[i]!.says ? [] : [{ of, was: says, is: after[i]!.says }],
  );
}
