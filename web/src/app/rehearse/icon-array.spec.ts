import type { Outcome } from '@hypogeon/core/rehearse';
import { mount, type Bench } from '../../testing/mount';
import { IconArray } from './icon-array';

const open = (
  rooted: number,
  waiting: number,
  dried: number,
  rotted: number,
): Promise<Bench<IconArray>> =>
  mount(IconArray, {
    outcome: {
      rooted: { share: rooted },
      waiting: { share: waiting },
      dried: { share: dried },
      rotted: { share: rotted },
    } as unknown as Outcome,
  });
const kinds = (page: Bench<IconArray>, kind: string): number => page.all(`svg g.${kind}`).length;

describe('a hundred cuttings', () => {
  it('are so many of each fate, told apart by shape', async () => {
    const page = await open(0.62, 0.08, 0.1, 0.2);
    expect(['rooted', 'waiting', 'dried', 'rotted'].map((k) => kinds(page, k))).toEqual([
      62, 8, 10, 20,
    ]);
    const shape = (kind: string): string =>
      [...page.root.querySelector(`svg g.${kind}`)!.querySelectorAll('path')]
        .map((p) => `${p.getAttribute('class') ?? ''} ${p.getAttribute('d')!}`)
        .join('|');
    expect(new Set(['rooted', 'waiting', 'dried', 'rotted'].map(shape)).size).toBe(4);
  });

  it('stand in rows of twenty, none on another', async () => {
    const page = await open(0.5, 0.5, 0, 0);
    const at = page.all('svg g').map((g) => g.getAttribute('transform')!);
    expect(new Set(at).size).toBe(100);
    const rows = new Set(at.map((t) => /([\d.]+)\)$/.exec(t)![1]));
    expect(rows.size).toBe(5);
  });

  it('are the same as one bar, as wide as the row, in the same order', async () => {
    const page = await open(0.6, 0.1, 0, 0.3);
    const bar = page.all('svg rect').map((r) => ({
      kind: r.getAttribute('class'),
      x: Number(r.getAttribute('x')),
      wide: Number(r.getAttribute('width')),
    }));
    expect(bar.map((b) => b.kind)).toEqual(['rooted', 'waiting', 'rotted']);
    expect(bar.map((b) => b.wide)).toEqual([156, 26, 78]);
    for (const [i, part] of bar.entries())
      if (i > 0) expect(part.x).toBeCloseTo(bar[i - 1]!.x + bar[i - 1]!.wide, 6);
  });

  it('of nothing draw nothing', async () => {
    const page = await open(0, 0, 0, 0);
    expect(page.all('svg g')).toHaveLength(0);
    expect(page.root.innerHTML).not.toContain('NaN');
  });
});
