import 'fake-indexeddb/auto';
import { Disk } from './disk';
import { storesOn } from './disk-driver';

// jsdom hides what the stand-in for IndexedDB clones with.
if (!('structuredClone' in globalThis))
  Object.assign(globalThis, {
    structuredClone: (value: unknown): unknown => JSON.parse(JSON.stringify(value)),
  });

const deleted = (name: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const request = indexedDB.deleteDatabase(name);
    request.onsuccess = () => resolve();
    request.onerror = () => reject(request.error ?? new Error('not deleted'));
  });
/** A database as an older build made it, with one store of those that are wanted. */
const older = (name: string): Promise<void> =>
  new Promise((resolve) => {
    const request = indexedDB.open(name, 7);
    request.onupgradeneeded = () => request.result.createObjectStore('a').put('kept', 'k');
    request.onsuccess = () => {
      request.result.close();
      resolve();
    };
  });

describe('the browser’s database', () => {
  let n = 0;
  let name = '';
  beforeEach(() => (name = `disk-${n++}`));

  it('keeps what is written, store by store', async () => {
    const { store } = storesOn(name, ['a', 'b']);
    await store('a').setItem('k', 'in a');
    await store('b').setItem('k', 'in b');
    await store('b').setItem('l', 'more');
    expect(await store('a').getItem('k')).toBe('in a');
    expect(await store('a').getItem('nothing')).toBeNull();
    expect(await store('b').keys()).toEqual(['k', 'l']);
    expect(await store('b').length()).toBe(2);
    expect(await store('b').key(1)).toBe('l');
    const seen: string[] = [];
    await store('b').iterate((value: string, key) => void seen.push(`${key} ${value}`));
    expect(seen).toEqual(['k in b', 'l more']);
    await store('b').removeItem('k');
    expect(await store('b').keys()).toEqual(['l']);
    await store('b').clear();
    expect(await store('b').keys()).toEqual([]);
    expect(await store('a').getItem('k')).toBe('in a');
  });

  it('takes up what an older build left, and makes what it had not', async () => {
    await older(name);
    const { store } = storesOn(name, ['a', 'b']);
    expect(await store('a').getItem('k')).toBe('kept');
    await store('b').setItem('x', 'new');
    expect(await store('b').getItem('x')).toBe('new');
  });

  it('that is deleted under an open tab says so, and can be written again', async () => {
    const disk = new Disk(name, ['a']);
    const taken = jest.fn();
    disk.taken$.subscribe(taken);
    await disk.write('a', (s) => s.put('v', 'k'));
    expect(taken).not.toHaveBeenCalled();
    await deleted(name);
    expect(taken).toHaveBeenCalled();
    expect(await disk.read<unknown>('a', (s) => s.get('k'))).toBeUndefined();
    await disk.write('a', (s) => s.put('again', 'k'));
    expect(await disk.all('a')).toEqual([['k', 'again']]);
  });

  it('gives way to a tab that needs a new store, and goes on', async () => {
    const one = new Disk(name, ['a']);
    await one.write('a', (s) => s.put(1, 'k'));
    const two = new Disk(name, ['a', 'b']);
    await two.write('b', (s) => s.put(2, 'k'));
    await one.write('a', (s) => s.put(3, 'k'));
    expect(await two.all('a')).toEqual([['k', 3]]);
  });

  it('refuses what cannot be cloned, and goes on', async () => {
    const disk = new Disk(name, ['a']);
    await expect(disk.write('a', (s) => s.put(() => 1, 'k'))).rejects.toThrow();
    await disk.write('a', (s) => s.put('good', 'k'));
    expect(await disk.read<unknown>('a', (s) => s.get('k'))).toBe('good');
  });
});
