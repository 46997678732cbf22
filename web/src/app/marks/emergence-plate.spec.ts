import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { emergence, type Emergence } from '@hypogeon/core/ledger';
import { DAY, mount } from '../../testing/mount';
import { EmergencePlate } from './emergence-plate';

const { batches } = fold(demoJournal(DAY));
const batch = batches.get('b-02')!;
const LINE = 144;

/** The corner points of a path of H and V steps. */
function corners(d: string): { x: number; y: number }[] {
  let [x, y] = [0, 0];
  return [...d.matchAll(/([MHVL])([\d.-]+)(?:[ ,]([\d.-]+))?/g)].map(([, command, a, b]) => {
    if (command === 'H') x = Number(a);
    else if (command === 'V') y = Number(a);
    else [x, y] = [Number(a), Number(b)];
    return { x, y };
  });
}

const open = (plate: Emergence = emergence(batch, DAY)) => mount(EmergencePlate, { plate }, []);

describe('the emergence plate', () => {
  it('lets pups rise above the line and roots go down below it, each only ever further', async () => {
    const page = await open();
    const path = (selector: string) => corners(page.all(selector)[0]!.getAttribute('d')!);
    const roots = path('.roots.edge').map((p) => p.y);
    const pups = path('.pups.edge').map((p) => p.y);
    expect(Math.max(...roots)).toBeCloseTo(LINE + (20 / 40) * 130, 5);
    expect(Math.min(...pups)).toBeCloseTo(LINE - (batch.counts.pupped / 40) * 130, 5);
    expect(roots).toEqual([...roots].sort((a, b) => a - b));
    expect(pups).toEqual([...pups].sort((a, b) => b - a));
  });

  it('closes losses in from both edges, in step, as far as cuttings were lost', async () => {
    const page = await open();
    const edges = page.all('.losses .edge').map((e) => corners(e.getAttribute('d')!).at(-1)!.y);
    const share = (n: number): number => (n / 40) * 130;
    expect(edges).toHaveLength(6);
    for (let i = 0; i < 6; i += 2) expect(edges[i]! + edges[i + 1]!).toBeCloseTo(2 * LINE, 5);
    // Rotted, dried and lost stack up to all 20 that were lost.
    expect(edges[4]!).toBeCloseTo(LINE - 130 + share(20), 5);
  });

  it('has a tick a check and says everything in words', async () => {
    const plate = emergence(batch, DAY);
    const page = await open(plate);
    expect(page.all('.tick')).toHaveLength(plate.checks.length);
    expect(page.all('svg')[0]!.getAttribute('aria-label')).toContain(
      `of 40, 20 rooted, ${batch.counts.pupped} with pups, 17 rotted, 2 dried up, 1 lost otherwise`,
    );
  });

  it('never writes one label over another', async () => {
    for (const id of ['b-01', 'b-04', 'b-07', 'b-08', 'b-10', 'b-13']) {
      const other = batches.get(id)!;
      const page = await open(emergence(other, DAY));
      const ys = page
        .all('text.end:not(.quiet)')
        .map((t) => Number(t.getAttribute('y')))
        .sort((a, b) => a - b);
      for (let i = 1; i < ys.length; i++) expect(ys[i]! - ys[i - 1]!).toBeGreaterThanOrEqual(17);
    }
  });

  it('of nothing yet draws the bare line', async () => {
    const fresh = batches.get('b-25')!;
    const page = await open(emergence(fresh, DAY));
    expect(page.all('.losses path')).toEqual([]);
    expect(page.all('.soil')).toHaveLength(1);
    expect(page.root.innerHTML).not.toContain('NaN');
  });
});
