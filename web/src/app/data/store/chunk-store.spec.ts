import type { Entry } from '@hypogeon/core/journal';
import { MemoryStores } from '../../../testing/stores';
import { ChunkStore } from './chunk-store';

const entry = (n: number): Entry => ({
  id: `e${n}`,
  at: `2026-03-01T08:00:00.000Z~${n.toString(16).padStart(4, '0')}`,
  day: '2026-03-01',
  by: 'phone',
  kind: 'note',
  batch: 'b',
  text: `${n}`,
});
const many = (n: number): Entry[] => Array.from({ length: n }, (_, i) => entry(i));

function setUp() {
  const stores = new MemoryStores();
  let key = 0;
  const chunks = new ChunkStore(stores.journal('own'), () => `k${key++}`);
  return { stores, chunks, map: stores.books.own };
}

describe('the chunk store', () => {
  it('gives back what was written', async () => {
    const { chunks } = setUp();
    await chunks.write(many(3));
    await chunks.write([entry(7)]);
    expect((await chunks.read()).entries.map((e) => e.id)).toEqual(['e0', 'e1', 'e2', 'e7']);
  });

  it('never touches a chunk again once it is written', async () => {
    const { chunks, map } = setUp();
    await chunks.write([entry(1)]);
    const first = [...map];
    await chunks.write([entry(2)]);
    expect([...map].slice(0, 1)).toEqual(first);
  });

  it('a torn chunk loses nothing that was confirmed before, and is said', async () => {
    const { chunks, map } = setUp();
    await chunks.write(many(5));
    map.set('chunk/torn', '[{"id":"e9","at":"2026-');
    const read = await chunks.read();
    expect(read.entries).toHaveLength(5);
    expect(read.setAside).toMatchObject([{ chunk: 'chunk/torn', newer: false }]);
    expect(read.setAside[0]!.reason).toMatch(/^it is torn/);
  });

  it('brings chunks of a past version forward and leaves those of a newer one alone', async () => {
    const { chunks, map } = setUp();
    const tally = {
      ...entry(1),
      kind: 'tally',
      counts: { rooted: 1, pupped: 0, rotted: 0, dead: 2, lost: 0 },
    };
    map.set('chunk/old', JSON.stringify({ version: 1, entries: [tally] }));
    map.set('chunk/new', JSON.stringify({ version: 99, entries: [entry(2)] }));
    const read = await chunks.read();
    expect(read.entries).toMatchObject([{ counts: { rooted: 1, dried: 2 } }]);
    expect(read.setAside).toMatchObject([{ chunk: 'chunk/new', newer: true }]);
  });

  it.each<[string, unknown, RegExp, RegExp]>([
    ['nothing', null, /an entry of no kind/, /it must be an object/],
    ['a day that is none', { ...entry(1), day: 'never' }, /^note of never$/, /day is not a day/],
    [
      'a series without a start',
      { ...entry(1), kind: 'series', space: 's', source: 'x', offsets: [], columns: {} },
      /^series/,
      /start must be a string/,
    ],
  ])('sets %s aside by name, and opens the rest', async (_name, bad, name, reason) => {
    const { chunks, map } = setUp();
    map.set('chunk/some', JSON.stringify({ version: 3, entries: [entry(1), bad, entry(2)] }));
    const read = await chunks.read();
    expect(read.entries.map((e) => e.id)).toEqual(['e1', 'e2']);
    expect(read.setAside).toHaveLength(1);
    expect(read.setAside[0]!.name).toMatch(name);
    expect(read.setAside[0]!.reason).toMatch(reason);
  });

  it('never gathers a chunk away that holds something set aside', async () => {
    const { chunks, map } = setUp();
    for (const e of many(130)) await chunks.write([e]);
    const spoiled = JSON.stringify({ version: 3, entries: [entry(200), { kind: 'note' }] });
    map.set('chunk/spoiled', spoiled);
    await chunks.gather();
    expect(map.get('chunk/spoiled')).toBe(spoiled);
    expect((await chunks.read()).entries).toHaveLength(131);
  });

  it('gathers many small chunks into a large one and keeps every entry', async () => {
    const { chunks, map } = setUp();
    for (const e of many(130)) await chunks.write([e]);
    map.set('chunk/torn', 'not json');
    await chunks.gather();
    expect(map.size).toBe(2);
    expect((await chunks.read()).entries).toHaveLength(130);
  });

  it('leaves few chunks alone, without reading what is in them', async () => {
    const { chunks, map } = setUp();
    for (const e of many(20)) await chunks.write([e]);
    const parse = jest.spyOn(JSON, 'parse');
    await chunks.gather();
    expect(parse).not.toHaveBeenCalled();
    parse.mockRestore();
    expect(map.size).toBe(20);
  });

  it('a crash while gathering leaves entries twice, never none', async () => {
    const { chunks, stores } = setUp();
    for (const e of many(130)) await chunks.write([e]);
    const store = stores.journal('own');
    const dying = new ChunkStore(
      { ...store, removeItem: () => Promise.reject(new Error('killed')) },
      () => 'gathered',
    );
    await expect(dying.gather()).rejects.toThrow('killed');
    const ids = new Set((await chunks.read()).entries.map((e) => e.id));
    expect(ids.size).toBe(130);
  });

  it('tells the refusal of the store', async () => {
    const { chunks, stores } = setUp();
    stores.refuses = new DOMException('full', 'QuotaExceededError');
    await expect(chunks.write(many(1))).rejects.toThrow('full');
  });
});
