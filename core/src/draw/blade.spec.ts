import { takenAs } from '../bench';
import { CATALOGUE } from '../botany';
import { FIELD, HABITS, PIECES, SOIL } from '../look';
import { bladeLines, type BladeLine } from './blade';
import { drawPlant } from './plant';

const looks = CATALOGUE.map((t) => [t.id, t.look!] as const);
const lookOf = (id: string) => looks.find(([name]) => name === id)![1];
const long = ({ from, to }: BladeLine): number => Math.hypot(to[0] - from[0], to[1] - from[1]);
const middleOf = ({ from, to }: BladeLine) =>
  [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const;
/** Comes off by itself, or from under the ground. */
const WITHOUT = new Set(['plantlet', 'bulbil', 'root', 'seed']);

describe('where the blade goes', () => {
  it('of every plant and way of the guide: one to three lines within the field, long enough to see', () => {
    for (const taxon of CATALOGUE)
      for (const way of taxon.methods) {
        const part = takenAs(taxon, way);
        const lines = bladeLines(taxon.look!, part);
        const name = `${taxon.id} ${part}`;
        if (WITHOUT.has(part)) expect([name, lines.length]).toEqual([name, 0]);
        else expect([name, lines.length >= 1 && lines.length <= 3]).toEqual([name, true]);
        for (const line of lines) {
          for (const n of [...line.from, ...line.to])
            expect([name, n >= 0 && n <= FIELD]).toEqual([name, true]);
          expect([name, long(line) >= 3 && long(line) <= FIELD]).toEqual([name, true]);
        }
      }
  });

  it('stands on the plant: within what is drawn, a little beside it at most', () => {
    for (const [id, look] of looks) {
      const all = drawPlant(look, 230).shapes.flatMap(({ d }) =>
        [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])] as const),
      );
      const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
      const [top, bottom] = [
        Math.min(...all.map(([, y]) => y)),
        Math.max(...all.map(([, y]) => y)),
      ];
      for (const part of PIECES)
        for (const line of bladeLines(look, part)) {
          const [x, y] = middleOf(line);
          const on = x >= left - 1 && x <= right + 1 && y >= top - 1 && y <= bottom + 3;
          expect([id, part, on]).toEqual([id, part, true]);
        }
    }
  });

  it('a crown comes off under its head, a length of stem lower down', () => {
    const tree = lookOf('aeonium-arboreum');
    const [crown] = bladeLines(tree, 'crown');
    const [length] = bladeLines(tree, 'segment');
    expect(middleOf(crown!)[1]).toBeLessThan(middleOf(length!)[1]);
    expect(middleOf(length!)[1]).toBeLessThan(SOIL);
    // A rosette on the ground has no stem to be seen: the blade goes beneath it.
    expect(middleOf(bladeLines(lookOf('echeveria-elegans'), 'crown')[0]!)[1]).toBeCloseTo(SOIL - 2);
  });

  it('a column is cut across, a clump is parted downwards, leaves come off on both sides', () => {
    const [cut] = bladeLines(lookOf('cereus-hildmannianus'), 'column');
    expect(cut!.from[1]).toBe(cut!.to[1]);
    const [part] = bladeLines(lookOf('echinopsis-oxygona'), 'ball');
    expect(Math.abs(part!.to[1] - part!.from[1])).toBeGreaterThan(10);
    const sides = bladeLines(lookOf('kalanchoe-luciae'), 'leaf').map((l) => middleOf(l)[0] < 50);
    expect(new Set(sides)).toEqual(new Set([true, false]));
  });

  it('is the same for the same figures, and there is one for every habit', () => {
    for (const habit of HABITS) {
      const [, look] = looks.find(([, l]) => l.habit === habit)!;
      expect(bladeLines({ ...look }, 'crown')).toEqual(bladeLines(look, 'crown'));
      expect(bladeLines(look, 'crown').length).toBeGreaterThan(0);
    }
  });
});
