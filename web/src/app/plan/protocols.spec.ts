import { mount, type Bench } from '../../testing/mount';
import { Protocols } from './protocols';

const AS_IT_STANDS = { school: 'long-cure', aid: 'cinnamon', dryDays: 12 } as const;
const open = async (): Promise<{ page: Bench<Protocols>; used: object[] }> => {
  const page = await mount(Protocols, { current: AS_IT_STANDS });
  const used: object[] = [];
  page.fixture.componentInstance.use.subscribe((u) => used.push(u));
  return { page, used };
};

describe('a routine of one’s own', () => {
  it('needs a name, and holds the plan as it stands', async () => {
    const { page } = await open();
    await page.unfold();
    await page.tap('Save');
    expect(page.text).toContain('Give it a name: it is chosen by that later.');
    await page.fill('Its name', ' Winter cuts ');
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      { kind: 'put', record: 'protocol', fields: { name: 'Winter cuts', ...AS_IT_STANDS } },
    ]);
    expect(page.field('Its name').value).toBe('');
  });

  it('fills in what it names, days as one types them', async () => {
    const { page, used } = await open();
    await page.unfold();
    await page.fill('Its name', 'Winter cuts');
    await page.tap('Save');
    await page.fill('My routine (optional)', 'Winter cuts');
    expect(used).toEqual([{ school: 'long-cure', aid: 'cinnamon', dryDays: '12' }]);
  });

  it('the same name is the same routine: only what differs is written', async () => {
    const { page } = await open();
    await page.unfold();
    await page.fill('Its name', 'Winter cuts');
    await page.tap('Save');
    page.fixture.componentRef.setInput('current', { ...AS_IT_STANDS, dryDays: 20 });
    await page.settle();
    await page.fill('Its name', 'WINTER cuts');
    await page.tap('Save');
    const entries = page.recorded() as { key: string; fields: object }[];
    expect(entries).toHaveLength(2);
    expect(entries[1]!.key).toBe(entries[0]!.key);
    expect(entries[1]!.fields).toEqual({ name: 'WINTER cuts', dryDays: 20 });
  });
});
