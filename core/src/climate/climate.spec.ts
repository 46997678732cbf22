import {
  actualVapourPressure,
  actualVapourPressureFromMean,
  airOn,
  atmosphericPressure,
  psychrometricConstant,
  saturationSlope,
  saturationVapourPressure,
  vapourPressureDeficit,
} from '.';

describe('air, against FAO Irrigation and Drainage Paper 56 (Allen et al. 1998)', () => {
  // Annex 2, table 2.3.
  it.each([
    [1, 0.657],
    [5, 0.872],
    [10, 1.228],
    [15, 1.705],
    [20, 2.338],
    [25, 3.168],
    [30, 4.243],
    [35, 5.624],
    [40, 7.376],
    [45, 9.585],
  ])('table 2.3: e° at %d °C is %d kPa', (tempC, kPa) => {
    expect(saturationVapourPressure(tempC)).toBeCloseTo(kPa, 2);
  });

  it('example 3: 24.5 and 15 °C give 3.075 and 1.705, mean 2.39 kPa', () => {
    expect(saturationVapourPressure(24.5)).toBeCloseTo(3.075, 3);
    expect(saturationVapourPressure(15)).toBeCloseTo(1.705, 3);
    expect((saturationVapourPressure(24.5) + saturationVapourPressure(15)) / 2).toBeCloseTo(
      2.39,
      2,
    );
  });

  it('example 5: 18–25 °C with 54–82 % RH gives 1.70 kPa, by the mean 1.78', () => {
    expect(actualVapourPressure(18, 25, 0.54, 0.82)).toBeCloseTo(1.7, 2);
    expect(actualVapourPressureFromMean(18, 25, 0.68)).toBeCloseTo(1.78, 2);
  });

  it('example 2: at 1800 m 81.8 kPa and γ 0.054', () => {
    expect(atmosphericPressure(1800)).toBeCloseTo(81.8, 1);
    expect(psychrometricConstant(atmosphericPressure(1800))).toBeCloseTo(0.054, 3);
  });

  // Annex 2, table 2.4.
  it.each([
    [1, 0.047],
    [20, 0.145],
    [30, 0.243],
  ])('table 2.4: Δ at %d °C is %d kPa/°C', (tempC, slope) => {
    expect(saturationSlope(tempC)).toBeCloseTo(slope, 3);
  });

  it('has no deficit in saturated air, and refuses humidity that is none', () => {
    expect(vapourPressureDeficit(20, 1)).toBe(0);
    expect(() => vapourPressureDeficit(20, 55)).toThrow(/rh must be between 0 and 1, got 55/);
    expect(() => saturationVapourPressure(NaN)).toThrow(/tempC/);
  });
});

describe('the air of a space on a day', () => {
  const usual = { tempC: 20, rh: 0.5 };
  const readings = [
    { day: '2026-03-01', tempC: 12, rh: 0.7 },
    { day: '2026-03-05', tempC: 14, rh: 0.6 },
  ];

  it('is the reading, which holds for three days and no longer', () => {
    expect(airOn(usual, readings, '2026-03-01')).toEqual({ tempC: 12, rh: 0.7, from: 'reading' });
    expect(airOn(usual, readings, '2026-03-04').tempC).toBe(12);
    expect(airOn(usual, readings, '2026-03-08').tempC).toBe(14);
    expect(airOn(usual, readings, '2026-03-09')).toEqual({ ...usual, from: 'usual' });
  });

  it('is the usual air before the first reading', () => {
    expect(airOn(usual, readings, '2026-02-28').from).toBe('usual');
    expect(airOn(usual, [], '2026-02-28').from).toBe('usual');
  });
});
