import { demoJournal } from '@hypogeon/core/demo';
import { SETTINGS_KEY, type Entry } from '@hypogeon/core/journal';
import type { Type } from '@angular/core';
import { DAY, mount } from '../../testing/mount';
import { ClumpPage } from './clump-page';
import { CutMapPage } from './cut-map-page';
import { StrapsPage } from './straps-page';

/** The demo of a grower who measures in inches. */
const INCHES: readonly Entry[] = [
  ...demoJournal(DAY),
  {
    id: 'in',
    at: '2026-04-09T06:00:00.000Z~0000',
    day: DAY,
    by: 'phone',
    kind: 'put',
    record: 'settings',
    key: SETTINGS_KEY,
    fields: { length: 'in', temperature: 'F' },
  },
];
const open = <T>(page: Type<T>, mother: string) => mount(page, { mother }, INCHES);

describe('in inches', () => {
  it('leaf sections open on inches and are cut as they stand', async () => {
    const page = await open(StrapsPage, 'm-gast');
    expect(page.text).toContain('two leaves of 16 in and 14 in');
    expect(page.field('Section, in').value).toBe('3');
    expect(page.text).toMatch(/\d+ sections/);
    expect(page.text).not.toMatch(/\d mm\b/);
  });

  it('pups open on inches', async () => {
    const page = await open(ClumpPage, 'm-hawo');
    expect(page.field('Offset 1').value).toBe('1.57');
    expect(page.text).toContain('Take');
  });

  it('the cut map opens on inches, and calls no stem longer than five metres', async () => {
    const page = await open(CutMapPage, 'm-sedu');
    expect(page.field('Stem, soil to tip, in').value).toBe('11.81');
    expect(page.text).not.toContain('Longer than');
    await page.fill('Stem, soil to tip, in', '24 in');
    expect(page.text).not.toContain('Longer than');
    await page.fill('Stem, soil to tip, in', '300');
    expect(page.text).toContain('Longer than 196.9 in');
  });
});
