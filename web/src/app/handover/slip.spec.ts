import { mount } from '../../testing/mount';
import { SlipPage } from './slip-page';
import { drawPlant } from '@hypogeon/core/draw';
import { slipPdf } from './slip-pdf';

describe('the care slip', () => {
  it('says when it may have water, where it stands, and what to mind', async () => {
    const page = await mount(SlipPage, { id: 'b-24' });
    expect(page.text).toContain('Opuntia microdasys');
    expect(page.text).toContain('No water until it has roots');
    expect(page.text).toMatch(/Glochids/);
    expect(page.text).toMatch(/Light: bright shade/);
  });

  it('is for as many as go', async () => {
    const page = await mount(SlipPage, { id: 'b-24' });
    await page.fill('How many go', '3');
    expect(page.text).toContain('3 pads, cut');
    await page.fill('How many go', 'some');
    expect(page.text).toContain('A whole number of 1 or more');
  });

  it('on paper it is a small PDF with all its lines', async () => {
    const slip = {
      title: 'Echeveria elegans (ECH-111)',
      lines: ['No water before Mon 20 Apr.', 'Light: bright shade, no sun.'],
      loud: 0,
      cautions: Array.from({ length: 40 }, (_, n) => `Caution ${n}. Wash hands.`),
    };
    const blob = slipPdf(slip, 'a4');
    expect(blob.type).toBe('application/pdf');
    const read = (of: Blob): Promise<string> =>
      new Promise((resolve) => {
        const reader = new FileReader();
        reader.onload = () => resolve(reader.result as string);
        reader.readAsText(of, 'latin1');
      });
    const text = await read(blob);
    // A quarter of the sheet of the region, in points: A6, or half of Letter both ways (4.25 × 5.5 in).
    expect(text).toMatch(/\/MediaBox \[0 0 297\.\d* 419\.\d*\]/);
    expect(await read(slipPdf(slip, 'letter'))).toMatch(/\/MediaBox \[0 0 306\.\d* 396\.\d*\]/);
    expect(text.startsWith('%PDF')).toBe(true);
    // Forty cautions need more than one page of A6.
    expect(text.match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(1);
  });

  it('shows the plant, on the screen and as vectors on paper', async () => {
    const page = await mount(SlipPage, { id: 'b-24' });
    expect(page.all('hy-plant')).toHaveLength(1);
    const slip = { title: 'Opuntia microdasys', lines: ['Keep it dry.'], loud: null, cautions: [] };
    const { shapes } = drawPlant({ habit: 'pads' }, 120);
    expect(slipPdf(slip, 'a4', shapes).size).toBeGreaterThan(slipPdf(slip, 'a4').size + 400);
  });

  it('says so where there is no such batch', async () => {
    expect((await mount(SlipPage, { id: 'nowhere' })).text).toContain('No such batch');
  });
});
