import { jsPDF } from 'jspdf';
import { drawPiece } from '@hypogeon/core/draw';
import { drawLabel, placeLabels, type LabelSheet, type LabelText } from '@hypogeon/core/label';
import type { Drawn } from '@hypogeon/core/look';
import { say } from '@hypogeon/messages/label-pdf';
import { layDrawing } from '../handover/pdf-drawing';
import { MARK_FIELD, MARK_LEFT, MARK_SHOWN, MARK_SOIL } from './mark-field';
import { printable } from './printable';

/** The sheets as a PDF, to scale. @param skip places at the beginning that are used up */
export function labelsPdf(sheet: LabelSheet, labels: readonly LabelText[], skip: number): Blob {
  const size: [number, number] = [sheet.pageWidth, sheet.pageHeight];
  const orientation = sheet.pageWidth > sheet.pageHeight ? 'landscape' : 'portrait';
  const pdf = new jsPDF({ unit: 'mm', format: size, orientation });
  pdf.setProperties({ title: say.labels(), creator: say.hypogeon() });
  placeLabels(sheet, labels.length, skip).forEach((place, i) => {
    while (pdf.getNumberOfPages() <= place.page) pdf.addPage(size, orientation);
    pdf.setPage(place.page + 1);
    for (const shape of drawLabel(sheet, labels[i]!))
      switch (shape.is) {
        case 'box':
          pdf.rect(place.x + shape.x, place.y + shape.y, shape.width, shape.height, 'F');
          break;
        case 'text':
          pdf.setFont('helvetica', shape.bold ? 'bold' : 'normal').setFontSize(shape.pt);
          pdf.text(printable(shape.text), place.x + shape.x, place.y + shape.y);
          break;
        case 'picture':
          layPiece(pdf, shape.of, place.x + shape.x, place.y + shape.y, shape.side);
          break;
        case 'line':
          pdf.setLineWidth(0.4);
          shape.points.slice(1).forEach(([x, y], n) => {
            const [fromX, fromY] = shape.points[n]!;
            pdf.line(place.x + fromX, place.y + fromY, place.x + x, place.y + y);
          });
      }
  });
  return pdf.output('blob');
}

/** A piece on its soil line, as a mark has it; the room below for roots, and at its sides, is cut off. */
function layPiece(pdf: jsPDF, { look, part }: Drawn, x: number, y: number, side: number): void {
  const scale = side / MARK_SHOWN;
  const left = x - MARK_LEFT * scale;
  layDrawing(pdf, drawPiece(look, part, 40), { x: left, y }, MARK_FIELD * scale, MARK_FIELD);
  pdf.setLineWidth(0.25).line(x, y + MARK_SOIL * scale, x + side, y + MARK_SOIL * scale);
  pdf.setFillColor(0, 0, 0).setDrawColor(0);
}
