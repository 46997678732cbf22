import * as say from '@hypogeon/messages/chances';

/** `about 7 in 10`: as sure as a rule of the trade allows, and no surer. @param chance 0–1 */
export function chanceText(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (tenths <= 0) return say.hardlyAny();
  return tenths >= 10 ? say.nearlyAll() : say.aboutIn10({ tenths });
}

/** How far a wound is, in words a glance can take in. @param closure 0–1 */
export function closureText(closure: number): string {
  if (closure < 0.15) return say.stillFresh();
  if (closure < 0.4) return say.aThirdClosed();
  if (closure < 0.65) return say.halfClosed();
  if (closure < 0.9) return say.mostlyClosed();
  return say.likelyClosedNotSurely();
}
