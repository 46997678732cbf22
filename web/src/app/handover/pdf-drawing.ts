import type { Shape } from '@hypogeon/core/draw';
import { FIELD } from '@hypogeon/core/look';
import type { jsPDF } from 'jspdf';

/** Printed with a thin line on white: what is drawn later covers what lies behind it, and no ink is spent on colour. */
const LINE_MM = 0.18;

/**
 * A drawing laid on a page as vectors.
 * @param at its upper left corner, mm
 * @param side mm
 * @param field the side of the drawing's own field
 */
export function layDrawing(
  pdf: jsPDF,
  shapes: readonly Shape[],
  at: { readonly x: number; readonly y: number },
  side: number,
  field = FIELD,
): void {
  const scale = side / field;
  pdf.setLineWidth(LINE_MM).setDrawColor(0).setFillColor(255, 255, 255);
  for (const { d, fill, line } of shapes) {
    for (const [, command, numbers] of d.matchAll(/([MLCZ])([-\d. ]*)/g)) {
      const n = (numbers!.trim() === '' ? [] : numbers!.trim().split(/\s+/)).map(Number);
      const p = n.map((v, i) => (i % 2 === 0 ? at.x : at.y) + v * scale);
      if (command === 'M') pdf.moveTo(p[0]!, p[1]!);
      else if (command === 'L') pdf.lineTo(p[0]!, p[1]!);
      else if (command === 'C') pdf.curveTo(p[0]!, p[1]!, p[2]!, p[3]!, p[4]!, p[5]!);
      else pdf.close();
    }
    if (fill && line) pdf.fillStroke();
    else if (fill) pdf.fill();
    else pdf.stroke();
  }
}
