import { demoJournal } from '@hypogeon/core/demo';
import { writeJournal } from '@hypogeon/core/formats';
import type { Entry } from '@hypogeon/core/journal';
import { strToU8, zipSync } from 'fflate';
import { Blob as NodeBlob } from 'node:buffer';
import { files } from './files';
import { linesOf } from './lines-of';
import { pictureType } from './picture-type';
import { unpack } from './unzip';

// The worker's own Blob can be read piece by piece; the one of jsdom cannot.
globalThis.Blob = NodeBlob as unknown as typeof Blob;

const NOW = Date.parse('2026-04-10T08:00:00Z');
const JPEG = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);
const photo: Entry = {
  id: 'ph',
  at: '2026-04-09T08:00:00.000Z~0000',
  day: '2026-04-09',
  by: 'phone',
  kind: 'photo',
  batch: 'b-19',
  picture: 'pic1',
  width: 10,
  height: 10,
  bytes: 7,
};
const DEMO = [...demoJournal('2026-04-09'), photo];
const zipOf = (more: Record<string, Uint8Array>, journal = writeJournal(DEMO)): Uint8Array =>
  zipSync({ 'journal.json': strToU8(journal), ...more });

describe('a zip', () => {
  it('that was saved here comes back whole', async () => {
    const read = await files.readZip(files.zip(DEMO, [{ id: 'pic1', bytes: JPEG }]), [], NOW);
    if (!read.ok) throw new Error(read.problems[0]!.sentence);
    expect(read.entries).toHaveLength(DEMO.length);
    expect(read.pictures).toEqual([{ id: 'pic1', bytes: JPEG, type: 'image/jpeg' }]);
    expect(read.leftOut).toBe(0);
  });

  it('leaves out pictures that no entry names, and what is no picture', async () => {
    const read = await files.readZip(
      zipOf({
        'pictures/pic1.jpg': strToU8('<script>alert(1)</script>'),
        'pictures/unknown.jpg': JPEG,
        'other/thing.exe': JPEG,
      }),
      [],
      NOW,
    );
    expect(read).toMatchObject({ ok: true, pictures: [], leftOut: 2 });
  });

  it('takes a picture that an entry here names', async () => {
    const journal = writeJournal(demoJournal('2026-04-09'));
    const zip = zipOf({ 'pictures/pic1.jpg': JPEG }, journal);
    expect(await files.readZip(zip, [photo], NOW)).toMatchObject({ pictures: [{ id: 'pic1' }] });
    const worn = {
      ...photo,
      kind: 'put',
      record: 'mother',
      key: 'm1',
      fields: { picture: { id: 'pic1', width: 8, height: 6 } },
    } as unknown as Entry;
    expect(await files.readZip(zip, [worn], NOW)).toMatchObject({ pictures: [{ id: 'pic1' }] });
  });

  it.each<[string, () => Uint8Array, RegExp]>([
    ['cut off', () => zipOf({}).slice(0, 2000), /damaged or was cut off/],
    ['no zip', () => strToU8('plant;number'), /damaged or was cut off/],
    ['nothing', () => new Uint8Array(), /damaged or was cut off/],
    ['without a journal', () => zipSync({ 'a.txt': JPEG }), /no journal.json/],
    ['with a bad journal', () => zipOf({}, '{"format":"x"}'), /not a Hypogeon journal/],
  ])('%s is refused with a sentence', async (_name, zip, sentence) => {
    const read = await files.readZip(zip(), [], NOW);
    if (read.ok) throw new Error('taken');
    expect(read.problems[0]!.sentence).toMatch(sentence);
  });

  it('that would unpack to too much is refused by what it declares', async () => {
    const bomb = zipOf({}).slice();
    // Uncompressed size in the local header (offset 22), little-endian. Source: PKWARE APPNOTE 4.3.7 (from memory).
    new DataView(bomb.buffer).setUint32(22, 410_000_000, true);
    expect(await files.readZip(bomb, [], NOW)).toMatchObject({
      ok: false,
      problems: [{ sentence: expect.stringMatching(/would unpack to more than 400 MB/) }],
    });
  });

  it('that lies about its size is refused by what really comes out', () => {
    const zip = zipSync({ a: new Uint8Array(5_000_000) });
    const lying = zip.slice();
    lying.set([10, 0, 0, 0], 22);
    const read = unpack(lying, () => 1_000_000);
    expect(read).toMatchObject({ ok: false });
    expect(unpack(zip, () => 6_000_000)).toMatchObject({ ok: true });
    expect(unpack(zip, () => 6_000_000, 4_000_000)).toMatchObject({ ok: false });
  });
});

describe('kinds of pictures', () => {
  it.each([
    [[0xff, 0xd8, 0xff, 0xdb], 'image/jpeg'],
    [[0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0], 'image/png'],
    [[0x47, 0x49, 0x46, 0x38, 0x39], 'image/gif'],
    [[0x52, 0x49, 0x46, 0x46, 1, 1, 1, 1, 0x57, 0x45, 0x42, 0x50], 'image/webp'],
    [[0x3c, 0x73, 0x76, 0x67], null],
    [[], null],
  ])('%p is %s', (bytes, type) => {
    expect(pictureType(new Uint8Array(bytes))).toBe(type);
  });
});

describe('a large file', () => {
  const blob = (text: string): Blob => new Blob([text]);
  const TEXT = writeJournal(DEMO);

  it('read line by line tells what it tells as a whole, however it comes in pieces', async () => {
    expect(await files.readLarge(blob(TEXT), [], NOW)).toEqual(files.read(TEXT, [], NOW));
    const pretty = JSON.stringify(JSON.parse(TEXT), null, 1);
    expect(await files.readLarge(blob(pretty), [], NOW)).toEqual(files.read(pretty, [], NOW));
    const cut = TEXT.slice(0, -400);
    expect(await files.readLarge(blob(cut), [], NOW)).toMatchObject({
      ok: false,
      problems: [{ sentence: expect.stringMatching(/ends in the middle/) }],
    });
    const odd = 'é—🌵\n'.repeat(40_000);
    const lines: string[] = [];
    for await (const line of linesOf(blob(odd))) lines.push(line);
    expect(lines.join('\n') + '\n').toBe(odd);
  });
});

describe('files in and out', () => {
  it('a journal that is refused says where; a good one what it would change', () => {
    const text = writeJournal(DEMO);
    const good = files.read(text, [], NOW);
    expect(good).toMatchObject({ ok: true, preview: { fresh: DEMO.length, newBatches: 30 } });
    expect(files.read(text.replace('"crown"', '"crowm"'), [], NOW)).toMatchObject({
      ok: false,
      problems: [{ line: expect.any(Number), field: expect.stringMatching(/^fields/) }],
    });
  });

  it('tables say what they are, and no table is said to be none', () => {
    expect(files.weather('date,temp\n2026-04-01,20\n', null)).toMatchObject({ ok: true, rows: 1 });
    expect(files.weather('nothing', null)).toMatchObject({ ok: false });
    expect(files.paper('plant,number\nSedum,3\n')!.mapping.columns).toMatchObject({ taxon: 0 });
    expect(files.paper('')).toBeNull();
  });

  it('a calendar and a data package of the whole journal', () => {
    const at = new Date(NOW);
    expect(files.calendar(DEMO, { locale: 'en-GB', today: '2026-04-09' }, new Map(), at)).toMatch(
      /^BEGIN:VCALENDAR/,
    );
    expect(files.dataPackage(DEMO, '2026-04-09', at).length).toBeGreaterThan(5000);
    expect(files.write(DEMO)).toBe(writeJournal(DEMO.toSorted((a, b) => (a.at < b.at ? -1 : 1))));
  });
});
