import { oneAtATime } from './one-at-a-time';

describe('one at a time', () => {
  it('starts nothing twice while it is under way, and again after it', async () => {
    let started = 0;
    const tap = oneAtATime(() => Promise.resolve(++started));
    expect(await Promise.all([tap(), tap()])).toEqual([1, 1]);
    expect(await tap()).toBe(2);
  });

  it('that failed can be tried again', async () => {
    let tries = 0;
    const tap = oneAtATime(() =>
      ++tries === 1 ? Promise.reject(new Error('full')) : Promise.resolve(tries),
    );
    await expect(tap()).rejects.toThrow('full');
    expect(await tap()).toBe(2);
  });
});
