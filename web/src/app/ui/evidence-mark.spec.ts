import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonHarness } from '@angular/material/button/testing';
import { mount } from '../../testing/mount';
import { restsOn } from '@hypogeon/words';
import { EvidenceMark } from './evidence-mark';

describe('what a figure rests on', () => {
  it('keeps its words until they are asked for', async () => {
    const page = await mount(EvidenceMark, { of: 'Roots', on: restsOn('common practice') }, []);
    expect(page.text).not.toContain('common practice');
    const loader = TestbedHarnessEnvironment.loader(page.fixture);
    const button = await loader.getHarness(MatButtonHarness);
    await button.click();
    await page.settle();
    expect(page.text).toContain('common practice, no source');
    await button.click();
    await page.settle();
    expect(page.text).not.toContain('common practice');
  });

  it('a figure that rests on nothing told has no mark', async () => {
    const page = await mount(EvidenceMark, { of: 'Wound', on: null }, []);
    expect(page.all('button')).toEqual([]);
  });
});
