import { memo, memoAround, memoBy } from './memo';

describe('memory of sums', () => {
  it('asks once for every object', () => {
    let asked = 0;
    const size = memo((list: readonly number[]) => (asked++, list.length));
    const list = [1, 2];
    expect([size(list), size(list), size([1, 2])]).toEqual([2, 2, 2]);
    expect(asked).toBe(2);
  });

  it('asks again when anything around it is another', () => {
    const kept = memoAround<object, number>();
    const key = {};
    const around = {};
    let n = 0;
    const ask = (parts: readonly unknown[]) => kept(key, parts, () => ++n);
    expect([ask([around, 1]), ask([around, 1]), ask([{}, 1]), ask([around])]).toEqual([1, 1, 2, 3]);
  });

  it('forgets the oldest text of an object, and keeps what is nothing too', () => {
    const kept = memoBy<object, number | null>(2);
    const key = {};
    const asked: string[] = [];
    const ask = (name: string) => kept(key, name, () => (asked.push(name), null));
    for (const name of ['a', 'b', 'a', 'c', 'b', 'a']) ask(name);
    expect(asked).toEqual(['a', 'b', 'c', 'a']);
  });
});
