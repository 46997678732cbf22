import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PIECES } from '@hypogeon/core/botany';
import type { Cutting } from '@hypogeon/core/journal';
import { TONES } from '@hypogeon/core/look';
import { DAY, mount } from '../../testing/mount';
import { CuttingMark } from './cutting-mark';
import { drawingStyles, strokeClass } from './drawing-styles';
import { FRESH, markOf, type MarkState } from './mark-state';
import { ROOTS } from './shapes';

const draw = (state: Partial<MarkState>, piece = 'leaf') =>
  mount(CuttingMark, { piece, state: { ...FRESH, ...state } }, []);

describe('the cutting mark', () => {
  it('uses a drawing of its piece that is kept once in the page, however many there are', async () => {
    for (const piece of PIECES) {
      const page = await mount(CuttingMark, { piece }, []);
      const [use] = page.all('use.piece');
      const drawing = document.querySelector(use!.getAttribute('href')!)!;
      expect(drawing.querySelectorAll('path').length).toBeGreaterThan(0);
      expect(document.querySelectorAll(`[id="${drawing.id}"]`)).toHaveLength(1);
    }
    expect(ROOTS.map((r) => r.length)).toEqual([0, 2, 5, 9]);
  });

  it('closes its ring with the wound', async () => {
    const fresh = await draw({});
    expect(fresh.all('.ring, .closed')).toEqual([]);
    const half = await draw({ closure: 0.5 });
    expect(half.all('.ring')[0]!.getAttribute('stroke-dasharray')).toBe('50 100');
    const closed = await draw({ closure: 1 });
    expect(closed.all('.closed')).toHaveLength(1);
  });

  it('tells losses by shape: hatching, an empty outline, a cross', async () => {
    const rotted = await draw({ closure: 1, lost: 'rotted' });
    expect(rotted.all('svg.rotted use.piece')).toHaveLength(1);
    const dried = await draw({ closure: 1, lost: 'dried' });
    expect(dried.all('.hatch')).toEqual([]);
    expect(dried.all('svg.dried')).toHaveLength(1);
    const lost = await draw({ lost: 'lost' });
    expect(lost.all('.gone')).toHaveLength(1);
    expect(lost.all('.wound')).toEqual([]);
    const begins = await draw({ closure: 0.5, rotBegins: true });
    expect(begins.all('.hatch[clip-path]')).toHaveLength(1);
    expect(begins.all('.ring')).toEqual([]);
  });

  it('grows roots, pups and a pot below and beside', async () => {
    const grown = await draw({ closure: 1, roots: 3, pup: true, potted: true }, 'crown');
    expect(grown.all('.roots path')).toHaveLength(9);
    expect(grown.all('.pup path')).toHaveLength(3);
    expect(grown.all('.pot')).toHaveLength(2);
  });

  it('is an image with a name where it stands alone, decoration beside text', async () => {
    const page = await mount(CuttingMark, { piece: 'pad', label: 'pad, rooted' }, []);
    expect(page.all('svg')[0]!.getAttribute('role')).toBe('img');
    expect(page.all('svg')[0]!.getAttribute('aria-label')).toBe('pad, rooted');
    expect((await draw({})).all('svg')[0]!.getAttribute('aria-hidden')).toBe('true');
  });
});

describe('what a mark shows of a cutting', () => {
  const cutting = (over: Partial<Cutting>): Cutting => ({
    outcome: 'waiting',
    lastLook: DAY,
    placed: false,
    place: 0,
    ...over,
  });
  const rootedOn = (by: string): Cutting =>
    cutting({ outcome: 'rooted', rooted: { after: '2026-01-01', by } });

  it.each([
    ['2026-04-05', 1],
    ['2026-03-28', 2],
    ['2026-03-01', 3],
  ])('roots seen first on %s have class %d', (by, roots) => {
    expect(markOf(rootedOn(by), 0.3, false, DAY)).toMatchObject({ roots, closure: 1, lost: null });
  });

  it('a waiting one has the closure of its batch, a lost one its cause', () => {
    expect(markOf(cutting({}), 0.3, false, DAY)).toMatchObject({ closure: 0.3, roots: 0 });
    expect(markOf(cutting({ outcome: 'dried' }), 0.3, false, DAY).lost).toBe('dried');
    expect(markOf(cutting({ outcome: 'pupped' }), 0, true, DAY)).toMatchObject({
      pup: true,
      potted: true,
    });
  });
});

describe('the colours of drawings', () => {
  it('every tone a plant is drawn in has its class, and both themes its paints', () => {
    const tokens = readFileSync(join(__dirname, '../../_tokens.scss'), 'utf8');
    const styles = drawingStyles(TONES);
    for (const tone of TONES) {
      for (const is of strokeClass(tone, tone).split(' ')) expect(styles).toContain(`.${is}{`);
      for (const paint of [`--plant-${tone}:`, `--plant-${tone}-ink:`])
        expect(tokens.split(paint)).toHaveLength(3);
    }
    expect(strokeClass(null, 'red')).toBe('hy-stroke hy-line-red');
  });
});
