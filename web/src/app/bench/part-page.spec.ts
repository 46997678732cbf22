import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { mount, type Bench } from '../../testing/mount';
import { BatchPage } from './batch-page';
import { LogPage } from './log-page';
import { PartPage } from './part-page';

/** 24 sedum crowns: 8 rooted, 1 rotted, 15 waiting at the last count. */
const open = (way?: string): Promise<Bench<PartPage>> =>
  mount(PartPage, { id: 'b-19', ...(way ? { way } : {}) });

const choose = async (page: Bench<PartPage>, way: string): Promise<void> => {
  page
    .all('mat-chip-option button')
    .find((chip) => chip.textContent.trim() === way)!
    .click();
  await page.settle();
};

describe('taking cuttings out of a batch', () => {
  it('says how many are here, and asks for one at least', async () => {
    const page = await open();
    expect(page.text).toContain('of 15');
    expect(page.text).toContain('of 8');
    await page.tap('Take them out');
    expect(page.text).toContain('How many? Take one at least.');
    await page.fill('With roots', '9');
    await page.tap('Take them out');
    expect(page.text).toContain('Only 8 with roots are here.');
    expect(page.recorded()).toEqual([]);
  });

  it('splits some off as a batch of their own', async () => {
    const page = await open();
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    await page.fill('With roots', '3');
    await page.fill('Tray or place (optional)', 'Tray Z');
    await page.tap('Take them out');
    const made = [...page.journal.state().batches.values()].find((b) => b.partOf === 'b-19')!;
    expect(made).toMatchObject({ count: 3, counts: { rooted: 3 }, place: 'Tray Z' });
    expect(page.journal.state().batches.get('b-19')).toMatchObject({ count: 21 });
    expect(go).toHaveBeenCalledWith(['/bench', made.id]);
  });

  it('cuts afresh: a wound of today, with the cautions of the blade', async () => {
    const page = await open('rescued');
    expect(page.text).toContain('Disinfect the blade');
    await page.fill('Without roots', '2');
    await page.tap('Take them out');
    const made = [...page.journal.state().batches.values()].find((b) => b.partOf === 'b-19')!;
    expect(made).toMatchObject({ cutOn: '2026-04-09', stage: 'callusing', count: 2 });
    expect(page.journal.state().batches.get('b-19')!.counts.rotted).toBe(3);
    // After rot the fresh cut dries longer than the first one did.
    expect(page.journal.state().batches.get('b-19')!.school).toBe('dry-to-touch');
    expect(made.school).toBe('long-cure');
  });

  it('pots nothing singly that has no roots', async () => {
    const page = await open();
    await choose(page, 'Pot singly');
    await page.fill('Without roots', '2');
    await page.tap('Take them out');
    expect(page.text).toContain('What has no roots is not potted singly yet');
    await page.fill('Without roots', '');
    await page.fill('With roots', '2');
    await page.tap('Take them out');
    const singles = [...page.journal.state().batches.values()].filter((b) => b.partOf === 'b-19');
    expect(singles.map((b) => b.count)).toEqual([1, 1]);
  });

  it('keeps what was typed over a reload', async () => {
    const page = await open();
    await choose(page, 'Sell');
    await page.fill('With roots', '4');
    expect(page.stores.draft('part.b-19')).toMatchObject({ way: 'sold', rooted: '4' });
  });

  it('says where nothing can be merged', async () => {
    const page = await open();
    await choose(page, 'Merge');
    expect(page.text).toContain('Batches may share a tray all the same');
  });
});

describe('a batch that cuttings were taken from', () => {
  it('links to what came of it, and takes it back with all', async () => {
    const page = await mount(BatchPage, { id: 'b-19' });
    const { splitEntries } = await import('@hypogeon/core/bench');
    const before = page.journal.state().batches.get('b-19')!;
    await page.journal.recordAll(
      splitEntries(before, { taken: { rooted: 2 } }, 'part-1', '2026-04-09'),
    );
    await page.settle();
    expect(page.text).toMatch(/part SED-/);
    const told = [...page.journal.state().log.values()].flat();
    const log = await mount(LogPage, { id: 'b-19' }, told);
    await log.tap(/^Undo: 2 split off \(SED-/);
    expect(log.journal.state().batches.has('part-1')).toBe(false);
    expect(log.journal.state().batches.get('b-19')!.count).toBe(24);
  });
});
