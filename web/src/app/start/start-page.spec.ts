import { Router } from '@angular/router';
import type { Entry } from '@hypogeon/core/journal';
import { TestBed } from '@angular/core/testing';
import { LOCALE } from '../data/locale';
import { DAY, mount } from '../../testing/mount';
import { StartPage } from './start-page';

describe('starting one’s own journal', () => {
  it('asks for place, light, air and units, and lands on Today', async () => {
    const page = await mount(StartPage, {}, []);
    const go = jest.spyOn(TestBed.inject(Router), 'navigateByUrl');
    await page.fill('Place', 'Kitchen sill');
    await page.fill('Light there', 'sunny sill');
    await page.tap('damp');
    await page.tap('Start');
    expect(page.recorded()).toMatchObject([
      { kind: 'put', record: 'settings', fields: { length: 'mm', temperature: 'C' } },
      {
        kind: 'put',
        record: 'space',
        fields: { name: 'Kitchen sill', lightLevel: 'sun-sill', rh: 0.72, tempC: 20 },
      },
    ]);
    expect(go).toHaveBeenCalledWith('/today');
  });

  it('begins in the units of the region', async () => {
    const page = await mount(StartPage, {}, [], [{ provide: LOCALE, useValue: () => 'en-US' }]);
    await page.fill('Place', 'Sill');
    await page.tap('Start');
    expect(page.recorded()).toMatchObject([
      { fields: { length: 'in', temperature: 'F' } },
      { record: 'space' },
    ]);
  });

  it('says at the field what is missing, and records nothing', async () => {
    const page = await mount(StartPage, {}, []);
    await page.tap('Start');
    expect(page.text).toContain('Give the place a name, for example “Kitchen sill”.');
    expect(page.recorded()).toEqual([]);
  });

  it('never starts over a journal that has begun', async () => {
    const begun: Entry = {
      id: 's',
      at: '2026-03-01T08:00:00.000Z~0000',
      day: DAY,
      by: 'phone',
      kind: 'put',
      record: 'space',
      key: 'sill',
      fields: { name: 'Old sill', tempC: 20, rh: 0.5 },
    };
    const page = await mount(StartPage, {}, [begun]);
    const go = jest.spyOn(TestBed.inject(Router), 'navigateByUrl');
    await page.fill('Place', 'New sill');
    await page.tap('Start');
    expect([...page.journal.state().spaces.values()].map((s) => s.name)).toEqual(['Old sill']);
    expect(page.journal.state().settings).toEqual({});
    expect(go).toHaveBeenCalledWith('/today');
  });
});
