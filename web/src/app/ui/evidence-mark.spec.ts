import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonHarness } from '@angular/material/button/testing';
import { mount } from '../../testing/mount';
import { EvidenceMark, groundOf } from './evidence-mark';

describe('what a figure rests on', () => {
  it.each([
    ['common practice, no source', 'practice'],
    ['working assumption, no source', 'guess'],
    ['from memory, no source', 'guess'],
    ['measured here', 'here'],
    ['your own 36 leaves, with the guide', 'here'],
    ['FAO-56 (Allen et al. 1998)', 'published'],
  ])('“%s” is %s', (text, ground) => {
    expect(groundOf(text)).toBe(ground);
  });

  it('keeps its words until they are asked for', async () => {
    const page = await mount(EvidenceMark, { of: 'Roots', text: 'common practice, no source' }, []);
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
    const page = await mount(EvidenceMark, { of: 'Wound', text: '' }, []);
    expect(page.all('button')).toEqual([]);
  });
});
