import { DAY, mount } from '../../testing/mount';
import { MotherLook } from './mother-look';

const look = () => mount(MotherLook, { mother: 'm-aeon' });

describe('a look at a mother', () => {
  it('asks for one answer at least', async () => {
    const page = await look();
    expect(page.text).not.toContain('Answer one question');
    await page.tap('Record the look');
    expect(page.text).toContain('Answer one question at least.');
    expect(page.recorded()).toEqual([]);
  });

  it('records what was answered and no more, then stands empty again', async () => {
    const page = await look();
    const answers = page.all('mat-button-toggle button');
    // Plump: yes; no pests: no.
    answers[0]!.click();
    answers[3]!.click();
    await page.settle();
    await page.fill('Anything else (optional)', ' mealybug in one axil ');
    await page.tap('Record the look');
    const entry = {
      kind: 'examined',
      mother: 'm-aeon',
      turgid: true,
      clean: false,
      text: 'mealybug in one axil',
      day: DAY,
    };
    expect(page.recorded()).toEqual([entry]);
    expect(page.field('Anything else (optional)').value).toBe('');
    await page.tap('Record the look');
    expect(page.recorded()).toHaveLength(1);
  });

  it('a reason is an answer too, and a day of watering must have come', async () => {
    const page = await look();
    page.all('mat-chip-option button')[0]!.click();
    await page.settle();
    await page.fill('Last watered (optional)', '20 April 2026');
    await page.tap('Record the look');
    expect(page.text).toContain('That day is still to come.');
    expect(page.recorded()).toEqual([]);
    await page.fill('Last watered (optional)', '8 April 2026');
    await page.tap('Record the look');
    expect(page.recorded()).toMatchObject([{ wateredOn: '2026-04-08', reasons: ['leggy'] }]);
  });
});
