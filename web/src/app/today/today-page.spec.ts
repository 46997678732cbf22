import { mount, type Bench } from '../../testing/mount';
import { PATIENCE_MS } from '../data/water';
import { BENCH_WORKER } from '../data/workers';
import { TodayPage } from './today-page';

const places = (page: Bench<TodayPage>): string[] =>
  page.all('.work h2').map((h) => h.textContent.trim());
const lines = (page: Bench<TodayPage>): string[] =>
  page.all('hy-agenda-line .title').map((t) => t.textContent.trim());

describe('today', () => {
  it('goes place by place, one line an item, with how much', async () => {
    const page = await mount(TodayPage);
    expect(page.text).toContain('Thursday 9 April');
    expect(page.text).toMatch(/8 to do · 6 to look at · 12 to leave alone/);
    expect(places(page)).toEqual(['Lean-to', 'Warm shelf']);
    expect(lines(page)).toEqual([
      expect.stringMatching(/^Water 2 batches, about \d\.\d L in all$/),
      'Set 7 crowns in the mix',
      'Pot on 13 leaves',
      'Feed at half strength, in its drink',
      'Touch one wound',
      'Look for roots: 2 batches',
      expect.stringMatching(/^First water, about \d+ mL each$/),
      expect.stringMatching(/^Water 2 batches, about \d\.\d L in all$/),
      'Touch one wound',
      'Look for new shoots',
      '2 of 19: long without roots',
    ]);
  });

  it('keeps the reason one tap away, with how sure it is', async () => {
    const page = await mount(TodayPage);
    expect(page.text).not.toContain('Safe since Fri 3 Apr');
    await page.tap(/^Why, postpone: First water/);
    expect(page.text).toContain('Safe since Fri 3 Apr');
    expect(page.button('Postpone or skip: Panda plant, crowns')).toBeTruthy();
    await page.tap(/^Why, postpone: First water/);
    expect(page.text).not.toContain('Safe since Fri 3 Apr');
  });

  it.each([
    [
      /^Watered: Panda plant/,
      {
        kind: 'watered',
        batch: 'b-21',
        how: 'poured',
        ml: expect.any(Number),
        gate: { opens: '2026-04-03' },
      },
    ],
    [/^Set: The tall aeonium/, { kind: 'stuck', batch: 'b-22' }],
    [/^Potted: Jelly beans/, { kind: 'potted', batch: 'b-16', count: 13 }],
    [/^Dry and firm: Thimble cushion/, { kind: 'inspected', batch: 'b-23', seen: 'firm' }],
    [/^Still tacky: Thimble cushion/, { kind: 'inspected', batch: 'b-23', seen: 'tacky' }],
  ])('one tap on %s is one entry, and the focus goes on', async (name, entry) => {
    const page = await mount(TodayPage);
    const button = page.button(name);
    document.body.append(page.root);
    button.focus();
    await page.tap(name);
    expect(page.recorded()).toEqual([{ ...entry, day: '2026-04-09' }]);
    expect(() => page.button(name)).toThrow(/no button/);
    await page.settle();
    expect(document.activeElement?.closest('hy-agenda-line')).not.toBeNull();
    page.root.remove();
  });

  it('waters all that stand in one place with one tap, undone together', async () => {
    const page = await mount(TodayPage);
    await page.tap('All 2: Watered');
    expect(page.recorded()).toHaveLength(2);
    expect(page.recorded()).toMatchObject(Array(2).fill({ kind: 'watered' }));
    expect(lines(page).filter((l) => l.startsWith('Water 2'))).toHaveLength(1);
  });

  it('waters one of several behind its line', async () => {
    const page = await mount(TodayPage);
    await page.tap(/^Why, postpone: Water 2/);
    await page.tap('Watered: Zebra clump, offsets');
    expect(page.recorded()).toEqual([
      expect.objectContaining({ kind: 'watered', how: 'poured', day: '2026-04-09' }),
    ]);
    // The other of them stands by itself now, beside the two of the other place.
    expect(lines(page).filter((l) => l.startsWith('Water 2'))).toHaveLength(1);
    expect(lines(page)).toContainEqual(expect.stringMatching(/^Water, about \d+ mL/));
  });

  it('puts notices of one kind on one line, and mothers behind another', async () => {
    const page = await mount(TodayPage);
    const notices = page.all('hy-day-notices .notice').map((n) => n.textContent);
    expect(notices).toHaveLength(2);
    expect(notices[0]).toContain('Fair table: make ready');
    expect(notices[1]).toContain('2 mothers to see to');
    await page.tap('Fed: Jelly beans, long trough');
    expect(page.recorded()).toMatchObject([{ kind: 'mothered', what: 'feed' }]);
  });

  it('says what it is where there is nothing yet, with two ways to begin', async () => {
    const page = await mount(TodayPage, {}, []);
    expect(page.text).toContain('keeps succulent and cactus cuttings alive until they root');
    expect(page.button('Start my own').getAttribute('href')).toBe('/start');
    await page.tap('Look round the demo');
    expect(page.journal.book()).toBe('demo');
  });

  it('draws the week’s air of every bench, and how long a stem takes there', async () => {
    const page = await mount(TodayPage);
    const strips = page.all('hy-air-strip a');
    expect(strips).toHaveLength(3);
    for (const strip of strips) {
      expect(strip.querySelectorAll('rect')).toHaveLength(7);
      expect(strip.textContent).toMatch(/a 5 mm stem closes in about \d/);
    }
    const days = strips.map((s) => Number(/closes in about ([\d.]+) days/.exec(s.textContent)![1]));
    // Lean-to, warm shelf, north porch.
    expect(days[1]!).toBeLessThan(days[0]!);
    expect(days[2]!).toBeGreaterThan(3 * days[0]!);
  });
});

describe('the ruler of what is left alone', () => {
  it('stands the gate within its fading range and says the day in words', async () => {
    const page = await mount(TodayPage);
    const rows = page.all('hy-leave-ruler li');
    expect(rows.length).toBe(8);
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
    const page = await mount(TodayPage);
    await page.tap(/^and \d more$/);
    const kinds = page
      .all('hy-leave-ruler li')
      .map((r) => ['water', 'rooting'].find((c) => r.classList.contains(c)) ?? 'gate');
    expect(kinds).toEqual([
      ...Array<string>(6).fill('gate'),
      ...Array<string>(4).fill('water'),
      ...Array<string>(2).fill('rooting'),
    ]);
    const wet = page.all('hy-leave-ruler li.water').map((li) => li.textContent);
    expect(wet.join()).toMatch(/No water until .*\d+% of its water left/);
  });

  it('stands without its pots once nobody would wait for them, and says so', async () => {
    const never = { ask: () => new Promise(() => undefined), warm: () => undefined };
    const page = await mount(TodayPage, {}, undefined, [
      { provide: BENCH_WORKER, useValue: never },
      { provide: PATIENCE_MS, useValue: 5 },
    ]);
    for (let i = 0; i < 50 && lines(page).length === 0; i++) await page.settle();
    expect(page.text).toContain('The pots are still being worked out.');
    expect(lines(page)).toContain('Set 7 crowns in the mix');
  });
});
