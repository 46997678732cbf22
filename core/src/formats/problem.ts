import * as say from '@hypogeon/messages/core-problem';
/** Why a file was refused: where, and a sentence. A refused file changes nothing. */
export interface Problem {
  /** Line of the file, from 1; missing where the whole file is meant. */
  readonly line?: number;
  /** Path of the field, as `counts.rotted`. */
  readonly field?: string;
  readonly sentence: string;
}

export function problemText({ line, field, sentence }: Problem): string {
  const where = [line === undefined ? '' : say.line({ line }), field ?? '']
    .filter(Boolean)
    .join(', ');
  return where === '' ? sentence : `${where}: ${sentence}`;
}
