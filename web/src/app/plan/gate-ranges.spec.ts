import { mount, type Bench } from '../../testing/mount';
import { GateRanges, type GateRange } from './gate-ranges';

const row = (over: Partial<GateRange>): GateRange => ({
  name: 'Lean-to',
  chosen: false,
  opens: 5,
  from: 4,
  to: 8,
  says: '5 days',
  ...over,
});

const open = (...rows: GateRange[]): Promise<Bench<GateRanges>> =>
  mount(GateRanges, { name: 'Where it dries', rows, horizon: 20 });

const wide = (el: Element): readonly number[] =>
  [...el.querySelectorAll<HTMLElement>('i')].map((i) => parseFloat(i.style.width || i.style.left));

describe('gates beside each other', () => {
  it('stand on one scale of days: shut, in doubt, and the line', async () => {
    const page = await open(row({}), row({ name: 'North porch', opens: 10, from: 8, to: 16 }));
    expect(page.all('tbody tr').map(wide)).toEqual([
      [20, 20, 25],
      [40, 40, 50],
    ]);
  });

  it('never run out of their column', async () => {
    const page = await open(row({ opens: 60, from: 40, to: 90 }));
    expect(wide(page.all('tbody tr')[0]!)).toEqual([100, 100, 100]);
  });

  it('draw nothing where a wound does not close, and say so', async () => {
    const page = await open(row({ opens: null, says: 'not here' }));
    expect(page.all('tbody i')).toHaveLength(0);
    expect(page.text).toContain('not here');
  });

  it('name what is chosen for those who do not see it bold', async () => {
    const page = await open(row({ chosen: true }), row({ name: 'Porch' }));
    const heads = page.all('tbody th').map((th) => th.textContent.replace(/\s+/g, ' ').trim());
    expect(heads).toEqual(['Lean-to , chosen', 'Porch']);
    expect(page.all('tr.chosen')).toHaveLength(1);
  });
});
