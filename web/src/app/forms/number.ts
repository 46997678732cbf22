/** A number as it is typed, with a comma or a point; NaN for anything else. */
export function numberFrom(text: string): number {
  const trimmed = text.trim().replace(',', '.');
  return trimmed === '' ? NaN : Number(trimmed);
}
