import { CATALOGUE, METHODS } from '../botany';
import { drawnAs } from '../bench';
import {
  FIELD,
  HABITS,
  lookSchema,
  MARKINGS,
  PIECES,
  SIGN_PICTURES,
  SOIL,
  TIPS,
  TONES,
  type Look,
} from '../look';
import { drawPiece, drawPlant, drawSign, LINE, MARK_FIELD, SIGN_FIELD, type Shape } from '.';

const SIZES = [24, 40, 48, 96, 400];
const numbersOf = ({ d }: Shape): number[] => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
/** Points of a path, those that pull at curves as well: what is drawn lies within them. */
const within = (shapes: readonly Shape[], side: number): void => {
  const bad = shapes.filter(
    (shape) =>
      !/^(M[-\d. ]+)([MLC][-\d. ]+|Z)+$/.test(shape.d) ||
      numbersOf(shape).some((n) => !Number.isFinite(n) || n < -0.2 || n > side + 0.2),
  );
  expect(bad).toEqual([]);
};
const told = CATALOGUE.map((t) => [t.id, t.look] as const);
const looks = told.map(([id, look]) => [id, look!] as const);

describe('plants drawn from their figures', () => {
  it('every plant of the guide has a look, and every habit stands for some', () => {
    for (const [id, look] of told) expect([id, look === undefined]).toEqual([id, false]);
    expect(new Set(looks.map(([, look]) => look.habit))).toEqual(new Set(HABITS));
  });

  it('draws within its field at every size, well-formed, on the line', () => {
    for (const [, look] of looks)
      for (const size of SIZES) {
        const { shapes, soil } = drawPlant(look, size);
        expect(shapes.length).toBeGreaterThan(0);
        within(shapes, FIELD);
        expect(soil).toBe(look.habit === 'trail' ? null : SOIL);
        // It fills its field one way or the other.
        const all = shapes.flatMap(numbersOf);
        expect(Math.max(...all) - Math.min(...all)).toBeGreaterThan(FIELD / 2);
      }
  });

  it('the same figures give the same drawing, and no two plants the same, large or small', () => {
    for (const size of [40, 120]) {
      const drawn = looks.map(([, look]) => JSON.stringify(drawPlant(look, size)));
      expect(drawn).toEqual(looks.map(([, look]) => JSON.stringify(drawPlant({ ...look }, size))));
      expect(new Set(drawn).size).toBe(looks.length);
    }
  });

  it('a small drawing has fewer strokes than a large one, and never more', () => {
    const count = (size: number): number =>
      looks.reduce((sum, [, look]) => sum + drawPlant(look, size).shapes.length, 0);
    expect(count(40)).toBeLessThan(0.8 * count(120));
    for (const [, look] of looks)
      expect(drawPlant(look, 40).shapes.length).toBeLessThanOrEqual(
        drawPlant(look, 120).shapes.length,
      );
  });

  it('pieces of every way of every plant stand in their mark, above its line', () => {
    for (const taxon of CATALOGUE)
      for (const way of taxon.methods) {
        const { look, part } = drawnAs(taxon, way);
        for (const size of [34, 76]) {
          const shapes = drawPiece(look, part, size);
          expect(shapes.length).toBeGreaterThan(0);
          within(shapes, MARK_FIELD);
          const lowest = Math.max(
            ...shapes.flatMap((s) => numbersOf(s).filter((_, i) => i % 2 === 1)),
          );
          // A tuber or a low leaf may reach a little under it.
          expect([taxon.id, way.method, lowest < LINE + 12]).toEqual([taxon.id, way.method, true]);
        }
      }
    expect(METHODS.length).toBeGreaterThan(10);
  });

  it('every piece of every habit can be drawn, whatever is told of it', () => {
    for (const habit of HABITS)
      for (const part of [...PIECES, 'plant'] as const)
        for (const mark of [undefined, ...MARKINGS]) {
          const look: Look = lookSchema.parse({
            habit,
            ...(mark ? { mark } : {}),
            spines: 'white',
          });
          within(drawPiece(look, part, 60), MARK_FIELD);
        }
    for (const tip of TIPS) within(drawPlant(lookSchema.parse({ tip }), 96).shapes, FIELD);
    for (const tone of TONES)
      expect(drawPlant(lookSchema.parse({ fill: tone }), 96).shapes[0]!.fill).toBe(tone);
  });

  it('every sign is drawn on every plant, no two of one plant alike', () => {
    for (const [, look] of looks) {
      const all = SIGN_PICTURES.map((sign) => drawSign(look, sign, 52));
      for (const shapes of all) within(shapes, SIGN_FIELD);
      expect(new Set(all.map((s) => JSON.stringify(s))).size).toBe(SIGN_PICTURES.length);
    }
  });

  it('the figures at their ends are drawn, too; beyond them they are refused', () => {
    for (const habit of HABITS)
      for (const ends of [
        { count: 1, heads: 1, wide: 0.02, rise: -40, bend: -1 },
        { count: 80, heads: 24, wide: 2, rise: 85, bend: 1 },
      ])
        within(drawPlant(lookSchema.parse({ habit, ...ends }), 96).shapes, FIELD);
    expect(lookSchema.safeParse({ count: 0 }).success).toBe(false);
    expect(lookSchema.safeParse({ fill: 'pinkish' }).success).toBe(false);
    expect(lookSchema.safeParse({ leafs: 3 }).success).toBe(false);
  });
});
