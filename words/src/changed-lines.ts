import * as say from '@hypogeon/messages/changed-lines';
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
  { of: say.doWord(), says: whole(text.deeds) || say.nothingToday() },
  { of: say.water(), says: whole(text.water) },
  { of: say.look(), says: whole(text.look) },
  { of: say.leave(), says: whole(text.leave) },
];

/** What follows from a change, line by line: those that read as before are not told. */
export function changedLines(was: LinesText, is: LinesText): readonly ChangedLine[] {
  const after = linesIn(is);
  return linesIn(was).flatMap(({ of, says }, i) =>
    says === after[i]!.says ? [] : [{ of, was: says, is: after[i]!.says }],
  );
}
