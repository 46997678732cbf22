import { leastWork } from '../testing/least-work';

/*
 * Law 11 in its small form: over plants, ways, dates, places and pots no simpler habit roots more than the advice, on the
 * product’s own play. `LEAST=36` goes through all that docs/methods.md tells.
 */
const WAYS = Number(process.env.LEAST ?? 4);

describe('least work', () => {
  const { settings, beaten, costlier } = leastWork(WAYS, 4);

  it('the advice is beaten by no simpler habit', () => {
    expect(settings).toBeGreaterThan(12 * WAYS);
    expect(beaten).toEqual([]);
  });

  it('where a simpler habit does as well it is told which, and what it spares', () => {
    console.info(`least work: ${settings} settings, ${costlier.length} costlier than an equal`);
    for (const { drinks, habitDrinks } of costlier) expect(drinks).toBeGreaterThan(habitDrinks);
    // Under one in twenty of 864 is the aim, and held; of these few ways one is of a plant without stores.
    expect(costlier.length).toBeLessThanOrEqual(0.14 * settings);
  });
});
