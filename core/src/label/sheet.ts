import * as say from '@hypogeon/messages/core-label-sheet';

/** A page and the labels on it, all in mm. */
export interface LabelSheet {
  readonly id: string;
  readonly name: string;
  readonly pageWidth: number;
  readonly pageHeight: number;
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
  readonly gapX: number;
  readonly gapY: number;
  /** So much of a stake's end goes into the medium and stays blank. */
  readonly blank: number;
}

const A4 = { pageWidth: 210, pageHeight: 297 } as const;
const LETTER = { pageWidth: 215.9, pageHeight: 279.4 } as const;

/** Sizes that sheets of stickers and cut stakes are commonly sold in. Common practice, no source. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  {
    id: 'a4-24',
    get name() {
      return say.sticker({ size: '70 × 37, A4' });
    },
    ...A4,
    width: 70,
    height: 37,
    left: 0,
    top: 0.5,
    gapX: 0,
    gapY: 0,
    blank: 0,
  },
  {
    id: 'a4-44',
    get name() {
      return say.sticker({ size: '48.5 × 25.4, A4' });
    },
    ...A4,
    width: 48.5,
    height: 25.4,
    left: 8,
    top: 8.8,
    gapX: 0,
    gapY: 0,
    blank: 0,
  },
  {
    id: 'a4-65',
    get name() {
      return say.sticker({ size: '38.1 × 21.2, A4' });
    },
    ...A4,
    width: 38.1,
    height: 21.2,
    left: 4.7,
    top: 10.7,
    gapX: 2.5,
    gapY: 0,
    blank: 0,
  },
  {
    id: 'letter-30',
    get name() {
      return say.sticker({ size: '66.7 × 25.4, Letter' });
    },
    ...LETTER,
    width: 66.7,
    height: 25.4,
    left: 4.8,
    top: 12.7,
    gapX: 3.1,
    gapY: 0,
    blank: 0,
  },
  {
    id: 'stake-100',
    get name() {
      return say.stake({ size: '100 × 16, A4' });
    },
    ...A4,
    width: 100,
    height: 16,
    left: 5,
    top: 8,
    gapX: 0,
    gapY: 1.5,
    blank: 30,
  },
  {
    id: 'stake-140',
    get name() {
      return say.stake({ size: '140 × 20, A4' });
    },
    ...A4,
    width: 140,
    height: 20,
    left: 35,
    top: 8,
    gapX: 0,
    gapY: 1.5,
    blank: 50,
  },
];

/** The smallest label a code and a line of text fit on. */
export const LEAST_LABEL = { width: 30, height: 12 } as const;

/** Labels across and down a page. */
export function labelsPerPage(sheet: LabelSheet): {
  readonly across: number;
  readonly down: number;
} {
  const fit = (room: number, size: number, gap: number): number =>
    // A hair's breadth of rounding must not cost a column.
    Math.max(0, Math.floor((room + gap + 0.05) / (size + gap)));
  return {
    across: fit(sheet.pageWidth - sheet.left, sheet.width, sheet.gapX),
    down: fit(sheet.pageHeight - sheet.top, sheet.height, sheet.gapY),
  };
}

export interface LabelPlace {
  readonly page: number;
  readonly x: number;
  readonly y: number;
}

/**
 * Where labels come on the sheets, row by row.
 * @param skip places at the beginning that are used up
 * @throws RangeError if no label fits on the page
 */
export function placeLabels(sheet: LabelSheet, count: number, skip = 0): readonly LabelPlace[] {
  const { across, down } = labelsPerPage(sheet);
  const each = across * down;
  if (each === 0) throw new RangeError('sheet must have room for a label');
  return Array.from({ length: count }, (_, i) => {
    const n = i + skip;
    const on = n % each;
    return {
      page: Math.floor(n / each),
      x: sheet.left + (on % across) * (sheet.width + sheet.gapX),
      y: sheet.top + Math.floor(on / across) * (sheet.height + sheet.gapY),
    };
  });
}

/** What is wrong with a sheet of the grower's own, by field; empty if nothing. */
export function sheetProblems(sheet: LabelSheet): Partial<Record<keyof LabelSheet, string>> {
  const problems: Partial<Record<keyof LabelSheet, string>> = {};
  const { width, height, pageWidth, pageHeight, left, top, blank } = sheet;
  if (!(width >= LEAST_LABEL.width)) problems.width = say.atLeastWide({ mm: LEAST_LABEL.width });
  else if (left + width > pageWidth + 0.05)
    problems.width = say.widerThanThePage({ mm: pageWidth - left });
  if (!(height >= LEAST_LABEL.height))
    problems.height = say.atLeastHigh({ mm: LEAST_LABEL.height });
  else if (top + height > pageHeight + 0.05)
    problems.height = say.higherThanThePage({ mm: pageHeight - top });
  if (blank > width - LEAST_LABEL.width) problems.blank = say.leavesLess({ mm: LEAST_LABEL.width });
  return problems;
}
