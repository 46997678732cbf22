import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { ledgerCases, pooledEmergence } from '@hypogeon/core/ledger';
import { DAY, mount } from '../../testing/mount';
import { svgText } from '../ui/svg-text';
import { EmergencePlate } from './emergence-plate';

const plate = pooledEmergence(ledgerCases(fold(demoJournal(DAY))))!;

describe('a plate that is read', () => {
  it('says what was there on a day, by the slider', async () => {
    const page = await mount(EmergencePlate, { plate });
    expect(page.text).toContain('Point at a day');
    const slider = page.all('input')[0] as HTMLInputElement;
    slider.value = '0';
    slider.dispatchEvent(new Event('input'));
    await page.settle();
    expect(page.text).toMatch(
      new RegExp(`Day 0, of ${plate.count}: 0.* rooted, 0 with pups, 0 lost`),
    );
    slider.value = String(plate.lastDay);
    slider.dispatchEvent(new Event('input'));
    await page.settle();
    const rooted = Math.round(plate.roots.at(-1)!.sure);
    expect(page.text).toContain(`${rooted}`);
    expect(page.all('.hair')).toHaveLength(1);
  });

  it('as a file has its own size, ground and name space', async () => {
    const page = await mount(EmergencePlate, { plate });
    const text = svgText(page.all('svg')[0] as unknown as SVGSVGElement);
    expect(text).toMatch(/^<svg[^>]*xmlns="http:\/\/www.w3.org\/2000\/svg"/);
    expect(text).toContain('<rect');
    expect(
      new DOMParser().parseFromString(text, 'image/svg+xml').querySelector('parsererror'),
    ).toBeNull();
  });
});
