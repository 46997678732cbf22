import { demoJournal } from '@hypogeon/core/demo';
import { readJournal } from '@hypogeon/core/formats';
import { fold } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import type { OfferedFile } from '../data/journal-file';
import { RestoreOffer } from './restore-offer';

const preview = { fresh: 2, known: 5, newBatches: 1, changedBatches: 0, unknown: 0, clashing: 0 };
const offered = (over: Partial<typeof preview> = {}, more: object = {}): OfferedFile =>
  ({
    ok: true,
    entries: [],
    preview: { ...preview, ...over },
    pictures: new Map(),
    leftOut: 0,
    ahead: 0,
    ...more,
  }) as unknown as OfferedFile;

async function open(read: OfferedFile): Promise<{ page: Bench<RestoreOffer>; done: () => number }> {
  const page = await mount(RestoreOffer, { name: 'bench.json', read });
  let times = 0;
  page.fixture.componentInstance.done.subscribe(() => times++);
  return { page, done: () => times };
}

describe('a file that is offered', () => {
  it('says what it would change before it does', async () => {
    const { page } = await open(
      offered({ unknown: 1, clashing: 3 }, { pictures: new Map([['p', new Blob()]]), leftOut: 2 }),
    );
    expect(page.text).toContain('would add 2 entries: one new batch, 0 known changed.');
    expect(page.text).toContain('Here already: 5.');
    expect(page.text).toContain('Of a newer kind, and kept: 1.');
    expect(page.text).toContain('With other content here: 3;');
    expect(page.text).toContain('1 picture comes along.');
    expect(page.text).toContain('2 files of the zip left out: no picture');
  });

  it('says what was written by a clock that stood ahead', async () => {
    const { page } = await open(offered({}, { ahead: 3 }));
    expect(page.text).toContain('3 entries were written by a clock that stood ahead');
    expect(page.text).toContain('takes its place as of now, in its order, and keeps its days.');
    expect((await open(offered({}, { ahead: 1 }))).page.text).toContain('One entry was written');
  });

  it('with nothing new in it is only left', async () => {
    const { page, done } = await open(offered({ fresh: 0 }));
    expect(page.all('button').map((b) => b.textContent.trim())).toEqual(['Cancel']);
    await page.tap('Cancel');
    expect(done()).toBe(1);
    expect(page.recorded()).toEqual([]);
  });

  it('that is refused says why, and that nothing was changed', async () => {
    const read = readJournal('{"format":"other"}', fold([]), 0) as unknown as OfferedFile;
    const { page } = await open(read);
    expect(page.text).toContain('bench.json was refused, and nothing was changed.');
    expect(page.all('li').length).toBeGreaterThan(0);
    expect(page.all('button')).toHaveLength(0);
  });

  it('brings its entries in with one tap', async () => {
    const entries = demoJournal(DAY).slice(0, 5);
    const page = await mount(
      RestoreOffer,
      { name: 'bench.json', read: offered({}, { entries }) },
      [],
    );
    expect(page.journal.state().size).toBe(0);
    await page.tap('Add them');
    expect(page.journal.state().size).toBe(entries.length);
  });
});
