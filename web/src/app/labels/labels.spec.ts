import { mount } from '../../testing/mount';
import { PICTURES_WORKER } from '../data/workers';
import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { LabelsPage } from './labels-page';
import { ScanPage } from './scan-page';

describe('labels', () => {
  it('begin with what was cut lately, or with the batch one came from', async () => {
    const page = await mount(LabelsPage);
    expect(page.text).toContain('Save 6 labels as PDF');
    const one = await mount(LabelsPage, { of: 'b-19' });
    expect(one.text).toContain('Save one label as PDF');
    expect(one.root.querySelector('svg:has(text)')!.textContent).toContain('SED-');
  });

  it('come on as many sheets as they need', async () => {
    const page = await mount(LabelsPage);
    await page.fill('Places used up on the first sheet', '20');
    expect(page.text).toContain('2 sheets');
    await page.tap('None');
    expect(page.text).toContain('tick a batch');
  });

  it('of one’s own size say what does not fit', async () => {
    const page = await mount(LabelsPage);
    await page.fill('Size', 'own');
    await page.fill('Label width, mm', '20');
    expect(page.text).toContain('At least 30 mm');
    expect(page.button(/^Save/)).toHaveProperty('disabled', true);
  });
});

describe('scanning', () => {
  const scanned = async (text: string | null) => {
    const page = await mount(ScanPage, {}, undefined, [
      // Jest's pages draw nothing, so the picture cannot be looked at: what was seen on it is given.
      {
        provide: PICTURES_WORKER,
        useValue: {
          ask: (call: (w: object) => unknown) => call({ scan: () => Promise.resolve(text) }),
        },
      },
    ]);
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    const input = page.root.querySelector<HTMLInputElement>('input[type=file]')!;
    Object.defineProperty(input, 'files', { value: [new File(['x'], 'x.png')] });
    input.dispatchEvent(new Event('change'));
    await page.settle();
    return { page, go };
  };

  it('opens the batch the code names, wherever it was printed', async () => {
    const { go } = await scanned('http://elsewhere:1/#/bench/b-19');
    expect(go).toHaveBeenCalledWith(['/bench', 'b-19']);
  });

  it.each([
    [null, 'No code is seen on it.'],
    ['https://example.org/', 'That code is no label of Hypogeon.'],
    ['http://x/#/bench/none', 'That label is of another journal'],
  ])('says what is wrong with %s', async (text, says) => {
    const { page, go } = await scanned(text);
    expect(page.text).toContain(says);
    expect(go).not.toHaveBeenCalled();
  });

  it('takes the code by eye, in small letters too', async () => {
    const page = await mount(ScanPage);
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    await page.fill('Code on the label', 'xxx-000');
    await page.tap('Open');
    expect(page.text).toContain('No batch has the code “xxx-000”');
    const { batchCode } = await import('@hypogeon/core/bench');
    const state = page.journal.state();
    const code = batchCode(state, state.batches.get('b-19')!);
    await page.fill('Code on the label', code.toLowerCase());
    await page.tap('Open');
    expect(go).toHaveBeenCalledWith(['/bench', 'b-19']);
  });
});
