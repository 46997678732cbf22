import type { Paper, SlipText } from '@hypogeon/words';
import { jsPDF } from 'jspdf';
import type { Shape } from '@hypogeon/core/draw';
import { say } from '@hypogeon/messages/slip-pdf';
import { printable } from '../labels/printable';
import { layDrawing } from './pdf-drawing';

/** A quarter of a sheet, mm: A6, or half the width and height of Letter. It folds into a pocket. */
const QUARTER: Readonly<Record<Paper, [number, number]>> = {
  a4: [105, 148],
  letter: [107.95, 139.7],
};
const MARGIN = 9;
const LINE = 4.6;
/** The plant in the upper corner, mm. */
const PICTURE = 24;

/** The slip on one small page, or more where the cautions are many. */
export function slipPdf(
  { title, lines, loud, cautions }: SlipText,
  paper: Paper,
  plant: readonly Shape[] = [],
): Blob {
  const size = QUARTER[paper];
  const pdf = new jsPDF({ unit: 'mm', format: size });
  pdf.setProperties({ title, creator: say.hypogeon() });
  if (plant.length > 0)
    layDrawing(pdf, plant, { x: size[0] - MARGIN - PICTURE, y: MARGIN - 4 }, PICTURE);
  // Beside the picture lines are shorter.
  const wide = (y: number): number =>
    size[0] - 2 * MARGIN - (plant.length > 0 && y < MARGIN + PICTURE ? PICTURE + 2 : 0);
  let y = MARGIN + 4;
  const write = (text: string, pt: number, bold: boolean, gap: number): void => {
    pdf.setFont('helvetica', bold ? 'bold' : 'normal').setFontSize(pt);
    for (const line of pdf.splitTextToSize(printable(text), wide(y)) as string[]) {
      if (y > size[1] - MARGIN) {
        pdf.addPage(size);
        y = MARGIN + 4;
      }
      pdf.text(line, MARGIN, y);
      y += (LINE * pt) / 10;
    }
    y += gap;
  };
  write(title, 13, true, 2);
  lines.forEach((line, i) => write(line, 10, i === loud, 1.6));
  for (const caution of cautions) write(caution, 8.5, false, 1);
  return pdf.output('blob');
}
