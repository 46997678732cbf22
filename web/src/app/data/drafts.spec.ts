import { TestBed } from '@angular/core/testing';
import * as z from 'zod';
import { MemoryStores } from '../../testing/stores';
import { STORES } from './book';
import { shapeOf } from './draft-shape';
import { Drafts } from './drafts';

const form = z.object({ n: z.number() });

async function setUp(stores = new MemoryStores()) {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [{ provide: STORES, useValue: stores }] });
  const drafts = TestBed.inject(Drafts);
  await drafts.open('own');
  return { drafts, stores };
}

describe('drafts', () => {
  it('survive until they are dropped, and tell when they were typed', async () => {
    const { drafts, stores } = await setUp();
    const before = Date.now();
    drafts.keeper('test', form).keep({ n: 3 });
    await drafts.settled();
    const { drafts: again } = await setUp(stores);
    const keeper = again.keeper('test', form);
    expect(keeper.read()).toEqual({ n: 3 });
    expect(keeper.keptAt()).toBeGreaterThanOrEqual(before);
    keeper.drop();
    await again.settled();
    expect(stores.kept.own.size).toBe(0);
  });

  it('of one book are none of another', async () => {
    const { drafts } = await setUp();
    await drafts.open('demo');
    drafts.keeper('walk', form).keep({ n: 1 });
    await drafts.open('own');
    expect(drafts.keeper('walk', form).read()).toBeNull();
    await drafts.open('demo');
    expect(drafts.keeper('walk', form).read()).toEqual({ n: 1 });
  });

  it.each([
    ['torn', '{"at":1,"val'],
    ['of another form', JSON.stringify({ at: Date.now(), value: { n: 'three' } })],
    ['without an age', JSON.stringify({ value: { n: 1 } })],
    ['of last year', JSON.stringify({ at: Date.now() - 400 * 86_400_000, value: { n: 1 } })],
  ])('%s are none', async (_name, text) => {
    const stores = new MemoryStores();
    stores.kept.own.set('test', text);
    const { drafts } = await setUp(stores);
    expect(drafts.keeper('test', form).read()).toBeNull();
  });

  it('are only a comfort: a store that is full stops no one', async () => {
    const { drafts, stores } = await setUp();
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    stores.refuses = new DOMException('full', 'QuotaExceededError');
    const keeper = drafts.keeper('test', form);
    keeper.keep({ n: 1 });
    await drafts.settled();
    expect(keeper.read()).toEqual({ n: 1 });
    stores.refuses = null;
    keeper.keep({ n: 2 });
    await drafts.settled();
    expect(stores.draft('test')).toEqual({ n: 2 });
    log.mockRestore();
  });
});

describe('the shape of a draft', () => {
  const blank = { name: '', count: 4, on: false, rows: [{ size: '40' }], none: null };

  it('is that of the blank form, and takes the blank’s for what is of another kind', () => {
    const shape = shapeOf(blank);
    expect(shape.parse(blank)).toEqual(blank);
    expect(shape.parse({ name: 7, count: 'x', on: true, rows: 'no', more: 1 })).toEqual({
      ...blank,
      on: true,
    });
    expect(shape.safeParse('text').success).toBe(false);
  });
});
