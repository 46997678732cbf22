import { cutStraps } from '@hypogeon/core/plan';
import { mount, type Bench } from '../../testing/mount';
import { StrapDrawing } from './strap-drawing';

const open = async (
  lengths: readonly number[],
  sectionMm: number,
): Promise<{ page: Bench<StrapDrawing>; sections: number }> => {
  const plan = cutStraps(
    lengths.map((lengthMm) => ({ lengthMm })),
    sectionMm,
  );
  const page = await mount(StrapDrawing, { lengths, plan });
  return { page, sections: plan.sections.length };
};
const numbers = (d: string): number[] => [...d.matchAll(/-?[\d.]+/g)].map((m) => Number(m[0]));

describe('leaves cut into sections', () => {
  it('have an arrow to the tip in every section: which way up it goes in', async () => {
    const { page, sections } = await open([200, 120], 50);
    const arrows = page.all('svg path.arrow').map((a) => numbers(a.getAttribute('d')!));
    expect(arrows).toHaveLength(sections);
    // Up the page is to the tip.
    for (const [, from, to] of arrows) expect(to).toBeLessThan(from!);
  });

  it('are drawn to one scale, the longest as tall as there is room', async () => {
    const { page } = await open([200, 100], 50);
    const heights = page.all('svg path.leaf').map((leaf) => {
      const [, from, , , , , to] = numbers(leaf.getAttribute('d')!);
      return from! - to!;
    });
    expect(heights).toHaveLength(2);
    expect(heights[0]! / heights[1]!).toBeCloseTo(2, 1);
  });

  it('say every section with its length, and how many leaves are not drawn', async () => {
    const { page, sections } = await open([150], 50);
    const says = page.root.querySelector('svg')!.getAttribute('aria-label')!;
    expect(says).toContain(`cut into ${sections} sections, each with an arrow to the tip`);
    expect(says.split(';')).toHaveLength(sections);
    const many = await open(Array<number>(40).fill(120), 60);
    expect(many.page.text).toContain('and 34 more leaves like these');
  });
});
