import { SHELF } from '@hypogeon/core/media';
import { mount } from '../../testing/mount';
import { follow } from './drag';
import { grainsIn, toneOf, type Bed } from './grains';
import { StrataColumn } from './strata-column';
import { StemDrawing } from './stem-drawing';

const component = (id: string) => SHELF.find((c) => c.id === id)!;
const part = (id: string, parts: number) => ({ component: component(id), parts });
const BED: Bed = { top: 10, bottom: 210, left: () => 20, right: () => 180 };

/** All points of an outline. */
const points = (d: string): readonly (readonly [number, number])[] =>
  [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);

describe('grains drawn at their own size', () => {
  const paths = grainsIn(BED, [part('pumice', 3), part('akadama', 1)], 4);

  it('lie inside their bed, the same way every time', () => {
    for (const { d } of paths)
      for (const [x, y] of points(d)) {
        expect(x).toBeGreaterThanOrEqual(19);
        expect(x).toBeLessThanOrEqual(181);
        expect(y).toBeGreaterThanOrEqual(9);
        expect(y).toBeLessThanOrEqual(211);
      }
    expect(grainsIn(BED, [part('pumice', 3), part('akadama', 1)], 4)).toEqual(paths);
  });

  it('come as often as their share, the fine ones as dots', () => {
    const grains = (d: string): number => d.match(/M/g)?.length ?? 0;
    expect(grains(paths[0]!.d)).toBeGreaterThan(1.5 * grains(paths[1]!.d));
    const [pumice, peat] = grainsIn(BED, [part('pumice', 1), part('peat', 1)], 2);
    expect([pumice!.fine, peat!.fine]).toEqual([false, true]);
    expect(peat!.d).toContain('a');
    expect(grainsIn(BED, [part('pumice', 0)], 4)).toEqual([]);
  });

  it('have the colour of the thing, or of its kind', () => {
    expect(toneOf('lava', 'mineral')).not.toBe(toneOf('pumice', 'mineral'));
    expect(toneOf('of my own', 'organic')).not.toBe(toneOf('of my own', 'mineral'));
  });
});

describe('a mix as layers', () => {
  const open = async (editable = true) => {
    const page = await mount(
      StrataColumn,
      { parts: [part('pumice', 2), part('coir', 1), part('grit', 1)], editable },
      [],
    );
    const moved: (readonly number[])[] = [];
    page.fixture.componentInstance.moved.subscribe((m) => moved.push(m));
    return { page, moved };
  };

  it('its edges are sliders that say what lies above', async () => {
    const { page } = await open();
    const says = page.all('[role=slider]').map((h) => h.getAttribute('aria-valuetext'));
    expect(says).toEqual([`${component('pumice').name} 50%`, `${component('coir').name} 25%`]);
    expect((await open(false)).page.all('[role=slider]')).toEqual([]);
  });

  it.each([
    ['ArrowDown', [0.51, 0.24, 0.25]],
    ['ArrowUp', [0.49, 0.26, 0.25]],
    ['PageDown', [0.6, 0.15, 0.25]],
    ['PageUp', [0.4, 0.35, 0.25]],
  ])('%s: what one gains its neighbour gives', async (key, shares) => {
    const { page, moved } = await open();
    page.all('[role=slider]')[0]!.dispatchEvent(new KeyboardEvent('keydown', { key }));
    expect(moved).toHaveLength(1);
    moved[0]!.forEach((share, i) => expect(share).toBeCloseTo(shares[i]!, 9));
  });

  it('no layer falls below nothing, and other keys do nothing', async () => {
    const page = await mount(
      StrataColumn,
      { parts: [part('pumice', 97), part('coir', 3)], editable: true },
      [],
    );
    const moved: (readonly number[])[] = [];
    page.fixture.componentInstance.moved.subscribe((m) => moved.push(m));
    const handle = page.all('[role=slider]')[0]!;
    handle.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown' }));
    expect(moved[0]![1]).toBeCloseTo(0, 9);
    handle.dispatchEvent(new KeyboardEvent('keydown', { key: 'a' }));
    expect(moved).toHaveLength(1);
  });
});

describe('a stem and its cuts', () => {
  const stem = { lengthMm: 200, nodesMm: [40, 80, 120, 160] };
  const open = async (over: object = {}) => {
    const page = await mount(
      StemDrawing,
      {
        stem,
        cuts: [150, 90],
        pieces: [
          { kind: 'crown', fromMm: 150, toMm: 200, nodes: 1, problem: '', says: 'a crown' },
          { kind: 'segment', fromMm: 90, toMm: 150, nodes: 1, problem: 'too short', says: '' },
        ],
        ...over,
      },
      [],
    );
    const moved: (readonly number[])[] = [];
    page.fixture.componentInstance.moved.subscribe((m) => moved.push(m));
    const nodes: (readonly number[])[] = [];
    page.fixture.componentInstance.nodesMoved.subscribe((m) => nodes.push(m));
    const press = (slider: number, key: string): void =>
      void page.all('[role=slider]')[slider]!.dispatchEvent(new KeyboardEvent('keydown', { key }));
    return { page, moved, nodes, press };
  };

  it('says what it is cut into, and what is wrong with a piece', async () => {
    const { page } = await open();
    expect(page.root.innerHTML).toContain('crown, 50 mm; segment, 60 mm; and a stump');
    expect(page.text).toContain('too short');
  });

  it('a cut moves by keys, and stays between its neighbours', async () => {
    const { moved, press } = await open();
    press(0, 'ArrowUp');
    expect(moved.at(-1)).toEqual([151, 90]);
    for (let i = 0; i < 2; i++) press(1, 'PageDown');
    expect(moved.at(-1)).toEqual([150, 80]);
    const tight = await open({ cuts: [95, 90] });
    tight.press(0, 'PageDown');
    expect(tight.moved.at(-1)).toEqual([92, 90]);
    press(0, 'Tab');
    expect(moved).toHaveLength(3);
  });

  it('so do nodes, where the stem itself is told', async () => {
    const { nodes, moved, press } = await open({ movesNodes: true });
    press(1, 'PageUp');
    expect(nodes.at(-1)).toEqual([40, 90, 120, 160]);
    const close = await open({ movesNodes: true, stem: { lengthMm: 200, nodesMm: [40, 44] } });
    close.press(0, 'PageUp');
    expect(close.nodes.at(-1)).toEqual([43, 44]);
    expect(moved).toEqual([]);
  });
});

describe('a thing taken hold of', () => {
  it('is followed until it is let go, whatever ends it', () => {
    for (const end of ['pointerup', 'pointercancel']) {
      const held = document.createElement('div');
      held.setPointerCapture = () => undefined;
      const moves: (readonly [number, number])[] = [];
      held.addEventListener('pointerdown', (e) => follow(e, (dx, dy) => moves.push([dx, dy])));
      const send = (type: string, clientX: number, clientY: number): void =>
        void held.dispatchEvent(new MouseEvent(type, { clientX, clientY, cancelable: true }));
      send('pointermove', 1, 1);
      send('pointerdown', 10, 20);
      send('pointermove', 13, 16);
      send(end, 13, 16);
      send('pointermove', 50, 50);
      expect(moves).toEqual([[3, -4]]);
    }
  });
});
