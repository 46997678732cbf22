import * as fc from 'fast-check';
import { anyToldLife, FACE_KINDS, facesOf, type FaceKind } from '../testing/faces';

/*
 * One number, and known, then late (laws 9 and 10): over lives of every plant, way and course, told as they come and
 * late, nothing that is said of a batch differs from anything else that is said of it. `FACES=2000` walks through more.
 */
const LIVES = Number(process.env.FACES ?? 150);

describe('all faces of a batch', () => {
  const lives = fc.sample(anyToldLife, { numRuns: LIVES, seed: 26 }).map(facesOf);
  const sum = (of: (kind: FaceKind) => number): number =>
    FACE_KINDS.reduce((n, kind) => n + of(kind), 0);

  it.each(FACE_KINDS)('%s: never', (kind) => {
    const told = lives.flatMap(({ differences }, life) =>
      differences
        .filter((d) => d.kind === kind)
        .map((d) => `life ${life}, day ${d.day}: ${d.says}`),
    );
    expect(told.slice(0, 3)).toEqual([]);
    expect(lives.reduce((n, { compared }) => n + compared[kind], 0)).toBeGreaterThan(0);
  });

  it('was looked for often', () => {
    const compared = sum((kind) => lives.reduce((n, l) => n + l.compared[kind], 0));
    expect(compared).toBeGreaterThan(500 * LIVES);
  });
});
