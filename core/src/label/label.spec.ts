import jsQR from 'jsqr';
import { ANY_LOOK } from '../botany';
import { drawn } from '../look';
import * as fc from 'fast-check';
import { batchInAddress, labelAddress, QUIET, qrOf } from './code';
import { drawLabel, LEAST_MODULE_MM, moduleMm, type LabelText } from './draw';
import { LABEL_SHEETS, labelsPerPage, placeLabels, sheetProblems } from './sheet';

const TEXT: LabelText = {
  name: 'Haworthiopsis attenuata',
  lines: ['12 offsets', 'cut 9 Apr 2026'],
  code: 'HAW-7K4',
  polarity: 'base down',
  piece: drawn(ANY_LOOK, 'offset'),
  address: 'http://bench.local:4180/#/bench/3f2c9a7e-6f0d-4f1e-9d2b-0a1b2c3d4e5f',
};

/** The height of a dot as drawn, mm. */
const moduleOf = (shapes: ReturnType<typeof drawLabel>): number =>
  shapes.find((s) => s.is === 'box')!.height;

/** A code as pixels of a camera, four to a module. */
function pixels(text: string): { data: Uint8ClampedArray; side: number } {
  const matrix = qrOf(text);
  const scale = 4;
  const side = (matrix.length + 2 * QUIET) * scale;
  const data = new Uint8ClampedArray(side * side * 4).fill(255);
  matrix.forEach((row, y) =>
    row.forEach((dark, x) => {
      if (!dark) return;
      for (let dy = 0; dy < scale; dy++)
        for (let dx = 0; dx < scale; dx++) {
          const at = (((y + QUIET) * scale + dy) * side + (x + QUIET) * scale + dx) * 4;
          data[at] = data[at + 1] = data[at + 2] = 0;
        }
    }),
  );
  return { data, side };
}

describe('the code on a label', () => {
  it('is read back by another decoder, whatever the batch is called', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 60 }), (id) => {
        const address = labelAddress('https://garden.example/hypogeon/', id);
        const { data, side } = pixels(address);
        const read = jsQR(data, side, side)?.data;
        expect(read).toBe(address);
        expect(batchInAddress(read!)).toBe(id);
      }),
      { numRuns: 40 },
    );
  });

  it('is known for ours by its address, from wherever it was printed', () => {
    expect(batchInAddress('http://192.168.1.5:4180/#/bench/b-19')).toBe('b-19');
    expect(batchInAddress('https://example.org/menu')).toBeNull();
    expect(batchInAddress('x#/bench/%E0%A4%A')).toBeNull();
  });
});

describe('sheets', () => {
  // Counted on the sheets as they are sold: common practice, no source.
  it.each([
    ['a4-24', 3, 8],
    ['a4-44', 4, 11],
    ['a4-65', 5, 13],
    ['letter-30', 3, 10],
    ['stake-100', 2, 16],
    ['stake-140', 1, 13],
  ])('%s has %d across and %d down', (id, across, down) => {
    expect(labelsPerPage(LABEL_SHEETS.find((s) => s.id === id)!)).toEqual({ across, down });
  });

  it('are filled row by row from the first free place, and go on over the page', () => {
    const [sheet] = LABEL_SHEETS;
    const places = placeLabels(sheet!, 25, 2);
    expect(places[0]).toEqual({ page: 0, x: 140, y: 0.5 });
    expect(places[1]).toEqual({ page: 0, x: 0, y: 37.5 });
    expect(places[22]).toMatchObject({ page: 1, x: 0 });
  });

  it('of one’s own are checked field by field', () => {
    const own = { ...LABEL_SHEETS[0]!, width: 20, height: 400 };
    expect(sheetProblems(own)).toMatchObject({
      width: expect.stringMatching(/At least 30 mm/) as string,
      height: expect.stringMatching(/Higher than the page/) as string,
    });
    for (const sheet of LABEL_SHEETS) expect(sheetProblems(sheet)).toEqual({});
  });
});

describe('a label', () => {
  it.each(LABEL_SHEETS.map((s) => [s.name, s] as const))(
    'keeps inside %s, its code whole',
    (_n, sheet) => {
      const shapes = drawLabel(sheet, TEXT);
      const width = sheet.width - sheet.blank;
      for (const s of shapes) {
        if (s.is === 'box') {
          expect(s.x + s.width).toBeLessThanOrEqual(width);
          expect(s.y + s.height).toBeLessThanOrEqual(sheet.height);
        }
        if (s.is === 'text') expect(s.pt).toBeGreaterThanOrEqual(6);
      }
      expect(shapes).toContainEqual(expect.objectContaining({ is: 'text', text: TEXT.code }));
    },
  );

  it('has dots a phone can tell apart on every size', () => {
    for (const sheet of LABEL_SHEETS)
      expect(moduleMm(sheet, TEXT.address)).toBeGreaterThan(LEAST_MODULE_MM);
  });

  it('shows the piece where there is room, and neither code nor words suffer', () => {
    const shown = LABEL_SHEETS.filter((sheet) => {
      const shapes = drawLabel(sheet, TEXT);
      const width = sheet.width - sheet.blank;
      const picture = shapes.find((s) => s.is === 'picture');
      expect(moduleMm(sheet, TEXT.address)).toBeGreaterThanOrEqual(
        Math.min(0.45, moduleOf(drawLabel(sheet, { ...TEXT, piece: null }))),
      );
      if (!picture) return false;
      const { x, y, side } = picture;
      expect([x >= 0, y >= 0, x + side <= width, y + side <= sheet.height]).not.toContain(false);
      for (const s of shapes) {
        // No dot of the code and no word begins under it.
        if (s.is === 'box')
          expect(s.x + s.width <= x || s.y >= y + side || s.x >= x + side).toBe(true);
        if (s.is === 'text') expect(s.x >= x + side || s.x < x).toBe(true);
      }
      return true;
    }).map((s) => s.id);
    expect(shown).toEqual(expect.arrayContaining(['a4-24', 'stake-140']));
    expect(
      drawLabel(LABEL_SHEETS[0]!, { ...TEXT, piece: null }).some((s) => s.is === 'picture'),
    ).toBe(false);
  });

  it('shows which end goes down only where one does', () => {
    const strokes = (polarity: LabelText['polarity']): number =>
      drawLabel(LABEL_SHEETS[0]!, { ...TEXT, polarity }).filter((s) => s.is === 'line').length;
    expect([strokes('base down'), strokes('laid'), strokes('as it stood')]).toEqual([3, 1, 0]);
  });
});
