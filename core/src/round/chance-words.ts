/** `about 7 in 10`: as sure as a rule of the trade allows, and no surer. */
export function chanceWords(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (tenths <= 0) return 'hardly any';
  return tenths >= 10 ? 'nearly all' : `about ${tenths} in 10`;
}
