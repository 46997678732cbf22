import { mount } from '../../testing/mount';
import { FamilyTree } from './family-tree';

describe('what came of a mother', () => {
  it('names her pieces by how many and what they are, and says how many live', async () => {
    const page = await mount(FamilyTree, { mother: 'm-gast' });
    const names = page.all('.tree a strong').map((n) => n.textContent.trim());
    expect(names[0]).toBe('Ox tongue, shelf end');
    expect(names.slice(1)).toEqual(['24 sections', '20 sections', '18 sections']);
    expect(page.all('.tree a small')[1]!.textContent).toMatch(/, 17 rooted$/);
    expect(page.all('.tree a')[1]!.getAttribute('href')).toBe('/bench/b-09');
  });

  it('is the same as a table, deeper ones further in', async () => {
    const page = await mount(FamilyTree, { mother: 'm-gra2' });
    await page.unfold();
    const rows = page.all('hy-table tbody tr');
    expect(rows).toHaveLength(page.all('.tree a').length);
    const deep = page.all('hy-table a').map((a) => Number.parseFloat(a.style.paddingLeft || '0'));
    expect(Math.max(...deep)).toBeGreaterThan(0);
    expect(page.all('.tree a[aria-current=true]')).toHaveLength(1);
  });

  it('one that nothing was taken of stands alone', async () => {
    const page = await mount(FamilyTree, { mother: 'm-kala' }, [
      {
        id: 'x',
        at: '2026-04-01T08:00:00.000Z~0000',
        by: 'phone',
        day: '2026-04-01',
        kind: 'put',
        record: 'mother',
        key: 'm-kala',
        fields: { name: 'Panda', taxon: 'kalanchoe-tomentosa' },
      },
    ]);
    expect(page.all('.tree a')).toHaveLength(1);
    expect(page.all('.tree > svg path')).toHaveLength(0);
  });
});
