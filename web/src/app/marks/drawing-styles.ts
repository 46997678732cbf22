import type { Tone } from '@hypogeon/core/look';

/**
 * What the strokes of drawings share, as a style sheet: a page has thousands of them. It hangs on the stroke itself:
 * where a drawing is used, what stands round it in the page does not count. A mark may say otherwise of colours and
 * dashes: rotted, dried, lost.
 */
export const drawingStyles = (tones: readonly Tone[]): string =>
  [
    '.hy-stroke{fill:none;stroke:none;vector-effect:non-scaling-stroke;stroke-linejoin:round;stroke-linecap:round;stroke-dasharray:var(--mark-dash,none)}',
    ...tones.map((tone) => `.hy-fill-${tone}{fill:var(--mark-fill,var(--plant-${tone}))}`),
    ...tones.map((tone) => `.hy-line-${tone}{stroke:var(--mark-line,var(--plant-${tone}-ink))}`),
  ].join('');

/** The classes of one stroke. */
export const strokeClass = (fill: Tone | null, line: Tone | null): string =>
  ['hy-stroke', fill && `hy-fill-${fill}`, line && `hy-line-${line}`].filter(Boolean).join(' ');
