/** The printer's built-in face has the letters of western Europe; others lose their accents rather than vanish. */
export function printable(text: string): string {
  const plain = text.replace(/…/g, '...').replace(/[’‘]/g, "'");
  return Array.from(plain, (char) =>
    char <= '\u00ff' ? char : char.normalize('NFD').replace(/[^\u0020-\u007e]/g, '') || '?',
  ).join('');
}
