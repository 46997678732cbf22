/** The field plants are drawn in: so many across and down, the soil line at {@link SOIL}. */
export const FIELD = 100;
export const SOIL = 86;
/** Smaller than this on the screen, what is fine is left out. */
export const FINE_FROM = 44;
