import { plantOf } from '@hypogeon/core/bench';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import { StockSteppers } from './stock-steppers';

const STATE = fold(demoJournal(DAY));
const open = (id: string): Promise<Bench<StockSteppers>> => {
  const mother = STATE.mothers.get(id)!;
  return mount(StockSteppers, { mother, taxon: plantOf(STATE, mother.taxon!)!.taxon });
};
/** Long enough for a count to rest. */
const rest = async (page: Bench<StockSteppers>): Promise<void> => {
  await new Promise((done) => setTimeout(done, 600));
  await page.settle();
};

describe('what a mother has', () => {
  it('is guessed by her build until it is counted, and says so', async () => {
    const page = await open('m-gast');
    expect(page.text).toContain('~ by its build, not counted');
    expect(page.all('input[placeholder^="~"]').length).toBeGreaterThan(0);
  });

  it('several taps are one entry, kept once the hand rests', async () => {
    const page = await open('m-gast');
    const [more] = page
      .all('button')
      .filter((b) => b.getAttribute('aria-label')?.startsWith('One more: '));
    const before = page.recorded().length;
    for (let i = 0; i < 3; i++) more!.click();
    await page.settle();
    expect(page.recorded()).toHaveLength(before);
    await rest(page);
    expect(page.recorded()).toHaveLength(before + 1);
    expect(page.recorded()).toMatchObject([{ kind: 'put', record: 'mother', key: 'm-gast' }]);
  });

  it('what is typed and no number gets a sentence; nothing is kept', async () => {
    const page = await open('m-gast');
    const [label] = page
      .all('label')
      .map((l) => l.textContent.trim())
      .filter((l) => l.startsWith('It has, '));
    await page.fill(label!, 'many');
    expect(page.text).toContain('A whole number.');
    await rest(page);
    expect(page.recorded()).toEqual([]);
    await page.fill(label!, '7');
    expect(page.text).not.toContain('A whole number.');
    await rest(page);
    expect(page.recorded()).toHaveLength(1);
  });

  it('what was counted is kept when the page is left before the hand rests', async () => {
    const page = await open('m-gast');
    const [more] = page
      .all('button')
      .filter((b) => b.getAttribute('aria-label')?.startsWith('One more: '));
    more!.click();
    page.fixture.destroy();
    await new Promise((done) => setTimeout(done, 20));
    expect(page.recorded()).toHaveLength(1);
  });
});
