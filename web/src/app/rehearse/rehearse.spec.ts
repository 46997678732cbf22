import { mount, type Bench } from '../../testing/mount';
import { REHEARSE_WORKER, WorkerLine } from '../data/workers';
import { rehearse } from '../workers/rehearse';
import { PlanDesk } from '../plan/plan-desk';
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

// What matters is hundreds of plays: asked only where it is looked at.
let matters: jest.SpyInstance;
beforeEach(() => (matters = jest.spyOn(rehearse, 'matters').mockReturnValue([])));
afterEach(() => matters.mockRestore());

describe('trying a plan first', () => {
  it('plays four ways on the same luck, in what is first at hand until one says what', async () => {
    const page = await open('m-aeon');
    expect(page.text).toMatch(/Played in .* with .*, until you say what\./);
    await page.fill('Goes into (optional)', 'pot-7');
    await page.fill('Filled with (optional)', 'mix-bench');
    expect(page.text).not.toContain('until you say what');
    const ways = await played(page);
    expect(ways).toHaveLength(4);
    expect(ways[0]).toMatch(/This plan.*\d+ of 100 rooted.*Roots on day \d+–\d+, half by day \d+/);
    expect(page.all('hy-icon-array')).toHaveLength(4);
    expect(page.all('hy-icon-array')[0]!.querySelectorAll('g')).toHaveLength(100);
    const bar = [...page.all('hy-icon-array')[0]!.querySelectorAll('rect')];
    const wide = bar.reduce((sum, r) => sum + Number(r.getAttribute('width')), 0);
    expect(wide).toBeCloseTo(260, 6);
    expect(bar[0]!.classList).toContain('rooted');
    expect(page.text).toMatch(
      /This plan (brings on \d+ (more|fewer) of 100 than|and) set at once, watered weekly/,
    );
    expect(page.root.innerHTML).not.toContain('NaN');
  });

  it('a plan of several ways plays each of them, and says what all come to', async () => {
    const page = await open('m-gra2');
    page.fixture.debugElement.injector.get(PlanDesk).put({ want: '12' });
    for (let i = 0; i < 200 && page.all('article').length !== 2; i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(page.all('article')).toHaveLength(2);
    expect(page.text).toMatch(/12 leaves, 1 crown/);
    for (let i = 0; i < 200 && page.text.includes('Being played'); i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(page.text).toMatch(
      /All of them together.*Forecast: \d+% of 13 with roots by day 120 \(\d+–\d+%\)/,
    );
    // What is changed is changed of one way.
    expect(page.text).not.toContain('What if, in this plan');
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
    expect(names.at(-1)).toMatch(/^Dried \d+ d, water (on day \d+|once roots show) Leave out$/);
    await page.tap(/^Leave out Dried/);
    expect(await ways(4)).toHaveLength(4);
  });

  // All choices are played one after the other: the longest of the suite, and no measure of speed.
  it('says which two choices matter most', async () => {
    matters.mockRestore();
    const page = await open('m-aeon');
    await played(page);
    const list = (): HTMLElement[] => page.all('section[aria-labelledby=matters] li');
    for (let i = 0; i < 300 && list().length === 0; i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(list()).toHaveLength(2);
    expect(list()[0]!.textContent).toMatch(/: .* \d+ of 100 root, .* \d+\./);
  }, 90_000);

  it('plays a small run by itself where no worker starts, and says so', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const page = await mount(RehearsePage, { mother: 'm-aeon' }, undefined, [
      {
        provide: REHEARSE_WORKER,
        useValue: { ask: () => Promise.reject(new Error('blocked')), stop: () => undefined },
      },
    ]);
    expect(await played(page)).toHaveLength(4);
    expect(page.text).toContain('Only 40 cuttings: this browser plays no more of them');
    log.mockRestore();
  });

  it('a long play shows how far it is, and stops when told: what was played stays', async () => {
    const page = await open('m-aeon');
    await played(page);
    // Between two slices a real worker's answer lets the screen take its turn.
    const more = rehearse.more.bind(rehearse);
    const slice = jest
      .spyOn(rehearse, 'more')
      .mockImplementation(
        (() => new Promise((done) => setTimeout(() => done(more()), 5))) as unknown as typeof more,
      );
    await page.fill('Played with', '10000');
    const stop = (): boolean => page.all('button').some((b) => b.textContent.trim() === 'Stop');
    for (let i = 0; i < 200 && !stop(); i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(page.all('.far mat-progress-bar')).toHaveLength(1);
    await page.tap('Stop');
    expect(page.text).toContain('Stopped: what stands here is of the small first run');
    expect(page.all('article')).toHaveLength(4);
    expect(page.all('mat-progress-bar')).toHaveLength(0);
    slice.mockRestore();
  });

  it('a routine of one’s own stands beside the plan with one tap', async () => {
    const page = await open('m-aeon');
    await played(page);
    await page.fill('Beside it, my routine', 'For the fair');
    for (let i = 0; i < 200 && page.all('article').length !== 5; i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(page.all('article h2').at(-1)!.textContent).toContain('For the fair');
    expect(page.text).toMatch(/This plan (roots \d+ \w+ of 100 than|and) for the fair/);
    expect(page.shown('Beside it, my routine')).toBe('choose one');
  });

  it('another mix, damper air: the same plan otherwise, and all can be undone', async () => {
    const page = await open('m-aeon');
    await played(page);
    await page.fill('In another mix', 'all-mineral');
    const damper = page.root.querySelector<HTMLInputElement>(
      'input[aria-label="Damper or drier"]',
    )!;
    damper.value = '20';
    damper.dispatchEvent(new Event('input'));
    damper.dispatchEvent(new Event('change'));
    await page.settle();
    expect(page.text).toContain('20 points of humidity more');
    await page.tap('Keep this way beside the others');
    for (let i = 0; i < 200 && page.all('article').length !== 5; i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(page.all('article h2').at(-1)!.textContent).toMatch(
      /20 points of humidity more, in All mineral/,
    );
    await page.tap('Undo my what-ifs');
    expect(page.text).toContain('As damp as it is');
    expect(page.shown('In another mix')).toBe('as planned');
  });

  it('keeps a forecast with the plan, drops it when the plan changes, and says what it rests on', async () => {
    const page = await open('m-aeon');
    await played(page);
    expect(page.text).toContain('By 10 batches of yours wounds rot');
    await page.tap('Keep a forecast with the plan');
    for (let i = 0; i < 200 && !page.text.includes('Kept with this plan'); i++) {
      await new Promise((done) => setTimeout(done, 20));
      await page.settle();
    }
    expect(page.text).toMatch(/Forecast: \d+% of \d+ with roots by day 120 \(\d+–\d+%\)\. Kept/);
    await page.fill('Goes into (optional)', 'pot-7');
    expect(page.text).not.toContain('Kept with this plan');
  });

  it('stops its worker when the page is left', async () => {
    const stop = jest.spyOn(WorkerLine.prototype, 'stop');
    const page = await open('m-aeon');
    await played(page);
    stop.mockClear();
    page.fixture.destroy();
    expect(stop).toHaveBeenCalledTimes(2);
    stop.mockRestore();
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
