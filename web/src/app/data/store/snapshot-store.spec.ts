import { demoJournal } from '@hypogeon/core/demo';
import { JOURNAL_VERSION } from '@hypogeon/core/formats';
import { appendAll, fold, type Entry } from '@hypogeon/core/journal';
import { readChunks, type StoredChunk } from './chunk-store';
import { checksum, makeSnapshot, openSnapshot } from './snapshot-store';

const ENTRIES = demoJournal('2026-04-09');
const chunk = (key: string, entries: readonly unknown[]): StoredChunk => ({
  key,
  text: JSON.stringify({ version: JOURNAL_VERSION, entries }),
});
const CHUNKS = [chunk('a', ENTRIES.slice(0, 400)), chunk('b', ENTRIES.slice(400))];
const SNAPSHOT = makeSnapshot(CHUNKS, 'build-1');

describe('the snapshot in the store', () => {
  it('opens to what all entries tell', () => {
    const opened = openSnapshot(SNAPSHOT, CHUNKS, 'build-1')!;
    expect(opened.state).toEqual(fold(ENTRIES));
    expect(opened.since).toEqual([]);
  });

  it('and with the chunks that came since, to what all of them tell', () => {
    const later: Entry = { ...ENTRIES[3]!, id: 'later', day: '2026-04-09' };
    const more = chunk('c', [later]);
    const opened = openSnapshot(SNAPSHOT, [...CHUNKS, more], 'build-1')!;
    expect(opened.since).toEqual([more]);
    const { entries } = readChunks(opened.since);
    expect(appendAll(opened.state, entries)).toEqual(fold([...ENTRIES, later]));
  });

  it.each<[string, unknown, readonly StoredChunk[], string]>([
    ['nothing there', null, CHUNKS, 'build-1'],
    ['torn', SNAPSHOT.slice(0, -9), CHUNKS, 'build-1'],
    ['another build', SNAPSHOT, CHUNKS, 'build-2'],
    ['a chunk that is gone', SNAPSHOT, CHUNKS.slice(1), 'build-1'],
    [
      'a chunk with one sign changed',
      SNAPSHOT,
      [CHUNKS[0]!, { key: 'b', text: CHUNKS[1]!.text.replace('crown', 'crowm') }],
      'build-1',
    ],
    ['itself with one sign changed', SNAPSHOT.replace('crown', 'crowm'), CHUNKS, 'build-1'],
    ['something else altogether', '{"build":"build-1"}', CHUNKS, 'build-1'],
  ])('is thrown away at the slightest doubt: %s', (_name, text, chunks, build) => {
    expect(openSnapshot(text, chunks, build)).toBeNull();
  });

  it('remembers what was set aside in the chunks it covers', () => {
    const spoiled = [...CHUNKS, chunk('c', [null, { ...ENTRIES[0], day: 'never' }])];
    const opened = openSnapshot(makeSnapshot(spoiled, 'b'), spoiled, 'b')!;
    expect(opened.state).toEqual(fold(ENTRIES));
    expect(opened.setAside).toEqual(readChunks(spoiled).setAside);
    expect(opened.setAside).toHaveLength(2);
  });

  it('sums as FNV-1a does where one sign is a step (values from memory: of nothing, of “a”)', () => {
    expect(['', 'a'].map(checksum)).toEqual([0x811c9dc5, 0xe40c292c]);
  });

  it('sums differ with any sign and any order', () => {
    const sums = ['ab', 'ba', 'abc', 'acb', 'abcd', 'abdc', 'badc', ' ab', 'ab '].map(checksum);
    expect(new Set(sums).size).toBe(sums.length);
  });
});
