import * as say from '@hypogeon/messages/core-bounded-json';
import type { Problem } from './problem';

/** Nothing of ours lies deeper; what does would overflow whatever walks it. */
const DEEPEST = 40;

/**
 * Where text that may be JSON is nested deeper than anything of ours: found by reading it once, before any parser
 * that could run out of room on it.
 * @returns the offset of the bracket that is one too deep, or null
 */
export function tooDeepAt(text: string, deepest = DEEPEST): number | null {
  let depth = 0;
  for (let i = 0; i < text.length; i++)
    switch (text.charCodeAt(i)) {
      case QUOTE:
        i = endOfString(text, i);
        break;
      case OPEN_OBJECT:
      case OPEN_LIST:
        if (++depth > deepest) return i;
        break;
      case CLOSE_OBJECT:
      case CLOSE_LIST:
        depth--;
    }
  return null;
}

/** The problem of text that is nested too deep; null if it may be parsed. */
export function depthProblem(text: string): Problem | null {
  const at = tooDeepAt(text);
  if (at === null) return null;
  return {
    line: lineAt(text, at),
    sentence: say.isNestedTooDeep({ deepest: DEEPEST }),
  };
}

/** Line of an offset, counted from 1. */
export function lineAt(text: string, offset: number): number {
  let line = 1;
  for (let i = text.indexOf('\n'); i >= 0 && i < offset; i = text.indexOf('\n', i + 1)) line++;
  return line;
}

/** The closing quote of a string, or the end of the text where it never closes. */
function endOfString(text: string, open: number): number {
  let close = open;
  do {
    close = text.indexOf('"', close + 1);
    if (close < 0) return text.length;
  } while (isEscaped(text, close));
  return close;
}

function isEscaped(text: string, at: number): boolean {
  let slashes = 0;
  while (text.charCodeAt(at - 1 - slashes) === BACKSLASH) slashes++;
  return slashes % 2 === 1;
}

const QUOTE = 34;
const BACKSLASH = 92;
const OPEN_LIST = 91;
const CLOSE_LIST = 93;
const OPEN_OBJECT = 123;
const CLOSE_OBJECT = 125;
