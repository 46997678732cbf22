import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import * as z from 'zod';
import { MemoryStores } from '../../testing/stores';
import { STORES } from './book';
import { Drafts } from './drafts';
import { keptDraft } from './kept-draft';

const shape = z.object({ text: z.string() });
const thing = signal('a');

async function open(stores = new MemoryStores()) {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [{ provide: STORES, useValue: stores }] });
  const drafts = TestBed.inject(Drafts);
  await drafts.open('own');
  const draft = TestBed.runInInjectionContext(() =>
    keptDraft(
      () => `form.${thing()}`,
      () => shape,
    ),
  );
  return { draft, drafts, stores };
}

describe('a form as it is being typed', () => {
  beforeEach(() => thing.set('a'));

  it('is taken up where it was left, and says since when', async () => {
    const { draft, drafts, stores } = await open();
    expect(draft.typed()).toBeNull();
    expect(draft.left()).toBeNull();
    draft.set({ text: 'half' });
    expect(draft.typed()).toEqual({ text: 'half' });
    await drafts.settled();
    const again = await open(stores);
    expect(again.draft.typed()).toEqual({ text: 'half' });
    expect(again.draft.left()).toBeGreaterThan(0);
  });

  it('is of one thing: another has its own', async () => {
    const { draft } = await open();
    draft.set({ text: 'of a' });
    thing.set('b');
    expect(draft.typed()).toBeNull();
    draft.set({ text: 'of b' });
    thing.set('a');
    expect(draft.typed()).toEqual({ text: 'of a' });
  });

  it('thrown away it is blank, here and after a new start', async () => {
    const { draft, drafts, stores } = await open();
    draft.set({ text: 'half' });
    draft.drop();
    expect(draft.typed()).toBeNull();
    expect(draft.left()).toBeNull();
    await drafts.settled();
    expect((await open(stores)).draft.typed()).toBeNull();
  });

  it('is as if it were not there where its form does not understand it any more', async () => {
    const { drafts, stores } = await open();
    drafts.keeper('form.a', z.unknown()).keep({ other: 1 });
    await drafts.settled();
    expect((await open(stores)).draft.typed()).toBeNull();
  });
});
