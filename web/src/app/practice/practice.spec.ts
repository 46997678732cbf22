import { mount } from '../../testing/mount';
import { PlayPage } from './play-page';
import { PracticePage } from './practice-page';

const open = (id: string) => mount(PlayPage, { id }, []);

describe('practice', () => {
  it('offers eight benches', async () => {
    const page = await mount(PracticePage, {}, []);
    expect(page.all('li')).toHaveLength(8);
    // Each with a piece of the plant it is played with.
    const pieces = page.all('li hy-mark use.piece').map((use) => use.getAttribute('href'));
    expect(pieces).toHaveLength(8);
    expect(new Set(pieces).size).toBeGreaterThan(4);
    expect(page.text).toContain('nothing of it touches your journal');
  });

  it('is played by taps, writes nothing into the journal, and lays the truth open at the end', async () => {
    const page = await open('order');
    expect(page.text).toContain('Day 0 of 28.');
    expect(page.all('hy-mark')).toHaveLength(10);
    await page.tap(/^Set them/);
    expect(page.text).toContain('A finger at the depth of the stems:');
    for (let i = 0; i < 4; i++) await page.tap(/^Wait a week/);
    expect(page.text).toMatch(/of 10 rooted.*asked for.* Score \d+ of 100/);
    expect(page.text).toContain('The same luck by other habits');
    expect(page.all('hy-practice-ending tbody tr')).toHaveLength(5);
    expect(page.recorded()).toEqual([]);
    await page.tap('Play it again');
    expect(page.text).toContain('Day 0 of 28.');
  });

  it('is played by keys', async () => {
    const page = await open('winter-sill');
    const press = async (key: string): Promise<void> => {
      document.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await page.settle();
    };
    await press('1');
    await press('2');
    await press('9');
    expect(page.text).toContain('Day 1 of 110.');
    expect(page.text).toContain('The pot is heavy');
    await press('0');
    expect(page.text).toContain('Day 8 of 110.');
  });

  it('lays the truth open for whoever gives up, and knows no ninth bench', async () => {
    const page = await open('damp-porch');
    await page.tap('Stop and show what was true');
    expect(page.text).toContain('What was true');
    expect((await open('nowhere')).text).toContain('No such bench');
  });
});
