import type { Drawn } from '../look';
import { QUIET, qrOf } from './code';
import type { LabelSheet } from './sheet';

/** What a label says. */
export interface LabelText {
  readonly name: string;
  readonly lines: readonly string[];
  readonly code: string;
  /** `base down` gets an arrow upward, `laid` a flat bar. */
  readonly polarity: 'base down' | 'laid' | 'as it stood';
  /** How the piece looks, where there is room for it; null for none. */
  readonly piece: Drawn | null;
  /** What the QR code holds. */
  readonly address: string;
}

/** A stroke of a drawing in mm from the upper left corner of the label. */
export type LabelShape =
  | {
      readonly is: 'text';
      readonly x: number;
      readonly y: number;
      readonly pt: number;
      readonly bold: boolean;
      readonly text: string;
    }
  | {
      readonly is: 'box';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
    }
  | {
      readonly is: 'picture';
      readonly x: number;
      readonly y: number;
      readonly side: number;
      readonly of: Drawn;
    }
  | { readonly is: 'line'; readonly points: readonly (readonly [number, number])[] };

const PAD = 1.5;
const MM_PER_PT = 25.4 / 72;
/** A letter is about so wide against its height, in a plain sans face; bold a little more. */
const LETTER = 0.53;
/** The smallest letters an eye reads at the bench, and the largest a label needs. */
const LEAST_PT = 6;
const MOST_PT = 12;
const READABLE_PT = 8;
/** Smaller dots than this a phone does not tell apart, mm. */
export const LEAST_MODULE_MM = 0.3;

/** A label as shapes, the same for the screen and for the printer. */
export function drawLabel(sheet: LabelSheet, text: LabelText): readonly LabelShape[] {
  const width = sheet.width - sheet.blank;
  const matrix = qrOf(text.address);
  const modules = matrix.length + 2 * QUIET;
  const { side, picture } = roomOf(sheet, modules, text.piece !== null);
  const module = side / modules;
  const code = picture?.at === 'above' ? sheet.height - side - 0.3 : (sheet.height - side) / 2;
  const dark = matrix.flatMap((row, y) =>
    runs(row).map(([from, to]): LabelShape => ({
      is: 'box',
      x: (from + QUIET) * module,
      y: code + (y + QUIET) * module,
      width: (to - from) * module,
      height: module,
    })),
  );
  const left = side + 0.5;
  const arrow = arrowRoom(text.polarity);
  const beside = picture?.at === 'beside' ? picture.side + 1.6 : 0;
  const room = width - left - PAD - arrow - beside;
  const lines = [
    ...nameLines(text.name, room).map((line) => ({ text: line, bold: true })),
    ...text.lines.map((line) => ({ text: line, bold: false })),
    { text: text.code, bold: true },
  ];
  const pt = Math.max(
    LEAST_PT,
    Math.min(MOST_PT, (sheet.height - 2 * PAD) / MM_PER_PT / (lines.length * 1.18)),
  );
  const fits = Math.max(2, Math.floor((sheet.height - 2 * PAD) / (pt * MM_PER_PT * 1.18)));
  // The code is what one reads when the ink has faded: it never falls off.
  const shown = lines.length <= fits ? lines : [...lines.slice(0, fits - 1), lines.at(-1)!];
  const step = (sheet.height - 2 * PAD) / shown.length;
  const texts = shown.map((line, i): LabelShape => {
    const size = fitPt(line.text, room, Math.min(pt, step / MM_PER_PT / 1.1), line.bold);
    return {
      is: 'text',
      x: left,
      y: PAD + step * (i + 0.5) + (size * MM_PER_PT * 0.7) / 2,
      pt: size,
      bold: line.bold,
      text: shorten(line.text, room, size, line.bold),
    };
  });
  const pictures =
    picture && text.piece
      ? [
          {
            is: 'picture',
            of: text.piece,
            side: picture.side,
            x: beside > 0 ? width - PAD - arrow - picture.side : (side - picture.side) / 2,
            y: beside > 0 ? (sheet.height - picture.side) / 2 : 0.4,
          } as const,
        ]
      : [];
  return [
    ...dark,
    ...pictures,
    ...texts,
    ...arrowShapes(text.polarity, width - PAD - arrow / 2, sheet.height),
  ];
}

/** A piece smaller than this is a blot, mm; larger than that it takes the words' room. */
const LEAST_PICTURE = 9;
const MOST_PICTURE = 14;
/** Dots keep this size where a picture stands beside them, mm: it is the code one cannot do without. */
const GOOD_MODULE_MM = 0.45;
/** The words keep so much of a long label, mm. */
const WORDS_MM = 35;

interface Room {
  /** Of the code, mm. */
  readonly side: number;
  readonly picture: { readonly at: 'above' | 'beside'; readonly side: number } | null;
}

/** A code as high as the label allows, but no more than 45% of its width; a picture over it, or beside the words. */
function roomOf({ height, width: all, blank }: LabelSheet, modules: number, wanted: boolean): Room {
  const width = all - blank;
  const side = Math.min(height - 0.6, width * 0.45, 28);
  if (!wanted) return { side, picture: null };
  // A code that stays good enough to read makes room for the picture.
  const least = Math.min(side, GOOD_MODULE_MM * modules);
  const beside = Math.min(MOST_PICTURE, height - 2, width - least - WORDS_MM);
  if (beside >= LEAST_PICTURE)
    return {
      side: Math.min(side, width - beside - WORDS_MM),
      picture: { at: 'beside', side: beside },
    };
  const above = Math.min(MOST_PICTURE, height - 0.8 - GOOD_MODULE_MM * modules);
  if (above < LEAST_PICTURE) return { side, picture: null };
  return { side: Math.min(side, height - 0.8 - above), picture: { at: 'above', side: above } };
}

/** The size of a dot of the code as it would be printed, mm. */
export function moduleMm(sheet: LabelSheet, address: string): number {
  const modules = qrOf(address).length + 2 * QUIET;
  return roomOf(sheet, modules, true).side / modules;
}

/** A long name is better broken after its genus than shrunk until nobody reads it. */
function nameLines(name: string, room: number): readonly string[] {
  const space = name.indexOf(' ');
  if (space < 0 || letters(name, READABLE_PT, true) <= room) return [name];
  return [name.slice(0, space), name.slice(space + 1)];
}

/** Dark modules side by side are one box: fewer strokes, and no hairlines between them. */
function runs(row: readonly boolean[]): readonly (readonly [number, number])[] {
  const found: [number, number][] = [];
  row.forEach((dark, x) => {
    const last = found.at(-1);
    if (!dark) return;
    if (last?.[1] === x) last[1] = x + 1;
    else found.push([x, x + 1]);
  });
  return found;
}

const letters = (text: string, pt: number, bold: boolean): number =>
  text.length * pt * MM_PER_PT * LETTER * (bold ? 1.08 : 1);

function fitPt(text: string, room: number, most: number, bold: boolean): number {
  const wide = letters(text, most, bold);
  return wide <= room ? most : Math.max(LEAST_PT, (most * room) / wide);
}

function shorten(text: string, room: number, pt: number, bold: boolean): string {
  if (letters(text, pt, bold) <= room * 1.02) return text;
  const fits = Math.max(1, Math.floor((text.length * room) / letters(text, pt, bold)) - 1);
  return `${text.slice(0, fits).trimEnd()}…`;
}

const arrowRoom = (polarity: LabelText['polarity']): number =>
  polarity === 'base down' ? 4 : polarity === 'laid' ? 5 : 0;

function arrowShapes(
  polarity: LabelText['polarity'],
  x: number,
  height: number,
): readonly LabelShape[] {
  const top = height * 0.28;
  const foot = height * 0.72;
  switch (polarity) {
    case 'base down':
      return [
        {
          is: 'line',
          points: [
            [x, foot],
            [x, top],
          ],
        },
        {
          is: 'line',
          points: [
            [x - 1.4, top + 2],
            [x, top],
            [x + 1.4, top + 2],
          ],
        },
        {
          is: 'line',
          points: [
            [x - 1.6, foot],
            [x + 1.6, foot],
          ],
        },
      ];
    case 'laid':
      return [
        {
          is: 'line',
          points: [
            [x - 2, height / 2],
            [x + 2, height / 2],
          ],
        },
      ];
    case 'as it stood':
      return [];
  }
}
