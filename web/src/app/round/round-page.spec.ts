import { mount } from '../../testing/mount';
import { RoundPage } from './round-page';

describe('the round', () => {
  it('says restraint first, then what to do and to look at, with a reason each', async () => {
    const page = await mount(RoundPage);
    const heads = page.all('h2').map((h) => h.textContent.trim());
    expect(heads[0]).toMatch(/^Leave alone/);
    expect(heads.slice(1)).toEqual(['Do', 'Look', 'Air on the benches']);
    expect(page.text).toContain('Thursday 9 April');
    expect(page.text).toMatch(/12 to leave alone, 7 to look at, 13 to do/);
    expect(page.text).toContain('Safe since Fri 3 Apr');
  });

  it.each([
    [
      /^Watered: Kalanchoe/,
      {
        kind: 'watered',
        batch: 'b-21',
        how: 'poured',
        ml: expect.any(Number),
        gate: { opens: '2026-04-03' },
      },
    ],
    [/^Set: Aeonium/, { kind: 'stuck', batch: 'b-22' }],
    [/^Potted: Sedum/, { kind: 'potted', batch: 'b-16', count: 13 }],
    [/^Dry and firm: Mammillaria/, { kind: 'inspected', batch: 'b-23', seen: 'firm' }],
    [/^Still tacky: Mammillaria/, { kind: 'inspected', batch: 'b-23', seen: 'tacky' }],
  ])('one tap on %s is one entry', async (name, entry) => {
    const page = await mount(RoundPage);
    await page.tap(name);
    expect(page.recorded()).toEqual([{ ...entry, day: '2026-04-09' }]);
    expect(() => page.button(name)).toThrow(/no button/);
  });

  it('teaches the next step where there is nothing yet', async () => {
    const page = await mount(RoundPage, {}, []);
    expect(page.text).toContain('Nothing on the bench yet');
    expect(page.button('Add a mother').getAttribute('href')).toBe('/mothers/new');
  });

  it('draws the week’s air of every bench, and how long a stem takes there', async () => {
    const page = await mount(RoundPage);
    const strips = page.all('hy-air-strip section');
    expect(strips).toHaveLength(3);
    for (const strip of strips) {
      expect(strip.querySelectorAll('rect')).toHaveLength(7);
      expect(strip.textContent).toMatch(/A 5 mm stem closes in about \d/);
    }
    const days = strips.map((s) => Number(/about ([\d.]+) days/.exec(s.textContent)![1]));
    // Lean-to, warm shelf, north porch.
    expect(days[1]!).toBeLessThan(days[0]!);
    expect(days[2]!).toBeGreaterThan(3 * days[0]!);
  });
});

describe('the ruler of what is left alone', () => {
  it('stands the gate within its fading range and says the day in words', async () => {
    const page = await mount(RoundPage);
    const rows = page.all('hy-leave-ruler li');
    expect(rows.length).toBe(10);
    for (const row of rows) {
      const percent = (selector: string, side: 'left' | 'width'): number =>
        parseFloat(row.querySelector<HTMLElement>(selector)?.style[side] ?? '0');
      const solid = percent('.solid', 'width');
      const gate = row.querySelector('.gate');
      expect(solid + percent('.fade', 'width')).toBeLessThanOrEqual(100.001);
      if (gate) expect(percent('.gate', 'left')).toBeGreaterThanOrEqual(solid);
      else expect(row.querySelector('.beyond')).not.toBeNull();
      expect(row.textContent).toMatch(/(No water|Leave alone|Let it dry) until/);
    }
  });

  it('tells wounds, wet pots and roots apart by shape, wounds first, roots last', async () => {
    const page = await mount(RoundPage);
    await page.tap(/^Show 2 more/);
    const kinds = page
      .all('hy-leave-ruler li')
      .map((r) => ['water', 'rooting'].find((c) => r.classList.contains(c)) ?? 'gate');
    expect(kinds).toEqual([
      ...Array<string>(6).fill('gate'),
      ...Array<string>(4).fill('water'),
      ...Array<string>(2).fill('rooting'),
    ]);
    const wet = page.all('hy-leave-ruler li.water')[0]!.textContent;
    expect(wet).toMatch(/No water until .*\d+ % of its water left/);
  });

  it('asks for water by volume where pot and mix are told, overdue ones by name', async () => {
    const page = await mount(RoundPage);
    expect(page.text).toMatch(/Water, about \d+ mL each/);
    expect(page.text).toMatch(/First water, about \d+ mL each/);
    await page.tap(/^Only this, Watered: Pachyphytum/);
    // What runs through below is not measured.
    expect(page.recorded()).toEqual([
      {
        kind: 'watered',
        batch: 'b-17',
        how: 'poured',
        gate: { opens: expect.any(String) },
        day: '2026-04-09',
      },
    ]);
    await page.settle();
    expect(page.text).not.toContain('Water, about 1.0 L');
  });
});
