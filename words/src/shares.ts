/** `67 %`. @param fraction 0–1 */
export const percent = (fraction: number): string => `${Math.round(fraction * 100)} %`;

/** `41–86 %`; a single figure where both ends come to the same. @param span fractions 0–1 */
export function percentSpan({
  low,
  high,
}: {
  readonly low: number;
  readonly high: number;
}): string {
  const [from, to] = [Math.round(low * 100), Math.round(high * 100)];
  return from === to ? `${to} %` : `${from}–${to} %`;
}
