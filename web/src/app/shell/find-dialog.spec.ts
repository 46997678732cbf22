import { MatDialogRef } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { mount, type Bench } from '../../testing/mount';
import { FindDialog } from './find-dialog';
import { FOUND_BY_NAME } from './pages';
import { routes } from '../app.routes';

const close = jest.fn();
const open = (): Promise<Bench<FindDialog>> =>
  mount(FindDialog, {}, undefined, [{ provide: MatDialogRef, useValue: { close } }]);

async function type(page: Bench<FindDialog>, text: string): Promise<void> {
  const input = page.root.querySelector('input')!;
  input.value = text;
  input.dispatchEvent(new Event('input'));
  await page.settle();
}

async function key(page: Bench<FindDialog>, name: string): Promise<void> {
  page.root.querySelector('input')!.dispatchEvent(new KeyboardEvent('keydown', { key: name }));
  await page.settle();
}

describe('finding', () => {
  beforeAll(() => {
    // jsdom lays nothing out.
    Element.prototype.scrollIntoView = () => undefined;
  });

  it('opens what the arrows choose', async () => {
    const page = await open();
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    await type(page, 'sedum');
    const options = page.all('[role=option]');
    expect(options.length).toBeGreaterThan(2);
    expect(options[0]!.getAttribute('aria-selected')).toBe('true');
    await key(page, 'ArrowDown');
    expect(page.all('[role=option]')[1]!.getAttribute('aria-selected')).toBe('true');
    await key(page, 'Enter');
    expect(close).toHaveBeenCalled();
    expect(go).toHaveBeenCalledTimes(1);
  });

  it('finds pages, and says what to do where nothing is found', async () => {
    const page = await open();
    await type(page, 'pencil');
    expect(page.all('[role=option]')[0]!.textContent).toContain('Pencil sheet');
    await type(page, 'qqq');
    expect(page.text).toContain('Nothing begins so. Try fewer letters.');
  });

  it('knows every page that is not of one thing', () => {
    const paths = routes.map((r) => `/${r.path}`).filter((p) => !/[:*]/.test(p) && p !== '/');
    const known = new Set(FOUND_BY_NAME.map((p) => p.path));
    const moved = routes.filter((r) => r.redirectTo !== undefined).map((r) => `/${r.path}`);
    // Sheets of several batches are asked for where they were cut, never by name.
    const unsought = [...moved, '/workbench', '/plan/sheets'];
    expect(paths.filter((p) => !known.has(p) && !unsought.includes(p))).toEqual([]);
    expect(new Set(FOUND_BY_NAME.map((p) => p.title)).size).toBe(FOUND_BY_NAME.length);
  });
});
