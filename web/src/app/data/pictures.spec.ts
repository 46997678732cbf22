import { TestBed } from '@angular/core/testing';
import { MemoryStores } from '../../testing/stores';
import { STORES } from './book';
import { Journal } from './journal';
import { Pictures } from './pictures';
import { PICTURES_WORKER } from './workers';

const SHRUNK = new Blob(['small'], { type: 'image/jpeg' });

async function setUp(
  shrink: () => Promise<unknown> = () => Promise.resolve({ blob: SHRUNK, width: 8, height: 6 }),
) {
  const stores = new MemoryStores();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      { provide: STORES, useValue: stores },
      // Jest's pages draw nothing: what comes of shrinking is given.
      {
        provide: PICTURES_WORKER,
        useValue: { ask: (call: (w: object) => unknown) => call({ shrink }) },
      },
    ],
  });
  const journal = TestBed.inject(Journal);
  await journal.open();
  return { stores, journal, pictures: TestBed.inject(Pictures) };
}

const photo = (name = 'a.jpg', type = 'image/jpeg', size = 10): File => {
  const file = new File(['x'], name, { type });
  Object.defineProperty(file, 'size', { value: size });
  return file;
};

describe('pictures', () => {
  it('are kept beside the journal before an entry names them', async () => {
    const { stores, journal, pictures } = await setUp();
    const taken = await pictures.take(photo(), 'b1', { text: 'day three' });
    if (!taken.ok) throw new Error(taken.problem);
    expect(stores.blobs.get(taken.picture)).toBe(SHRUNK);
    expect(journal.state().log.get('batch/b1')).toMatchObject([
      { kind: 'photo', picture: taken.picture, width: 8, height: 6, text: 'day three' },
    ]);
    expect(await pictures.get(taken.picture)).toBe(SHRUNK);
  });

  it.each([
    [photo('log.csv', 'text/csv'), /“log.csv” is no picture/],
    [photo('huge.jpg', 'image/jpeg', 61_000_000), /larger than 60 MB/],
  ])('that are none, or too large, are refused', async (file, sentence) => {
    const { journal, pictures } = await setUp();
    expect(await pictures.take(file, 'b1', {})).toMatchObject({
      ok: false,
      problem: expect.stringMatching(sentence),
    });
    expect(journal.state().size).toBe(0);
  });

  it('that cannot be read, or find no room, leave no entry behind', async () => {
    const unreadable = await setUp(() => Promise.reject(new Error('no image')));
    expect(await unreadable.pictures.take(photo(), 'b1', {})).toMatchObject({
      problem: expect.stringMatching(/cannot be read here/),
    });
    const full = await setUp();
    full.stores.refuses = new DOMException('full', 'QuotaExceededError');
    expect(await full.pictures.take(photo(), 'b1', {})).toMatchObject({
      problem: expect.stringMatching(/store of this browser is full/),
    });
    expect(full.journal.state().size).toBe(0);
  });

  it('of a mother are worn by her record, and kept as those of a batch', async () => {
    const { stores, journal, pictures } = await setUp();
    await journal.record({
      kind: 'put',
      record: 'mother',
      key: 'm1',
      fields: { name: 'Old Grey' },
    });
    const taken = await pictures.takeOfMother(photo(), 'm1');
    if (!taken.ok) throw new Error(taken.problem);
    expect(stores.blobs.get(taken.picture)).toBe(SHRUNK);
    expect(journal.state().mothers.get('m1')).toMatchObject({
      name: 'Old Grey',
      picture: { id: taken.picture, width: 8, height: 6 },
    });
    expect(await pictures.takeOfMother(photo('log.csv', 'text/csv'), 'm1')).toMatchObject({
      ok: false,
    });
  });

  it('of a file are put back once; those that are here stay', async () => {
    const { stores, pictures } = await setUp();
    stores.blobs.set('here', SHRUNK);
    const other = new Blob(['other']);
    const file = new Map([
      ['here', other],
      ['new', other],
    ]);
    expect(await pictures.restore(file)).toBe(1);
    expect(stores.blobs.get('here')).toBe(SHRUNK);
    expect(stores.blobs.get('new')).toBe(other);
  });
});
