import { WithOne } from './with-one';

describe('a map as another is, but for one', () => {
  const others = new Map([
    ['a', 1],
    ['b', 2],
    ['c', 3],
  ]);

  it.each(['a', 'b', 'c'])('is read as a copy with %s changed', (key) => {
    const copy = new Map(others).set(key, 9);
    const one = new WithOne(others, key, 9);
    expect([...one]).toEqual([...copy]);
    expect([...one.entries()]).toEqual([...copy.entries()]);
    expect([...one.keys()]).toEqual([...copy.keys()]);
    expect([...one.values()]).toEqual([...copy.values()]);
    expect(one.size).toBe(copy.size);
    for (const k of ['a', 'b', 'c', 'd']) {
      expect(one.get(k)).toBe(copy.get(k));
      expect(one.has(k)).toBe(copy.has(k));
    }
    const seen: (readonly [string, number])[] = [];
    one.forEach((value, k) => seen.push([k, value]));
    expect(new Map(seen)).toEqual(copy);
  });

  it('has the keys of the other: a new one is refused', () => {
    expect(() => new WithOne(others, 'd', 4)).toThrow(RangeError);
  });
});
