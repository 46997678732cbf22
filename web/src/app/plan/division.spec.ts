import { mount, type Bench } from '../../testing/mount';
import { DivisionPage } from './division-page';

const open = (mother: string): Promise<Bench<DivisionPage>> => mount(DivisionPage, { mother });

describe('parting a clump', () => {
  it('begins with two parts with roots of their own, and says how each is potted', async () => {
    const page = await open('m-hawo');
    expect(page.text).toContain('2 to pot');
    expect(page.text).toContain(
      'Pot it: it has its own roots and no cut. No deeper than it stood.',
    );
    await page.fill('Across its roots, mm', '50');
    expect(page.text).toMatch(/A pot 60–70 mm across.*Of yours: Small pot\./);
  });

  it('leaves on her what would not shoot, and waits for what is cut', async () => {
    const page = await open('m-hawo');
    await page.fill('Growing points', '0');
    expect(page.text).toContain('One to pot, one stays on the mother');
    expect(page.text).toContain('nothing of it would shoot');
    await page.fill('Growing points', '1');
    await page.fill('It comes away', 'rhizome');
    await page.fill('Its rhizome, mm', '1 in');
    expect(page.text).toContain('Short of the 40 mm');
  });

  it('says what it cannot read, and keeps it', async () => {
    const page = await open('m-hawo');
    await page.fill('Pale band, mm', 'deep');
    expect(page.text).toContain('Whole numbers, and lengths like 25 mm or 1 in.');
    expect(page.field('Pale band, mm').value).toBe('deep');
    expect(page.text).toContain('One to pot');
  });

  it('puts parts that go the same way on the bench as one batch', async () => {
    const page = await open('m-hawo');
    await page.tap('Add a part');
    await page.fill('It comes away', 'rhizome');
    await page.tap('Divide: put them on the bench');
    const puts = (page.recorded() as { kind: string; fields?: object }[]).flatMap((e) =>
      e.fields ? [e.fields] : [],
    );
    expect(puts).toHaveLength(2);
    expect(puts[0]).toMatchObject({
      count: 1,
      opening: 'cut',
      through: 'rhizome',
      course: 'division',
    });
    expect(puts[1]).toMatchObject({
      count: 2,
      opening: 'parted',
      course: 'rooted',
      ownRoots: 'brush',
    });
  });

  it('asks whose clump it is, and says where a plant does not part', async () => {
    expect((await open('nobody')).text).toContain('Choose a mother');
    expect((await open('m-cere')).text).toContain('does not grow in a clump that parts');
  });
});
