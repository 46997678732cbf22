import { mount, type Bench } from '../../testing/mount';
import { REHEARSE_WORKER } from '../data/workers';
import { hundredOf } from './icon-array';
import { RehearsePage } from './rehearse-page';

const open = (mother: string): Promise<Bench<RehearsePage>> => mount(RehearsePage, { mother });
const played = async (page: Bench<RehearsePage>): Promise<readonly string[]> => {
  for (let i = 0; i < 200 && page.all('article').length === 0; i++) {
    await new Promise((done) => setTimeout(done, 20));
    await page.settle();
  }
  return page.all('article').map((a) => a.textContent.replace(/\s+/g, ' '));
};

describe('trying a plan first', () => {
  it('plays four ways on the same luck, in what is first at hand until one says what', async () => {
    const page = await open('m-aeon');
    expect(page.text).toMatch(/Played in .* with .*, until you say what\./);
    await page.fill('Goes into (optional)', 'pot-7');
    await page.fill('Filled with (optional)', 'mix-bench');
    expect(page.text).not.toContain('until you say what');
    const ways = await played(page);
    expect(ways).toHaveLength(4);
    expect(ways[0]).toMatch(/This plan.*\d+ of 100 rooted.*On day \d+–\d+, half by \d+/);
    expect(page.all('hy-icon-array')).toHaveLength(4);
    expect(page.all('hy-icon-array')[0]!.querySelectorAll('g')).toHaveLength(100);
    expect(page.text).toMatch(
      /This plan (roots \d+ (more|fewer) of 100 than|and) set at once, watered weekly/,
    );
    expect(page.root.innerHTML).not.toContain('NaN');
  });

  it('keeps a way of one’s own beside the others, two at most, and leaves it out again', async () => {
    const page = await open('m-aeon');
    await played(page);
    const ways = async (count: number): Promise<string[]> => {
      for (let i = 0; i < 200 && page.all('article').length !== count; i++) {
        await new Promise((done) => setTimeout(done, 20));
        await page.settle();
      }
      return page.all('article h2').map((h) => h.textContent.replace(/\s+/g, ' ').trim());
    };
    await page.tap('Keep this way beside the others');
    const names = await ways(5);
    expect(names.at(-1)).toMatch(/^Dried \d+ d, water on day \d+ Leave out$/);
    await page.tap(/^Leave out Dried/);
    expect(await ways(4)).toHaveLength(4);
  });

  it('says which two choices matter most', async () => {
    const page = await open('m-aeon');
    await played(page);
    const list = (): HTMLElement[] => page.all('section[aria-labelledby=matters] li');
    for (let i = 0; i < 300 && list().length === 0; i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(list()).toHaveLength(2);
    expect(list()[0]!.textContent).toMatch(/: \d+ of 100 root .*, \d+ .*\./);
  });

  it('plays a small run by itself where no worker starts, and says so', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const page = await mount(RehearsePage, { mother: 'm-aeon' }, undefined, [
      { provide: REHEARSE_WORKER, useValue: { ask: () => Promise.reject(new Error('blocked')) } },
    ]);
    expect(await played(page)).toHaveLength(4);
    expect(page.text).toContain('Only 40 cuttings: this browser plays no more of them');
    log.mockRestore();
  });

  it('asks whose cuttings they are', async () => {
    expect((await open('nobody')).text).toContain('Choose a mother');
  });
});

describe('a hundred marks', () => {
  it('are a hundred, shared out by the largest remainders', () => {
    expect(hundredOf([1 / 3, 1 / 3, 1 / 3])).toEqual([34, 33, 33]);
    expect(hundredOf([0.885, 0.005, 0.11]).reduce((a, b) => a + b)).toBe(100);
    expect(hundredOf([0, 0])).toEqual([0, 0]);
  });
});
