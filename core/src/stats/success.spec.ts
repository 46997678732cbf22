import { successRange } from '.';

describe('the range of a chance of success', () => {
  it('is exact where Beta has a closed form: (1, 1) is uniform, (2, 1) has quantile √p', () => {
    const uniform = successRange({ mean: 0.5, worth: 2 });
    expect(uniform.low).toBeCloseTo(0.1, 8);
    expect(uniform.high).toBeCloseTo(0.9, 8);
    const rising = successRange({ mean: 2 / 3, worth: 3 });
    expect(rising.low).toBeCloseTo(Math.sqrt(0.1), 8);
    expect(rising.high).toBeCloseTo(Math.sqrt(0.9), 8);
  });

  it('narrows with what the opinion is worth', () => {
    const width = (worth: number): number => {
      const { low, high } = successRange({ mean: 0.7, worth });
      return high - low;
    };
    expect(width(40)).toBeLessThan(width(8));
    expect(() => successRange({ mean: 1.2, worth: 8 })).toThrow(/mean/);
    expect(() => successRange({ mean: 0.5, worth: 0 })).toThrow(/worth/);
  });
});
