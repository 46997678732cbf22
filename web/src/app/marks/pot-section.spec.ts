import { fillPot, mediumOf, SHELF, USUAL_CONTAINERS, type FilledPot } from '@hypogeon/core/media';
import { LOCALE } from '../data/locale';
import { mount, type Bench } from '../../testing/mount';
import { PotSection } from './pot-section';

const container = (id: string) => USUAL_CONTAINERS.find((c) => c.id === id)!;
/** Half pumice, half coir: wet at the foot, airy at the top. */
const MEDIUM = mediumOf(
  ['pumice', 'coir'].map((id) => ({ component: SHELF.find((c) => c.id === id)!, parts: 1 })),
);
const filled = (pot = 'pot-7'): FilledPot => fillPot(MEDIUM, container(pot));
const open = (inputs: object): Promise<Bench<PotSection>> => mount(PotSection, { ...inputs });

const numbers = (d: string): number[] => [...d.matchAll(/-?[\d.]+/g)].map((m) => Number(m[0]));
const path = (page: Bench<PotSection>, kind: string): number[] =>
  numbers(page.root.querySelector(`path.${kind}`)!.getAttribute('d')!);

describe('a pot cut through', () => {
  it('is drawn to scale: the soggy layer stands as high as it is', async () => {
    const pot = filled();
    const page = await open({ pot });
    const [, soil, , base] = path(page, 'ground');
    const [, foot] = path(page, 'foot');
    expect((base! - foot!) / (base! - soil!)).toBeCloseTo(pot.footMm / pot.depthMm, 3);
    expect(page.text).toContain('soggy layer');
  });

  it('has a tick for every centimetre, and the same distance between them', async () => {
    const pot = filled('pot-12');
    const page = await open({ pot });
    const ys = page.all('svg path.tick').map((tick) => numbers(tick.getAttribute('d')!)[1]!);
    expect(ys).toHaveLength(Math.floor(pot.depthMm / 10) + 1);
    const steps = ys.slice(1).map((y, i) => y - ys[i]!);
    for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 6);
  });

  it('in inches has a tick for every half, and a figure at every whole one', async () => {
    const pot = filled('pot-12');
    const page = await mount(
      PotSection,
      { pot },
      [],
      [{ provide: LOCALE, useValue: () => 'en-US' }],
    );
    expect(page.all('svg path.tick')).toHaveLength(Math.floor(pot.depthMm / 12.7) + 1);
    const figures = page.all('svg text.scale').map((t) => t.textContent.trim());
    expect(figures.slice(0, 2)).toEqual(['1 in', '2 in']);
    expect(page.text).toMatch(/soggy layer [\d /]+ in/);
  });

  it('is wet from below, drier at the top as the day has it, and never more than full', async () => {
    const pot = filled();
    const wet = (page: Bench<PotSection>): number[] =>
      page.all('rect.wet').map((r) => Number(r.getAttribute('opacity')));
    const drained = wet(await open({ pot }));
    expect(drained.at(-1)).toBeGreaterThan(drained[0]!);
    for (const share of drained) expect(share).toBeLessThanOrEqual(0.85);
    const dry = wet(
      await open({
        pot,
        layers: [
          { toMm: pot.depthMm / 2, wetness: 0.1 },
          { toMm: pot.depthMm, wetness: 1 },
        ],
      }),
    );
    expect(dry[0]).toBeLessThan(0.2 * drained[0]!);
    expect(dry.at(-1)).toBeCloseTo(drained.at(-1)!, 6);
  });

  it('shows how deep the stem stands, no deeper than the mix', async () => {
    const pot = filled();
    const deep = async (stemMm: number): Promise<number> => {
      const page = await open({ pot, stemMm });
      const [, from, to] = path(page, 'stem');
      return to! - from!;
    };
    const scale = (await deep(10)) / 10;
    expect(await deep(25)).toBeCloseTo(25 * scale, 6);
    expect(await deep(900)).toBeCloseTo(pot.depthMm * scale, 6);
  });

  it('of a wide tray is cut off, with a torn edge, and says the figures in words', async () => {
    const tray = USUAL_CONTAINERS.find((c) => c.topMm > 170)!;
    const page = await open({ pot: fillPot(MEDIUM, tray) });
    expect(page.all('svg path.torn')).toHaveLength(2);
    expect((await open({ pot: filled() })).all('svg path.torn')).toHaveLength(0);
    const says = page.root.querySelector('svg')!.getAttribute('aria-label')!;
    expect(says).toMatch(/After draining \d+% water and \d+% air; the foot is full up to /);
  });

  it('has a pool at its foot where water stands', async () => {
    const pot = filled();
    const tall = async (poolMl: number): Promise<number> => {
      const [pool] = (await open({ pot, poolMl })).all('rect.pool');
      return Number(pool?.getAttribute('height') ?? 0);
    };
    expect(await tall(0)).toBe(0);
    expect(await tall(40)).toBeCloseTo(2 * (await tall(20)), 6);
  });
});
