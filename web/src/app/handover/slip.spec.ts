import { mount } from '../../testing/mount';
import { SlipPage } from './slip-page';
import { slipPdf } from './slip-pdf';

describe('the care slip', () => {
  it('says when it may have water, where it stands, and what to mind', async () => {
    const page = await mount(SlipPage, { id: 'b-24' });
    expect(page.text).toContain('Opuntia microdasys');
    expect(page.text).toContain('No water before Mon 20 Apr');
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
    const blob = slipPdf({
      title: 'Echeveria elegans (ECH-111)',
      lines: ['No water before Mon 20 Apr.', 'Light: bright shade, no sun.'],
      cautions: Array.from({ length: 40 }, (_, n) => `Caution ${n}. Wash hands.`),
    });
    expect(blob.type).toBe('application/pdf');
    const text = await new Promise<string>((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(reader.result as string);
      reader.readAsText(blob, 'latin1');
    });
    expect(text.startsWith('%PDF')).toBe(true);
    // Forty cautions need more than one page of A6.
    expect(text.match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(1);
  });

  it('says so where there is no such batch', async () => {
    expect((await mount(SlipPage, { id: 'nowhere' })).text).toContain('No such batch');
  });
});
