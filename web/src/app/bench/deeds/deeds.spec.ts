import type { Type } from '@angular/core';
import { demoJournal } from '@hypogeon/core/demo';
import { addDays } from '@hypogeon/core/days';
import { fold } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../../testing/mount';
import { ChangeDeed } from './change-deed';
import type { Deed } from './deed';
import { LookDeed } from './look-deed';
import { MoveDeed } from './move-deed';
import { PotDeed } from './pot-deed';
import { SayDeed } from './say-deed';
import { SetDeed } from './set-deed';

const STATE = fold(demoJournal(DAY));
const YESTERDAY = addDays(DAY, -1);

/** The form of a deed over a batch of the demo, told for yesterday; how often it closed. */
async function deed<T extends Deed>(
  type: Type<T>,
  id: string,
  inputs: object = {},
): Promise<{ readonly page: Bench<T>; readonly closed: () => number }> {
  const page = await mount(type, { batch: STATE.batches.get(id)!, on: YESTERDAY, ...inputs });
  let closed = 0;
  page.fixture.componentInstance.done.subscribe(() => closed++);
  return { page, closed: () => closed };
}

describe('potted on', () => {
  it('as many as have roots, where it stands, unless told otherwise', async () => {
    const { page, closed } = await deed(PotDeed, 'b-19');
    expect(page.field('How many went into pots').value).toBe('8');
    expect(page.shown('Stands at')).toBe('Lean-to');
    await page.tap('Potted on');
    expect(page.recorded()).toEqual([{ kind: 'potted', batch: 'b-19', count: 8, day: YESTERDAY }]);
    expect(closed()).toBe(1);
  });

  it('tells pot, mix, place, roots and a wet mix', async () => {
    const { page } = await deed(PotDeed, 'b-19');
    await page.fill('How many went into pots', '3');
    await page.fill('Into (optional)', 'pot-7');
    await page.fill('Filled with (optional)', 'half-and-half');
    await page.fill('Stands at', 'porch');
    await page.fill('The roots came', 'hurt');
    page.all('mat-checkbox input')[0]!.click();
    await page.settle();
    await page.tap('Potted on');
    expect(page.recorded()).toEqual([
      {
        kind: 'potted',
        batch: 'b-19',
        count: 3,
        container: 'pot-7',
        mix: 'half-and-half',
        space: 'porch',
        roots: 'hurt',
        wet: true,
        day: YESTERDAY,
      },
    ]);
  });

  it.each([
    ['b-19', '0', 'How many? A whole number of 1 or more.'],
    ['b-19', 'some', 'How many? A whole number of 1 or more.'],
    ['b-19', '9', 'Only 8 with roots are left to pot. Count again if there are more.'],
    ['b-20', '1', 'None with roots are left to pot. Count them first.'],
  ])('of %s, “%s” gets a sentence and nothing is recorded', async (id, typed, sentence) => {
    const { page, closed } = await deed(PotDeed, id);
    await page.fill('How many went into pots', typed);
    await page.tap('Potted on');
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
    expect(closed()).toBe(0);
  });
});

describe('looked at', () => {
  it.each([
    ['Fine', 'fine'],
    ['Wound dry and firm', 'firm'],
    ['Wound still tacky', 'tacky'],
    ['Wrinkled, but firm', 'wrinkled'],
    ['Soft or dark base', 'soft'],
  ])('“%s” is one tap', async (name, seen) => {
    const { page, closed } = await deed(LookDeed, 'b-22');
    await page.tap(name);
    expect(page.recorded()).toEqual([{ kind: 'inspected', batch: 'b-22', seen, day: YESTERDAY }]);
    expect(closed()).toBe(1);
  });

  it('takes roots, their length in any unit, and a word', async () => {
    const { page } = await deed(LookDeed, 'b-19');
    await page.fill('Roots', 'few');
    await page.fill('Longest root, mm', '1/2 in');
    await page.fill('What else was seen (optional)', '  pale tips ');
    await page.tap('Fine');
    expect(page.recorded()).toEqual([
      {
        kind: 'inspected',
        batch: 'b-19',
        seen: 'fine',
        roots: 'few',
        rootMm: 12.7,
        text: 'pale tips',
        day: YESTERDAY,
      },
    ]);
  });

  it('asks about a length that is none', async () => {
    const { page } = await deed(LookDeed, 'b-19');
    await page.fill('Longest root, mm', 'long');
    await page.tap('Fine');
    expect(page.all('mat-error')).toHaveLength(1);
    expect(page.recorded()).toEqual([]);
  });
});

describe('told better', () => {
  it('only what was changed is written', async () => {
    const { page, closed } = await deed(ChangeDeed, 'b-22');
    await page.fill('Wound width, mm', '9 mm');
    await page.fill('Tray or place', 'Rack B');
    await page.tap('Save');
    expect(page.recorded()).toEqual([
      {
        kind: 'put',
        record: 'batch',
        key: 'b-22',
        fields: { widthMm: 9, place: 'Rack B' },
        day: YESTERDAY,
      },
    ]);
    expect(closed()).toBe(1);
  });

  it('nothing changed: nothing written, and it closes', async () => {
    const { page, closed } = await deed(ChangeDeed, 'b-22');
    await page.tap('Save');
    expect(page.recorded()).toEqual([]);
    expect(closed()).toBe(1);
  });

  it('a place can be cleared', async () => {
    const { page } = await deed(ChangeDeed, 'b-22');
    await page.fill('Tray or place', '');
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([{ fields: { place: null } }]);
  });

  it.each([
    ['b-19', '8', '9 of them have an outcome already, so it cannot be 8.'],
    ['b-22', '0', 'How many cuttings? A whole number from 1 to 10,000.'],
    ['b-22', '20000', 'How many cuttings? A whole number from 1 to 10,000.'],
  ])('of %s, %s cuttings: a sentence', async (id, typed, sentence) => {
    const { page, closed } = await deed(ChangeDeed, id);
    await page.fill('How many cuttings', typed);
    await page.tap('Save');
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
    expect(closed()).toBe(0);
  });
});

describe('moved, set, said', () => {
  it('moved, with its place where that is told', async () => {
    const { page } = await deed(MoveDeed, 'b-22');
    expect(page.shown('To')).toBe('Lean-to');
    await page.fill('To', 'shelf');
    await page.fill('Tray or place (optional)', ' Tray 4 ');
    await page.tap('Moved');
    expect(page.recorded()).toEqual([
      { kind: 'moved', batch: 'b-22', space: 'shelf', place: 'Tray 4', day: YESTERDAY },
    ]);
  });

  it('set: all of them, unless told; torn ones begin again', async () => {
    const { page } = await deed(SetDeed, 'b-22');
    expect(page.text).toContain('of 7 not set yet');
    await page.tap('Set them');
    expect(page.recorded()).toEqual([{ kind: 'stuck', batch: 'b-22', day: YESTERDAY }]);
    const { page: some } = await deed(SetDeed, 'b-22');
    await some.fill('How many were set', '3');
    for (const box of some.all('mat-checkbox input')) box.click();
    await some.settle();
    await some.tap('Set them');
    expect(some.recorded()).toEqual([
      { kind: 'stuck', batch: 'b-22', count: 3, wet: true, day: YESTERDAY },
      { kind: 'reopened', batch: 'b-22', why: 'torn', day: YESTERDAY },
    ]);
  });

  it.each([
    ['b-22', '8', 'How many? A whole number from 1 to 7.'],
    ['b-20', '1', 'All of them are set already.'],
  ])('of %s, %s set: a sentence', async (id, typed, sentence) => {
    const { page } = await deed(SetDeed, id);
    await page.fill('How many were set', typed);
    await page.tap('Set them');
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
  });

  it('a note needs a word, an end does not', async () => {
    const { page } = await deed(SayDeed, 'b-22', { what: 'note' });
    await page.tap('Save the note');
    expect(page.text).toContain('Write something first.');
    await page.fill('Note', ' Two look <b>glassy</b> ');
    await page.tap('Save the note');
    expect(page.recorded()).toEqual([
      { kind: 'note', batch: 'b-22', text: 'Two look <b>glassy</b>', day: YESTERDAY },
    ]);
    const { page: end } = await deed(SayDeed, 'b-22', { what: 'ended' });
    expect(end.text).toContain('It can be undone.');
    await end.tap('End it');
    expect(end.recorded()).toEqual([{ kind: 'ended', batch: 'b-22', day: YESTERDAY }]);
  });
});
