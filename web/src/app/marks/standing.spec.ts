import { pieceAt, plantAt } from './standing';

/** Where a transform puts a point. */
function put(transform: string, [x, y]: readonly [number, number]): [number, number] {
  const steps = [...transform.matchAll(/(translate|rotate|scale)\(([^)]*)\)/g)].reverse();
  return steps.reduce<[number, number]>(
    ([px, py], [, kind, args]) => {
      const n = args!.split(' ').map(Number);
      if (kind === 'translate') return [px + n[0]!, py + n[1]!];
      if (kind === 'scale') return [px * n[0]!, py * n[0]!];
      const a = (n[0]! * Math.PI) / 180;
      return [px * Math.cos(a) - py * Math.sin(a), px * Math.sin(a) + py * Math.cos(a)];
    },
    [x, y],
  );
}

describe('a piece in another drawing', () => {
  it('stands with its foot where it is put, as wide as it is told, leaning about its foot', () => {
    const at = { x: 100, y: 220 };
    expect(put(pieceAt(at, 88), [32, 36])).toEqual([100, 220]);
    // Twenty-two of its field above its foot are forty-four here.
    expect(put(pieceAt(at, 88), [32, 14])).toEqual([100, 176]);
    const [x, y] = put(pieceAt(at, 44, 90), [32, 14]);
    expect([Math.round(x), Math.round(y)]).toEqual([122, 220]);
  });

  it('so does a whole plant, on the soil of its field', () => {
    expect(put(plantAt({ x: 10, y: 20 }, 78), [50, 86])).toEqual([10, 20]);
    expect(put(plantAt({ x: 10, y: 20 }, 39), [50, 46])).toEqual([10, 0]);
  });
});
