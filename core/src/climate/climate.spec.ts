import { addDays, type Day } from '../days';
import { randomFrom } from '../stats';
import {
  actualVapourPressure,
  actualVapourPressureFromMean,
  airOn,
  atmosphericPressure,
  dailyReadings,
  dayLength,
  sunUpHours,
  doubtOf,
  extraterrestrialRadiation,
  humidityFromLow,
  lampLight,
  latentHeat,
  lightOfSeason,
  mergeSeries,
  minuteFrom,
  minuteText,
  monthlyFrom,
  monthlyOn,
  netOfLamps,
  netOfSun,
  potentialEvaporation,
  psychrometricConstant,
  saturationSlope,
  saturationVapourPressure,
  vapourPressureDeficit,
  type AirSeries,
  yearFrom,
  dayOfYear,
  guessedMonths,
  type AirReading,
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

  it('example 5: 18–25 °C with 54–82% RH gives 1.70 kPa, by the mean 1.78', () => {
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

describe('sun and day, against FAO Irrigation and Drainage Paper 56', () => {
  it('example 8: 20°S on 3 September gets 32.2 MJ m⁻² d⁻¹', () => {
    expect(extraterrestrialRadiation(-20, '2026-09-03')).toBeCloseTo(32.2, 1);
  });

  it('example 9: and 11.7 hours of day', () => {
    expect(dayLength(-20, '2026-09-03')).toBeCloseTo(11.7, 1);
  });

  // Annex 2, table 2.6, middle of the month, 40°N; from memory.
  it.each([
    ['2026-01-15', 15.0],
    ['2026-03-15', 27.2],
    ['2026-06-15', 41.9],
    ['2026-09-15', 30.0],
    ['2026-12-15', 13.6],
  ])('table 2.6: 40°N on %s gets %d', (day, mj) => {
    expect(Math.abs(extraterrestrialRadiation(40, day) - mj)).toBeLessThan(0.6);
  });

  // Almanac tables of sunrise and sunset, hours and minutes; from memory.
  it.each([
    [0, '2026-03-20', 12 + 7 / 60],
    [45, '2026-06-21', 15 + 37 / 60],
    [45, '2026-12-21', 8 + 46 / 60],
    [60, '2026-06-21', 18 + 52 / 60],
    [60, '2026-12-21', 5 + 52 / 60],
  ])(
    'from sunrise to sunset at %d° on %s as an almanac has it, within five minutes',
    (at, day, hours) => {
      expect(Math.abs(sunUpHours(at, day) - hours)).toBeLessThan(5 / 60);
      expect(sunUpHours(at, day)).toBeGreaterThan(dayLength(at, day));
    },
  );

  it('the sun is up for a day or not at all beyond the circles, also at the poles', () => {
    expect(sunUpHours(80, '2026-06-21')).toBe(24);
    expect(sunUpHours(80, '2026-12-21')).toBe(0);
    for (const pole of [90, -90]) expect([0, 24]).toContain(sunUpHours(pole, '2026-06-21'));
    expect(() => sunUpHours(91, '2026-06-21')).toThrow(RangeError);
  });

  it('is right in both hemispheres, at the poles and on the equator', () => {
    for (const day of ['2026-01-10', '2026-06-21', '2026-10-01'])
      expect(dayLength(35, day) + dayLength(-35, day)).toBeCloseTo(24, 9);
    expect(dayLength(80, '2026-12-21')).toBe(0);
    expect(dayLength(80, '2026-06-21')).toBe(24);
    expect(extraterrestrialRadiation(-85, '2026-06-21')).toBeCloseTo(0, 9);
    expect(dayLength(0, '2026-03-20')).toBeCloseTo(12, 9);
    expect(lightOfSeason(54, '2026-06-21')).toBeGreaterThan(1.5);
    expect(lightOfSeason(-54, '2026-06-21')).toBeLessThan(0.4);
    expect(() => dayLength(91, '2026-06-21')).toThrow(RangeError);
  });
});

describe('evaporation from a wet surface (Penman after Shuttleworth 1993)', () => {
  it('agrees with its components worked out by hand', () => {
    // 20 °C, 1 kPa, 5 MJ, 2 m/s: Δ 0.1447 (FAO-56 table 2.4), γ 0.0674, λ 2.454.
    const byHand = (0.1447 * 5 + 0.0674 * 6.43 * (1 + 0.536 * 2) * 1) / ((0.1447 + 0.0674) * 2.454);
    const mm = potentialEvaporation({ tempC: 20, vpdKPa: 1, netMJ: 5, windMps: 2 });
    expect(mm / byHand).toBeCloseTo(1, 3);
    // FAO-56, annex 3, table 3.1: 2.45 MJ/kg at about 20 °C.
    expect(latentHeat(20)).toBeCloseTo(2.45, 2);
  });

  it('grows with sun, wind and dry air, and never runs backwards', () => {
    const base = { tempC: 20, vpdKPa: 1, netMJ: 3, windMps: 0.5 };
    const e = potentialEvaporation(base);
    expect(potentialEvaporation({ ...base, netMJ: 6 })).toBeGreaterThan(e);
    expect(potentialEvaporation({ ...base, vpdKPa: 2 })).toBeGreaterThan(e);
    expect(potentialEvaporation({ ...base, windMps: 2 })).toBeGreaterThan(e);
    expect(potentialEvaporation({ ...base, netMJ: -50, vpdKPa: 0 })).toBe(0);
    expect(() => potentialEvaporation({ ...base, tempC: NaN })).toThrow(RangeError);
  });

  it('light becomes heat: 9 mol of sun is 3.1 MJ net, lamps less', () => {
    expect(netOfSun(9)).toBeCloseTo((9 / (4.57 * 0.45)) * 0.7, 12);
    expect(netOfLamps(9)).toBeCloseTo(netOfSun(9) * 0.45, 12);
    expect(lampLight(200, 12)).toBeCloseTo(8.64, 9);
  });
});

describe('a place’s usual year', () => {
  const year = Array.from({ length: 12 }, (_, m) => ({ minC: m, maxC: m + 10, rh: 0.5 + m / 100 }));

  it('is met in the middle of each month and runs straight between', () => {
    expect(monthlyOn(year, '2026-07-16').minC).toBeCloseTo(6, 1);
    expect(monthlyOn(year, '2026-08-01').minC).toBeCloseTo(6.5, 1);
    expect(monthlyOn(year, '2026-08-01').tempC).toBeCloseTo(11.5, 1);
    const turn = monthlyOn(year, '2026-12-31').minC!;
    expect(turn).toBeGreaterThan(5);
    expect(turn).toBeLessThan(6);
    expect(() => monthlyOn(year.slice(1), '2026-12-31')).toThrow(RangeError);
  });

  it('comes back out of daily weather; too little of it makes none', () => {
    const days = Array.from({ length: 365 }, (_, i) => {
      const day = addDays('2025-01-01', i);
      return { day, ...monthlyOn(year, day), windMps: 2 };
    });
    const made = monthlyFrom(days)!;
    expect(made[6]!.minC).toBeCloseTo(6, 0);
    expect(made[3]!.windMps).toBeCloseTo(2, 9);
    expect(monthlyFrom(days.slice(0, 300))).toBeNull();
  });

  it('stands behind readings and before the usual air', () => {
    const usual = { tempC: 20, rh: 0.5 };
    expect(airOn(usual, [], '2026-07-16', year).from).toBe('climate');
    const reading = { day: '2026-07-15', tempC: 30, rh: 0.3, rainMm: 4 };
    expect(airOn(usual, [reading], '2026-07-15', year)).toMatchObject({ tempC: 30, rainMm: 4 });
    expect(airOn(usual, [reading], '2026-07-16', year).rainMm).toBeUndefined();
    expect(airOn(usual, [reading], '2026-07-25').from).toBe('usual');
  });

  it('missing humidity: the night’s low is the dew point (FAO-56, eq. 48)', () => {
    // e°(10) 1.228, e°(20) 2.338 (table 2.3): 1.228 / 1.783.
    expect(humidityFromLow(10, 20)).toBeCloseTo(0.689, 3);
    expect(humidityFromLow(15, 15)).toBe(1);
  });
});

describe('series of readings', () => {
  const start = minuteFrom('2026-04-09T22:00')!;
  const series: AirSeries = {
    minutes: [0, 60, 120, 180].map((m) => start + m),
    columns: { tempC: [10, 12, 6, null], rh: [0.5, 0.7, null, null], rainMm: [1, 2, 0, 3] },
  };

  it('become days by means, extremes and sums; the wall clock has no zones', () => {
    expect(minuteText(start + 120)).toBe('2026-04-10T00:00');
    expect(minuteFrom('yesterday')).toBeNull();
    expect(dailyReadings(series)).toEqual([
      { day: '2026-04-09', tempC: 11, rh: 0.6, minC: 10, maxC: 12, rainMm: 3 },
      { day: '2026-04-10', tempC: 6, rh: 1, minC: 6, maxC: 6, rainMm: 3, rhFilled: true },
    ]);
    expect(dailyReadings({ minutes: [start], columns: { rh: [0.5] } })).toEqual([]);
    expect(
      dailyReadings({ minutes: [start], columns: { minC: [4], maxC: [10], ppfd: [100] } })[0],
    ).toMatchObject({ tempC: 7, molPerDay: 8.64, rhFilled: true });
  });

  it('merge by time; the later list wins a minute', () => {
    const other: AirSeries = { minutes: [start + 60, start + 61], columns: { tempC: [20, 21] } };
    const merged = mergeSeries([series, other]);
    expect(merged.minutes).toEqual([0, 60, 61, 120, 180].map((m) => start + m));
    expect(merged.columns.tempC).toEqual([10, 20, 21, 6, null]);
    expect(merged.columns.rh).toEqual([0.5, null, null, null, null]);
  });

  it('what a bench cannot have is doubted: impossible, jumped or stuck', () => {
    const at = (values: readonly number[]) => values.map((value, i) => ({ at: i * 600, value }));
    expect(doubtOf('tempC', at([20, 21]))).toBeNull();
    expect(doubtOf('tempC', at([20, 140]))).toBe('impossible');
    expect(doubtOf('rh', at([0.5, 0.9]))).toBe('jumped');
    expect(doubtOf('rh', at(Array(30).fill(0.5)))).toBe('stuck');
    expect(doubtOf('ppfd', at(Array(40).fill(0)))).toBeNull();
    expect(doubtOf('tempC', [])).toBeNull();
  });
});

describe('a year from a part of it', () => {
  const year = (day: Day): number => Math.cos(((2 * Math.PI) / 365) * (dayOfYear(day) - 172 - 30));
  const readings = (count: number, swing: number, from: Day = '2025-11-01'): AirReading[] =>
    Array.from({ length: count }, (_, n) => {
      const day = addDays(from, n);
      const tempC = 12 + swing * year(day);
      return { day, tempC, rh: 0.6, minC: tempC - 4, maxC: tempC + 4 };
    });

  it('gives the summer that a winter half tells, within a degree and a half', () => {
    const told = yearFrom(readings(150, 8), 50, 'glass')!;
    expect(told).toHaveLength(12);
    told.forEach(({ minC, maxC }, m) => {
      const truth = 12 + 8 * year(`2026-${String(m + 1).padStart(2, '0')}-15`);
      expect(Math.abs((minC + maxC) / 2 - truth)).toBeLessThan(1.5);
    });
  });

  it('makes no summer for a room that hardly has one, and turns the year in the south', () => {
    for (const { minC, maxC } of yearFrom(readings(150, 0), 50, 'room')!)
      expect(Math.abs((minC + maxC) / 2 - 12)).toBeLessThan(1);
    const south = readings(150, -8);
    const told = yearFrom(south, -35, 'glass')!;
    expect((told[6]!.minC + told[6]!.maxC) / 2).toBeLessThan(8);
    expect((told[0]!.minC + told[0]!.maxC) / 2).toBeGreaterThan(17);
  });

  /** Weather that lasts about the wave of a place. */
  function weathered(
    from: Day,
    swing: number,
    mean: number,
    sd: number,
    seed: number,
  ): AirReading[] {
    const random = randomFrom(seed);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let off = sd * normal();
    return Array.from({ length: 95 }, (_, n) => {
      const day = addDays(from, n);
      off = 0.7 * off + sd * Math.sqrt(1 - 0.49) * normal();
      const tempC = mean + swing * year(day) + off;
      return { day, tempC, rh: 0.6, minC: tempC - 4, maxC: tempC + 4 };
    });
  }

  // Read about the turning point of its year, where a wave hardly moves: 200 places each, seeded.
  it.each([
    ['glass', '2025-06-10', 7, 15, 2.5, 5],
    ['outdoors', '2025-06-10', 9, 10, 3, 6],
    ['room', '2025-12-05', 1.5, 20, 1.5, 3],
  ] as const)(
    '%s from %s: nine of ten years are right within a few degrees in every month',
    (kind, from, swing, mean, sd, within) => {
      let right = 0;
      for (let seed = 1; seed <= 200; seed++) {
        const told = yearFrom(weathered(from, swing, mean, sd, seed), 50, kind)!;
        const off = told.map(({ minC, maxC }, m) =>
          Math.abs(
            (minC + maxC) / 2 - mean - swing * year(`2026-${String(m + 1).padStart(2, '0')}-15`),
          ),
        );
        if (Math.max(...off) <= within) right++;
      }
      expect(right).toBeGreaterThanOrEqual(180);
    },
  );

  it('says how far off a guessed month may be: nothing of one that was read, more the further its sun is from theirs', () => {
    const winter = readings(95, 8, '2025-11-01');
    const told = yearFrom(winter, 50, 'glass')!;
    for (const [m, { spreadC }] of told.entries())
      if (guessedMonths(winter).includes(m)) expect(spreadC).toBeGreaterThan(0);
      else expect(spreadC).toBeUndefined();
    // Half a year away the wave stands highest; a place of its kind differs by 3 °C in its half swing.
    expect(told[6]!.spreadC!).toBeGreaterThan(told[3]!.spreadC!);
    expect(told[6]!.spreadC!).toBeLessThan(6);
    // The air of a day between two months carries both.
    expect(airOn({ tempC: 10, rh: 0.6 }, [], '2026-07-15', told).spreadC).toBeCloseTo(
      told[6]!.spreadC!,
      0,
    );
    expect(airOn({ tempC: 10, rh: 0.6 }, [], '2025-12-15', told).spreadC).toBeUndefined();
  });

  it('months that were not read are told as guesses', () => {
    expect(guessedMonths(readings(95, 8, '2025-11-01'))).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(guessedMonths(readings(400, 8))).toEqual([]);
  });

  it('is silent on less than a season, and is the months themselves where all were read', () => {
    expect(yearFrom(readings(89, 8), 50, 'room')).toBeNull();
    expect(yearFrom(readings(400, 8), 50, 'room')).toEqual(monthlyFrom(readings(400, 8)));
  });
});
