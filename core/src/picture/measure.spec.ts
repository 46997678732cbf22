import * as fc from 'fast-check';
import { measureOnPicture } from './measure';

const at = (x: number, y: number) => ({ x, y });

describe('measuring on a picture', () => {
  it('is the share of the scale: 3-4-5 triangles of 100 px to 10 mm', () => {
    const { mm } = measureOnPicture([at(0, 0), at(60, 80)], 10, [at(10, 10), at(40, 50)]);
    expect(mm).toBeCloseTo(5, 10);
  });

  it('follows a bent root from point to point', () => {
    const { mm } = measureOnPicture([at(0, 0), at(100, 0)], 10, [
      at(0, 0),
      at(30, 40),
      at(30, 140),
    ]);
    expect(mm).toBeCloseTo(15, 10);
  });

  it('is surer the longer both lines are: 2 px at each end of 100 and of 200', () => {
    // By hand: sqrt((2√2/200)² + (2√2/100)²) = 3.16%, of 20 mm 0.63 mm.
    const { errorMm } = measureOnPicture([at(0, 0), at(100, 0)], 10, [at(0, 0), at(200, 0)]);
    expect(errorMm).toBeCloseTo(0.632, 3);
  });

  it('does not hang on the size the picture is shown in, but on how well one points', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 8, noNaN: true }), (k) => {
        const of = (f: number) =>
          measureOnPicture([at(0, 0), at(100 * f, 0)], 10, [at(0, 0), at(0, 70 * f)]);
        expect(of(k).mm).toBeCloseTo(of(1).mm, 8);
      }),
    );
  });

  it('refuses what cannot be told from a slip of the thumb', () => {
    expect(() => measureOnPicture([at(0, 0), at(1, 1)], 10, [at(0, 0), at(50, 0)])).toThrow(
      /scale/,
    );
    expect(() => measureOnPicture([at(0, 0), at(90, 0)], 10, [at(0, 0), at(1, 0)])).toThrow(
      /along/,
    );
    expect(() => measureOnPicture([at(0, 0), at(90, 0)], 0, [at(0, 0), at(9, 0)])).toThrow(
      RangeError,
    );
  });
});
