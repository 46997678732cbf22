/** `about 7 in 10`: as sure as a rule of the trade allows, and no surer. @param chance 0–1 */
export function chanceText(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (tenths <= 0) return 'hardly any';
  return tenths >= 10 ? 'nearly all' : `about ${tenths} in 10`;
}

/** How far a wound is, in words a glance can take in. @param closure 0–1 */
export function closureText(closure: number): string {
  if (closure < 0.15) return 'still fresh';
  if (closure < 0.4) return 'a third closed';
  if (closure < 0.65) return 'half closed';
  if (closure < 0.9) return 'mostly closed';
  return 'likely closed, not surely';
}
