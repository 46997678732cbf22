/** Letters as one types them: small, without accents. */
export function foldText(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}+/gu, '');
}

export function wordsOf(query: string): readonly string[] {
  return foldText(query)
    .split(/[\s,;]+/)
    .filter(Boolean);
}

/**
 * Whether every word stands at the beginning of a word: “tray g” is not every tray with a g in its plant.
 * @param text folded
 */
export function matches(text: string, words: readonly string[]): boolean {
  return words.every((word) => startsIn(text, word));
}

export function startsIn(text: string, word: string): boolean {
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1))
    if (at === 0 || !/[\p{L}\p{N}]/u.test(text[at - 1]!)) return true;
  return false;
}
