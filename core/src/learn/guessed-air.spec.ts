import { guessedBetween } from '../bench';
import { CATALOGUE, methodOf } from '../botany';
import { dayOfYear, type AirReading } from '../climate';
import { addDays, type Day } from '../days';
import { growthOf } from '../growth';
import { fold, type State } from '../journal';
import { plannedBatch, plannedOutlook, readiness } from '../plan';
import { randomFrom } from '../stats';
import { written } from '../testing/entries';
import { chanceBy, growthFor } from './awaited';
import { chanceOn } from './guessed-air';
import { likelyBy } from './on-its-way';
import type { Outlook } from './outlook';

const LATITUDE = 50;
const CUT: Day = '2026-10-25';
const taxon = CATALOGUE.find((t) => t.id === 'echeveria-elegans')!;
const leaf = methodOf(taxon, 'leaf')!;

/** How high the year stands: 1 a month after the longest day, −1 half a year later. */
const wave = (day: Day): number => Math.cos(((2 * Math.PI) / 365) * (dayOfYear(day) - 172 - 30));
const middle = (m: number): Day => `2026-${String(m + 1).padStart(2, '0')}-15`;

/** A place under glass, with what is told of its year. */
const place = (fields: object, readings: readonly AirReading[] = []): State => ({
  ...fold(
    written(
      {
        kind: 'put',
        record: 'settings',
        key: 'grower',
        day: CUT,
        fields: { latitude: LATITUDE },
      },
      {
        kind: 'put',
        record: 'space',
        key: 's',
        day: CUT,
        fields: { tempC: 15, rh: 0.6, lightLevel: 'shaded-glass', ...fields },
      },
    ),
  ),
  air: new Map([['s', readings]]),
});
const year = (mean: number, swing: number, spreadC?: number) =>
  Array.from({ length: 12 }, (_, m) => {
    const tempC = mean + swing * wave(middle(m));
    const month = { minC: tempC - 4, maxC: tempC + 4, rh: 0.6 };
    return spreadC === undefined ? month : { ...month, spreadC };
  });
const planned = (state: State): Outlook =>
  plannedOutlook(state, { taxon: taxon.id, cutOn: CUT, space: 's' }, leaf)!;

describe('dates where months of a place are guessed', () => {
  it('spread further the wider the guess, about the same middle; what is told changes nothing', () => {
    const [told, little, much] = [undefined, 1, 3].map((spread) =>
      planned(place({ monthly: year(15, 7, spread) })),
    ) as [Outlook, Outlook, Outlook];
    expect(told.around).toBeNull();
    expect(little.roots.half).toBe(told.roots.half);
    expect(little.roots.from <= told.roots.from).toBe(true);
    expect(little.roots.to > told.roots.to).toBe(true);
    expect(much.roots.from < little.roots.from).toBe(true);
    expect(much.roots.to > little.roots.to).toBe(true);
    expect(planned(place({ monthly: year(15, 7, 0) })).roots.to).toBe(told.roots.to);
    // No guess of the air has roots before the cut.
    expect(planned(place({ monthly: year(15, 7, 20) })).roots.from >= CUT).toBe(true);
  });

  it('chances by a day carry it: those of three lines are those of all that the months may be', () => {
    const state = place({ monthly: year(15, 7, 2) });
    const is = planned(state);
    const batch = plannedBatch(state, { taxon: taxon.id, cutOn: CUT, space: 's' }, leaf)!;
    for (const n of [30, 60, 100, 150]) {
      const day = addDays(CUT, n);
      // The normal itself, by Simpson's rule from −4 to 4.
      let [sum, weights] = [0, 0];
      for (let i = 0; i <= 32; i++) {
        const z = -4 + i / 4;
        const weight = (i === 0 || i === 32 ? 1 : i % 2 === 0 ? 2 : 4) * Math.exp((-z * z) / 2);
        const line = growthOf(state, batch, { guessesBy: z })!;
        sum += weight * chanceBy(is.roots.awaited, line.at(day)).mean;
        weights += weight;
      }
      expect(chanceOn(is, is.roots.awaited, day).mean).toBeCloseTo(sum / weights, 2);
    }
    const told = planned(place({ monthly: year(15, 7) }));
    const day = addDays(CUT, 60);
    expect(chanceOn(told, told.roots.awaited, day)).toEqual(
      chanceBy(told.roots.awaited, told.line.at(day)),
    );
  });

  it('so do the number needed by a day, and the fan of expected roots', () => {
    const [told, guessed] = [undefined, 4].map((spread) =>
      planned(place({ monthly: year(15, 7, spread) })),
    ) as [Outlook, Outlook];
    // While the middle has hardly begun, a warm autumn would have brought more.
    const early = addDays(CUT, 12);
    const by = (is: Outlook) => readiness(is, leaf, 'rooted', CUT).by(early);
    expect(by(guessed)).toBeGreaterThan(by(told));
    expect(
      readiness(guessed, leaf, 'rooted', CUT)
        .on(early)
        .reduce((s, c) => s + c.weight, 0),
    ).toBeCloseTo(1, 9);
    const wide = (is: Outlook): number => {
      const { low, high } = likelyBy(is, { ...is.roots, pieces: 60 }, addDays(CUT, 60));
      return high - low;
    };
    expect(wide(guessed)).toBeGreaterThan(wide(told));
  });

  it('tells which months are guessed on the way', () => {
    const half = year(15, 7).map((month, m) => (m === 10 ? { ...month, spreadC: 2 } : month));
    expect(guessedBetween(place({ monthly: half }), 's', CUT, '2027-01-31')).toEqual([9, 10, 11]);
    expect(guessedBetween(place({ monthly: half }), 's', '2027-02-01', '2027-03-31')).toEqual([]);
    expect(guessedBetween(place({}), 's', CUT, '2027-01-31')).toEqual([]);
  });

  it('hold eight times in ten for places as different as they are (300 places, seeded)', () => {
    const random = randomFrom(28);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let [held, heldByPlantAlone] = [0, 0];
    const places = 300;
    for (let n = 0; n < places; n++) {
      // Read about midsummer, where the wave hardly moves: the winter of the cut is a guess.
      const [mean, swing] = [14 + 2 * normal(), 7 + 3 * normal()];
      let off = 2.5 * normal();
      const readings = Array.from({ length: 95 }, (_, d) => {
        const day = addDays('2026-06-05', d);
        off = 0.7 * off + 2.5 * Math.sqrt(1 - 0.49) * normal();
        const tempC = mean + swing * wave(day) + off;
        return { day, tempC, rh: 0.6, minC: tempC - 4, maxC: tempC + 4 };
      });
      const { roots, line } = planned(place({}, readings));
      const growth = growthFor(roots.awaited, random());
      const truth = planned(place({ monthly: year(mean, swing) })).line.dayFor(growth);
      const day = truth ?? '2999-01-01';
      if (roots.from <= day && day <= roots.to) held++;
      const alone = [0.1, 0.9].map((share) => line.dayFor(growthFor(roots.awaited, share))!);
      if (alone[0]! <= day && day <= alone[1]!) heldByPlantAlone++;
    }
    expect(heldByPlantAlone / places).toBeLessThan(0.74);
    expect(held / places).toBeGreaterThan(0.75);
    expect(held / places).toBeLessThan(0.9);
  }, 180_000);
});
