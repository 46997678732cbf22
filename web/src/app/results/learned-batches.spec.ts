import { mount } from '../../testing/mount';
import { LearnedBatches } from './learned-batches';

describe('the batches that taught', () => {
  it('stand there all, the newest first, each with what it teaches or why it does not', async () => {
    const page = await mount(LearnedBatches);
    const cut = [...page.journal.state().batches.values()].filter((b) => b.cut !== null);
    expect(page.all('tbody tr')).toHaveLength(cut.length);
    const says = page.all('tbody tr').map((tr) => tr.querySelectorAll('td')[1]!.textContent.trim());
    expect(says.every((s) => s.length > 3)).toBe(true);
    expect(new Set(says).size).toBeGreaterThan(2);
    const newest = cut
      .map((b) => b.cutOn)
      .sort()
      .at(-1)!;
    expect(page.all('tbody tr')[0]!.querySelector('a')!.getAttribute('href')).toContain(
      cut.find((b) => b.cutOn === newest)!.id,
    );
  });

  it('leads from each to what would have been', async () => {
    const page = await mount(LearnedBatches);
    const links = page.all('a').filter((a) => a.textContent.trim() === 'What if');
    expect(links).toHaveLength(page.all('tbody tr').length);
    expect(links[0]!.getAttribute('href')).toMatch(/\/bench\/b-\d+\/what-if$/);
  });
});
