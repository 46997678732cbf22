import type { Type } from '@angular/core';
import { mount, type Bench } from '../../testing/mount';
import { AmountsPage } from './amounts-page';
import { BesidePage } from './beside-page';
import { JugPage } from './jug-page';
import { MixPage } from './mix-page';
import { PotsPage } from './pots-page';
import { ShelfPage } from './shelf-page';
import { SolvePage } from './solve-page';

const open = <T>(type: Type<T>, entries?: []): Promise<Bench<T>> => mount(type, {}, entries);

describe('a mix on the table', () => {
  it('opens with the grower’s own mix, as layers beside its pot', async () => {
    const page = await open(MixPage);
    expect(page.list('Start from')!.value).toBe('mix-bench');
    expect(page.all('hy-strata-column .ground')).toHaveLength(3);
    expect(page.all('hy-strata-column [role=slider]')).toHaveLength(2);
    expect(page.all('hy-pot-section svg')[0]!.getAttribute('aria-label')).toContain('Small pot');
    expect(page.text).toContain('Corrected by 2 jug tests');
    expect(page.text).toMatch(/10 L of ingredients give7\.\d L/);
    expect(page.text).toContain('Silica dust scars lungs');
  });

  it('starts a bare journal with a house recipe', async () => {
    const page = await open(MixPage, []);
    expect(page.list('Start from')!.value).toBe('two-to-one');
    expect(page.text).toContain('Modelled, from memory');
  });

  it('moves an edge with the arrow keys, and the shares follow', async () => {
    const page = await open(MixPage);
    const edge = (): HTMLElement => page.all('[role=slider]')[0]!;
    expect(edge().getAttribute('aria-valuenow')).toBe('60');
    for (const [key, value] of [
      ['ArrowUp', '59'],
      ['ArrowDown', '60'],
      ['PageUp', '50'],
    ] as const) {
      edge().dispatchEvent(new KeyboardEvent('keydown', { key }));
      await page.settle();
      expect(edge().getAttribute('aria-valuenow')).toBe(value);
    }
    expect(page.field('Parts of Coir').value).toBe('30');
    expect(page.text).toContain('Changed since.');
    // A test of the old mix says nothing of the new.
    expect(page.text).not.toContain('Corrected by');
  });

  it('takes parts and per cent, adds and removes, and says when nothing is left', async () => {
    const page = await open(MixPage);
    await page.fill('Parts of Pumice 3–6 mm', '8');
    expect(page.text).toContain('80%');
    await page.tap('per cent');
    await page.fill('Per cent of Coir', '50');
    expect(page.field('Per cent of Pumice 3–6 mm').value).toBe('44.4');
    await page.fill('Add from the shelf', 'lava');
    expect(page.all('hy-strata-column .ground')).toHaveLength(4);
    for (const name of ['Lava 3–8 mm', 'Coir', 'Pumice 3–6 mm', 'Silica sand 0.8–1.6 mm'])
      await page.tap(`Remove ${name}`);
    expect(page.text).toContain('A mix needs something in it');
  });

  it('is kept under a name', async () => {
    const page = await open(MixPage);
    await page.fill('Start from', 'coir');
    await page.tap('Keep this mix');
    await page.tap('Save');
    expect(page.text).toContain('Give it a name');
    await page.fill('Name of the mix', 'My coir');
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      { record: 'mix', fields: { name: 'My coir', parts: [{ component: 'coir', parts: 1 }] } },
    ]);
  });
});

describe('amounts', () => {
  it('litres, scoops, kilograms and money for so many pots', async () => {
    const page = await open(AmountsPage);
    await page.fill('How many', '100');
    expect(page.text).toContain('26.5 L of mix');
    const pumice = page.all('tbody tr')[0]!.textContent;
    expect(pumice).toMatch(/Pumice 3–6 mm\s*20\.\d/);
    expect(page.text).toMatch(/lift with a second pair of hands/);
    await page.fill('How many', '250');
    expect(page.text).toMatch(/To buy.*Pumice 3–6 mm: \d+/);
  });

  it('wrong figures get a sentence', async () => {
    const page = await open(AmountsPage);
    await page.fill('How many', '0');
    expect(page.text).toContain('A whole number of 1 or more.');
    await page.fill('Scoop, mL', '1');
    expect(page.text).toContain('A scoop holds between 5 mL and 50 L.');
    await page.fill('Scoop, mL', '300');
    expect(page.recorded()).toMatchObject([{ fields: { scoopMl: 300 } }]);
  });

  it('names what has no price', async () => {
    const page = await open(AmountsPage);
    await page.fill('Mix', 'all-mineral');
    expect(page.text).toContain('No price for Grit 3–5 mm');
  });
});

describe('solving', () => {
  // The tab has the same name.
  async function solve(page: Bench<SolvePage>): Promise<void> {
    page.all('button[type=submit]')[0]!.click();
    await page.settle();
    await page.settle();
  }

  it('finds a mix that does it and says what is just met', async () => {
    const page = await open(SolvePage);
    await page.fill('Air after draining, at least', '24');
    await solve(page);
    expect(page.text).toContain('This does it');
    expect(page.text).toContain('Checked with the full model.');
    await page.tap('Use this mix');
    const kept = page.stores.draft('mix') as { parts: unknown[] };
    expect(kept.parts.length).toBeGreaterThan(0);
  });

  it('is made from three after one tap and three ticks, and from nothing not at all', async () => {
    const page = await open(SolvePage);
    await page.tap('None');
    await solve(page);
    expect(page.text).toContain('Nothing is ticked: tick what the mix may be made from.');
    expect(page.text).not.toContain('Not enough in the shed');
    const tick = (name: string): HTMLInputElement =>
      page
        .all('mat-checkbox')
        .find((c) => c.textContent.trim().startsWith(name))!
        .querySelector<HTMLInputElement>('input')!;
    tick('Pumice').click();
    tick('Akadama').click();
    await page.settle();
    await solve(page);
    const made = page.all('tbody tr').map((r) => r.textContent);
    expect(made.some((r) => r.includes('Pumice'))).toBe(true);
    expect(page.text).not.toMatch(/Perlite ?\d+%/);
  });

  it('says what cannot be, and by how much', async () => {
    const page = await open(SolvePage);
    await page.fill('Water after draining, at least', '80');
    await solve(page);
    expect(page.text).toContain('Nothing does all of it; this comes nearest');
    expect(page.text).toMatch(/at least 80%: missed by [\d.]+ points/);
  });

  it('knows what the shed holds', async () => {
    const page = await open(SolvePage);
    page.all('input[type=checkbox]')[0]!.click();
    await page.settle();
    expect(page.text).not.toContain('Kanuma');
    await page.fill('How many', '2000');
    await solve(page);
    expect(page.text).toContain('Not enough in the shed');
  });

  it('asks about bounds that cannot both be', async () => {
    const page = await open(SolvePage);
    await page.fill('Air after draining, at most', '10');
    expect(page.text).toContain('at least 25 and at most 10 cannot both be');
    await page.fill('Air after draining, at most', 'much');
    expect(page.text).toContain('per cent from 0 to 100');
  });
});

describe('the jug test', () => {
  async function filled(page: Bench<JugPage>): Promise<void> {
    await page.fill('Volume, mL', '720');
    await page.fill('Depth, mm', '95');
    await page.fill('Water it took, mL', '400');
    await page.fill('Water that ran out, mL', '160');
  }

  it('stands the measured beside the modelled, and is kept', async () => {
    const page = await open(JugPage);
    await filled(page);
    expect(page.text).toMatch(/Water after draining ?33% ?\d+%/);
    await page.tap('Keep the test');
    expect(page.recorded()).toEqual([
      {
        kind: 'jug',
        mix: 'mix-bench',
        day: '2026-04-09',
        ...{ potMl: 720, depthMm: 95, soakedMl: 400, drainedMl: 160 },
      },
    ]);
    expect(page.text).toContain('3 tests: water 33%');
    await page.tap(/^Undo the test of Thu 9 Apr/);
    expect(page.text).toContain('2 tests');
  });

  it('has a clock that fills in its seconds', async () => {
    const page = await open(JugPage);
    await page.tap('Tape off: start');
    await page.tap('Gone: stop');
    expect(Number(page.field('Seconds (optional)').value)).toBeGreaterThanOrEqual(0);
  });

  it('doubts what cannot be', async () => {
    const page = await open(JugPage);
    await filled(page);
    await page.fill('Water that ran out, mL', '500');
    expect(page.text).toContain('More came out than went in');
    await page.tap('Keep the test');
    expect(page.recorded()).toEqual([]);
  });
});

describe('side by side', () => {
  it('one mix in several pots: the shallower, the wetter', async () => {
    const page = await open(BesidePage);
    const water = page
      .all('.columns li')
      .map((li) => Number(/Water(\d+) %/.exec(li.textContent.replace(/\s+/g, ''))?.[1] ?? NaN));
    expect(page.all('hy-pot-section')).toHaveLength(4);
    expect(page.text).toMatch(/A third gone\d+–\d+ days/);
    expect(water).toHaveLength(4);
    await page.tap('Leave out Clay pot');
    expect(page.all('hy-pot-section')).toHaveLength(3);
  });

  it('several mixes in one pot', async () => {
    const page = await open(BesidePage);
    await page.fill('Compare', 'mixes');
    expect(page.all('.columns h2').map((h) => h.textContent)).toEqual([
      'All mineral',
      'Half and half',
      'Plain coir',
    ]);
    await page.fill('Add', 'thirds');
    expect(page.all('hy-pot-section')).toHaveLength(4);
  });
});

describe('shelf and pots', () => {
  it('a component of one’s own, with a sentence for every figure that cannot be', async () => {
    const page = await open(ShelfPage);
    await page.tap('Add your own');
    await page.fill('A litre weighs, g', '0');
    await page.tap('Save');
    expect(page.text).toContain('What is it called?');
    expect(page.text).toContain('A litre of it weighs between 5 and 4000 g');
    expect(page.recorded()).toEqual([]);
    await page.fill('Name', 'Cinder');
    for (const [label, value] of [
      ['Grain, mm', '5'],
      ['A litre weighs, g', '700'],
      ['Grains fill, % of a heap', '55'],
      ['Water inside the grains, %', '12'],
      ['Water moves, cm²/d', '2'],
    ] as const)
      await page.fill(label, value);
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      { record: 'component', fields: { name: 'Cinder', packing: 0.55, heldWater: 0.12 } },
    ]);
    expect(page.text).toContain('28 components');
  });

  it('of a shipped one only what was measured is kept', async () => {
    const page = await open(ShelfPage);
    await page.tap('Change Pumice 3–6 mm');
    await page.fill('A litre weighs, g', '510');
    await page.tap('Save');
    expect(page.recorded()).toEqual([
      {
        kind: 'put',
        record: 'component',
        key: 'pumice',
        day: '2026-04-09',
        fields: { densityGPerL: 510 },
      },
    ]);
    await page.tap('Pumice 3–6 mm: what it rests on');
    expect(page.text).toContain('measured here, in part or whole');
  });

  it('a pot of one’s own; one of no volume is asked about', async () => {
    const page = await open(PotsPage);
    await page.tap('Add a pot');
    await page.fill('Name', 'Tin');
    await page.fill('Width at the rim, mm', '73');
    await page.fill('The same at the base', '73');
    await page.fill('Height inside', '0');
    await page.tap('Save');
    expect(page.text).toContain('The height is between 5 mm and 3,000 mm');
    await page.fill('Height inside', '4 in');
    page.all('input[type=checkbox]')[0]!.click();
    await page.settle();
    expect(page.text).toContain('Without holes water pools');
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      {
        record: 'container',
        fields: { name: 'Tin', heightMm: 101.6, holes: false, shape: 'round' },
      },
    ]);
    expect(page.text).toContain('Tin');
  });
});
