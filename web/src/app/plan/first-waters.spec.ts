import { firstWaterOutlooks } from '@hypogeon/core/plan';
import { FIRST_WATERS } from '@hypogeon/core/water';
import { WOUND_SCHOOL, woundClock, type WoundClock } from '@hypogeon/core/wound';
import { DAY, mount, type Bench } from '../../testing/mount';
import { FirstWaters } from './first-waters';

/** A soft cut of so many millimetres, in air of so many degrees. */
const cut = (widthMm: number, tempC: number): WoundClock =>
  woundClock({
    cutOn: DAY,
    widthMm,
    tissue: 'soft stem',
    school: WOUND_SCHOOL['dry-to-touch'],
    callusAt: 'rack',
    air: () => ({ tempC, rh: 0.5 }),
  });

const open = (clock: WoundClock | null): Promise<Bench<FirstWaters>> =>
  mount(FirstWaters, { clock, cutOn: DAY, chosen: 'at-once' });

const cells = (page: Bench<FirstWaters>): readonly (readonly string[])[] =>
  page
    .all('tbody tr')
    .map((tr) => [...tr.querySelectorAll('th, td')].map((c) => c.textContent.trim()));

describe('first waters for one cut', () => {
  it('stand all in a row, the chosen one marked and named', async () => {
    const page = await open(cut(8, 22));
    expect(cells(page)).toHaveLength(FIRST_WATERS.length);
    expect(page.all('tr.marked').map((tr) => tr.textContent)).toEqual([
      expect.stringMatching(/At once.*chosen/),
    ]);
  });

  it('a chosen day is kept to, and what that risks is said', async () => {
    const clock = cut(8, 22);
    const { gate } = clock;
    if (gate.state !== 'dated') throw new Error('it closes');
    const page = await open(clock);
    for (const [i, o] of firstWaterOutlooks(clock, DAY).entries()) {
      const [name, comes, openShare, wet] = cells(page)[i]!;
      expect(name).toContain(o.school.name);
      if (o.on === null) expect(comes).toBe('with the roots');
      else expect(openShare).toBe(`${Math.round(o.open * 100)}%`);
      expect(wet === 'no').toBe(o.wetDays === 0);
      if (o.school.id === 'with-gate') expect(o.on).toBe(gate.opens);
    }
  });

  it('come nowhere where the wound stands still, and risk nothing where there is none', async () => {
    const still = await open(cut(60, 2));
    expect(still.text).toContain('not here');
    const none = await open(null);
    expect(cells(none).every(([, , , wet]) => wet === 'no')).toBe(true);
    expect(none.text).not.toMatch(/NaN|null/);
  });
});
