/**
 * Follows a finger or mouse that has taken hold of something, until it lets go.
 * @param moved how far it has come since, px: right and down are positive
 */
export function follow(event: PointerEvent, moved: (dx: number, dy: number) => void): void {
  const held = event.currentTarget as HTMLElement;
  held.setPointerCapture(event.pointerId);
  held.focus();
  const move = (e: PointerEvent): void =>
    moved(e.clientX - event.clientX, e.clientY - event.clientY);
  const end = (): void => {
    held.removeEventListener('pointermove', move);
    held.removeEventListener('pointerup', end);
    held.removeEventListener('pointercancel', end);
  };
  held.addEventListener('pointermove', move);
  held.addEventListener('pointerup', end);
  held.addEventListener('pointercancel', end);
  event.preventDefault();
}
