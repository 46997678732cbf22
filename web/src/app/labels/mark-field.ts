/** The field a piece is drawn in, and of it what is shown on a label: down to a little below its soil line. */
export const MARK_FIELD = 64;
export const MARK_SOIL = 36;
export const MARK_SHOWN = 44;
export const MARK_LEFT = (MARK_FIELD - MARK_SHOWN) / 2;
